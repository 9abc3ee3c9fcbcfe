package steadycog.search;

import java.util.Comparator;

/**
 * A place in the order of candidates, the least first.
 *
 * @param first the measure by which they are ranked
 */
record Key(double first, double error, int stages, double size) implements Comparable<Key> {
  /** Before everything. */
  static final Key LEAST = new Key(Double.NEGATIVE_INFINITY, 0, 0, 0);

  /** Measures of leads are worked out in doubles: such a difference is none. */
  private static final double ROUNDING = 1e-12;

  private static final Comparator<Key> ORDER =
      Comparator.comparingDouble(Key::first)
          .thenComparingDouble(Key::error)
          .thenComparingInt(Key::stages)
          .thenComparingDouble(Key::size);

  @Override
  public int compareTo(Key other) {
    return ORDER.compare(this, other);
  }

  /** Whether something that is at best here may stand at {@code worst} or before it. */
  boolean mayReach(Key worst) {
    if (Math.abs(first - worst.first) > ROUNDING) {
      return first < worst.first;
    }
    if (Math.abs(error - worst.error) > ROUNDING) {
      return error < worst.error;
    }
    return stages != worst.stages ? stages < worst.stages : size <= worst.size + ROUNDING;
  }
}
