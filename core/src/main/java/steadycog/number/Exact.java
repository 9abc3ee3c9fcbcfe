package steadycog.number;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import java.util.Collection;
import java.util.regex.Pattern;
import org.apache.commons.numbers.fraction.BigFraction;

/** Reading, writing and small arithmetic of exact rational numbers. */
public final class Exact {
  private static final Pattern NUMBER = Pattern.compile("-?\\d{1,40}(\\.\\d{1,40}|/\\d{1,40})?");
  private static final int MOST_DECIMALS = 12;

  private Exact() {}

  /**
   * The fraction {@code numerator/denominator}; throws ArithmeticException if that divides by 0.
   */
  public static BigFraction of(long numerator, long denominator) {
    return BigFraction.of(numerator, denominator);
  }

  /** Whether {@code text} is a number that {@link #parse} reads. */
  public static boolean isNumber(String text) {
    return NUMBER.matcher(text).matches() && !text.matches(".*/0+");
  }

  /**
   * Reads {@code 12}, {@code -0.4} or {@code 1/1436}: a decimal point, no thousands mark, at most
   * 40 digits a side.
   *
   * @throws NumberFormatException if {@link #isNumber} is false for {@code text}
   */
  public static BigFraction parse(String text) {
    if (!isNumber(text)) {
      throw new NumberFormatException("not a number: " + text);
    }
    int slash = text.indexOf('/');
    if (slash >= 0) {
      return BigFraction.of(
          new BigInteger(text.substring(0, slash)), new BigInteger(text.substring(slash + 1)));
    }
    BigDecimal decimal = new BigDecimal(text);
    return BigFraction.of(decimal.unscaledValue(), BigInteger.TEN.pow(decimal.scale()));
  }

  /** The number as scripts see it: {@code -7/2}, a whole one without its denominator. */
  public static String text(BigFraction number) {
    String whole = signedNumerator(number).toString();
    return isWhole(number) ? whole : whole + "/" + number.getDenominator().abs();
  }

  /** The number as a card shows it: a short decimal where one is exact, else a fraction. */
  public static String plain(BigFraction number) {
    BigInteger rest = number.getDenominator().abs();
    int decimals = 0;
    while (decimals < MOST_DECIMALS && !rest.equals(BigInteger.ONE)) {
      rest = rest.divide(rest.gcd(BigInteger.TEN));
      decimals++;
    }
    if (!rest.equals(BigInteger.ONE)) {
      return text(number);
    }
    return decimal(number, decimals).stripTrailingZeros().toPlainString();
  }

  /** The number rounded half-up to {@code decimals} places. */
  public static BigDecimal decimal(BigFraction number, int decimals) {
    return new BigDecimal(signedNumerator(number))
        .divide(new BigDecimal(number.getDenominator().abs()), decimals, RoundingMode.HALF_UP);
  }

  public static boolean isWhole(BigFraction number) {
    return number.getDenominator().abs().equals(BigInteger.ONE);
  }

  public static boolean isZero(BigFraction number) {
    return number.signum() == 0;
  }

  public static boolean isOne(BigFraction number) {
    return number.compareTo(BigFraction.ONE) == 0;
  }

  /** The largest whole number that is not above {@code number}. */
  public static BigInteger floor(BigFraction number) {
    BigInteger[] parts = signedNumerator(number).divideAndRemainder(number.getDenominator().abs());
    return parts[1].signum() < 0 ? parts[0].subtract(BigInteger.ONE) : parts[0];
  }

  /**
   * The smallest positive whole number that makes every one of {@code numbers} whole; 1 for none.
   */
  public static BigInteger commonDenominator(Collection<BigFraction> numbers) {
    BigInteger common = BigInteger.ONE;
    for (BigFraction number : numbers) {
      BigInteger next = number.getDenominator().abs();
      common = common.divide(common.gcd(next)).multiply(next);
    }
    return common;
  }

  private static BigInteger signedNumerator(BigFraction number) {
    BigInteger size = number.getNumerator().abs();
    return number.signum() < 0 ? size.negate() : size;
  }

  /**
   * Orders two numbers: negative where {@code a} is less. {@link BigFraction#compareTo} of
   * commons-numbers 1.2 puts two negative numbers the wrong way round.
   */
  public static int compare(BigFraction a, BigFraction b) {
    return a.subtract(b).signum();
  }
}
