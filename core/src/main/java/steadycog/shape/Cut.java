package steadycog.shape;

import java.util.List;
import steadycog.train.Bevel;
import steadycog.train.Clearance.Gap;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Parallel;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.Sizes;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/**
 * How a wheel's teeth are cut, in modules (ISO 21771).
 *
 * @param rack that cuts them
 * @param shift profile shift, outwards positive
 * @param shortening taken off the tips
 */
public record Cut(BasicRack rack, double shift, double shortening) {
  /** Whatever is taken off, so much of a tooth is left above its root, in modules. */
  private static final double LEAST_TOOTH = 0.1;

  public static final Cut STANDARD = new Cut(BasicRack.ISO_53_A, 0, 0);

  public Cut {
    shortening = Math.min(shortening, rack.addendum() + rack.dedendum() - LEAST_TOOTH);
  }

  /**
   * How {@code wheel} of {@code train} is cut: as the card says; wheels of planetary sets that have
   * to close are shifted so that they do.
   */
  public static Cut of(Train train, MemberId wheel) {
    return switch (train.partOf(wheel)) {
      case Planetary set -> PlanetGeometry.of(train, set).cut(wheel);
      case Parallel _, Cycloidal _, StrainWave _, Bevel _, Differential _, Shaft _ ->
          asStated(train, wheel);
    };
  }

  private static Cut asStated(Train train, MemberId wheel) {
    double shortening = 0;
    boolean shifted = !train.sizes().wheels().isEmpty();
    for (Mesh mesh : shifted ? train.partOf(wheel).meshes() : List.<Mesh>of()) {
      if (mesh.touches(wheel) && !mesh.internal()) {
        shortening = Math.max(shortening, shortening(train.sizes(), mesh));
      }
    }
    Sizes sizes = train.sizes();
    return new Cut(
        BasicRack.of(sizes.rackInForce()), shift(sizes, wheel), shortening + tipGap(train, wheel));
  }

  /** What is taken off tips for the process, in modules of the wheel. */
  private static double tipGap(Train train, MemberId wheel) {
    return train.sizes().clearance().mm(Gap.TIP) / train.moduleMm(wheel);
  }

  static double shift(Sizes sizes, MemberId wheel) {
    return sizes.shift(wheel).map(x -> x.doubleValue()).orElse(0.0);
  }

  /** Tip alteration: shifted wheels come nearer than their shifts would have them (ISO 21771). */
  private static double shortening(Sizes sizes, Mesh mesh) {
    double sum = shift(sizes, mesh.a()) + shift(sizes, mesh.b());
    double standard = (mesh.teethA().count() + mesh.teethB().count()) / 2.0;
    double tight = PairGeometry.tightDistance(BasicRack.of(sizes.rackInForce()), standard, sum);
    return Math.max(0, sum - (tight - standard));
  }
}
