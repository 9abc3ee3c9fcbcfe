package steadycog.train;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Quantity;

/**
 * How teeth wind round their wheel (ISO 21771).
 *
 * @param degrees helix angle at the reference cylinder, 0 to {@value #MOST_DEGREES}; 0 is straight
 * @param hand empty where it follows from wheels that mesh with it, or from nothing; of a
 *     herringbone that of the half at the drive end
 * @param doubled whether they wind both ways, in two halves of the face: a herringbone
 * @param groove without teeth between the halves of a herringbone, along the axis; empty for none
 */
public record Helix(
    BigFraction degrees, Optional<Hand> hand, boolean doubled, Optional<Quantity> groove) {
  public static final Helix STRAIGHT = new Helix(BigFraction.ZERO, Optional.empty(), false);

  public static final int MOST_DEGREES = 45;

  /** To which side teeth wind, seen from the front going away. */
  public enum Hand {
    RIGHT,
    LEFT;

    public static Optional<Hand> of(String word) {
      return Arrays.stream(values()).filter(hand -> hand.word().equalsIgnoreCase(word)).findFirst();
    }

    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }

    /** That of a mate: the other one outside of it, the same inside of a ring. */
    public Hand mate(boolean internal) {
      return internal == (this == RIGHT) ? RIGHT : LEFT;
    }
  }

  /** Without a groove. */
  public Helix(BigFraction degrees, Optional<Hand> hand, boolean doubled) {
    this(degrees, hand, doubled, Optional.empty());
  }

  public Helix {
    groove.ifPresent(length -> Cycloidal.requireLength("groove", length));
    if (groove.isPresent() && !doubled) {
      throw new IllegalArgumentException(
          "a groove is that of a herringbone: say double, or leave it out");
    }
    if (degrees.signum() < 0 || degrees.compareTo(BigFraction.of(MOST_DEGREES)) > 0) {
      throw new IllegalArgumentException(
          "helix "
              + Exact.plain(degrees)
              + ": expected 0 to "
              + MOST_DEGREES
              + " degrees, as 20; the hand is said by left or right");
    }
  }

  public boolean isStraight() {
    return degrees.signum() == 0;
  }

  /** Whether the teeth wind both ways. */
  public boolean isDouble() {
    return doubled && !isStraight();
  }

  /** The same with another hand. */
  public Helix handed(Optional<Hand> other) {
    return new Helix(degrees, other, doubled, groove);
  }

  /** The same at another angle, degrees. */
  public Helix at(BigFraction angle) {
    return new Helix(angle, hand, doubled, groove);
  }

  /** What is left of a face where teeth wind one way, mm; a hundredth where a groove takes all. */
  public double oneHand(double face) {
    return isDouble() ? Math.max(face / 100, face - grooveMm()) / 2 : face;
  }

  /** Whether the groove leaves no teeth on a face, mm. */
  public boolean groovesAway(double face) {
    return isDouble() && grooveMm() >= face;
  }

  /** What is left of a face with teeth, mm. */
  public double toothed(double face) {
    return isDouble() ? 2 * oneHand(face) : face;
  }

  public double grooveMm() {
    return groove.map(Quantity::inBase).orElse(0.0);
  }

  /** 1 of a right hand, and where none is said, -1 of a left one. */
  public int sign() {
    return hand.filter(Hand.LEFT::equals).isPresent() ? -1 : 1;
  }

  /** The angle at the reference cylinder, radians, without a sign. */
  public double radians() {
    return Math.toRadians(degrees.doubleValue());
  }

  /** Lengths at right angles to the teeth over those in the plane of rotation: cos b. */
  public double cosine() {
    return isStraight() ? 1 : Math.cos(radians());
  }

  /**
   * Lengths at right angles to the flanks over those at right angles to them in the plane of
   * rotation: cos bb, sin bb = sin b cos an.
   *
   * @param angle normal pressure angle, radians
   */
  public double baseCosine(double angle) {
    double sine = baseSine(angle);
    return isStraight() ? 1 : Math.sqrt(1 - sine * sine);
  }

  /** The sine of the helix angle at the base cylinder. */
  public double baseSine(double angle) {
    return isStraight() ? 0 : Math.sin(radians()) * Math.cos(angle);
  }

  /**
   * The count of the straight wheel whose teeth are as those of {@code teeth} at right angles to
   * them: z / (cos² bb cos b).
   */
  public double virtualCount(double teeth, double angle) {
    double base = baseCosine(angle);
    return isStraight() ? teeth : teeth / (base * base * cosine());
  }

  /** As a card states it: {@code 20 deg left}. */
  @Override
  public String toString() {
    return Exact.plain(degrees)
        + " deg"
        + (doubled ? " double" : "")
        + groove.map(length -> " groove " + length).orElse("")
        + hand.map(one -> " " + one.word()).orElse("");
  }
}
