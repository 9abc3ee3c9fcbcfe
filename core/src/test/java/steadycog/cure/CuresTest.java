package steadycog.cure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.RandomCards;
import steadycog.check.Finding;
import steadycog.check.Inspection;
import steadycog.check.Severity;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Pace;
import steadycog.number.Ratio;
import steadycog.study.Study;
import steadycog.train.Train;

/** Cures are judged by working their printed cards out anew, as somebody who takes them would. */
@Tag("slow")
class CuresTest {
  /** So many random designs; {@code -Ddesigns=2000} for a long run. */
  private static final int DESIGNS = Integer.getInteger("designs", 60);

  private static List<Advice> advice(Train train) {
    return Cures.of(train).all(Pace.FREE);
  }

  private static Study again(Train train) throws CardException {
    return Study.of(Card.read(Card.of(train).text()).train());
  }

  private static Set<Finding.Key> keys(Study study, Severity least) {
    return study.findings().stream()
        .filter(finding -> finding.severity().compareTo(least) >= 0)
        .map(Finding::key)
        .collect(Collectors.toSet());
  }

  /** An edit drops the search for the train as it was: it is asked before every change is tried. */
  @Test
  void aSearchCanBeDroppedAtEveryChange() throws CardException {
    Train train =
        Card.read("parallel 18 ~ 72 = 20 ~ 80 = 17 ~ 60 ~ 24 = 19 ~ 57 = 21 ~ 45 ~ 30").train();
    Inspection before = Inspection.of(train);
    int tried =
        before.findings().stream()
            .filter(finding -> finding.severity() != Severity.OK)
            .mapToInt(finding -> new Proposals(before).counts(finding).size())
            .max()
            .orElseThrow();
    AtomicInteger asked = new AtomicInteger();
    Cures.of(train).all(share -> asked.incrementAndGet());
    assertTrue(asked.get() > tried, asked + " times asked, " + tried + " changes at once");
  }

  @Test
  void everyCureClearsItsFindingBringsNothingAsBadAndSaysItsRatio() throws CardException {
    Random random = new Random(19);
    int cures = 0;
    for (int k = 0; k < DESIGNS; k++) {
      Train train = stateless(RandomCards.next(random).train());
      Study before = Study.of(train);
      for (Advice advice : advice(train)) {
        for (Cure cure : advice.cures()) {
          requireTrue(train, before, advice.finding(), cure);
          cures++;
        }
        requireOrder(advice);
      }
    }
    assertTrue(cures > DESIGNS, cures + " cures");
  }

  private static Train stateless(Train train) {
    return train.shifts().states().isEmpty() ? train : train.in(train.shifts().states().getFirst());
  }

  private static void requireTrue(Train train, Study before, Finding finding, Cure cure)
      throws CardException {
    String said = Card.of(train).text() + finding.code() + finding.members() + ": " + cure.change();
    Study after = again(cure.train());
    assertFalse(keys(after, Severity.NOTE).contains(finding.key()), said);
    Map<Finding.Key, Severity> was =
        before.findings().stream()
            .collect(
                Collectors.toMap(
                    Finding::key, Finding::severity, (a, b) -> a.compareTo(b) > 0 ? a : b));
    for (Finding left : after.findings()) {
      boolean asBad = left.severity().compareTo(finding.severity()) >= 0;
      boolean old = was.getOrDefault(left.key(), Severity.OK).compareTo(left.severity()) >= 0;
      assertTrue(!asBad || old, () -> said + " brings " + left.code() + left.members());
    }
    assertEquals(after.ratio(), cure.ratio(), said);
    assertEquals(change(before.ratio(), after.ratio()), cure.ratioChange(), said);
    Set<Finding.Key> gone = keys(before, Severity.NOTE);
    gone.removeAll(keys(after, Severity.NOTE));
    assertEquals(gone, Set.copyOf(cure.clears()), said);
    Set<Finding.Key> come = keys(after, Severity.NOTE);
    come.removeAll(keys(before, Severity.NOTE));
    assertEquals(come, Set.copyOf(cure.brings()), said);
  }

  private static Optional<Double> change(Optional<Ratio> old, Optional<Ratio> now) {
    return old.flatMap(
        was ->
            now.map(is -> is.reduction().divide(was.reduction()).subtract(1).doubleValue() + 0.0));
  }

  /** Least change of the ratio first; no turn round where something else is offered. */
  private static void requireOrder(Advice advice) {
    double last = 0;
    boolean straight = advice.cures().stream().anyMatch(cure -> !cure.turnsRound());
    for (Cure cure : advice.cures()) {
      double change = Math.abs(cure.ratioChange().orElse(0.0));
      assertTrue(change >= last, advice.finding().code());
      assertFalse(straight && cure.turnsRound(), advice.finding().code());
      last = change;
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "planetary sun 17 planet 17 x4 ring 51 | internal-interference | shift planet 0.2",
        "planetary sun 17 planet 17 x4 ring 51 | undercut | shift sun 0.01",
        "planetary sun 10 planet 20 x5 ring 50 | neighbour | planets x5 -> x3",
        "planetary sun 30 planet 20 x3 ring 70 | assembly | planets x3 -> x4",
        "parallel 15 ~ 45 = 15 ~ 45; coaxial A = D | undercut | shift A 0.13, shift B -0.13",
        "parallel 9 ~ 25i | few-teeth | A 9 -> 18, B 25i -> 50i",
        "parallel 11 ~ 17i | internal-interference | shift B 0.8",
        "differential side 15 spider 20 x4 | spider-assembly | spiders x4 -> x3",
        "bevel 11 ~ 43 | undercut | shift pinion 0.34",
        "bevel 16 ~ 40; module 1 mm; width pinion 10 mm | bevel-face | face of pinion and its mate"
            + " 7 mm",
        "cycloidal lobes 27 pins 30 | lobe-count | ring 30 -> 28",
        "strainwave flex 160 circular 163 lobes 2 | lobe-multiple | circular 163 -> 162",
        "parallel 20 ~ 40; module 1 mm; bore A 17.4 mm | bore-wall | bore A 17.4 mm -> 14.78 mm"
      })
  void theFirstCureIsTheOneAnEngineerWouldTake(String card, String code, String change)
      throws CardException {
    Advice found =
        advice(Card.read(card).train()).stream()
            .filter(advice -> advice.finding().code().equals(code))
            .findFirst()
            .orElseThrow();
    assertEquals(change, found.cures().getFirst().change());
  }

  /** At one ratio shifts and sizes stand before counts, and the least of them first. */
  @Test
  void shiftsComeBeforeCountsAtTheSameRatio() {
    Random random = new Random(23);
    int both = 0;
    for (int k = 0; k < 60; k++) {
      Train train = steadycog.RandomTrains.driven(random, 6);
      for (Advice advice : advice(train)) {
        boolean counted = false;
        boolean mixed = false;
        for (Cure cure : advice.cures()) {
          boolean kept = cure.ratioChange().orElse(0.0) == 0;
          boolean count = cure.change().contains(" -> ");
          assertFalse(kept && counted && !count, advice.finding().code() + cure.change());
          counted |= kept && count;
          mixed |= counted;
        }
        both += mixed ? 1 : 0;
        assertEquals(
            advice.cures().size(),
            advice.cures().stream().map(Cure::change).distinct().count(),
            "nothing is offered twice");
      }
    }
    assertTrue(both > 5, both + " with counts at the same ratio");
  }

  @ParameterizedTest
  @ValueSource(strings = {"parallel 30", "s: shaft; t: shaft; join s = t", "bevel 18 ~ 43"})
  void whereNothingIsWrongNothingIsOffered(String card) throws CardException {
    for (Advice advice : advice(Card.read(card).train())) {
      assertTrue(
          advice.cures().isEmpty() || advice.finding().severity() == Severity.NOTE,
          advice.finding().code());
    }
  }

  @Test
  void largeTrainsAreNotSearched() throws CardException {
    Train large = Card.read("parallel 14" + " ~ 30 ~ 14".repeat(31)).train();
    assertFalse(Cures.soughtFor(large));
    for (Advice advice : advice(large)) {
      assertEquals(List.of(), advice.cures());
      assertEquals(advice.finding().remedy(), advice.fix());
    }
  }

  @Test
  void aFixSaysItsRatioOnlyWhereThatChanges() throws CardException {
    for (Advice advice : advice(Card.read("parallel 15 ~ 45; drive A; take B").train())) {
      String fix = advice.fix().orElse("");
      boolean changes = advice.cures().stream().findFirst().filter(Cure::changesRatio).isPresent();
      assertEquals(changes, fix.contains(", then \u2212"), fix);
    }
  }

  @Test
  void amountsAreNoPartOfAShape() {
    assertEquals("shift planet2 ", Change.withoutAmount("shift planet2 -0.35"));
    assertEquals("distance sun-planet  mm", Change.withoutAmount("distance sun-planet 15.75 mm"));
    assertEquals("A  -> ", Change.withoutAmount("A 14 -> 15"));
    assertEquals("planets  -> ", Change.withoutAmount("planets x3 -> x4"));
  }

  /** Play that may bind is cured by room off the flanks, steps of a shaft by one of its sizes. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          parallel 20 ~ 41; clearance flank 0.02 mm; tolerance centre +0 -0.2 mm | least-play | flank
          parallel 20 ~ 60 = 30 ~ 60; module 1 mm; bore B 8 mm; bore C 6 mm | shaft-steps | bore B 8 mm -> 6 mm
          parallel 20 ~ 60 = 18 ~ 60; module 1 mm; bore B 15 mm | bore-wall | bore B 15 mm ->
          planetary sun 20/- planet 20=16 x4 ring 60/48; module 1 mm | row-closure | module planet2 1.25 mm
          """)
  void sizesAreCuredBySizes(String card, String code, String change) throws CardException {
    Train train = Card.read(card).train();
    Advice advice =
        Cures.of(train).all(Pace.FREE).stream()
            .filter(one -> one.finding().code().equals(code))
            .findFirst()
            .orElseThrow();
    assertTrue(advice.cures().getFirst().change().contains(change), advice.cures().toString());
    Train cured = advice.cures().getFirst().train();
    assertTrue(
        Inspection.of(cured).findings().stream()
            .noneMatch(f -> f.code().equals(code) && f.isBad()));
    assertEquals(train.members(), cured.members());
  }
}
