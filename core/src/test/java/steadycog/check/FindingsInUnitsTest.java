package steadycog.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.RandomCards;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Measured;
import steadycog.number.Unit;
import steadycog.number.Units;

/** What a finding measures can be said in any units; what it found stays the same. */
class FindingsInUnitsTest {
  private static final Units OTHER =
      Units.USUAL.with(Unit.IN).with(Unit.LBF_IN).with(Unit.HP).with(Unit.RAD_PER_S);

  @Test
  void everySizeIsSaidInTheUnitsAskedFor() {
    Random random = new Random(19);
    Set<String> codes = new HashSet<>();
    for (int round = 0; round < 400; round++) {
      for (Finding finding : Inspection.of(RandomCards.next(random).train()).findings()) {
        Finding usual = finding.in(Units.USUAL);
        Finding other = finding.in(OTHER);
        assertEquals(usual.values(), other.values(), "values stay in base units");
        assertEquals(usual.key(), other.key());
        assertEquals(usual.severity(), other.severity());
        boolean converted = false;
        for (Measured size : finding.measured().values()) {
          String said = size.in(OTHER);
          boolean spoken = usual.message().contains(size.in(Units.USUAL));
          assertEquals(spoken, other.message().contains(said), other::message);
          converted |= spoken && !said.equals(size.in(Units.USUAL));
        }
        assertEquals(converted, !usual.message().equals(other.message()), other::message);
        if (converted) {
          codes.add(finding.code());
          assertFalse(
              other.message().replaceAll("module[^.;]*", "").matches(".*\\d (mm|Nm|W)\\b.*"),
              other::message);
        }
      }
    }
    assertTrue(codes.size() >= 6, codes::toString);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "parallel 20 ~ 40; module 2 mm; bore A 34 mm|bore-wall|mm",
        "parallel 20 ~ 40; dp 16; bore A 1.1 in|bore-wall|in",
        "planetary sun 20 planet 20 x6 ring 60; module 1 mm|neighbour|mm",
        "planetary sun 20 planet 20 x6 ring 60; dp 20|neighbour|in",
        "parallel 20 ~ 40; module 1 mm; distance A-B 29.8 mm|binding|mm",
        "parallel 20 ~ 40; dp 25.4; distance A-B 1.17 in|binding|in"
      })
  void aFindingIsInTheUnitsOfItsCard(String card, String code, String unit) throws CardException {
    List<Finding> found =
        Inspection.of(Card.read(card).train()).findings().stream()
            .filter(finding -> finding.code().equals(code))
            .toList();
    assertFalse(found.isEmpty(), code);
    found.forEach(
        finding ->
            assertTrue(finding.message().matches(".*\\d " + unit + "\\b.*"), finding::message));
  }
}
