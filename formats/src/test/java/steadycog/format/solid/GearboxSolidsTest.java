package steadycog.format.solid;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.gearbox.Build.Whole;
import steadycog.gearbox.Component;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Pace;
import steadycog.piece.Arrangement;
import steadycog.piece.Piece;
import steadycog.piece.Solid;
import steadycog.study.Study;

/** What is made of whole gearboxes, as the solids that are printed. */
class GearboxSolidsTest {
  private static final double CHORD = 0.02;

  @ParameterizedTest
  @ValueSource(
      strings = {
        "parallel 17 ~ 40 = 18 ~ 50; module 1 mm; clearance laser; bore 5 mm key",
        "planetary sun 20/- planet 25=23 x3 ring 70/68; module 0.5 mm; width 8 mm; clearance"
            + " printed; bore sun 3 mm flat 2.5 mm; drive sun; hold ring1; take ring2",
        "planetary sun 18 planet 18 x3 ring 54; helix 20 deg; module 1 mm; clearance printed;"
            + " bore carrier 6 mm hex; drive sun; hold ring; take carrier; motor face 42 mm",
        "cycloidal lobes 11 discs 3; clearance laser; drive eccentric; hold ring; take disc"
      })
  void everySolidIsClosedAsHeavyAsItsSlabsAndClearOfTheOthers(String card) throws CardException {
    Whole whole = Study.of(Card.read(card).train()).gearbox(Pace.FREE).box().orElseThrow();
    assertEquals(List.of(), whole.proof().problems());
    Arrangement laid = Arrangement.solids(whole.gearbox().made());
    Solids solids = Solids.of(laid, CHORD);
    Map<Piece, Component> components = new HashMap<>();
    whole.gearbox().components().forEach(one -> components.put(one.piece(), one));
    int count = 0;
    for (Solids.Standing one : solids.all()) {
      Component component = components.get(one.laid().piece());
      assertTrue(component != null && !component.isBought(), one.laid().piece().name());
      assertClosed(one.solid(), component.name());
      double volume = component.volume(CHORD);
      assertEquals(volume, one.solid().volume(), 0.01 * volume, component.name());
      for (int k = 2; k < one.solid().points().length; k += 3) {
        assertTrue(one.solid().points()[k] > -1e-9, "it lies on the plate");
      }
      count++;
    }
    int made =
        whole.bill().lines().stream()
            .filter(line -> !line.isBought())
            .mapToInt(line -> line.count())
            .sum();
    assertEquals(made, count);
    for (int a = 0; a < laid.laid().size(); a++) {
      for (int b = a + 1; b < laid.laid().size(); b++) {
        double[] one = box(laid.laid().get(a));
        double[] other = box(laid.laid().get(b));
        assertTrue(
            one[2] < other[0] || other[2] < one[0] || one[3] < other[1] || other[3] < one[1],
            "room between pieces");
      }
    }
  }

  private static double[] box(Arrangement.Laid laid) {
    double[] own = laid.piece().bounds();
    return new double[] {
      own[0] + laid.x(), own[1] + laid.y(), own[2] + laid.x(), own[3] + laid.y()
    };
  }

  /** Every edge once each way. */
  private static void assertClosed(Solid solid, String name) {
    Map<Long, Integer> ways = new HashMap<>();
    int[] corners = solid.corners();
    for (int k = 0; k < corners.length; k += 3) {
      for (int side = 0; side < 3; side++) {
        long from = corners[k + side];
        long to = corners[k + (side + 1) % 3];
        ways.merge(
            (Math.min(from, to) << 32) | Math.max(from, to), from < to ? 1 : -1, Integer::sum);
      }
    }
    assertTrue(ways.values().stream().allMatch(sum -> sum == 0), name + " is open");
  }
}
