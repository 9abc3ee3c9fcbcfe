package steadycog.train;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Planets on a carrier between a sun, a ring, or both, in one row or two. With paired planets the
 * inner one meshes with the sun, the outer one with the ring, and both with each other. With two
 * rows every planet is one body with teeth in both, {@code planet} in the first and {@code planet2}
 * in the second; a sun or ring in both rows is two bodies, {@code sun1} and {@code sun2}, unless
 * they are tied: then the first keeps the bare name.
 *
 * @param rows one or two, the first at the drive end; with two no planets are paired
 * @param sunsTied whether the suns of both rows are one body; false unless there are two
 * @param ringsTied whether the rings of both rows are one body; false unless there are two
 * @param count how many planets (or pairs) the carrier holds, 1 to {@value #MOST_PLANETS}
 * @param spacing how they are made to go in
 */
public record Planetary(
    String name,
    List<PlanetRow> rows,
    boolean sunsTied,
    boolean ringsTied,
    int count,
    Spacing spacing)
    implements Part {
  public static final int MOST_PLANETS = 12;
  private static final String SUN = "sun";
  private static final String RING = "ring";
  private static final String PLANET = "planet";
  private static final String CARRIER = "carrier";

  /** How planets are made to go in between the central wheels. */
  public enum Spacing {
    /** All gaps and all planets alike. */
    EQUAL,
    /** Planets alike, each in the place next to equal spacing where its teeth fit. */
    UNEVEN,
    /** All gaps alike; the rows of every planet turned against each other as its place asks for. */
    CLOCKED
  }

  public Planetary {
    rows = List.copyOf(rows);
    if (rows.isEmpty() || rows.size() > 2) {
      throw new IllegalArgumentException("one row of planets or two");
    }
    if (rows.size() == 2 && rows.stream().anyMatch(PlanetRow::paired)) {
      throw new IllegalArgumentException("paired planets have one row");
    }
    if (rows.size() == 1 && spacing == Spacing.CLOCKED) {
      throw new IllegalArgumentException("planets of one row have nothing to be clocked against");
    }
    if (count < 1 || count > MOST_PLANETS) {
      throw new IllegalArgumentException("planets x" + count + ": expected x1 to x" + MOST_PLANETS);
    }
    sunsTied = sunsTied && rows.size() == 2 && rows.stream().allMatch(r -> r.sun().isPresent());
    ringsTied = ringsTied && rows.size() == 2 && rows.stream().allMatch(r -> r.ring().isPresent());
  }

  /** A set of sun, single planets and ring, evenly spaced. */
  public static Planetary of(String name, int sun, int planet, int count, int ring) {
    return oneRow(name, PlanetRow.of(sun, planet, ring), count, Spacing.EQUAL);
  }

  /** A set with one row. */
  public static Planetary oneRow(String name, PlanetRow row, int count, Spacing spacing) {
    return new Planetary(name, List.of(row), false, false, count, spacing);
  }

  /** A set with two rows of evenly spaced planets, its suns and rings bodies of their own. */
  public static Planetary twoRows(String name, PlanetRow first, PlanetRow second, int count) {
    return new Planetary(name, List.of(first, second), false, false, count, Spacing.EQUAL);
  }

  /** The row that every set has. */
  public PlanetRow row() {
    return rows.getFirst();
  }

  /** Whether there are two rows. */
  public boolean stepped() {
    return rows.size() == 2;
  }

  public boolean paired() {
    return row().paired();
  }

  /** Whether a second row of planets can be added. */
  public boolean takesRow() {
    return !stepped() && !paired();
  }

  /** The sun of a row; what it is called depends on the other row. */
  public MemberId sunId(int row) {
    boolean both = stepped() && rows.get(0).sun().isPresent() && rows.get(1).sun().isPresent();
    return central(SUN, row, both, sunsTied);
  }

  /** The ring of a row; what it is called depends on the other row. */
  public MemberId ringId(int row) {
    boolean both = stepped() && rows.get(0).ring().isPresent() && rows.get(1).ring().isPresent();
    return central(RING, row, both, ringsTied);
  }

  private MemberId central(String bare, int row, boolean both, boolean tied) {
    boolean plain = !both || (tied && row == 0);
    return new MemberId(name, plain ? bare : bare + (row + 1));
  }

  public MemberId carrierId() {
    return new MemberId(name, CARRIER);
  }

  /** The planet of a row, or its inner and outer one. */
  public List<MemberId> planetIds(int row) {
    if (paired()) {
      return List.of(new MemberId(name, "planet_inner"), new MemberId(name, "planet_outer"));
    }
    return List.of(new MemberId(name, row == 0 ? PLANET : PLANET + "2"));
  }

  /** The planets of all rows. */
  public List<MemberId> planetIds() {
    List<MemberId> all = new ArrayList<>();
    for (int row = 0; row < rows.size(); row++) {
      all.addAll(planetIds(row));
    }
    return all;
  }

  /** The rings of all rows. */
  public List<MemberId> ringIds() {
    List<MemberId> all = new ArrayList<>();
    for (int row = 0; row < rows.size(); row++) {
      if (rows.get(row).ring().isPresent()) {
        all.add(ringId(row));
      }
    }
    return all;
  }

  public boolean isPlanet(MemberId member) {
    return planetIds().contains(member);
  }

  /** The row in which a wheel lies; empty for the carrier and for members of other parts. */
  public OptionalInt rowOf(MemberId member) {
    Optional<WheelPlace> place = placeOf(member);
    return place.isPresent() ? OptionalInt.of(place.get().row()) : OptionalInt.empty();
  }

  @Override
  public int rowCount() {
    return rows.size();
  }

  @Override
  public int row(MemberId member) {
    return rowOf(member).orElse(0);
  }

  /** The wheels of a row in the order in which they mesh, from the sun outwards. */
  public List<Member> wheels(int row) {
    return members(places(row));
  }

  /** All wheels in the order of the card; of one row from the sun outwards. */
  public List<Member> wheels() {
    if (!stepped()) {
      return wheels(0);
    }
    List<WheelPlace> all = new ArrayList<>(places());
    all.sort(Comparator.comparing(WheelPlace::kind));
    return members(all);
  }

  private List<Member> members(List<WheelPlace> places) {
    List<Member> all = new ArrayList<>();
    places.forEach(place -> all.add(member(place)));
    return all;
  }

  /** Every wheel's place, row by row, each from the sun outwards. */
  List<WheelPlace> places() {
    List<WheelPlace> all = new ArrayList<>();
    for (int row = 0; row < rows.size(); row++) {
      all.addAll(places(row));
    }
    return all;
  }

  private List<WheelPlace> places(int row) {
    PlanetRow here = rows.get(row);
    List<WheelPlace> all = new ArrayList<>();
    if (here.sun().isPresent()) {
      all.add(new WheelPlace(row, WheelPlace.Kind.SUN, 0));
    }
    for (int k = 0; k < here.planets().size(); k++) {
      all.add(new WheelPlace(row, WheelPlace.Kind.PLANET, k));
    }
    if (here.ring().isPresent()) {
      all.add(new WheelPlace(row, WheelPlace.Kind.RING, 0));
    }
    return all;
  }

  MemberId idAt(WheelPlace place) {
    return switch (place.kind()) {
      case SUN -> sunId(place.row());
      case PLANET -> planetIds(place.row()).get(place.index());
      case RING -> ringId(place.row());
    };
  }

  private Member member(WheelPlace place) {
    PlanetRow row = rows.get(place.row());
    Teeth teeth =
        switch (place.kind()) {
          case SUN -> row.sun().orElseThrow();
          case PLANET -> row.planets().get(place.index());
          case RING -> row.ring().orElseThrow();
        };
    return new Member(idAt(place), Optional.of(teeth));
  }

  Optional<WheelPlace> placeOf(MemberId member) {
    if (member.part().equals(name)) {
      for (WheelPlace place : places()) {
        if (idAt(place).equals(member)) {
          return Optional.of(place);
        }
      }
    }
    return Optional.empty();
  }

  @Override
  public Planetary named(String changed) {
    return new Planetary(changed, rows, sunsTied, ringsTied, count, spacing);
  }

  @Override
  public List<Member> members() {
    List<Member> all = new ArrayList<>(wheels());
    all.add(new Member(carrierId(), Optional.empty()));
    return all;
  }

  @Override
  public List<Mesh> meshes() {
    List<Mesh> all = new ArrayList<>();
    for (int row = 0; row < rows.size(); row++) {
      all.addAll(meshes(row));
    }
    return all;
  }

  /** The meshes of a row, from the sun outwards. */
  public List<Mesh> meshes(int row) {
    List<Member> wheels = wheels(row);
    List<Mesh> all = new ArrayList<>();
    for (int k = 1; k < wheels.size(); k++) {
      Member a = wheels.get(k - 1);
      Member b = wheels.get(k);
      all.add(
          new Mesh(
              a.id(),
              a.teeth().orElseThrow(),
              b.id(),
              b.teeth().orElseThrow(),
              Optional.of(carrierId())));
    }
    return all;
  }

  @Override
  public List<Join> keyed() {
    if (!stepped()) {
      return List.of();
    }
    List<Join> all = new ArrayList<>();
    all.add(new Join(planetIds(0).getFirst(), planetIds(1).getFirst()));
    if (sunsTied) {
      all.add(new Join(sunId(0), sunId(1)));
    }
    if (ringsTied) {
      all.add(new Join(ringId(0), ringId(1)));
    }
    return all;
  }

  @Override
  public List<Join> inLine() {
    return wheels().stream()
        .map(Member::id)
        .filter(wheel -> !isPlanet(wheel))
        .map(wheel -> new Join(wheel, carrierId()))
        .toList();
  }

  /**
   * Every sun and ring that is a body of its own, and the carrier; a planet if there is but one.
   */
  @Override
  public List<MemberId> shafts() {
    List<MemberId> all = new ArrayList<>();
    for (Member wheel : wheels()) {
      if (!isPlanet(wheel.id()) && body(wheel.id()).equals(wheel.id())) {
        all.add(wheel.id());
      }
    }
    if (all.size() == 1) {
      boolean ringOnly = row().sun().isEmpty();
      all.add(ringOnly ? 0 : 1, ringOnly ? planetIds().getFirst() : planetIds(0).getLast());
    }
    all.add(carrierId());
    return all;
  }

  @Override
  public MemberId body(MemberId wheel) {
    return keyed().stream()
        .filter(join -> join.b().equals(wheel))
        .map(Join::a)
        .findFirst()
        .orElse(wheel);
  }

  @Override
  public int copies(MemberId member) {
    return isPlanet(member) ? count : 1;
  }

  @Override
  public boolean involute() {
    return true;
  }

  /** Planets, and in one row the sun: all others follow, so that the set closes. */
  @Override
  public boolean takesShift(MemberId wheel) {
    return !paired() && (isPlanet(wheel) || (!stepped() && wheel.equals(sunId(0))));
  }

  /** The carrier's radius; paired planets have to fit between each other. */
  @Override
  public boolean takesHelix() {
    return true;
  }

  @Override
  public boolean takesDistance() {
    return !paired();
  }

  @Override
  public String noShift() {
    return paired()
        ? "paired planets run without shift"
        : "in a set it follows from the shift of the planets" + (stepped() ? "" : " and the sun");
  }

  @Override
  public Planetary withTeeth(MemberId member, Teeth teeth) {
    WheelPlace place =
        placeOf(member).orElseThrow(() -> new IllegalArgumentException(member + " has no teeth"));
    List<PlanetRow> changed = new ArrayList<>(rows);
    changed.set(place.row(), rows.get(place.row()).with(place, teeth));
    return withRows(changed);
  }

  /** The same set with another number of planets. */
  public Planetary withCount(int changed) {
    return new Planetary(name, rows, sunsTied, ringsTied, changed, spacing);
  }

  public Planetary spaced(Spacing changed) {
    return new Planetary(name, rows, sunsTied, ringsTied, count, changed);
  }

  /** The same set with other wheels in its rows, or with another number of rows. */
  public Planetary withRows(List<PlanetRow> changed) {
    Spacing kept = changed.size() == 1 && spacing == Spacing.CLOCKED ? Spacing.EQUAL : spacing;
    return new Planetary(name, changed, sunsTied, ringsTied, count, kept);
  }
}
