package steadycog.search;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;

/**
 * How far a ratio may be off.
 *
 * @param amount positive
 */
public record TargetTolerance(BigFraction amount, Unit unit) {
  private static final Pattern TEXT =
      Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*(%|ppm|tooth|teeth)", Pattern.CASE_INSENSITIVE);

  private static final double ROUNDING = 1e-12;

  /** What an error is counted in. */
  public enum Unit {
    PERCENT("%", 1e-2),
    PPM("ppm", 1e-6),
    /** Teeth of the last wheel by which it is behind or ahead after one turn of its own. */
    TEETH("teeth", Double.NaN);

    private final String symbol;
    private final double share;

    Unit(String symbol, double share) {
      this.symbol = symbol;
      this.share = share;
    }
  }

  public TargetTolerance {
    if (amount.signum() <= 0) {
      throw new IllegalArgumentException(
          "a tolerance is greater than 0: leave it out for the best");
    }
  }

  /** {@code 0.1%}, {@code 50ppm} or {@code 1 tooth}. */
  public static TargetTolerance parse(String text) {
    Matcher match = TEXT.matcher(text.strip());
    if (!match.matches()) {
      throw new IllegalArgumentException(
          "'" + text + "' is no tolerance: write 0.1%, 50ppm or 0.5 teeth");
    }
    Unit unit =
        switch (match.group(2).toLowerCase(Locale.ROOT)) {
          case "%" -> Unit.PERCENT;
          case "ppm" -> Unit.PPM;
          default -> Unit.TEETH;
        };
    return new TargetTolerance(Exact.parse(match.group(1)), unit);
  }

  /**
   * The largest share by which a ratio may be off when its last wheel has {@code teeth} teeth; one
   * that is off by exactly so much is within, however it is rounded.
   */
  double share(int teeth) {
    double number = amount.doubleValue() * (1 + ROUNDING);
    return unit == Unit.TEETH ? number / teeth : number * unit.share;
  }

  @Override
  public String toString() {
    return Exact.plain(amount) + (unit == Unit.TEETH ? " " : "") + unit.symbol;
  }
}
