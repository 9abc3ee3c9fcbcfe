package steadycog.shape;

import java.util.List;
import steadycog.train.Bevel;
import steadycog.train.Clearance.Gap;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Helices;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Parallel;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/**
 * How a wheel's teeth are cut, in the plane of rotation and modules of that plane (ISO 21771).
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
        shortening = Math.max(shortening, shortening(train, mesh));
      }
    }
    return new Cut(
        BasicRack.of(train, wheel), shift(train, wheel), shortening + tipGap(train, wheel));
  }

  /** The same at right angles to the teeth of {@code wheel}, in modules of that plane. */
  public Cut across(Train train, MemberId wheel) {
    double cosine = Helices.of(train, wheel).cosine();
    return cosine == 1
        ? this
        : new Cut(BasicRack.of(train.sizes().rackInForce()), shift / cosine, shortening / cosine);
  }

  /** What is taken off tips for the process, in modules of the wheel. */
  private static double tipGap(Train train, MemberId wheel) {
    return train.sizes().clearance().mm(Gap.TIP) / train.moduleMm(wheel);
  }

  /** The stated shift of a wheel in modules of the plane of rotation; 0 where none is. */
  static double shift(Train train, MemberId wheel) {
    double stated = train.sizes().shift(wheel).map(x -> x.doubleValue()).orElse(0.0);
    return stated * Helices.of(train, wheel).cosine();
  }

  /** Tip alteration: shifted wheels come nearer than their shifts would have them (ISO 21771). */
  private static double shortening(Train train, Mesh mesh) {
    double sum = shift(train, mesh.a()) + shift(train, mesh.b());
    double standard = (mesh.teethA().count() + mesh.teethB().count()) / 2.0;
    double tight = PairGeometry.tightDistance(BasicRack.of(train, mesh.a()), standard, sum);
    return Math.max(0, sum - (tight - standard));
  }
}
