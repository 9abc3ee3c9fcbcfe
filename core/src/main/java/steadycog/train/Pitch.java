package steadycog.train;

import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/** How large the teeth are: one pitch for the whole train (ISO 54, module m = d/z). */
public sealed interface Pitch {

  /** The module in mm, exact and positive. */
  BigFraction moduleMm();

  /** Whether it is stated in inches, so that lengths are wanted in them. */
  boolean inInches();

  /** As a card states it: {@code module 1.5 mm} or {@code dp 16}. */
  String statement();

  /** A module as a length. */
  record Module(Quantity length) implements Pitch {
    public Module {
      Drive.requireDimension(length, Unit.Dimension.LENGTH);
      requirePositive(length.value(), "module");
    }

    @Override
    public BigFraction moduleMm() {
      return length.value().multiply(length.unit().factor());
    }

    @Override
    public boolean inInches() {
      return length.unit() == Unit.IN;
    }

    @Override
    public String statement() {
      return "module " + length;
    }
  }

  /** A diametral pitch: teeth an inch of pitch diameter, m = 25.4 mm / DP. */
  record Diametral(BigFraction teethPerInch) implements Pitch {
    public Diametral {
      requirePositive(teethPerInch, "dp");
    }

    @Override
    public BigFraction moduleMm() {
      return Unit.IN.factor().divide(teethPerInch);
    }

    @Override
    public boolean inInches() {
      return true;
    }

    @Override
    public String statement() {
      return "dp " + Exact.plain(teethPerInch);
    }
  }

  private static void requirePositive(BigFraction value, String what) {
    if (value.signum() <= 0) {
      throw new IllegalArgumentException(what + ": expected more than 0");
    }
  }
}
