package steadycog.study;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import steadycog.RandomTrains;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.study.Working.Step;
import steadycog.train.Train;

class WorkingTest {

  private static Working working(String card) throws CardException {
    return Study.of(Card.read(card).train()).working().orElseThrow();
  }

  @Test
  void workedByHandAndBySolverAgreeOnRandomTrains() {
    Random random = new Random(31);
    for (int k = 0; k < 100; k++) {
      Train train = RandomTrains.driven(random, 30);
      Working working = Study.of(train).working().orElseThrow();
      assertTrue(working.agrees(), working.productForm());
      for (Step step : working.steps()) {
        assertEquals(step.driverTeeth(), step.drivenTeeth(), "teeth past both sides of a mesh");
      }
    }
  }

  @Test
  void stagesProductsAndIdlersAreShownInOrder() throws CardException {
    Working compound = working("parallel 18 ~ 72 = 20 ~ 80 = 17 ~ 136\ndrive A\ntake F");
    assertEquals("(-72/18) × (-80/20) × (-136/17) = -128", compound.productForm());
    assertEquals(
        List.of("-4", "16", "-128"),
        compound.steps().stream().map(step -> Exact.text(step.running())).toList());
    Working simple = working("parallel 20 ~ 33 ~ 50\ndrive A\ntake C");
    assertEquals(List.of(true, false), simple.steps().stream().map(Step::idler).toList());
    Working back = working("parallel 20 ~ 33 ~ 60i\ndrive C\ntake A");
    assertEquals("(33/60) × (-20/33) = -1/3", back.productForm());
    assertEquals("1", working("parallel 20 = 40\ndrive A\ntake B").productForm());
    Working across =
        working("p: parallel 20 ~ 40\nq: parallel 15 ~ 45\ndrive p.A\ntake q.B\nlock p.B = q.A");
    assertEquals("(-40/20) × (-45/15) = 6", across.productForm());
  }

  @Test
  void withoutARatioThereIsNothingToWork() throws CardException {
    assertTrue(
        Study.of(Card.read("parallel 20 ~ 40\ndrive A\nhold B").train()).working().isEmpty());
    assertTrue(Study.of(Card.read("parallel 20").train()).working().isEmpty());
  }
}
