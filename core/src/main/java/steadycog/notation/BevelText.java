package steadycog.notation;

import java.util.Locale;
import java.util.Optional;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Bevel;
import steadycog.train.Bevel.Side;
import steadycog.train.Differential;

/**
 * Reads and prints {@code bevel 11 ~ 43 crown left offset 20 mm} and {@code differential side 16
 * spider 10 x2}.
 */
final class BevelText {
  private static final String TEETH = "a tooth count such as 11";
  private static final String SIDES = "crown left or crown right";

  private BevelText() {}

  static String print(Bevel part) {
    return "bevel "
        + part.pinion()
        + " ~ "
        + part.crown()
        + (part.side() == Side.LEFT ? " crown left" : "")
        + part.offset().map(length -> " offset " + length).orElse("");
  }

  static String print(Differential part) {
    return "differential side "
        + part.side()
        + " spider "
        + part.spider()
        + (part.spiders() == Differential.USUAL_SPIDERS ? "" : " x" + part.spiders());
  }

  static Bevel readBevel(String name, Statement statement) throws BadStatement {
    Token at = statement.peek();
    int pinion = statement.expectCount(TEETH);
    statement.expectSign("~", "~ and the teeth of the crown");
    int crown = statement.expectCount(TEETH);
    Side side = Side.RIGHT;
    Optional<Quantity> offset = Optional.empty();
    if (statement.accept("crown")) {
      side = readSide(statement);
    }
    if (statement.accept("offset")) {
      offset = Optional.of(statement.expectQuantity(Unit.Dimension.LENGTH));
    }
    statement.expectEnd(SIDES + ", offset with a length, or the end of the statement");
    Side chosen = side;
    return Statement.at(at, offset, away -> new Bevel(name, pinion, crown, chosen, away));
  }

  private static Side readSide(Statement statement) throws BadStatement {
    for (Side side : Side.values()) {
      if (statement.accept(side.name().toLowerCase(Locale.ROOT))) {
        return side;
      }
    }
    throw Statement.unexpected(statement.peek(), "left or right");
  }

  static Differential readDifferential(String name, Statement statement) throws BadStatement {
    statement.expectSign("side", "side with a tooth count, as in side 16 spider 10");
    int side = statement.expectCount(TEETH);
    statement.expectSign("spider", "spider with a tooth count, as in side 16 spider 10");
    statement.split("x");
    int spider = statement.expectCount(TEETH);
    int spiders = Differential.USUAL_SPIDERS;
    Token at = statement.peek();
    if (!statement.atEnd()) {
      Token word = statement.expectWord("a number of spiders such as x2");
      if (!word.text().matches("[xX]\\d{1,3}")) {
        throw Statement.unexpected(word, "a number of spiders such as x2");
      }
      spiders = Integer.parseInt(word.text().substring(1));
    }
    statement.expectEnd("the end of the statement");
    return Statement.at(at, spiders, count -> new Differential(name, side, spider, count));
  }
}
