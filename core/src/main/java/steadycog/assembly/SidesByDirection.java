package steadycog.assembly;

import java.util.Arrays;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import steadycog.piece.Side;

/**
 * The sides of a region by the directions in which they are seen from its axis. Outlines of wheels
 * run round their axis: a direction has a few sides, and whether a point lies inside follows from
 * these alone. Cost of a question: about the sides in one of {@value #DIRECTIONS} directions.
 */
final class SidesByDirection {
  private static final int DIRECTIONS = 4096;

  /** Nearer to the axis than this a side may be seen in any direction, mm. */
  private static final double AT_AXIS = 1e-9;

  /** Of each side x and y of its ends, one after the other. */
  private final double[] ends;

  private int sides;

  /** Of each direction the sides that are seen in it, by where they begin in {@link #ends}. */
  private final int[][] seen = new int[DIRECTIONS][4];

  private final int[] count = new int[DIRECTIONS];

  private final boolean hollow;
  private final double nearest;

  SidesByDirection(Geometry area) {
    Geometry outlines = area.getBoundary();
    ends = new double[4 * outlines.getNumPoints()];
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
    double away = Math.sqrt(Side.squaredDistance(0, 0, a.x, a.y, b.x, b.y));
    int from = direction(a.x, a.y);
    int way = direction(b.x, b.y) - from;
    // The short way round: a side is seen from the axis over less than half a turn.
    way -= DIRECTIONS * Math.round((float) way / DIRECTIONS);
    boolean all = away < AT_AXIS || 2 * Math.abs(way) >= DIRECTIONS - 2;
    int first = all ? 0 : Math.min(0, way);
    int last = all ? DIRECTIONS - 1 : Math.max(0, way);
    for (int k = first; k <= last; k++) {
      see(Math.floorMod(from + k, DIRECTIONS), 4 * sides);
    }
    ends[4 * sides] = a.x;
    ends[4 * sides + 1] = a.y;
    ends[4 * sides + 2] = b.x;
    ends[4 * sides + 3] = b.y;
    sides++;
    return away;
  }

  private void see(int direction, int side) {
    if (count[direction] == seen[direction].length) {
      seen[direction] = Arrays.copyOf(seen[direction], 2 * count[direction]);
    }
    seen[direction][count[direction]++] = side;
  }

  /** Directions go round in their order, if not in equal steps, and opposite ones stay opposite. */
  private static int direction(double x, double y) {
    double sum = Math.abs(x) + Math.abs(y);
    double along = sum == 0 ? 0 : x / sum;
    double share = y < 0 ? (1 + along) / 4 : (3 - along) / 4;
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
    boolean in = (x == 0 && y == 0) ? !hollow : isWithin(direction, x, y, 1);
    for (int k = 0; k < count[direction] && in; k++) {
      int at = seen[direction][k];
      in =
          Side.squaredDistance(x, y, ends[at], ends[at + 1], ends[at + 2], ends[at + 3])
              > least * least;
    }
    return in;
  }

  /** Whether an odd number of sides is met on the way outwards from so many times x, y. */
  private boolean isWithin(int direction, double x, double y, double times) {
    boolean in = false;
    for (int k = 0; k < count[direction]; k++) {
      int at = seen[direction][k];
      double ax = ends[at];
      double ay = ends[at + 1];
      double bx = ends[at + 2];
      double by = ends[at + 3];
      boolean left = x * ay - y * ax > 0;
      if (left != x * by - y * bx > 0) {
        double dx = bx - ax;
        double dy = by - ay;
        in ^= (ax * dy - ay * dx) / (x * dy - y * dx) > times;
      }
    }
    return in;
  }
}
