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

  /** i without its sign as people write it: {@code 3.25 : 1}, or {@code 1 : 4} when it gears up. */
  public String reductionText() {
    return colon(reduction.abs());
  }

  /** e without its sign in the same manner: {@code 1 : 3.25}. */
  public String trainValueText() {
    return colon(trainValue().abs());
  }

  private static String colon(BigFraction size) {
    return size.compareTo(BigFraction.ONE) < 0
        ? "1 : " + rounded(size.reciprocal())
        : rounded(size) + " : 1";
  }

  private static String rounded(BigFraction size) {
    BigDecimal decimal = Exact.decimal(size, DECIMALS).stripTrailingZeros();
    return decimal.scale() < 0 ? decimal.toPlainString() : decimal.toString();
  }
}
