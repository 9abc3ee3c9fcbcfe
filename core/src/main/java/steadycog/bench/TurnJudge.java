package steadycog.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.bench.TurnVerdict.Count;
import steadycog.bench.TurnVerdict.Kind;
import steadycog.bench.TurnVerdict.Likely;
import steadycog.bench.TurnVerdict.Row;
import steadycog.number.Ratio;
import steadycog.study.Study;
import steadycog.train.Teeth;

/** Works out what a count of turns says of the train that was turned. */
record TurnJudge(Study study, TurnTest test) {
  /** A verdict is given from this share on; below it more must be read. */
  private static final double SURE = 0.98;

  /** What is less likely is not named. */
  private static final double WORTH_NAMING = 0.02;

  /** Counts this much less likely than the best one are not listed, as a logarithm. */
  private static final double AS_GOOD = 5;

  private static final double MOST_TURNS = 1e6;
  private static final int MOST_LISTED = 8;

  TurnVerdict judge() {
    Ratio theory = study.ratio().orElseThrow();
    Optional<Teeth> last = TurnVerdict.lastMesh(study);
    List<Row> rows = test.readings().stream().map(r -> row(r, theory, last)).toList();
    List<Suspect> suspects = Suspects.of(study, test);
    List<Likely> likely = likely(suspects);
    boolean sure = likely.getFirst().share() >= SURE;
    List<Likely> open = likely.stream().filter(one -> one.share() >= WORTH_NAMING).toList();
    return new TurnVerdict(
        sure ? likely.getFirst().kind() : Kind.UNSURE,
        study.ratio(),
        TurnVerdict.measuredOf(test),
        rows,
        last,
        counts(of(Kind.MISCOUNT, suspects, open)),
        of(Kind.OTHER_MEMBER, suspects, open).stream()
            .flatMap(one -> one.configuration().stream())
            .toList(),
        slip(rows, theory),
        open,
        sure ? Optional.empty() : next(suspects));
  }

  /** One a kind, all of a kind together. */
  private static List<Likely> likely(List<Suspect> suspects) {
    double best = suspects.getFirst().cost();
    Map<Kind, Double> shares = new EnumMap<>(Kind.class);
    double sum = 0;
    for (Suspect one : suspects) {
      double weight = Math.exp(best - one.cost());
      shares.merge(one.kind(), weight, Double::sum);
      sum += weight;
    }
    double whole = sum;
    return shares.entrySet().stream()
        .map(one -> new Likely(one.getKey(), first(one.getKey(), suspects), one.getValue() / whole))
        .sorted(Comparator.comparingDouble(Likely::share).reversed())
        .toList();
  }

  private static String first(Kind kind, List<Suspect> suspects) {
    return suspects.stream()
        .filter(one -> one.kind() == kind)
        .findFirst()
        .map(Suspect::words)
        .orElseThrow();
  }

  /** Those of a kind that is worth naming, as likely as the best of it. */
  private static List<Suspect> of(Kind kind, List<Suspect> suspects, List<Likely> open) {
    List<Suspect> all = suspects.stream().filter(one -> one.kind() == kind).toList();
    return open.stream().noneMatch(one -> one.kind() == kind)
        ? List.of()
        : all.stream()
            .filter(one -> one.cost() <= all.getFirst().cost() + AS_GOOD)
            .limit(MOST_LISTED)
            .toList();
  }

  private static List<Count> counts(List<Suspect> suspects) {
    List<Count> all = new ArrayList<>();
    for (Suspect one : suspects) {
      one.miscount()
          .ifPresent(count -> all.add(new Count(count.text(), count.ratio(), one.sound())));
    }
    return all;
  }

  /**
   * The fewest turns after which the likeliest and every other that is nearly as likely lie further
   * apart than two readings are off; where no turn does, as far again as the longest.
   */
  private Optional<Integer> next(List<Suspect> suspects) {
    Suspect best = suspects.getFirst();
    double longest =
        test.readings().stream()
            .mapToDouble(r -> Math.abs(r.input().doubleValue()))
            .max()
            .orElse(1);
    double wanted = 1;
    for (Suspect other : suspects) {
      if (other.kind() != best.kind() && other.cost() < best.cost() + AS_GOOD) {
        double turns = 1;
        double before = 0;
        while (turns < MOST_TURNS && apart(best, other, turns) < 2 * test.tolerance()) {
          before = turns;
          turns = Math.max(turns + 1, Math.ceil(turns * 1.1));
        }
        while (turns - before > 1 && apart(best, other, turns - 1) >= 2 * test.tolerance()) {
          turns--;
        }
        // Slip is never twice quite the same: reading again says more than reading further.
        boolean slips = best.kind() == Kind.SLIPPING || other.kind() == Kind.SLIPPING;
        double most = slips ? Math.min(turns, 2 * longest) : turns;
        wanted = Math.max(wanted, turns < MOST_TURNS ? most : 2 * longest);
      }
    }
    return Optional.of((int) Math.max(1, wanted)).filter(turns -> turns < MOST_TURNS);
  }

  private static double apart(Suspect one, Suspect other, double turns) {
    return 360 * Math.abs(one.output().applyAsDouble(turns) - other.output().applyAsDouble(turns));
  }

  private Row row(TurnTest.Reading reading, Ratio theory, Optional<Teeth> last) {
    BigFraction should = reading.input().multiply(theory.trainValue());
    BigFraction off = reading.output().subtract(should);
    double turns = (should.signum() < 0 ? -1 : 1) * off.doubleValue();
    Optional<Double> ratio = TurnVerdict.ratioOf(reading);
    return new Row(
        reading,
        ratio,
        ratio.map(i -> 100 * (i / theory.reduction().doubleValue() - 1)),
        Optional.of(360 * turns),
        last.map(teeth -> turns * teeth.count()));
  }

  private static Optional<Double> slip(List<Row> rows, Ratio theory) {
    double should = 0;
    double off = 0;
    for (Row row : rows) {
      should += Math.abs(row.reading().input().multiply(theory.trainValue()).doubleValue());
      off += row.degrees().orElse(0.0) / 360;
    }
    return should == 0 ? Optional.empty() : Optional.of(0.0 - off / should);
  }
}
