package steadycog.number;

/**
 * Text as it may stand on paper, on a terminal and in files of others. A name or note can hold
 * anything, and signs that are no letters would be taken for orders there: to change colours, to
 * write elsewhere, to end the file.
 */
public final class Printable {
  private Printable() {}

  /**
   * {@code text} with a space for every control character but line feed and tab, and the sign for
   * the unknown for halves of characters and for what no XML may hold.
   */
  public static String of(String text) {
    StringBuilder safe = new StringBuilder(text.length());
    text.codePoints()
        .forEach(
            c -> {
              boolean order = Character.isISOControl(c) && c != '\n' && c != '\t';
              boolean none =
                  (c >= Character.MIN_SURROGATE && c <= Character.MAX_SURROGATE)
                      || (c & 0xfffe) == 0xfffe;
              safe.appendCodePoint(order ? ' ' : none ? 0xfffd : c);
            });
    return safe.toString();
  }
}
