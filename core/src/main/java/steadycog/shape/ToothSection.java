package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import steadycog.train.Teeth;

/**
 * A straight section across a tooth as it is cut, in modules.
 *
 * @param height of the section above the wheel's axis
 * @param thickness along it
 */
public record ToothSection(double height, double thickness) {
  private static final Detail DETAIL = new Detail(17, 48, 0, 0);

  /**
   * Sections through every point of a tooth's side, flank and fillet.
   *
   * @param thinning taken off each flank along the pitch circle, in modules
   */
  public static List<ToothSection> of(Teeth teeth, Cut cut, double thinning) {
    return of(teeth.count(), teeth.internal(), cut, thinning);
  }

  /** The same of a count that need not be whole. */
  public static List<ToothSection> of(double count, boolean internal, Cut cut, double thinning) {
    double pitch = Math.PI / count;
    List<ToothSection> all = new ArrayList<>();
    for (ToothProfile.Point point : GearOutline.side(count, internal, cut, DETAIL, thinning)) {
      // An internal wheel's tooth lies between two of its spaces.
      double half = internal ? pitch - point.angle() : point.angle();
      all.add(
          new ToothSection(point.radius() * Math.cos(half), 2 * point.radius() * Math.sin(half)));
    }
    return all;
  }

  /**
   * Where a force at right angles to the flank at its tip meets the centre-line of the tooth, above
   * the wheel's axis: rb / cos of the angle of the force.
   */
  public static double loadHeight(double count, boolean internal, Cut cut, double thinning) {
    double base = count / 2 * Math.cos(cut.rack().pressureAngle());
    ToothProfile.Point tip =
        GearOutline.side(count, internal, cut, DETAIL, thinning).stream()
            .reduce((a, b) -> internal == a.radius() < b.radius() ? a : b)
            .orElseThrow();
    double half = internal ? Math.PI / count - tip.angle() : tip.angle();
    double at = Math.acos(Math.min(1, base / tip.radius()));
    double force = internal ? at + half : at - half;
    return base / Math.cos(force);
  }
}
