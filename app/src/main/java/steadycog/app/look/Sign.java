package steadycog.app.look;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.util.Locale;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.TurnCount.TurnsAndDegrees;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Ratio;
import steadycog.train.MemberId;
import steadycog.train.Mesh;

/** Numbers as a printer would set them: real minus signs, thin spaces, degrees. */
public final class Sign {
  public static final String THIN = "\u2009";
  public static final String NARROW = "\u00a0";
  public static final String MINUS = "\u2212";
  public static final String DASH = "\u2013";
  private static final int MOST_PLAIN_DIGITS = 7;
  private static final int LONGEST_NAME = 8;
  private static final int SHORT_PART = 3;

  private Sign() {}

  /** A member as a sentence begins with it: {@code Wheel A}, {@code Sun}, {@code Inner planet}. */
  public static String called(MemberId id) {
    String name = id.name().startsWith("planet_") ? id.name().substring(7) + " planet" : id.name();
    boolean letters = name.equals(name.toUpperCase(Locale.ROOT));
    String word =
        letters ? "Wheel " + name : Character.toUpperCase(name.charAt(0)) + name.substring(1);
    return id.part().isEmpty() ? word : word + " of " + id.part();
  }

  /** A rounded number in five figures, fewer where zeros stand in front of them. */
  public static String number(double value) {
    return Figures.shown(value);
  }

  /** An exact number: {@code −375/32}. */
  public static String exact(BigFraction value) {
    return Figures.exact(value);
  }

  /** {@code 128 : 1} with thin spaces round the colon. */
  public static String reduction(Ratio ratio) {
    return ratio.reductionText().replace(" ", THIN);
  }

  /** A ratio with its sign, as i or as e = 1/i: {@code −3.5 : 1}, {@code e = −1 : 3.5}. */
  public static String ratio(Ratio ratio, boolean trainValueLeads) {
    String sign = ratio.sameDirection() ? "" : MINUS;
    return trainValueLeads ? "e = " + sign + trainValue(ratio) : sign + reduction(ratio);
  }

  /** A ratio without its sign, rounded: {@code 1.444 : 1}. */
  public static String colon(BigFraction ratio, int decimals) {
    return Ratio.colon(ratio, decimals).replace(" ", THIN);
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

  /** A share as {@code 98.5 %}, with so many decimals at most. */
  public static String percent(double share, int decimals) {
    return Figures.percent(share, decimals);
  }

  private static String raised(int power) {
    StringBuilder text = new StringBuilder();
    for (char digit : Integer.toString(power).toCharArray()) {
      text.append(
          "\u2070\u00b9\u00b2\u00b3\u2074\u2075\u2076\u2077\u2078\u2079".charAt(digit - '0'));
    }
    return text.toString();
  }

  /** A member's name within its part, as short as it stays clear: of pairs inner and outer. */
  public static String ownName(MemberId id) {
    return id.name().replace("planet_", "");
  }

  /** The two wheels of a mesh: {@code A ~ B}. */
  public static String mesh(Mesh mesh) {
    return shortName(mesh.a()) + " ~ " + shortName(mesh.b());
  }

  /** A member's address where there is little room: a long part name is cut to three letters. */
  public static String shortName(MemberId id) {
    String name = ownName(id);
    if (id.part().isEmpty()) {
      return name;
    }
    boolean fits = id.toString().length() <= LONGEST_NAME || id.part().length() <= SHORT_PART + 2;
    return (fits ? id.part() + "." : id.part().substring(0, SHORT_PART) + "\u2026") + name;
  }
}
