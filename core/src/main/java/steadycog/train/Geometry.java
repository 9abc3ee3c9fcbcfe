package steadycog.train;

import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;

/**
 * Geometry factors of a rating that are taken from a chart or table in place of those worked out
 * from the tooth as it is cut.
 *
 * @param bending J of the wheel, 0.05 to 1
 * @param contact I of the wheel with its mates, 0.01 to 0.5
 */
public record Geometry(Optional<BigFraction> bending, Optional<BigFraction> contact) {
  public static final Geometry NONE = new Geometry(Optional.empty(), Optional.empty());

  public Geometry {
    bending.ifPresent(j -> require("J", j, 0.05, 1));
    contact.ifPresent(i -> require("I", i, 0.01, 0.5));
  }

  private static void require(String name, BigFraction value, double least, double most) {
    if (value.doubleValue() < least || value.doubleValue() > most) {
      throw new IllegalArgumentException(
          name + " " + Exact.plain(value) + ": expected " + least + " to " + most);
    }
  }

  public Geometry withBending(BigFraction changed) {
    return new Geometry(Optional.of(changed), contact);
  }

  public Geometry withContact(BigFraction changed) {
    return new Geometry(bending, Optional.of(changed));
  }

  /** As a card states it after its verb and wheel: {@code J 0.3 I 0.121}. */
  @Override
  public String toString() {
    return Stream.of(
            bending.map(j -> "J " + Exact.plain(j)), contact.map(i -> "I " + Exact.plain(i)))
        .flatMap(Optional::stream)
        .collect(Collectors.joining(" "));
  }
}
