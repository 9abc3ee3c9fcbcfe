package steadycog.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import steadycog.check.Checks;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Roles;
import steadycog.train.Train;

/**
 * Planetary sets, one or several in series. All sets that go together are listed once, rising by
 * ratio; two of them are matched by two pointers that run towards each other, three by doing so for
 * every first. Of sets with one ratio series use the smallest.
 */
final class PlanetarySource implements Source {
  private static final int MOST_IN_SERIES = 3;
  private static final List<String> NAMES = List.of("first", "second", "third");

  /** Which shafts of a set are used to slow down. */
  private enum Way {
    RING_HELD,
    CARRIER_HELD,
    SUN_HELD
  }

  /**
   * A set used one way.
   *
   * @param ratio its size
   */
  private record Option(int sun, int planet, int planets, Way way, double ratio) {
    int ring() {
      return sun + 2 * planet;
    }

    int size() {
      return sun + planet + ring();
    }

    int sign() {
      return way == Way.CARRIER_HELD ? -1 : 1;
    }
  }

  private final Query query;
  private final Goal goal;

  private List<Option> every = List.of();
  private List<Option> distinct = List.of();

  /** Of {@link #distinct}, side by side in memory: the sweep looks at nothing else. */
  private double[] ratios = {};

  PlanetarySource(Query query) {
    this.query = query;
    this.goal = Goal.of(query);
  }

  @Override
  public Kind kind() {
    return Kind.PLANETARY;
  }

  private void list(Tally tally) {
    Limits limits = query.limits();
    List<Option> all = new ArrayList<>();
    for (int sun = limits.teeth().from(); sun <= limits.teeth().to(); sun++) {
      for (int planet = limits.teeth().from(); planet <= limits.teeth().to(); planet++) {
        int ring = sun + 2 * planet;
        tally.examine(Way.values().length);
        Tally concerned = isNear(sun, ring) ? tally : new Tally();
        if (!limits.allowsRing(ring)) {
          concerned.reject("ring");
          continue;
        }
        Optional<Integer> planets = SetPlanets.most(limits, sun, planet, ring, concerned);
        if (planets.isPresent()) {
          int n = planets.get();
          all.add(new Option(sun, planet, n, Way.RING_HELD, 1 + (double) ring / sun));
          all.add(new Option(sun, planet, n, Way.CARRIER_HELD, (double) ring / sun));
          all.add(new Option(sun, planet, n, Way.SUN_HELD, 1 + (double) sun / ring));
        }
      }
    }
    all.removeIf(option -> option.ratio > limits.perStage().orElse(Double.MAX_VALUE));
    all.sort(Comparator.comparingDouble(Option::ratio).thenComparingInt(Option::size));
    every = all;
    List<Option> firsts = new ArrayList<>();
    for (Option option : all) {
      boolean same =
          !firsts.isEmpty()
              && Math.abs(firsts.getLast().ratio - option.ratio) < 1e-12 * option.ratio
              && firsts.getLast().sign() == option.sign();
      if (!same) {
        firsts.add(option);
      }
    }
    distinct = firsts;
    ratios = firsts.stream().mapToDouble(Option::ratio).toArray();
  }

  /** Whether a single set would be near enough, so that it matters what turns it down. */
  private boolean isNear(int sun, int ring) {
    double reach = Math.min(Hunt.FURTHEST, query.mostError());
    double held = 1 + (double) ring / sun;
    return query.limits().stages().contains(1)
        && (goal.error(held) <= reach
            || goal.error(held - 1) <= reach
            || goal.error(held / (held - 1)) <= reach);
  }

  @Override
  public void sweep(Reach reach) {
    if (reach.first()) {
      list(reach.tally());
    }
    int stages = Math.min(MOST_IN_SERIES, query.limits().stages().to());
    for (int k = query.limits().stages().from(); k <= stages && !reach.watch().cancelled(); k++) {
      switch (k) {
        case 1 -> every.forEach(option -> offer(reach, List.of(option)));
        case 2 -> pairs(List.of(), 0, goal.ratio(), reach);
        default -> triples(reach);
      }
      if (reach.first() && k > 1) {
        reach.tally().examine((long) Math.pow(distinct.size(), k));
      }
    }
  }

  private void triples(Reach reach) {
    AtomicInteger done = new AtomicInteger();
    IntStream.range(0, distinct.size())
        .parallel()
        .filter(k -> Math.pow(ratios[k], 3) <= goal.ratio() * (1 + reach.upTo()))
        .forEach(
            k -> {
              if (!reach.watch().cancelled()) {
                Option first = distinct.get(k);
                pairs(List.of(first), k, goal.ratio() / first.ratio, reach);
                double share = (double) done.incrementAndGet() / distinct.size();
                reach.watch().progress(Kind.PLANETARY, share, reach.tally().examined());
              }
            });
  }

  /** Two sets whose product is near {@code rest}, the slower one not before {@code from}. */
  private void pairs(List<Option> before, int from, double rest, Reach reach) {
    double most = rest * (1 + reach.upTo());
    double least = rest * (1 - reach.upTo());
    int high = ratios.length - 1;
    for (int low = from; low <= high; low++) {
      double one = ratios[low];
      while (high > low && one * ratios[high] > most) {
        high--;
      }
      for (int k = high; k >= low && one * ratios[k] >= least; k--) {
        if (one * ratios[k] <= most) {
          List<Option> all = new ArrayList<>(before);
          all.add(distinct.get(low));
          all.add(distinct.get(k));
          offer(reach, all);
        }
      }
    }
  }

  private void offer(Reach reach, List<Option> options) {
    double product = 1;
    int sign = 1;
    int size = 0;
    for (Option option : options) {
      product *= option.ratio;
      sign *= option.sign();
      size += option.size();
    }
    double error = goal.error(product);
    if (reach.contains(error) && reach.turns(sign)) {
      reach.leads().add(error, size, (turnedDown, room) -> build(options, turnedDown));
    }
  }

  private List<Train> build(List<Option> options, Tally tally) {
    List<Planetary> sets = new ArrayList<>();
    for (int k = 0; k < options.size(); k++) {
      Option option = options.get(k);
      String name = options.size() == 1 ? "" : NAMES.get(k);
      Planetary set = Planetary.of(name, option.sun, option.planet, option.planets, option.ring());
      Optional<String> trouble = Checks.trouble(set);
      if (trouble.isPresent()) {
        tally.reject(trouble.get());
        return List.of();
      }
      sets.add(set);
    }
    return List.of(joined(options, sets));
  }

  private Train joined(List<Option> options, List<Planetary> sets) {
    List<Join> joins = new ArrayList<>();
    List<MemberId> holds = new ArrayList<>();
    for (int k = 0; k < sets.size(); k++) {
      Way way = options.get(k).way;
      holds.add(held(sets.get(k), way));
      if (k > 0) {
        MemberId before = out(sets.get(k - 1), options.get(k - 1).way);
        joins.add(new Join(before, in(sets.get(k), way)));
      }
    }
    MemberId in = in(sets.getFirst(), options.getFirst().way);
    MemberId out = out(sets.getLast(), options.getLast().way);
    Roles roles = goal.roles(in, holds, out);
    return new Train(List.copyOf(sets), joins, List.of(), List.of(), Optional.empty(), roles);
  }

  private static MemberId in(Planetary set, Way way) {
    return way == Way.SUN_HELD ? set.ringId(0) : set.sunId(0);
  }

  private static MemberId held(Planetary set, Way way) {
    return switch (way) {
      case RING_HELD -> set.ringId(0);
      case CARRIER_HELD -> set.carrierId();
      case SUN_HELD -> set.sunId(0);
    };
  }

  private static MemberId out(Planetary set, Way way) {
    return way == Way.CARRIER_HELD ? set.ringId(0) : set.carrierId();
  }
}
