package steadycog.format.pdf;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.StringReader;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;
import steadycog.bench.LoadResult;
import steadycog.bench.LoadTest;
import steadycog.check.Finding;
import steadycog.format.demo.TernRock;
import steadycog.format.html.ReportHtml;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.number.Units;
import steadycog.report.Block;
import steadycog.report.Report;
import steadycog.report.Section;
import steadycog.study.Study;

class ReportTest {

  private static Sheet focuser() {
    return TernRock.job().sheets().stream()
        .filter(sheet -> sheet.name().equals("Focuser"))
        .findFirst()
        .orElseThrow();
  }

  private static String text(byte[] pdf) throws Exception {
    try (PDDocument read = Loader.loadPDF(pdf)) {
      return new PDFTextStripper().getText(read).replaceAll("\\s+", " ");
    }
  }

  /** Whatever a report holds stands on paper and on the page, word for word. */
  @Test
  void paperAndPageSayAllThatTheBlocksSay() throws Exception {
    Report report =
        Report.of(new Job("Tern Rock", List.of(focuser())), Section.ALL, Units.USUAL, "2031-04-02");
    String paper = text(ReportPdf.write(report));
    String page = ReportHtml.write(report);
    int cells = 0;
    for (Report.Part part : report.chapters().getFirst().parts()) {
      assertTrue(paper.contains(part.section().title()) || part.section() == Section.DRAWING);
      for (Block block : part.blocks()) {
        if (block instanceof Block.Table table) {
          for (List<String> row : table.rows()) {
            for (String cell : row) {
              String plain = cell.replaceAll("\\s+", " ").strip().replace('\u2032', '\'');
              assertTrue(paper.contains(plain), plain);
              boolean head = page.contains("<th scope=\"row\">" + escaped(cell) + "</th>");
              assertTrue(head || page.contains("<td>" + escaped(cell) + "</td>"), cell);
              cells++;
            }
          }
        } else if (block instanceof Block.Text words) {
          String plain = words.text().replaceAll("\\s+", " ").replace('\u2032', '\'');
          assertTrue(paper.contains(plain), words.text());
          assertTrue(page.contains(escaped(words.text())), words.text());
        }
      }
    }
    assertTrue(cells > 200);
    assertTrue(paper.contains("teeth of planet broken off"), paper);
    assertTrue(paper.contains("planet2 24 instead of 23"), paper);
    assertFalse(paper.contains("NaN") || page.contains("NaN"));
    assertFalse(paper.contains("?"), "every sign has its glyph");
  }

  private static String escaped(String text) {
    return text.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;")
        .replace("'", "&#39;");
  }

  /** The page is well formed but for what HTML leaves open, and every path has numbers. */
  @Test
  void thePageIsWellFormedWhateverNamesSay() throws Exception {
    Sheet odd = focuser().named("<b>\"Odd\" & 'ends'</b>");
    String page =
        ReportHtml.write(Report.of(new Job("a < b", List.of(odd)), Section.ALL, Units.USUAL, ""));
    String xml =
        page.replace("<!doctype html>", "")
            .replaceAll("<meta [^>]*>", "")
            .replaceAll("(?s)<style>.*</style>", "");
    Document document =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new InputSource(new StringReader(xml)));
    assertEquals(
        "a < b: <b>\"Odd\" & 'ends'</b>",
        document.getElementsByTagName("h1").item(0).getTextContent());
    int paths = document.getElementsByTagName("path").getLength();
    assertTrue(paths > 20);
    for (int k = 0; k < paths; k++) {
      String d =
          document
              .getElementsByTagName("path")
              .item(k)
              .getAttributes()
              .getNamedItem("d")
              .getNodeValue();
      assertTrue(d.matches("[MLZmlhvz0-9 .\\-]+"), d);
    }
  }

  /** The numbers are those that the screen works with. */
  @Test
  void theBenchNumbersAreThoseOfTheResult() throws Exception {
    Sheet sheet = focuser();
    String paper =
        text(
            ReportPdf.write(
                Report.of(
                    new Job("", List.of(sheet)), EnumSet.of(Section.BENCH), Units.USUAL, "")));
    for (var build : sheet.book().builds()) {
      LoadTest load = build.lastLoad().orElseThrow();
      LoadResult result = LoadResult.of(build.train(load), load);
      // The typeface on paper has no prime.
      String words = result.words(Units.USUAL.torque()).replace('\u2032', '\'');
      assertTrue(paper.contains(words), words);
    }
    assertTrue(paper.contains("It holds 1.8"), paper);
    assertFalse(paper.contains("Working"), "only what was chosen");
  }

  @Test
  void howAFindingWasSettledStandsBesideIt() throws Exception {
    Card card =
        Card.read("planetary sun 30 planet 20 x3 ring 70; drive sun; hold ring; take carrier");
    Finding error =
        Study.of(card.train()).findings().stream()
            .filter(finding -> finding.severity().isError())
            .findFirst()
            .orElseThrow();
    Sheet sheet = Sheet.of("Set", card);
    Sheet settled = sheet.booking(sheet.book().settling(error, "two planets instead"));
    Report report =
        Report.of(new Job("", List.of(settled)), EnumSet.of(Section.FINDINGS), Units.USUAL, "");
    String paper = text(ReportPdf.write(report));
    assertTrue(paper.contains(error.message().replaceAll("\\s+", " ")), paper);
    assertTrue(paper.contains("Settled: two planets instead"), paper);
    assertTrue(sheet.book().settling(error, " ").isEmpty());
  }

  /** Every section of every demo train can be written by itself. */
  @ParameterizedTest
  @EnumSource(Section.class)
  void everySectionOfEveryTrainCanBeWritten(Section section) throws Exception {
    Report report = Report.of(TernRock.job(), Set.of(section), Units.USUAL, "");
    assertEquals(TernRock.job().sheets().size(), report.chapters().size());
    try (PDDocument read = Loader.loadPDF(ReportPdf.write(report))) {
      assertTrue(read.getNumberOfPages() >= report.chapters().size());
    }
    assertTrue(ReportHtml.write(report).endsWith("</html>\n"));
  }
}
