package steadycog.format.pdf;

import java.io.InputStream;
import java.util.Objects;

/** The typefaces that ship with the program, on paper and on the screen (SIL Open Font License). */
public enum Typefaces {
  REGULAR("Lato-Regular.ttf"),
  BOLD("Lato-Bold.ttf"),
  ITALIC("Lato-Italic.ttf");

  private final String file;

  Typefaces(String file) {
    this.file = file;
  }

  /** The font file. */
  public InputStream open() {
    return Objects.requireNonNull(Typefaces.class.getResourceAsStream("fonts/" + file), file);
  }
}
