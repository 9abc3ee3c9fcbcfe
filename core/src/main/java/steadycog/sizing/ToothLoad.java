package steadycog.sizing;

import java.util.List;
import java.util.Optional;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.MeshKind;

/**
 * A first look at one mesh under a steady load: bending by Lewis, pressure by Hertz, no dynamic
 * factors (Shigley, ch. 14, eqs. 14-2 and 14-14).
 *
 * @param force along the pitch circles on the most loaded contact, N
 * @param contacts that share the load: the planets of a set, the discs or spiders of a drive
 * @param speed at the pitch line against the carrier, m/s; empty where it does not follow
 * @param width that carries, mm
 * @param a what the first wheel bears; empty where no formula is at hand
 * @param b what the second wheel bears
 * @param pressure between flanks, MPa; empty where no formula is at hand
 * @param pressureAllowed the lower of both wheels', MPa
 */
public record ToothLoad(
    Mesh mesh,
    MeshKind kind,
    double force,
    int contacts,
    Optional<Double> speed,
    double width,
    Optional<Bending> a,
    Optional<Bending> b,
    Optional<Double> pressure,
    double pressureAllowed) {

  /** What does not follow, as from teeth that cannot be cut, or presses on nothing, is left out. */
  public ToothLoad {
    a = a.filter(bending -> follows(bending.stress()));
    b = b.filter(bending -> follows(bending.stress()));
    pressure = pressure.filter(ToothLoad::follows);
  }

  private static boolean follows(double stress) {
    return Double.isFinite(stress) && stress > 0;
  }

  /**
   * Bending at the root of a tooth.
   *
   * @param form Lewis's Y
   * @param stress MPa
   * @param allowed MPa
   * @param bothWays whether its teeth are loaded on both flanks in turn, as those of planets and
   *     idlers: the stress allowed is then 0.7 of the usual
   */
  public record Bending(
      MemberId wheel, double form, double stress, double allowed, boolean bothWays) {
    /** Stress allowed over stress. */
    public double factor() {
      return allowed / stress;
    }
  }

  /** Pressure allowed over pressure. */
  public Optional<Double> pressureFactor() {
    return pressure.map(value -> pressureAllowed / value);
  }

  /** What one of the wheels bears. */
  public Optional<Bending> of(MemberId wheel) {
    return wheel.equals(mesh.a()) ? a : b;
  }

  /** The least factor of the mesh, and whose it is. */
  public Optional<Weakest> weakest() {
    Optional<Weakest> least = pressureFactor().map(f -> new Weakest(f, mesh.pinion(), mesh, false));
    for (Optional<Bending> side : List.of(a, b)) {
      if (side.isPresent()
          && side.get().factor() < least.map(Weakest::factor).orElse(Double.MAX_VALUE)) {
        least = Optional.of(new Weakest(side.get().factor(), side.get().wheel(), mesh, true));
      }
    }
    return least;
  }

  /**
   * The tooth that gives way first.
   *
   * @param factor stress allowed over stress
   * @param bending whether it breaks at the root; else its flank wears
   */
  public record Weakest(double factor, MemberId wheel, Mesh mesh, boolean bending) {}
}
