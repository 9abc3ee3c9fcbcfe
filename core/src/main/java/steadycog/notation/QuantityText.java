package steadycog.notation;

import java.util.List;
import java.util.Optional;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/** A number with its unit as it is written on a card, in a field of its own: {@code 40 Nm}. */
public final class QuantityText {
  private QuantityText() {}

  /** What {@code text} says; empty if it is no quantity of one of {@code dimensions}. */
  public static Optional<Quantity> read(String text, Unit.Dimension... dimensions) {
    try {
      for (List<Token> tokens : Tokens.statements(text)) {
        Statement statement = new Statement(tokens);
        Quantity quantity = statement.expectQuantity(dimensions);
        statement.expectEnd("the end");
        return Optional.of(quantity);
      }
      return Optional.empty();
    } catch (BadStatement unreadable) {
      return Optional.empty();
    }
  }
}
