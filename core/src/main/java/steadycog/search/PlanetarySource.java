package steadycog.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import steadycog.check.Checks;
import steadycog.train.Drive;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Roles;
import steadycog.train.Take;
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
  private final double target;

  /** For a ratio below 1 the same trains are driven from the other end. */
  private final boolean faster;

  private List<Option> every = List.of();
  private List<Option> distinct = List.of();

  /** Of {@link #distinct}, side by side in memory: the sweep looks at nothing else. */
  private double[] ratios = {};

  PlanetarySource(Query query) {
    this.query = query;
    double ratio = query.target().ratio().doubleValue();
    this.faster = ratio < 1;
    this.target = faster ? 1 / ratio : ratio;
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
        && (Errors.of(held, target, faster) <= reach
            || Errors.of(held - 1, target, faster) <= reach
            || Errors.of(held / (held - 1), target, faster) <= reach);
  }

  @Override
  public void sweep(double above, double upTo, Leads leads, Tally tally, Watch watch) {
    if (above < 0) {
      list(tally);
    }
    int stages = Math.min(MOST_IN_SERIES, query.limits().stages().to());
    for (int k = query.limits().stages().from(); k <= stages && !watch.cancelled(); k++) {
      Reach reach = new Reach(above, upTo, leads, tally);
      switch (k) {
        case 1 -> every.forEach(option -> reach.offer(List.of(option)));
        case 2 -> pairs(List.of(), 0, target, reach);
        default -> triples(reach, watch);
      }
      if (above < 0 && k > 1) {
        tally.examine((long) Math.pow(distinct.size(), k));
      }
    }
  }

  private void triples(Reach reach, Watch watch) {
    AtomicInteger done = new AtomicInteger();
    IntStream.range(0, distinct.size())
        .parallel()
        .filter(k -> Math.pow(ratios[k], 3) <= target * (1 + reach.upTo))
        .forEach(
            k -> {
              if (!watch.cancelled()) {
                Option first = distinct.get(k);
                pairs(List.of(first), k, target / first.ratio, reach);
                double share = (double) done.incrementAndGet() / distinct.size();
                watch.progress(Kind.PLANETARY, share, reach.tally.examined());
              }
            });
  }

  /** Two sets whose product is near {@code rest}, the slower one not before {@code from}. */
  private void pairs(List<Option> before, int from, double rest, Reach reach) {
    double most = rest * (1 + reach.upTo);
    double least = rest * (1 - reach.upTo);
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
          reach.offer(all);
        }
      }
    }
  }

  /** Errors that are swept, and where leads go. */
  private final class Reach {
    private final double above;
    private final double upTo;
    private final Leads leads;
    private final Tally tally;

    Reach(double above, double upTo, Leads leads, Tally tally) {
      this.above = above;
      this.upTo = upTo;
      this.leads = leads;
      this.tally = tally;
    }

    void offer(List<Option> options) {
      double product = 1;
      int sign = 1;
      int size = 0;
      for (Option option : options) {
        product *= option.ratio;
        sign *= option.sign();
        size += option.size();
      }
      double error = Errors.of(product, target, faster);
      if (error > above && error <= upTo) {
        if (query.limits().direction().allows(sign)) {
          leads.add(error, size, (turnedDown, room) -> build(options, turnedDown));
        } else {
          tally.reject("direction");
        }
      }
    }
  }

  private List<Train> build(List<Option> options, Tally tally) {
    List<Part> parts = new ArrayList<>();
    for (int k = 0; k < options.size(); k++) {
      Option option = options.get(k);
      String name = options.size() == 1 ? "" : NAMES.get(k);
      Planetary set = Planetary.of(name, option.sun, option.planet, option.planets, option.ring());
      Optional<String> trouble = Checks.trouble(set);
      if (trouble.isPresent()) {
        tally.reject(trouble.get());
        return List.of();
      }
      parts.add(set);
    }
    return List.of(joined(options, parts));
  }

  private Train joined(List<Option> options, List<Part> parts) {
    List<Join> joins = new ArrayList<>();
    List<MemberId> holds = new ArrayList<>();
    for (int k = 0; k < parts.size(); k++) {
      Planetary set = (Planetary) parts.get(k);
      holds.add(held(set, options.get(k).way));
      if (k > 0) {
        Planetary before = (Planetary) parts.get(k - 1);
        joins.add(new Join(out(before, options.get(k - 1).way), in(set, options.get(k).way)));
      }
    }
    MemberId in = in((Planetary) parts.getFirst(), options.getFirst().way);
    MemberId out = out((Planetary) parts.getLast(), options.getLast().way);
    Roles roles =
        new Roles(
            List.of(Drive.of(faster ? out : in)),
            holds,
            Optional.of(Take.of(faster ? in : out)),
            List.of());
    return new Train(parts, joins, List.of(), List.of(), Optional.empty(), roles);
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
