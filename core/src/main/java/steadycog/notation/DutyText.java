package steadycog.notation;

import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.notation.Statement.BadStatement;
import steadycog.number.Exact;
import steadycog.train.Duty;
import steadycog.train.Duty.Mounting;
import steadycog.train.Duty.Term;
import steadycog.train.Geometry;
import steadycog.train.WheelSize;

/**
 * What teeth must bear: {@code rating life 10000 h quality 6 overload 1.25 reliability 0.99},
 * {@code duty low 70 %}, {@code hardness sun 240 HB}.
 */
final class DutyText {
  private static final String EXPECTED =
      "life, quality, overload, reliability, grade, bending or contact and a number, open,"
          + " enclosed, precise, finest or crowned";

  private DutyText() {}

  static Duty rating(Statement statement) throws BadStatement {
    Duty duty = Duty.NONE;
    do {
      Token word = statement.expectWord(EXPECTED);
      Optional<Term> term = Term.of(word.text());
      Optional<Mounting> mounting = Mounting.of(word.text());
      Duty sofar = duty;
      if (term.isPresent()) {
        if (duty.terms().containsKey(term.get())) {
          throw new BadStatement(word.problem("a second " + word.text() + ": leave one"));
        }
        duty = term(statement, sofar, term.get());
      } else if (mounting.isPresent() && sofar.mounting().isEmpty()) {
        duty = sofar.withMounting(mounting.get());
      } else if (word.is("crowned")) {
        duty = sofar.withCrowned();
      } else {
        throw Statement.unexpected(word, EXPECTED);
      }
    } while (!statement.atEnd());
    return duty;
  }

  private static Duty term(Statement statement, Duty sofar, Term term) throws BadStatement {
    Token at = statement.peek();
    if (term == Term.LIFE) {
      statement.split("h");
    }
    BigFraction number = statement.expectNumber(term.says() + ", as " + sample(term));
    if (term == Term.LIFE) {
      statement.accept("h");
    }
    return Statement.at(at, number, given -> sofar.with(term, given));
  }

  private static String sample(Term term) {
    return Exact.plain(term.usual());
  }

  /** A state and its share of the time. */
  static Duty share(Statement statement) throws BadStatement {
    Token state = statement.expectWord("a state and its share of the time, as duty low 70 %");
    statement.split("%");
    Token at = statement.peek();
    BigFraction percent = statement.expectNumber("a share of the time, as 70 %");
    statement.accept("%");
    return Statement.at(at, percent, given -> Duty.NONE.running(state.text(), given.divide(100)));
  }

  /** What is wrong with shares of the time that are of no state on the card. */
  static List<CardProblem> ofNoState(List<List<Token>> statements, List<List<Token>> states) {
    List<String> known =
        states.stream().filter(state -> state.size() > 1).map(one -> one.get(1).text()).toList();
    String expected =
        known.isEmpty()
            ? "no state on the card; leave it out"
            : "expected a state: " + String.join(", ", known);
    return statements.stream()
        .filter(tokens -> tokens.getFirst().is("duty"))
        .map(tokens -> tokens.get(1))
        .filter(state -> !state.text().isEmpty() && !known.contains(state.text()))
        .map(state -> state.problem("duty of '" + state.text() + "': " + expected))
        .toList();
  }

  /** {@code geometry A J 0.30 I 0.121}. */
  static WheelSize geometry(Statement statement) throws BadStatement {
    Geometry factors = Geometry.NONE;
    do {
      Geometry sofar = factors;
      Token word = statement.expectWord("J or I and a number");
      boolean bending = word.is("j");
      if (!bending && !word.is("i")) {
        throw Statement.unexpected(word, "J or I and a number");
      }
      if ((bending ? sofar.bending() : sofar.contact()).isPresent()) {
        throw new BadStatement(word.problem("a second " + word.text() + ": leave one"));
      }
      Token at = statement.peek();
      BigFraction value = statement.expectNumber("a factor, as J 0.30");
      factors = Statement.at(at, value, bending ? sofar::withBending : sofar::withContact);
    } while (!statement.atEnd());
    return WheelSize.NONE.withGeometry(Optional.of(factors));
  }

  static WheelSize hardness(Statement statement) throws BadStatement {
    Token at = statement.peek();
    statement.split("HB|hb");
    BigFraction brinell = statement.expectNumber("a hardness in Brinell, as 240 HB");
    statement.accept("hb");
    return Statement.at(at, Optional.of(brinell), WheelSize.NONE::withHardness);
  }
}
