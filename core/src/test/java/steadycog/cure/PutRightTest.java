package steadycog.cure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.CancellationException;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import steadycog.check.Finding;
import steadycog.check.Severity;
import steadycog.cure.PutRight.Keep;
import steadycog.cure.PutRight.Outcome;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.number.Pace;
import steadycog.number.Ratio;
import steadycog.study.Study;
import steadycog.train.Member;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** Trains put right are judged by what their printed cards give when they are read again. */
@Tag("slow")
class PutRightTest {
  /** So many near-misses; {@code -Ddesigns=2000} for a long run. */
  private static final int DESIGNS = Integer.getInteger("designs", 90);

  private static final String FOCUSER_ROLES = "drive sun; hold ring1; take ring2";
  private static final String FOCUSER =
      "planetary sun 12/- planet 18=18 x3 ring 48/51; " + FOCUSER_ROLES;

  private static Outcome putRight(String card, Keep keep) throws CardException {
    return PutRight.of(Card.read(card).train(), keep, Pace.FREE);
  }

  private static Study again(Train train) throws CardException {
    return Study.of(Card.read(Card.of(train).text()).train());
  }

  private static boolean isSound(Train train) throws CardException {
    return again(train).findings().stream()
        .noneMatch(finding -> finding.severity().compareTo(Severity.NOTE) > 0);
  }

  /** A design as people make them, with nothing worse than a note; of every kind in turn. */
  private static Train sound(Random random, int kind) throws CardException {
    while (true) {
      Train train = Card.read(design(random, kind)).train();
      if (isSound(train)) {
        return train;
      }
    }
  }

  private static String design(Random random, int kind) {
    int a = random.nextInt(17, 40);
    int b = random.nextInt(17, 40);
    int c = random.nextInt(17, 40);
    int planets = random.nextInt(3, 6);
    String shift = "; shift planet 0." + random.nextInt(1, 5);
    return switch (kind) {
      case 0 ->
          String.format(
                  "planetary sun %d planet %d x%d ring %d; hold ring; drive sun; take carrier",
                  a, b, planets, a + 2 * b)
              + shift;
      case 1 ->
          String.format(
                  "planetary sun %d/- planet %d=%d x%d ring %d/%d; hold ring1; drive sun; take"
                      + " ring2",
                  a, b, c, planets, a + 2 * b, a + b + c)
              + shift;
      case 2 ->
          String.format(
              "parallel %d ~ %d = %d ~ %d; coaxial A = D; drive A; take D",
              a, b + 40, c, a + b + 40 - c);
      case 3 ->
          String.format(
              "planetary sun %d planet %d~%d x3 ring %d; hold ring; drive sun; take carrier",
              a, b, c, a + b + 2 * c);
      case 4 -> String.format("parallel %d ~ %di; drive A; take B", a, 3 * a + b);
      case 5 ->
          String.format(
              "strainwave flex %d circular %d; drive wave; hold circular; take flex",
              4 * a, 4 * a + 2);
      default ->
          String.format(
              "differential side %d spider 20 x%d; drive left; hold right; take case", a, planets);
    };
  }

  private static Train miscounted(Train train, Random random) {
    List<Member> wheels =
        train.members().stream().filter(member -> member.teeth().isPresent()).toList();
    Train now = train;
    for (int k = random.nextInt(1, 3); k > 0; k--) {
      Member wheel = wheels.get(random.nextInt(wheels.size()));
      Teeth old = now.member(wheel.id()).teeth().orElseThrow();
      int count = old.count() + (random.nextBoolean() ? 1 : -1);
      now = now.withTeeth(wheel.id(), new Teeth(count, old.internal()));
    }
    return now;
  }

  private static long countsChanged(Train one, Train other) {
    return IntStream.range(0, one.members().size())
        .filter(k -> !one.members().get(k).teeth().equals(other.members().get(k).teeth()))
        .count();
  }

  @Test
  void nearMissesAreSoundAgainWithinTwoCountsOrByShifts() throws CardException {
    Random random = new Random(7);
    int tried = 0;
    int right = 0;
    for (int k = 0; k < DESIGNS; k++) {
      Train train = miscounted(sound(random, k % 7), random);
      if (isSound(train)) {
        continue;
      }
      tried++;
      Optional<Cure> cure = PutRight.of(train, Keep.NOTHING, Pace.FREE).cure();
      if (cure.isPresent()) {
        assertTrue(isSound(cure.get().train()), () -> Card.of(train).text() + cure.get().change());
        right += countsChanged(train, cure.get().train()) <= 2 ? 1 : 0;
      }
    }
    assertTrue(tried > DESIGNS / 4, tried + " near-misses");
    assertTrue(right >= 0.95 * tried, right + " of " + tried);
  }

  @ParameterizedTest
  @EnumSource(Keep.class)
  void whatIsToBeKeptIsKept(Keep keep) throws CardException {
    Random random = new Random(11);
    int put = 0;
    for (int k = 0; k < 24; k++) {
      Train train = miscounted(sound(random, k % 4), random);
      Optional<Cure> cure = PutRight.of(train, keep, Pace.FREE).cure();
      if (cure.isEmpty()) {
        continue;
      }
      put++;
      Train now = cure.get().train();
      assertTrue(isSound(now), () -> Card.of(now).text());
      if (keep == Keep.RATIO) {
        assertEquals(Study.of(train).ratio(), again(now).ratio(), cure.get().change());
      }
      if (keep == Keep.TEETH) {
        assertEquals(0, countsChanged(train, now), cure.get().change());
        assertEquals(
            train.partOf(train.members().getFirst().id()).copies(train.members().get(1).id()),
            now.partOf(now.members().getFirst().id()).copies(now.members().get(1).id()));
      }
    }
    assertTrue(put > 3, put + " put right");
  }

  @Test
  void theHandbooksSetOf85KeepsItsRatioByShiftsAlone() throws CardException {
    for (Keep keep : Keep.values()) {
      Cure cure = putRight(FOCUSER, keep).cure().orElseThrow();
      assertEquals(
          "module 1 mm, distance sun-planet 15.75 mm, shift planet 0.5, shift planet2 0.5",
          cure.change());
      assertEquals("85", Exact.text(again(cure.train()).ratio().orElseThrow().reduction()));
      assertEquals(Optional.of(0.0), cure.ratioChange());
      assertTrue(isSound(cure.train()));
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "planetary sun 24 planet 15 x3 ring 54 | shift planet 0.2 | ",
        "planetary sun 24 planet 18 x3 ring 61; drive sun; hold ring; take carrier"
            + " | ring 61 -> 60, shift planet 0.1 | 7/2",
        "parallel 15 ~ 45 = 15 ~ 45; coaxial A = D; drive A; take D"
            + " | shift A 0.13, shift B -0.13, shift C 0.13, shift D -0.13 | 9",
        "parallel 20 ~ 39 = 15 ~ 45; drive A; take D | shift C 0.13 | 117/20",
        "cycloidal lobes 27 pins 29; drive eccentric; hold ring; take disc | ring 29 -> 28 | -27",
        "strainwave flex 160 circular 161; drive wave; hold circular; take flex"
            + " | flex 160 -> 320, circular 161 -> 322 | -160"
      })
  void theLeastChangeIsFound(String card, String change, String ratio) throws CardException {
    Cure cure = putRight(card, Keep.NOTHING).cure().orElseThrow();
    assertEquals(change, cure.change());
    assertEquals(Optional.ofNullable(ratio), cure.ratio().map(Ratio::reduction).map(Exact::text));
  }

  @Test
  void aSoundTrainIsLeftAloneAndItsNotesAreTold() throws CardException {
    Outcome outcome =
        putRight(
            "planetary sun 30 planet 30 x3 ring 90; drive sun; hold ring; take carrier",
            Keep.NOTHING);
    assertTrue(outcome.isSound() && outcome.cure().isEmpty());
    assertEquals(
        List.of("phasing", "hunting"), outcome.still().stream().map(Finding::code).toList());
  }

  @Test
  void whatCannotBeMetIsNamed() throws CardException {
    Outcome outcome = putRight("parallel 5 ~ 6i; drive A; take B", Keep.NOTHING);
    assertFalse(outcome.isSound());
    assertEquals("few-teeth", outcome.left().orElseThrow().code());
    assertEquals(Optional.empty(), outcome.cure());
  }

  @Test
  void theRuleThatNoChangeMeetsIsNamedBeforeThoseThatSomeWould() throws CardException {
    String hot = "; efficiency external 0.8 internal 0.85; ";
    Outcome outcome =
        putRight(
            "planetary sun 20/- planet 22=22 x3 ring 64/65" + hot + FOCUSER_ROLES, Keep.NOTHING);
    assertEquals("more-heat", outcome.left().orElseThrow().code(), "indexing could be cured");
  }

  @Test
  void aTrainTooLargeToTryChangesIsSaidToBe() throws CardException {
    Outcome outcome =
        putRight("parallel 14" + " ~ 30 ~ 14".repeat(31) + "; drive A; take B", Keep.NOTHING);
    assertFalse(outcome.searched() || outcome.isSound());
    assertEquals("interference", outcome.left().orElseThrow().code());
  }

  @Test
  void everyStateIsPutRight() throws CardException {
    Train train =
        Card.read(
                """
                planetary sun 17 planet 17 x4 ring 51
                drive sun
                state low: hold ring; take carrier
                state idle: take carrier
                """)
            .train();
    Cure cure = PutRight.of(train, Keep.NOTHING, Pace.FREE).cure().orElseThrow();
    assertEquals(train.shifts().states().size(), cure.train().shifts().states().size());
    assertTrue(isSound(cure.train().in(cure.train().shifts().states().getFirst())));
    assertEquals(train.roles(), cure.train().roles(), "neutral is wanted, and stays");
  }

  @Test
  void theWorkCanBeStopped() throws CardException {
    Train train = Card.read(FOCUSER).train();
    assertThrows(
        CancellationException.class,
        () ->
            PutRight.of(
                train,
                Keep.NOTHING,
                share -> {
                  throw new CancellationException();
                }));
  }
}
