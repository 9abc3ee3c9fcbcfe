package steadycog.notation;

import java.util.Optional;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Unit;
import steadycog.train.Pitch;

/** The size of teeth as it is written: {@code module 1.5 mm} or {@code dp 16}. */
public final class PitchText {
  private static final String MODULE = "module";
  private static final String DP = "dp";

  private PitchText() {}

  /** What {@code text} says; the word {@code module} may be left out. Empty if it says nothing. */
  public static Optional<Pitch> read(String text) {
    try {
      for (var tokens : Tokens.statements(text)) {
        boolean named = isPitch(tokens.getFirst());
        Statement statement =
            named
                ? new Statement(tokens)
                : new Statement(Tokens.statements(MODULE + " " + text).getFirst());
        return Optional.of(read(statement));
      }
      return Optional.empty();
    } catch (BadStatement unreadable) {
      return Optional.empty();
    }
  }

  static boolean isPitch(Token word) {
    return word.is(MODULE) || word.is(DP);
  }

  static Pitch read(Statement statement) throws BadStatement {
    boolean diametral = statement.next().is(DP);
    Token at = statement.peek();
    Pitch pitch =
        diametral
            ? Statement.at(at, statement.expectNumber("teeth an inch as 16"), Pitch.Diametral::new)
            : Statement.at(at, statement.expectQuantity(Unit.Dimension.LENGTH), Pitch.Module::new);
    statement.expectEnd("the end of the statement");
    return pitch;
  }
}
