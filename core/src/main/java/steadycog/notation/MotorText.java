package steadycog.notation;

import java.util.Optional;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Motor;

/** A motor as it is written: {@code motor 0.42 Nm 5200 rpm}, stall torque and no-load speed. */
public final class MotorText {
  private static final String MOTOR = "motor";

  private MotorText() {}

  /** What {@code text} says, with or without the word {@code motor}; empty if it says nothing. */
  public static Optional<Motor> read(String text) {
    try {
      for (var tokens : Tokens.statements(text)) {
        boolean named = tokens.getFirst().is(MOTOR);
        Statement statement =
            named
                ? new Statement(tokens)
                : new Statement(Tokens.statements(MOTOR + " " + text).getFirst());
        Motor motor = read(statement);
        statement.expectEnd("the end of the motor");
        return Optional.of(motor);
      }
      return Optional.empty();
    } catch (BadStatement unreadable) {
      return Optional.empty();
    }
  }

  static Motor read(Statement statement) throws BadStatement {
    statement.next();
    Token at = statement.peek();
    Quantity first = statement.expectQuantity(Unit.Dimension.TORQUE, Unit.Dimension.SPEED);
    boolean torqueFirst = first.unit().dimension() == Unit.Dimension.TORQUE;
    Quantity second =
        statement.expectQuantity(torqueFirst ? Unit.Dimension.SPEED : Unit.Dimension.TORQUE);
    return Statement.at(
        at, first, given -> torqueFirst ? new Motor(given, second) : new Motor(second, given));
  }
}
