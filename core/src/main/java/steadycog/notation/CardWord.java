package steadycog.notation;

import java.util.Optional;
import steadycog.train.MemberId;

/**
 * A word of a card as it is typed, for those who show or explain it.
 *
 * @param from where it begins in the text, counted from 0
 * @param to where it ends, exclusive
 * @param member whom it means, or whose teeth it counts
 * @param meaning one line in words; empty where there is nothing to explain
 */
public record CardWord(
    Kind kind, String text, int from, int to, Optional<MemberId> member, String meaning) {
  /** What a word is. */
  public enum Kind {
    /** What a part's statement begins with. */
    PART,
    /** What any other statement begins with. */
    STATEMENT,
    MEMBER,
    NUMBER,
    UNIT,
    COMMENT,
    /** A name, a sign, or a word inside a statement. */
    OTHER
  }

  /** Whether the text holds {@code place} in it or at its end. */
  public boolean holds(int place) {
    return from <= place && place <= to;
  }
}
