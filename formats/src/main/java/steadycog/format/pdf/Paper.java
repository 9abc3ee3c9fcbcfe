package steadycog.format.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import steadycog.piece.Region;
import steadycog.shape.Outline;

/** Sheets of A4 filled from the top down. Lengths in points of 1/72 inch unless said otherwise. */
final class Paper implements AutoCloseable {
  /** Points a mm. */
  static final double MM = 72 / 25.4;

  static final float BODY = 9;
  private static final float MARGIN = (float) (17 * MM);
  private static final float FOOT = (float) (12 * MM);
  private static final float LINE = 1.35F;
  private static final float[] INK = {0.13F, 0.12F, 0.10F};
  private static final float[] FAINT = {0.45F, 0.42F, 0.38F};
  private static final float[] GREEN = {0.20F, 0.40F, 0.34F};
  private static final float[] RULE = {0.75F, 0.71F, 0.64F};

  private final PDDocument document = new PDDocument();
  private final Map<Typefaces, PDFont> fonts = new EnumMap<>(Typefaces.class);
  private final String footer;
  private PDPageContentStream page;
  private float y;

  /**
   * An empty sheet.
   *
   * @param footer stands at the foot of every page, before its number
   */
  Paper(String title, String footer) throws IOException {
    this.footer = footer;
    document.getDocumentInformation().setTitle(title);
    document.getDocumentInformation().setCreator("Steady Cog");
    for (Typefaces face : Typefaces.values()) {
      fonts.put(face, PDType0Font.load(document, face.open()));
    }
    turn();
  }

  private void turn() throws IOException {
    if (page != null) {
      page.close();
    }
    PDPage next = new PDPage(PDRectangle.A4);
    document.addPage(next);
    page = new PDPageContentStream(document, next);
    y = PDRectangle.A4.getHeight() - MARGIN;
  }

  static float width() {
    return PDRectangle.A4.getWidth() - 2 * MARGIN;
  }

  /** Turns the page unless {@code height} is left on it. */
  void need(float height) throws IOException {
    if (y - height < MARGIN + FOOT) {
      turn();
    }
  }

  /** What is left of the page. */
  float left() {
    return y - MARGIN - FOOT;
  }

  void space(float height) {
    y -= height;
  }

  void title(String text) throws IOException {
    line(text, Typefaces.BOLD, 18, INK);
  }

  void heading(String text) throws IOException {
    need(50);
    space(8);
    line(text, Typefaces.BOLD, 11, GREEN);
    rule();
    space(4);
  }

  /** A paragraph, broken where it is too long. */
  void text(String text) throws IOException {
    paragraph(text, Typefaces.REGULAR, BODY, INK);
  }

  /** The same, small and slanted. */
  void remark(String text) throws IOException {
    paragraph(text, Typefaces.ITALIC, BODY - 1, FAINT);
  }

  private void paragraph(String text, Typefaces face, float size, float[] colour)
      throws IOException {
    for (String line : broken(text, face, size, width())) {
      line(line, face, size, colour);
    }
  }

  private void line(String text, Typefaces face, float size, float[] colour) throws IOException {
    need(size * LINE);
    y -= size * LINE;
    put(text, MARGIN, y + size * 0.3F, face, size, colour);
  }

  private List<String> broken(String text, Typefaces face, float size, float room)
      throws IOException {
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

  private void rule() throws IOException {
    page.setStrokingColor(RULE[0], RULE[1], RULE[2]);
    page.setLineWidth(0.6F);
    page.moveTo(MARGIN, y - 1);
    page.lineTo(MARGIN + width(), y - 1);
    page.stroke();
    y -= 2;
  }

  private void put(String text, float x, float base, Typefaces face, float size, float[] colour)
      throws IOException {
    page.beginText();
    page.setFont(fonts.get(face), size);
    page.setNonStrokingColor(colour[0], colour[1], colour[2]);
    page.newLineAtOffset(x, base);
    page.showText(known(text, face));
    page.endText();
  }

  private float measure(String text, Typefaces face, float size) throws IOException {
    return fonts.get(face).getStringWidth(known(text, face)) / 1000 * size;
  }

  /** The text with what the typeface lacks replaced. */
  private String known(String text, Typefaces face) {
    StringBuilder known = new StringBuilder();
    text.codePoints()
        .forEach(
            c -> {
              String one = Character.toString(c);
              known.append(has(one, face) ? one : Character.isWhitespace(c) ? " " : "?");
            });
    return known.toString();
  }

  private boolean has(String one, Typefaces face) {
    try {
      fonts.get(face).encode(one);
      return true;
    } catch (IOException | IllegalArgumentException missing) {
      return false;
    }
  }

  /**
   * A table: the first column to the left, the others to the right; too many columns go into
   * further tables below.
   *
   * @param most columns beside the first in one table
   */
  void table(List<String> heads, List<List<String>> rows, int most) throws IOException {
    for (int from = 1; from < heads.size(); from += most) {
      int to = Math.min(heads.size(), from + most);
      List<Integer> columns = new ArrayList<>(List.of(0));
      for (int c = from; c < to; c++) {
        columns.add(c);
      }
      part(heads, rows, columns, most);
      space(6);
    }
  }

  private void part(List<String> heads, List<List<String>> rows, List<Integer> columns, int most)
      throws IOException {
    float first = width() * 0.30F;
    float other = (width() - first) / Math.max(3, Math.min(most, columns.size() - 1));
    row(heads, columns, first, other, Typefaces.BOLD);
    rule();
    for (List<String> row : rows) {
      row(row, columns, first, other, Typefaces.REGULAR);
    }
  }

  private void row(
      List<String> cells, List<Integer> columns, float first, float other, Typefaces face)
      throws IOException {
    float size = BODY - 0.5F;
    need(size * LINE);
    y -= size * LINE;
    float right = MARGIN + first;
    for (int c : columns) {
      String text = cells.get(c);
      if (c == 0) {
        put(text, MARGIN, y + size * 0.3F, face, size, face == Typefaces.BOLD ? FAINT : INK);
        continue;
      }
      right += other;
      float fitting = Math.min(size, size * (other - 4) / Math.max(1, measure(text, face, size)));
      put(text, right - measure(text, face, fitting), y + size * 0.3F, face, fitting, INK);
    }
  }

  /**
   * Regions drawn with material grey and lines in ink.
   *
   * @param box least x, least y, greatest x, greatest y in mm
   * @param scale on paper over true size
   */
  void draw(List<Region> regions, double[] box, double scale) throws IOException {
    float height = (float) ((box[3] - box[1]) * scale * MM);
    need(height);
    y -= height;
    double times = scale * MM;
    double dx = MARGIN + (width() - (box[2] - box[0]) * times) / 2 - box[0] * times;
    double dy = y - box[1] * times;
    page.setLineWidth(0.35F);
    page.setStrokingColor(INK[0], INK[1], INK[2]);
    page.setNonStrokingColor(0.93F, 0.91F, 0.86F);
    for (Region region : regions) {
      for (Outline line : region.outlines(0.05 / scale)) {
        for (int k = 0; k < line.size(); k++) {
          float px = (float) (dx + line.x()[k] * times);
          float py = (float) (dy + line.y()[k] * times);
          if (k == 0) {
            page.moveTo(px, py);
          } else {
            page.lineTo(px, py);
          }
        }
        page.closePath();
      }
      page.fillAndStrokeEvenOdd();
    }
  }

  /** The finished file. */
  byte[] finish() throws IOException {
    page.close();
    int pages = document.getNumberOfPages();
    for (int k = 0; k < pages; k++) {
      PDPage sheet = document.getPage(k);
      page =
          new PDPageContentStream(
              document, sheet, PDPageContentStream.AppendMode.APPEND, true, true);
      String number = (k + 1) + " of " + pages;
      put(footer, MARGIN, MARGIN - 4, Typefaces.REGULAR, 7.5F, FAINT);
      float right = MARGIN + width() - measure(number, Typefaces.REGULAR, 7.5F);
      put(number, right, MARGIN - 4, Typefaces.REGULAR, 7.5F, FAINT);
      page.close();
    }
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    document.save(bytes);
    return bytes.toByteArray();
  }

  @Override
  public void close() throws IOException {
    document.close();
  }
}
