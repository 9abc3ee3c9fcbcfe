package steadycog.number;

/**
 * A rounded quantity in the middle of a text, which can be said in other units as well.
 *
 * @param size in {@code unit}
 * @param unit in which it is rounded
 * @param digits decimals, or significant digits
 * @param significant which of the two
 * @param before text in front of it
 * @param after text behind it
 */
public record Measured(
    double size, Unit unit, int digits, boolean significant, String before, String after) {

  /** A length to so many decimals of a millimetre. */
  public static Measured mm(double size, int decimals) {
    return new Measured(size, Unit.MM, decimals, false, "", "");
  }

  public static Measured significant(double size, Unit unit, int digits) {
    return new Measured(size, unit, digits, true, "", "");
  }

  public Measured between(String before, String after) {
    return new Measured(size, unit, digits, significant, before, after);
  }

  /** As it is said in those units; decimals follow the size of the unit. */
  public String in(Units units) {
    Unit shown = units.of(unit.dimension()).orElse(unit);
    double value = shown.fromBase(unit.toBase(size));
    String number =
        significant
            ? Figures.significant(value, digits)
            : Figures.fixed(value, digits + finer(shown));
    return before + number + " " + shown.symbol() + after;
  }

  private int finer(Unit shown) {
    return Math.max(0, (int) Math.round(Math.log10(shown.inBase() / unit.inBase())));
  }

  /** In the units that are usual here. */
  @Override
  public String toString() {
    return in(Units.USUAL);
  }
}
