package steadycog.number;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigInteger;
import java.util.List;
import java.util.Random;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class NumbersTest {

  @ParameterizedTest
  @CsvSource({
    "0.4,2/5,0.4",
    "-49,-49,-49",
    "1/1436,1/1436,1/1436",
    "7/2,7/2,3.5",
    "-6/4,-3/2,-1.5"
  })
  void readsAndWritesExactNumbers(String typed, String text, String plain) {
    BigFraction number = Exact.parse(typed);
    assertEquals(text, Exact.text(number));
    assertEquals(plain, Exact.plain(number));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "1,000", "1e9", "1/0", "0x10", "--1", "1.", ".5", "1/2/3"})
  void refusesWhatIsNoNumber(String typed) {
    assertFalse(Exact.isNumber(typed));
    assertThrows(NumberFormatException.class, () -> Exact.parse(typed));
  }

  @Test
  void plainTextReadsBackAsTheSameNumber() {
    Random random = new Random(1);
    for (int k = 0; k < 2000; k++) {
      BigFraction number = Exact.of(random.nextInt(-5000, 5000), random.nextInt(1, 5000));
      assertEquals(number, Exact.parse(Exact.plain(number)));
      assertEquals(number, Exact.parse(Exact.text(number)));
    }
  }

  @Test
  void floorAndCommonDenominatorHoldForNegativeNumbers() {
    assertEquals(BigInteger.valueOf(-2), Exact.floor(Exact.of(-3, 2)));
    assertEquals(
        BigInteger.valueOf(12), Exact.commonDenominator(List.of(Exact.of(1, -4), Exact.of(5, 6))));
  }

  @ParameterizedTest
  @EnumSource(Unit.class)
  void everyUnitIsFoundBySymbolInAnyCase(Unit unit) {
    String shouted = unit.symbol().toUpperCase(java.util.Locale.ROOT);
    assertEquals(unit, Unit.of(shouted, unit.dimension()).orElseThrow());
    assertEquals(21.5, unit.fromBase(unit.toBase(21.5)), 1e-12);
    assertTrue(unit.dimension().symbols().contains(unit.symbol()));
  }

  @Test
  void unitsHaveTheirDefinedSize() {
    assertEquals(1.3558179483314003, Unit.LBF_FT.inBase(), 1e-15);
    assertEquals(Unit.LBF_FT.inBase() / 12, Unit.LBF_IN.inBase(), 1e-15);
    assertEquals(9.549296585513721, Unit.RAD_PER_S.inBase(), 1e-12);
    // One horsepower is 550 foot-pounds a second.
    assertEquals(550 * Unit.LBF_FT.inBase(), Unit.HP.inBase(), 1e-9);
  }

  @Test
  void mixedSpeedsStayExact() {
    AngularSpeed rpm = AngularSpeed.of(Quantity.of("30", Unit.RPM));
    AngularSpeed rad = AngularSpeed.of(Quantity.of("2", Unit.RAD_PER_S));
    AngularSpeed back = rpm.plus(rad).plus(rpm.times(BigFraction.of(-1)));
    assertEquals(rad, back);
    assertEquals(BigFraction.of(180), rpm.exactIn(Unit.DEG_PER_S).orElseThrow());
    assertTrue(rpm.plus(rad).exactIn(Unit.RPM).isEmpty());
    assertEquals(30 + 2 * 30 / Math.PI, rpm.plus(rad).inRpm(), 1e-12);
    assertEquals(Math.PI + 2, rpm.plus(rad).inRadPerS(), 1e-12);
  }

  @ParameterizedTest
  @CsvSource({
    "13/4,3.25 : 1,1 : 3.25,UNDERDRIVE",
    "-128,128 : 1,1 : 128,REVERSE_UNDERDRIVE",
    "1/4,1 : 4,4 : 1,OVERDRIVE",
    "-24/7,3.4286 : 1,1 : 3.4286,REVERSE_UNDERDRIVE",
    "-1/100,1 : 100,100 : 1,REVERSE_OVERDRIVE",
    "1,1 : 1,1 : 1,DIRECT"
  })
  void ratiosReadInBothSchools(String i, String reduction, String value, Mode mode) {
    Ratio ratio = new Ratio(Exact.parse(i));
    assertEquals(reduction, ratio.reductionText());
    assertEquals(value, ratio.trainValueText());
    assertEquals(mode, ratio.mode());
    assertEquals(BigFraction.ONE, ratio.trainValue().multiply(ratio.reduction()));
  }

  @Test
  void numbersAreOrderedAsOnALine() {
    Random random = new Random(31);
    for (int k = 0; k < 500; k++) {
      BigFraction a = BigFraction.of(random.nextInt(-40, 41), random.nextInt(1, 20));
      BigFraction b = BigFraction.of(random.nextInt(-40, 41), random.nextInt(1, 20));
      int byDoubles = a.equals(b) ? 0 : a.doubleValue() < b.doubleValue() ? -1 : 1;
      assertEquals(byDoubles, Exact.compare(a, b), a + " and " + b);
      assertEquals(-byDoubles, Exact.compare(b, a));
    }
  }

  @Test
  void aValueIsWorkedOutWhenAskedForAndOnlyOnce() {
    int[] worked = {0};
    Once<Integer> once = Once.of(() -> ++worked[0]);
    assertEquals(0, worked[0]);
    assertEquals(1, once.get());
    assertEquals(1, once.get());
    Once<Integer> failing =
        Once.of(
            () -> {
              throw new IllegalStateException("again " + ++worked[0]);
            });
    assertThrows(IllegalStateException.class, failing::get);
    assertThrows(IllegalStateException.class, failing::get, "a failure is no value");
    assertEquals(3, worked[0]);
  }
}
