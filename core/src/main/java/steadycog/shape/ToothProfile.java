package steadycog.shape;

import java.util.ArrayList;
import java.util.List;

/**
 * One side of a tooth as cut by a rack: points from the root to the tip, each a radius and the
 * angle from the tooth's centre-line. The flank is the involute; the root is the trochoid that the
 * rounded rack tip really sweeps, so that a small pinion comes out undercut as it would on the
 * machine (Litvin & Fuentes, <i>Gear Geometry and Applied Theory</i>, ch. 6).
 */
final class ToothProfile {
  /** Below this count full-depth teeth would cross the centre; drawn teeth are lowered to fit. */
  private static final int FULL_DEPTH_FROM = 6;

  private static final int FILLET_SAMPLES = 48;
  private static final double LEAST_TIP_HALF_WIDTH = 0.02;
  private static final double HAIR = 1e-6;
  private static final int HALVINGS = 40;

  /** A point in polar form: radius in modules, angle from the centre-line in radians, positive. */
  record Point(double radius, double angle) {
    private double x() {
      return radius * Math.cos(angle);
    }

    private double y() {
      return radius * Math.sin(angle);
    }

    /** Distance from the straight line between two others. */
    double distanceTo(Point from, Point to) {
      double dx = to.x() - from.x();
      double dy = to.y() - from.y();
      double squared = dx * dx + dy * dy;
      double along = squared == 0 ? 0 : ((x() - from.x()) * dx + (y() - from.y()) * dy) / squared;
      double share = Math.clamp(along, 0, 1);
      return Math.hypot(from.x() + share * dx - x(), from.y() + share * dy - y());
    }
  }

  private final BasicRack rack;
  private final double depth;
  private final double pitchRadius;
  private final double baseRadius;
  private final double halfAngleAtPitch;
  private final double thinning;
  private final double teeth;
  private final Cut cut;

  /** A profile without shift. */
  ToothProfile(double teeth, BasicRack rack, double thinning) {
    this(teeth, new Cut(rack, 0, 0), thinning);
  }

  /**
   * A profile of {@code teeth} teeth, which need not be a whole number.
   *
   * @param thinning material taken off each flank at the pitch circle, in modules along the arc
   */
  ToothProfile(double teeth, Cut cut, double thinning) {
    this.teeth = teeth;
    this.cut = cut;
    this.rack = cut.rack();
    this.thinning = thinning;
    this.depth = Math.min(1, teeth / FULL_DEPTH_FROM);
    this.pitchRadius = teeth / 2.0;
    this.baseRadius = pitchRadius * Math.cos(rack.pressureAngle());
    double thicker = cut.shift() * Math.tan(rack.pressureAngle());
    this.halfAngleAtPitch = Math.PI / (2.0 * teeth) + (thicker - thinning) / pitchRadius;
  }

  double tipRadius() {
    double wanted = pitchRadius + depth * rack.addendum() + cut.shift() - cut.shortening();
    double narrowest = LEAST_TIP_HALF_WIDTH;
    while (wanted > baseRadius && involuteAngle(wanted) * wanted < narrowest) {
      wanted -= 0.01;
    }
    return wanted;
  }

  double rootRadius() {
    return pitchRadius - depth * rack.dedendum() + cut.shift();
  }

  /**
   * Half the tooth's angle at {@code radius}, by the involute; at or below the base circle its end.
   */
  double involuteAngle(double radius) {
    double inv = BasicRack.involute(rack.pressureAngle());
    double cos = Math.min(1, baseRadius / radius);
    return halfAngleAtPitch + inv - BasicRack.involute(Math.acos(cos));
  }

  /** The side of a tooth from root to tip. */
  List<Point> points(Detail detail) {
    List<Point> fillet = withinGap(fillet());
    List<Point> side = new ArrayList<>(thinned(fillet, detail.fillet()));
    double from = Math.max(fillet.getLast().radius(), baseRadius);
    double tip = tipRadius();
    for (int k = 0; k < detail.flank(); k++) {
      // Closer together towards the base circle, where the involute bends most.
      double share = (double) k / (detail.flank() - 1);
      double radius = from + (tip - from) * share * (0.4 + 0.6 * share);
      side.add(new Point(radius, involuteAngle(radius)));
    }
    return side;
  }

  /** The trochoid from the root circle to where it meets the involute, in fine steps. */
  private List<Point> fillet() {
    double tan = Math.tan(rack.pressureAngle());
    double bottom = depth * rack.dedendum();
    double halfPitch = Math.PI / 4;
    double rounding =
        Math.min(
            depth * rack.tipRadius(),
            0.95
                * (halfPitch - bottom * tan)
                * Math.cos(rack.pressureAngle())
                / (1 - Math.sin(rack.pressureAngle())));
    double centreAside =
        halfPitch - (bottom - rounding) * tan - rounding / Math.cos(rack.pressureAngle());
    double centreDepth = depthBelowRolling(bottom - rounding);
    List<Point> points = new ArrayList<>();
    double outside = 0;
    for (int k = 0; k <= FILLET_SAMPLES; k++) {
      double along = centreDepth / tan * k / FILLET_SAMPLES;
      Point point = trochoid(along, centreDepth, centreAside, rounding);
      if (isInside(point)) {
        points.add(joint(outside, along, centreDepth, centreAside, rounding));
        break;
      }
      points.add(point);
      outside = along;
    }
    return points;
  }

  /** Without what lies beyond the middle of the gap, as of teeth that were thickened so far. */
  private List<Point> withinGap(List<Point> fillet) {
    // A hair before it, so that neighbouring gaps do not share a point.
    double pitch = Math.PI / teeth * (1 - HAIR);
    int first = 0;
    while (first + 1 < fillet.size() && fillet.get(first).angle() > pitch) {
      first++;
    }
    if (first == 0) {
      return fillet;
    }
    Point beyond = fillet.get(first - 1);
    Point within = fillet.get(first);
    double share = (beyond.angle() - pitch) / (beyond.angle() - within.angle());
    List<Point> kept = new ArrayList<>(fillet.subList(first, fillet.size()));
    kept.addFirst(
        new Point(
            beyond.radius() + Math.clamp(share, 0, 1) * (within.radius() - beyond.radius()),
            pitch));
    return kept;
  }

  /** Whether a point of the trochoid lies inside the involute: what it cuts away of the flank. */
  private boolean isInside(Point point) {
    return point.radius() >= baseRadius && point.angle() <= involuteAngle(point.radius());
  }

  /** Where the trochoid of an undercut tooth meets the involute, between two places of the rack. */
  private Point joint(
      double outside, double inside, double centreDepth, double centreAside, double rounding) {
    double from = outside;
    double to = inside;
    for (int k = 0; k < HALVINGS; k++) {
      double middle = (from + to) / 2;
      if (isInside(trochoid(middle, centreDepth, centreAside, rounding))) {
        to = middle;
      } else {
        from = middle;
      }
    }
    return trochoid(to, centreDepth, centreAside, rounding);
  }

  /** The rack's reference line is moved out by the shift; a hair keeps the normal defined. */
  private double depthBelowRolling(double depth) {
    double below = depth - cut.shift();
    return Math.abs(below) < HAIR ? HAIR : below;
  }

  /**
   * Where the rack tip's rounding touches when its centre stands {@code along} past the pitch
   * point: the contact normal goes through the pitch point (law of gearing).
   */
  private Point trochoid(double along, double centreDepth, double centreAside, double rounding) {
    // A centre above the rolling line, as a large shift gives, touches towards the pitch point.
    double length = Math.copySign(Math.hypot(along, centreDepth), centreDepth);
    double x = along + rounding * along / length;
    double y = pitchRadius - centreDepth - rounding * centreDepth / length;
    double roll = (along - centreAside) / pitchRadius;
    double fromGapCentre = Math.atan2(x, y) - roll;
    return new Point(Math.hypot(x, y), Math.PI / teeth - fromGapCentre - thinning / pitchRadius);
  }

  private static List<Point> thinned(List<Point> points, int wanted) {
    List<Point> kept = new ArrayList<>();
    int last = points.size() - 1;
    for (int k = 0; k < wanted; k++) {
      // The join with the involute is drawn by the flank.
      kept.add(points.get(Math.round((float) last * k / wanted)));
    }
    return kept;
  }
}
