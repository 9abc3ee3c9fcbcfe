package steadycog.search;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Unit;

/**
 * The reduction ratio that is wanted, as a size; its direction is a limit of its own.
 *
 * @param ratio w_in / w_out, greater than 0
 * @param text as it was written
 */
public record Target(BigFraction ratio, String text) {
  private static final String NUMBER = "(-?\\d+(?:\\.\\d+|/\\d+)?)";
  private static final Pattern PLAIN = Pattern.compile(NUMBER);
  private static final Pattern COLON = Pattern.compile(NUMBER + "\\s*:\\s*" + NUMBER);
  private static final Pattern SPEEDS =
      Pattern.compile(NUMBER + "\\s*([a-z/]+)\\s*(?:to|->|\u2192)\\s*" + NUMBER + "\\s*([a-z/]+)");
  private static final Pattern PERIOD =
      Pattern.compile(
          "(?:(?:one|1)\\s+turn\\s+in\\s+)?(.+?)\\s+(?:from|at)\\s+" + NUMBER + "\\s*([a-z/]+)");
  private static final Pattern TIME = Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*([a-z]+)");
  private static final Map<String, Integer> SECONDS =
      Map.of("d", 86_400, "day", 86_400, "h", 3600, "min", 60, "m", 60, "s", 1);

  /** No gear is built for more, and products stay within exact numbers. */
  private static final BigFraction MOST = BigFraction.of(1_000_000_000);

  private static final String EXPECTED =
      "write a ratio such as 85, 85:1 or 1:4, speeds such as 1500 rpm to 12 rpm, or a period such"
          + " as 23 h 56 min 4.0905 s from 1 rpm";

  public Target {
    if (ratio.signum() < 0) {
      throw new IllegalArgumentException(
          "a target has no sign: write "
              + Exact.plain(ratio.abs())
              + " and ask for the opposite direction");
    }
    if (ratio.signum() == 0) {
      throw new IllegalArgumentException("a target of 0 is no ratio: " + EXPECTED);
    }
    if (ratio.compareTo(MOST) > 0 || ratio.reciprocal().compareTo(MOST) > 0) {
      throw new IllegalArgumentException("no train makes a ratio beyond a thousand million");
    }
  }

  /**
   * Reads a ratio, two speeds, or the period of the output and the speed of the input.
   *
   * @throws IllegalArgumentException saying what is wrong and what would be right
   */
  public static Target parse(String text) {
    String bare = text.strip().toLowerCase(Locale.ROOT);
    if (bare.length() > 200) {
      throw new IllegalArgumentException("too long a target: " + EXPECTED);
    }
    Matcher plain = PLAIN.matcher(bare);
    Matcher colon = COLON.matcher(bare);
    Matcher speeds = SPEEDS.matcher(bare);
    Matcher period = PERIOD.matcher(bare);
    if (plain.matches()) {
      return new Target(number(plain.group(1)), text.strip());
    }
    if (colon.matches()) {
      return new Target(quotient(number(colon.group(1)), number(colon.group(2))), text.strip());
    }
    if (speeds.matches()) {
      BigFraction in = speed(speeds.group(1), speeds.group(2));
      BigFraction out = speed(speeds.group(3), speeds.group(4));
      return new Target(quotient(in, out), text.strip());
    }
    if (period.matches()) {
      BigFraction turnsPerMinute = speed(period.group(2), period.group(3));
      return new Target(seconds(period.group(1)).divide(60).multiply(turnsPerMinute), text.strip());
    }
    throw new IllegalArgumentException("'" + text.strip() + "' is no target: " + EXPECTED);
  }

  private static BigFraction number(String text) {
    if (!Exact.isNumber(text)) {
      throw new IllegalArgumentException("'" + text + "' is no number: " + EXPECTED);
    }
    return Exact.parse(text);
  }

  private static BigFraction quotient(BigFraction in, BigFraction out) {
    if (out.signum() == 0) {
      throw new IllegalArgumentException("an output that stands still has no ratio: " + EXPECTED);
    }
    return in.divide(out);
  }

  /** In rpm; pi, which is no exact number, enters as closely as a double has it. */
  private static BigFraction speed(String number, String symbol) {
    Unit unit =
        Unit.of(symbol)
            .filter(found -> found.dimension() == Unit.Dimension.SPEED)
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "'" + symbol + "' is no speed: use " + Unit.Dimension.SPEED.symbols()));
    BigFraction exact = number(number).multiply(unit.factor());
    return unit.piPower() == 0
        ? exact
        : exact.multiply(BigFraction.from(Math.pow(Math.PI, unit.piPower())));
  }

  private static BigFraction seconds(String text) {
    Matcher time = TIME.matcher(text);
    BigFraction sum = BigFraction.ZERO;
    int end = 0;
    while (time.find() && text.substring(end, time.start()).isBlank()) {
      Integer each = SECONDS.get(time.group(2));
      if (each == null) {
        throw new IllegalArgumentException(
            "'" + time.group(2) + "' is no time: use d, h, min or s");
      }
      sum = sum.add(number(time.group(1)).multiply(each));
      end = time.end();
    }
    if (end == 0 || !text.substring(end).isBlank()) {
      throw new IllegalArgumentException("'" + text + "' is no period: " + EXPECTED);
    }
    return sum;
  }
}
