package steadycog.number;

import java.math.BigDecimal;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * A transmission ratio, kept as the reduction ratio i = input speed / output speed (for one pair:
 * driven teeth / driver teeth). Signed: negative turns the output the other way. Never zero. Its
 * reciprocal is the train value e (Norton, <i>Design of Machinery</i>, ch. 9).
 *
 * @param reduction i, exact
 */
public record Ratio(BigFraction reduction) {
  /** A ratio or step nearer to 1 : 1 than this is seldom worth its parts. */
  public static final BigFraction NEAR_ONE = Exact.of(115, 100);

  private static final int DECIMALS = 4;

  public Ratio {
    if (Exact.isZero(reduction)) {
      throw new IllegalArgumentException("a ratio is never zero");
    }
  }

  /** e = output speed / input speed = 1/i. */
  public BigFraction trainValue() {
    return reduction.reciprocal();
  }

  /** Whether input and output turn the same way. */
  public boolean sameDirection() {
    return reduction.signum() > 0;
  }

  public Mode mode() {
    return Mode.of(reduction);
  }

  /** Whether it is so near to 1 : 1, either way and in either direction, as to be of little use. */
  public boolean isNearOne() {
    BigFraction size = reduction.abs();
    BigFraction larger = size.compareTo(BigFraction.ONE) < 0 ? size.reciprocal() : size;
    return larger.compareTo(NEAR_ONE) <= 0;
  }

  /** i without its sign as people write it: {@code 3.25 : 1}, or {@code 1 : 4} when it gears up. */
  public String reductionText() {
    return colon(reduction, DECIMALS);
  }

  /** e without its sign in the same manner: {@code 1 : 3.25}. */
  public String trainValueText() {
    return colon(trainValue(), DECIMALS);
  }

  /** A ratio without its sign, the larger side rounded to at most {@code decimals} places. */
  public static String colon(BigFraction ratio, int decimals) {
    BigFraction size = ratio.abs();
    return size.compareTo(BigFraction.ONE) < 0
        ? "1 : " + rounded(size.reciprocal(), decimals)
        : rounded(size, decimals) + " : 1";
  }

  private static String rounded(BigFraction size, int decimals) {
    BigDecimal decimal = Exact.decimal(size, decimals).stripTrailingZeros();
    return decimal.scale() < 0 ? decimal.toPlainString() : decimal.toString();
  }
}
