package steadycog.search;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import steadycog.check.Checks;
import steadycog.shape.PlanetPlaces;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Row;
import steadycog.train.Train;

/**
 * Sets with two rows of planets, in the arrangements that people build. Sun and planets of the
 * first row and planets of the second are run through; the ring or sun of the second follows from
 * the centre distance but for a few teeth of distortion, and only what comes near the target is
 * looked at further.
 */
final class TwoRowSource implements Source {

  /** What is driven, held and taken off, and which wheels there are. */
  private enum Way {
    /** Sun in, first ring held, second ring out: the highest ratios. */
    RING_OUT,
    /** Sun of the first row in, ring of the second held, carrier out. */
    CARRIER_OUT,
    /** The same with the carrier held and the ring out. */
    CARRIER_HELD,
    /** Carrier in, first ring held, second ring out, no sun. */
    TWO_RINGS,
    /** Carrier in, first sun held, second sun out, no ring. */
    TWO_SUNS
  }

  private final Query query;
  private final Goal goal;

  TwoRowSource(Query query) {
    this.query = query;
    this.goal = Goal.of(query);
  }

  @Override
  public Kind kind() {
    return Kind.TWO_ROW;
  }

  @Override
  public void sweep(Reach reach) {
    Range teeth = query.limits().teeth();
    AtomicInteger done = new AtomicInteger();
    IntStream.rangeClosed(teeth.from(), teeth.to())
        .parallel()
        .forEach(
            sun -> {
              if (!reach.watch().cancelled()) {
                new Sweep(reach).all(sun);
                double share = done.incrementAndGet() / (teeth.to() - teeth.from() + 1.0);
                reach.watch().progress(Kind.TWO_ROW, share, reach.tally().examined());
              }
            });
  }

  /** Counts of a set; a sun or a ring of 0 teeth is not there. */
  private record Counts(
      int sun1, int planet1, int ring1, int sun2, int planet2, int ring2, Way way, int off) {
    int size() {
      return sun1 + planet1 + ring1 + sun2 + planet2 + ring2;
    }

    Planetary set(int planets) {
      return Planetary.twoRows(
          "", Row.of(sun1, planet1, ring1), Row.of(sun2, planet2, ring2), planets);
    }
  }

  private final class Sweep {
    private final Reach reach;
    private long examined;

    Sweep(Reach reach) {
      this.reach = reach;
    }

    void all(int sun) {
      Range teeth = query.limits().teeth();
      for (int one = teeth.from(); one <= teeth.to(); one++) {
        for (int two = teeth.from(); two <= teeth.to(); two++) {
          rows(sun, one, two);
        }
      }
      if (reach.first()) {
        reach.tally().examine(examined);
      }
    }

    private void rows(int sun, int one, int two) {
      int most = query.limits().distortion();
      int span = sun + one;
      for (int off2 = -most; off2 <= most; off2++) {
        int left = most - Math.abs(off2);
        int ring2 = span + two + off2;
        int sun2 = span - two + off2;
        double steps = (double) ring2 * one / ((double) sun * two);
        int off = Math.abs(off2);
        offer(1 + steps, sun, one, 0, 0, two, ring2, Way.CARRIER_OUT, off);
        offer(-steps, sun, one, 0, 0, two, ring2, Way.CARRIER_HELD, off);
        if (sun2 >= query.limits().teeth().from() && sun2 <= query.limits().teeth().to()) {
          double back = (double) sun * two / ((double) one * sun2);
          offer(1 / (1 - back), sun, one, 0, sun2, two, 0, Way.TWO_SUNS, off);
        }
        double plain = (double) (span + one) * two / ((double) one * ring2);
        offer(1 / (1 - plain), 0, one, span + one, 0, two, ring2, Way.TWO_RINGS, off);
        for (int off1 = -left; off1 <= left; off1++) {
          int ring1 = span + one + off1;
          double back = (double) ring1 * two / ((double) one * ring2);
          double ratio = (1 + (double) ring1 / sun) / (1 - back);
          offer(ratio, sun, one, ring1, 0, two, ring2, Way.RING_OUT, off + Math.abs(off1));
        }
      }
    }

    private void offer(
        double ratio,
        int sun1,
        int planet1,
        int ring1,
        int sun2,
        int planet2,
        int ring2,
        Way way,
        int off) {
      examined++;
      double error = goal.error(Math.abs(ratio));
      if (!reach.contains(error) || !reach.turns(ratio < 0 ? -1 : 1)) {
        return;
      }
      if (ring1 > 0 && !query.limits().allowsRing(ring1)
          || ring2 > 0 && !query.limits().allowsRing(ring2)) {
        reach.tally().reject("ring");
      } else {
        Counts counts = new Counts(sun1, planet1, ring1, sun2, planet2, ring2, way, off);
        reach
            .leads()
            .add(
                error,
                Candidate.rank(off, counts.size()),
                (turnedDown, room) -> build(counts, turnedDown));
      }
    }
  }

  /** With as many planets as go in alike; empty, and counted, where none do. */
  private List<Train> build(Counts counts, Tally tally) {
    Range planets = query.limits().planets();
    String rule = "assembly";
    for (int n = planets.to(); n >= planets.from(); n--) {
      Planetary set = counts.set(n);
      PlanetPlaces places = new PlanetPlaces(set);
      if (!places.assembles(0) || !places.assembles(1)) {
        continue;
      }
      rule = rule.equals("assembly") ? "indexing" : rule;
      if (places.identical()) {
        Optional<String> trouble = Checks.trouble(set);
        if (trouble.isEmpty()) {
          return List.of(train(set, counts.way));
        }
        rule = trouble.get();
      }
    }
    tally.reject(rule);
    return List.of();
  }

  private Train train(Planetary set, Way way) {
    MemberId in =
        switch (way) {
          case RING_OUT, CARRIER_OUT, CARRIER_HELD -> set.sunId(0);
          case TWO_RINGS, TWO_SUNS -> set.carrierId();
        };
    MemberId held =
        switch (way) {
          case RING_OUT, TWO_RINGS -> set.ringId(0);
          case CARRIER_OUT -> set.ringId(1);
          case CARRIER_HELD -> set.carrierId();
          case TWO_SUNS -> set.sunId(0);
        };
    MemberId out =
        switch (way) {
          case RING_OUT, TWO_RINGS, CARRIER_HELD -> set.ringId(1);
          case CARRIER_OUT -> set.carrierId();
          case TWO_SUNS -> set.sunId(1);
        };
    return Train.of(List.of(set)).withRoles(goal.roles(in, List.of(held), out));
  }
}
