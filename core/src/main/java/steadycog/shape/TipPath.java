package steadycog.shape;

import java.util.List;
import java.util.OptionalDouble;
import steadycog.number.Memo;
import steadycog.shape.ToothProfile.Point;

/**
 * How near the tips of each wheel of a pair come to the sides of its mate's teeth as they are made,
 * fillets and all: the corner of a tooth is followed on its way through the gap, and what is left
 * between them is least where it ends on the involute, or, worse, on the fillet (Litvin &amp;
 * Fuentes, ch. 6).
 */
public final class TipPath {
  private static final Detail FINE = new Detail(65, 48, 0, 0);
  private static final int STEPS = 480;

  /** Pitches before and behind the middle that a corner is followed. */
  private static final double PITCHES = 2;

  /** A pair as it is thinned. */
  private record Made(PairGeometry pair, double pinionThinning, double gearThinning) {}

  private static final Memo<Made, Double> PLAYS = Memo.of(256, TipPath::play);

  private TipPath() {}

  /**
   * A wheel's count and the side of its tooth, of a ring of its space.
   *
   * @param inside whether it is a ring
   */
  private record Wheel(double teeth, boolean inside, List<Point> side) {
    static Wheel of(double teeth, boolean inside, Cut cut, double thinning) {
      return new Wheel(teeth, inside, GearOutline.side(teeth, inside, cut, FINE, thinning));
    }

    private double tipRadius() {
      return inside ? side.getFirst().radius() : side.getLast().radius();
    }

    /** Half a tooth at its tip, radians. */
    private double tipAngle() {
      return inside ? Math.PI / teeth - side.getFirst().angle() : side.getLast().angle();
    }

    /** Half of a gap at a radius, radians; infinite beyond the ends of its sides. */
    private double gap(double radius) {
      OptionalDouble angle = Fillet.angleAt(side, radius);
      if (angle.isEmpty()) {
        return Double.POSITIVE_INFINITY;
      }
      double half = angle.getAsDouble();
      return inside ? half : Math.PI / teeth - half;
    }
  }

  /**
   * By how much the pinion can be turned in all while the gear stands, for all that tips do,
   * radians; negative where they overlap, infinite where no tip reaches a side. Cost: some thousand
   * points.
   *
   * @param pinionThinning taken off each flank along the pitch circle, in modules
   */
  public static double play(PairGeometry pair, double pinionThinning, double gearThinning) {
    return PLAYS.get(new Made(pair, pinionThinning, gearThinning));
  }

  private static double play(Made made) {
    PairGeometry pair = made.pair;
    double pinionThinning = made.pinionThinning;
    double gearThinning = made.gearThinning;
    boolean inside = pair.internal();
    Wheel pinion = Wheel.of(pair.pinion(), false, pair.pinionCut(), pinionThinning);
    Wheel gear = Wheel.of(pair.gear(), inside, pair.gearCut(), gearThinning);
    double ratio = pair.gear() / pair.pinion();
    double a = pair.centreDistance();
    double least =
        Math.min(
            least(gear, pinion, inside ? -a : a, inside), ratio * least(pinion, gear, a, inside));
    return 2 * least;
  }

  /**
   * The least angle about {@code mate} between the corner of a tip and the side of the gap that it
   * goes through.
   *
   * @param distance from the mate's axis to the wheel's, to the right
   */
  private static double least(Wheel tip, Wheel mate, double distance, boolean inside) {
    double least = Double.POSITIVE_INFINITY;
    double radius = tip.tipRadius();
    double half = tip.tipAngle();
    double range = PITCHES * 2 * Math.PI / tip.teeth;
    double ratio = tip.teeth / mate.teeth;
    for (int k = -STEPS; k <= STEPS; k++) {
      double turned = range * k / STEPS;
      // Inside a ring both turn one way, and the meeting point lies to the right of both.
      double angle = inside ? turned + half : Math.PI + turned - half;
      double x = distance + radius * Math.cos(angle);
      double y = radius * Math.sin(angle);
      double seen = Math.atan2(y, x) - (inside ? turned : -turned) * ratio;
      least = Math.min(least, mate.gap(Math.hypot(x, y)) - seen);
    }
    return least;
  }
}
