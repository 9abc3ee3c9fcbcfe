package steadycog.cure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.shape.PlanetGeometry;
import steadycog.sizing.Identify;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Pitch;
import steadycog.train.PlanetRow;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;
import steadycog.train.Sizes;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** Changes of a planetary set: number and spacing of its planets, shifts, distance, counts. */
final class SetChanges {
  /** Modules that differ by less are one, mm. */
  private static final double SAME = 1e-9;

  /** Sooner the second row is changed than the first, by so much of a shift. */
  private static final double FIRST_ROW = 0.1;

  /** Standard modules within this share of one that closes a row are tried. */
  private static final double NEAR_MODULE = 0.08;

  /** A miscount is seldom larger, in teeth a wheel. */
  private static final int MISCOUNT = 2;

  /** With the many wheels of two rows or of pairs no more teeth are changed in all. */
  private static final int IN_ALL = 4;

  /** How many teeth away sets that close are looked for. */
  private static final int REACH = 12;

  private static final double STEP_MM = 0.05;
  private static final int DISTANCES = 8;

  private final Train train;
  private final Planetary set;

  SetChanges(Train train, Planetary set) {
    this.train = train;
    this.set = set;
  }

  private List<Change> changed(Set<Planetary> others) {
    return others.stream().map(other -> Change.set(train, set, other)).toList();
  }

  /** Other numbers and other spacings of the same planets. */
  List<Change> planets() {
    Set<Planetary> all = new LinkedHashSet<>();
    for (Spacing spacing : Spacing.values()) {
      if (set.stepped() || spacing != Spacing.CLOCKED) {
        all.add(set.spaced(spacing));
      }
    }
    for (int n = 1; n <= Planetary.MOST_PLANETS; n++) {
      all.add(set.withCount(n));
      all.add(set.withCount(n).spaced(Spacing.EQUAL));
    }
    all.remove(set);
    return changed(all);
  }

  /** Every count within a miscount or two, and whatever closes further away. */
  List<Change> counts() {
    Set<Planetary> all = new LinkedHashSet<>();
    boolean few = set.wheels().size() <= 3;
    around(set, set.wheels(), 0, few ? 3 * MISCOUNT : IN_ALL, all);
    if (set.stepped()) {
      moving(all);
    } else if (few && set.wheels().size() == 3) {
      closing(all);
    }
    all.remove(set);
    return changed(all);
  }

  private static void around(
      Planetary set, List<Member> free, int next, int inAll, Set<Planetary> all) {
    if (next == free.size()) {
      all.add(set);
      return;
    }
    Member wheel = free.get(next);
    int reach = Math.min(MISCOUNT, inAll);
    for (int step = -reach; step <= reach; step++) {
      Optional<Planetary> other = stepped(set, wheel, step);
      int left = inAll - Math.abs(step);
      other.ifPresent(o -> around(o, free, next + 1, left, all));
    }
  }

  private static Optional<Planetary> stepped(Planetary set, Member wheel, int step) {
    Teeth teeth = wheel.teeth().orElseThrow();
    int count = teeth.count() + step;
    return step == 0
        ? Optional.of(set)
        : Teeth.isCount(count)
            ? Optional.of(set.withTeeth(wheel.id(), new Teeth(count, teeth.internal())))
            : Optional.empty();
  }

  /** Sets of one row with R = S + 2 P. */
  private void closing(Set<Planetary> all) {
    Member sun = set.wheels().get(0);
    Member planet = set.wheels().get(1);
    for (int s = -REACH; s <= REACH; s++) {
      for (int p = -REACH; p <= REACH; p++) {
        int move = p;
        stepped(set, sun, s)
            .flatMap(other -> stepped(other, planet, move))
            .flatMap(SetChanges::closed)
            .ifPresent(all::add);
      }
    }
  }

  /**
   * Sets of two rows whose suns and planets are changed and whose rings go along, so that every
   * pair is stretched as much as before, or not at all.
   */
  private void moving(Set<Planetary> all) {
    for (int s = -MISCOUNT; s <= MISCOUNT; s++) {
      for (int one = -MISCOUNT; one <= MISCOUNT; one++) {
        for (int two = -MISCOUNT; two <= MISCOUNT; two++) {
          moved(s, one, two, true).ifPresent(all::add);
          moved(s, one, two, false).ifPresent(all::add);
        }
      }
    }
  }

  private Optional<Planetary> moved(int sun, int one, int two, boolean stretched) {
    int[] planets = {one, two};
    PlanetGeometry geometry = new PlanetGeometry(set);
    int shared = sun + (set.row().sun().isPresent() ? one : two);
    List<PlanetRow> rows = new ArrayList<>();
    for (int k = 0; k < set.rows().size(); k++) {
      PlanetRow row = set.rows().get(k);
      int planet = row.inner().count() + planets[k];
      int own = row.sun().map(teeth -> teeth.count() + shared - planets[rows.size()]).orElse(0);
      int ring =
          row.ring().isEmpty()
              ? 0
              : row.ring().get().count()
                  + shared
                  + planets[k]
                  - (stretched ? 0 : geometry.stretch(set.meshes(k).getLast()));
      boolean can =
          Teeth.isCount(planet)
              && row.sun().isPresent() == Teeth.isCount(own)
              && row.ring().isPresent() == Teeth.isCount(ring);
      if (!can) {
        return Optional.empty();
      }
      rows.add(PlanetRow.of(own, planet, ring));
    }
    return Optional.of(set.withRows(rows));
  }

  private static Optional<Planetary> closed(Planetary other) {
    int ring = other.row().sun().orElseThrow().count() + 2 * other.row().inner().count();
    return Teeth.isCount(ring)
        ? Optional.of(other.withTeeth(other.ringId(0), Teeth.internal(ring)))
        : Optional.empty();
  }

  /** Shifts of the wheels that take one; of two rows at several distances as well. */
  List<Change> shifts() {
    List<MemberId> free = set.wheels().stream().map(Member::id).filter(set::takesShift).toList();
    if (free.isEmpty()) {
      return List.of();
    }
    List<Change> bases = new ArrayList<>(List.of(new Change("", train, 0, 0)));
    if (set.stepped()) {
      bases.addAll(distances());
    }
    List<Change> all = new ArrayList<>();
    for (Change base : bases) {
      if (!base.isEmpty()) {
        all.add(base);
      }
      for (Map<MemberId, BigFraction> shifts : combined(free)) {
        Change shifted = Change.shifts(base.train(), shifts);
        if (!shifted.isEmpty()) {
          all.add(base.and(shifted));
        }
      }
    }
    if (set.stepped()) {
      all.addAll(modules());
    }
    return all;
  }

  /** Planets cut in one piece with like rows are shifted alike. */
  private List<Map<MemberId, BigFraction>> combined(List<MemberId> free) {
    List<Map<MemberId, BigFraction>> all = new ArrayList<>();
    MemberId first = free.getFirst();
    MemberId last = free.getLast();
    boolean alike = set.stepped() && set.rows().get(0).inner().equals(set.rows().get(1).inner());
    for (BigFraction x : Shifts.worthTrying(train, first)) {
      if (alike || free.size() == 1) {
        all.add(both(first, x, last, x));
      } else {
        for (BigFraction y : Shifts.worthTrying(train, last)) {
          all.add(both(first, x, last, y));
        }
      }
    }
    return all;
  }

  private static Map<MemberId, BigFraction> both(
      MemberId one, BigFraction x, MemberId other, BigFraction y) {
    Map<MemberId, BigFraction> both = new LinkedHashMap<>();
    both.put(one, x);
    both.put(other, y);
    return both;
  }

  /**
   * A row in a module of its own: the one at which it closes with the other without shift, where
   * that has no more than two figures behind the point, and the standard ones next to it.
   */
  private List<Change> modules() {
    List<Change> all = new ArrayList<>();
    Train sized =
        train.isSized() ? train : train.sized(new Pitch.Module(Quantity.of("1", Unit.MM)));
    for (int row = 0; row < set.rows().size(); row++) {
      MemberId own = set.planetIds(row).getFirst();
      MemberId other = set.planetIds(1 - row).getFirst();
      double span = set.meshes(row).getFirst().span();
      double closing = set.meshes(1 - row).getFirst().span() * sized.moduleMm(other) / span;
      if (!(closing > 0)) {
        continue;
      }
      Set<Quantity> sizes = new LinkedHashSet<>();
      if (Math.abs(closing - mm(closing).inBase()) < SAME) {
        sizes.add(mm(closing));
      }
      Identify.MODULES.stream()
          .map(module -> Quantity.of(module, Unit.MM))
          .filter(module -> Math.abs(module.inBase() / closing - 1) < NEAR_MODULE)
          .forEach(sizes::add);
      for (Quantity size : sizes) {
        all.add(
            new Change(
                (train.isSized() ? "" : "module 1 mm, ") + "module " + own + " " + size,
                sized.withPitch(own, Optional.of(new Pitch.Module(size))),
                0,
                2 + FIRST_ROW * (1 - row) + Math.abs(size.inBase() - closing)));
      }
    }
    return all;
  }

  /** The planets' axes further out or in, from where the widest pair can just run. */
  private List<Change> distances() {
    PlanetGeometry geometry = PlanetGeometry.of(train, set);
    Train sized =
        train.pitch().isPresent()
            ? train
            : train.sized(new Pitch.Module(Quantity.of("1", Unit.MM)));
    double module = sized.pitch().orElseThrow().moduleMm().doubleValue();
    MemberId wheel = set.meshes().getFirst().a();
    MemberId planet = set.meshes().getFirst().b();
    List<Change> all = new ArrayList<>();
    double from =
        Math.ceil(geometry.leastDistance(PlanetGeometry.FLATTEST_WORKING) * module / STEP_MM)
            * STEP_MM;
    double step = Math.max(STEP_MM, Math.round(0.05 * module / STEP_MM) * STEP_MM);
    for (int k = 0; k < DISTANCES; k++) {
      Quantity length = mm(from + k * step);
      Sizes sizes =
          sized.sizes().withDistance(set.body(wheel), set.body(planet), Optional.of(length));
      all.add(
          new Change(
              (train.pitch().isPresent() ? "" : "module 1 mm, ")
                  + "distance "
                  + wheel
                  + "-"
                  + planet
                  + " "
                  + length,
              sized.withSizes(sizes),
              0,
              3 + k / 10.0));
    }
    return all;
  }

  private static Quantity mm(double length) {
    BigDecimal rounded = BigDecimal.valueOf(length).setScale(2, RoundingMode.HALF_EVEN);
    return new Quantity(Exact.parse(rounded.stripTrailingZeros().toPlainString()), Unit.MM);
  }
}
