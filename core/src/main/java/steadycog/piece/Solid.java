package steadycog.piece;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.algorithm.locate.PointOnGeometryLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.PrecisionModel;
import org.locationtech.jts.noding.NodedSegmentString;
import org.locationtech.jts.noding.SegmentString;
import org.locationtech.jts.noding.snapround.SnapRoundingNoder;
import org.locationtech.jts.operation.polygonize.Polygonizer;
import org.locationtech.jts.triangulate.polygon.PolygonTriangulator;
import steadycog.shape.Outline;

/**
 * The surface of a piece as triangles, in mm.
 *
 * <p>The lines of all slabs are laid over each other and cut where they cross, on a grid of {@value
 * #GRID} to the mm; what they enclose are cells that lie wholly inside or outside each slab. A cell
 * is covered where the material begins or ends, an edge walled where there is material on one side
 * only. All slabs share edges and triangles, so that every edge of the surface belongs to two
 * triangles and it is closed by construction.
 *
 * @param points x, y, z of each corner
 * @param corners three indices of points a triangle, counter-clockwise seen from outside
 */
@SuppressWarnings("ArrayRecordComponent") // Never compared.
public record Solid(double[] points, int[] corners) {
  private static final double GRID = 10_000;
  private static final GeometryFactory FACTORY = new GeometryFactory(new PrecisionModel(GRID));

  public int triangles() {
    return corners.length / 3;
  }

  /**
   * The surface of {@code piece}. Cost: about the points of its outlines times their logarithm.
   *
   * @param chord how far polygons may leave circles, mm
   */
  public static Solid of(Piece piece, double chord) {
    return piece
        .bevel()
        .map(bevel -> bevel.solid(chord))
        .orElseGet(
            () ->
                piece.isWound()
                    ? WoundSolid.of(piece, chord)
                    : new Builder(piece.slabs(), chord).build());
  }

  /**
   * A surface point by point.
   *
   * @param points x, y, z each
   * @param triangles three indices of points each, counter-clockwise seen from outside
   */
  static Solid of(List<double[]> points, List<int[]> triangles) {
    double[] flat = new double[3 * points.size()];
    for (int k = 0; k < points.size(); k++) {
      System.arraycopy(points.get(k), 0, flat, 3 * k, 3);
    }
    int[] corners = new int[3 * triangles.size()];
    for (int k = 0; k < triangles.size(); k++) {
      System.arraycopy(triangles.get(k), 0, corners, 3 * k, 3);
    }
    return new Solid(flat, corners);
  }

  /** The enclosed volume in mm³, positive where all triangles look outwards. */
  public double volume() {
    double sum = 0;
    for (int k = 0; k < corners.length; k += 3) {
      int a = 3 * corners[k];
      int b = 3 * corners[k + 1];
      int c = 3 * corners[k + 2];
      sum +=
          points[a] * (points[b + 1] * points[c + 2] - points[b + 2] * points[c + 1])
              - points[a + 1] * (points[b] * points[c + 2] - points[b + 2] * points[c])
              + points[a + 2] * (points[b] * points[c + 1] - points[b + 1] * points[c]);
    }
    return sum / 6;
  }

  private static final class Builder {
    private final List<Slab> slabs;
    private final double chord;
    private final double[] levels;
    private final Map<Coordinate, Integer> columns = new HashMap<>();
    private final List<Coordinate> places = new ArrayList<>();
    private final Map<Long, Integer> corners = new HashMap<>();
    private final List<double[]> points = new ArrayList<>();
    private final List<int[]> triangles = new ArrayList<>();

    /** What is material on both sides of each edge, by the columns at its ends. */
    private final Map<Long, Sides> edges = new HashMap<>();

    /** Left and right of the way from the lower column to the higher one. */
    private static final class Sides {
      private boolean @Nullable [] left;
      private boolean @Nullable [] right;
    }

    Builder(List<Slab> slabs, double chord) {
      this.slabs = slabs;
      this.chord = chord;
      TreeSet<Double> all = new TreeSet<>();
      slabs.forEach(slab -> all.addAll(List.of(slab.from(), slab.to())));
      levels = all.stream().mapToDouble(level -> level).toArray();
    }

    Solid build() {
      List<List<PointOnGeometryLocator>> areas = new ArrayList<>();
      for (Slab slab : slabs) {
        areas.add(
            slab.region().outlines(chord).stream()
                .map(line -> locator(Region.polygon(line)))
                .toList());
      }
      for (Polygon cell : cells()) {
        boolean[] filled = filled(cell, areas);
        cover(cell, filled);
        bound(cell, filled);
      }
      edges.forEach(this::wall);
      return of(points, triangles);
    }

    private static PointOnGeometryLocator locator(Polygon polygon) {
      return new IndexedPointInAreaLocator(polygon);
    }

    private List<Polygon> cells() {
      List<SegmentString> lines = new ArrayList<>();
      for (Slab slab : slabs) {
        for (Outline line : slab.region().outlines(chord)) {
          lines.add(new NodedSegmentString(Region.polygon(line).getCoordinates(), null));
        }
      }
      SnapRoundingNoder noder = new SnapRoundingNoder(FACTORY.getPrecisionModel());
      noder.computeNodes(lines);
      // What lies twice, as the bore of every slab, counts once.
      Set<Long> once = new HashSet<>();
      Polygonizer polygonizer = new Polygonizer();
      for (Object string : noder.getNodedSubstrings()) {
        Coordinate[] path = ((SegmentString) string).getCoordinates();
        for (int k = 1; k < path.length; k++) {
          if (!path[k - 1].equals2D(path[k])
              && once.add(edge(column(path[k - 1]), column(path[k])))) {
            polygonizer.add(FACTORY.createLineString(new Coordinate[] {path[k - 1], path[k]}));
          }
        }
      }
      List<Polygon> cells = new ArrayList<>();
      for (Object polygon : polygonizer.getPolygons()) {
        cells.add((Polygon) polygon);
      }
      return cells;
    }

    /** Between which levels the cell is material. */
    private boolean[] filled(Polygon cell, List<List<PointOnGeometryLocator>> areas) {
      Coordinate inside = cell.getInteriorPoint().getCoordinate();
      boolean[] filled = new boolean[levels.length - 1];
      for (int s = 0; s < slabs.size(); s++) {
        // Material lies where an odd number of lines goes round.
        boolean in =
            areas.get(s).stream().filter(line -> line.locate(inside) == Location.INTERIOR).count()
                    % 2
                != 0;
        for (int k = 0; in && k < filled.length; k++) {
          filled[k] |= slabs.get(s).from() <= levels[k] && levels[k + 1] <= slabs.get(s).to();
        }
      }
      return filled;
    }

    /** Faces wherever material begins or ends over the cell. */
    private void cover(Polygon cell, boolean[] filled) {
      Geometry faces = null;
      for (int level = 0; level < levels.length; level++) {
        boolean below = level > 0 && filled[level - 1];
        boolean above = level < filled.length && filled[level];
        if (below == above) {
          continue;
        }
        if (faces == null) {
          faces = PolygonTriangulator.triangulate(cell);
        }
        for (int k = 0; k < faces.getNumGeometries(); k++) {
          Coordinate[] ring = faces.getGeometryN(k).getCoordinates();
          int a = corner(ring[0], level);
          int b = corner(ring[1], level);
          int c = corner(ring[2], level);
          boolean up = Orientation.isCCW(ring) == below;
          triangles.add(up ? new int[] {a, b, c} : new int[] {a, c, b});
        }
      }
    }

    /** Notes which material lies inside the lines of the cell. */
    private void bound(Polygon cell, boolean[] filled) {
      bound(cell.getExteriorRing().getCoordinates(), true, filled);
      for (int hole = 0; hole < cell.getNumInteriorRing(); hole++) {
        bound(cell.getInteriorRingN(hole).getCoordinates(), false, filled);
      }
    }

    private void bound(Coordinate[] ring, boolean shell, boolean[] filled) {
      boolean insideLeft = Orientation.isCCW(ring) == shell;
      for (int k = 1; k < ring.length; k++) {
        int a = column(ring[k - 1]);
        int b = column(ring[k]);
        Sides sides = edges.computeIfAbsent(edge(a, b), none -> new Sides());
        if (insideLeft == a < b) {
          sides.left = filled;
        } else {
          sides.right = filled;
        }
      }
    }

    private void wall(long edge, Sides sides) {
      int a = (int) (edge >> Integer.SIZE);
      int b = (int) edge;
      for (int k = 0; k + 1 < levels.length; k++) {
        boolean left = sides.left != null && sides.left[k];
        boolean right = sides.right != null && sides.right[k];
        if (left != right) {
          int from = left ? a : b;
          int to = left ? b : a;
          int[] low = {corner(from, k), corner(to, k)};
          int[] high = {corner(from, k + 1), corner(to, k + 1)};
          triangles.add(new int[] {low[0], low[1], high[1]});
          triangles.add(new int[] {low[0], high[1], high[0]});
        }
      }
    }

    private int column(Coordinate at) {
      return columns.computeIfAbsent(
          new Coordinate(at.x, at.y),
          fresh -> {
            places.add(fresh);
            return places.size() - 1;
          });
    }

    private static long edge(int a, int b) {
      return (long) Math.min(a, b) << Integer.SIZE | Math.max(a, b);
    }

    private int corner(Coordinate at, int level) {
      return corner(column(at), level);
    }

    private int corner(int column, int level) {
      return corners.computeIfAbsent(
          (long) column * levels.length + level,
          none -> {
            Coordinate at = places.get(column);
            points.add(new double[] {at.x, at.y, levels[level]});
            return points.size() - 1;
          });
    }
  }
}
