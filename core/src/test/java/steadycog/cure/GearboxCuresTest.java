package steadycog.cure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.notation.CardPrinter;
import steadycog.number.Pace;
import steadycog.study.Study;
import steadycog.train.Train;

/** What lets a gearbox go together: each cure is taken, written, read and built again. */
class GearboxCuresTest {
  private static final String FILTER =
      "planetary sun 24 planet 15 x3 ring 54; module 0.8 mm; width 5 mm; shift planet 0.2;"
          + " clearance laser; bore sun 6 mm flat 5.5 mm; bore planet 4 mm; drive sun; hold ring;"
          + " take carrier; ";

  private static boolean goesTogether(Train train) {
    return Study.of(train)
        .gearbox(Pace.FREE)
        .box()
        .filter(whole -> whole.proof().holds())
        .isPresent();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "F bearing sun 6806 | bearing sun as usual",
        "F leave out rear plate | put back rear plate",
        "F leave out rear plate; leave out nut | put back all that is left out",
        "F housing bolts 24 x M6 | bolts as usual",
        "planetary sun 30 planet 24 x3 ring 78; module 1 mm; motor face 35 mm; drive sun; drive"
            + " ring; take carrier | no motor face",
        "parallel 40 ~ 60; module 0.5 mm; bore A 20 mm; drive A; take B | bore A 15 mm",
        "strainwave nominal 30; module 0.1 mm; drive wave; hold circular; take flex | module",
        "bevel 11 ~ 43; module 2 mm | "
      })
  void curesAreBuiltAndKeepWhatCounts(String card, String expected) throws CardException {
    Train train = Card.read(card.replace("F ", FILTER)).train();
    assertFalse(goesTogether(train), card);
    List<Cure> cures = GearboxCures.of(train, Pace.FREE);
    String said = String.join("; ", cures.stream().map(Cure::change).toList());
    for (String each : expected == null ? new String[0] : expected.split("; ")) {
      assertTrue(said.contains(each), said);
    }
    assertEquals(expected == null, cures.isEmpty(), said);
    for (Cure cure : cures) {
      Train again = Card.read(CardPrinter.print(cure.train())).train();
      assertEquals(cure.train(), again, cure.change());
      assertTrue(goesTogether(again), cure.change());
      assertEquals(Study.of(train).ratio(), Study.of(again).ratio(), cure.change());
      assertFalse(cure.changesRatio());
    }
    assertEquals(cures.size(), Arrays.stream(said.split("; ")).filter(s -> !s.isEmpty()).count());
  }

  @Test
  void lookingCanBeStopped() throws CardException {
    Train train = Card.read(FILTER + "bearing sun 6806").train();
    assertThrows(
        CancellationException.class,
        () ->
            GearboxCures.of(
                train,
                share -> {
                  throw new CancellationException();
                }));
  }
}
