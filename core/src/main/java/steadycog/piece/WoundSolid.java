package steadycog.piece;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.algorithm.locate.PointOnGeometryLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.PrecisionModel;
import org.locationtech.jts.noding.NodedSegmentString;
import org.locationtech.jts.noding.SegmentString;
import org.locationtech.jts.noding.snapround.SnapRoundingNoder;
import org.locationtech.jts.operation.polygonize.Polygonizer;
import org.locationtech.jts.triangulate.polygon.PolygonTriangulator;
import steadycog.number.Known;
import steadycog.piece.Slab.Winding;
import steadycog.shape.Outline;

/**
 * The surface of a piece some of whose lines wind round its axis. It is cut into layers so thin
 * that straight edges from one to the next stay within the chord. Where slabs meet, the lines of
 * both are cut where they cross, as they lie at that height, and what they enclose is covered where
 * material begins or ends; walls end on the same points, so that the surface is closed by
 * construction.
 */
final class WoundSolid {
  private static final double GRID = 10_000;
  private static final PrecisionModel PRECISION = new PrecisionModel(GRID);
  private static final GeometryFactory FACTORY = new GeometryFactory(PRECISION);

  private final List<Slab> slabs;
  private final List<List<Outline>> lines = new ArrayList<>();
  private final List<List<Boolean>> walls = new ArrayList<>();
  private final double[] levels;
  private final Map<Place, Integer> known = new HashMap<>();
  private final List<double[]> points = new ArrayList<>();
  private final List<int[]> triangles = new ArrayList<>();

  private record Place(Coordinate at, int level) {}

  /** Between two points, whichever way it is gone. */
  private record Segment(Coordinate low, Coordinate high) {
    static Segment of(Coordinate a, Coordinate b) {
      return a.compareTo(b) < 0 ? new Segment(a, b) : new Segment(b, a);
    }
  }

  /** A line of a slab at a level. */
  private record Ring(int slab, int line) {}

  private WoundSolid(List<Slab> slabs, double chord) {
    this.slabs = slabs;
    TreeSet<Double> all = new TreeSet<>();
    for (Slab slab : slabs) {
      List<Outline> own = slab.region().outlines(chord);
      lines.add(own);
      walls.add(own.stream().map(line -> isOuter(line, own)).toList());
      all.add(slab.from());
      all.add(slab.to());
      slab.windings().forEach(winding -> addLevels(slab, winding, chord, all));
    }
    levels = all.stream().mapToDouble(level -> level).toArray();
  }

  static Solid of(Piece piece, double chord) {
    return new WoundSolid(piece.slabs(), chord).build();
  }

  /** Why no closed surface can be made of {@code piece}, if so. */
  static Optional<String> flaw(Piece piece, double chord) {
    try {
      of(piece, chord);
      return Optional.empty();
    } catch (TouchingException touching) {
      return Optional.of("lines of it touch where its teeth end: give its rows other sizes");
    }
  }

  /** Two lines lie so near each other where slabs meet that they cannot be told apart. */
  private static final class TouchingException extends IllegalStateException {
    private static final long serialVersionUID = 1;
  }

  private static void addLevels(Slab slab, Winding winding, double chord, Set<Double> levels) {
    double radius = 0;
    for (int k = 0; k < winding.line().size(); k++) {
      radius = Math.max(radius, Math.hypot(winding.line().x()[k], winding.line().y()[k]));
    }
    double step = 2 * Math.acos(1 - Math.min(1, chord / radius)) / Math.abs(winding.turn());
    double plane = winding.plane();
    boolean back = winding.doubled() && plane > slab.from() && plane < slab.to();
    double middle = back ? plane : slab.to();
    divide(slab.from(), middle, step, levels);
    divide(middle, slab.to(), step, levels);
  }

  private static void divide(double from, double to, double step, Set<Double> levels) {
    int count = (int) Math.ceil((to - from) / step);
    for (int k = 0; k <= count; k++) {
      levels.add(k == count ? to : from + (to - from) * k / count);
    }
  }

  /** Whether material lies inside the line, not outside of it. */
  private static boolean isOuter(Outline line, List<Outline> all) {
    Coordinate at = new Coordinate(line.x()[0], line.y()[0]);
    long round =
        all.stream()
            .filter(other -> !other.equals(line))
            .filter(other -> locator(Region.polygon(other)).locate(at) == Location.INTERIOR)
            .count();
    return round % 2 == 0;
  }

  private static PointOnGeometryLocator locator(Polygon polygon) {
    return new IndexedPointInAreaLocator(polygon);
  }

  private Solid build() {
    Map<Ring, List<List<Coordinate>>> below = Map.of();
    for (int level = 0; level < levels.length; level++) {
      Map<Ring, List<List<Coordinate>>> here = level(level);
      for (Map.Entry<Ring, List<List<Coordinate>>> foot : below.entrySet()) {
        if (slabs.get(foot.getKey().slab).to() >= levels[level]) {
          wall(foot.getKey(), foot.getValue(), Known.in(here, foot.getKey()), level - 1);
        }
      }
      below = here;
    }
    return Solid.of(points, triangles);
  }

  /** Every line at a level, each of its edges as the points that it goes through. */
  private Map<Ring, List<List<Coordinate>>> level(int level) {
    double z = levels[level];
    Map<Ring, Coordinate[]> rings = new HashMap<>();
    boolean meets = false;
    for (int s = 0; s < slabs.size(); s++) {
      Slab slab = slabs.get(s);
      if (slab.from() <= z && z <= slab.to()) {
        meets |= slab.from() == z || slab.to() == z;
        for (int l = 0; l < lines.get(s).size(); l++) {
          rings.put(new Ring(s, l), snapped(slab.at(lines.get(s).get(l), z)));
        }
      }
    }
    Map<Ring, List<List<Coordinate>>> edges = new HashMap<>();
    if (meets) {
      List<SegmentString> noded = noded(rings);
      rings.forEach((ring, points) -> edges.put(ring, chains(ring, points, noded)));
      cover(level, edges);
    } else {
      rings.forEach(
          (ring, points) -> {
            List<List<Coordinate>> straight = new ArrayList<>();
            for (int k = 1; k < points.length; k++) {
              straight.add(List.of(points[k - 1], points[k]));
            }
            edges.put(ring, straight);
          });
    }
    return edges;
  }

  private static Coordinate[] snapped(Outline line) {
    Coordinate[] ring = Region.polygon(line).getCoordinates();
    for (Coordinate at : ring) {
      PRECISION.makePrecise(at);
    }
    return ring;
  }

  private static List<SegmentString> noded(Map<Ring, Coordinate[]> rings) {
    List<SegmentString> strings = new ArrayList<>();
    rings.forEach((ring, points) -> strings.add(new NodedSegmentString(points, ring)));
    SnapRoundingNoder noder = new SnapRoundingNoder(PRECISION);
    noder.computeNodes(strings);
    List<SegmentString> noded = new ArrayList<>();
    for (Object string : noder.getNodedSubstrings()) {
      noded.add((SegmentString) string);
    }
    return noded;
  }

  /** Each edge of a line with the points at which it was cut. */
  private static List<List<Coordinate>> chains(
      Ring ring, Coordinate[] points, List<SegmentString> noded) {
    Map<Coordinate, Coordinate> next = new HashMap<>();
    for (SegmentString string : noded) {
      if (ring.equals(string.getData())) {
        Coordinate[] path = string.getCoordinates();
        for (int k = 1; k < path.length; k++) {
          next.put(path[k - 1], path[k]);
        }
      }
    }
    List<List<Coordinate>> chains = new ArrayList<>();
    for (int k = 1; k < points.length; k++) {
      List<Coordinate> chain = new ArrayList<>(List.of(points[k - 1]));
      while (!chain.getLast().equals2D(points[k])) {
        Coordinate at = next.get(chain.getLast());
        if (at == null || chain.size() > next.size()) {
          throw new TouchingException();
        }
        chain.add(at);
      }
      chains.add(chain);
    }
    return chains;
  }

  /**
   * Faces wherever material begins or ends at a level. Going from cell to cell, whoever crosses a
   * line of a slab goes into it or out of it; so that slivers, too, are taken for what they are.
   */
  private void cover(int level, Map<Ring, List<List<Coordinate>>> rings) {
    Map<Segment, Set<Integer>> crossed = new HashMap<>();
    rings.forEach(
        (ring, edges) ->
            segments(edges)
                .forEach(
                    segment ->
                        flip(
                            crossed.computeIfAbsent(segment, none -> new HashSet<>()), ring.slab)));
    Polygonizer polygonizer = new Polygonizer();
    crossed
        .keySet()
        .forEach(
            segment ->
                polygonizer.add(
                    FACTORY.createLineString(new Coordinate[] {segment.low, segment.high})));
    List<Polygon> cells = new ArrayList<>();
    Map<Segment, List<Integer>> sides = new HashMap<>();
    for (Object cell : polygonizer.getPolygons()) {
      Polygon polygon = (Polygon) cell;
      for (Segment segment : segments(polygon)) {
        sides.computeIfAbsent(segment, none -> new ArrayList<>()).add(cells.size());
      }
      cells.add(polygon);
    }
    List<Optional<Set<Integer>>> inside =
        new ArrayList<>(Collections.nCopies(cells.size(), Optional.empty()));
    List<Integer> reached = new ArrayList<>();
    sides.forEach(
        (segment, both) -> {
          if (both.size() == 1 && inside.get(both.getFirst()).isEmpty()) {
            inside.set(both.getFirst(), Optional.of(Known.in(crossed, segment)));
            reached.add(both.getFirst());
          }
        });
    for (int k = 0; k < reached.size(); k++) {
      int from = reached.get(k);
      for (Segment segment : segments(cells.get(from))) {
        for (int to : Known.in(sides, segment)) {
          if (inside.get(to).isEmpty()) {
            Set<Integer> there = new HashSet<>(inside.get(from).orElseThrow());
            Known.in(crossed, segment).forEach(slab -> flip(there, slab));
            inside.set(to, Optional.of(there));
            reached.add(to);
          }
        }
      }
    }
    for (int k = 0; k < cells.size(); k++) {
      Set<Integer> in = inside.get(k).orElse(Set.of());
      boolean below = in.stream().anyMatch(slab -> slabs.get(slab).from() < levels[level]);
      boolean above = in.stream().anyMatch(slab -> slabs.get(slab).to() > levels[level]);
      if (below != above) {
        cover(cells.get(k), level, below);
      }
    }
  }

  private static void flip(Set<Integer> slabs, int slab) {
    if (!slabs.remove(slab)) {
      slabs.add(slab);
    }
  }

  private static List<Segment> segments(List<List<Coordinate>> edges) {
    List<Segment> all = new ArrayList<>();
    for (List<Coordinate> edge : edges) {
      for (int k = 1; k < edge.size(); k++) {
        all.add(Segment.of(edge.get(k - 1), edge.get(k)));
      }
    }
    return all;
  }

  private static List<Segment> segments(Polygon cell) {
    List<Segment> all = new ArrayList<>();
    List<LinearRing> rings = new ArrayList<>(List.of(cell.getExteriorRing()));
    for (int hole = 0; hole < cell.getNumInteriorRing(); hole++) {
      rings.add(cell.getInteriorRingN(hole));
    }
    for (LinearRing ring : rings) {
      all.addAll(segments(List.of(List.of(ring.getCoordinates()))));
    }
    return all;
  }

  private void cover(Polygon cell, int level, boolean below) {
    Geometry faces = PolygonTriangulator.triangulate(cell);
    for (int k = 0; k < faces.getNumGeometries(); k++) {
      Coordinate[] ring = faces.getGeometryN(k).getCoordinates();
      boolean up = Orientation.isCCW(ring) == below;
      add(corner(ring[0], level), corner(ring[up ? 1 : 2], level), corner(ring[up ? 2 : 1], level));
    }
  }

  /** Between an edge at one level and the same edge at the next. */
  private void wall(
      Ring ring, List<List<Coordinate>> foot, List<List<Coordinate>> head, int level) {
    Outline line = lines.get(ring.slab).get(ring.line);
    boolean outward =
        Orientation.isCCW(Region.polygon(line).getCoordinates())
            == walls.get(ring.slab).get(ring.line);
    for (int k = 0; k < foot.size(); k++) {
      List<Coordinate> low = foot.get(k);
      List<Coordinate> high = head.get(k);
      int first = corner(high.getFirst(), level + 1);
      for (int j = 1; j < low.size(); j++) {
        wall(corner(low.get(j - 1), level), corner(low.get(j), level), first, outward);
      }
      int last = corner(low.getLast(), level);
      for (int j = 1; j < high.size(); j++) {
        wall(last, corner(high.get(j), level + 1), corner(high.get(j - 1), level + 1), outward);
      }
    }
  }

  private void wall(int a, int b, int c, boolean outward) {
    add(a, outward ? b : c, outward ? c : b);
  }

  private void add(int a, int b, int c) {
    if (a != b && b != c && c != a) {
      triangles.add(new int[] {a, b, c});
    }
  }

  private int corner(Coordinate at, int level) {
    return known.computeIfAbsent(
        new Place(at, level),
        fresh -> {
          points.add(new double[] {at.x, at.y, levels[level]});
          return points.size() - 1;
        });
  }
}
