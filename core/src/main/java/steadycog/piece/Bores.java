package steadycog.piece;

import java.util.ArrayList;
import java.util.List;
import steadycog.number.Quantity;
import steadycog.shape.Outline;
import steadycog.train.Bore;

/** The lines of holes for shafts, in mm. */
public final class Bores {
  /**
   * Shafts up to a diameter, width of their key, and depth of the keyway in the hub (ISO/R 773, DIN
   * 6885 sheet 1).
   */
  private static final double[][] KEYS = {
    {6, 2, 0.5},
    {8, 2, 1.0},
    {10, 3, 1.4},
    {12, 4, 1.8},
    {17, 5, 2.3},
    {22, 6, 2.8},
    {30, 8, 3.3},
    {38, 10, 3.3},
    {44, 12, 3.3},
    {50, 14, 3.8},
    {58, 16, 4.3},
    {65, 18, 4.4},
    {75, 20, 4.9},
    {85, 22, 5.4},
    {95, 25, 5.4},
    {110, 28, 6.4}
  };

  private static final double KEY_SHARE = 0.25;
  private static final double KEY_DEPTH_SHARE = 0.06;
  private static final int CORNERS = 6;

  private Bores() {}

  /** Width of the key of a keyed bore, mm: as stated or usual. */
  public static double keyWidth(Bore.Keyed bore) {
    double size = bore.size().inBase();
    return bore.width().map(Quantity::inBase).orElseGet(() -> usual(size, 1, KEY_SHARE));
  }

  /** How far its keyway reaches beyond the round hole, mm. */
  public static double keyDepth(Bore.Keyed bore) {
    double size = bore.size().inBase();
    return bore.depth().map(Quantity::inBase).orElseGet(() -> usual(size, 2, KEY_DEPTH_SHARE));
  }

  private static double usual(double size, int column, double share) {
    for (double[] key : KEYS) {
      if (size <= key[0]) {
        return key[column];
      }
    }
    return share * size;
  }

  /** The furthest that the hole reaches from its axis, mm, without room for the process. */
  public static double reach(Bore bore) {
    double size = bore.size().inBase();
    return switch (bore) {
      case Bore.Round round -> size / 2;
      case Bore.Keyed keyed -> size / 2 + keyDepth(keyed);
      case Bore.Hexagon hexagon -> size / 2 / Math.cos(Math.PI / CORNERS);
      case Bore.Flatted flatted -> size / 2;
    };
  }

  /**
   * The hole about the axis.
   *
   * @param room added to its diameter
   * @param chord how far a polygon may leave its arc
   */
  public static Region hole(Bore bore, double room, double chord) {
    double radius = (bore.size().inBase() + room) / 2;
    return switch (bore) {
      case Bore.Round round -> Region.disc(radius);
      case Bore.Keyed keyed -> keyed(keyed, radius, room, chord);
      case Bore.Hexagon hexagon -> hexagon(radius);
      case Bore.Flatted flatted -> flatted(flatted, radius, room, chord);
    };
  }

  /** A hexagon about the axis, so wide from it to each side. */
  public static Region hexagon(double inner) {
    double[] x = new double[CORNERS];
    double[] y = new double[CORNERS];
    double outer = inner / Math.cos(Math.PI / CORNERS);
    for (int k = 0; k < CORNERS; k++) {
      x[k] = outer * Math.cos(2 * Math.PI * k / CORNERS);
      y[k] = outer * Math.sin(2 * Math.PI * k / CORNERS);
    }
    return line(new Outline(x, y));
  }

  /** The keyway at the top. */
  private static Region keyed(Bore.Keyed bore, double radius, double room, double chord) {
    double half = (keyWidth(bore) + room) / 2;
    double top = (bore.size().inBase() + room) / 2 + keyDepth(bore);
    double side = Math.asin(Math.min(1, half / radius));
    List<double[]> points = new ArrayList<>();
    arc(points, radius, Math.PI / 2 + side, Math.PI / 2 - side + 2 * Math.PI, chord);
    points.add(new double[] {half, top});
    points.add(new double[] {-half, top});
    return line(outline(points));
  }

  /** The flat at the top. */
  private static Region flatted(Bore.Flatted bore, double radius, double room, double chord) {
    double height = bore.across().inBase() + room - radius;
    double side = Math.acos(Math.clamp(height / radius, -1, 1));
    List<double[]> points = new ArrayList<>();
    arc(points, radius, Math.PI / 2 + side, Math.PI / 2 - side + 2 * Math.PI, chord);
    return line(outline(points));
  }

  private static void arc(
      List<double[]> points, double radius, double from, double to, double chord) {
    int steps =
        (int) Math.ceil(Region.corners(radius, chord) * Math.abs(to - from) / (2 * Math.PI));
    for (int k = 0; k <= steps; k++) {
      double angle = from + (to - from) * k / steps;
      points.add(new double[] {radius * Math.cos(angle), radius * Math.sin(angle)});
    }
  }

  private static Outline outline(List<double[]> points) {
    return new Outline(
        points.stream().mapToDouble(point -> point[0]).toArray(),
        points.stream().mapToDouble(point -> point[1]).toArray());
  }

  private static Region line(Outline outline) {
    return new Region(List.of(outline), List.of());
  }
}
