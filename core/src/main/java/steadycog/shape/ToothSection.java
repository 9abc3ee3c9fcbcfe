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
  /** The share of a tooth's depth, from its tip, that is no beam. */
  private static final double BEAM = 0.5;

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
   * A force at right angles to the flank.
   *
   * @param height where it meets the centre-line of the tooth, above the wheel's axis: rb / cos of
   *     its angle
   * @param angle between it and a line across the tooth, radians
   */
  public record Load(double height, double angle) {}

  /**
   * Where a force at right angles to the flank at its tip meets the centre-line of the tooth, above
   * the wheel's axis.
   */
  public static double loadHeight(double count, boolean internal, Cut cut, double thinning) {
    return load(count, internal, cut, thinning, GearOutline.tipRadius(count, internal, cut))
        .height();
  }

  /**
   * A force on the flank at a radius, in modules; the tip's where that is beyond it.
   *
   * @param radius at which it acts
   */
  public static Load load(double count, boolean internal, Cut cut, double thinning, double radius) {
    double base = count / 2 * Math.cos(cut.rack().pressureAngle());
    ToothProfile.Point tip =
        GearOutline.side(count, internal, cut, DETAIL, thinning).stream()
            .reduce((a, b) -> internal == a.radius() < b.radius() ? a : b)
            .orElseThrow();
    double atTip = Math.acos(Math.min(1, base / tip.radius()));
    boolean inside = internal ? radius > tip.radius() : radius < tip.radius();
    double at = inside ? Math.acos(Math.min(1, base / radius)) : atTip;
    double thicker = BasicRack.involute(atTip) - BasicRack.involute(at);
    double half = internal ? Math.PI / count - tip.angle() - thicker : tip.angle() + thicker;
    double force = internal ? at + half : at - half;
    return new Load(base / Math.cos(force), force);
  }

  /**
   * The section at which a beam of equal strength touches the tooth from inside: that of the least
   * t² / (4 h), h how far it lies from where the load meets the centre-line, towards the root. Of
   * pointed teeth the outer half is no beam and is left out.
   *
   * @param thickness t of it; of no section endless, as its {@code strength}
   * @param arm h of it
   * @param strength t² / (4 h)
   */
  public record Weakest(double thickness, double arm, double strength) {}

  /** That of one tooth under a load that meets its centre-line at a height. */
  public static Weakest weakest(
      double count, boolean internal, Cut cut, double thinning, double height) {
    double root = GearOutline.rootRadius(count, internal, cut);
    double tip = GearOutline.tipRadius(count, internal, cut);
    Weakest least = new Weakest(Double.MAX_VALUE, 1, Double.MAX_VALUE);
    for (ToothSection section : of(count, internal, cut, thinning)) {
      double arm = internal ? section.height - height : height - section.height;
      boolean bent = arm > 0 && Math.abs(section.height - tip) >= BEAM * Math.abs(tip - root);
      double strength = section.thickness * section.thickness / (4 * arm);
      if (bent && strength < least.strength) {
        least = new Weakest(section.thickness, arm, strength);
      }
    }
    return least;
  }
}
