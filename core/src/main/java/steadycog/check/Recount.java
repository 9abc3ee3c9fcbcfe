package steadycog.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import steadycog.shape.PairGeometry;
import steadycog.shape.PlanetGeometry;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Planetary;
import steadycog.train.Teeth;

/**
 * Sets with nearly the same counts that go together: a miscount of one tooth is the usual cause of
 * a set that does not.
 */
final class Recount {
  private static final int MISCOUNT = 2;

  /** How many teeth away other counts are looked for. */
  private static final int REACH = 12;

  private Recount() {}

  /**
   * Every set within one or two teeth a wheel that goes together, fewest teeth changed first, then
   * those that change the ratio least.
   */
  static List<Planetary> near(Planetary set) {
    List<Planetary> found = new ArrayList<>();
    around(set, set.wheels(), 0, MISCOUNT, found);
    found.removeIf(other -> other.equals(set) || !goesTogether(other));
    return ranked(set, found);
  }

  /**
   * The set nearest to {@code set} that {@code wanted} holds for and that goes together. Where one
   * count follows from the others, R = S + 2 P, only such sets are tried; the search ends with the
   * nearest found. Cost: at most a few hundred sets.
   */
  static Optional<Planetary> nearest(Planetary set, Predicate<Planetary> wanted) {
    boolean follows = new PlanetGeometry(set).stretch().isPresent();
    List<Member> free = follows ? set.wheels().subList(0, 2) : set.wheels();
    if (free.size() > 2) {
      return near(set).stream().filter(wanted).findFirst();
    }
    List<Planetary> candidates = new ArrayList<>();
    around(set, free, 0, REACH, candidates);
    if (follows) {
      candidates.replaceAll(Recount::closed);
    }
    candidates.removeIf(other -> !wanted.test(other));
    return ranked(set, candidates).stream().filter(Recount::goesTogether).findFirst();
  }

  private static Planetary closed(Planetary set) {
    int ring = set.sun().orElseThrow().count() + 2 * set.planets().getFirst().count();
    return set.withTeeth(set.ringId(), Teeth.internal(ring));
  }

  private static void around(
      Planetary set, List<Member> free, int next, int reach, List<Planetary> found) {
    if (next == free.size()) {
      found.add(set);
      return;
    }
    Member wheel = free.get(next);
    Teeth teeth = wheel.teeth().orElseThrow();
    for (int step = -reach; step <= reach; step++) {
      if (teeth.count() + step >= 1) {
        Teeth changed = new Teeth(teeth.count() + step, teeth.internal());
        around(set.withTeeth(wheel.id(), changed), free, next + 1, reach, found);
      }
    }
  }

  /** A set with what it is ranked by: teeth changed in all, and how far the ratio moves. */
  private record Ranked(Planetary set, int change, double moved) {}

  /** Sets by how little they differ from {@code set}; alike ones stay in their order. */
  private static List<Planetary> ranked(Planetary set, List<Planetary> others) {
    List<Member> own = set.wheels();
    double basic = basic(own);
    return others.stream()
        .map(
            other ->
                new Ranked(
                    other, change(own, other.wheels()), Math.abs(basic(other.wheels()) - basic)))
        .sorted(Comparator.comparingInt(Ranked::change).thenComparingDouble(Ranked::moved))
        .map(Ranked::set)
        .toList();
  }

  /** Outermost over innermost teeth: what the ratios of the set depend on. */
  private static double basic(List<Member> wheels) {
    return (double) teeth(wheels.getLast()) / teeth(wheels.getFirst());
  }

  private static int change(List<Member> one, List<Member> other) {
    int sum = 0;
    for (int k = 0; k < one.size(); k++) {
      sum += Math.abs(teeth(one.get(k)) - teeth(other.get(k)));
    }
    return sum;
  }

  private static int teeth(Member wheel) {
    return wheel.teeth().orElseThrow().count();
  }

  static int count(Planetary set, MemberId member) {
    return set.wheels().stream()
        .filter(wheel -> wheel.id().equals(member))
        .findFirst()
        .flatMap(Member::teeth)
        .orElseThrow()
        .count();
  }

  /** Whether a set fits, assembles, and keeps its planets and tips clear. */
  static boolean goesTogether(Planetary set) {
    PlanetGeometry geometry = new PlanetGeometry(set);
    return geometry.stretch().orElse(0) == 0
        && geometry.virtualSun().orElse(1) > 0
        && (!set.paired() || geometry.pairMargin() >= 0)
        && geometry.assembles()
        && geometry.neighbourMargin() > 0
        && set.meshes().stream().allMatch(Recount::meshes);
  }

  private static boolean meshes(Mesh mesh) {
    PairGeometry pair = PairGeometry.of(mesh);
    return mesh.internal()
        ? pair.gear().count() > pair.pinion().count() && pair.trochoidMargin() >= 0
        : pair.interferenceMargin() >= 0;
  }
}
