package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import steadycog.shape.ToothProfile.Point;
import steadycog.train.Teeth;

/** Outlines of whole wheels about the origin, and the radii that go with them, in modules. */
public final class GearOutline {
  /** Taken off every flank of a drawn wheel, so that lines of meshing teeth do not merge. */
  public static final double DRAWN_THINNING = 0.02;

  private static final double RING_ROOT_ROUNDING = 0.2;
  private static final double RIM = 2.2;

  private GearOutline() {}

  /**
   * The toothed outline: of an external wheel its body, of an internal one the hole in its body.
   * Cost: teeth x points a tooth.
   *
   * @param thinning material taken off every flank at the pitch circle, in modules
   */
  public static Outline of(Teeth teeth, Detail detail, double thinning) {
    return of(teeth, Cut.STANDARD, detail, thinning);
  }

  /** The same with teeth cut as {@code cut} says. */
  static Outline of(Teeth teeth, Cut cut, Detail detail, double thinning) {
    return teeth.internal()
        ? internal(teeth.count(), cut.shift(), detail, thinning)
        : external(teeth.count(), cut, detail, thinning);
  }

  /** Radius of the tooth tips: outermost of an external wheel, innermost of an internal one. */
  static double tipRadius(Teeth teeth, Cut cut) {
    return teeth.internal()
        ? ringTip(teeth.count(), cut.shift())
        : new ToothProfile(teeth.count(), cut, BasicRack.ISO_53_A, 0).tipRadius();
  }

  /** Radius of the roots. */
  static double rootRadius(Teeth teeth, Cut cut) {
    double dedendum = BasicRack.ISO_53_A.dedendum();
    return teeth.internal()
        ? teeth.count() / 2.0 + cut.shift() + dedendum
        : new ToothProfile(teeth.count(), cut, BasicRack.ISO_53_A, 0).rootRadius();
  }

  /**
   * Radius of the whole body: the tips of an external wheel, the rim's outside of an internal one.
   */
  static double bodyRadius(Teeth teeth, Cut cut) {
    return teeth.internal() ? rootRadius(teeth, cut) + RIM : tipRadius(teeth, cut);
  }

  private static Outline external(int count, Cut cut, Detail detail, double thinning) {
    ToothProfile profile = new ToothProfile(count, cut, BasicRack.ISO_53_A, thinning);
    return ringOf(count, profile.points(detail));
  }

  /** A ring's space is the tooth of an external wheel of its count, a little wider by thinning. */
  private static Outline internal(int count, double shift, Detail detail, double thinning) {
    double wider = thinning + shift * Math.tan(BasicRack.ISO_53_A.pressureAngle());
    ToothProfile space = new ToothProfile(count, BasicRack.ISO_53_A, -wider);
    double tip = ringTip(count, shift);
    double root = count / 2.0 + shift + BasicRack.ISO_53_A.dedendum();
    double flankEnd = root - RING_ROOT_ROUNDING;
    List<Point> side = new ArrayList<>();
    for (int k = 0; k < detail.flank(); k++) {
      double radius = tip + (flankEnd - tip) * k / (detail.flank() - 1);
      side.add(new Point(radius, space.involuteAngle(radius)));
    }
    double edge = space.involuteAngle(flankEnd);
    double bottom = Math.max(0.2 * edge, edge - RING_ROOT_ROUNDING / root);
    for (int k = 1; k <= detail.fillet(); k++) {
      double turn = Math.PI / 2 * k / detail.fillet();
      side.add(
          new Point(
              flankEnd + (root - flankEnd) * Math.sin(turn),
              bottom + (edge - bottom) * Math.cos(turn)));
    }
    return ringOf(count, side);
  }

  static double ringTip(int count, double shift) {
    double wanted = count / 2.0 + shift - BasicRack.ISO_53_A.addendum();
    double base = count / 2.0 * Math.cos(BasicRack.ISO_53_A.pressureAngle());
    return Math.max(wanted, base);
  }

  /**
   * Repeats a tooth (or space) whose right side mirrors its left one; the tip gets a middle point.
   */
  private static Outline ringOf(int count, List<Point> side) {
    int half = side.size();
    int each = 2 * half + 1;
    double[] x = new double[count * each];
    double[] y = new double[count * each];
    int at = 0;
    for (int tooth = 0; tooth < count; tooth++) {
      double centre = 2 * Math.PI * tooth / count;
      for (int k = 0; k < each; k++) {
        int fromTip = k - half;
        Point point = side.get(fromTip == 0 ? half - 1 : half - Math.abs(fromTip));
        double angle = centre + Integer.signum(fromTip) * point.angle();
        x[at] = point.radius() * Math.cos(angle);
        y[at] = point.radius() * Math.sin(angle);
        at++;
      }
    }
    return new Outline(x, y);
  }
}
