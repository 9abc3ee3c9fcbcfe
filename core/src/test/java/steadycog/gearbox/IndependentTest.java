package steadycog.gearbox;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.algorithm.locate.PointOnGeometryLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;
import steadycog.gearbox.Exploded.Area;
import steadycog.gearbox.Exploded.Mark;
import steadycog.notation.CardException;
import steadycog.piece.Piece;

/** The proof and the drawing against other routes: areas laid over each other, and rays. */
class IndependentTest {
  /** Outlines touch by chords of arcs; teeth without play by as much. */
  private static final double SLIVER = 0.03;

  @ParameterizedTest
  @FieldSource("steadycog.gearbox.Boxes#CENTRAL")
  void noTwoAreasShareAnythingAtAnyCrank(String card) throws CardException {
    Gearbox box = Boxes.of(card);
    for (double turns = 0; turns < 3; turns += 0.951) {
      List<Item> items = Item.all(box.turned(turns), 0.005);
      for (int a = 0; a < items.size(); a++) {
        for (int b = a + 1; b < items.size(); b++) {
          if (turns == 0 || !isStill(items.get(a)) || !isStill(items.get(b))) {
            assertApart(items.get(a), items.get(b), card + " after " + turns + " turns");
          }
        }
      }
    }
  }

  private static boolean isStill(Item item) {
    return item.component().member().equals(Piece.FRAME);
  }

  private void assertApart(Item one, Item other, String when) {
    for (Item.Layer a : one.layers()) {
      for (Item.Layer b : other.layers()) {
        boolean beside = a.to() <= b.from() + 1e-6 || b.to() <= a.from() + 1e-6;
        if (!beside && a.box().intersects(b.box())) {
          assertFalse(meets(a, b), one.says() + " in " + other.says() + " " + when);
        }
      }
    }
  }

  private final Map<List<Item.Layer>, Boolean> meets = new HashMap<>();

  private boolean meets(Item.Layer a, Item.Layer b) {
    return meets.computeIfAbsent(
        List.of(a, b), pair -> !a.area().intersection(b.area()).buffer(-SLIVER / 2).isEmpty());
  }

  /** Every piece is moved in small steps along its way, past all that stands already. */
  @ParameterizedTest
  @FieldSource("steadycog.gearbox.Boxes#CENTRAL")
  void everyMoveIsFree(String card) throws CardException {
    Gearbox box = Boxes.of(card);
    List<Item> items = Item.all(box, 0.005);
    List<Item> there = new ArrayList<>();
    for (Move move : Boxes.proof(box).order()) {
      List<Item> now =
          items.stream()
              .filter(one -> one.component().equals(move.component()))
              .filter(one -> move.copies().contains(one.copy()))
              .toList();
      for (Item item : now) {
        if (move.way() != Move.Way.FROM_THE_SIDE) {
          double sign = move.way() == Move.Way.FROM_THE_FAR_END ? 1 : -1;
          for (double by = 200; by > 0; by -= by > 60 ? 7 : 1.3) {
            for (Item other : there) {
              assertClear(item, other, sign * by, move.component().name());
            }
          }
        }
      }
      there.addAll(now);
    }
    assertEquals(items.size(), there.size());
  }

  private void assertClear(Item item, Item other, double by, String move) {
    for (Item.Layer a : item.layers()) {
      for (Item.Layer b : other.layers()) {
        boolean level = a.from() + by < b.to() - 1e-6 && b.from() < a.to() + by - 1e-6;
        if (level && a.box().intersects(b.box())) {
          assertFalse(meets(a, b), move + " meets " + other.says() + " " + by + " away");
        }
      }
    }
  }

  /** What was painted last at a point is what a ray from there meets first. */
  @ParameterizedTest
  @FieldSource("steadycog.gearbox.Boxes#CENTRAL")
  void whatIsSeenIsWhatIsNearest(String card) throws CardException {
    Gearbox box = Boxes.of(card);
    seenIsNearest(box, Axonometry.USUAL);
    seenIsNearest(box, Axonometry.BENCH);
  }

  private void seenIsNearest(Gearbox box, Axonometry view) throws CardException {
    double turns = 0.37;
    Exploded drawn = new Exploded.Model(box, Boxes.proof(box).order(), 0.01).draw(0, turns, view);
    double[] bounds = drawn.bounds();
    List<Item> items = Item.all(box.turned(turns), 0.005);
    Random random = new Random(5);
    int agreed = 0;
    int hits = 0;
    for (int k = 0; k < 120; k++) {
      double right = bounds[0] + random.nextDouble() * (bounds[2] - bounds[0]);
      double up = bounds[1] + random.nextDouble() * (bounds[3] - bounds[1]);
      String painted = last(drawn.marks(), right, up);
      String met = first(items, view, right, up);
      hits += met.isEmpty() ? 0 : 1;
      agreed += painted.equals(met) ? 1 : 0;
    }
    assertTrue(hits > 40, hits + " hits");
    // A point on an edge may belong to either side of it.
    assertTrue(agreed >= 118, agreed + " of 120 agree");
  }

  private static String last(List<Mark> marks, double right, double up) {
    for (int k = marks.size() - 1; k >= 0; k--) {
      if (marks.get(k) instanceof Area area && area.isAt(right, up)) {
        return area.component().name();
      }
    }
    return "";
  }

  private final Map<Item.Layer, PointOnGeometryLocator> within = new HashMap<>();

  private PointOnGeometryLocator within(Item.Layer layer) {
    return within.computeIfAbsent(layer, one -> new IndexedPointInAreaLocator(one.area()));
  }

  private String first(List<Item> items, Axonometry view, double right, double up) {
    String name = "";
    double nearest = Double.MAX_VALUE;
    for (Item item : items) {
      for (Item.Layer layer : item.layers()) {
        for (double z = layer.from(); z <= layer.to(); z += (layer.to() - layer.from()) / 25) {
          // The point of that height that is seen there: two equations in x and y.
          double over = view.isTurnedOver() ? -1 : 1;
          double r = right - over * z * view.right().z();
          double u = up - over * z * view.up().z();
          double a = over * view.right().x();
          double b = view.right().y();
          double c = over * view.up().x();
          double d = view.up().y();
          double x = (r * d - b * u) / (a * d - b * c);
          double y = (a * u - c * r) / (a * d - b * c);
          double depth = view.depth(over * x, y, over * z);
          if (depth < nearest && within(layer).locate(new Coordinate(x, y)) != Location.EXTERIOR) {
            nearest = depth;
            name = item.component().name();
          }
        }
      }
    }
    return name;
  }
}
