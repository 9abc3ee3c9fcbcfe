package steadycog.notation;

import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/** A length typed by itself: {@code 39.6 mm}, {@code 1.25in}, or a bare number of mm. */
public final class LengthText {
  private LengthText() {}

  /** Empty if it is none. */
  public static Optional<Quantity> read(String text) {
    return read(text, Unit.MM);
  }

  /** The same, a bare number in {@code usual}. */
  public static Optional<Quantity> read(String text, Unit usual) {
    String bare = text.strip();
    if (Exact.isNumber(bare)) {
      BigFraction value = Exact.parse(bare);
      return Optional.of(new Quantity(value, usual));
    }
    return QuantityText.read(bare, Unit.Dimension.LENGTH);
  }
}
