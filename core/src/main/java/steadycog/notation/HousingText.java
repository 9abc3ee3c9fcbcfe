package steadycog.notation;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit.Dimension;
import steadycog.train.Housing;
import steadycog.train.Housing.Bolts;
import steadycog.train.MotorFace;
import steadycog.train.Screw;

/**
 * The box round a train: {@code housing wall 3 mm bolts 4 x M3}, {@code motor face 42 mm}, {@code
 * leave out dowel pin}.
 */
final class HousingText {
  private static final String EXPECTED = "wall and a length, or bolts, as bolts 4 x M3";

  private HousingText() {}

  static Housing housing(Statement statement) throws BadStatement {
    Housing housing = Housing.NONE;
    do {
      Housing sofar = housing;
      Token word = statement.expectWord(EXPECTED);
      boolean wall = word.is("wall");
      if (!wall && !word.is("bolts")) {
        throw Statement.unexpected(word, EXPECTED);
      }
      if ((wall ? sofar.wall() : sofar.bolts()).isPresent()) {
        throw new BadStatement(word.problem("a second " + word.text() + ": leave one"));
      }
      Token at = statement.peek();
      if (wall) {
        Quantity length = statement.expectQuantity(Dimension.LENGTH);
        housing = Statement.at(at, Optional.of(length), sofar::withWall);
      } else {
        housing = sofar.withBolts(Optional.of(bolts(statement)));
      }
    } while (!statement.atEnd());
    return housing;
  }

  static Bolts bolts(Statement statement) throws BadStatement {
    Token at = statement.peek();
    String expected = "how many screws and their size, as 4 x M3";
    BigFraction count = statement.expectNumber(expected);
    if (!Exact.isWhole(count)) {
      throw Statement.unexpected(at, expected);
    }
    if (!statement.accept("x") && !statement.accept("\u00d7")) {
      throw Statement.unexpected(statement.peek(), "x and a size, as 4 x M3");
    }
    Token size = statement.expectWord("a size: " + Screw.names());
    Screw screw =
        Screw.of(size.text())
            .orElseThrow(() -> Statement.unexpected(size, "a size: " + Screw.names()));
    return Statement.at(at, count, number -> new Bolts(number.intValue(), screw));
  }

  /** The name of a piece goes on to the end. */
  static Housing leftOut(Statement statement) throws BadStatement {
    if (!statement.accept("out")) {
      throw Statement.unexpected(statement.peek(), "out and a piece, as leave out dowel pin");
    }
    List<String> words = new ArrayList<>();
    do {
      words.add(statement.expectWord("a piece as the bill of the gearbox names it").text());
    } while (!statement.atEnd());
    return Housing.NONE.without(List.of(String.join(" ", words)));
  }

  static Housing motor(Statement statement) throws BadStatement {
    if (!statement.accept("face")) {
      throw Statement.unexpected(statement.peek(), "face and its size, as motor face 42 mm");
    }
    Token at = statement.peek();
    Quantity size = statement.expectQuantity(Dimension.LENGTH);
    Optional<MotorFace> face = MotorFace.of(size.inBase());
    if (face.isEmpty()) {
      throw Statement.unexpected(at, "one of " + MotorFace.sizes());
    }
    return Housing.NONE.withMotor(face);
  }
}
