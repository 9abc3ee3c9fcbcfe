package steadycog.gearbox;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.TreeSet;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.CoordinateArrays;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;
import steadycog.motion.FreeMotion;
import steadycog.number.Known;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Slab;
import steadycog.shape.Outline;

/**
 * A picture of a gearbox, closed or pulled apart along its axis, as areas and lines from back to
 * front. All bodies are prisms along one axis: cut at common heights, each layer is drawn from the
 * farthest on, in it walls by their depth, then the faces that look forward. What is drawn later
 * hides what is behind it, so that no hidden line has to be found.
 *
 * @param marks from back to front
 * @param places where a number stands beside its component
 */
public record Exploded(List<Mark> marks, List<Place> places) {
  /** Walls are cut into pieces no longer than this, mm, so that their depth decides. */
  private static final double LONGEST = 4;

  /** Where an outline turns by more, an edge is drawn along the axis: the cosine. */
  private static final double CORNER = Math.cos(Math.toRadians(35));

  /** Where the light comes from, in the plane across the axes: from the upper left. */
  private static final double LIGHT_X = 0.35;

  private static final double LIGHT_Y = 0.94;
  private static final double LEVEL = 1e-6;

  /** How bright faces are, and walls that no light falls on or all of it. */
  private static final double FACE = 0.92;

  private static final double WALL = 0.5;
  private static final double SHADE = 0.3;
  private static final double DARKEST = -0.6;

  /** Something drawn; coordinates run to the right and up, mm. */
  public sealed interface Mark {
    /** What it is of. */
    Component component();
  }

  /**
   * A filled area.
   *
   * @param rings x and y of each; holes turn the other way than what is round them
   * @param light 0 dark to 1 bright
   */
  public record Area(Component component, List<double[][]> rings, double light) implements Mark {

    /** Whether a point lies in it: an odd number of its lines passes to the right of it. */
    public boolean isAt(double x, double y) {
      boolean in = false;
      for (double[][] ring : rings) {
        int last = ring[0].length - 1;
        for (int k = 0; k < ring[0].length; k++) {
          boolean crosses = ring[1][k] > y != ring[1][last] > y;
          double at =
              ring[0][k]
                  + (y - ring[1][k]) / (ring[1][last] - ring[1][k]) * (ring[0][last] - ring[0][k]);
          in ^= crosses && x < at;
          last = k;
        }
      }
      return in;
    }
  }

  /** A line. */
  @SuppressWarnings("ArrayRecordComponent") // Never compared.
  public record Stroke(Component component, double[] x, double[] y) implements Mark {}

  /** The upper end of what is seen of a component. */
  public record Place(Component component, double x, double y) {}

  /** A line round material, which lies to its left; its last point is the first. */
  private record Ring(Outline line, boolean isCovered, boolean goesOn) {

    Ring placed(Stand stand) {
      return new Ring(line.placed(stand.angle(), stand.x(), stand.y()), isCovered, goesOn);
    }

    double[] x() {
      return line.x();
    }

    double[] y() {
      return line.y();
    }

    int sides() {
      return line.size() - 1;
    }
  }

  /** A slab of a component, in its own frame. */
  private record Slice(double from, double to, List<Ring> rings) {}

  /** Outlines made once, to be drawn at any crank and pulled apart by any amount. */
  public static final class Model {
    private final Gearbox box;
    private final Spread spread;
    private final FreeMotion motion;
    private final IdentityHashMap<Component, List<Slice>> slices = new IdentityHashMap<>();

    /**
     * Cost: about the points of all outlines.
     *
     * @param order in which it goes together
     * @param fine how far outlines may leave the true line, mm
     */
    public Model(Gearbox box, List<Move> order, double fine) {
      this.box = box;
      spread = Spread.of(box, order);
      motion = box.motion();
      box.components().forEach(one -> slices.put(one, slices(one, fine)));
    }

    /**
     * Draws it.
     *
     * @param apart 0 closed to 1 pulled apart
     * @param turns of the input
     */
    public Exploded draw(double apart, double turns, Axonometry view) {
      Gearbox turned = turns == 0 ? box : box.turned(motion, turns);
      List<Prism> prisms = new ArrayList<>();
      for (int k = 0; k < box.components().size(); k++) {
        Component component = box.components().get(k);
        double by = apart * spread.of(component);
        for (Stand stand : turned.components().get(k).piece().stands()) {
          for (Slice slice : Known.in(slices, component)) {
            prisms.add(
                new Prism(
                    component,
                    round(stand.z() + slice.from + by),
                    round(stand.z() + slice.to + by),
                    slice.rings.stream().map(ring -> ring.placed(stand)).toList()));
          }
        }
      }
      return new Exploded(new Painter(prisms, view).paint(), List.of()).placed();
    }
  }

  private static List<Slice> slices(Component component, double fine) {
    List<Slab> slabs = component.piece().slabs();
    List<List<Outline>> all =
        slabs.stream().map(slab -> lines(slab.region().area(fine / 2), fine)).toList();
    List<Slice> slices = new ArrayList<>();
    for (int k = 0; k < slabs.size(); k++) {
      List<Outline> nearer = k > 0 ? all.get(k - 1) : List.of();
      List<Outline> farther = k + 1 < slabs.size() ? all.get(k + 1) : List.of();
      slices.add(
          new Slice(
              slabs.get(k).from(),
              slabs.get(k).to(),
              all.get(k).stream()
                  .map(line -> new Ring(line, nearer.contains(line), farther.contains(line)))
                  .toList()));
    }
    return slices;
  }

  private static double round(double z) {
    return Math.round(z / LEVEL) * LEVEL;
  }

  /** Outer lines counter-clockwise, holes clockwise: material lies to the left. */
  private static List<Outline> lines(Geometry area, double fine) {
    List<Outline> all = new ArrayList<>();
    // In one order, so that equal lines are found to be so.
    Geometry ordered = area.norm();
    for (int k = 0; k < ordered.getNumGeometries(); k++) {
      if (ordered.getGeometryN(k) instanceof Polygon polygon && !polygon.isEmpty()) {
        all.add(line(polygon.getExteriorRing(), true, fine));
        for (int hole = 0; hole < polygon.getNumInteriorRing(); hole++) {
          all.add(line(polygon.getInteriorRingN(hole), false, fine));
        }
      }
    }
    return all;
  }

  private static Outline line(LinearRing line, boolean outside, double fine) {
    Geometry simpler = DouglasPeuckerSimplifier.simplify(line, fine);
    Coordinate[] points = (simpler.isEmpty() ? line : simpler).getCoordinates();
    if (Orientation.isCCW(points) != outside) {
      CoordinateArrays.reverse(points);
    }
    return new Outline(
        Arrays.stream(points).mapToDouble(point -> point.x).toArray(),
        Arrays.stream(points).mapToDouble(point -> point.y).toArray());
  }

  /** A body between two heights. */
  private record Prism(Component component, double from, double to, List<Ring> rings) {}

  /** What is drawn, with how far away it is. */
  private record Wall(double depth, List<Mark> marks) {}

  private record Painter(List<Prism> prisms, Axonometry view) {

    List<Mark> paint() {
      TreeSet<Double> cuts = new TreeSet<>();
      prisms.forEach(prism -> cuts.addAll(List.of(prism.from, prism.to)));
      List<Double> levels = List.copyOf(cuts.descendingSet());
      List<Mark> marks = new ArrayList<>();
      for (int k = 0; k + 1 < levels.size(); k++) {
        double far = levels.get(k);
        double near = levels.get(k + 1);
        List<Prism> here = prisms.stream().filter(p -> p.from <= near && p.to >= far).toList();
        List<Wall> walls = new ArrayList<>();
        here.forEach(prism -> walls(prism, near, far, walls));
        walls.sort(Comparator.comparingDouble(Wall::depth).reversed());
        walls.forEach(wall -> marks.addAll(wall.marks));
        here.stream().filter(prism -> prism.from == near).forEach(prism -> face(prism, marks));
      }
      return marks;
    }

    /** Whether a side faces whoever looks: its normal points to the right of its way. */
    private boolean isSeen(Ring ring, int k) {
      double dx = ring.x()[k + 1] - ring.x()[k];
      double dy = ring.y()[k + 1] - ring.y()[k];
      return view.depth(dy, -dx, 0) < 0;
    }

    private void walls(Prism prism, double near, double far, List<Wall> walls) {
      for (Ring ring : prism.rings) {
        boolean farEdge = prism.to == far && !ring.goesOn;
        int sides = ring.sides();
        for (int k = 0; k < sides; k++) {
          if (isSeen(ring, k)) {
            int before = (k + sides - 1) % sides;
            int after = (k + 1) % sides;
            boolean begins = !isSeen(ring, before) || isCorner(ring, before, k);
            boolean ends = !isSeen(ring, after) || isCorner(ring, k, after);
            wall(prism, new Side(ring, k, begins, ends, farEdge), near, far, walls);
          }
        }
      }
    }

    private static boolean isCorner(Ring ring, int first, int second) {
      double ux = ring.x()[first + 1] - ring.x()[first];
      double uy = ring.y()[first + 1] - ring.y()[first];
      double vx = ring.x()[second + 1] - ring.x()[second];
      double vy = ring.y()[second + 1] - ring.y()[second];
      return ux * vx + uy * vy < CORNER * Math.hypot(ux, uy) * Math.hypot(vx, vy);
    }

    /** A side of an outline, and which of its edges are drawn. */
    private record Side(Ring ring, int k, boolean begins, boolean ends, boolean farEdge) {
      double x(double share) {
        return ring.x()[k] + share * (ring.x()[k + 1] - ring.x()[k]);
      }

      double y(double share) {
        return ring.y()[k] + share * (ring.y()[k + 1] - ring.y()[k]);
      }
    }

    private void wall(Prism prism, Side side, double near, double far, List<Wall> walls) {
      double dx = side.x(1) - side.x(0);
      double dy = side.y(1) - side.y(0);
      double length = Math.hypot(dx, dy);
      int parts = Math.max(1, (int) Math.ceil(length / LONGEST));
      double bright = Math.max(DARKEST, (-dy * LIGHT_X - dx * LIGHT_Y) / length);
      for (int k = 0; k < parts; k++) {
        double from = (double) k / parts;
        double to = (double) (k + 1) / parts;
        double[] x = {side.x(from), side.x(to), side.x(to), side.x(from)};
        double[] y = {side.y(from), side.y(to), side.y(to), side.y(from)};
        double depth = view.depth((x[0] + x[1]) / 2, (y[0] + y[1]) / 2, 0);
        double[][] seen = projected(x, y, new double[] {near, near, far, far});
        List<Mark> marks = new ArrayList<>();
        marks.add(new Area(prism.component, List.<double[][]>of(seen), WALL + SHADE * bright));
        if (side.begins && k == 0) {
          marks.add(stroke(prism.component, seen, 0, 3));
        }
        if (side.ends && k == parts - 1) {
          marks.add(stroke(prism.component, seen, 1, 2));
        }
        if (side.farEdge) {
          marks.add(stroke(prism.component, seen, 3, 2));
        }
        walls.add(new Wall(depth, marks));
      }
    }

    private double[][] projected(double[] x, double[] y, double[] z) {
      double[] right = new double[x.length];
      double[] up = new double[x.length];
      for (int k = 0; k < x.length; k++) {
        right[k] = view.right(x[k], y[k], z[k]);
        up[k] = view.up(x[k], y[k], z[k]);
      }
      return new double[][] {right, up};
    }

    private static Stroke stroke(Component component, double[][] seen, int from, int to) {
      return new Stroke(
          component,
          new double[] {seen[0][from], seen[0][to]},
          new double[] {seen[1][from], seen[1][to]});
    }

    private void face(Prism prism, List<Mark> marks) {
      List<double[][]> rings = new ArrayList<>();
      List<Mark> lines = new ArrayList<>();
      for (Ring ring : prism.rings) {
        double[] z = new double[ring.sides() + 1];
        Arrays.fill(z, prism.from);
        double[][] line = projected(ring.x(), ring.y(), z);
        rings.add(line);
        if (!ring.isCovered) {
          lines.add(new Stroke(prism.component, line[0], line[1]));
        }
      }
      marks.add(new Area(prism.component, rings, FACE));
      marks.addAll(lines);
    }
  }

  /** With the place of every component's number. */
  private Exploded placed() {
    IdentityHashMap<Component, Place> top = new IdentityHashMap<>();
    List<Component> order = new ArrayList<>();
    for (Mark mark : marks) {
      if (mark instanceof Area area) {
        for (double[][] ring : area.rings) {
          for (int k = 0; k < ring[0].length; k++) {
            Place old = top.get(area.component);
            if (old == null) {
              order.add(area.component);
            }
            if (old == null || ring[1][k] > old.y) {
              top.put(area.component, new Place(area.component, ring[0][k], ring[1][k]));
            }
          }
        }
      }
    }
    return new Exploded(marks, order.stream().map(one -> Known.in(top, one)).toList());
  }

  /** Least x, least y, greatest x, greatest y of all areas, mm. */
  public double[] bounds() {
    double[] box = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
    for (Mark mark : marks) {
      if (mark instanceof Area area) {
        for (double[][] ring : area.rings) {
          for (int k = 0; k < ring[0].length; k++) {
            box[0] = Math.min(box[0], ring[0][k]);
            box[1] = Math.min(box[1], ring[1][k]);
            box[2] = Math.max(box[2], ring[0][k]);
            box[3] = Math.max(box[3], ring[1][k]);
          }
        }
      }
    }
    return box;
  }
}
