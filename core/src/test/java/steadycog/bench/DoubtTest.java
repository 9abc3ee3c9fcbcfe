package steadycog.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.notation.CardException;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/** Load tests with one slip each, against what is said of them. */
class DoubtTest {
  private static final String CARD =
      "parallel 20 ~ 80; efficiency external 0.9; drive A 1000 rpm; take B";

  /**
   * Loads of 1 to 4 N m on an arm of 100 mm, read at a motor of 50 N mm/A that draws 0.2 A alone.
   *
   * @param heavier by how much each load was typed too large
   */
  private static List<LoadStep> steps(double heavier) {
    List<LoadStep> all = new ArrayList<>();
    for (int k = 1; k <= 4; k++) {
      double amps = 0.2 + k / (4 * 0.9 * 0.05);
      double volts = 0.05 * 1000 * Math.PI / 30 + amps;
      all.add(
          new LoadStep(quantity(heavier * k / 0.1, Unit.N), Map.of(), Outcome.HELD, "")
              .with(Measure.CURRENT, Optional.of(quantity(amps, Unit.A)))
              .with(Measure.VOLTAGE, Optional.of(quantity(volts, Unit.V)))
              .with(Measure.SPEED, Optional.of(quantity(1000, Unit.RPM))));
    }
    return all;
  }

  private static Quantity quantity(double value, Unit unit) {
    return Quantity.of(String.format(Locale.ROOT, "%.4f", value), unit);
  }

  private static List<Doubt> doubts(double arm, double constant, double idle, List<LoadStep> steps)
      throws CardException {
    Rigging rigging =
        new Rigging(
            Rigging.Way.ARM, Optional.of(quantity(arm, Unit.MM)), Optional.of(constant), idle);
    TestHead head = new TestHead("load", LocalDate.of(2031, 4, 2), TestHead.BY_HAND, "", "");
    return LoadResult.of(TurnVerdictTest.train(CARD), new LoadTest(head, rigging, steps)).doubts();
  }

  @Test
  void readingsThatCanBeSoAreNotDoubted() throws CardException {
    assertEquals(List.of(), doubts(100, 0.05, 0.2, steps(1)));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          2540  | 0.05    | 0.2 | 1       | millimetres were measured and inches typed
          200   | 0.05    | 0.2 | 1       | the whole beam or diameter was taken for one side
          100   | 0.05    | 0.2 | 9.80665 | newtons were read and kilograms typed
          100   | 0.03    | 0.2 | 1       | the torque constant is too small, or load or arm
          100   | 0.00005 | 0.2 | 1       | the torque constant is in N m/A and was typed in mN m/A
          100   | 0.5     | 0.2 | 1       | the constant is at most
          100   | 50      | 0.2 | 1       | 1000 times too little
          100   | 0.05    | 30  | 1       | the idle current is less
          """)
  void oneSlipIsSaidWithItsCause(
      double arm, double constant, double idle, double heavier, String words) throws CardException {
    List<Doubt> doubts = doubts(arm, constant, idle, steps(heavier));
    assertTrue(
        doubts.stream().anyMatch(doubt -> doubt.text().contains(words)), () -> words + doubts);
  }

  @Test
  void aCurrentThatFallsUnderMoreLoadIsSaidAtItsStep() throws CardException {
    List<LoadStep> steps = steps(1);
    LoadStep third = steps.get(2);
    steps.set(2, third.with(Measure.CURRENT, Optional.of(quantity(9, Unit.A))));
    List<Doubt> doubts = doubts(100, 0.05, 0.2, steps);
    assertEquals(Optional.of(3), doubts.getLast().step(), doubts::toString);
    assertTrue(doubts.getLast().words().contains("falls from 11.3 to 9 A"), doubts::toString);
  }
}
