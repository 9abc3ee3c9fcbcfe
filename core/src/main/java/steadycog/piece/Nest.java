package steadycog.piece;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.algorithm.PointLocation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.valid.IsSimpleOp;
import steadycog.shape.Outline;

/**
 * Closed lines of which none crosses itself or meets another, and which of them go round which.
 * Nearly all lines of a piece tell that by a circle round each that no other line comes into; where
 * they do not there is no nest, and they have to be laid over each other.
 */
final class Nest {
  /** Lines that come nearer to each other than this may meet, mm. */
  private static final double APART = 1e-9;

  private static final GeometryFactory FACTORY = new GeometryFactory();

  private final List<Ring> rings;

  /** Of each ring, in their order, those that go round it. */
  private final List<List<Integer>> around;

  private Nest(List<Ring> rings, List<List<Integer>> around) {
    this.rings = rings;
    this.around = around;
  }

  /** Empty where a line crosses itself, or may meet another for all that circles round it tell. */
  static Optional<Nest> of(List<Outline> lines) {
    List<Ring> rings = new ArrayList<>();
    List<List<Integer>> around = new ArrayList<>();
    for (Outline line : lines) {
      Ring ring = Ring.of(line);
      if (!ring.isSimple()) {
        return Optional.empty();
      }
      List<Integer> outside = new ArrayList<>();
      for (int k = 0; k < rings.size(); k++) {
        Ring other = rings.get(k);
        if (ring.keepsOff(other)) {
          if (other.goesRound(ring.centre)) {
            outside.add(k);
          }
        } else if (!other.keepsOff(ring)) {
          return Optional.empty();
        } else if (ring.goesRound(other.centre)) {
          around.get(k).add(rings.size());
        }
      }
      rings.add(ring);
      around.add(outside);
    }
    return Optional.of(new Nest(rings, around));
  }

  /** The material: what an odd number of lines goes round. */
  Geometry area() {
    List<Polygon> bodies = new ArrayList<>();
    for (int k = 0; k < rings.size(); k++) {
      if (around.get(k).size() % 2 == 0) {
        bodies.add(body(k));
      }
    }
    return bodies.size() == 1
        ? bodies.getFirst()
        : FACTORY.createMultiPolygon(bodies.toArray(Polygon[]::new));
  }

  private Polygon body(int outside) {
    LinearRing[] holes =
        IntStream.range(0, rings.size())
            .filter(k -> around.get(k).contains(outside))
            .filter(k -> around.get(k).size() == around.get(outside).size() + 1)
            .mapToObj(k -> rings.get(k).line(true))
            .toArray(LinearRing[]::new);
    return FACTORY.createPolygon(rings.get(outside).line(false), holes);
  }

  /**
   * Whether all lines from {@code first} on lie in the material of those before it, with none of
   * them inside.
   */
  boolean isInMaterial(int first) {
    return IntStream.range(0, rings.size())
        .allMatch(
            k -> {
              long before = around.get(k).stream().filter(one -> one < first).count();
              return k < first ? before == around.get(k).size() : before % 2 == 1;
            });
  }

  /**
   * A line with a circle round it.
   *
   * @param points closed: the last is the first
   * @param star whether every point of it is seen from the centre, in their order
   */
  @SuppressWarnings("ArrayRecordComponent") // Never compared.
  private record Ring(Coordinate[] points, Coordinate centre, double radius, boolean star) {

    static Ring of(Outline line) {
      Coordinate[] points = Region.polygon(line).getExteriorRing().getCoordinates();
      Coordinate axis = new Coordinate(0, 0);
      Ring ring = about(points, axis);
      return ring.star ? ring : about(points, Region.polygon(line).getEnvelopeInternal().centre());
    }

    private static Ring about(Coordinate[] points, Coordinate centre) {
      double most = 0;
      int left = 0;
      int rounds = 0;
      for (int k = 1; k < points.length; k++) {
        double ax = points[k - 1].x - centre.x;
        double ay = points[k - 1].y - centre.y;
        double bx = points[k].x - centre.x;
        double by = points[k].y - centre.y;
        left += (int) Math.signum(ax * by - ay * bx);
        rounds += ay < 0 && by >= 0 ? 1 : 0;
        most = Math.max(most, bx * bx + by * by);
      }
      boolean star = Math.abs(left) == points.length - 1 && rounds == 1;
      return new Ring(points, centre, Math.sqrt(most), star);
    }

    boolean isSimple() {
      return star || new IsSimpleOp(FACTORY.createLinearRing(points)).isSimple();
    }

    private boolean isFar(Coordinate point, double reach) {
      return centre.distance(point) > radius + reach + APART;
    }

    /** Whether the circle round this line comes nowhere near the other. */
    boolean keepsOff(Ring other) {
      if (other.isFar(centre, radius)) {
        return true;
      }
      double reach = radius + APART;
      for (int k = 1; k < other.points.length; k++) {
        Coordinate a = other.points[k - 1];
        Coordinate b = other.points[k];
        if (Side.squaredDistance(centre.x, centre.y, a.x, a.y, b.x, b.y) <= reach * reach) {
          return false;
        }
      }
      return true;
    }

    /** Whether it goes round a point that is not on it. */
    boolean goesRound(Coordinate point) {
      return !isFar(point, 0) && PointLocation.isInRing(point, points);
    }

    /** The line run through clockwise, or the other way. */
    LinearRing line(boolean left) {
      LinearRing ring = FACTORY.createLinearRing(points);
      return Orientation.isCCW(points) == left ? ring : ring.reverse();
    }
  }
}
