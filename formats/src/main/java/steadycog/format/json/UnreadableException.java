package steadycog.format.json;

/** A text that makes no job; the place is from 1. */
public final class UnreadableException extends Exception {
  private static final long serialVersionUID = 1L;

  private final int line;
  private final int column;

  public UnreadableException(int line, int column, String message) {
    super(message);
    this.line = Math.max(1, line);
    this.column = Math.max(1, column);
  }

  /** What is wrong, without its place. */
  public String what() {
    return String.valueOf(getMessage());
  }

  public int line() {
    return line;
  }

  public int column() {
    return column;
  }

  /** One line for people and scripts: {@code file:line:column: what is wrong}. */
  public String at(String file) {
    return file + ":" + line + ":" + column + ": " + getMessage();
  }
}
