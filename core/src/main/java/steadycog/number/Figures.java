package steadycog.number;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;

/** Rounded numbers for people: plain digits, no exponent, a decimal point in every locale. */
public final class Figures {
  private static final int MOST_WHOLE_DIGITS = 15;

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
