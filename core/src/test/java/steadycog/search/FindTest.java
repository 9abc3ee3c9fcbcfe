package steadycog.search;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.check.Inspection;
import steadycog.check.Severity;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.search.Wanted.Field;
import steadycog.study.Study;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;
import steadycog.train.Sizes;
import steadycog.train.Train;

/** What people look for, and what they must be able to trust. */
@Tag("slow")
class FindTest {
  /** All fifty everyday ratios with {@code -Devery}. */
  private static final int EVERY = System.getProperty("every") == null ? 7 : 1;

  private static Wanted wanted(String words) {
    Wanted wanted = Wanted.NOTHING;
    for (String word : words.strip().split(" +")) {
      String[] parts = word.split("=", 2);
      wanted = wanted.with(Field.of(parts[0]).orElseThrow(), parts[1].replace('_', ' '));
    }
    return wanted;
  }

  private static List<Candidate> find(String words) {
    return Hunt.run(wanted(words).query(), Watch.NONE).candidates();
  }

  /** Read back from its card it makes its ratio, and breaks no rule that was not declared. */
  private static void assertHonest(Candidate candidate) {
    try {
      Study study = Study.of(Card.read(Card.of(candidate.train()).text()).train());
      assertEquals(candidate.ratio(), study.ratio().orElseThrow());
      assertEquals(candidate.trouble().isPresent(), study.hasErrors(), () -> candidate.card());
    } catch (CardException unreadable) {
      throw new AssertionError(candidate.card(), unreadable);
    }
  }

  @Test
  void theFirstHitForAnEverydayRatioIsSoundAndFewerStagesAreNotNearer() {
    double[] ratios =
        IntStream.range(0, 50)
            .mapToDouble(k -> Math.round(100 * 1.2 * Math.pow(1.135, k)) / 100.0)
            .toArray();
    for (int k = 0; k < ratios.length; k += EVERY) {
      for (Kind kind : Kind.all()) {
        String words = "target=" + ratios[k] + " kind=" + kind.word() + " top=1 stages=";
        List<Candidate> first = find(words + "1..3");
        for (Candidate candidate : first) {
          assertHonest(candidate);
          assertTrue(candidate.worst() != Severity.ERROR);
          for (int fewer = 1; fewer < candidate.stages(); fewer++) {
            double error = Math.abs(candidate.error());
            find(words + fewer).forEach(other -> assertTrue(Math.abs(other.error()) > error));
          }
        }
      }
    }
  }

  /** Ratios that the smallest set of each ratio alone would hide. */
  @ParameterizedTest
  @ValueSource(strings = {"9", "16", "132.25", "144"})
  void seriesDrawFromAllSetsOfARatio(String target) {
    String range = target.equals("9") ? "12..14" : "12..60";
    Candidate first =
        find("target=" + target + " kind=planetary stages=2 teeth=" + range + " coaxial=yes top=1")
            .getFirst();
    assertEquals(0, first.error(), () -> first.card());
    assertHonest(first);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "target=84 kind=cycloidal | lobes 84 pins 85 discs 2; drive eccentric; hold ring; take"
            + " disc",
        "target=84 kind=cycloidal | lobes 83 pins 84 discs 2; drive eccentric; hold disc; take"
            + " ring",
        "target=1.375 kind=planetary teeth=15..18 | hold sun; take carrier",
        "target=50 kind=two-row teeth=15..17 | sun 16/- planet 17=15 x3 ring 50/48",
        "target=50 kind=two-row teeth=15..17 direction=opposite | planetary planet 17=15 x3 ring"
            + " 40/36",
        "target=85 kind=two-row teeth=12..18 distortion=3 | planetary sun 12=12 planet 18=18 x3"
            + " ring",
        "target=5 kind=parallel direction=same stages=1 | ~ 60i",
        "target=5 kind=parallel direction=same stages=1 | parallel 12 ~ 12 ~ 60",
        "target=50 kind=planetary stages=2 | pair: parallel 12 ~ 100; set: planetary sun 12",
        "target=50 kind=planetary stages=2 | join set.carrier = pair.A",
        "target=-20 kind=planetary stages=1 direction=opposite | ~",
        "target=2.7 kind=planetary stages=1 | uneven ring 54",
        "target=3.8 kind=planetary stages=1 teeth=15..30 | ring 56",
        "target=5 kind=planetary stages=1 teeth=12..24 | sun 12 planet 18 x4 ring 48; shift sun 0."
      })
  void layoutsThatPeopleBuildAreFound(String words, String part) {
    List<Candidate> all = find(words.replace("target=-", "target=") + " top=200");
    List<String> cards = all.stream().map(Candidate::card).toList();
    assertTrue(cards.stream().anyMatch(card -> card.contains(part.strip())), () -> part + cards);
    all.stream().limit(8).forEach(FindTest::assertHonest);
  }

  @Test
  void trainsWithErrorsAreListedOnlyOnRequestAndMarked() {
    String words = "target=3.4 kind=planetary stages=1 teeth=10..16 planets=5 top=60";
    List<Candidate> sound = find(words);
    List<Candidate> any = find(words + " any=yes");
    assertTrue(sound.stream().allMatch(c -> c.trouble().isEmpty()));
    assertTrue(any.stream().anyMatch(c -> c.trouble().isPresent()));
    any.forEach(FindTest::assertHonest);
  }

  @Test
  void theListIsAsLongAsAskedForAllKindsTogether() {
    for (int top : new int[] {1, 3, 7, 20}) {
      List<Candidate> all = find("target=40 top=" + top);
      assertEquals(top, all.size());
      assertEquals(Math.min(5, top), all.stream().map(Candidate::kind).distinct().count());
    }
  }

  /** What fits is what some number of planets, in some places, with some shifts makes sound. */
  @Test
  void aSetFitsWhereAnyShiftOfTheGridMakesItSound() {
    Random random = new Random(4);
    int fitting = 0;
    for (int run = 0; run < 60; run++) {
      int sun = 8 + random.nextInt(14);
      int planet = 8 + random.nextInt(14);
      int n = 3 + random.nextInt(3);
      SetShape shape =
          run % 2 == 0
              ? SetShape.oneRow(sun, planet, sun + 2 * planet + random.nextInt(3) - 1)
              : SetShape.twoRows(
                  sun, planet, sun + 2 * planet, 0, planet + 2, sun + 2 * planet + 2);
      SetFit fit = SetFit.of(new Range(n, n), shape.set(n), Optional.empty());
      boolean sound =
          fit.ways().stream()
              .anyMatch(way -> sound(way.set(), way.sizing(Train.of(List.of(way.set()))).sizes()));
      assertEquals(anyOfGrid(shape.set(n)), sound, () -> shape + " x" + n);
      fitting += sound ? 1 : 0;
    }
    assertTrue(fitting > 10 && fitting < 55, "both come about: " + fitting);
  }

  private static boolean anyOfGrid(Planetary set) {
    for (Spacing spacing : List.of(Spacing.EQUAL, Spacing.UNEVEN)) {
      for (int x = -5; x <= 8; x++) {
        for (int y = -5; y <= 8; y++) {
          Planetary one = set.spaced(spacing);
          MemberId first = one.stepped() ? one.planetIds(0).getFirst() : one.sunId(0);
          MemberId second = one.planetIds(one.rows().size() - 1).getFirst();
          Map<MemberId, BigFraction> shifts = new HashMap<>();
          shifts.put(first, Exact.of(x, 10));
          shifts.put(second, Exact.of(y, 10));
          Sizes sizes = SetFit.shifted(Sizes.UNSTATED, shifts);
          if (sound(one, sizes)) {
            return true;
          }
        }
      }
    }
    return false;
  }

  private static boolean sound(Planetary set, Sizes sizes) {
    return Inspection.of(Train.of(List.of(set)).withSizes(sizes)).withoutLayout().stream()
        .noneMatch(
            finding ->
                finding.severity() == Severity.ERROR && !finding.code().equals("undetermined"));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "target=20 kind=planetary stages=1 tolerance=0.01% teeth=12..40",
        "target=9 kind=parallel stages=1 teeth=20..60",
        "target=9 kind=parallel stock=20,30,40 tolerance=1%",
        "target=1000 kind=two-row tolerance=1ppm teeth=12..20",
        "target=50 kind=parallel efficiency=99%",
        "target=50 kind=parallel backwards=holds stages=2",
        "target=50 kind=parallel diameter=30 stages=2 tolerance=1%",
        "target=4 kind=planetary stages=1 planets=8 teeth=20..24 tolerance=1%",
        "target=4 kind=planetary stages=1 ring=30..40 teeth=20..24",
        "target=50 kind=parallel per-stage=3 stages=2 tolerance=1%",
        "target=7 kind=strainwave"
      })
  void anEmptyListSaysWhichLimitToLoosenAndHowFar(String words) {
    Wanted wanted = wanted(words);
    assertTrue(Hunt.run(wanted.query(), Watch.NONE).candidates().isEmpty());
    List<Loosen.Hint> hints = Loosen.of(wanted, Watch.NONE);
    assertFalse(hints.isEmpty());
    for (Loosen.Hint hint : hints) {
      Wanted looser = wanted.with(hint.field(), hint.text());
      assertFalse(
          Hunt.run(looser.query(), Watch.NONE).candidates().isEmpty(),
          () -> hint.field() + " " + hint.text());
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "parallel 18 ~ 72 = 20 ~ 80; drive A; take D | target=17 tolerance=1ppm | D 80 -> 85",
        "parallel 18 ~ 72 = 20 ~ 80; drive A; take D | target=17 tolerance=1ppm teeth=12..80 | D",
        "parallel 18 ~ 72; drive A; take B | target=4 | none",
        "planetary sun 24 planet 18 x7 ring 60; drive sun; hold ring; take carrier | stages=1 | x7"
            + " -> x6",
        "planetary sun 24 planet 15 x4 ring 54; drive sun; hold ring; take carrier | planets=4 |"
            + " spaced uneven",
        "planetary sun 12 planet 18 x3 ring 48; drive sun; hold ring; take carrier | teeth=12..60 |"
            + " shift sun 0.",
        "parallel 12 ~ 60; drive A; take B | target=5 | shift A 0.3",
        "parallel 12 ~ 60 | target=5 driver=12 | shift A 0.3",
        "s: planetary sun 17 planet 16 x3 ring 49; b: parallel 12 ~ 60; join b.B = s.sun; drive"
            + " b.A; hold s.ring; take s.carrier | stages=2 | shift b.A 0.3",
        "parallel 20 ~ 60 = 20 ~ 60; drive A; take D | target=7 per-stage=2.9 tolerance=1% | ->",
        "bevel 11 ~ 43; drive pinion; take crown | target=4 tolerance=1ppm | -> 44"
      })
  void nearATrainAsLittleAsWillDoIsChanged(String card, String words, String change)
      throws CardException {
    Train train = Card.read(card.replace("; ", "\n")).train();
    Wanted wanted = wanted(words);
    List<Nearby.Change> changes = Nearby.of(train, wanted, Watch.NONE).list();
    boolean limited = words.contains("..80");
    for (Nearby.Change each : changes) {
      assertHonest(each.candidate());
      assertTrue(each.candidate().worst() != Severity.ERROR);
      if (limited) {
        assertTrue(
            each.candidate().train().involuteWheels().stream()
                .allMatch(w -> w.teeth().orElseThrow().count() <= 80));
      }
    }
    String first = changes.getFirst().words();
    assertTrue(
        limited
            ? changes.getFirst().wheels() > 1
            : change.strip().equals("none") ? first.isEmpty() : first.contains(change.strip()),
        () -> first);
  }

  @ParameterizedTest
  @ValueSource(strings = {"top=2.7", "distortion=1.5", "rank=weight", "stock=24j", "top=0"})
  void whatMakesNoSenseIsRefused(String words) {
    List<String> messages = new ArrayList<>();
    try {
      wanted("target=5 " + words).query();
    } catch (IllegalArgumentException refused) {
      messages.add(refused.getMessage());
    }
    assertEquals(1, messages.size());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"target=7.3 kind=all top=60", "target=85 kind=two-row top=60", "target=3"})
  void onTheFrontAreThoseThatNoOtherBeatsInSizeAndNearness(String words) {
    List<Candidate> all = find(words);
    List<Candidate> front = Front.of(all);
    for (Candidate one : all) {
      boolean beaten =
          all.stream()
              .anyMatch(
                  other ->
                      other.size() <= one.size()
                          && Math.abs(other.error()) <= Math.abs(one.error())
                          && (other.size() < one.size()
                              || Math.abs(other.error()) < Math.abs(one.error())));
      boolean twin =
          front.stream()
              .anyMatch(
                  best ->
                      best.size() == one.size() && Math.abs(best.error()) == Math.abs(one.error()));
      assertEquals(!beaten, twin, one::card);
    }
    assertTrue(all.containsAll(front));
  }
}
