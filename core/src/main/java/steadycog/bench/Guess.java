package steadycog.bench;

import java.time.LocalDate;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;

/**
 * A ratio that was stated before it was looked at.
 *
 * @param configuration in words: {@code sun drives, ring held, carrier out}
 * @param guess i = in/out as stated, with its sign, never zero
 * @param actual i as it is
 */
public record Guess(
    Optional<LocalDate> date, String configuration, BigFraction guess, BigFraction actual) {

  /** A guess of a day that is known. */
  public Guess(LocalDate date, String configuration, BigFraction guess, BigFraction actual) {
    this(Optional.of(date), configuration, guess, actual);
  }

  /** As well as people round in their heads, in parts of the ratio. */
  private static final double ROUNDING = 0.005;

  public Guess {
    if (Exact.isZero(guess) || Exact.isZero(actual)) {
      throw new IllegalArgumentException("a ratio is never zero");
    }
  }

  /** Whether size and direction are right, but for rounding. */
  public boolean isRight() {
    return near(guess, actual);
  }

  static boolean near(BigFraction one, BigFraction other) {
    double quotient = one.divide(other).doubleValue();
    return Math.abs(quotient - 1) <= ROUNDING;
  }
}
