package steadycog.train;

import java.util.Arrays;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;

/**
 * A number that a card may give after a word, and what it is where it does not.
 *
 * @param word on the card
 * @param usual what is meant where nothing is said
 * @param least that may be said
 * @param most that may be said
 * @param says what it is, in words
 */
public record Bounded(
    String word, BigFraction usual, BigFraction least, BigFraction most, String says) {

  /** A word of a statement that a number follows. */
  public interface Term {
    Bounded said();

    /** The word on a card. */
    default String word() {
      return said().word;
    }

    /** What the number is, in words. */
    default String says() {
      return said().says;
    }

    default BigFraction usual() {
      return said().usual;
    }
  }

  Bounded(String word, String usual, String least, String most, String says) {
    this(word, Exact.parse(usual), Exact.parse(least), Exact.parse(most), says);
  }

  /** Throws IllegalArgumentException naming what may be said. */
  void require(BigFraction value) {
    if (value.compareTo(least) < 0 || value.compareTo(most) > 0) {
      throw new IllegalArgumentException(
          word
              + " "
              + Exact.plain(value)
              + ": expected "
              + Exact.plain(least)
              + " to "
              + Exact.plain(most));
    }
  }

  static <T extends Term> Optional<T> of(T[] terms, String word) {
    return Arrays.stream(terms).filter(one -> one.word().equalsIgnoreCase(word)).findFirst();
  }
}
