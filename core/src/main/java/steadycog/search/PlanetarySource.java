package steadycog.search;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import steadycog.number.Once;

/**
 * Planetary sets of one row: alone, with single planets or with pairs of them, several in series,
 * or one with a pair of wheels before or behind it. Alone a ring may differ from S + 2 P by the
 * distortion that is allowed; sets in series have rings that fit.
 */
final class PlanetarySource implements Source {
  private static final int MOST_IN_SERIES = 3;
  private static final int SMALLEST_SET = 16;
  private static final double GROWTH = 1.25;
  private static final List<Use> USES = Use.of(Central.SUN1, Central.RING1, Central.CARRIER);

  private final Query query;
  private final Goal goal;
  private final int[] counts;
  private final Outputs outputs;
  private final Map<SetShape, SetFit> fits = new ConcurrentHashMap<>();
  private final Once<List<Group>> uncapped =
      Once.of(() -> Group.of(options(Step.whole(1, 0, Key.LEAST))));

  PlanetarySource(Query query) {
    this.query = query;
    this.goal = Goal.either(query);
    this.counts = query.wheels().counts(query.limits());
    this.outputs = Outputs.of(query, false);
  }

  @Override
  public Kind kind() {
    return Kind.PLANETARY;
  }

  @Override
  public List<Step> steps() {
    Range stages = query.limits().stages();
    int to = Math.min(MOST_IN_SERIES, stages.to());
    if (counts.length == 0 || stages.from() > to) {
      return List.of();
    }
    Steps steps = new Steps(query, stages.from(), to, Steps.ALL);
    int largest = 5 * counts[counts.length - 1] + Limits.MOST_DISTORTION;
    return switch (query.listing().rank()) {
      case ERROR -> steps.byError();
      case STAGES -> steps.byStages();
      case EFFICIENCY -> steps.whole();
      case SIZE, LOAD -> steps.capped(SMALLEST_SET * stages.from(), 2.0 * to * largest, GROWTH);
      case DIAMETER -> steps.capped(SMALLEST_SET, largest + 3, GROWTH);
    };
  }

  @Override
  public void sweep(Reach reach) {
    if (reach.step().stages() == 1) {
      for (int k = 0; k < counts.length && !reach.watch().cancelled(); k++) {
        single(reach, counts[k]);
        pairsOfPlanets(reach, counts[k]);
        reach.progress(Kind.PLANETARY, (k + 1.0) / counts.length);
      }
    } else {
      new Series(query, groups(reach.step()), fits, reach).sweep();
    }
  }

  private void single(Reach reach, int sun) {
    int most = query.limits().distortion();
    if (reach.step().first()) {
      reach.tally().examine((2L * most + 1) * counts.length * USES.size());
    }
    for (int planet : counts) {
      for (int off = -most; off <= most; off++) {
        SetShape shape = SetShape.oneRow(sun, planet, sun + 2 * planet + off);
        if (shape.ring1() > planet) {
          for (Use use : USES) {
            double ratio = use.ratio(shape);
            if (reach.wants(goal, ratio) && isAllowed(reach, shape, ratio)) {
              lead(reach, shape, use, ratio);
            }
          }
        }
      }
    }
  }

  private boolean isAllowed(Reach reach, SetShape shape, double ratio) {
    return reach.allows(ratio, () -> shape.refusal(query.limits(), query.wheels()));
  }

  private Measures atBest(SetShape shape, Use use, double ratio) {
    return shape.atBest(goal.error(Math.abs(ratio)), outputs.ofSet(shape, use));
  }

  private void lead(Reach reach, SetShape shape, Use use, double ratio) {
    Measures atBest = atBest(shape, use, ratio);
    if (reach.step().takes(query.listing().rank(), shape.size(), shape.diameter())) {
      reach.leads().add(atBest, judge -> judge.offer(shape.fit(query, use)));
    }
  }

  /**
   * Sets with pairs of planets: their ratio is that of sun and ring, whatever the planets, and of
   * each sun and ring the set with the fewest teeth is taken. The ring reaches to where both
   * planets stand in one line.
   */
  private void pairsOfPlanets(Reach reach, int sun) {
    int largest = counts[counts.length - 1];
    int smallest = counts[0];
    if (reach.step().first()) {
      reach.tally().examine((long) counts.length * counts.length * USES.size());
    }
    for (int ring = sun + smallest; ring <= sun + 4 * largest; ring++) {
      SetShape least = SetShape.pairs(sun, smallest, smallest, ring);
      for (Use use : USES) {
        double ratio = use.ratio(least);
        boolean under = reach.step().under(query.listing().rank(), least.size(), least.diameter());
        if (under && reach.wants(goal, ratio) && isAllowed(reach, least, ratio)) {
          Measures atBest = atBest(least, use, ratio);
          int outside = ring;
          reach.leads().add(atBest, judge -> pairs(judge, sun, outside, use));
        }
      }
    }
  }

  private void pairs(Judge judge, int sun, int ring, Use use) {
    for (int sum = 2 * counts[0]; sum <= 2 * counts[counts.length - 1]; sum++) {
      if (!judge.takes(sun + sum + ring, ring + Candidate.RIM)) {
        return;
      }
      for (int inner : counts) {
        SetShape shape = SetShape.pairs(sun, inner, sum - inner, ring);
        boolean can =
            Arrays.binarySearch(counts, shape.outer()) >= 0 && shape.closes() && shape.runs();
        if (can && judge.offer(shape.fit(query, use))) {
          return;
        }
      }
    }
    judge.reject("interference");
  }

  /** Without a cap all steps have the same sets in series. */
  private List<Group> groups(Step step) {
    return step.cap() == Double.POSITIVE_INFINITY ? uncapped.get() : Group.of(options(step));
  }

  /** Sets that fit, for series, as far as the step's cap leaves room for the others. */
  private List<SeriesStage.OfSet> options(Step step) {
    Rank rank = query.listing().rank();
    int others = (step.stages() - 1) * SMALLEST_SET;
    List<SeriesStage.OfSet> all = new ArrayList<>();
    for (int sun : counts) {
      for (int planet : counts) {
        SetShape shape = SetShape.oneRow(sun, planet, sun + 2 * planet);
        boolean under = step.under(rank, shape.size() + (double) others, shape.diameter());
        if (under && shape.refusal(query.limits(), query.wheels()).isEmpty()) {
          for (Use use : USES) {
            double ratio = use.ratio(shape);
            if (Math.abs(ratio) > 1 && query.limits().allowsStep(ratio)) {
              all.add(new SeriesStage.OfSet(shape, use, Math.abs(ratio), ratio < 0 ? -1 : 1));
            }
          }
        }
      }
    }
    return all;
  }
}
