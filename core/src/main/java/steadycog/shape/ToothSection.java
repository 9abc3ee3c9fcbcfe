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
    double pitch = Math.PI / teeth.count();
    List<ToothSection> all = new ArrayList<>();
    for (ToothProfile.Point point : GearOutline.side(teeth, cut, DETAIL, thinning)) {
      // An internal wheel's tooth lies between two of its spaces.
      double half = teeth.internal() ? pitch - point.angle() : point.angle();
      all.add(
          new ToothSection(point.radius() * Math.cos(half), 2 * point.radius() * Math.sin(half)));
    }
    return all;
  }

  /**
   * Where a force at right angles to the flank at its tip meets the centre-line of the tooth, above
   * the wheel's axis: rb / cos of the angle of the force.
   */
  public static double loadHeight(Teeth teeth, Cut cut, double thinning) {
    double base = teeth.count() / 2.0 * Math.cos(cut.rack().pressureAngle());
    ToothProfile.Point tip =
        GearOutline.side(teeth, cut, DETAIL, thinning).stream()
            .reduce((a, b) -> teeth.internal() == a.radius() < b.radius() ? a : b)
            .orElseThrow();
    double half = teeth.internal() ? Math.PI / teeth.count() - tip.angle() : tip.angle();
    double at = Math.acos(Math.min(1, base / tip.radius()));
    double force = teeth.internal() ? at + half : at - half;
    return base / Math.cos(force);
  }
}
