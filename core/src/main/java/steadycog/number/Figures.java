package steadycog.number;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Locale;
import org.apache.commons.numbers.fraction.BigFraction;

/** Rounded numbers for people: plain digits, no exponent, a decimal point in every locale. */
public final class Figures {
  private static final int MOST_WHOLE_DIGITS = 15;

  /** Figures of every number that is read and compared by people. */
  private static final int DIGITS = 5;

  private Figures() {}

  /**
   * {@code value} to {@code digits} significant digits without trailing zeros, an ASCII minus;
   * whole digits are never rounded away.
   *
   * @param digits 1 to 15
   */
  public static String significant(double value, int digits) {
    if (value == 0) {
      return "0";
    }
    BigDecimal exact = new BigDecimal(value);
    int whole = Math.max(exact.precision() - exact.scale(), 0);
    int kept = Math.clamp(whole, digits, MOST_WHOLE_DIGITS);
    return exact.round(new MathContext(kept)).stripTrailingZeros().toPlainString();
  }

  /** A number as screen and paper show it, with the minus sign of print: five figures. */
  public static String shown(double value) {
    return typeset(plain(value));
  }

  /** The same number for a terminal, with an ASCII minus. */
  public static String plain(double value) {
    return significant(value, DIGITS);
  }

  /** An exact number rounded in the same way. */
  public static String plain(BigFraction value) {
    return plain(value.doubleValue());
  }

  /** An exact number as screen and paper show it, with the minus sign of print. */
  public static String exact(BigFraction value) {
    return typeset(Exact.text(value));
  }

  /** A share as {@code 98.5 %} with a thin space, to so many decimals at most. */
  public static String percent(double share, int decimals) {
    BigDecimal percent = BigDecimal.valueOf(share * 100).setScale(decimals, RoundingMode.HALF_UP);
    String digits = percent.signum() == 0 ? "0" : percent.stripTrailingZeros().toPlainString();
    return typeset(digits) + "\u2009%";
  }

  /** {@code value} to that many decimals, also those that are zero. */
  public static String fixed(double value, int decimals) {
    return String.format(Locale.ROOT, "%." + decimals + "f", value);
  }

  /** {@code value} to that many decimals with its sign, also a plus; zero has none. */
  public static String signed(double value, int decimals) {
    boolean nothing = Math.abs(value) < 0.5 * Math.pow(10, -decimals);
    String form = (nothing ? "%." : "%+.") + decimals + "f";
    return String.format(Locale.ROOT, form, nothing ? 0.0 : value);
  }

  /** {@code value} with the minus sign of print in place of the hyphen. */
  public static String typeset(String number) {
    return number.replace('-', '\u2212');
  }
}
