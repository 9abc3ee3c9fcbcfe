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

  /** Material outside the roots of a ring, in modules: 1.2 tooth heights (AGMA 2001). */
  public static final double RIM = 2.75;

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
  public static Outline of(Teeth teeth, Cut cut, Detail detail, double thinning) {
    return ringOf(teeth.count(), side(teeth, cut, detail, thinning), detail);
  }

  /** One side of a tooth, of a ring's space, from the inside outwards or the outside inwards. */
  static List<Point> side(Teeth teeth, Cut cut, Detail detail, double thinning) {
    return side(teeth.count(), teeth.internal(), cut, detail, thinning);
  }

  /** The same of a count that need not be whole. */
  static List<Point> side(double count, boolean internal, Cut cut, Detail detail, double thinning) {
    return internal
        ? internal(count, cut, detail, thinning)
        : new ToothProfile(count, cut, thinning).points(detail);
  }

  /** Radius of the tooth tips: outermost of an external wheel, innermost of an internal one. */
  public static double tipRadius(Teeth teeth, Cut cut) {
    return tipRadius(teeth.count(), teeth.internal(), cut);
  }

  /** The same of a count that need not be whole. */
  public static double tipRadius(double count, boolean internal, Cut cut) {
    return internal ? ringTip(count, cut) : new ToothProfile(count, cut, 0).tipRadius();
  }

  /**
   * The same of teeth that are made thinner: pointed ones end lower.
   *
   * @param thinning taken off each flank along the pitch circle, in modules
   */
  public static double tipRadius(Teeth teeth, Cut cut, double thinning) {
    return teeth.internal()
        ? ringTip(teeth.count(), cut)
        : new ToothProfile(teeth.count(), cut, thinning).tipRadius();
  }

  /** Radius of the roots, in modules. */
  public static double rootRadius(Teeth teeth, Cut cut) {
    return rootRadius(teeth.count(), teeth.internal(), cut);
  }

  /** The same of a count that need not be whole. */
  public static double rootRadius(double count, boolean internal, Cut cut) {
    double dedendum = cut.rack().dedendum();
    return internal
        ? count / 2 + cut.shift() + dedendum
        : new ToothProfile(count, cut, 0).rootRadius();
  }

  /**
   * Radius of the whole body: the tips of an external wheel, the rim's outside of an internal one.
   */
  static double bodyRadius(Teeth teeth, Cut cut) {
    return teeth.internal() ? rootRadius(teeth, cut) + RIM : tipRadius(teeth, cut);
  }

  /** A ring's space is the tooth of an external wheel of its count, a little wider by thinning. */
  private static List<Point> internal(double count, Cut cut, Detail detail, double thinning) {
    double wider = thinning + cut.shift() * Math.tan(cut.rack().pressureAngle());
    ToothProfile space = new ToothProfile(count, cut.rack(), -wider);
    double tip = ringTip(count, cut);
    double root = count / 2.0 + cut.shift() + cut.rack().dedendum();
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
    return side;
  }

  static double ringTip(double count, Cut cut) {
    double wanted = count / 2.0 + cut.shift() - cut.rack().addendum() + cut.shortening();
    double base = count / 2.0 * Math.cos(cut.rack().pressureAngle());
    return Math.max(wanted, base);
  }

  /** Repeats a tooth (or space) whose right side mirrors its left one, with points on its lands. */
  private static Outline ringOf(int count, List<Point> side, Detail detail) {
    int half = side.size();
    int each = 2 * half + detail.tip() + detail.root();
    double[] x = new double[count * each];
    double[] y = new double[count * each];
    Point first = side.getFirst();
    Point last = side.getLast();
    double pitch = Math.PI / count;
    int at = 0;
    for (int tooth = 0; tooth < count; tooth++) {
      double centre = 2 * Math.PI * tooth / count;
      for (int k = 0; k < half; k++) {
        at = put(x, y, at, side.get(k).radius(), centre - side.get(k).angle());
      }
      for (int k = 1; k <= detail.tip(); k++) {
        double share = 2.0 * k / (detail.tip() + 1) - 1;
        at = put(x, y, at, last.radius(), centre + share * last.angle());
      }
      for (int k = half - 1; k >= 0; k--) {
        at = put(x, y, at, side.get(k).radius(), centre + side.get(k).angle());
      }
      for (int k = 1; k <= detail.root(); k++) {
        double share = (double) k / (detail.root() + 1);
        double from = first.angle();
        at = put(x, y, at, first.radius(), centre + from + share * 2 * (pitch - from));
      }
    }
    return new Outline(x, y);
  }

  private static int put(double[] x, double[] y, int at, double radius, double angle) {
    x[at] = radius * Math.cos(angle);
    y[at] = radius * Math.sin(angle);
    return at + 1;
  }
}
