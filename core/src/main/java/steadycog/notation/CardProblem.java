package steadycog.notation;

/**
 * One thing on a card that cannot be read.
 *
 * @param line from 1
 * @param column from 1, in characters
 * @param length characters concerned, 0 at the end of a statement
 * @param message what was found and what would be accepted
 */
public record CardProblem(int line, int column, int length, String message) {

  /** {@code 3:7: found …, expected …}. */
  @Override
  public String toString() {
    return line + ":" + column + ": " + message;
  }
}
