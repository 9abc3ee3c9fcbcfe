package steadycog.app.geartable;

import java.util.List;
import steadycog.shape.Detail;
import steadycog.shape.GearOutline;
import steadycog.shape.Outline;
import steadycog.shape.PlacedPlate;
import steadycog.shape.PlacedPlate.Circle;
import steadycog.shape.PlacedPlate.Kind;
import steadycog.shape.PlacedWheel;

/**
 * SVG path text of a wheel's body about the origin, in pixels, y down; fill rule even-odd. A wheel
 * is filled twice, once in ink and once inset by the width of a line: in software rendering that
 * costs far less than stroking the outline of every tooth.
 */
final class WheelPath {
  private static final double FINE_FROM = 26;
  private static final double MEDIUM_FROM = 10;

  /** Teeth closer than this blur: the wheel is drawn as a plain disc. */
  private static final double TEETH_FROM = 2.2;

  /** Sharp corners move no further than this many line widths. */
  private static final double LONGEST_MITRE = 2;

  private final double scale;
  private final StringBuilder text = new StringBuilder();

  private WheelPath(double scale) {
    this.scale = scale;
  }

  /** Round holes in the web of a wheel, spread over a circle, in pixels. */
  record Holes(int count, double circle, double radius) {
    static final Holes NONE = new Holes(0, 0, 0);
  }

  /**
   * The body, its material drawn back by {@code inset} pixels from all edges.
   *
   * @param scale pixels a module
   */
  static String of(PlacedWheel wheel, double scale, Holes holes, double inset) {
    WheelPath path = new WheelPath(scale);
    path.addTeeth(wheel, wheel.teeth().internal() ? -inset : inset);
    if (wheel.teeth().internal()) {
      path.addCircle(0, 0, wheel.bodyRadius() * scale - inset);
    }
    if (wheel.hollow() > 0) {
      path.addCircle(0, 0, wheel.hollow() * scale + inset);
    }
    for (int k = 0; k < holes.count; k++) {
      double angle = 2 * Math.PI * (k + 0.5) / holes.count + Math.PI / 2;
      path.addCircle(
          holes.circle * Math.cos(angle), holes.circle * Math.sin(angle), holes.radius + inset);
    }
    return path.text.toString();
  }

  /** A plate between {@code lines} and its circles, in the same way. */
  static String of(PlacedPlate plate, List<Outline> lines, double scale, double inset) {
    WheelPath path = new WheelPath(scale);
    boolean hollow = plate.kind() == Kind.CIRCULAR_SPLINE || plate.kind() == Kind.PIN_RING;
    lines.forEach(line -> path.addLine(line, hollow ? -inset : inset));
    for (int k = 0; k < plate.circles().size(); k++) {
      boolean hole = plate.kind() == Kind.DISC || (plate.kind() == Kind.CASE && k == 1);
      Circle circle = plate.circles().get(k);
      path.addCircle(
          circle.x() * scale,
          -circle.y() * scale,
          circle.radius() * scale - (hole ? -inset : inset));
    }
    return path.text.toString();
  }

  /** Round studs as one shape. */
  static String of(List<Circle> studs, double scale) {
    WheelPath path = new WheelPath(scale);
    for (Circle stud : studs) {
      path.addCircle(stud.x() * scale, -stud.y() * scale, Math.max(1, stud.radius() * scale));
    }
    return path.text.toString();
  }

  private void addTeeth(PlacedWheel wheel, double inward) {
    double pitch = Math.PI * wheel.scale() * scale;
    if (pitch < TEETH_FROM) {
      addCircle(0, 0, wheel.pitchRadius() * scale - inward);
      return;
    }
    Detail detail =
        pitch >= FINE_FROM ? Detail.FINE : pitch >= MEDIUM_FROM ? Detail.MEDIUM : Detail.COARSE;
    addLine(wheel.outline(detail, GearOutline.DRAWN_THINNING), inward);
  }

  private void addLine(Outline outline, double inward) {
    for (int k = 0; k < outline.size(); k++) {
      text.append(k == 0 ? "M" : "L");
      addPoint(outline, k, inward);
    }
    text.append('Z');
  }

  /**
   * Point k moved against the outward normal, so that both edges that meet there move by as much.
   */
  private void addPoint(Outline outline, int k, double inward) {
    int size = outline.size();
    double x = outline.x()[k];
    double y = outline.y()[k];
    if (inward != 0) {
      int before = (k + size - 1) % size;
      int after = (k + 1) % size;
      double[] one = normal(outline, before, k);
      double[] two = normal(outline, k, after);
      double share = 1 + one[0] * two[0] + one[1] * two[1];
      double reach = Math.min(LONGEST_MITRE, 1 / Math.max(share, 1e-3)) * inward / scale;
      x -= reach * (one[0] + two[0]);
      y -= reach * (one[1] + two[1]);
    }
    number(x * scale);
    text.append(' ');
    number(-y * scale);
  }

  /**
   * The unit normal of the edge between two points, outwards since outlines run counter-clockwise.
   */
  private static double[] normal(Outline outline, int from, int to) {
    double dx = outline.x()[to] - outline.x()[from];
    double dy = outline.y()[to] - outline.y()[from];
    double length = Math.max(1e-9, Math.hypot(dx, dy));
    return new double[] {dy / length, -dx / length};
  }

  private void addCircle(double x, double y, double radius) {
    text.append('M');
    number(x - radius);
    text.append(' ');
    number(y);
    for (int half = 0; half < 2; half++) {
      text.append('a');
      number(radius);
      text.append(' ');
      number(radius);
      text.append(" 0 1 0 ");
      number(half == 0 ? 2 * radius : -2 * radius);
      text.append(" 0");
    }
    text.append('Z');
  }

  /** Hundredths of a pixel, without the cost of a formatter. */
  private void number(double value) {
    long hundredths = Math.round(value * 100);
    if (hundredths < 0) {
      text.append('-');
      hundredths = -hundredths;
    }
    text.append(hundredths / 100).append('.');
    long rest = hundredths % 100;
    text.append(rest < 10 ? "0" : "").append(rest);
  }
}
