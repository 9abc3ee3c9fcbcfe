package steadycog.search;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Parallel.Link;
import steadycog.train.Part;
import steadycog.train.Roles;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * Which driver meshes with which driven wheel: of the same wheels one train is made, the best.
 * Where the output must turn the other way than so many external pairs turn it, one is made with
 * one pair internal, and another with an idler.
 */
final class Pairing {
  private final Query query;
  private final Judge judge;
  private final List<Integer> drivers;
  private final List<Integer> driven;

  private Pairing(Query query, Judge judge, List<Integer> drivers, List<Integer> driven) {
    this.query = query;
    this.judge = judge;
    this.drivers = drivers;
    this.driven = driven;
  }

  /**
   * A driver with what it drives.
   *
   * @param idler the count of a wheel between them; 0 where they mesh
   */
  private record Pair(int driver, int driven, boolean internal, int idler) {
    double step() {
      return Math.max((double) driven / driver, (double) driver / driven);
    }

    boolean hunts() {
      return BigInteger.valueOf(driver).gcd(BigInteger.valueOf(driven)).intValue() == 1;
    }

    /** Twice their centre distance in modules. */
    int span() {
      return internal ? driven - driver : driven + driver;
    }

    Pair inside() {
      return new Pair(driver, driven, true, 0);
    }

    Pair over(int wheel) {
      return new Pair(driver, driven, false, wheel);
    }

    List<Teeth> wheels() {
      Teeth last = new Teeth(driven, internal);
      return idler == 0
          ? List.of(Teeth.external(driver), last)
          : List.of(Teeth.external(driver), Teeth.external(idler), last);
    }
  }

  /**
   * Offers the train of these wheels whose largest step is smallest, then the one with most hunting
   * pairs; what no pairing within the limits makes is counted. A given driver comes first, a given
   * driven wheel last, otherwise small pairs before large ones.
   */
  static void offer(Query query, List<Integer> drivers, List<Integer> driven, Judge judge) {
    new Pairing(query, judge, drivers, driven).offer();
  }

  private void offer() {
    List<List<Pair>> pairings = new ArrayList<>();
    pair(new ArrayList<>(driven), new ArrayList<>(), pairings);
    pairings.removeIf(pairs -> !query.limits().allowsStep(largestStep(pairs)));
    if (pairings.isEmpty()) {
      judge.reject("stage-ratio");
      return;
    }
    pairings.sort(
        Comparator.comparingDouble(Pairing::largestStep)
            .thenComparing(pairs -> -pairs.stream().filter(Pair::hunts).count())
            .thenComparing(List::toString));
    if (query.limits().direction().allowsPairs(drivers.size())) {
      offer(pairings);
    } else {
      offer(pairings.stream().flatMap(Pairing::inside).filter(this::hasRing).toList());
      if (!query.limits().coaxial()) {
        idlers(pairings);
      }
    }
  }

  private static Stream<List<Pair>> inside(List<Pair> pairs) {
    return IntStream.range(0, pairs.size())
        .filter(k -> pairs.get(k).driven() > pairs.get(k).driver())
        .mapToObj(k -> replaced(pairs, k, pairs.get(k).inside()));
  }

  private static List<Pair> replaced(List<Pair> pairs, int at, Pair pair) {
    List<Pair> changed = new ArrayList<>(pairs);
    changed.set(at, pair);
    return changed;
  }

  private boolean hasRing(List<Pair> pairs) {
    Limits limits = query.limits();
    return pairs.stream()
        .filter(Pair::internal)
        .allMatch(
            p ->
                limits.allowsRing(p.driven()) && limits.allowsDiameter(p.driven() + Candidate.RIM));
  }

  /** With the smallest idler that runs, in the smallest pair that takes it. */
  private void idlers(List<List<Pair>> pairings) {
    List<List<Pair>> all = new ArrayList<>();
    for (int idler : query.wheels().counts(query.limits())) {
      for (List<Pair> pairs : pairings) {
        for (int k = 0; k < pairs.size(); k++) {
          all.add(replaced(pairs, k, pairs.get(k).over(idler)));
        }
      }
      if (all.stream().anyMatch(this::inStock)) {
        break;
      }
    }
    offer(all);
  }

  private boolean inStock(List<Pair> pairs) {
    return query.wheels().hold(pairs.stream().flatMap(pair -> pair.wheels().stream()).toList());
  }

  private void offer(List<List<Pair>> pairings) {
    List<List<Pair>> there = pairings.stream().filter(this::inStock).toList();
    List<List<Pair>> closed = there.stream().filter(this::closes).toList();
    if (!closed.isEmpty()) {
      Iterable<Train> ways =
          () ->
              closed.stream()
                  .flatMap(pairs -> ChainFit.of(train(query, pairs)).stream())
                  .iterator();
      judge.offer(new Fit(ways, train(query, closed.getFirst()), ""));
    } else {
      judge.reject(
          pairings.isEmpty() ? "direction" : there.isEmpty() ? "stock" : "reverted-closure");
    }
  }

  private boolean closes(List<Pair> pairs) {
    return !query.limits().coaxial() || pairs.stream().mapToInt(Pair::span).distinct().count() == 1;
  }

  private static double largestStep(List<Pair> pairs) {
    return pairs.stream().mapToDouble(Pair::step).max().orElse(1);
  }

  private void pair(List<Integer> left, List<Pair> chosen, List<List<Pair>> all) {
    if (chosen.size() == drivers.size()) {
      all.add(List.copyOf(chosen));
      return;
    }
    int driver = drivers.get(chosen.size());
    for (int count : left.stream().distinct().toList()) {
      List<Integer> rest = new ArrayList<>(left);
      rest.remove((Integer) count);
      chosen.add(new Pair(driver, count, false, 0));
      pair(rest, chosen, all);
      chosen.removeLast();
    }
  }

  private static Train train(Query query, List<Pair> pairs) {
    List<Integer> first = query.wheels().drivers();
    List<Integer> last = query.wheels().driven();
    List<Pair> ordered = new ArrayList<>(pairs);
    ordered.sort(
        Comparator.comparing((Pair pair) -> !first.isEmpty() && pair.driver != first.getFirst())
            .thenComparing(pair -> !last.isEmpty() && pair.driven == last.getLast())
            .thenComparing(Pair::internal)
            .thenComparingInt(pair -> pair.driver + pair.driven)
            .thenComparingInt(Pair::driver));
    List<Teeth> wheels = new ArrayList<>();
    List<Link> links = new ArrayList<>();
    for (Pair pair : ordered) {
      if (!wheels.isEmpty()) {
        links.add(Link.SHAFT);
      }
      wheels.addAll(pair.wheels());
      links.addAll(Collections.nCopies(pair.wheels().size() - 1, Link.MESH));
    }
    Part chain = new Parallel("", wheels, links);
    MemberId in = chain.members().getFirst().id();
    MemberId out = chain.members().getLast().id();
    Roles roles = Roles.between(in, List.of(), out);
    List<Join> coaxial = query.limits().coaxial() ? List.of(new Join(in, out)) : List.of();
    return new Train(List.of(chain), List.of(), coaxial, List.of(), Optional.empty(), roles);
  }
}
