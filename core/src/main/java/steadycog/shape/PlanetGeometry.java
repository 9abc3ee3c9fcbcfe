package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Teeth;

/**
 * Where the planets of a set stand, in modules and turns about the carrier's axis, and what the
 * ring must do to reach them. Planets run at the standard centre distance from the sun (with no sun
 * from the ring); a ring of other than S + 2 P teeth is cut with a profile shift that brings it to
 * them where there is one (Müller, <i>Epicyclic Drive Trains</i>; ISO 21771 for the shift).
 */
public record PlanetGeometry(Planetary part) {
  private static final double ANGLE = BasicRack.ISO_53_A.pressureAngle();

  /** A point about the carrier's axis: radius in modules, angle in radians from the right. */
  public record Polar(double radius, double angle) {
    double x() {
      return radius * Math.cos(angle);
    }

    double y() {
      return radius * Math.sin(angle);
    }
  }

  private int planet(int index) {
    return part.planets().get(index).count();
  }

  private static int count(Optional<Teeth> teeth) {
    return teeth.orElseThrow().count();
  }

  private boolean between() {
    return part.sun().isPresent() && part.ring().isPresent();
  }

  /**
   * By how many teeth the ring differs from S + 2 P: positive, the ring is too large. Empty for
   * paired planets, which reach any ring in reach, and where sun or ring is missing.
   */
  public OptionalInt stretch() {
    return between() && !part.paired()
        ? OptionalInt.of(count(part.ring()) - count(part.sun()) - 2 * planet(0))
        : OptionalInt.empty();
  }

  /** The ring's teeth less twice the planet's: the sun that would fit. Empty for paired planets. */
  public OptionalInt virtualSun() {
    return part.ring().isPresent() && !part.paired()
        ? OptionalInt.of(count(part.ring()) - 2 * planet(0))
        : OptionalInt.empty();
  }

  /** Distance of the first planet's (of pairs the inner planet's) axis from the carrier's. */
  public double innerRadius() {
    if (part.sun().isPresent()) {
      return (count(part.sun()) + planet(0)) / 2.0;
    }
    double outer = (count(part.ring()) - planet(part.planets().size() - 1)) / 2.0;
    return part.paired() ? Math.abs(outer - pairDistance()) : Math.abs(outer);
  }

  /** Distance of the outer planet's axis from the carrier's; without pairs the planet's. */
  public double outerRadius() {
    if (!part.paired()) {
      return innerRadius();
    }
    return part.ring().isPresent()
        ? (count(part.ring()) - planet(1)) / 2.0
        : innerRadius() + pairDistance();
  }

  private double pairDistance() {
    return (planet(0) + planet(1)) / 2.0;
  }

  /**
   * How much room the triangle of a pair has left, in modules; negative when inner and outer planet
   * cannot touch while each runs on its central wheel.
   */
  public double pairMargin() {
    double distance = pairDistance();
    double inner = innerRadius();
    double outer = outerRadius();
    return Math.min(distance - Math.abs(inner - outer), inner + outer - distance);
  }

  /** The angle at the carrier's axis from a pair's inner to its outer planet, radians. */
  private double pairAngle() {
    double inner = innerRadius();
    double outer = outerRadius();
    double distance = pairDistance();
    double cos = (inner * inner + outer * outer - distance * distance) / (2 * inner * outer);
    return Math.acos(Math.clamp(cos, -1, 1));
  }

  /**
   * Where the axes of copy {@code k} stand, one a planet of the set, before the crank is turned.
   * The gap between the last and the first planet is at twelve o'clock, where the carrier's mark
   * is.
   */
  public List<Polar> axes(int k) {
    double first = Math.PI / 2 + Math.PI / part.count();
    double angle = first + 2 * Math.PI * turnsTo(k).doubleValue();
    return part.paired()
        ? List.of(new Polar(innerRadius(), angle), new Polar(outerRadius(), angle + pairAngle()))
        : List.of(new Polar(innerRadius(), angle));
  }

  /** Where the axis of {@code planet} of copy {@code k} stands. */
  Polar axis(MemberId planet, int k) {
    return axes(k).get(part.planetIds().indexOf(planet));
  }

  /**
   * Planets go in wherever the teeth of sun and ring agree: every 1/(S + R) of a turn, for pairs
   * every 1/(R - S). Empty where one of the two is missing and any place will do.
   */
  public OptionalInt places() {
    if (!between()) {
      return OptionalInt.empty();
    }
    int sun = count(part.sun());
    int ring = count(part.ring());
    return OptionalInt.of(part.paired() ? Math.abs(ring - sun) : ring + sun);
  }

  /** From the first planet to planet {@code k} on the carrier, as a fraction of a turn. */
  public BigFraction turnsTo(int k) {
    boolean uneven = part.spacing() == Planetary.Spacing.UNEVEN && places().orElse(0) > 0;
    return uneven ? nearestPlace(k) : equalPlace(k);
  }

  private BigFraction equalPlace(int k) {
    return Exact.of(k, part.count());
  }

  /**
   * The place next to equal spacing where planet {@code k}'s teeth fit, as a fraction of a turn.
   */
  public BigFraction nearestPlace(int k) {
    int places = places().orElseThrow();
    return Exact.of(Math.round((double) k * places / part.count()), places);
  }

  /**
   * By what part of a tooth planet {@code k} misses where its teeth would fit, between -1/2 and
   * 1/2; zero where it goes in.
   */
  public BigFraction misfit(int k) {
    if (places().isEmpty()) {
      return BigFraction.ZERO;
    }
    BigFraction teeth = turnsTo(k).multiply(places().getAsInt());
    return teeth.subtract(BigFraction.of(Exact.floor(teeth.add(Exact.of(1, 2)))));
  }

  /** Whether every planet goes in. */
  public boolean assembles() {
    for (int k = 1; k < part.count(); k++) {
      if (!Exact.isZero(misfit(k))) {
        return false;
      }
    }
    return true;
  }

  /**
   * The least distance between the tips of wheels of neighbouring planets, in modules; negative
   * when they run into each other. A single planet has no neighbour: infinite.
   */
  public double neighbourMargin() {
    double least = Double.POSITIVE_INFINITY;
    List<Polar> first = new ArrayList<>();
    for (int k = 0; k < part.count(); k++) {
      List<Polar> next = axes(k);
      for (int earlier = 0; earlier < first.size(); earlier++) {
        for (int own = 0; own < next.size(); own++) {
          int other = earlier % next.size();
          least = Math.min(least, gap(first.get(earlier), other, next.get(own), own));
        }
      }
      first.addAll(next);
    }
    return least;
  }

  private double gap(Polar a, int planetA, Polar b, int planetB) {
    double tips = (planet(planetA) + planet(planetB)) / 2.0 + 2 * BasicRack.ISO_53_A.addendum();
    return Math.hypot(a.x() - b.x(), a.y() - b.y()) - tips;
  }

  /**
   * The working pressure angle between planet and ring, radians; not a number where no shift brings
   * the ring to the planets.
   */
  public double ringWorkingAngle() {
    double standard = (count(part.ring()) - planet(part.planets().size() - 1)) / 2.0;
    return Math.acos(standard * Math.cos(ANGLE) / outerRadius());
  }

  /**
   * The profile shift of the ring, in modules, outwards positive; zero where it needs none and
   * where none would do.
   */
  public double ringShift() {
    if (stretch().orElse(0) == 0) {
      return 0;
    }
    double working = ringWorkingAngle();
    double turns = BasicRack.involute(working) - BasicRack.involute(ANGLE);
    double shift = (count(part.ring()) - planet(0)) * turns / (2 * Math.tan(ANGLE));
    return Double.isNaN(shift) ? 0 : shift;
  }

  /** Whether a profile shift of the ring of at most one module brings it to the planets. */
  public boolean ringReaches() {
    return stretch().orElse(0) == 0
        || !Double.isNaN(ringWorkingAngle()) && Math.abs(ringShift()) <= 1;
  }
}
