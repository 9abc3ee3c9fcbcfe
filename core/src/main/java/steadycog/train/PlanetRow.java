package steadycog.train;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * The wheels of one plane.
 *
 * @param sun external teeth; empty where there is none
 * @param planets the planet, or inner and outer planet, external
 * @param ring internal teeth; empty where there is none, but only if there is a sun
 */
public record PlanetRow(Optional<Teeth> sun, List<Teeth> planets, Optional<Teeth> ring) {
  public PlanetRow {
    planets = planets.stream().map(teeth -> Teeth.external(teeth.count())).toList();
    if (sun.isEmpty() && ring.isEmpty()) {
      throw new IllegalArgumentException("a planetary set needs a sun or a ring in every row");
    }
    if (planets.isEmpty() || planets.size() > 2) {
      throw new IllegalArgumentException("one planet, or an inner and an outer one");
    }
    sun = sun.map(teeth -> Teeth.external(teeth.count()));
    ring = ring.map(teeth -> Teeth.internal(teeth.count()));
  }

  /** A row of single planets; a count of 0 leaves the sun or the ring out. */
  public static PlanetRow of(int sun, int planet, int ring) {
    return new PlanetRow(
        sun == 0 ? Optional.empty() : Optional.of(Teeth.external(sun)),
        List.of(Teeth.external(planet)),
        ring == 0 ? Optional.empty() : Optional.of(Teeth.internal(ring)));
  }

  /** Whether an inner and an outer planet run between sun and ring. */
  public boolean paired() {
    return planets.size() == 2;
  }

  /** The planet, or the one that meshes with the sun. */
  public Teeth inner() {
    return planets.getFirst();
  }

  /** The planet, or the one that meshes with the ring. */
  public Teeth outer() {
    return planets.getLast();
  }

  /** The sun that the ring would leave room for: R - 2 P. Empty without a ring, and for pairs. */
  public OptionalInt virtualSun() {
    return ring.isPresent() && !paired()
        ? OptionalInt.of(ring.get().count() - 2 * inner().count())
        : OptionalInt.empty();
  }

  /** The same row without its sun or its ring; empty where the planets would have no other. */
  Optional<PlanetRow> without(WheelPlace.Kind gone) {
    Optional<Teeth> left = gone == WheelPlace.Kind.SUN ? ring : sun;
    return left.map(
        other ->
            gone == WheelPlace.Kind.SUN
                ? new PlanetRow(Optional.empty(), planets, ring)
                : new PlanetRow(sun, planets, Optional.empty()));
  }

  /** The same row with other teeth at a place of it. */
  PlanetRow with(WheelPlace place, Teeth teeth) {
    List<Teeth> changed = new ArrayList<>(planets);
    switch (place.kind()) {
      case PLANET -> changed.set(place.index(), teeth);
      case SUN -> {
        return new PlanetRow(Optional.of(teeth), planets, ring);
      }
      case RING -> {
        return new PlanetRow(sun, planets, Optional.of(teeth));
      }
    }
    return new PlanetRow(sun, changed, ring);
  }
}
