package steadycog.train;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Unit;
import steadycog.number.Units;

class UnitsTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "drive A; take B | RPM | NM | W | MM",
        "dp 16; drive A; take B | RPM | NM | W | IN",
        "module 0.1 in; drive A; take B | RPM | NM | W | IN",
        "module 2 mm; drive A 3 rad/s 5 lbf-in; take B | RAD_PER_S | LBF_IN | W | MM",
        "drive A 3 deg/s 2 hp; take B 5 Nmm | DEG_PER_S | NMM | HP | MM",
        "drive A 60 rpm 2 Nm; take B 40 lbf-ft | RPM | NM | W | MM"
      })
  void tablesAreInTheUnitsOfTheCard(String said, Unit speed, Unit torque, Unit power, Unit length)
      throws CardException {
    assertEquals(
        new Units(speed, torque, power, length),
        Card.read("parallel 20 ~ 40; " + said).train().units());
  }

  @Test
  void aUnitReplacesWhatItMeasuresAndNothingElse() {
    for (Unit unit : Unit.values()) {
      Units changed = Units.USUAL.with(unit);
      assertEquals(
          unit.dimension() == Unit.Dimension.SPEED ? unit : Unit.RPM,
          changed.speed(),
          unit.symbol());
      assertEquals(unit.dimension() == Unit.Dimension.TORQUE ? unit : Unit.NM, changed.torque());
      assertEquals(unit.dimension() == Unit.Dimension.POWER ? unit : Unit.W, changed.power());
      assertEquals(unit.dimension() == Unit.Dimension.LENGTH ? unit : Unit.MM, changed.length());
    }
  }
}
