package steadycog.train;

import java.util.Optional;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/**
 * What a wheel is made of, and the stresses that its designer allows.
 *
 * @param bending at the root of a tooth; empty for the material's own
 * @param contact pressure between flanks; empty for the material's own
 */
public record Made(Material material, Optional<Quantity> bending, Optional<Quantity> contact) {

  public Made {
    bending.ifPresent(Made::requireStress);
    contact.ifPresent(Made::requireStress);
  }

  public static Made of(Material material) {
    return new Made(material, Optional.empty(), Optional.empty());
  }

  private static void requireStress(Quantity stress) {
    Drive.requireDimension(stress, Unit.Dimension.STRESS);
    if (stress.value().signum() <= 0) {
      throw new IllegalArgumentException("stress " + stress + ": expected more than 0");
    }
  }

  /** MPa. */
  public double bendingMpa() {
    return bending.map(Quantity::inBase).orElse((double) material.bendingMpa());
  }

  /** MPa. */
  public double contactMpa() {
    return contact.map(Quantity::inBase).orElse((double) material.contactMpa());
  }

  /** As a card states it: {@code steel bending 200 MPa}. */
  @Override
  public String toString() {
    return material.word()
        + bending.map(stress -> " bending " + stress).orElse("")
        + contact.map(stress -> " contact " + stress).orElse("");
  }
}
