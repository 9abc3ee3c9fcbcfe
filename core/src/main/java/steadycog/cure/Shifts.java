package steadycog.cure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.shape.BasicRack;
import steadycog.shape.BevelPair;
import steadycog.train.MemberId;
import steadycog.train.Rack;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** Profile shifts worth trying on a wheel, in modules. */
public final class Shifts {
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
    if (!teeth.internal()) {
      againstUndercut(train.sizes().rackInForce(), teeth.count()).ifPresent(all::add);
    }
    return new ArrayList<>(all);
  }

  /**
   * The same of the first gear of a bevel pair, whose mate is shifted back by as much: both ways,
   * and what leaves the flanks of either whole.
   */
  static List<BigFraction> worthTrying(Train train, BevelPair pair) {
    Set<BigFraction> all = new LinkedHashSet<>();
    for (int tenths = -TENTHS_TO; tenths <= TENTHS_TO; tenths++) {
      all.add(Exact.of(tenths, 10));
    }
    Rack rack = train.sizes().rackInForce();
    againstUndercut(rack, pair.one().virtualTeeth()).ifPresent(all::add);
    againstUndercut(rack, pair.other().virtualTeeth()).ifPresent(x -> all.add(x.negate()));
    return new ArrayList<>(all);
  }

  /**
   * The least shift that leaves the flanks of an external wheel of {@code count} teeth whole, to
   * the next hundredth of a module; empty where it needs none.
   */
  public static Optional<BigFraction> againstUndercut(Rack rack, double count) {
    double least = BasicRack.of(rack).shiftAgainstUndercut(count);
    if (least <= 0) {
      return Optional.empty();
    }
    BigDecimal hundredths = BigDecimal.valueOf(least).setScale(2, RoundingMode.CEILING);
    return Optional.of(Exact.parse(hundredths.stripTrailingZeros().toPlainString()));
  }
}
