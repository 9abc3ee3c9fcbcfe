package steadycog.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import steadycog.shape.PairGeometry;
import steadycog.shape.PlanetGeometry;
import steadycog.shape.PlanetPlaces;
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

  /** With the many wheels of two rows no more teeth in all are taken to be miscounted. */
  private static final int MISCOUNTED_IN_ALL = 3;

  /** Two rows are distorted by no more, in teeth; see {@link RowClosureRule}. */
  private static final int MOST_DISTORTION = 3;

  /** How many teeth away other counts are looked for. */
  private static final int REACH = 12;

  private static final List<Step> CLOSED_STEPS = steps(true);
  private static final List<Step> FREE_STEPS = steps(false);

  private Recount() {}

  /**
   * Every set within one or two teeth a wheel that goes together, fewest teeth changed first, then
   * those that change the ratio least.
   */
  static List<Planetary> near(Planetary set) {
    List<Planetary> found = new ArrayList<>();
    int inAll = set.stepped() ? MISCOUNTED_IN_ALL : Integer.MAX_VALUE;
    around(set, set.wheels(), 0, inAll, found);
    found.removeIf(other -> other.equals(set) || !goesTogether(other));
    return ranked(set, found);
  }

  /**
   * The set nearest to {@code set} that {@code wanted} holds for and that goes together. Where one
   * count follows from the others, R = S + 2 P, only such sets are tried; the search ends with the
   * nearest found. Cost: at most a few hundred sets.
   */
  static Optional<Planetary> nearest(Planetary set, Predicate<Planetary> wanted) {
    if (set.paired() || set.stepped()) {
      return near(set).stream().filter(wanted).findFirst();
    }
    boolean follows = new PlanetGeometry(set).stretch().isPresent();
    double basic = basic(set);
    int found = Integer.MAX_VALUE;
    double least = Double.POSITIVE_INFINITY;
    Planetary best = null;
    for (Step step : follows ? CLOSED_STEPS : FREE_STEPS) {
      if (step.change > found) {
        break;
      }
      Optional<Planetary> other = stepped(set, step, follows);
      if (other.filter(wanted).filter(Recount::goesTogether).isPresent()) {
        double moved = Math.abs(basic(other.get()) - basic);
        found = step.change;
        best = moved < least ? other.get() : best;
        least = Math.min(least, moved);
      }
    }
    return Optional.ofNullable(best);
  }

  /** Teeth more or fewer on the first two wheels of a set, and how many that changes in all. */
  private record Step(int first, int second, int change) {}

  /** Steps of the first two wheels, the smallest change first; the ring follows or stays. */
  private static List<Step> steps(boolean ringFollows) {
    List<Step> all = new ArrayList<>();
    for (int first = -REACH; first <= REACH; first++) {
      for (int second = -REACH; second <= REACH; second++) {
        int ring = ringFollows ? Math.abs(first + 2 * second) : 0;
        all.add(new Step(first, second, Math.abs(first) + Math.abs(second) + ring));
      }
    }
    all.sort(Comparator.comparingInt(Step::change));
    return List.copyOf(all);
  }

  private static Optional<Planetary> stepped(Planetary set, Step step, boolean follows) {
    Member one = set.wheels().get(0);
    Member two = set.wheels().get(1);
    int first = teeth(one) + step.first;
    int second = teeth(two) + step.second;
    if (!Teeth.isCount(first) || !Teeth.isCount(second)) {
      return Optional.empty();
    }
    Planetary changed =
        set.withTeeth(one.id(), Teeth.external(first)).withTeeth(two.id(), Teeth.external(second));
    return follows ? closed(changed) : Optional.of(changed);
  }

  private static Optional<Planetary> closed(Planetary set) {
    int ring = set.row().sun().orElseThrow().count() + 2 * set.row().inner().count();
    return Teeth.isCount(ring)
        ? Optional.of(set.withTeeth(set.ringId(0), Teeth.internal(ring)))
        : Optional.empty();
  }

  private static void around(
      Planetary set, List<Member> free, int next, int inAll, List<Planetary> found) {
    if (next == free.size()) {
      found.add(set);
      return;
    }
    Member wheel = free.get(next);
    Teeth teeth = wheel.teeth().orElseThrow();
    int reach = Math.min(MISCOUNT, inAll);
    for (int step = -reach; step <= reach; step++) {
      if (Teeth.isCount(teeth.count() + step)) {
        Teeth changed = new Teeth(teeth.count() + step, teeth.internal());
        Planetary other = step == 0 ? set : set.withTeeth(wheel.id(), changed);
        around(other, free, next + 1, inAll - Math.abs(step), found);
      }
    }
  }

  /** A set with what it is ranked by: teeth changed in all, and how far the ratio moves. */
  private record Ranked(Planetary set, int change, double moved) {}

  /** Sets by how little they differ from {@code set}; alike ones stay in their order. */
  private static List<Planetary> ranked(Planetary set, List<Planetary> others) {
    List<Member> own = set.wheels();
    double basic = basic(set);
    return others.stream()
        .map(
            other -> new Ranked(other, change(own, other.wheels()), Math.abs(basic(other) - basic)))
        .sorted(Comparator.comparingInt(Ranked::change).thenComparingDouble(Ranked::moved))
        .map(Ranked::set)
        .toList();
  }

  /**
   * What the ratios of the set depend on: outermost over innermost teeth, of two rows what one
   * turns against the other on a carrier at rest.
   */
  private static double basic(Planetary set) {
    double quotient = 1;
    for (int row = 0; row < set.rows().size(); row++) {
      List<Member> wheels = set.wheels(row);
      quotient = teeth(wheels.getLast()) / (teeth(wheels.getFirst()) * quotient);
    }
    return quotient;
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
    return trouble(set).isEmpty();
  }

  /** The code of the first rule that keeps a set from going together. */
  static Optional<String> trouble(Planetary set) {
    PlanetGeometry geometry = new PlanetGeometry(set);
    PlanetPlaces places = new PlanetPlaces(set);
    if (!fits(set, geometry)) {
      return Optional.of(set.stepped() ? "row-closure" : "pitch-fit");
    }
    if (!places.assembles()) {
      return Optional.of(places.identical() ? "assembly" : "indexing");
    }
    if (geometry.neighbourMargin() <= 0) {
      return Optional.of("neighbour");
    }
    for (Mesh mesh : set.meshes()) {
      if (!meshes(set, mesh)) {
        return Optional.of(mesh.internal() ? "internal-interference" : "interference");
      }
    }
    return Optional.empty();
  }

  /** Two rows are let off by a few teeth, but not both alike: that turns nothing. */
  private static boolean fits(Planetary set, PlanetGeometry geometry) {
    if (set.stepped()) {
      return new PlanetPlaces(set).index().orElse(0) != 0
          && geometry.distortion() <= MOST_DISTORTION
          && geometry.reaches();
    }
    return geometry.stretch().orElse(0) == 0
        && geometry.virtualSun(0).orElse(1) > 0
        && (!set.paired() || geometry.pairMargin() >= 0);
  }

  private static boolean meshes(Planetary set, Mesh mesh) {
    PairGeometry pair = PairGeometry.in(set, mesh);
    return mesh.internal()
        ? pair.gear().count() > pair.pinion().count() && pair.trochoidMargin() >= 0
        : pair.interferenceMargin() >= 0;
  }
}
