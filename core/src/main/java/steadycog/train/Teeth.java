package steadycog.train;

/**
 * A tooth count, external or internal.
 *
 * @param count 1 to {@value #MOST}; whether so few or many can be made is for the findings to say
 * @param internal true for a ring gear with its teeth inside
 */
public record Teeth(int count, boolean internal) {
  public static final int MOST = 99_999;

  public Teeth {
    if (!isCount(count)) {
      throw new IllegalArgumentException("teeth " + count + ": expected 1 to " + MOST);
    }
  }

  /** Whether a wheel can be said to have so many teeth. */
  public static boolean isCount(int count) {
    return count >= 1 && count <= MOST;
  }

  public static Teeth external(int count) {
    return new Teeth(count, false);
  }

  public static Teeth internal(int count) {
    return new Teeth(count, true);
  }

  /** As a card shows it: {@code 18}, or {@code 60i} for internal teeth. */
  @Override
  public String toString() {
    return internal ? count + "i" : Integer.toString(count);
  }
}
