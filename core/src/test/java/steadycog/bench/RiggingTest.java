package steadycog.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.bench.Chart.Axis;
import steadycog.bench.Rigging.Way;
import steadycog.number.Quantity;
import steadycog.number.Unit;

class RiggingTest {

  private static Rigging on(Way way, String length) {
    return new Rigging(
        way,
        Optional.of(Measure.read(length, Unit.MM, Unit.Dimension.LENGTH)),
        Optional.of(0.02),
        0.1);
  }

  /** The same torque of 0.980665 N m in every way that people put it on. */
  @ParameterizedTest
  @CsvSource({
    "ARM, 100 mm, 1 kg",
    "ARM, 100, 1",
    "ARM, 100 mm, 9.80665 N",
    "ARM, 100 mm, 1000 g",
    "ARM, 100 mm, 1 kgf",
    "PULLEY, 200 mm, 1 kg",
    "PULLEY, 200 mm, 35.27396194958041 oz",
    "ARM, 3.937007874015748 in, 2.204622621848776 lb"
  })
  void loadsBecomeTorques(Way way, String length, String load) {
    Rigging rigging = on(way, length);
    assertEquals(0.980665, rigging.torque(rigging.readLoad(load)), 1e-9);
  }

  @Test
  void metersReadTorqueAndMotorsGiveItAboveIdle() {
    assertEquals(
        1.3558179483314003, Rigging.METER.torque(Rigging.METER.readLoad("1 lbf-ft")), 1e-12);
    assertEquals(0.018, on(Way.ARM, "1 in").torqueAt(1).orElseThrow(), 1e-12);
    assertEquals(0.0, on(Way.ARM, "1 in").torqueAt(0.05).orElseThrow(), "idle turns nothing");
    assertTrue(Rigging.METER.torqueAt(1).isEmpty());
  }

  @Test
  void whatLoadsNothingIsRefused() {
    assertThrows(IllegalArgumentException.class, () -> on(Way.ARM, "0 mm"));
    assertThrows(IllegalArgumentException.class, () -> on(Way.PULLEY, "-3 mm"));
    assertThrows(IllegalArgumentException.class, () -> Rigging.METER.readLoad("1 kg"));
    assertThrows(IllegalArgumentException.class, () -> on(Way.ARM, "1 mm").readLoad("1 Nm"));
    assertThrows(
        IllegalArgumentException.class,
        () -> new Rigging(Way.ARM, Optional.empty(), Optional.empty(), 0));
  }

  /** A plan rises evenly to its top, and stays in the unit in which it was asked for. */
  @Test
  void plansRiseEvenly() {
    for (int count = 1; count <= 40; count++) {
      List<LoadStep> plan = LoadTest.plan(Quantity.of("1.2", Unit.KG), count);
      assertEquals(count, plan.size());
      assertEquals(1.2, plan.getLast().load().inBase(), 1e-3);
      for (int k = 0; k < count; k++) {
        assertEquals(1.2 * (k + 1) / count, plan.get(k).load().inBase(), 1e-3);
        assertEquals(Unit.KG, plan.get(k).load().unit());
        assertEquals(Outcome.NOT_TRIED, plan.get(k).outcome());
      }
    }
  }

  /** Whatever the values: all lie on the axis, with few marks, at round numbers. */
  @Test
  void axesHoldTheirValuesAtRoundMarks() {
    SplittableRandom random = new SplittableRandom(2);
    for (int round = 0; round < 500; round++) {
      double size = Math.pow(10, random.nextDouble(-6, 6));
      List<Double> values = new ArrayList<>();
      for (int k = random.nextInt(8); k > 0; k--) {
        values.add(size * random.nextDouble(-1, 1));
      }
      Axis axis = Axis.over("x", values);
      List<Double> marks = axis.marks();
      assertTrue(marks.size() >= 2 && marks.size() <= 9, marks::toString);
      for (double value : values) {
        assertTrue(
            axis.part(value) > -1e-9 && axis.part(value) < 1 + 1e-9, () -> value + " " + axis);
      }
      assertEquals(axis.from(), marks.getFirst(), 1e-9 * axis.step());
      assertEquals(axis.to(), marks.getLast(), 1e-6 * axis.step());
      double digit = axis.step() / Math.pow(10, Math.floor(Math.log10(axis.step()) + 1e-9));
      assertTrue(
          Math.abs(digit - 1) < 1e-6 || Math.abs(digit - 2) < 1e-6 || Math.abs(digit - 5) < 1e-6,
          () -> axis.step() + "");
    }
  }
}
