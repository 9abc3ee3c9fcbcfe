package steadycog.format.pdf;

import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import steadycog.number.Known;
import steadycog.number.Printable;

/** The typefaces of a document, and what they can show. */
final class Lettering {
  /** The typeface has no prime for arc minutes. */
  private static final String PRIME = "\u2032";

  private final Map<Typefaces, PDFont> fonts = new EnumMap<>(Typefaces.class);

  Lettering(PDDocument document) throws IOException {
    for (Typefaces face : Typefaces.values()) {
      TrueTypeFont plain = new TTFParser().parse(new RandomAccessReadBuffer(face.open()));
      // Ligatures could not be searched for or copied.
      plain.setEnableGsub(false);
      fonts.put(face, PDType0Font.load(document, plain, true));
    }
  }

  PDFont font(Typefaces face) {
    return Known.in(fonts, face);
  }

  /** How wide a text is, points. */
  float measure(String text, Typefaces face, float size) throws IOException {
    return font(face).getStringWidth(known(text, face)) / 1000 * size;
  }

  /** The text with what the typeface lacks replaced. */
  String known(String text, Typefaces face) {
    StringBuilder known = new StringBuilder();
    Printable.of(text)
        .replace(PRIME, "'")
        .codePoints()
        .forEach(
            c -> {
              String one = Character.toString(c);
              known.append(has(one, face) ? one : Character.isWhitespace(c) ? " " : "?");
            });
    return known.toString();
  }

  private boolean has(String one, Typefaces face) {
    try {
      font(face).encode(one);
      return true;
    } catch (IOException | IllegalArgumentException missing) {
      return false;
    }
  }

  /** A text in lines of no more than {@code room}, points. */
  List<String> broken(String text, Typefaces face, float size, float room) throws IOException {
    List<String> lines = new ArrayList<>();
    StringBuilder line = new StringBuilder();
    for (String word : text.split(" ")) {
      String longer = line.isEmpty() ? word : line + " " + word;
      if (!line.isEmpty() && measure(longer, face, size) > room) {
        lines.add(line.toString());
        line.setLength(0);
        longer = word;
      }
      line.setLength(0);
      line.append(longer);
    }
    lines.add(line.toString());
    return lines;
  }
}
