package steadycog.search;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Subject;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Parallel.Link;
import steadycog.train.Roles;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * Pairs of wheels in series. A train's ratio is the product of its driven counts over the product
 * of its drivers: for every product of drivers d the products of driven wheels next to i d are
 * looked up in the sorted list of all, which is the two-pointer sweep over both lists. Every pair
 * of products is covered, so what is found is proven best.
 */
final class ParallelSource implements Source {
  private static final int CHUNKS = 256;

  /** A window that is moved along stays in the cache. */
  private static final long SMALL = 1L << 21;

  /** Errors below this are worked out exactly, so that an exact hit is 0. */
  private static final double ROUNDING = 1e-11;

  private static final double GROWTH = 1.1;

  private final Query query;
  private final Rank rank;
  private final Outputs outputs;
  private final int[] counts;
  private final Map<Integer, long[]> halves = new HashMap<>();
  private final Map<Integer, Window> kept = new HashMap<>();

  ParallelSource(Query query) {
    this.query = query;
    this.rank = query.listing().rank();
    this.outputs = Outputs.of(query, false);
    this.counts = query.wheels().counts(query.limits());
  }

  @Override
  public Kind kind() {
    return Kind.PARALLEL;
  }

  @Override
  public List<Step> steps() {
    Range stages = query.limits().stages();
    boolean coaxial = query.limits().coaxial();
    int from = coaxial ? 2 : stages.from();
    int to = coaxial ? 2 : stages.to();
    if (counts.length == 0 || !stages.contains(from)) {
      return List.of();
    }
    Steps steps = new Steps(query, from, to, outputs::ofPairs);
    int given = sum(query.wheels().drivers()) + sum(query.wheels().driven());
    double largest = Math.max(given, counts[counts.length - 1]);
    return switch (rank) {
      case ERROR -> steps.byError();
      case STAGES -> steps.byStages();
      case EFFICIENCY ->
          query.running().losses().friction().isPresent() ? steps.whole() : steps.byStages();
      case SIZE, LOAD -> steps.capped(2.0 * from * counts[0], given + 2 * to * largest, GROWTH);
      case DIAMETER -> steps.capped(counts[0] + Candidate.TIPS, largest + Candidate.RIM, 1.05);
    };
  }

  /** Products of drivers and of the driven wheels that they may be paired with. */
  private record Window(Products drivers, Products driven) {}

  @Override
  public void sweep(Reach reach) {
    int stages = reach.step().stages();
    int drivers = stages - query.wheels().drivers().size();
    int driven = stages - query.wheels().driven().size();
    int[] under = counts;
    if (rank == Rank.DIAMETER) {
      double most = reach.step().cap() - Candidate.TIPS;
      under = Arrays.stream(counts).filter(count -> count <= most).toArray();
      halves.clear();
      kept.clear();
    }
    Optional<String> refusal = refusal(stages);
    refusal.filter(rule -> reach.step().first()).ifPresent(reach.tally()::reject);
    if (drivers >= 0 && driven >= 0 && under.length > 0 && refusal.isEmpty()) {
      new Sweep(reach, drivers, driven, under).run();
    }
  }

  /** Where losses do not depend on the teeth, all trains of so many pairs run alike. */
  private Optional<String> refusal(int stages) {
    if (query.running().asksNothing() || query.running().losses().friction().isPresent()) {
      return Optional.empty();
    }
    boolean turned = !query.limits().direction().allowsPairs(stages);
    List<Teeth> wheels = new ArrayList<>();
    List<Link> links = new ArrayList<>();
    for (int k = 0; k < stages; k++) {
      wheels.add(Teeth.external(20));
      wheels.add(new Teeth(60, turned && k == 0));
      links.add(Link.MESH);
      links.add(Link.SHAFT);
    }
    Parallel chain = new Parallel("", wheels, links.subList(0, links.size() - 1));
    MemberId in = chain.members().getFirst().id();
    MemberId out = chain.members().getLast().id();
    Train train = Train.of(List.of(chain)).withRoles(Roles.between(in, List.of(), out));
    return Subject.of(train.withLosses(query.running().losses()))
        .loading()
        .eachWay()
        .flatMap(query.running()::refusal);
  }

  private static int sum(List<Integer> counts) {
    return counts.stream().mapToInt(Integer::intValue).sum();
  }

  /** How many choices there are of so many of {@code kinds}, in any order and again. */
  private static double choices(int kinds, int many) {
    double choices = 1;
    for (int k = 0; k < many; k++) {
      choices = choices * (kinds + k) / (k + 1);
    }
    return choices;
  }

  /** One number of stages over one reach. */
  private final class Sweep {
    private final Reach reach;
    private final int drivers;
    private final int driven;
    private final int[] under;
    private final int given;
    private final double givenLargest;

    /** Product of free driven wheels over that of free drivers that is wanted. */
    private final BigFraction wanted;

    private final double ratio;

    Sweep(Reach reach, int drivers, int driven, int[] under) {
      this.reach = reach;
      this.drivers = drivers;
      this.driven = driven;
      this.under = under;
      BigFraction fixed = BigFraction.ONE;
      for (int count : query.wheels().drivers()) {
        fixed = fixed.multiply(count);
      }
      for (int count : query.wheels().driven()) {
        fixed = fixed.divide(count);
      }
      this.wanted = query.target().ratio().multiply(fixed);
      this.ratio = wanted.doubleValue();
      this.given = sum(query.wheels().drivers()) + sum(query.wheels().driven());
      this.givenLargest =
          Stream.concat(query.wheels().drivers().stream(), query.wheels().driven().stream())
              .mapToInt(Integer::intValue)
              .max()
              .orElse(0);
    }

    void run() {
      if (reach.step().first()) {
        double all = choices(counts.length, drivers) * choices(counts.length, driven);
        reach.tally().examine((long) Math.min(all, 1e17));
      }
      int largest = under[under.length - 1];
      double widest = query.mostError();
      double low = Math.pow(under[0], drivers);
      double high = Math.pow(largest, drivers);
      low = Math.max(low, Math.pow(under[0], driven) / ratio / (1 + widest) * (1 - 1e-9));
      high = Math.min(high, Math.pow(largest, driven) / ratio / (1 - widest) * (1 + 1e-9));
      long from = (long) Math.floor(low);
      long to = (long) Math.ceil(Math.min(high, rank == Rank.SIZE ? underCap(high) : high));
      if (low > high || from > to) {
        return;
      }
      if (span((double) from, (double) to, widest) <= Products.WIDEST) {
        whole(from, (long) Math.ceil(high), to, widest);
      } else {
        moving(from, to);
      }
    }

    /** The largest product of drivers whose trains may have no more teeth than the cap. */
    private double underCap(double most) {
      double low = 0;
      double high = most;
      for (int k = 0; k < 100 && high - low > 0.5; k++) {
        double middle = (low + high) / 2;
        if (least(ratio * middle * (1 - reach.step().upTo()), middle) <= reach.step().cap()) {
          low = middle;
        } else {
          high = middle;
        }
      }
      return high;
    }

    /** How wide a window drivers of these products and what they are paired with need. */
    private double span(double start, double end, double within) {
      return Math.max(end - start, ratio * (end - start) + within * ratio * (start + end)) + 1000;
    }

    /** Half products serve all windows and reaches. */
    private long[] half(int factors) {
      return halves.computeIfAbsent(factors, many -> Products.distinct(under, many));
    }

    /** A single window serves all reaches and is kept. */
    private void whole(long start, long end, long to, double within) {
      Window window = kept.get(reach.step().stages());
      if (window == null || window.drivers.high() < to) {
        window =
            new Window(
                Products.of(half((drivers + 1) / 2), half(drivers / 2), start, end),
                Products.of(
                    half((driven + 1) / 2),
                    half(driven / 2),
                    lowest(start, within),
                    highest(end, within)));
        kept.put(reach.step().stages(), window);
      }
      Window all = window;
      chunks(start, to, (first, last) -> sweep(all, first, last));
    }

    private long lowest(long product, double within) {
      return (long) Math.max(1, Math.floor(ratio * product * (1 - within)));
    }

    private long highest(long product, double within) {
      return (long) Math.min(1e18, Math.ceil(ratio * product * (1 + within)));
    }

    /** Small windows are moved along, each thread's over a stretch of its own. */
    private void moving(long start, long end) {
      double upTo = reach.step().upTo();
      double overlap = 2 * upTo * ratio * end;
      double width = Math.max(SMALL, overlap);
      if (width + overlap > Products.WIDEST) {
        reach.leads().cutShort();
        return;
      }
      long step = (long) Math.max(1, Math.min(width, width / ratio));
      long[] larger1 = half((drivers + 1) / 2);
      long[] smaller1 = half(drivers / 2);
      long[] larger2 = half((driven + 1) / 2);
      long[] smaller2 = half(driven / 2);
      chunks(
          start,
          end,
          (first, last) -> {
            Window window =
                new Window(new Products(larger1, smaller1), new Products(larger2, smaller2));
            for (long at = first; at <= last && !reach.watch().cancelled(); at += step) {
              long to = Math.min(last, at + step - 1);
              window.drivers.move(at, to);
              window.driven.move(lowest(at, upTo), highest(to, upTo));
              sweep(window, at, to);
            }
          });
    }

    private interface Stretch {
      void sweep(long first, long last);
    }

    /** Parts of a range, both ends included, spread over all threads. */
    private void chunks(long from, long to, Stretch stretch) {
      AtomicInteger done = new AtomicInteger();
      double step = (to - from + 1.0) / CHUNKS;
      IntStream.range(0, CHUNKS)
          .parallel()
          .forEach(
              chunk -> {
                long first = from + (long) (step * chunk);
                long last = chunk == CHUNKS - 1 ? to : from + (long) (step * (chunk + 1)) - 1;
                if (first <= last && !reach.watch().cancelled()) {
                  stretch.sweep(first, last);
                }
                reach.progress(Kind.PARALLEL, done.incrementAndGet() / (double) CHUNKS);
              });
    }

    private void sweep(Window window, long from, long to) {
      Products of = window.drivers;
      for (long d = of.next(from, to); d >= 0; d = of.next(d + 1, to)) {
        double furthest = Math.min(reach.step().upTo(), reach.leads().furthest());
        double exact = ratio * d;
        long last = (long) Math.ceil(exact * (1 + furthest));
        long first = (long) Math.floor(exact * (1 - furthest));
        for (long n = window.driven.next(first, last);
            n >= 0;
            n = window.driven.next(n + 1, last)) {
          double error = error(n, d);
          if (reach.contains(error)) {
            lead(n, d, error);
          }
        }
      }
    }

    private double error(long n, long d) {
      double error = Math.abs(n - ratio * d) / (ratio * d);
      return error > ROUNDING
          ? error
          : BigFraction.of(BigInteger.valueOf(n), BigInteger.valueOf(d))
              .subtract(wanted)
              .divide(wanted)
              .abs()
              .doubleValue();
    }

    /** No wheels of these products have fewer teeth together (mean inequality). */
    private double least(double n, double d) {
      double sum = given;
      sum += driven == 0 ? 0 : driven * Math.pow(n, 1.0 / driven);
      sum += drivers == 0 ? 0 : drivers * Math.pow(d, 1.0 / drivers);
      return Math.floor(sum - 1e-6);
    }

    private double leastDiameter(long n, long d) {
      double largest = givenLargest;
      largest = Math.max(largest, driven == 0 ? 0 : Math.pow((double) n, 1.0 / driven));
      largest = Math.max(largest, drivers == 0 ? 0 : Math.pow((double) d, 1.0 / drivers));
      return largest + Candidate.TIPS - 1e-6;
    }

    private void lead(long n, long d, double error) {
      double size = least((double) n, (double) d);
      if (rank == Rank.SIZE && !reach.step().takes(rank, size, 0)) {
        return;
      }
      int stages = reach.step().stages();
      double diameter = rank == Rank.DIAMETER ? leastDiameter(n, d) : 0;
      double share = rank == Rank.EFFICIENCY ? outputs.ofPairs(stages) : 1;
      reach
          .leads()
          .add(new Measures(error, stages, size, diameter, share), judge -> build(n, d, judge));
    }

    private void build(long n, long d, Judge judge) {
      List<List<Integer>> numerators = Factors.of(n, driven, under);
      for (List<Integer> small : Factors.of(d, drivers, under)) {
        List<Integer> allDrivers = with(query.wheels().drivers(), small);
        for (List<Integer> large : numerators) {
          List<Integer> allDriven = with(query.wheels().driven(), large);
          double size = sum(allDrivers) + sum(allDriven);
          double diameter = Math.max(largest(allDrivers), largest(allDriven)) + Candidate.TIPS;
          boolean here = rank != Rank.DIAMETER || reach.step().takes(rank, size, diameter);
          if (here && judge.takes(size, diameter)) {
            Pairing.offer(query, allDrivers, allDriven, judge);
          }
        }
      }
    }

    private static int largest(List<Integer> counts) {
      return counts.stream().mapToInt(Integer::intValue).max().orElse(0);
    }

    private static List<Integer> with(List<Integer> given, List<Integer> free) {
      List<Integer> all = new ArrayList<>(given);
      all.addAll(free);
      return all;
    }
  }
}
