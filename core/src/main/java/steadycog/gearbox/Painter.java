package steadycog.gearbox;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
import steadycog.gearbox.Exploded.Area;
import steadycog.gearbox.Exploded.Mark;
import steadycog.gearbox.Exploded.Stroke;
import steadycog.piece.Piece.Stand;
import steadycog.shape.Outline;

/**
 * Draws prisms along one axis from back to front: cut at common heights, of each layer the walls by
 * their depth, then the faces that look forward.
 *
 * @param prisms that look forward at their lower end
 */
record Painter(List<Prism> prisms, Axonometry view) {
  /** Walls are cut into pieces no longer than this, mm, so that their depth decides. */
  private static final double LONGEST = 4;

  /** Where an outline turns by more, an edge is drawn along the axis: the cosine. */
  private static final double CORNER = Math.cos(Math.toRadians(35));

  /** Where the light comes from, in the plane across the axes: from the upper left. */
  private static final double LIGHT_X = 0.35;

  private static final double LIGHT_Y = 0.94;

  /** How bright faces are, and walls that no light falls on or all of it. */
  private static final double FACE = 0.92;

  private static final double WALL = 0.5;
  private static final double SHADE = 0.3;
  private static final double DARKEST = -0.6;

  /** A line round material, which lies to its left; its last point is the first. */
  record Ring(Outline line, boolean isCovered, boolean goesOn) {

    Ring placed(Stand stand) {
      return new Ring(line.placed(stand.angle(), stand.x(), stand.y()), isCovered, goesOn);
    }

    /** Half a turn about the axis that points up. */
    Ring turnedOver() {
      return new Ring(line.turnedOver(), /* isCovered= */ goesOn, /* goesOn= */ isCovered);
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

  /** A body between two heights. */
  record Prism(Component component, double from, double to, List<Ring> rings) {

    /** Half a turn about the axis that points up: its upper end looks forward. */
    Prism turnedOver() {
      return new Prism(component, -to, -from, rings.stream().map(Ring::turnedOver).toList());
    }
  }

  /** What is drawn, with how far away it is. */
  private record Wall(double depth, List<Mark> marks) {}

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
