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

  private Recount() {}

  /**
   * Every set within one or two teeth a wheel that goes together, fewest teeth changed first, then
   * those that change the ratio least.
   */
  static List<Planetary> near(Planetary set) {
    List<Planetary> found = new ArrayList<>();
    around(set, set.wheels(), 0, MISCOUNT, found);
    found.removeIf(other -> other.equals(set) || !goesTogether(other));
    found.sort(byChange(set));
    return found;
  }

  /**
   * The set nearest to {@code set} that {@code wanted} and {@code fits}. Where one count follows
   * from the others, R = S + 2 P, only those are tried.
   */
  static Optional<Planetary> nearest(
      Planetary set, int reach, Predicate<Planetary> wanted, Predicate<Planetary> fits) {
    List<Planetary> found = new ArrayList<>();
    boolean follows = new PlanetGeometry(set).stretch().isPresent();
    List<Member> free = follows ? set.wheels().subList(0, 2) : set.wheels();
    if (free.size() > 2) {
      return near(set).stream().filter(wanted).findFirst();
    }
    around(set, free, 0, reach, found);
    return found.stream()
        .map(other -> follows ? closed(other) : other)
        .filter(wanted)
        .filter(fits)
        .min(byChange(set));
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

  private static Comparator<Planetary> byChange(Planetary set) {
    return Comparator.comparingInt((Planetary other) -> change(set, other))
        .thenComparingDouble(other -> Math.abs(basic(other) - basic(set)))
        .thenComparingInt(other -> changedWheels(set, other))
        .thenComparing(PlanetaryWords::counts);
  }

  /** Outermost over innermost teeth: what the ratios of the set depend on. */
  private static double basic(Planetary set) {
    double first = set.wheels().getFirst().teeth().orElseThrow().count();
    return set.wheels().getLast().teeth().orElseThrow().count() / first;
  }

  private static int change(Planetary one, Planetary other) {
    int sum = 0;
    for (Member wheel : one.wheels()) {
      sum += Math.abs(count(one, wheel.id()) - count(other, wheel.id()));
    }
    return sum;
  }

  private static int changedWheels(Planetary one, Planetary other) {
    return (int)
        one.wheels().stream()
            .filter(wheel -> count(one, wheel.id()) != count(other, wheel.id()))
            .count();
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
