package steadycog.search;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Checks;
import steadycog.cure.Shifts;
import steadycog.number.Exact;
import steadycog.number.Once;
import steadycog.shape.PlanetGeometry;
import steadycog.shape.PlanetPlaces;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;
import steadycog.train.Rack;
import steadycog.train.Sizes;
import steadycog.train.Train;

/**
 * How the wheels of a set go together: as many planets as go in evenly, else as many as go in
 * unevenly, with the least shifts that leave nothing to ask for, else the least with which the
 * teeth run at all.
 *
 * @param ways the better ones first
 * @param trouble the rule that keeps them from it, where there is no way
 */
record SetFit(List<Way> ways, String trouble) {
  /** Tenths of a module from -0.5 to 0.8. */
  private static final List<Shift> TENTHS =
      IntStream.rangeClosed(-5, 8).mapToObj(k -> Shift.of(Exact.of(k, 10))).toList();

  /** So little undercut is left as it is, in modules. */
  private static final BigFraction HARMLESS = Exact.of(1, 100);

  /** Where teeth run without any, no more shifts than these are tried for cleaner ones. */
  private static final int MOST_FOR_CLEAN = 60;

  /** Planets that overlap by more are not shifted clear of each other, in modules. */
  private static final double BEYOND_SHIFT = -3;

  /**
   * A number and spacing of planets, and the shifts that go with them.
   *
   * @param shifts of wheels other than 0, in modules
   * @param modules of the rows; empty where they are one
   */
  record Way(Planetary set, Map<MemberId, BigFraction> shifts, Optional<RowModules> modules) {
    /** The same in a set of another name. */
    Way named(String name) {
      Map<MemberId, BigFraction> renamed = new LinkedHashMap<>();
      shifts.forEach((wheel, x) -> renamed.put(new MemberId(name, wheel.name()), x));
      return new Way(set.named(name), renamed, modules);
    }

    /** {@code train} with the modules and shifts of this set. */
    Train sizing(Train train) {
      Train sized = modules.map(rows -> rows.sizing(train, set)).orElse(train);
      return sized.withSizes(shifted(sized.sizes(), shifts));
    }

    /** This set alone, so sized. */
    Train alone() {
      return sizing(Train.of(List.of(set)));
    }
  }

  /** Sizes with shifts stated as well. */
  static Sizes shifted(Sizes sizes, Map<MemberId, BigFraction> shifts) {
    Sizes all = sizes;
    for (Map.Entry<MemberId, BigFraction> shift : shifts.entrySet()) {
      all =
          all.with(
              shift.getKey(), all.own(shift.getKey()).withShift(Optional.of(shift.getValue())));
    }
    return all;
  }

  /**
   * The ways in which the wheels of {@code set} go together.
   *
   * @param planets how many there may be
   * @param set in whatever number and spacing
   * @param modules of its rows; empty where they are one
   */
  static SetFit of(Range planets, Planetary set, Optional<RowModules> modules) {
    List<Planetary> all = new ArrayList<>();
    String trouble = assembling(planets, set, all);
    all.removeIf(many -> neighbourMargin(new Way(many, Map.of(), modules)) <= BEYOND_SHIFT);
    if (all.isEmpty()) {
      return new SetFit(List.of(), trouble);
    }
    Planetary one = set.withCount(1).spaced(Spacing.EQUAL);
    Train plain = new Way(one, Map.of(), modules).alone();
    List<Map<MemberId, BigFraction>> shifts = shifts(plain, one);
    if (shifts.isEmpty()) {
      return new SetFit(List.of(), Checks.trouble(plain, one).orElseThrow());
    }
    Once<List<Map<MemberId, BigFraction>>> every = Once.of(() -> everyShift(plain, one));
    List<Way> ways = new ArrayList<>();
    for (Planetary many : all) {
      clear(many, shifts, modules).or(() -> clear(many, every.get(), modules)).ifPresent(ways::add);
    }
    return new SetFit(ways, ways.isEmpty() ? trouble : "");
  }

  /**
   * Lists the numbers and places in which planets go in, the better ones first.
   *
   * @return what keeps the others, or all, from it
   */
  private static String assembling(Range planets, Planetary set, List<Planetary> all) {
    String trouble = "assembly";
    for (Spacing spacing : List.of(Spacing.EQUAL, Spacing.UNEVEN)) {
      for (int n = planets.to(); n >= planets.from(); n--) {
        Planetary many = set.withCount(n).spaced(spacing);
        boolean even =
            spacing == Spacing.UNEVEN && new PlanetPlaces(many.spaced(Spacing.EQUAL)).assembles();
        PlanetPlaces places = new PlanetPlaces(many);
        if (!even && places.assembles()) {
          all.add(many);
          trouble = "neighbour";
        } else {
          trouble = stuck(many, places, trouble);
        }
      }
    }
    return trouble;
  }

  private static String stuck(Planetary set, PlanetPlaces places, String before) {
    boolean rowsGoIn = set.stepped() && places.assembles(0) && places.assembles(1);
    return before.equals("assembly") && rowsGoIn ? "indexing" : before;
  }

  /** With the first shifts that keep planets clear of each other. */
  private static Optional<Way> clear(
      Planetary set, List<Map<MemberId, BigFraction>> shifts, Optional<RowModules> modules) {
    for (Map<MemberId, BigFraction> shift : shifts) {
      Way way = new Way(set, shift, modules);
      if (neighbourMargin(way) > 0) {
        return Optional.of(way);
      }
    }
    return Optional.empty();
  }

  private static double neighbourMargin(Way way) {
    return PlanetGeometry.of(way.alone(), way.set()).neighbourMargin();
  }

  /**
   * The least shifts that leave nothing to ask for, then the least with which the teeth run; only
   * none where that is clean.
   */
  private static List<Map<MemberId, BigFraction>> shifts(Train plain, Planetary set) {
    Optional<String> trouble = Checks.trouble(plain, set);
    if (trouble.isEmpty() && Checks.isClean(plain, set)) {
      return List.of(Map.of());
    }
    List<Map<MemberId, BigFraction>> found = new ArrayList<>();
    if (trouble.isEmpty()) {
      found.add(Map.of());
    }
    if (set.paired() || (set.stepped() && trouble.filter("row-closure"::equals).isPresent())) {
      return found;
    }
    List<Map<MemberId, BigFraction>> all = worthTrying(set);
    int most = found.isEmpty() ? all.size() : Math.min(MOST_FOR_CLEAN, all.size());
    for (Map<MemberId, BigFraction> shift : all.subList(0, most)) {
      Train shifted = plain.withSizes(shifted(plain.sizes(), shift));
      boolean wanting = found.isEmpty();
      if (Checks.trouble(shifted, set).isEmpty()) {
        if (Checks.isClean(shifted, set)) {
          found.addFirst(shift);
          return found;
        }
        if (wanting) {
          found.add(shift);
        }
      }
    }
    return found;
  }

  /** All shifts with which the teeth run, those that leave nothing to ask for first. */
  private static List<Map<MemberId, BigFraction>> everyShift(Train plain, Planetary set) {
    List<Map<MemberId, BigFraction>> clean = new ArrayList<>();
    List<Map<MemberId, BigFraction>> running = new ArrayList<>();
    for (Map<MemberId, BigFraction> shift :
        set.paired() ? List.<Map<MemberId, BigFraction>>of() : worthTrying(set)) {
      Train shifted = plain.withSizes(shifted(plain.sizes(), shift));
      if (Checks.trouble(shifted, set).isEmpty()) {
        (Checks.isClean(shifted, set) ? clean : running).add(shift);
      }
    }
    clean.addAll(running);
    return clean;
  }

  /** Shifts of the two wheels that decide the others, the least together first. */
  private static List<Map<MemberId, BigFraction>> worthTrying(Planetary set) {
    MemberId first = set.stepped() ? set.planetIds(0).getFirst() : set.sunId(0);
    MemberId second = set.stepped() ? set.planetIds(1).getFirst() : set.planetIds(0).getFirst();
    int one = (set.stepped() ? set.row().inner() : set.row().sun().orElseThrow()).count();
    int two = set.rows().getLast().inner().count();
    boolean alike = set.stepped() && one == two;
    List<Both> pairs = new ArrayList<>();
    for (Shift x : values(one)) {
      for (Shift y : alike ? List.of(x) : values(two)) {
        pairs.add(new Both(x, y, Math.abs(x.size) + Math.abs(y.size) - x.size / 1e6));
      }
    }
    pairs.sort(Comparator.comparingDouble(Both::together));
    List<Map<MemberId, BigFraction>> all = new ArrayList<>();
    for (Both pair : pairs) {
      Map<MemberId, BigFraction> shift = new LinkedHashMap<>();
      put(shift, first, pair.x.exact);
      put(shift, second, pair.y.exact);
      if (!shift.isEmpty()) {
        all.add(shift);
      }
    }
    return all;
  }

  /** A profile shift in modules. */
  private record Shift(BigFraction exact, double size) {
    static Shift of(BigFraction exact) {
      return new Shift(exact, exact.doubleValue());
    }
  }

  /** Shifts of two wheels; of equal sums that which favours the first one comes first. */
  private record Both(Shift x, Shift y, double together) {}

  private static void put(Map<MemberId, BigFraction> shift, MemberId wheel, BigFraction x) {
    if (x.signum() != 0) {
      shift.put(wheel, x);
    }
  }

  private static Collection<Shift> values(int count) {
    List<Shift> all = new ArrayList<>(TENTHS);
    againstUndercut(count).map(Shift::of).filter(x -> !TENTHS.contains(x)).ifPresent(all::add);
    return all;
  }

  /** The least shift that leaves the flanks of a wheel whole; none to speak of is none. */
  static Optional<BigFraction> againstUndercut(double count) {
    return Shifts.againstUndercut(Rack.USUAL, count).filter(x -> Exact.compare(x, HARMLESS) > 0);
  }
}
