package steadycog.train;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/**
 * How far lengths may come out from what is stated, as drawings say it: {@code +0.02 -0 mm}.
 *
 * @param pair the meshing bodies for which it holds; empty for all of the train
 * @param limits of each length that is spoken of
 */
public record Tolerance(Optional<Join> pair, Map<Of, Limits> limits) {

  /** The lengths that play depends on. */
  public enum Of {
    /** The distance of meshing axes. */
    CENTRE,
    /** A tooth along its pitch circle. */
    THICKNESS,
    /** The bore of whatever turns on a pin. */
    BORE,
    /** The pin in it. */
    PIN;

    /** The word on a card. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<Of> of(String word) {
      return Arrays.stream(values()).filter(one -> one.word().equalsIgnoreCase(word)).findFirst();
    }

    /** All words, for messages. */
    public static String words() {
      return Arrays.stream(values()).map(Of::word).collect(Collectors.joining(", "));
    }
  }

  /**
   * The band of a length.
   *
   * @param above by how much it may be larger, 0 or more
   * @param below by how much it may be smaller, 0 or more
   */
  public record Limits(BigFraction above, BigFraction below, Unit unit) {
    /** Nothing else than stated. */
    public static final Limits NONE = new Limits(BigFraction.ZERO, BigFraction.ZERO, Unit.MM);

    private static final double MOST_MM = 5;

    public Limits {
      if (unit.dimension() != Unit.Dimension.LENGTH) {
        throw new IllegalArgumentException("tolerance in " + unit.symbol() + ": expected a length");
      }
      for (BigFraction side : new BigFraction[] {above, below}) {
        if (side.signum() < 0 || new Quantity(side, unit).inBase() > MOST_MM) {
          throw new IllegalArgumentException(
              "tolerance " + Exact.plain(side) + ": expected 0 to " + (int) MOST_MM + " mm");
        }
      }
    }

    /** mm. */
    public double aboveMm() {
      return new Quantity(above, unit).inBase();
    }

    /** mm, 0 or more. */
    public double belowMm() {
      return new Quantity(below, unit).inBase();
    }

    @Override
    public String toString() {
      return "+" + Exact.plain(above) + " -" + Exact.plain(below) + " " + unit.symbol();
    }
  }

  public Tolerance {
    Map<Of, Limits> sorted = new EnumMap<>(Of.class);
    sorted.putAll(limits);
    limits = Collections.unmodifiableMap(sorted);
    if (limits.isEmpty()) {
      throw new IllegalArgumentException("tolerance: expected some of " + Of.words());
    }
  }

  boolean isOf(Optional<Join> other) {
    return (pair.isEmpty() && other.isEmpty())
        || (pair.isPresent()
            && other.isPresent()
            && other.get().touches(pair.get().a())
            && other.get().touches(pair.get().b()));
  }
}
