package steadycog.piece;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.valid.IsSimpleOp;
import steadycog.shape.Outline;

/**
 * Material between closed lines: it lies where an odd number of them goes round.
 *
 * @param lines in mm, none crossing another
 * @param circles in mm
 */
public record Region(List<Outline> lines, List<Round> circles) {
  private static final GeometryFactory FACTORY = new GeometryFactory();
  private static final int FEWEST_CORNERS = 12;

  /** A circle. */
  public record Round(double x, double y, double radius) {

    /** A polygon on the circle, at most {@code chord} inside it. */
    public Outline outline(double chord) {
      int count = corners(radius, chord);
      double[] px = new double[count];
      double[] py = new double[count];
      for (int k = 0; k < count; k++) {
        double angle = 2 * Math.PI * k / count;
        px[k] = x + radius * Math.cos(angle);
        py[k] = y + radius * Math.sin(angle);
      }
      return new Outline(px, py);
    }
  }

  public Region {
    lines = List.copyOf(lines);
    circles = List.copyOf(circles);
  }

  /** A full disc about the axis. */
  public static Region disc(double radius) {
    return new Region(List.of(), List.of(new Round(0, 0, radius)));
  }

  /** Corners of a polygon that stays within {@code chord} of its circle. */
  static int corners(double radius, double chord) {
    double half = Math.acos(Math.max(0, 1 - chord / radius));
    return Math.max(FEWEST_CORNERS, (int) Math.ceil(Math.PI / half));
  }

  /** Nothing. */
  public static Region none() {
    return new Region(List.of(), List.of());
  }

  public boolean isEmpty() {
    return lines.isEmpty() && circles.isEmpty();
  }

  /**
   * The same without {@code hole}, whose lines stay as they are where a wall is left all round. Of
   * lines that enclose nothing that could be made nothing can be taken: they keep their flaw. Of
   * holes that run into each other each is taken by itself.
   */
  public Region minus(Region hole, double chord) {
    if (hole.circles.size() > 1 && hole.flaw(chord).isPresent()) {
      Region left = this;
      for (Round circle : hole.circles) {
        left = left.minus(new Region(hole.lines, List.of(circle)), chord);
      }
      return left;
    }
    if (hole.isEmpty() || flaw(chord).isPresent()) {
      return with(hole);
    }
    List<Outline> all = new ArrayList<>(outlines(chord));
    all.addAll(hole.outlines(chord));
    int own = lines.size() + circles.size();
    if (Nest.of(all).filter(nest -> nest.isInMaterial(own)).isPresent()) {
      return with(hole);
    }
    Geometry body = area(chord);
    Geometry gone = hole.area(chord);
    return PreparedGeometryFactory.prepare(body).containsProperly(gone)
        ? with(hole)
        : of(overlay(body, gone, OverlayNG.DIFFERENCE));
  }

  /** Whether every line of {@code part} is one of these. */
  boolean holds(Region part) {
    return lines.containsAll(part.lines) && circles.containsAll(part.circles);
  }

  /** What {@code outside} encloses, without what these lines enclose, which lie inside it. */
  public Region within(Region outside) {
    return with(outside);
  }

  private Region with(Region more) {
    List<Outline> all = new ArrayList<>(lines);
    all.addAll(more.lines);
    List<Round> round = new ArrayList<>(circles);
    round.addAll(more.circles);
    return new Region(all, round);
  }

  /** The same turned by {@code angle} (radians) about the axis and then moved. */
  public Region placed(double angle, double dx, double dy) {
    double cos = Math.cos(angle);
    double sin = Math.sin(angle);
    return new Region(
        lines.stream().map(line -> line.placed(angle, dx, dy)).toList(),
        circles.stream()
            .map(c -> new Round(dx + c.x * cos - c.y * sin, dy + c.x * sin + c.y * cos, c.radius))
            .toList());
  }

  /** The same turned over about the y axis: what was to the right is to the left. */
  Region turnedOver() {
    return new Region(
        lines.stream().map(Outline::turnedOver).toList(),
        circles.stream().map(c -> new Round(-c.x, c.y, c.radius)).toList());
  }

  /** Every line as a polygon, circles within {@code chord}. */
  public List<Outline> outlines(double chord) {
    List<Outline> all = new ArrayList<>(lines);
    circles.forEach(circle -> all.add(circle.outline(chord)));
    return all;
  }

  /** The material as an area. */
  public Geometry area(double chord) {
    List<Outline> all = outlines(chord);
    return all.size() == 1
        ? polygon(all.getFirst())
        : Nest.of(all).map(Nest::area).orElseGet(() -> overlaid(all));
  }

  /** What an odd number of lines goes round, also where they meet. */
  static Geometry overlaid(List<Outline> all) {
    Geometry sum = FACTORY.createPolygon();
    for (Outline line : all) {
      sum = overlay(sum, polygon(line), OverlayNG.SYMDIFFERENCE);
    }
    return sum;
  }

  /** Two areas laid over each other, also where lines of both lie nearly in one. */
  static Geometry overlay(Geometry one, Geometry other, int how) {
    return OverlayNGRobust.overlay(one, other, how);
  }

  /**
   * Why this is nothing that can be cut: lines that do not follow from the sizes, that cross
   * themselves, or each other; empty where it can. Cost: points times their logarithm.
   */
  Optional<String> flaw(double chord) {
    boolean known =
        circles.stream().allMatch(c -> Double.isFinite(c.x + c.y + c.radius) && c.radius > 0)
            && lines.stream().allMatch(Region::isFinite);
    if (!known) {
      return Optional.of("its outline does not follow from these sizes");
    }
    List<Outline> all = outlines(chord);
    if (Nest.of(all).isPresent()) {
      return Optional.empty();
    }
    LineString[] rings =
        all.stream().map(line -> polygon(line).getExteriorRing()).toArray(LineString[]::new);
    IsSimpleOp simple = new IsSimpleOp(FACTORY.createMultiLineString(rings));
    if (simple.isSimple()) {
      return Optional.empty();
    }
    Coordinate at = simple.getNonSimpleLocation();
    return Optional.of(
        String.format(
            Locale.ROOT,
            "its outline crosses itself or another line of it, %.3f mm from its axis",
            Math.hypot(at.x, at.y)));
  }

  private static boolean isFinite(Outline line) {
    for (int k = 0; k < line.size(); k++) {
      if (!Double.isFinite(line.x()[k] + line.y()[k])) {
        return false;
      }
    }
    return true;
  }

  /** The area that a line encloses. */
  public static Polygon polygon(Outline outline) {
    Coordinate[] ring = new Coordinate[outline.size() + 1];
    for (int k = 0; k < outline.size(); k++) {
      ring[k] = new Coordinate(outline.x()[k], outline.y()[k]);
    }
    ring[outline.size()] = ring[0].copy();
    return FACTORY.createPolygon(ring);
  }

  /** The lines of an area. */
  public static Region of(Geometry area) {
    List<Outline> lines = new ArrayList<>();
    for (int k = 0; k < area.getNumGeometries(); k++) {
      if (area.getGeometryN(k) instanceof Polygon polygon && !polygon.isEmpty()) {
        lines.add(outline(polygon.getExteriorRing().getCoordinates()));
        for (int hole = 0; hole < polygon.getNumInteriorRing(); hole++) {
          lines.add(outline(polygon.getInteriorRingN(hole).getCoordinates()));
        }
      }
    }
    return new Region(lines, List.of());
  }

  private static Outline outline(Coordinate[] ring) {
    double[] x = new double[ring.length - 1];
    double[] y = new double[ring.length - 1];
    for (int k = 0; k < x.length; k++) {
      x[k] = ring[k].x;
      y[k] = ring[k].y;
    }
    return new Outline(x, y);
  }

  /** Least x, least y, greatest x, greatest y. */
  public double[] bounds() {
    double[] box = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
    for (Outline line : lines) {
      for (int k = 0; k < line.size(); k++) {
        widen(box, line.x()[k], line.y()[k], 0);
      }
    }
    circles.forEach(circle -> widen(box, circle.x, circle.y, circle.radius));
    return box;
  }

  /** The box round several regions. */
  static double[] around(List<Region> regions) {
    return new Region(
            regions.stream().flatMap(region -> region.lines.stream()).toList(),
            regions.stream().flatMap(region -> region.circles.stream()).toList())
        .bounds();
  }

  private static void widen(double[] box, double x, double y, double radius) {
    box[0] = Math.min(box[0], x - radius);
    box[1] = Math.min(box[1], y - radius);
    box[2] = Math.max(box[2], x + radius);
    box[3] = Math.max(box[3], y + radius);
  }
}
