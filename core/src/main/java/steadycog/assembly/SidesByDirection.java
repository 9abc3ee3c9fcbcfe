package steadycog.assembly;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.algorithm.Distance;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/**
 * The sides of a region by the directions in which they are seen from its axis. Outlines of wheels
 * run round their axis: a direction has a few sides, and whether a point lies inside follows from
 * these alone. Cost of a question: about the sides in one of {@value #DIRECTIONS} directions.
 */
final class SidesByDirection {
  private static final int DIRECTIONS = 4096;

  /** Nearer to the axis than this a side may be seen in any direction, mm. */
  private static final double AT_AXIS = 1e-9;

  private static final Coordinate AXIS = new Coordinate(0, 0);

  private final List<Coordinate[]> sides = new ArrayList<>();

  /** Of each direction the sides that are seen in it, by their number. */
  private final int[][] seen = new int[DIRECTIONS][4];

  private final int[] count = new int[DIRECTIONS];

  private final boolean hollow;
  private final double nearest;

  SidesByDirection(Geometry area) {
    Geometry outlines = area.getBoundary();
    double least = Double.MAX_VALUE;
    for (int k = 0; k < outlines.getNumGeometries(); k++) {
      Coordinate[] points = outlines.getGeometryN(k).getCoordinates();
      for (int i = 1; i < points.length; i++) {
        least = Math.min(least, add(points[i - 1], points[i]));
      }
    }
    nearest = least;
    hollow = !isWithin(direction(1, 0), 1, 0, 0);
  }

  /** Takes up a side, and returns how near it comes to the axis, mm. */
  private double add(Coordinate a, Coordinate b) {
    double away = Distance.pointToSegment(AXIS, a, b);
    int from = direction(a.x, a.y);
    int way = direction(b.x, b.y) - from;
    // The short way round: a side is seen from the axis over less than half a turn.
    way -= DIRECTIONS * Math.round((float) way / DIRECTIONS);
    boolean all = away < AT_AXIS || 2 * Math.abs(way) >= DIRECTIONS - 2;
    int first = all ? 0 : Math.min(0, way);
    int last = all ? DIRECTIONS - 1 : Math.max(0, way);
    for (int k = first; k <= last; k++) {
      see(Math.floorMod(from + k, DIRECTIONS), sides.size());
    }
    sides.add(new Coordinate[] {a, b});
    return away;
  }

  private void see(int direction, int side) {
    if (count[direction] == seen[direction].length) {
      seen[direction] = Arrays.copyOf(seen[direction], 2 * count[direction]);
    }
    seen[direction][count[direction]++] = side;
  }

  private static int direction(double x, double y) {
    double share = Math.atan2(y, x) / (2 * Math.PI) + 0.5;
    return Math.min((int) (share * DIRECTIONS), DIRECTIONS - 1);
  }

  /** Whether the axis lies outside of the material. */
  boolean isHollow() {
    return hollow;
  }

  /** How near the outlines come to the axis, mm. */
  double nearest() {
    return nearest;
  }

  /**
   * Whether a point lies in the material, and not by so little that it shows in its own direction.
   *
   * @param least from a side that is seen in that direction, mm
   */
  boolean isInside(double x, double y, double least) {
    int direction = direction(x, y);
    Coordinate at = new Coordinate(x, y);
    for (int k = 0; k < count[direction]; k++) {
      Coordinate[] side = sides.get(seen[direction][k]);
      if (Distance.pointToSegment(at, side[0], side[1]) <= least) {
        return false;
      }
    }
    return (x == 0 && y == 0) ? !hollow : isWithin(direction, x, y, 1);
  }

  /** Whether an odd number of sides is met on the way outwards from so many times x, y. */
  private boolean isWithin(int direction, double x, double y, double times) {
    boolean in = false;
    for (int k = 0; k < count[direction]; k++) {
      Coordinate[] side = sides.get(seen[direction][k]);
      Coordinate a = side[0];
      Coordinate b = side[1];
      boolean left = x * a.y - y * a.x > 0;
      if (left != x * b.y - y * b.x > 0) {
        double dx = b.x - a.x;
        double dy = b.y - a.y;
        in ^= (a.x * dy - a.y * dx) / (x * dy - y * dx) > times;
      }
    }
    return in;
  }
}
