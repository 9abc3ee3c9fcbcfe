package steadycog.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import steadycog.bench.Miscounts.Miscount;
import steadycog.bench.TurnVerdict.Kind;
import steadycog.check.Inspection;
import steadycog.motion.RatioBoard;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.number.Ratio;
import steadycog.study.Study;
import steadycog.train.Train;

/** Turn counts by a person who makes one known mistake, against what the readings are taken for. */
class TurnJudgementTest {
  private static final int CASES = Integer.getInteger("counts", 300);

  private static final List<String> CARDS =
      List.of(
          "parallel 18 ~ 72 = 20 ~ 80 = 17 ~ 136; drive A; take F",
          "parallel 20 ~ 31 ~ 44; drive A; take C",
          "parallel 17 ~ 53 = 19 ~ 61; drive A; take D",
          "planetary sun 24 planet 15 x3 ring 54; drive sun; hold ring; take carrier",
          "planetary sun 30 planet 18 x4 ring 66; drive ring; hold sun; take carrier",
          "planetary sun 20/- planet 25=23 x3 ring 70/68; drive sun; hold ring1; take ring2",
          "strainwave nominal 80; drive wave; hold circular; take flex",
          "cycloidal lobes 29 pins 30 discs 2; drive eccentric; hold ring; take disc",
          "bevel 18 ~ 43; drive pinion; take crown");

  private static Train train(String card) throws CardException {
    return Card.read(card).train();
  }

  static boolean isSound(Train train) {
    return Inspection.of(train).isFreeOfErrors();
  }

  /** Counts turns as a person does, with an eye that is good to the tolerance. */
  private static final class Counter {
    private final Random random;
    private final Train train;
    private final double gear;
    private final double tolerance;
    private final List<Integer> turns = new ArrayList<>();

    Counter(int seed) throws CardException {
      random = new Random(seed);
      train = train(CARDS.get(random.nextInt(CARDS.size())));
      gear = Study.of(train).ratio().orElseThrow().trainValue().doubleValue();
      tolerance = 1 + random.nextInt(3);
      int enough = TurnVerdict.turnsToTell(train, tolerance).orElse(20);
      int first = 1 + random.nextInt(2 * enough);
      for (int k = 1; k <= 1 + random.nextInt(4); k++) {
        turns.add(k * first);
      }
    }

    double longest() {
      return turns.getLast();
    }

    /** Read to a whole degree, off by half the tolerance as a rule and never by more than it. */
    TurnVerdict read(DoubleUnaryOperator output) {
      List<TurnTest.Reading> readings = new ArrayList<>();
      for (int in : turns) {
        double error = Math.clamp(random.nextGaussian() * tolerance / 2, -tolerance, tolerance);
        long degrees = Math.round(360 * output.applyAsDouble(in) + error);
        readings.add(new TurnTest.Reading(BigFraction.of(in), Exact.of(degrees, 360)));
      }
      return TurnVerdict.of(
          train, TurnVerdictTest.test(tolerance, readings.toArray(TurnTest.Reading[]::new)));
    }

    boolean isSeen(double turnsOff) {
      return 360 * Math.abs(turnsOff) > 2 * tolerance;
    }
  }

  /** What the person, or the train, does wrong. */
  private enum Mistake {
    NONE(Kind.RIGHT),
    COUNT(Kind.MISCOUNT),
    MEMBER(Kind.OTHER_MEMBER),
    WAY(Kind.OTHER_WAY),
    JUMP(Kind.JUMPED),
    SLIP(Kind.SLIPPING);

    private final Kind kind;

    Mistake(Kind kind) {
      this.kind = kind;
    }
  }

  /** Turns of the output as they come out; empty where nobody could see the mistake. */
  private static Optional<DoubleUnaryOperator> made(Mistake mistake, Counter counter) {
    Random random = counter.random;
    double gear = counter.gear;
    return switch (mistake) {
      case NONE -> Optional.of(in -> gear * in);
      case WAY -> Optional.of(in -> -gear * in);
      case COUNT -> {
        List<Miscount> all =
            Miscounts.single(counter.train, 1).stream()
                .filter(one -> isSound(one.train()))
                .toList();
        yield all.isEmpty()
            ? Optional.empty()
            : Optional.of(by(all.get(random.nextInt(all.size())).ratio()));
      }
      case MEMBER -> {
        List<Configuration> all =
            RatioBoard.of(counter.train).configurations().stream()
                .filter(one -> Math.abs(one.ratio().trainValue().doubleValue() / gear - 1) > 1e-9)
                .filter(one -> Math.abs(one.ratio().trainValue().doubleValue() / gear + 1) > 1e-9)
                .toList();
        yield all.isEmpty()
            ? Optional.empty()
            : Optional.of(by(all.get(random.nextInt(all.size())).ratio()));
      }
      case JUMP -> {
        // The first wheel was let go on by one tooth, or the mate of it by one of its own.
        int teeth = counter.train.meshes().getFirst().teethA().count();
        double tooth = (random.nextBoolean() ? 1 : -1) * gear / teeth;
        yield counter.isSeen(tooth) ? Optional.of(in -> gear * in + tooth) : Optional.empty();
      }
      case SLIP -> {
        double share = 0.005 + 0.1 * random.nextDouble();
        yield counter.isSeen(share * gear * counter.longest())
            ? Optional.of(in -> gear * in * (1 - share * (1 + 0.15 * random.nextGaussian())))
            : Optional.empty();
      }
    };
  }

  private static DoubleUnaryOperator by(Ratio ratio) {
    double value = ratio.trainValue().doubleValue();
    return in -> value * in;
  }

  /** Of three hundred of each no more than one in a hundred is taken for something else. */
  @ParameterizedTest
  @EnumSource(Mistake.class)
  void mistakesAreNamedOrMoreIsAskedFor(Mistake mistake) throws CardException {
    List<String> wrong = new ArrayList<>();
    int cases = 0;
    int named = 0;
    int asked = 0;
    for (int seed = 0; cases < CASES; seed++) {
      Counter counter = new Counter(1000 * mistake.ordinal() + seed);
      Optional<DoubleUnaryOperator> output = made(mistake, counter);
      if (output.isEmpty()) {
        continue;
      }
      cases++;
      TurnVerdict verdict = counter.read(output.get());
      named += verdict.kind() == mistake.kind ? 1 : 0;
      asked += verdict.kind() == Kind.UNSURE ? 1 : 0;
      if (verdict.kind() == Kind.UNSURE) {
        assertTrue(verdict.next().isPresent(), verdict::words);
      } else if (verdict.kind() != mistake.kind) {
        wrong.add(Card.of(counter.train).text() + counter.turns + ": " + verdict.words());
      }
    }
    assertTrue(wrong.size() <= cases / 100, () -> String.join("\n", wrong));
    assertTrue(named > asked, named + " named, " + asked + " asked for more");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          0 | 3 | 1 0 | UNSURE | Turn the input 293 times
          0 | 3 | 293 -824 | RIGHT | agrees with i = \u2212128
          3 | 1 | 13 1433; 26 2873; 39 4313 | JUMPED | \u22121.05 teeth of the last mesh
          3 | 3 | 13 1425.6; 26 2851.2; 39 4276.8 | SLIPPING | 1 % behind
          3 | 3 | 13 1440; 26 2880; 39 4428 | MISREAD | the reading after 39 turns
          3 | 3 | 13 1440; 26 2880; 39 4314.6 | UNSURE | all is as on the card
          6 | 1 | 162 720 | OTHER_MEMBER | wave drives, flex held, circular out
          """)
  void readingsAreJudgedAsACarefulPersonWould(
      int card, double tolerance, String readings, Kind kind, String words) throws CardException {
    List<TurnTest.Reading> all = new ArrayList<>();
    for (String one : readings.split("; ")) {
      String[] both = one.split(" ");
      BigFraction out = Exact.parse(both[1]).divide(360);
      all.add(new TurnTest.Reading(Exact.parse(both[0]), out));
    }
    TurnVerdict verdict =
        TurnVerdict.of(
            train(CARDS.get(card)),
            TurnVerdictTest.test(tolerance, all.toArray(TurnTest.Reading[]::new)));
    assertEquals(kind, verdict.kind(), verdict::words);
    assertTrue(verdict.words().contains(words), verdict::words);
  }
}
