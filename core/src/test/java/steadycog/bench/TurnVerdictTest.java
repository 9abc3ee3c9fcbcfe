package steadycog.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.bench.Miscounts.Miscount;
import steadycog.bench.TurnVerdict.Kind;
import steadycog.motion.RatioBoard;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.number.Ratio;
import steadycog.study.Study;
import steadycog.train.Train;

class TurnVerdictTest {
  private static final String FOCUSER =
      "planetary sun 12/- planet 18=18 x3 ring 48/51; drive sun; hold ring1; take ring2";
  private static final String FILTER =
      "planetary sun 24 planet 15 x3 ring 54; drive sun; hold ring; take carrier";

  static Train train(String card) throws CardException {
    return Card.read(card).train();
  }

  static TurnTest test(double tolerance, TurnTest.Reading... readings) {
    TestHead head = new TestHead("count", LocalDate.of(2031, 4, 2), TestHead.BY_HAND, "", "");
    return new TurnTest(head, tolerance, List.of(readings));
  }

  /** What {@code ratio} gives after so many turns, read to a whole degree. */
  private static TurnTest.Reading after(int turns, Ratio ratio) {
    double degrees = 360.0 * turns * ratio.trainValue().doubleValue();
    return new TurnTest.Reading(BigFraction.of(turns), Exact.of(Math.round(degrees), 360));
  }

  private static TurnVerdict judge(Train train, int turns, Ratio ratio) {
    return TurnVerdict.of(
        train, test(1, after(turns, ratio), after(2 * turns, ratio), after(3 * turns, ratio)));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        FOCUSER,
        FILTER,
        "parallel 17 ~ 53 = 19 ~ 61; drive A; take D",
        "parallel 20 ~ 31 ~ 44; drive A; take C",
        "bevel 11 ~ 43; drive pinion; take crown"
      })
  void everyCountThatIsOneToothOffIsNamed(String card) throws CardException {
    Train train = train(card);
    Ratio own = Study.of(train).ratio().orElseThrow();
    int turns = TurnVerdict.turnsToTell(train, 1).orElseThrow();
    assertEquals(Kind.RIGHT, judge(train, turns, own).kind());
    List<Miscount> all = Miscounts.single(train, 1);
    assertFalse(all.isEmpty());
    for (Miscount one : all) {
      TurnVerdict verdict = judge(train, turns, one.ratio());
      // What cannot be built, or may be slip, is not believed before more is read.
      Kind first = verdict.likely().getFirst().kind();
      boolean doubted = !TurnJudgementTest.isSound(one.train()) && verdict.kind() == Kind.UNSURE;
      assertTrue(doubted || first == Kind.MISCOUNT || first == Kind.OTHER_MEMBER, verdict::words);
      assertTrue(
          verdict.counts().stream().anyMatch(count -> count.text().equals(one.text())),
          () -> one.text() + " not in " + verdict.counts());
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {FOCUSER, FILTER})
  void everyOtherMemberHeldIsRecognised(String card) throws CardException {
    Train train = train(card);
    Ratio own = Study.of(train).ratio().orElseThrow();
    int tried = 0;
    for (Configuration other : RatioBoard.of(train).configurations()) {
      double apart = other.ratio().reduction().divide(own.reduction()).doubleValue();
      if (Math.abs(apart - 1) < 0.06 || Math.abs(apart + 1) < 0.06) {
        continue;
      }
      TurnVerdict verdict = judge(train, 400, other.ratio());
      assertEquals(Kind.OTHER_MEMBER, verdict.kind(), () -> Slip.words(other));
      assertTrue(
          verdict.configurations().stream().anyMatch(other::isLike), () -> Slip.words(other));
      tried++;
    }
    assertTrue(tried > 4);
  }

  @Test
  void aToothThatJumpedIsTheSameHoweverFarItTurns() throws CardException {
    Train train = train("parallel 18 ~ 54; drive A; take B");
    List<TurnTest.Reading> readings = new ArrayList<>();
    for (int turns : new int[] {30, 60, 90}) {
      BigFraction should = Exact.of(-turns, 3);
      readings.add(new TurnTest.Reading(BigFraction.of(turns), should.add(Exact.of(1, 54))));
    }
    TurnVerdict verdict = TurnVerdict.of(train, test(1, readings.toArray(TurnTest.Reading[]::new)));
    assertEquals(Kind.JUMPED, verdict.kind());
    assertEquals(-1, verdict.rows().getFirst().teeth().orElseThrow(), 1e-9);
    assertTrue(verdict.words().contains("1 tooth"));
  }

  @Test
  void whatSlipsAgreesWithNoCount() throws CardException {
    Train train = train(FILTER);
    List<TurnTest.Reading> readings = new ArrayList<>();
    for (int k = 1; k <= 3; k++) {
      BigFraction should = Exact.of(40 * 4, 13);
      BigFraction kept = Exact.of(1000 - 13L * k * k, 1000);
      readings.add(new TurnTest.Reading(BigFraction.of(40), should.multiply(kept)));
    }
    TurnVerdict verdict = TurnVerdict.of(train, test(1, readings.toArray(TurnTest.Reading[]::new)));
    assertEquals(Kind.SLIPPING, verdict.kind());
    assertEquals((0.013 + 0.052 + 0.117) / 3, verdict.slip().orElseThrow(), 1e-9);
  }

  @Test
  void theOtherWayAndStandingStillAreTold() throws CardException {
    Train train = train("parallel 20 ~ 60; drive A; take B");
    assertEquals(
        Kind.OTHER_WAY,
        TurnVerdict.of(train, test(2, new TurnTest.Reading(BigFraction.of(9), BigFraction.of(3))))
            .kind());
    assertEquals(
        Kind.STANDING,
        TurnVerdict.of(train, test(2, new TurnTest.Reading(BigFraction.of(9), BigFraction.ZERO)))
            .kind());
    assertEquals(Kind.NOTHING_READ, TurnVerdict.of(train, test(2)).kind());
    assertEquals(
        Kind.NO_RATIO,
        TurnVerdict.of(train("planetary sun 24 planet 15 x3 ring 54"), test(2)).kind());
  }

  @Test
  void slipsOfTheHandAreTracedBack() throws CardException {
    Train train = train(FILTER);
    List<Configuration> all = RatioBoard.of(train).configurations();
    Configuration asked =
        all.stream()
            .filter(one -> Slip.words(one).equals("sun drives, ring held, carrier out"))
            .findFirst()
            .orElseThrow();
    assertEquals(Slip.Kind.NONE, slip(train, asked, all, "13/4"));
    assertEquals(Slip.Kind.DIRECTION, slip(train, asked, all, "-3.25"));
    assertEquals(Slip.Kind.UPSIDE_DOWN, slip(train, asked, all, "4/13"));
    assertEquals(Slip.Kind.CARRIER_FORGOTTEN, slip(train, asked, all, "-54/24"));
    assertEquals(Slip.Kind.OTHER_CONFIGURATION, slip(train, asked, all, "13/9"));
    assertEquals(Slip.Kind.MISCOUNT, slip(train, asked, all, "79/24"));
    assertEquals(Slip.Kind.UNKNOWN, slip(train, asked, all, "77"));

    Train chain = train("parallel 20 ~ 60 = 18 ~ 72 ~ 90; drive A; take E");
    List<Configuration> ways = RatioBoard.of(chain).configurations();
    Configuration through =
        ways.stream()
            .filter(one -> one.drive().toString().equals("A") && one.take().toString().equals("E"))
            .findFirst()
            .orElseThrow();
    assertEquals(Exact.of(-15, 1), through.ratio().reduction());
    assertEquals(Slip.Kind.STAGE_MISSING, slip(chain, through, ways, "-5"));
    assertEquals(Slip.Kind.ENDS_ONLY, slip(chain, through, ways, "4.5"));
    assertEquals(Slip.Kind.STAGE_INVERTED, slip(chain, through, ways, "-5/3"));
  }

  private static Slip.Kind slip(
      Train train, Configuration asked, List<Configuration> all, String guess) {
    return Slip.of(train, asked, all, Exact.parse(guess)).kind();
  }
}
