package steadycog.format.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageFitWidthDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import steadycog.bench.Chart;
import steadycog.number.Printable;
import steadycog.report.Block;

/** Sheets of A4 filled from the top down. Lengths in points of 1/72 inch unless said otherwise. */
final class Paper implements AutoCloseable {
  /** Points a mm. */
  static final double MM = 72 / 25.4;

  static final float BODY = 9;
  static final float MARGIN = (float) (17 * MM);
  private static final float FOOT = (float) (12 * MM);
  static final float LINE = 1.35F;
  static final float[] INK = {0.13F, 0.12F, 0.10F};
  static final float[] FAINT = {0.45F, 0.42F, 0.38F};
  static final float[] GREEN = {0.20F, 0.40F, 0.34F};
  static final float[] BRASS = {0.55F, 0.40F, 0.12F};
  static final float[] BRICK = {0.62F, 0.22F, 0.16F};

  private static final float INDENT = 9;
  private static final float SEVERITY = 46;

  /** Height of a line of a table. */
  static final float ROW = (BODY - 0.5F) * LINE;

  private static final int CHARTS_BESIDE = 3;
  static final float CHART_HEIGHT = (float) (46 * MM);
  static final float[] RULE = {0.75F, 0.71F, 0.64F};

  private final PDDocument document = new PDDocument();
  private final Lettering lettering;
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
    lettering = new Lettering(document);
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

  /** Where the next thing begins, from the foot of the sheet. */
  float at() {
    return y;
  }

  void goTo(float height) {
    y = height;
  }

  /** What only decorates the page that is being written. */
  void artifact(Tags.Writing writing) throws IOException {
    tags.artifact(page, writing);
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

  void line(String text, Typefaces face, float size, float[] colour) throws IOException {
    need(size * LINE);
    y -= size * LINE;
    put(text, MARGIN, y + size * 0.3F, face, size, colour);
  }

  float measure(String text, Typefaces face, float size) throws IOException {
    return lettering.measure(text, face, size);
  }

  List<String> broken(String text, Typefaces face, float size, float room) throws IOException {
    return lettering.broken(text, face, size, room);
  }

  void rule() throws IOException {
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

  void put(String text, float x, float base, Typefaces face, float size, float[] colour)
      throws IOException {
    tags.text(
        sheet,
        page,
        () -> {
          page.beginText();
          page.setFont(lettering.font(face), size);
          page.setNonStrokingColor(colour[0], colour[1], colour[2]);
          page.newLineAtOffset(x, base);
          page.showText(lettering.known(text, face));
          page.endText();
        });
  }

  /** Draws on a page of a document. */
  interface Figure {
    void draw(PDDocument document, PDPageContentStream page) throws IOException;
  }

  /**
   * A figure below what stands there; while it is drawn {@link #at} is its lower end.
   *
   * @param after height of what must stand on the same page below it
   * @param words what it shows
   */
  void figure(float height, float after, String words, Figure figure) throws IOException {
    need(height + after);
    y -= height;
    tags.figure(sheet, page, words, () -> figure.draw(document, page));
  }

  /** A table; too many columns go into further tables below. */
  void table(Block.Table table) throws IOException {
    new PaperTable(this, tags).draw(table);
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
        tags.figure(sheet, page, one.words(), () -> chart(one, left, each));
      }
      y -= CHART_HEIGHT + 4;
    }
  }

  private void chart(Chart chart, float left, float wide) throws IOException {
    new PaperChart(this, page, left, y).draw(chart, wide, CHART_HEIGHT);
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
