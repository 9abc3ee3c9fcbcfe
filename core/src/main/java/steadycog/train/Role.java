package steadycog.train;

import java.util.Locale;

/** What the designer does with a member. */
public enum Role {
  /** Turned from outside. */
  DRIVE,
  /** Kept from turning. */
  HOLD,
  /** Where the output is taken off. */
  TAKE,
  /** Tied to another member by a clutch. */
  LOCKED,
  /** Left to itself. */
  FREE;

  /** The word in machine output: {@code hold}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
