package steadycog.notation;

import java.util.ArrayList;
import java.util.List;

/**
 * Splits a card into statements of tokens; {@code ;} and line ends part them, {@code #} comments. A
 * state goes on to the end of its line: within it {@code ;} is a sign like others.
 */
final class Tokens {
  private static final String SIGNS = "~=:";
  static final String STATE = "state";
  static final String END_OF_CLAUSE = ";";

  private Tokens() {}

  /** One list a statement, each closed by an END token; empty statements are left out. */
  static List<List<Token>> statements(String card) {
    List<List<Token>> all = new ArrayList<>();
    String[] lines = card.split("\\R", -1);
    for (int k = 0; k < lines.length; k++) {
      addStatements(lines[k], k + 1, all);
    }
    return all;
  }

  private static void addStatements(String line, int number, List<List<Token>> all) {
    List<Token> open = new ArrayList<>();
    int at = 0;
    while (at < line.length() && line.charAt(at) != '#') {
      char c = line.charAt(at);
      if (c == ';' && isState(open)) {
        open.add(new Token(Token.Kind.SIGN, END_OF_CLAUSE, number, at + 1));
        at++;
      } else if (c == ';') {
        close(open, number, at + 1, all);
        open = new ArrayList<>();
        at++;
      } else if (Character.isWhitespace(c) || c == '\u00a0' || c == '\ufeff') {
        at++;
      } else if (SIGNS.indexOf(c) >= 0) {
        open.add(new Token(Token.Kind.SIGN, String.valueOf(c), number, at + 1));
        at++;
      } else {
        int end = endOfWord(line, at);
        open.add(new Token(Token.Kind.WORD, line.substring(at, end), number, at + 1));
        at = end;
      }
    }
    close(open, number, at + 1, all);
  }

  /** Whether {@code open} begins a state, not a part that is called so. */
  private static boolean isState(List<Token> open) {
    return open.size() > 1 && open.getFirst().is(STATE) && !open.get(1).is(":");
  }

  private static void close(List<Token> open, int line, int column, List<List<Token>> all) {
    if (!open.isEmpty()) {
      Token last = open.getLast();
      int end = Math.min(column, last.column() + last.text().length());
      open.add(new Token(Token.Kind.END, "", line, end));
      all.add(open);
    }
  }

  private static int endOfWord(String line, int from) {
    int at = from;
    while (at < line.length() && isWordPart(line.charAt(at))) {
      at++;
    }
    return at;
  }

  private static boolean isWordPart(char c) {
    return SIGNS.indexOf(c) < 0
        && c != ';'
        && c != '#'
        && c != '\u00a0'
        && c != '\ufeff'
        && !Character.isWhitespace(c);
  }
}
