package steadycog.gearbox;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.IdentityHashMap;
import java.util.List;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.CoordinateArrays;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;
import steadycog.gearbox.Painter.Prism;
import steadycog.gearbox.Painter.Ring;
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
  private static final double LEVEL = 1e-6;

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

  /** A slab of a component, in its own frame. */
  private record Slice(double from, double to, List<Ring> rings) {}

  /** Outlines made once, to be drawn at any crank and pulled apart by any amount. */
  public static final class Model {
    private final Gearbox box;
    private final Spread spread;
    private final FreeMotion motion;
    private final double fine;
    private final IdentityHashMap<Component, List<Slice>> slices = new IdentityHashMap<>();

    /**
     * Cost: about the points of all outlines.
     *
     * @param order in which it goes together
     * @param fine how far outlines may leave the true line, mm
     */
    public Model(Gearbox box, List<Move> order, double fine) {
      this.box = box;
      this.fine = fine;
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
        Component now = turned.components().get(k);
        List<Slice> at = now.piece().isFlexible() ? slices(now, fine) : Known.in(slices, component);
        now.piece().stands().forEach(s -> add(prisms, component, at, s, by));
      }
      return drawn(prisms, view);
    }

    /** Draws what is there at a step of putting it together, what goes in held off its place. */
    public Exploded draw(Step step, Axonometry view) {
      Spread off = Spread.of(box, step);
      List<Prism> prisms = new ArrayList<>();
      step.before().forEach(move -> add(prisms, move, 0));
      for (Move move : step.moves()) {
        add(prisms, move, off.of(move.component()));
      }
      return drawn(prisms, view);
    }

    /** Draws only some pieces, each in its place. */
    public Exploded draw(Collection<Component> some, Axonometry view) {
      List<Prism> prisms = new ArrayList<>();
      for (Component one : some) {
        List<Slice> at = Known.in(slices, one);
        one.piece().stands().forEach(stand -> add(prisms, one, at, stand, 0));
      }
      return drawn(prisms, view);
    }

    private void add(List<Prism> prisms, Move move, double by) {
      List<Slice> at = Known.in(slices, move.component());
      move.stands().forEach(stand -> add(prisms, move.component(), at, stand, by));
    }

    private static void add(
        List<Prism> prisms, Component component, List<Slice> at, Stand stand, double by) {
      for (Slice slice : at) {
        prisms.add(
            new Prism(
                component,
                round(stand.z() + slice.from + by),
                round(stand.z() + slice.to + by),
                slice.rings.stream().map(ring -> ring.placed(stand)).toList()));
      }
    }

    private static Exploded drawn(List<Prism> prisms, Axonometry view) {
      List<Prism> towards =
          view.isTurnedOver() ? prisms.stream().map(Prism::turnedOver).toList() : prisms;
      return new Exploded(new Painter(towards, view).paint(), List.of()).placed();
    }
  }

  private static List<Slice> slices(Component component, double fine) {
    List<Slab> slabs = component.piece().slabsInTrain();
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
