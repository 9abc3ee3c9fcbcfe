package steadycog.format;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.ZipInputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import steadycog.format.csv.StudyCsv;
import steadycog.format.file.PieceFile;
import steadycog.format.html.ReportHtml;
import steadycog.format.pdf.ReportPdf;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.number.Units;
import steadycog.report.Report;
import steadycog.report.Section;
import steadycog.study.NamedStudy;

/** Names and notes that would be orders to a spreadsheet, a terminal or a browser. */
class InjectionTest {
  private static final String NASTY = "\u001b[2J\u0007<script>\u0000\ud83d&";

  @Test
  void noCellBeginsAFormulaAndNumbersStayNumbers() throws Exception {
    Card card = Card.read("parallel 16 ~ 56\ndrive A -1/3 rpm\ntake B\n");
    for (String name : List.of("=1+1", "+cmd", "-2+3", "@SUM(A1)", "\t=1", "\r=1", "plain")) {
      String csv = StudyCsv.write(List.of(NamedStudy.of(name, card.train())));
      boolean number = false;
      for (CSVRecord row : CSVFormat.RFC4180.parse(new StringReader(csv))) {
        for (String cell : row) {
          boolean formula = !cell.isEmpty() && "=+-@\t\r".indexOf(cell.charAt(0)) >= 0;
          assertTrue(!formula || cell.matches("[+-]?\\d.*"), cell);
          number |= cell.equals("-3.5");
        }
      }
      assertTrue(number, "a number is left as it is: " + csv);
      assertEquals(!name.equals("plain"), csv.contains("'" + name), csv);
    }
  }

  @Test
  void noOrderReachesPaperPageOrParts() throws Exception {
    Card card =
        Card.read("parallel 16 ~ 56\ndrive A\ntake B\n# " + NASTY.replace("\u0000", "") + "\n");
    Job job = new Job(NASTY, List.of(Sheet.of("a" + NASTY, card).noting(NASTY)));
    Report report = Report.of(job, Section.ALL, Units.USUAL, "2031-05-06");
    String html = ReportHtml.write(report);
    assertFalse(html.contains("<script>"));
    isFreeOfOrders(html);
    assertTrue(ReportPdf.write(report).length > 1000);
    var pieces = NamedStudy.of("a", card.train()).study().pieces(0.1).all();
    for (PieceFile kind : PieceFile.values()) {
      byte[] file = kind.write(pieces, false, 0.1, NASTY, () -> false, done -> {});
      switch (kind) {
        case SVG, DXF -> isFreeOfOrders(new String(file, StandardCharsets.UTF_8));
        case STL ->
            isFreeOfOrders(
                new String(file, 0, 80, StandardCharsets.US_ASCII).replace("\u0000", ""));
        case THREE_MF -> {
          try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            while (zip.getNextEntry() != null) {
              isFreeOfOrders(new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
          }
        }
      }
    }
  }

  private static void isFreeOfOrders(String text) {
    text.chars()
        .filter(c -> Character.isISOControl(c) && "\n\t\r".indexOf(c) < 0)
        .forEach(c -> assertEquals(' ', c, text.substring(0, Math.min(200, text.length()))));
  }
}
