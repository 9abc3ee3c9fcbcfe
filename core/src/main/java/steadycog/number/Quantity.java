package steadycog.number;

import org.apache.commons.numbers.fraction.BigFraction;

/**
 * A number with the unit in which it was given; prints back as it was typed.
 *
 * @param value exact, in {@code unit}
 */
public record Quantity(BigFraction value, Unit unit) {

  public static Quantity of(String value, Unit unit) {
    return new Quantity(Exact.parse(value), unit);
  }

  /** The value in the base unit of its dimension (rpm, N m, W, mm, ...), rounded to a double. */
  public double inBase() {
    return unit.toBase(value.doubleValue());
  }

  @Override
  public String toString() {
    return Exact.plain(value) + " " + unit.symbol();
  }
}
