package steadycog.number;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MeasuredTest {

  @ParameterizedTest
  @CsvSource({
    "25.4, 2, MM, 25.40 mm",
    "25.4, 2, IN, 1.000 in",
    "0.127, 3, IN, 0.0050 in",
    "12.7, 1, CM, 1.27 cm"
  })
  void decimalsFollowTheUnit(double mm, int decimals, Unit unit, String expected) {
    assertEquals(expected, Measured.mm(mm, decimals).in(Units.USUAL.with(unit)));
  }

  @Test
  void wordsStandAroundIt() {
    Measured push = Measured.significant(2, Unit.NM, 4).between("push ", ", at least");
    assertEquals("push 2 Nm, at least", push.toString());
    assertEquals("push 17.7 lbf-in, at least", push.in(Units.USUAL.with(Unit.LBF_IN)));
    assertEquals("push 2 Nm, at least", push.in(Units.USUAL.with(Unit.IN)), "of another sort");
  }

  /** Whatever it is said in, the value is the same within what is rounded away. */
  @Test
  void theValueStaysWhateverTheUnit() {
    Random random = new Random(3);
    for (Unit unit : Unit.values()) {
      Unit base = unit.dimension().units().getFirst();
      for (int k = 0; k < 20; k++) {
        double size = random.nextDouble(0.01, 4000);
        String said = Measured.significant(size, base, 6).in(Units.USUAL.with(unit));
        String number = said.substring(0, said.indexOf(' '));
        Unit shown = Units.USUAL.with(unit).of(unit.dimension()).orElse(base);
        assertTrue(said.endsWith(" " + shown.symbol()), said);
        double back = base.fromBase(shown.toBase(Double.parseDouble(number)));
        assertEquals(1, back / size, 1e-5, said);
      }
    }
  }

  /** One rule wherever figures are compared: five of them, however small, no exponent. */
  @Test
  void fiveFiguresWhereverTheyStand() {
    assertEquals("0.00069638", Figures.plain(1 / 1436.0));
    assertEquals("\u22120.00069638", Figures.shown(-1 / 1436.0));
    assertEquals("1.0119", Figures.plain(85 / 84.0));
    assertEquals("0.98824", Figures.plain(84 / 85.0));
    assertEquals("123456789", Figures.plain(123456789.0), "whole digits stay");
    Random random = new Random(9);
    for (int k = 0; k < 2000; k++) {
      double value = Math.pow(10, random.nextDouble(-9, 9)) * (random.nextBoolean() ? 1 : -1);
      String said = Figures.plain(value);
      assertEquals(1, Double.parseDouble(said) / value, 5.1e-5, said);
      assertTrue(said.matches("-?\\d+(\\.\\d+)?"), said);
      long digits =
          said.chars().filter(Character::isDigit).count()
              - said.replace("-", "")
                  .chars()
                  .takeWhile(c -> c == '0' || c == '.')
                  .filter(c -> c == '0')
                  .count();
      assertTrue(digits <= Math.max(5, (long) Math.ceil(Math.log10(Math.abs(value)) + 1)), said);
    }
  }

  @Test
  void everyUnitOfAnyDimensionHasItsNameBack() {
    for (Unit unit : Unit.values()) {
      assertEquals(unit, Unit.of(unit.symbol(), unit.dimension()).orElseThrow());
      assertEquals(0, unit.fromBase(unit.toBase(0)), 1e-9);
      assertEquals(7, unit.fromBase(unit.toBase(7)), 1e-9, unit.symbol());
    }
    assertEquals(
        Arrays.stream(Unit.values()).map(Unit::symbol).distinct().count(), Unit.values().length);
  }

  @ParameterizedTest
  @CsvSource({
    "mNm, TORQUE, NMM", "N cm, TORQUE, NCM", "oz-in, TORQUE, OZF_IN", "in-lb, TORQUE, LBF_IN",
    "ft lb, TORQUE, LBF_FT", "kg cm, TORQUE, KGF_CM", "g-cm, TORQUE, GF_CM", "N·m, TORQUE, NM",
    "rev, ANGLE, TURN", "rotations, ANGLE, TURN", "°, ANGLE, DEGREE", "degrees, ANGLE, DEGREE",
    "us, TIME, MICROSECOND", "msec, TIME, MILLISECOND", "hours, TIME, HOUR", "1/min, SPEED, RPM",
    "°C, TEMPERATURE, CELSIUS", "C, TEMPERATURE, CELSIUS", "amps, CURRENT, A", "dBA, SOUND, DECIBEL"
  })
  void unitsAreUnderstoodAsPeopleWriteThem(String text, Unit.Dimension dimension, Unit unit) {
    assertEquals(unit, Unit.of(text, dimension).orElseThrow());
  }
}
