package steadycog.notation;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Cycloidal;
import steadycog.train.Cycloidal.Outputs;
import steadycog.train.Cycloidal.Sizes;

/**
 * Reads and prints {@code cycloidal lobes 29 pins 30 circle 96 mm pin 5 mm eccentric 1 mm bore 30
 * mm outputs 6 x 8 mm on 56 mm discs 2}: all sizes may be left out.
 */
final class CycloidalText {
  private static final String CLAUSES =
      "lobes, pins, circle, pin, eccentric, bore, outputs or discs";
  private static final String COUNT = "a count such as 29";

  private Optional<Integer> lobes = Optional.empty();
  private Optional<Integer> pins = Optional.empty();
  private Sizes sizes = Sizes.USUAL;

  private CycloidalText() {}

  static String print(Cycloidal part) {
    Sizes sizes = part.sizes();
    StringBuilder text = new StringBuilder("cycloidal lobes ").append(part.lobes());
    text.append(" pins ").append(part.pins());
    sizes.circle().ifPresent(length -> text.append(" circle ").append(length));
    sizes.pin().ifPresent(length -> text.append(" pin ").append(length));
    sizes.eccentricity().ifPresent(length -> text.append(" eccentric ").append(length));
    sizes.bore().ifPresent(length -> text.append(" bore ").append(length));
    sizes
        .outputs()
        .ifPresent(
            out ->
                text.append(" outputs ")
                    .append(out.count())
                    .append(" x ")
                    .append(out.pin())
                    .append(" on ")
                    .append(out.circle()));
    text.append(sizes.discs() == 1 ? "" : " discs " + sizes.discs());
    return text.toString();
  }

  static Cycloidal read(String name, Statement statement) throws BadStatement {
    return new CycloidalText().readAll(name, statement);
  }

  private Cycloidal readAll(String name, Statement statement) throws BadStatement {
    Token first = statement.peek();
    Set<String> seen = new HashSet<>();
    while (!statement.atEnd()) {
      Token word = statement.expectWord(CLAUSES);
      String clause = word.text().toLowerCase(Locale.ROOT);
      if (!List.of("lobes", "pins", "circle", "pin", "eccentric", "bore", "outputs", "discs")
          .contains(clause)) {
        throw Statement.unexpected(word, CLAUSES);
      }
      if (!seen.add(clause)) {
        throw new BadStatement(word.problem("a second " + clause + " in one drive: leave one"));
      }
      readClause(clause, statement);
    }
    if (lobes.isEmpty() && pins.isEmpty()) {
      throw Statement.unexpected(statement.peek(), "lobes with a count, as in lobes 29 pins 30");
    }
    int count = lobes.orElseGet(() -> pins.orElseThrow() - 1);
    return Statement.at(first, count, n -> new Cycloidal(name, n, pins.orElse(n + 1), sizes));
  }

  private void readClause(String clause, Statement statement) throws BadStatement {
    Token at = statement.peek();
    switch (clause) {
      case "lobes" -> lobes = Optional.of(statement.expectCount(COUNT));
      case "pins" -> pins = Optional.of(statement.expectCount(COUNT));
      case "discs" ->
          sizes = Statement.at(at, statement.expectCount("1, 2 or 3"), sizes::withDiscs);
      case "outputs" -> readOutputs(statement);
      default -> {
        Quantity length = statement.expectQuantity(Unit.Dimension.LENGTH);
        sizes = Statement.at(at, length, given -> with(clause, given));
      }
    }
  }

  private Sizes with(String clause, Quantity length) {
    return switch (clause) {
      case "circle" ->
          new Sizes(
              Optional.of(length),
              sizes.pin(),
              sizes.eccentricity(),
              sizes.bore(),
              sizes.outputs(),
              sizes.discs());
      case "pin" -> sizes.withPin(length);
      case "eccentric" -> sizes.withEccentricity(length);
      default ->
          new Sizes(
              sizes.circle(),
              sizes.pin(),
              sizes.eccentricity(),
              Optional.of(length),
              sizes.outputs(),
              sizes.discs());
    };
  }

  private void readOutputs(Statement statement) throws BadStatement {
    Token at = statement.peek();
    statement.split("[xX\u00d7]");
    int count = statement.expectCount("the number of output pins, as in 6 x 8 mm on 56 mm");
    statement.splitAfter("[xX\u00d7]");
    if (!statement.accept("x") && !statement.accept("\u00d7")) {
      throw Statement.unexpected(statement.peek(), "x and the diameter of the output pins");
    }
    Quantity pin = statement.expectQuantity(Unit.Dimension.LENGTH);
    if (!statement.accept("on")) {
      throw Statement.unexpected(statement.peek(), "on and the diameter of their circle");
    }
    Quantity circle = statement.expectQuantity(Unit.Dimension.LENGTH);
    sizes = Statement.at(at, count, n -> sizes.withOutputs(new Outputs(n, pin, circle)));
  }
}
