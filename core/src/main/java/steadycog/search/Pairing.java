package steadycog.search;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Parallel.Link;
import steadycog.train.Part;
import steadycog.train.Roles;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** Which driver meshes with which driven wheel: of the same wheels one train is made, the best. */
final class Pairing {
  private Pairing() {}

  private record Pair(int driver, int driven) {
    double step() {
      return Math.max((double) driven / driver, (double) driver / driven);
    }

    boolean hunts() {
      return BigInteger.valueOf(driver).gcd(BigInteger.valueOf(driven)).intValue() == 1;
    }

    int sum() {
      return driver + driven;
    }
  }

  /**
   * The train of these wheels whose largest step is smallest, then the one with most hunting pairs;
   * empty, and counted, where no pairing is within the limits. A given driver comes first, a given
   * driven wheel last, otherwise small pairs before large ones.
   */
  static Optional<Train> of(Query query, List<Integer> drivers, List<Integer> driven, Tally tally) {
    List<Integer> all = new ArrayList<>(drivers);
    all.addAll(driven);
    if (!query.wheels().hold(all)) {
      tally.reject("stock");
      return Optional.empty();
    }
    List<List<Pair>> pairings = new ArrayList<>();
    pair(drivers, new ArrayList<>(driven), new ArrayList<>(), pairings);
    if (query.limits().coaxial()) {
      pairings.removeIf(pairs -> pairs.stream().mapToInt(Pair::sum).distinct().count() > 1);
      if (pairings.isEmpty()) {
        tally.reject("reverted-closure");
        return Optional.empty();
      }
    }
    double most = query.limits().perStage().orElse(Double.MAX_VALUE);
    pairings.removeIf(pairs -> largestStep(pairs) > most + 1e-9);
    if (pairings.isEmpty()) {
      tally.reject("stage-ratio");
    }
    return pairings.stream()
        .min(
            Comparator.comparingDouble(Pairing::largestStep)
                .thenComparing(pairs -> -pairs.stream().filter(Pair::hunts).count())
                .thenComparing(List::toString))
        .map(pairs -> train(query, pairs));
  }

  private static double largestStep(List<Pair> pairs) {
    return pairs.stream().mapToDouble(Pair::step).max().orElse(1);
  }

  private static void pair(
      List<Integer> drivers, List<Integer> driven, List<Pair> chosen, List<List<Pair>> all) {
    if (chosen.size() == drivers.size()) {
      all.add(List.copyOf(chosen));
      return;
    }
    int driver = drivers.get(chosen.size());
    for (int count : driven.stream().distinct().toList()) {
      List<Integer> rest = new ArrayList<>(driven);
      rest.remove((Integer) count);
      chosen.add(new Pair(driver, count));
      pair(drivers, rest, chosen, all);
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
            .thenComparingInt(Pair::sum)
            .thenComparingInt(Pair::driver));
    List<Teeth> wheels = new ArrayList<>();
    List<Link> links = new ArrayList<>();
    for (Pair pair : ordered) {
      if (!wheels.isEmpty()) {
        links.add(Link.SHAFT);
      }
      wheels.add(Teeth.external(pair.driver));
      links.add(Link.MESH);
      wheels.add(Teeth.external(pair.driven));
    }
    Part chain = new Parallel("", wheels, links);
    MemberId in = chain.members().getFirst().id();
    MemberId out = chain.members().getLast().id();
    Roles roles = Roles.between(in, List.of(), out);
    List<Join> coaxial = query.limits().coaxial() ? List.of(new Join(in, out)) : List.of();
    return new Train(List.of(chain), List.of(), coaxial, List.of(), Optional.empty(), roles);
  }
}
