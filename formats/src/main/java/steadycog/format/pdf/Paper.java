package steadycog.format.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageFitWidthDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import steadycog.bench.Chart;
import steadycog.bench.Chart.Series;
import steadycog.bench.Chart.Style;
import steadycog.number.Figures;
import steadycog.number.Known;
import steadycog.number.Printable;
import steadycog.piece.Region;
import steadycog.report.Block;
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
  private static final float[] BRASS = {0.55F, 0.40F, 0.12F};
  private static final float[] BRICK = {0.62F, 0.22F, 0.16F};

  /** The typeface has no prime for arc minutes. */
  private static final String PRIME = "\u2032";

  private static final float INDENT = 9;
  private static final float SEVERITY = 46;

  /** Of the width of a table, for its first column. */
  private static final float LEAST_FIRST = 0.16F;

  private static final float MOST_FIRST = 0.46F;

  /** Height of a line of a table. */
  static final float ROW = (BODY - 0.5F) * LINE;

  private static final int CHARTS_BESIDE = 3;
  static final float CHART_HEIGHT = (float) (46 * MM);
  private static final float[] RULE = {0.75F, 0.71F, 0.64F};

  private final PDDocument document = new PDDocument();
  private final Map<Typefaces, PDFont> fonts = new EnumMap<>(Typefaces.class);
  private final Tags tags = new Tags(document, "en");
  private final PDDocumentOutline outline = new PDDocumentOutline();
  private final String footer;
  private PDOutlineItem chapter = new PDOutlineItem();
  private PDPage sheet = new PDPage(PDRectangle.A4);
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
    document.getDocumentCatalog().setDocumentOutline(outline);
    for (Typefaces face : Typefaces.values()) {
      TrueTypeFont plain = new TTFParser().parse(new RandomAccessReadBuffer(face.open()));
      // Ligatures could not be searched for or copied.
      plain.setEnableGsub(false);
      fonts.put(face, PDType0Font.load(document, plain, true));
    }
    turn();
  }

  /** Goes on on a new sheet. */
  void turn() throws IOException {
    if (page != null) {
      page.close();
    }
    sheet = new PDPage(PDRectangle.A4);
    document.addPage(sheet);
    tags.add(sheet);
    page = new PDPageContentStream(document, sheet);
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
    tags.in("H1", () -> line(text, Typefaces.BOLD, 18, INK));
  }

  /** A page that can be found from the contents. */
  record Entry(String title, int page) {}

  /** What stands on which page. */
  void contents(List<Entry> entries) throws IOException {
    space(6);
    tags.start("TOC");
    for (Entry entry : entries) {
      need(BODY * LINE);
      y -= BODY * LINE;
      float base = y + BODY * 0.3F;
      String number = Integer.toString(entry.page());
      tags.start("TOCI");
      put(entry.title(), MARGIN, base, Typefaces.REGULAR, BODY, INK);
      float right = MARGIN + width() - measure(number, Typefaces.REGULAR, BODY);
      put(number, right, base, Typefaces.REGULAR, BODY, INK);
      tags.end();
    }
    tags.end();
    space(6);
  }

  /** The page that is being written, from 1. */
  int number() {
    return document.getNumberOfPages();
  }

  private PDOutlineItem bookmark(String text) {
    PDPageFitWidthDestination destination = new PDPageFitWidthDestination();
    destination.setPage(sheet);
    destination.setTop((int) y);
    PDOutlineItem item = new PDOutlineItem();
    item.setTitle(Printable.of(text));
    item.setDestination(destination);
    return item;
  }

  /** The name of a train, above all that is said of it. */
  void chapter(String text) throws IOException {
    chapter = bookmark(text);
    outline.addLast(chapter);
    space(4);
    tags.in("H2", () -> line(text, Typefaces.BOLD, 14, INK));
  }

  /**
   * A heading within a section.
   *
   * @param next height of what must stand on the same page below it
   */
  void subheading(String text, float next) throws IOException {
    need(24 + Math.max(16, next));
    space(6);
    tags.in("H4", () -> line(text, Typefaces.BOLD, BODY + 0.5F, INK));
  }

  /** A paragraph beside a bar. */
  void caution(String text) throws IOException {
    List<String> lines = broken(text, Typefaces.REGULAR, BODY, width() - INDENT);
    need(lines.size() * BODY * LINE + 8);
    space(4);
    float top = y;
    tags.start("P");
    for (String one : lines) {
      y -= BODY * LINE;
      put(one, MARGIN + INDENT, y + BODY * 0.3F, Typefaces.REGULAR, BODY, INK);
    }
    tags.end();
    bar(BRICK, MARGIN, 2.5F, top - y);
    space(4);
  }

  /** Lines as they stand, beside a thin bar. */
  void lines(List<String> lines) throws IOException {
    space(2);
    tags.start("P");
    for (String line : lines) {
      for (String part : broken(line, Typefaces.REGULAR, BODY, width() - INDENT)) {
        need(BODY * LINE);
        y -= BODY * LINE;
        put(part, MARGIN + INDENT, y + BODY * 0.3F, Typefaces.REGULAR, BODY, INK);
        bar(RULE, MARGIN + 2, 1.2F, BODY * LINE);
      }
    }
    tags.end();
    space(4);
  }

  /** A bar that stands on the line where the next text ends. */
  private void bar(float[] colour, float left, float wide, float high) throws IOException {
    tags.artifact(
        page,
        () -> {
          page.setNonStrokingColor(colour[0], colour[1], colour[2]);
          page.addRect(left, y, wide, high);
          page.fill();
        });
  }

  /** A finding: its severity, what it says, and how it was settled. */
  void finding(String severity, String text, String settled) throws IOException {
    float[] colour =
        switch (severity) {
          case "error" -> BRICK;
          case "warning" -> BRASS;
          default -> GREEN;
        };
    List<String> lines = broken(text, Typefaces.REGULAR, BODY, width() - SEVERITY);
    List<String> how =
        settled.isEmpty()
            ? List.of()
            : broken("Settled: " + settled, Typefaces.ITALIC, BODY, width() - SEVERITY);
    need((lines.size() + how.size()) * BODY * LINE);
    tags.start("P");
    boolean first = true;
    for (String line : lines) {
      y -= BODY * LINE;
      if (first) {
        put(severity, MARGIN, y + BODY * 0.3F, Typefaces.BOLD, BODY, colour);
      }
      first = false;
      put(line, MARGIN + SEVERITY, y + BODY * 0.3F, Typefaces.REGULAR, BODY, INK);
    }
    for (String line : how) {
      y -= BODY * LINE;
      put(line, MARGIN + SEVERITY, y + BODY * 0.3F, Typefaces.ITALIC, BODY, FAINT);
    }
    tags.end();
    space(3);
  }

  /**
   * The heading of a section.
   *
   * @param next height of what must stand on the same page below it
   */
  void heading(String text, float next) throws IOException {
    need(32 + Math.max(44, next));
    (chapter.getTitle() == null ? outline : chapter).addLast(bookmark(text));
    space(8);
    tags.in("H3", () -> line(text, Typefaces.BOLD, 11, GREEN));
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
    tags.start("P");
    for (String line : broken(text, face, size, width())) {
      line(line, face, size, colour);
    }
    tags.end();
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
    tags.artifact(
        page,
        () -> {
          page.setStrokingColor(RULE[0], RULE[1], RULE[2]);
          page.setLineWidth(0.6F);
          page.moveTo(MARGIN, y - 1);
          page.lineTo(MARGIN + width(), y - 1);
          page.stroke();
        });
    y -= 2;
  }

  private void put(String text, float x, float base, Typefaces face, float size, float[] colour)
      throws IOException {
    tags.text(
        sheet,
        page,
        () -> {
          page.beginText();
          page.setFont(Known.in(fonts, face), size);
          page.setNonStrokingColor(colour[0], colour[1], colour[2]);
          page.newLineAtOffset(x, base);
          page.showText(known(Printable.of(text), face));
          page.endText();
        });
  }

  private float measure(String text, Typefaces face, float size) throws IOException {
    return Known.in(fonts, face).getStringWidth(known(text, face)) / 1000 * size;
  }

  /** The text with what the typeface lacks replaced. */
  private String known(String text, Typefaces face) {
    StringBuilder known = new StringBuilder();
    text.replace(PRIME, "'")
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
      Known.in(fonts, face).encode(one);
      return true;
    } catch (IOException | IllegalArgumentException missing) {
      return false;
    }
  }

  /**
   * A table: the first column to the left, the others to the right; too many columns go into
   * further tables below.
   *
   * @param caption what it shows
   * @param most columns beside the first in one table
   */
  void table(String caption, List<String> heads, List<List<String>> rows, int most)
      throws IOException {
    need(4 * ROW + 3);
    tags.in("Caption", () -> line(caption, Typefaces.ITALIC, BODY - 1, FAINT));
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
    float widest = 0;
    for (List<String> row : rows) {
      widest = Math.max(widest, measure(row.getFirst(), Typefaces.REGULAR, BODY - 0.5F) + 8);
    }
    float first = Math.clamp(widest, width() * LEAST_FIRST, width() * MOST_FIRST);
    float other = (width() - first) / Math.max(3, Math.min(most, columns.size() - 1));
    space(3);
    need(3 * ROW);
    tags.start("Table");
    tags.in("TR", () -> heads(heads, columns, first, other));
    for (List<String> row : rows) {
      if (left() < ROW) {
        turn();
        tags.artifact(page, () -> heads(heads, columns, first, other));
      }
      tags.in("TR", () -> row(row, columns, first, other));
    }
    tags.end();
  }

  /** The heads of a table, in several lines where they are long. */
  private void heads(List<String> heads, List<Integer> columns, float first, float other)
      throws IOException {
    float size = BODY - 0.5F;
    float top = y;
    List<List<String>> all = new ArrayList<>();
    int most = 1;
    for (int c : columns) {
      float room = c == 0 ? first : other - 6;
      all.add(broken(heads.get(c), Typefaces.BOLD, size, room));
      most = Math.max(most, all.getLast().size());
    }
    float right = MARGIN + first;
    for (int k = 0; k < columns.size(); k++) {
      List<String> lines = all.get(k);
      float room = k == 0 ? first : other;
      float edge = right + k * other;
      float[] colour = k == 0 ? FAINT : INK;
      float highest = top - (most - lines.size() + 1) * size * LINE;
      boolean left = k == 0;
      tags.head(
          "Column",
          () -> {
            for (int line = 0; line < lines.size(); line++) {
              String word = lines.get(line);
              float fitting = fitting(word, Typefaces.BOLD, room);
              float x = left ? MARGIN : edge - measure(word, Typefaces.BOLD, fitting);
              float base = highest - line * size * LINE + size * 0.3F;
              put(word, x, base, Typefaces.BOLD, fitting, colour);
            }
          });
    }
    y = top - most * size * LINE;
    rule();
  }

  /** The size of type in which a cell fits its column. */
  private float fitting(String text, Typefaces face, float room) throws IOException {
    float size = BODY - 0.5F;
    return Math.min(size, size * (room - 4) / Math.max(1, measure(text, face, size)));
  }

  private void row(List<String> cells, List<Integer> columns, float first, float other)
      throws IOException {
    float size = BODY - 0.5F;
    need(size * LINE);
    y -= size * LINE;
    float right = MARGIN + first;
    for (int c : columns) {
      String text = cells.get(c);
      float fitting = fitting(text, Typefaces.REGULAR, c == 0 ? first : other);
      right += c == 0 ? 0 : other;
      float x = c == 0 ? MARGIN : right - measure(text, Typefaces.REGULAR, fitting);
      Tags.Writing cell = () -> put(text, x, y + size * 0.3F, Typefaces.REGULAR, fitting, INK);
      if (c == 0) {
        tags.head("Row", cell);
      } else {
        tags.in("TD", cell);
      }
    }
  }

  /**
   * Regions drawn with material grey and lines in ink.
   *
   * @param scale on paper over true size
   */
  void draw(Block.Drawing drawing, double scale) throws IOException {
    double[] box = drawing.bounds();
    float height = (float) ((box[3] - box[1]) * scale * MM);
    need(height);
    y -= height;
    tags.figure(sheet, page, drawing.words(), () -> put(drawing, scale));
  }

  private void put(Block.Drawing drawing, double scale) throws IOException {
    double[] box = drawing.bounds();
    double times = scale * MM;
    double dx = MARGIN + (width() - (box[2] - box[0]) * times) / 2 - box[0] * times;
    double dy = y - box[1] * times;
    page.setLineWidth(0.35F);
    page.setStrokingColor(INK[0], INK[1], INK[2]);
    page.setNonStrokingColor(0.93F, 0.91F, 0.86F);
    for (Region region : drawing.regions()) {
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
    float size = BODY - 2;
    for (Block.Name name : drawing.names()) {
      float wide = measure(name.text(), Typefaces.BOLD, size);
      float x = (float) (dx + name.x() * times) - wide / 2;
      float base = (float) (dy + name.y() * times) - size / 3;
      page.setNonStrokingColor(1F, 1F, 1F);
      page.addRect(x - 1.5F, base - 1.5F, wide + 3, size + 1);
      page.fill();
      put(name.text(), x, base, Typefaces.BOLD, size, INK);
    }
  }

  /** Charts beside each other, three at most in a row. */
  void charts(List<Chart> charts) throws IOException {
    for (int from = 0; from < charts.size(); from += CHARTS_BESIDE) {
      List<Chart> row = charts.subList(from, Math.min(charts.size(), from + CHARTS_BESIDE));
      need(CHART_HEIGHT + 12);
      space(8);
      float gap = 14;
      float each = (width() - (CHARTS_BESIDE - 1) * gap) / CHARTS_BESIDE;
      for (int k = 0; k < row.size(); k++) {
        Chart one = row.get(k);
        float left = MARGIN + k * (each + gap);
        tags.figure(sheet, page, one.words(), () -> chart(one, left, y - CHART_HEIGHT, each));
      }
      y -= CHART_HEIGHT + 4;
    }
  }

  private void chart(Chart chart, float left, float foot, float wide) throws IOException {
    float small = BODY - 2;
    float x0 = left + 26;
    float x1 = left + wide - 4;
    float y0 = foot + 30;
    float y1 = foot + CHART_HEIGHT - 14;
    put(chart.title(), left, y1 + 5, Typefaces.BOLD, BODY - 0.5F, INK);
    page.setLineWidth(0.4F);
    for (double mark : chart.up().marks()) {
      float at = y0 + (float) chart.up().part(mark) * (y1 - y0);
      stroke(RULE, x0, at, x1, at);
      String word = mark(mark);
      put(
          word,
          x0 - 3 - measure(word, Typefaces.REGULAR, small),
          at - 2,
          Typefaces.REGULAR,
          small,
          FAINT);
    }
    float free = Float.NEGATIVE_INFINITY;
    for (double mark : chart.across().marks()) {
      float at = x0 + (float) chart.across().part(mark) * (x1 - x0);
      stroke(RULE, at, y0, at, y0 - 2);
      String word = mark(mark);
      float half = measure(word, Typefaces.REGULAR, small) / 2;
      if (at - half > free) {
        put(word, at - half, y0 - 9, Typefaces.REGULAR, small, FAINT);
        free = at + half + 3;
      }
    }
    stroke(FAINT, x0, y0, x1, y0);
    put(chart.across().title(), x0, y0 - 18, Typefaces.REGULAR, small, FAINT);
    float legend = left;
    for (Series one : chart.series()) {
      float[] colour = colour(one.style());
      series(chart, one, colour, x0, y0, x1 - x0, y1 - y0);
      if (!one.name().isEmpty()) {
        dot(one.style(), colour, legend + 2.5F, foot + 4.5F);
        String word = fitting(one.name(), small, left + wide - legend - 8);
        put(word, legend + 8, foot + 2.2F, Typefaces.REGULAR, small, INK);
        legend += 14 + measure(word, Typefaces.REGULAR, small);
      }
    }
  }

  private String fitting(String name, float size, float room) throws IOException {
    String word = name;
    while (word.length() > 1 && measure(word, Typefaces.REGULAR, size) > room) {
      word = word.substring(0, word.length() - 1);
    }
    return word;
  }

  private static String mark(double value) {
    return Figures.typeset(Figures.significant(value, 4));
  }

  private static float[] colour(Style style) {
    return switch (style) {
      case READ -> GREEN;
      case READ_ALSO -> BRASS;
      case WORKED_OUT -> FAINT;
      case FAILED -> BRICK;
    };
  }

  private void series(
      Chart chart, Series one, float[] colour, float x0, float y0, float wide, float high)
      throws IOException {
    float[] last = null;
    for (Chart.Point point : one.points()) {
      float px = x0 + (float) chart.across().part(point.x()) * wide;
      float py = y0 + (float) chart.up().part(point.y()) * high;
      if (last != null && one.style() != Style.FAILED) {
        page.setLineWidth(0.9F);
        if (one.style() == Style.WORKED_OUT) {
          page.setLineDashPattern(new float[] {3, 2}, 0);
        }
        stroke(colour, last[0], last[1], px, py);
        page.setLineDashPattern(new float[0], 0);
      }
      last = new float[] {px, py};
      if (one.style() != Style.WORKED_OUT) {
        dot(one.style(), colour, px, py);
      }
    }
  }

  /** Squares, rhombs and crosses, so that colour is not the only sign. */
  private void dot(Style style, float[] colour, float x, float at) throws IOException {
    float r = 1.9F;
    page.setLineWidth(0.9F);
    page.setNonStrokingColor(colour[0], colour[1], colour[2]);
    switch (style) {
      case READ -> {
        page.addRect(x - r * 0.85F, at - r * 0.85F, 1.7F * r, 1.7F * r);
        page.fill();
      }
      case READ_ALSO -> {
        page.moveTo(x - r * 1.2F, at);
        page.lineTo(x, at + r * 1.2F);
        page.lineTo(x + r * 1.2F, at);
        page.lineTo(x, at - r * 1.2F);
        page.closePath();
        page.fill();
      }
      case WORKED_OUT -> stroke(colour, x - r, at, x + r, at);
      case FAILED -> {
        stroke(colour, x - r, at - r, x + r, at + r);
        stroke(colour, x - r, at + r, x + r, at - r);
      }
    }
  }

  private void stroke(float[] colour, float x1, float y1, float x2, float y2) throws IOException {
    page.setStrokingColor(colour[0], colour[1], colour[2]);
    page.moveTo(x1, y1);
    page.lineTo(x2, y2);
    page.stroke();
  }

  /** The finished file. */
  byte[] finish() throws IOException {
    page.close();
    int pages = document.getNumberOfPages();
    for (int k = 0; k < pages; k++) {
      page =
          new PDPageContentStream(
              document, document.getPage(k), PDPageContentStream.AppendMode.APPEND, true, true);
      String number = (k + 1) + " of " + pages;
      float right = MARGIN + width() - measure(number, Typefaces.REGULAR, 7.5F);
      tags.artifact(
          page,
          () -> {
            put(footer, MARGIN, MARGIN - 4, Typefaces.REGULAR, 7.5F, FAINT);
            put(number, right, MARGIN - 4, Typefaces.REGULAR, 7.5F, FAINT);
          });
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
