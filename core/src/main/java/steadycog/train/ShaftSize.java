package steadycog.train;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/**
 * What is stated of a shaft, or of the pin of a planet, beside the bores of what sits on it. It is
 * of steel.
 *
 * @param strength in tension
 * @param yield not above the strength
 * @param terms as stated; those that are not are {@link Term#usual}
 * @param bothEnds whether a pin is held at both its ends; of a shaft it says nothing
 */
public record ShaftSize(
    Optional<Quantity> strength,
    Optional<Quantity> yield,
    Map<Term, BigFraction> terms,
    boolean bothEnds) {
  public static final ShaftSize NONE =
      new ShaftSize(Optional.empty(), Optional.empty(), Map.of(), false);

  /** Of hot-rolled steel with 0.45 % carbon, MPa (Shigley, table A-20). */
  public static final double USUAL_STRENGTH = 570;

  /** Yield over strength of the same. */
  private static final double YIELDING = 310 / USUAL_STRENGTH;

  /** A number that the strength of a shaft asks for. */
  public enum Term implements Bounded.Term {
    /** Kf, the usual that of a keyseat cut by an end mill (Shigley, table 7-1). */
    BENDING("bending", "2.14", "1", "10", "what a seat adds to bending"),
    /** Kfs of the same. */
    TORSION("torsion", "3", "1", "10", "what a seat adds to torsion"),
    /** The factor that the shaft is to have. */
    FACTOR("factor", "1.5", "0.5", "20", "factor wanted");

    private final Bounded said;

    Term(String word, String usual, String least, String most, String says) {
      said = new Bounded(word, usual, least, most, says);
    }

    @Override
    public Bounded said() {
      return said;
    }

    public static Optional<Term> of(String word) {
      return Bounded.of(values(), word);
    }
  }

  public ShaftSize {
    strength.ifPresent(stress -> requireStress("strength", stress));
    yield.ifPresent(stress -> requireStress("yield", stress));
    if (strength.isPresent()
        && yield.isPresent()
        && yield.get().inBase() > strength.get().inBase()) {
      throw new IllegalArgumentException(
          "yield " + yield.get() + ": expected no more than the strength " + strength.get());
    }
    Map<Term, BigFraction> ordered = new EnumMap<>(Term.class);
    ordered.putAll(terms);
    ordered.forEach(
        (term, value) -> {
          term.said.require(value);
        });
    terms = Collections.unmodifiableMap(ordered);
  }

  private static void requireStress(String what, Quantity stress) {
    Drive.requireDimension(stress, Unit.Dimension.STRESS);
    if (stress.inBase() < 10 || stress.inBase() > 3000) {
      throw new IllegalArgumentException(what + " " + stress + ": expected 10 to 3000 MPa");
    }
  }

  /** Strength in tension, MPa: as stated, or as usual. */
  public double strengthMpa() {
    return strength
        .map(Quantity::inBase)
        .orElseGet(
            () -> Math.max(USUAL_STRENGTH, yield.map(Quantity::inBase).orElse(0.0) / YIELDING));
  }

  /** Yield strength, MPa: as stated, or in proportion to the other. */
  public double yieldMpa() {
    return yield.map(Quantity::inBase).orElseGet(() -> YIELDING * strengthMpa());
  }

  /** As stated, or as usual. */
  public double value(Term term) {
    return terms.getOrDefault(term, term.usual()).doubleValue();
  }

  public ShaftSize withStrength(Quantity changed) {
    return new ShaftSize(Optional.of(changed), yield, terms, bothEnds);
  }

  public ShaftSize withYield(Quantity changed) {
    return new ShaftSize(strength, Optional.of(changed), terms, bothEnds);
  }

  public ShaftSize with(Term term, BigFraction value) {
    Map<Term, BigFraction> all = new EnumMap<>(Term.class);
    all.putAll(terms);
    all.put(term, value);
    return new ShaftSize(strength, yield, all, bothEnds);
  }

  public ShaftSize withBothEnds() {
    return new ShaftSize(strength, yield, terms, true);
  }

  /** What is stated here, else what {@code common} says. */
  ShaftSize or(ShaftSize common) {
    Map<Term, BigFraction> all = new EnumMap<>(Term.class);
    all.putAll(common.terms);
    all.putAll(terms);
    // Of one steel: a strength by itself has its own yield.
    boolean steel = strength.isPresent() || yield.isPresent();
    return new ShaftSize(
        steel ? strength : common.strength,
        steel ? yield : common.yield,
        all,
        bothEnds || common.bothEnds);
  }

  /** As a card states it after its verb and member: {@code strength 700 MPa factor 2}. */
  @Override
  public String toString() {
    return (strength.map(stress -> " strength " + stress).orElse("")
            + yield.map(stress -> " yield " + stress).orElse("")
            + terms.entrySet().stream()
                .map(term -> " " + term.getKey().word() + " " + Exact.plain(term.getValue()))
                .collect(Collectors.joining())
            + (bothEnds ? " both ends" : ""))
        .strip();
  }
}
