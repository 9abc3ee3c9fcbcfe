package steadycog.shape;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.train.PlanetRow;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;

/**
 * Where round the carrier the teeth of planets fit, exactly. A planet goes in t turns from the
 * first one where every condition M t is whole: M = S + R for a row with sun and ring (R - S for
 * pairs), and for two rows of one body M = |c1 P2 - c2 P1| / gcd(P1, P2) with c = S for a sun and
 * -R for a ring, whichever a row has (Müller, <i>Epicyclic Drive Trains</i>; derived anew from
 * rolling: a planet taken round by t turns about circle c has turned t (1 + c/P) in space, or whole
 * teeth more).
 */
public record PlanetPlaces(Planetary part) {

  /** S + R of a row, R - S for pairs; empty where the row lacks one of the two. */
  public OptionalInt sum(int row) {
    PlanetRow here = part.rows().get(row);
    if (here.sun().isEmpty() || here.ring().isEmpty()) {
      return OptionalInt.empty();
    }
    int sun = here.sun().get().count();
    int ring = here.ring().get().count();
    return OptionalInt.of(here.paired() ? Math.abs(ring - sun) : ring + sun);
  }

  /**
   * A central wheel of a row counted as the rolling counts it: S for a sun, else -R; rings where
   * both rows have one.
   */
  private int circle(int row) {
    PlanetRow here = part.rows().get(row);
    boolean rings = part.rows().stream().allMatch(r -> r.ring().isPresent());
    return rings || here.sun().isEmpty()
        ? -here.ring().orElseThrow().count()
        : here.sun().get().count();
  }

  private int planet(int row) {
    return part.rows().get(row).inner().count();
  }

  /** So many times a planet of two rows, turned round its axis, looks alike. */
  public int common() {
    return gcd(planet(0), planet(1));
  }

  /** c1 P2 - c2 P1, which decides how the rows of one planet stand to each other. */
  private long cross() {
    return (long) circle(0) * planet(1) - (long) circle(1) * planet(0);
  }

  /** The number that N has to divide for N planets with both rows alike; empty for one row. */
  public OptionalInt index() {
    return part.stepped()
        ? OptionalInt.of(Math.abs((int) (cross() / common())))
        : OptionalInt.empty();
  }

  private List<Integer> conditions() {
    List<Integer> all = new ArrayList<>();
    for (int row = 0; row < part.rows().size(); row++) {
      sum(row).ifPresent(all::add);
    }
    if (part.spacing() != Spacing.CLOCKED) {
      index().ifPresent(all::add);
    }
    return all;
  }

  /**
   * Into how many parts the circle is divided by the places where planets go in; 0 where any place
   * will do. Empty where nothing binds the planets to each other.
   */
  public OptionalInt count() {
    return conditions().stream().mapToInt(Integer::intValue).reduce(PlanetPlaces::gcd);
  }

  private static int gcd(int a, int b) {
    return BigInteger.valueOf(a).gcd(BigInteger.valueOf(b)).intValue();
  }

  /** From the first planet to planet {@code k} on the carrier, as a fraction of a turn. */
  public BigFraction turnsTo(int k) {
    boolean uneven = part.spacing() == Spacing.UNEVEN && count().orElse(0) > 0;
    return uneven ? nearest(k) : Exact.of(k, part.count());
  }

  /**
   * The place next to equal spacing where planet {@code k}'s teeth fit, as a fraction of a turn.
   */
  private BigFraction nearest(int k) {
    int places = count().orElseThrow();
    return Exact.of(Math.round((double) k * places / part.count()), places);
  }

  /**
   * By what part of a tooth planet {@code k} misses where the teeth of a row's sun and ring would
   * take it, between -1/2 and 1/2; zero where it goes in.
   */
  public BigFraction misfit(int row, int k) {
    return sum(row).isEmpty()
        ? BigFraction.ZERO
        : offWhole(turnsTo(k).multiply(sum(row).getAsInt()));
  }

  private static BigFraction offWhole(BigFraction teeth) {
    return teeth.subtract(BigFraction.of(Exact.floor(teeth.add(Exact.of(1, 2)))));
  }

  /**
   * By how much of a tooth of row 2 that row of planet {@code k} must be turned clockwise against
   * row 1, compared with the first planet: from 0 to below what one tooth on in row 1 gives. Zero
   * where the planet is like the first one.
   */
  public BigFraction clocking(int k) {
    if (!part.stepped()) {
      return BigFraction.ZERO;
    }
    BigFraction teeth = turnsTo(k).multiply(Exact.of(cross(), planet(0)));
    BigFraction step = Exact.of(common(), planet(0));
    return teeth.subtract(step.multiply(BigFraction.of(Exact.floor(teeth.divide(step)))));
  }

  /** Whether all planets have their rows turned alike. */
  public boolean identical() {
    if (!part.stepped() || part.spacing() != Spacing.UNEVEN) {
      return index().orElse(0) % part.count() == 0;
    }
    for (int k = 1; k < part.count(); k++) {
      if (!Exact.isZero(clocking(k))) {
        return false;
      }
    }
    return true;
  }

  /** Whether every planet goes in between the sun and the ring of a row. */
  public boolean assembles(int row) {
    if (part.spacing() != Spacing.UNEVEN) {
      return sum(row).orElse(0) % part.count() == 0;
    }
    for (int k = 1; k < part.count(); k++) {
      if (!Exact.isZero(misfit(row, k))) {
        return false;
      }
    }
    return true;
  }

  /** Whether every planet goes in, made alike unless each is clocked. */
  public boolean assembles() {
    for (int row = 0; row < part.rows().size(); row++) {
      if (!assembles(row)) {
        return false;
      }
    }
    return part.spacing() == Spacing.CLOCKED || identical();
  }
}
