package steadycog.piece;

/**
 * A region with thickness.
 *
 * @param name what it is, as {@code row 2}; empty where the piece has but one
 * @param from along the axis, mm
 * @param to along the axis, mm, above {@code from}
 */
public record Slab(String name, double from, double to, Region region) {
  public Slab {
    if (to <= from) {
      throw new IllegalArgumentException("slab " + name + ": from " + from + " to " + to);
    }
  }
}
