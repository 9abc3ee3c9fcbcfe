package steadycog.notation;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/** A cursor over one statement's tokens, with the errors that reading them can bring. */
final class Statement {
  private final List<Token> tokens;
  private int at;

  Statement(List<Token> tokens) {
    this.tokens = new ArrayList<>(tokens);
  }

  Token peek() {
    return tokens.get(at);
  }

  /** Its first word, wherever the cursor stands. */
  Token first() {
    return tokens.getFirst();
  }

  /** Whether a word stands anywhere in it. */
  boolean holds(String word) {
    return tokens.stream().anyMatch(token -> token.is(word));
  }

  Token peekSecond() {
    return tokens.get(Math.min(at + 1, tokens.size() - 1));
  }

  Token next() {
    Token token = tokens.get(at);
    if (token.kind() != Token.Kind.END) {
      at++;
    }
    return token;
  }

  /** Parts the next word before the first match of {@code sign} in it, as {@code 14x2}. */
  void split(String sign) {
    Token word = peek();
    String[] parts = word.text().split("(?=" + sign + ")", 2);
    if (word.kind() == Token.Kind.WORD && parts.length == 2 && !parts[0].isEmpty()) {
      int column = word.column() + parts[0].length();
      tokens.set(at, new Token(Token.Kind.WORD, parts[0], word.line(), word.column()));
      tokens.add(at + 1, new Token(Token.Kind.WORD, parts[1], word.line(), column));
    }
  }

  /** Parts the next word before {@code sign}, if it ends on it, as {@code 98.5%}. */
  void splitBefore(String sign) {
    Token word = peek();
    int length = word.text().length() - sign.length();
    if (word.kind() == Token.Kind.WORD && length > 0 && word.text().endsWith(sign)) {
      String rest = word.text().substring(0, length);
      tokens.set(at, new Token(Token.Kind.WORD, rest, word.line(), word.column()));
      tokens.add(at + 1, new Token(Token.Kind.WORD, sign, word.line(), word.column() + length));
    }
  }

  /** Parts the next word behind a match of {@code sign} at its beginning, as {@code x8mm}. */
  void splitAfter(String sign) {
    Token word = peek();
    String[] parts = word.text().split("(?<=^" + sign + ")", 2);
    if (word.kind() == Token.Kind.WORD && parts.length == 2 && !parts[1].isEmpty()) {
      tokens.set(at, new Token(Token.Kind.WORD, parts[0], word.line(), word.column()));
      tokens.add(at + 1, new Token(Token.Kind.WORD, parts[1], word.line(), word.column() + 1));
    }
  }

  /** The tokens up to the next {@code ;}, which is passed over, as a statement of their own. */
  Statement clause() {
    List<Token> own = new ArrayList<>();
    while (!atEnd() && !peek().is(Tokens.END_OF_CLAUSE)) {
      own.add(next());
    }
    Token end = peek();
    own.add(new Token(Token.Kind.END, "", end.line(), end.column()));
    while (peek().is(Tokens.END_OF_CLAUSE)) {
      next();
    }
    return new Statement(own);
  }

  boolean accept(String keyword) {
    boolean found = peek().is(keyword);
    if (found) {
      at++;
    }
    return found;
  }

  boolean atEnd() {
    return peek().kind() == Token.Kind.END;
  }

  void expectEnd(String expected) throws BadStatement {
    if (!atEnd()) {
      throw unexpected(peek(), expected);
    }
  }

  void expectSign(String sign, String expected) throws BadStatement {
    if (!accept(sign)) {
      throw unexpected(peek(), expected);
    }
  }

  Token expectWord(String expected) throws BadStatement {
    if (peek().kind() != Token.Kind.WORD) {
      throw unexpected(peek(), expected);
    }
    return next();
  }

  /** A whole number. */
  int expectCount(String expected) throws BadStatement {
    Token token = expectWord(expected);
    if (!token.text().matches("\\d{1,9}")) {
      throw unexpected(token, expected);
    }
    return Integer.parseInt(token.text());
  }

  /** A number without a unit. */
  BigFraction expectNumber(String expected) throws BadStatement {
    Token token = expectWord(expected);
    if (!Exact.isNumber(token.text())) {
      throw unexpected(token, expected);
    }
    return Exact.parse(token.text());
  }

  /** A number with a unit of one of {@code dimensions}, as {@code 0.4 Nm} or {@code 0.4Nm}. */
  Quantity expectQuantity(Unit.Dimension... dimensions) throws BadStatement {
    String units = symbols(dimensions);
    Token token = expectWord("a number and " + units);
    int split = endOfNumber(token.text());
    String number = token.text().substring(0, split);
    if (!Exact.isNumber(number)) {
      throw unexpected(token, "a number with a decimal point, or a fraction such as 1/1436");
    }
    BigFraction value = Exact.parse(number);
    Token name = token;
    String symbol = token.text().substring(split);
    if (symbol.isEmpty()) {
      name = expectWord(units + " after " + number);
      symbol = name.text();
    }
    // A unit of two words, as lbf in, begins with one that may be a unit by itself.
    if (Unit.of(symbol + peek().text()).filter(longer -> isOf(longer, dimensions)).isPresent()) {
      symbol += next().text();
    }
    Optional<Unit> unit = Unit.of(symbol);
    if (unit.filter(one -> isOf(one, dimensions)).isEmpty()) {
      throw unexpected(name, units);
    }
    return new Quantity(value, unit.orElseThrow());
  }

  private static boolean isOf(Unit unit, Unit.Dimension... dimensions) {
    return List.of(dimensions).contains(unit.dimension());
  }

  private static int endOfNumber(String text) {
    int at = 0;
    while (at < text.length() && "-0123456789./".indexOf(text.charAt(at)) >= 0) {
      at++;
    }
    return at;
  }

  private static String symbols(Unit.Dimension... dimensions) {
    return List.of(dimensions).stream()
        .map(Unit.Dimension::symbols)
        .collect(Collectors.joining(", or "));
  }

  static BadStatement unexpected(Token found, String expected) {
    return new BadStatement(found.problem("found " + found.quoted() + ", expected " + expected));
  }

  /** Runs {@code make}; a rejected argument becomes a problem at {@code place}. */
  static <T, R> R at(Token place, T argument, Function<T, R> make) throws BadStatement {
    try {
      return make.apply(argument);
    } catch (IllegalArgumentException refused) {
      throw new BadStatement(place.problem(String.valueOf(refused.getMessage())));
    }
  }

  /** Leaves the statement being read. */
  static final class BadStatement extends Exception {
    private static final long serialVersionUID = 1L;
    final transient CardProblem problem;

    BadStatement(CardProblem problem) {
      super(problem.message());
      this.problem = problem;
    }
  }
}
