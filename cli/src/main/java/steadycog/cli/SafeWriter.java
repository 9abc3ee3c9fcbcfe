package steadycog.cli;

import java.io.FilterWriter;
import java.io.IOException;
import java.io.Writer;
import steadycog.number.Printable;

/** Lets no control characters through to a terminal, which would take them for orders. */
final class SafeWriter extends FilterWriter {
  SafeWriter(Writer out) {
    super(out);
  }

  @Override
  public void write(int c) throws IOException {
    write(String.valueOf((char) c), 0, 1);
  }

  @Override
  public void write(char[] text, int from, int length) throws IOException {
    write(new String(text, from, length), 0, length);
  }

  @Override
  public void write(String text, int from, int length) throws IOException {
    // Tables in comma-separated values end their lines with a carriage return as well.
    String part = text.substring(from, from + length);
    boolean ends = part.contains("\r\n");
    String safe = Printable.of(ends ? part.replace("\r\n", "\n") : part);
    out.write(ends ? safe.replace("\n", "\r\n") : safe);
  }
}
