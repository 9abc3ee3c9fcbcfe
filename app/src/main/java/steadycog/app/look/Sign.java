package steadycog.app.look;

import java.math.BigDecimal;
import java.math.BigInteger;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.TurnCount.TurnsAndDegrees;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Ratio;
import steadycog.train.MemberId;

/** Numbers as a printer would set them: real minus signs, thin spaces, degrees. */
public final class Sign {
  public static final String THIN = "\u2009";
  public static final String NARROW = "\u00a0";
  public static final String MINUS = "\u2212";
  public static final String DASH = "\u2013";
  private static final int DIGITS = 5;
  private static final int MOST_PLAIN_DIGITS = 7;
  private static final int LONGEST_NAME = 8;

  private Sign() {}

  /** A rounded number in five figures. */
  public static String number(double value) {
    return Figures.typeset(Figures.significant(value, DIGITS));
  }

  /** An exact number: {@code −375/32}. */
  public static String exact(BigFraction value) {
    return Figures.typeset(Exact.text(value));
  }

  /** {@code 128 : 1} with thin spaces round the colon. */
  public static String reduction(Ratio ratio) {
    return ratio.reductionText().replace(" ", THIN);
  }

  public static String trainValue(Ratio ratio) {
    return ratio.trainValueText().replace(" ", THIN);
  }

  /** Whole turns and degrees, {@code −1 t 72.0°} or {@code −72.0°}; the sign stands in front. */
  public static String turns(BigFraction turns) {
    TurnsAndDegrees split = TurnsAndDegrees.of(turns.abs());
    BigDecimal degrees = Exact.decimal(split.degrees(), 1);
    BigInteger whole = split.whole();
    if (degrees.compareTo(BigDecimal.valueOf(360)) >= 0) {
      degrees = degrees.subtract(BigDecimal.valueOf(360));
      whole = whole.add(BigInteger.ONE);
    }
    boolean nothing = whole.signum() == 0 && degrees.signum() == 0;
    String sign = turns.signum() < 0 && !nothing ? MINUS : "";
    String front = whole.signum() == 0 ? "" : whole + NARROW + "t ";
    return sign + front + degrees.toPlainString() + "\u00b0";
  }

  /** A whole number of any size: in full up to seven digits, then as a power of ten. */
  public static String count(BigInteger number) {
    String digits = number.toString();
    if (digits.length() <= MOST_PLAIN_DIGITS) {
      return digits;
    }
    return digits.charAt(0)
        + "."
        + digits.charAt(1)
        + "\u00a0\u00d7\u00a010"
        + raised(digits.length() - 1);
  }

  private static String raised(int power) {
    StringBuilder text = new StringBuilder();
    for (char digit : Integer.toString(power).toCharArray()) {
      text.append(
          "\u2070\u00b9\u00b2\u00b3\u2074\u2075\u2076\u2077\u2078\u2079".charAt(digit - '0'));
    }
    return text.toString();
  }

  /** A member's address where there is little room: a long part name is cut to three letters. */
  public static String shortName(MemberId id) {
    return id.toString().length() <= LONGEST_NAME
        ? id.toString()
        : id.part().substring(0, 3) + "\u2026" + id.name();
  }
}
