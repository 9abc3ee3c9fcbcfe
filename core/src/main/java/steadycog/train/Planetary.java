package steadycog.train;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Planets on a carrier between a sun, a ring, or both. With paired planets the inner one meshes
 * with the sun, the outer one with the ring, and both with each other.
 *
 * @param sun external teeth; empty where there is none
 * @param planets the planet, or inner and outer planet, external
 * @param count how many planets (or pairs) the carrier holds, 1 to {@value #MOST_PLANETS}
 * @param spacing where they stand on the carrier
 * @param ring internal teeth; empty where there is none, but only if there is a sun
 */
public record Planetary(
    String name,
    Optional<Teeth> sun,
    List<Teeth> planets,
    int count,
    Spacing spacing,
    Optional<Teeth> ring)
    implements Part {
  public static final int MOST_PLANETS = 12;
  private static final String SUN = "sun";
  private static final String RING = "ring";
  private static final String CARRIER = "carrier";

  /** Where planets stand on the carrier. */
  public enum Spacing {
    /** All gaps alike. */
    EQUAL,
    /** Each in the place next to equal spacing where its teeth fit. */
    UNEVEN
  }

  public Planetary {
    planets = List.copyOf(planets);
    if (sun.isEmpty() && ring.isEmpty()) {
      throw new IllegalArgumentException("a planetary set needs a sun or a ring");
    }
    if (planets.isEmpty() || planets.size() > 2) {
      throw new IllegalArgumentException("one planet, or an inner and an outer one");
    }
    if (count < 1 || count > MOST_PLANETS) {
      throw new IllegalArgumentException("planets x" + count + ": expected x1 to x" + MOST_PLANETS);
    }
    sun = sun.map(teeth -> Teeth.external(teeth.count()));
    planets = planets.stream().map(teeth -> Teeth.external(teeth.count())).toList();
    ring = ring.map(teeth -> Teeth.internal(teeth.count()));
  }

  /** A set of sun, single planets and ring, evenly spaced. */
  public static Planetary of(String name, int sun, int planet, int count, int ring) {
    return new Planetary(
        name,
        Optional.of(Teeth.external(sun)),
        List.of(Teeth.external(planet)),
        count,
        Spacing.EQUAL,
        Optional.of(Teeth.internal(ring)));
  }

  /** Whether an inner and an outer planet run between sun and ring. */
  public boolean paired() {
    return planets.size() == 2;
  }

  public MemberId sunId() {
    return new MemberId(name, SUN);
  }

  public MemberId ringId() {
    return new MemberId(name, RING);
  }

  public MemberId carrierId() {
    return new MemberId(name, CARRIER);
  }

  /** The planet, or the inner and the outer one. */
  public List<MemberId> planetIds() {
    return paired()
        ? List.of(new MemberId(name, "planet_inner"), new MemberId(name, "planet_outer"))
        : List.of(new MemberId(name, "planet"));
  }

  public boolean isPlanet(MemberId member) {
    return planetIds().contains(member);
  }

  /** The wheels in the order in which they mesh, from the sun outwards. */
  public List<Member> wheels() {
    List<Member> all = new ArrayList<>();
    sun.ifPresent(teeth -> all.add(new Member(sunId(), Optional.of(teeth))));
    for (int k = 0; k < planets.size(); k++) {
      all.add(new Member(planetIds().get(k), Optional.of(planets.get(k))));
    }
    ring.ifPresent(teeth -> all.add(new Member(ringId(), Optional.of(teeth))));
    return all;
  }

  @Override
  public List<Member> members() {
    List<Member> all = wheels();
    all.add(new Member(carrierId(), Optional.empty()));
    return all;
  }

  @Override
  public List<Mesh> meshes() {
    List<Member> wheels = wheels();
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
  public List<Join> inLine() {
    List<Join> all = new ArrayList<>();
    sun.ifPresent(teeth -> all.add(new Join(sunId(), carrierId())));
    ring.ifPresent(teeth -> all.add(new Join(ringId(), carrierId())));
    return all;
  }

  /**
   * Sun, ring and carrier; where one of the first two is missing, the last planet takes its place.
   */
  @Override
  public List<MemberId> shafts() {
    List<MemberId> wheels = wheels().stream().map(Member::id).toList();
    return List.of(wheels.getFirst(), wheels.getLast(), carrierId());
  }

  @Override
  public int copies(MemberId member) {
    return isPlanet(member) ? count : 1;
  }

  @Override
  public boolean involute() {
    return true;
  }

  @Override
  public Planetary withTeeth(MemberId member, Teeth teeth) {
    if (member.equals(sunId())) {
      return new Planetary(name, sun.map(old -> teeth), planets, count, spacing, ring);
    }
    if (member.equals(ringId())) {
      return new Planetary(name, sun, planets, count, spacing, ring.map(old -> teeth));
    }
    int at = planetIds().indexOf(member);
    if (at < 0) {
      throw new IllegalArgumentException(member + " has no teeth");
    }
    List<Teeth> changed = new ArrayList<>(planets);
    changed.set(at, teeth);
    return new Planetary(name, sun, changed, count, spacing, ring);
  }

  /** The same set with another number of planets. */
  public Planetary withCount(int changed) {
    return new Planetary(name, sun, planets, changed, spacing, ring);
  }

  public Planetary spaced(Spacing changed) {
    return new Planetary(name, sun, planets, count, changed, ring);
  }

  /** The same set without its sun or its ring; empty where {@code member} cannot be spared. */
  public Optional<Planetary> without(MemberId member) {
    if (member.equals(sunId()) && ring.isPresent()) {
      return Optional.of(new Planetary(name, Optional.empty(), planets, count, spacing, ring));
    }
    if (member.equals(ringId()) && sun.isPresent()) {
      return Optional.of(new Planetary(name, sun, planets, count, spacing, Optional.empty()));
    }
    return Optional.empty();
  }
}
