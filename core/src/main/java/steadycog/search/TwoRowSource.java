package steadycog.search;

import java.util.Arrays;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntFunction;
import java.util.stream.IntStream;

/**
 * Sets with two rows of planets and three members that turn about the axis, each of which may be
 * held. For every first row, and for every distortion of the second, the wanted ratio says how fast
 * the member of the second row must turn, and so how many teeth its planets have: only those next
 * to that are looked at. The other wheels of the second row follow from the centre distance, in the
 * module of the first row or in another standard one.
 */
final class TwoRowSource implements Source {
  private static final List<Use> SUN_AND_RINGS = Use.of(Central.SUN1, Central.RING1, Central.RING2);
  private static final List<Use> SUN_AND_RING =
      Use.of(Central.SUN1, Central.RING2, Central.CARRIER);
  private static final List<Use> RINGS = Use.of(Central.RING1, Central.RING2, Central.CARRIER);
  private static final List<Use> SUNS = Use.of(Central.SUN1, Central.SUN2, Central.CARRIER);

  /** So far may a count that was worked out in doubles be off. */
  private static final double ROUNDING = 1e-6;

  private final Query query;
  private final Goal goal;
  private final Outputs outputs;
  private final int[] counts;

  TwoRowSource(Query query) {
    this.query = query;
    this.goal = Goal.either(query);
    this.outputs = Outputs.of(query, false);
    Limits limits = query.limits();
    this.counts = query.wheels().counts(limits.twoModules() ? limits.ofAnyDiameter() : limits);
  }

  @Override
  public Kind kind() {
    return Kind.TWO_ROW;
  }

  @Override
  public List<Step> steps() {
    if (!query.limits().stages().contains(1)) {
      return List.of();
    }
    Steps steps = new Steps(query, 1, 1, Steps.ALL);
    return switch (query.listing().rank()) {
      case ERROR, STAGES -> steps.byError();
      case SIZE, EFFICIENCY, DIAMETER, LOAD -> steps.whole();
    };
  }

  @Override
  public void sweep(Reach reach) {
    int most = mostRoom();
    AtomicInteger done = new AtomicInteger();
    IntStream.rangeClosed(1, most)
        .parallel()
        .forEach(
            sun -> {
              if (!reach.watch().cancelled()) {
                new Sweep(reach).all(sun);
                reach.progress(Kind.TWO_ROW, done.incrementAndGet() / (double) most);
              }
            });
  }

  /** The largest sun there may be, or room for one where there is none. */
  private int mostRoom() {
    Limits limits = query.limits();
    return Math.max(limits.teeth().to(), limits.ring().map(Range::to).orElse(0));
  }

  /** Everything round one sun, or round the room for one. */
  private final class Sweep {
    private final Reach reach;
    private long examined;

    Sweep(Reach reach) {
      this.reach = reach;
    }

    void all(int sun) {
      boolean there = Arrays.binarySearch(counts, sun) >= 0;
      int most = query.limits().distortion();
      for (int planet : counts) {
        int span = sun + planet;
        for (int off2 = -most; off2 <= most; off2++) {
          int off = off2;
          int ring = span + planet;
          rows(
              RINGS,
              span + off,
              two -> SetShape.twoRows(0, planet, ring, 0, two, span + two + off));
          if (there) {
            rows(
                SUN_AND_RING,
                span + off,
                two -> SetShape.twoRows(sun, planet, 0, 0, two, span + two + off));
            rows(
                SUNS,
                span + off,
                two -> SetShape.twoRows(sun, planet, 0, span - two + off, two, 0));
            int left = most - Math.abs(off2);
            for (int off1 = -left; off1 <= left; off1++) {
              int ring1 = ring + off1;
              rows(
                  SUN_AND_RINGS,
                  span + off,
                  two -> SetShape.twoRows(sun, planet, ring1, 0, two, span + two + off));
              oneSun(sun, planet, ring1, ring + off);
            }
          }
        }
        if (query.limits().twoModules()) {
          RowModules.ALL.forEach(
              modules ->
                  modules
                      .closing(span)
                      .ifPresent(second -> apart(sun, there, planet, second, modules)));
        }
      }
      if (reach.step().first()) {
        reach.tally().examine(examined);
      }
    }

    /** Rows in two modules, of which the second closes with {@code c} teeth. */
    private void apart(int sun, boolean there, int planet, int c, RowModules modules) {
      int ring = sun + 2 * planet;
      rows(RINGS, c, two -> SetShape.twoRows(0, planet, ring, 0, two, c + two).in(modules));
      if (there) {
        rows(SUN_AND_RING, c, two -> SetShape.twoRows(sun, planet, 0, 0, two, c + two).in(modules));
        rows(SUNS, c, two -> SetShape.twoRows(sun, planet, 0, c - two, two, 0).in(modules));
        rows(
            SUN_AND_RINGS,
            c,
            two -> SetShape.twoRows(sun, planet, ring, 0, two, c + two).in(modules));
      }
    }

    private void oneSun(int sun, int planet, int ring1, int ring2) {
      if (ring1 != ring2) {
        SetShape shape = SetShape.oneSun(sun, planet, ring1, ring2);
        examined += SUN_AND_RINGS.size();
        for (Use use : SUN_AND_RINGS) {
          offer(shape, use, use.ratio(shape));
        }
      }
    }

    /** All planets of the second row that bring a set near the target, used in any way. */
    private void rows(List<Use> uses, int span, IntFunction<SetShape> shapes) {
      examined += (long) uses.size() * counts.length;
      SetShape any = shapes.apply(1);
      for (Use use : uses) {
        Second second = new Second(use, any, span);
        near(second, goal.least(reach.step().upTo()), goal.most(reach.step().upTo()), shapes);
        near(second, -goal.most(reach.step().upTo()), -goal.least(reach.step().upTo()), shapes);
      }
    }

    private void near(Second second, double low, double high, IntFunction<SetShape> shapes) {
      double one = second.planet(low);
      double other = second.planet(high);
      boolean anywhere = Double.isNaN(one) || Double.isNaN(other) || (low <= 1 && high >= 1);
      double least = anywhere ? 0 : Math.min(one, other) - ROUNDING;
      double most = anywhere ? Double.MAX_VALUE : Math.max(one, other) + ROUNDING;
      if (least > counts[counts.length - 1] || most < counts[0]) {
        return;
      }
      int at = Arrays.binarySearch(counts, (int) Math.ceil(least));
      for (int k = at < 0 ? -at - 1 : at; k < counts.length && counts[k] <= most; k++) {
        SetShape shape = shapes.apply(counts[k]);
        if (exists(shape) && !isMirrored(shape)) {
          offer(shape, second.use, second.use.ratio(shape));
        }
      }
    }

    /**
     * Whether the same set is found with its rows changed over. A set with a sun in one row is not;
     * of one with two suns, or with rings alone, the row with the larger planets comes first.
     */
    private boolean isMirrored(SetShape shape) {
      boolean later =
          shape.planet1() < shape.planet2()
              || (shape.planet1() == shape.planet2() && shape.largest1() < shape.largest2());
      int room = shape.ring2() - 2 * shape.planet2();
      return shape.sun2() > 0
          ? later
          : shape.sun1() == 0 && later && room >= 1 && room <= mostRoom();
    }

    private boolean exists(SetShape shape) {
      return shape.ring2() > 0
          || (shape.sun2() > 0 && query.limits().teeth().contains(shape.sun2()));
    }

    private void offer(SetShape shape, Use use, double ratio) {
      if (reach.wants(goal, ratio)
          && reach.allows(ratio, () -> shape.refusal(query.limits(), query.wheels()))) {
        double error = goal.error(Math.abs(ratio));
        Measures atBest = shape.atBest(error, outputs.ofSet(shape, use));
        reach.leads().add(atBest, judge -> judge.offer(shape.fit(query, use)));
      }
    }
  }

  /**
   * How many teeth the second row's planets need so that a set makes a ratio. What the first row
   * does is known; from the ratio follows how often the member k of the second row turns against
   * the carrier, and from that its planet: k = P2/(c + P2) for a ring, -P2/(c - P2) for a sun.
   */
  private static final class Second {
    private final Use use;
    private final Central member;
    private final double in;
    private final double held;
    private final double out;
    private final int span;

    Second(Use use, SetShape firstRow, int span) {
      this.use = use;
      this.span = span;
      this.member = firstRow.ring2() > 0 ? Central.RING2 : Central.SUN2;
      this.in = use.in() == member ? Double.NaN : use.in().turns(firstRow);
      this.held = use.held() == member ? Double.NaN : use.held().turns(firstRow);
      this.out = use.out() == member ? Double.NaN : use.out().turns(firstRow);
    }

    /** Not a number where every count has to be looked at. */
    double planet(double ratio) {
      double turns =
          use.in() == member
              ? held + ratio * (out - held)
              : use.out() == member ? held + (in - held) / ratio : (in - ratio * out) / (1 - ratio);
      if (member == Central.SUN2) {
        return turns >= 0 ? 0 : span * turns / (turns - 1);
      }
      return turns <= 0 ? 0 : turns >= 1 ? Double.MAX_VALUE : span * turns / (1 - turns);
    }
  }
}
