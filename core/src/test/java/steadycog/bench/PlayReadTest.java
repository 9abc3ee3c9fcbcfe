package steadycog.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.sizing.Band;

/** Play that was read is held against the band of the card, not against one number. */
class PlayReadTest {
  private static final String PAIR =
      "parallel 20 ~ 60; module 1 mm; clearance printed; drive A; take B";

  private static LoadResult result(String card, String... minutes) throws CardException {
    List<LoadStep> steps =
        List.of(minutes).stream()
            .map(
                text ->
                    new LoadStep(
                        Quantity.of("1", Unit.NM),
                        Map.of(Measure.BACKLASH, Quantity.of(text, Unit.ARC_MINUTE)),
                        Outcome.HELD,
                        ""))
            .toList();
    TestHead head = new TestHead("load", LocalDate.of(2031, 5, 6), TestHead.BY_HAND, "", "");
    return LoadResult.of(Card.read(card).train(), new LoadTest(head, Rigging.METER, steps));
  }

  @ParameterizedTest
  @CsvSource({"40, within", "60, more than", "20, less than"})
  void whatWasReadIsJudgedByTheTolerances(String read, String verdict) throws CardException {
    LoadResult result = result(PAIR + "; tolerance centre +0.05 -0.05 mm", read, "75");
    Band band = result.play().orElseThrow();
    assertEquals(39, band.nominal(), 0.1, "0.34 mm on a radius of 30");
    assertEquals(2 * Math.tan(Math.toRadians(20)) * 0.05 / 30, spread(band), 1e-6);
    assertEquals(Optional.of(Double.parseDouble(read)), result.measuredPlay());
    assertTrue(result.playWords().orElseThrow().contains(verdict), result.playWords().toString());
    assertTrue(result.words(Unit.NM).contains("Play " + read + "\u2032"));
  }

  private static double spread(Band band) {
    return Math.toRadians((band.most() - band.nominal()) / 60);
  }

  @Test
  void withoutTolerancesNothingIsJudged() throws CardException {
    assertEquals(
        "Play 50\u2032, worked out 39\u2032", result(PAIR, "50").playWords().orElseThrow());
    assertTrue(result(PAIR).playWords().isEmpty());
  }
}
