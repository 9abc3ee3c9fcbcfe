package steadycog.shape;

import java.util.List;
import java.util.OptionalDouble;
import steadycog.number.Memo;
import steadycog.shape.ToothProfile.Point;

/**
 * Where the tips of the mate end their path on a wheel cut by a rack. They must work on its
 * involute: below it the flank goes over into the fillet, which stands out from the involute, and
 * what it stands out is lost to the play (ISO 21771, form diameter; Litvin &amp; Fuentes, ch. 6).
 *
 * @param margin radius of curvature of the flank where the path ends, less that where the rack's
 *     straight flank ends, in modules; negative on the fillet
 * @param excess how far the fillet stands out from the involute there, at right angles to it, in
 *     modules; never negative
 */
public record Fillet(double margin, double excess) {
  private static final Detail FINE = new Detail(48, 24, 1, 1);

  /** Where on a tooth a path ends: its curvature there, in modules. */
  private record End(double teeth, Cut cut, double curvature) {}

  private static final Memo<End, Double> EXCESSES = Memo.of(256, Fillet::excess);

  /** On the pinion of a pair; not a number where its tips reach below the base circle. */
  public static Fillet onPinion(PairGeometry pair) {
    double along = pair.centreDistance() * Math.sin(pair.working());
    double end =
        pair.internal() ? pair.gearTipCurvature() - along : along - pair.gearTipCurvature();
    return of(pair.pinion(), pair.pinionCut(), end);
  }

  /** On the gear; a ring is cut by other tools than a rack, so nothing is said of it. */
  public static Fillet onGear(PairGeometry pair) {
    double end = pair.centreDistance() * Math.sin(pair.working()) - pair.pinionTipCurvature();
    return pair.internal()
        ? new Fillet(Double.POSITIVE_INFINITY, 0)
        : of(pair.gear(), pair.gearCut(), end);
  }

  private static Fillet of(double teeth, Cut cut, double end) {
    double sine = Math.sin(cut.rack().pressureAngle());
    double start = teeth / 2 * sine - (cut.rack().addendum() - cut.shift()) / sine;
    double margin = end - start;
    return new Fillet(margin, margin < 0 && end > 0 ? EXCESSES.get(new End(teeth, cut, end)) : 0);
  }

  private static double excess(End end) {
    ToothProfile profile = new ToothProfile(end.teeth, end.cut, 0);
    double base = end.teeth / 2 * Math.cos(end.cut.rack().pressureAngle());
    double radius = Math.hypot(base, end.curvature);
    OptionalDouble real = angleAt(profile.points(FINE), radius);
    double out = real.orElse(0) - profile.involuteAngle(radius);
    return real.isPresent() ? Math.max(0, out * base) : 0;
  }

  /** Half the tooth's angle at {@code radius}; empty beyond the ends of its side. */
  static OptionalDouble angleAt(List<Point> side, double radius) {
    for (int k = 1; k < side.size(); k++) {
      Point in = side.get(k - 1);
      Point out = side.get(k);
      if (in.radius() <= radius && radius <= out.radius() && in.radius() < out.radius()) {
        double share = (radius - in.radius()) / (out.radius() - in.radius());
        return OptionalDouble.of(in.angle() + share * (out.angle() - in.angle()));
      }
    }
    return OptionalDouble.empty();
  }
}
