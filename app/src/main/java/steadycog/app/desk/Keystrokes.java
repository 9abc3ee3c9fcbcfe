package steadycog.app.desk;

/** Tells whether what was typed goes on with a word, which makes one step to undo. */
final class Keystrokes {
  /** Where the last key was struck, so that those at two places are two steps. */
  private int last;

  /** Whether {@code after} is a keystroke more, where the last one was and inside a word. */
  boolean goOn(String before, String after) {
    String longer = before.length() > after.length() ? before : after;
    String shorter = longer.equals(before) ? after : before;
    int at = 0;
    while (at < shorter.length() && shorter.charAt(at) == longer.charAt(at)) {
      at++;
    }
    boolean near = Math.abs(at - last) <= 1;
    last = at + (longer.equals(after) ? 1 : 0);
    if (longer.length() - shorter.length() != 1) {
      return false;
    }
    boolean wordEnds = Character.isWhitespace(longer.charAt(at)) || longer.charAt(at) == ';';
    return near && !wordEnds && longer.substring(at + 1).equals(shorter.substring(at));
  }
}
