package steadycog.gearbox;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;
import steadycog.notation.CardException;

/** Putting a gearbox together in steps, and how each of them is drawn. */
class StepTest {
  static final List<String> ALL = Boxes.ALL;

  @ParameterizedTest
  @FieldSource("ALL")
  void stepsTellTheWholeOrderAFewMovesFromOneSideEach(String card) throws CardException {
    List<Move> order = Boxes.proof(Boxes.of(card)).order();
    List<Step> steps = Step.all(order);
    List<Move> told = new ArrayList<>();
    for (Step step : steps) {
      assertEquals(told, step.before());
      assertEquals(steps.indexOf(step) + 1, step.number());
      assertTrue(!step.moves().isEmpty() && step.moves().size() <= 4);
      assertEquals(
          1,
          step.moves().stream()
              .map(m -> m.way() == Move.Way.FROM_THE_DRIVE_END)
              .distinct()
              .count());
      told.addAll(step.moves());
    }
    assertEquals(order, told);
  }

  /** What was never put in is not seen, all that was is, and nothing that goes in has its place. */
  @ParameterizedTest
  @FieldSource("ALL")
  void everyStepShowsWhatIsThereAndHoldsTheRestOff(String card) throws CardException {
    Gearbox box = Boxes.of(card);
    List<Move> order = Boxes.proof(box).order();
    Exploded.Model model = new Exploded.Model(box, order, 0.2);
    for (Step step : Step.all(order)) {
      Exploded drawn = model.draw(step, Axonometry.BENCH);
      Set<Component> there = new HashSet<>(step.fresh());
      step.before().forEach(move -> there.add(move.component()));
      Set<Component> seen = new HashSet<>();
      drawn.marks().forEach(mark -> seen.add(mark.component()));
      assertEquals(there, seen);
      assertEquals(there.size(), drawn.places().size());
      if (step.number() > 1) {
        Spread off = Spread.of(box, step);
        for (Component one : step.fresh()) {
          assertTrue(step.isFromBelow() ? off.of(one) < 0 : off.of(one) > 0, one.name());
        }
      }
    }
  }

  /** Directions of a projection are at right angles and true in length. */
  @ParameterizedTest
  @FieldSource("VIEWS")
  void aViewIsARotation(Axonometry view) {
    List<Axonometry.Way> ways = List.of(view.right(), view.up(), view.depth());
    for (Axonometry.Way a : ways) {
      for (Axonometry.Way b : ways) {
        assertEquals(a.equals(b) ? 1 : 0, a.of(b.x(), b.y(), b.z()), 1e-12);
      }
    }
  }

  static final List<Axonometry> VIEWS =
      List.of(Axonometry.USUAL, Axonometry.BENCH, Axonometry.PLAN);
}
