package steadycog.notation;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Built;
import steadycog.train.Helix;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Sizes;
import steadycog.train.WheelSize;

/**
 * How teeth wind: {@code helix 20 deg} of all, {@code helix fore 20 deg} of a part, {@code helix
 * sun 15 deg left} of a wheel and all that mesh with it; {@code double} for herringbones, {@code
 * double groove 2 mm} for those with a groove between their halves. And how wheels come to their
 * places that cannot be pushed into teeth which wind both ways: {@code build ring in halves},
 * {@code build in place}.
 */
final class HelixText {
  private HelixText() {}

  private interface Reading {
    WheelSize of(Statement statement) throws BadStatement;
  }

  /** Reads what follows the verb; whoever calls looks for the end. */
  static Sizes read(Statement statement, List<Part> parts, MemberNames names) throws BadStatement {
    Token at = statement.peek();
    if (at.text().isEmpty() || !Character.isLetter(at.text().charAt(0))) {
      return Sizes.UNSTATED.withCommon(size(statement));
    }
    return of(statement, parts, names, HelixText::size, OwnPitches::ofMeshes);
  }

  /** The same of how wheels come to their places; a part's statement is that of all its wheels. */
  static Sizes readBuilt(Statement statement, List<Part> parts, MemberNames names)
      throws BadStatement {
    boolean all = statement.peek().is("in") && Built.of(statement.peekSecond().text()).isPresent();
    return all
        ? Sizes.UNSTATED.withCommon(built(statement))
        : of(statement, parts, names, HelixText::built, HelixText::ofAll);
  }

  /** Of a part, spread over its wheels, or of one wheel. */
  private static Sizes of(
      Statement statement,
      List<Part> parts,
      MemberNames names,
      Reading reading,
      BiFunction<Part, WheelSize, Sizes> spread)
      throws BadStatement {
    Token at = statement.peek();
    Optional<Part> named =
        parts.stream()
            .filter(part -> !part.name().isEmpty() && part.name().equalsIgnoreCase(at.text()))
            .findFirst();
    if (named.isPresent()) {
      require(named.get().takesHelix(), at, at.text());
      statement.next();
      return spread.apply(named.get(), reading.of(statement));
    }
    MemberId wheel = names.read(statement);
    Part part = SizeText.part(wheel, parts);
    require(part.takesHelix() && SizeText.toothed(part, wheel), at, wheel.toString());
    return Sizes.UNSTATED.with(wheel, reading.of(statement));
  }

  private static void require(boolean takes, Token at, String whose) throws BadStatement {
    if (!takes) {
      throw new BadStatement(
          at.problem(
              "teeth of " + whose + ": only involute teeth on parallel axes wind; leave it out"));
    }
  }

  private static Sizes ofAll(Part part, WheelSize size) {
    Sizes all = Sizes.UNSTATED;
    for (Member wheel : part.members()) {
      all = wheel.teeth().isPresent() ? all.with(wheel.id(), size) : all;
    }
    return all;
  }

  private static WheelSize built(Statement statement) throws BadStatement {
    String expected = "in halves or in place";
    Token at = statement.peek();
    Optional<Built> built =
        statement.accept("in") ? Built.of(statement.peek().text()) : Optional.empty();
    if (built.isEmpty()) {
      throw Statement.unexpected(at, expected);
    }
    statement.next();
    return WheelSize.NONE.withBuilt(built);
  }

  private static WheelSize size(Statement statement) throws BadStatement {
    return WheelSize.NONE.withHelix(Optional.of(helix(statement)));
  }

  static Helix helix(Statement statement) throws BadStatement {
    Token at = statement.peek();
    BigFraction degrees = SizeText.degrees(statement, "a helix angle in degrees, as 20");
    boolean doubled = statement.accept("double");
    Optional<Quantity> groove =
        statement.accept("groove")
            ? Optional.of(statement.expectQuantity(Unit.Dimension.LENGTH))
            : Optional.empty();
    Optional<Helix.Hand> hand =
        statement.atEnd() ? Optional.empty() : Helix.Hand.of(statement.peek().text());
    if (hand.isPresent()) {
      statement.next();
    } else if (!statement.atEnd()) {
      throw Statement.unexpected(
          statement.peek(), "double, groove, left, right or " + SizeText.END);
    }
    return Statement.at(at, degrees, given -> new Helix(given, hand, doubled, groove));
  }
}
