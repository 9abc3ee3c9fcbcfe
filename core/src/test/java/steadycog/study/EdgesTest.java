package steadycog.study;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CancellationException;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.RandomCards;
import steadycog.check.Finding;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.shape.EdgeLayout;
import steadycog.shape.FaceLayout;
import steadycog.shape.Placed;
import steadycog.train.ShiftPlan;
import steadycog.train.Train;

/** Trains at the edge of what can be said of them: everything is answered, in numbers. */
class EdgesTest {
  private static Study study(String card) throws CardException {
    return Study.of(Card.read(card).train());
  }

  private static List<String> codes(Study study) {
    return study.findings().stream().map(Finding::code).toList();
  }

  @Test
  void inAndOutOnOneBodyIsSaid() throws CardException {
    Study joined =
        study("a: parallel 20 ~ 40\nb: parallel 20 ~ 30\njoin a.A = b.A\ndrive a.A\ntake b.A\n");
    assertTrue(codes(joined).contains("one-body"), joined.findings().toString());
    assertEquals("1", joined.ratio().orElseThrow().reduction().toString());
    assertTrue(codes(study("parallel 20 = 40 ~ 30; drive A; take B")).contains("one-body"));
    assertFalse(codes(study("parallel 20 ~ 40; drive A; take B")).contains("one-body"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "parallel 3 ~ 99999i",
        "parallel 99999 ~ 99999",
        "planetary sun 33333 planet 33333 x3 ring 99999",
        "planetary sun 12/- planet 18=18 x3 ring 48/51; clutch planet = ring1; drive carrier; hold"
            + " ring2",
        "planetary sun 12/- planet 18=143 x3 clocked ring 48/60",
        "planetary sun 17 planet 15 x3 ring 54",
        "planetary sun 72/- planet 47=50 x4 ring 168/172; module 40 mm; distance planet-ring2 82.9"
            + " mm",
        "parallel 41 ~ 58i ~ 32; clearance apart 1 mm",
        "parallel 77 ~ 26 ~ 29i = 76 ~ 24; module 2 mm",
        "cycloidal lobes 10 pins 11 circle 50 mm pin 8 mm eccentric 2.5 mm",
        "parallel 58 = 82 ~ 39; module 0.001 mm; clearance apart 1 mm"
      })
  void noFindingSaysWhatIsNoNumber(String card) throws CardException {
    isSaidInNumbers(study(card.replace(";", "\n")));
  }

  private static void isSaidInNumbers(Study study) {
    for (Finding finding : study.findings()) {
      String said = finding.message() + finding.remedy().orElse("") + finding.values();
      assertFalse(said.matches("(?s).*(NaN|Infinity).*"), said);
    }
    for (Placed body : study.layout().bodies()) {
      assertTrue(
          Double.isFinite(body.x() + body.y()) && body.bodyRadius() > 0 && body.bodyRadius() < 1e6,
          body.toString());
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {11, 12, 13})
  void everyRandomCardIsWorkedOutInNumbersAndDrawn(long seed) {
    Random random = new Random(seed);
    for (int k = 0; k < 60; k++) {
      Card card = RandomCards.next(random);
      try {
        Train train = card.train().withShifts(ShiftPlan.NONE);
        Study study = Study.of(train);
        isSaidInNumbers(study);
        EdgeLayout edge = EdgeLayout.of(train, study.layout(), List.of());
        assertTrue(edge.range()[1] >= edge.range()[0]);
        study.working();
        study.torqueWorking();
        study.epicyclicWorking();
        study.twoInputs();
      } catch (RuntimeException | AssertionError fault) {
        throw new AssertionError(card.text(), fault);
      }
    }
  }

  /** A long chain is told apart by its own numbers: one wheel after the other, by hand. */
  @Test
  void aChainOfManyWheelsTurnsAsItsFirstAndLastSay() throws CardException {
    String wheels =
        IntStream.range(0, 301)
            .mapToObj(k -> "" + (20 + k % 37))
            .collect(Collectors.joining(" ~ "));
    Study study = study("parallel " + wheels + "\nefficiency ideal\n");
    assertEquals(
        Math.floorMod(300, 37) + 20,
        study.ratio().orElseThrow().reduction().multiply(20).intValue());
    assertEquals(301, study.layout().wheels().size());
    assertEquals(1, study.efficiency().orElseThrow(), 1e-12);
  }

  @Test
  void workIsToldHowFarItIsAndStopsWhereItIsAskedTo() throws CardException {
    Train train = Card.read("planetary sun 24 planet 15 x3 ring 54\nhold ring\n").train();
    List<Double> told = new ArrayList<>();
    Study watched = Study.of(train, told::add);
    assertEquals(told.stream().sorted().toList(), told, "never backwards");
    assertTrue(told.getFirst() == 0 && told.getLast() < 1 && told.size() > 20, told.toString());
    assertEquals(Study.of(train).findings(), watched.findings());
    for (double limit : new double[] {0, 0.3, 0.6, 0.9}) {
      assertThrows(
          CancellationException.class,
          () ->
              Study.of(
                  train,
                  share -> {
                    if (share >= limit) {
                      throw new CancellationException();
                    }
                  }));
    }
    assertThrows(
        CancellationException.class,
        () ->
            FaceLayout.of(
                train,
                share -> {
                  throw new CancellationException();
                }));
  }
}
