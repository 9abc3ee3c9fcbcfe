package steadycog.notation;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit.Dimension;
import steadycog.train.BallBearing;
import steadycog.train.BearingSize;
import steadycog.train.MemberId;
import steadycog.train.ShaftSize;
import steadycog.train.ShaftSize.Term;
import steadycog.train.Sizes;
import steadycog.train.WheelSize;

/**
 * What carries wheels: {@code shafting C strength 700 MPa factor 2}, {@code shafting planet both
 * ends}, {@code bearing C rating 4.5 kN at -8 mm 40 mm}. Without a member it is said of all.
 */
final class ShaftText {
  private static final String SHAFTING =
      "strength or yield and a stress, bending, torsion or factor and a number, or both ends";
  private static final String BEARING =
      "a bearing such as 608, rating and a force, or at and two lengths";
  private static final List<String> OF_BEARINGS = List.of("rating", "at");

  private ShaftText() {}

  static Sizes read(String verb, Statement statement, MemberNames names) throws BadStatement {
    boolean shafting = verb.equals("shafting");
    List<String> words = shafting ? Follows.SHAFTINGS : OF_BEARINGS;
    boolean all = isOneOf(words, statement.peek()) && !isOneOf(words, statement.peekSecond());
    // Of all: "both ends" is two of the words by themselves, a bearing's name is a number.
    all = all || statement.peek().is("both") || isNumber(statement.peek());
    Optional<MemberId> member = all ? Optional.empty() : Optional.of(names.read(statement));
    Token at = statement.peek();
    WheelSize size =
        shafting
            ? WheelSize.NONE.withShaft(Optional.of(shafting(statement)))
            : WheelSize.NONE.withBearing(Optional.of(bearing(statement)));
    if (all && size.bearing().flatMap(BearingSize::places).isPresent()) {
      throw new BadStatement(
          at.problem("places of bearings without a wheel: say whose, as bearing C at -8 mm 40 mm"));
    }
    return member
        .map(id -> Sizes.UNSTATED.with(id, size))
        .orElseGet(() -> Sizes.UNSTATED.withCommon(size));
  }

  private static boolean isOneOf(List<String> words, Token token) {
    return words.contains(token.text().toLowerCase(Locale.ROOT));
  }

  private static boolean isNumber(Token token) {
    return token.text().matches("\\d+");
  }

  private static BadStatement again(Token word) {
    return new BadStatement(word.problem("a second " + word.text() + ": leave one"));
  }

  private static ShaftSize shafting(Statement statement) throws BadStatement {
    ShaftSize size = ShaftSize.NONE;
    do {
      ShaftSize sofar = size;
      Token word = statement.expectWord(SHAFTING);
      Optional<Term> term = Term.of(word.text());
      boolean strength = word.is("strength");
      if (strength || word.is("yield")) {
        if ((strength ? sofar.strength() : sofar.yield()).isPresent()) {
          throw again(word);
        }
        Token at = statement.peek();
        Quantity stress = statement.expectQuantity(Dimension.STRESS);
        size = Statement.at(at, stress, strength ? sofar::withStrength : sofar::withYield);
      } else if (word.is("both") && statement.accept("ends")) {
        size = sofar.withBothEnds();
      } else if (term.isPresent()) {
        if (sofar.terms().containsKey(term.get())) {
          throw again(word);
        }
        Token at = statement.peek();
        BigFraction number =
            statement.expectNumber(term.get().says() + ", as " + Exact.plain(term.get().usual()));
        size = Statement.at(at, number, given -> sofar.with(term.get(), given));
      } else {
        throw Statement.unexpected(word, SHAFTING);
      }
    } while (!statement.atEnd());
    return size;
  }

  private static BearingSize bearing(Statement statement) throws BadStatement {
    BearingSize size = BearingSize.NONE;
    do {
      BearingSize sofar = size;
      Token word = statement.expectWord(BEARING);
      Token at = statement.peek();
      if (word.is("rating")) {
        if (sofar.rating().isPresent()) {
          throw again(word);
        }
        Quantity force = statement.expectQuantity(Dimension.FORCE);
        size = Statement.at(at, force, sofar::withRating);
      } else if (isNumber(word)) {
        if (sofar.bearing().isPresent()) {
          throw new BadStatement(word.problem("a second bearing: leave one"));
        }
        size =
            sofar.withBearing(
                BallBearing.of(word.text())
                    .orElseThrow(
                        () -> Statement.unexpected(word, "one of " + BallBearing.names())));
      } else if (word.is("at")) {
        if (sofar.places().isPresent()) {
          throw again(word);
        }
        Quantity first = statement.expectQuantity(Dimension.LENGTH);
        Quantity second = statement.expectQuantity(Dimension.LENGTH);
        size =
            Statement.at(at, second, far -> sofar.withPlaces(new BearingSize.Places(first, far)));
      } else {
        throw Statement.unexpected(word, BEARING);
      }
    } while (!statement.atEnd());
    return size;
  }
}
