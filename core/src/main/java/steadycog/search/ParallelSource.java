package steadycog.search;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.train.Train;

/**
 * Pairs of wheels in series. A train's ratio is the product of its driven counts over the product
 * of its drivers: for every product of drivers d the products of driven wheels next to i d are
 * looked up in the sorted list of all, which is the two-pointer sweep over both lists. Every pair
 * of products is covered, so what is found is proven best.
 */
final class ParallelSource implements Source {
  private static final int CHUNKS = 256;

  /**
   * More windows than any range within the limits needs, unless errors of many percent are swept.
   */
  private static final int MOST_WINDOWS = 5_000;

  /** Errors below this are worked out exactly, so that an exact hit is 0. */
  private static final double ROUNDING = 1e-11;

  private final Query query;
  private final int[] counts;
  private final Map<Integer, long[]> halves = new HashMap<>();
  private final Map<Integer, Window> kept = new HashMap<>();

  ParallelSource(Query query) {
    this.query = query;
    this.counts = counts(query);
  }

  private static int[] counts(Query query) {
    Limits limits = query.limits();
    return query.wheels().stock().isEmpty()
        ? IntStream.rangeClosed(limits.teeth().from(), limits.mostTeeth()).toArray()
        : query.wheels().stock().keySet().stream()
            .mapToInt(Integer::intValue)
            .filter(count -> count <= limits.diameter().map(d -> d - 2).orElse(1e9))
            .toArray();
  }

  @Override
  public Kind kind() {
    return Kind.PARALLEL;
  }

  /** Products of drivers and of the driven wheels that they may be paired with. */
  private record Window(Products drivers, Products driven) {}

  @Override
  public void sweep(Reach reach) {
    Range stages = query.limits().stages();
    int from = Math.max(stages.from(), query.limits().coaxial() ? 2 : 1);
    int to = query.limits().coaxial() ? 2 : stages.to();
    for (int k = from; k <= to && counts.length > 0; k++) {
      int drivers = k - query.wheels().drivers().size();
      int driven = k - query.wheels().driven().size();
      boolean turns = query.limits().direction().allows(k % 2 == 0 ? 1 : -1);
      if (drivers >= 0 && driven >= 0 && turns) {
        new Sweep(k, drivers, driven, reach).run();
      } else if (!turns && reach.first()) {
        reach.tally().reject("direction");
      }
    }
  }

  private Products products(int factors, long low, long high) {
    return Products.of(half((factors + 1) / 2), half(factors / 2), low, high);
  }

  /** Half products serve all windows and reaches. */
  private long[] half(int factors) {
    return halves.computeIfAbsent(factors, many -> Products.distinct(counts, many));
  }

  /** One number of stages over one reach of errors. */
  private final class Sweep {
    private final int stages;
    private final int drivers;
    private final int driven;
    private final Reach reach;

    /** Product of free driven wheels over that of free drivers that is wanted. */
    private final BigFraction wanted;

    private final double ratio;

    Sweep(int stages, int drivers, int driven, Reach reach) {
      this.stages = stages;
      this.drivers = drivers;
      this.driven = driven;
      this.reach = reach;
      BigFraction fixed = BigFraction.ONE;
      for (int count : query.wheels().drivers()) {
        fixed = fixed.multiply(count);
      }
      for (int count : query.wheels().driven()) {
        fixed = fixed.divide(count);
      }
      this.wanted = query.target().ratio().multiply(fixed);
      this.ratio = wanted.doubleValue();
    }

    void run() {
      double least = Math.pow(counts[0], driven);
      double most = Math.pow(counts[counts.length - 1], driven);
      double widest = Math.min(Hunt.FURTHEST, query.mostError());
      double low =
          Math.max(Math.pow(counts[0], drivers), least / ratio / (1 + widest) * (1 - 1e-9));
      double high =
          Math.min(
              Math.pow(counts[counts.length - 1], drivers),
              most / ratio / (1 - widest) * (1 + 1e-9));
      if (low > high) {
        return;
      }
      long from = (long) Math.floor(low);
      long to = (long) Math.ceil(high);
      boolean single = span(from, to, widest) <= Products.WIDEST;
      int windows = single ? 1 : windows(from, to);
      if (windows > MOST_WINDOWS) {
        reach.leads().cutShort();
        return;
      }
      for (int k = 0; k < windows && !reach.watch().cancelled(); k++) {
        long start = from + (long) ((double) (to - from) * k / windows) + (k > 0 ? 1 : 0);
        long end = k == windows - 1 ? to : from + (long) ((double) (to - from) * (k + 1) / windows);
        sweep(window(start, end, single ? widest : reach.upTo(), single), k, windows);
      }
    }

    /** How wide a window drivers of these products and what they are paired with need. */
    private double span(double start, double end, double within) {
      return Math.max(end - start, ratio * (end - start) + within * ratio * (start + end)) + 1000;
    }

    /** How many windows keep every one of them within bounds; endless where none do. */
    private int windows(long from, long to) {
      int windows = 2;
      while (windows <= MOST_WINDOWS
          && span(to - (double) (to - from) / windows, to, reach.upTo()) > Products.WIDEST) {
        windows++;
      }
      return windows;
    }

    /** A single window serves all reaches and is kept; of many each is made anew. */
    private Window window(long start, long end, double within, boolean single) {
      if (single && kept.containsKey(stages)) {
        return kept.get(stages);
      }
      long least = (long) Math.max(1, Math.floor(ratio * start * (1 - within)));
      long most = (long) Math.min(1e18, Math.ceil(ratio * end * (1 + within)));
      Window window = new Window(products(drivers, start, end), products(driven, least, most));
      if (single) {
        kept.put(stages, window);
      }
      return window;
    }

    private void sweep(Window window, int index, int windows) {
      if (reach.first()) {
        reach.tally().examine(window.drivers.size() * window.driven.size());
      }
      AtomicInteger done = new AtomicInteger();
      long low = window.drivers.low();
      double step = (window.drivers.high() - low + 1.0) / CHUNKS;
      IntStream.range(0, CHUNKS)
          .parallel()
          .forEach(
              chunk -> {
                if (!reach.watch().cancelled()) {
                  sweep(window, low + (long) (step * chunk), low + (long) (step * (chunk + 1)));
                  double share = (index + done.incrementAndGet() / (double) CHUNKS) / windows;
                  reach.watch().progress(Kind.PARALLEL, share, reach.tally().examined());
                }
              });
    }

    private void sweep(Window window, long from, long to) {
      Products of = window.drivers;
      for (long d = of.next(from, to - 1); d >= 0; d = of.next(d + 1, to - 1)) {
        double furthest = Math.min(reach.upTo(), reach.leads().threshold());
        double exact = ratio * d;
        long last = (long) Math.ceil(exact * (1 + furthest));
        long first = (long) Math.floor(exact * (1 - furthest));
        for (long n = window.driven.next(first, last);
            n >= 0;
            n = window.driven.next(n + 1, last)) {
          double error = error(n, d);
          if (reach.contains(error) && error <= furthest) {
            reach.leads().add(error, least(n, d), lead(n, d));
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
    private double least(long n, long d) {
      double sum = sum(query.wheels().drivers()) + sum(query.wheels().driven());
      sum += driven == 0 ? 0 : driven * Math.pow(n, 1.0 / driven);
      sum += drivers == 0 ? 0 : drivers * Math.pow(d, 1.0 / drivers);
      return Math.floor(sum - 1e-6);
    }

    private Lead.Builder lead(long n, long d) {
      return (turnedDown, room) -> trains(n, d, turnedDown, room);
    }

    private List<Train> trains(long n, long d, Tally turnedDown, Lead.Room room) {
      List<Train> trains = new ArrayList<>();
      List<List<Integer>> numerators = Factors.of(n, driven, counts);
      for (List<Integer> small : Factors.of(d, drivers, counts)) {
        List<Integer> allDrivers = with(query.wheels().drivers(), small);
        for (List<Integer> large : numerators) {
          List<Integer> allDriven = with(query.wheels().driven(), large);
          if (room.takes(sum(allDrivers) + sum(allDriven))) {
            Pairing.of(query, allDrivers, allDriven, turnedDown).ifPresent(trains::add);
          }
        }
      }
      return trains;
    }

    private static int sum(List<Integer> counts) {
      int sum = 0;
      for (int count : counts) {
        sum += count;
      }
      return sum;
    }

    private static List<Integer> with(List<Integer> given, List<Integer> free) {
      List<Integer> all = new ArrayList<>(given);
      all.addAll(free);
      return all;
    }
  }
}
