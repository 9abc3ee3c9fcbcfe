package steadycog.assembly;

import org.locationtech.jts.densify.Densifier;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.distance.IndexedFacetDistance;
import steadycog.number.Once;
import steadycog.piece.Region;

/** A region about its own axis, ready to be asked how deep points lie in its material. */
final class Shape {
  private static final GeometryFactory FACTORY = new GeometryFactory();

  /** So many corners after each other are passed over at once where none can reach the other. */
  private static final int RUN = 32;

  private final Coordinate[] corners;
  private final Run[] runs;
  private final Once<IndexedFacetDistance> boundary;
  private final double inner;
  private final double outer;
  private final SidesByDirection sides;

  /**
   * @param chord how far polygons may leave circles
   * @param step the longest stretch of an outline without a point that is tried
   */
  Shape(Region region, double chord, double step) {
    Geometry area = region.area(chord);
    corners = Densifier.densify(area, step).getCoordinates();
    sides = new SidesByDirection(area);
    boundary = Once.of(() -> new IndexedFacetDistance(area.getBoundary()));
    inner = sides.isHollow() ? sides.nearest() : 0;
    double most = 0;
    for (Coordinate corner : corners) {
      most = Math.max(most, corner.x * corner.x + corner.y * corner.y);
    }
    outer = Math.sqrt(most);
    runs = new Run[Math.ceilDiv(corners.length, RUN)];
    for (int k = 0; k < runs.length; k++) {
      runs[k] = Run.of(corners, k * RUN, Math.min(corners.length, (k + 1) * RUN));
    }
  }

  /** Corners from one to before another, within a circle. */
  private record Run(int from, int to, double x, double y, double radius) {
    static Run of(Coordinate[] corners, int from, int to) {
      Coordinate middle = corners[(from + to) / 2];
      double radius = 0;
      for (int k = from; k < to; k++) {
        radius = Math.max(radius, middle.distance(corners[k]));
      }
      return new Run(from, to, middle.x, middle.y, radius);
    }
  }

  /** A place of a region: turned by {@code angle} about its axis, which stands at x, y. */
  record Place(double x, double y, double angle) {}

  /** How deep a point lies in material, and where, about the axis of the train. */
  record Depth(double mm, double x, double y) {
    static final Depth NONE = new Depth(0, 0, 0);

    Depth or(Depth other) {
      return other.mm > mm ? other : this;
    }
  }

  /**
   * The deepest that one of two regions reaches into the other.
   *
   * @param none a depth up to which it is none
   * @param enough a depth beyond which nobody asks how deep
   */
  static Depth of(Shape a, Place atA, Shape b, Place atB, double none, double enough) {
    double distance = Math.hypot(atA.x - atB.x, atA.y - atB.y);
    if (distance > a.outer + b.outer) {
      return Depth.NONE;
    }
    Depth first = a.reach(atA, b, atB, none, enough);
    return first.mm > enough
        ? first
        : first.or(b.reach(atB, a, atA, Math.max(none, first.mm), enough));
  }

  /** How deep the corners of this region reach into {@code other}. */
  private Depth reach(Place here, Shape other, Place there, double none, double enough) {
    double turn = here.angle - there.angle;
    double cos = Math.cos(turn);
    double sin = Math.sin(turn);
    double back = -there.angle;
    double dx = here.x - there.x;
    double dy = here.y - there.y;
    double mx = dx * Math.cos(back) - dy * Math.sin(back);
    double my = dx * Math.sin(back) + dy * Math.cos(back);
    Depth deepest = Depth.NONE;
    for (Run run : runs) {
      double x = mx + run.x * cos - run.y * sin;
      double y = my + run.x * sin + run.y * cos;
      double away = Math.sqrt(x * x + y * y);
      boolean near = away - run.radius < other.outer && away + run.radius > other.inner;
      for (int k = run.from; near && k < run.to && deepest.mm <= enough; k++) {
        Coordinate corner = corners[k];
        double least = Math.max(none, deepest.mm);
        double depth =
            other.depth(
                mx + corner.x * cos - corner.y * sin, my + corner.x * sin + corner.y * cos, least);
        if (depth > least) {
          deepest =
              new Depth(
                  depth,
                  here.x + corner.x * Math.cos(here.angle) - corner.y * Math.sin(here.angle),
                  here.y + corner.x * Math.sin(here.angle) + corner.y * Math.cos(here.angle));
        }
      }
    }
    return deepest;
  }

  /** How deep a point lies in the material, mm; 0 where that is not more than {@code least}. */
  private double depth(double x, double y, double least) {
    double squared = x * x + y * y;
    return squared > inner * inner && squared < outer * outer && sides.isInside(x, y, least)
        ? boundary.get().distance(FACTORY.createPoint(new Coordinate(x, y)))
        : 0;
  }
}
