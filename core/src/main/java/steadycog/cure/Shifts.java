package steadycog.cure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.shape.BasicRack;
import steadycog.train.MemberId;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** Profile shifts worth trying on a wheel, in modules. */
final class Shifts {
  private static final int TENTHS_FROM = -5;
  private static final int TENTHS_TO = 10;

  private Shifts() {}

  /**
   * Tenths of a module from -0.5 to 1, what is stated already, and the least that leaves the flanks
   * whole, to the next hundredth.
   */
  static List<BigFraction> worthTrying(Train train, MemberId wheel) {
    Set<BigFraction> all = new LinkedHashSet<>();
    for (int tenths = TENTHS_FROM; tenths <= TENTHS_TO; tenths++) {
      all.add(Exact.of(tenths, 10));
    }
    train.sizes().shift(wheel).ifPresent(all::add);
    Teeth teeth = train.member(wheel).teeth().orElseThrow();
    double whole = BasicRack.of(train.sizes().rackInForce()).shiftAgainstUndercut(teeth.count());
    if (!teeth.internal() && whole > 0) {
      all.add(rounded(whole, RoundingMode.CEILING));
    }
    return new ArrayList<>(all);
  }

  /** To hundredths of a module. */
  static BigFraction rounded(double shift, RoundingMode mode) {
    BigDecimal hundredths = BigDecimal.valueOf(shift).setScale(2, mode).stripTrailingZeros();
    return Exact.parse(hundredths.toPlainString());
  }
}
