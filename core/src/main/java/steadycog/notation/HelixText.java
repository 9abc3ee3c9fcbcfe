package steadycog.notation;

import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.notation.Statement.BadStatement;
import steadycog.train.Helix;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Sizes;
import steadycog.train.WheelSize;

/**
 * How teeth wind: {@code helix 20 deg} of all, {@code helix fore 20 deg} of a part, {@code helix
 * sun 15 deg left} of a wheel and all that mesh with it; {@code double} for herringbones.
 */
final class HelixText {
  private HelixText() {}

  /** Reads what follows the verb; whoever calls looks for the end. */
  static Sizes read(Statement statement, List<Part> parts, MemberNames names) throws BadStatement {
    Token at = statement.peek();
    if (at.text().isEmpty() || !Character.isLetter(at.text().charAt(0))) {
      return Sizes.UNSTATED.withCommon(size(statement));
    }
    Optional<Part> named =
        parts.stream()
            .filter(part -> !part.name().isEmpty() && part.name().equalsIgnoreCase(at.text()))
            .findFirst();
    if (named.isPresent()) {
      require(named.get().takesHelix(), at, at.text());
      statement.next();
      return OwnPitches.ofMeshes(named.get(), size(statement));
    }
    MemberId wheel = names.read(statement);
    Part part = SizeText.part(wheel, parts);
    require(part.takesHelix() && SizeText.toothed(part, wheel), at, wheel.toString());
    return Sizes.UNSTATED.with(wheel, size(statement));
  }

  private static void require(boolean takes, Token at, String whose) throws BadStatement {
    if (!takes) {
      throw new BadStatement(
          at.problem(
              "a helix of " + whose + ": only involute teeth on parallel axes wind; leave it out"));
    }
  }

  private static WheelSize size(Statement statement) throws BadStatement {
    Token at = statement.peek();
    BigFraction degrees = SizeText.degrees(statement, "a helix angle in degrees, as 20");
    boolean doubled = statement.accept("double");
    Optional<Helix.Hand> hand =
        statement.atEnd() ? Optional.empty() : Helix.Hand.of(statement.peek().text());
    if (hand.isPresent()) {
      statement.next();
    } else if (!statement.atEnd()) {
      throw Statement.unexpected(statement.peek(), "double, left, right or " + SizeText.END);
    }
    Helix helix = Statement.at(at, degrees, given -> new Helix(given, hand, doubled));
    return WheelSize.NONE.withHelix(Optional.of(helix));
  }
}
