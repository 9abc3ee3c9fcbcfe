package steadycog.notation;

import java.util.Locale;

/** A word, a sign or the end of a statement, with its place on the card (both from 1). */
record Token(Kind kind, String text, int line, int column) {
  enum Kind {
    WORD,
    SIGN,
    END
  }

  boolean is(String keyword) {
    return kind != Kind.END && text.toLowerCase(Locale.ROOT).equals(keyword);
  }

  /** As a message quotes it. */
  String quoted() {
    return kind == Kind.END ? "the end of the statement" : "'" + text + "'";
  }

  CardProblem problem(String message) {
    return new CardProblem(line, column, text.length(), message);
  }
}
