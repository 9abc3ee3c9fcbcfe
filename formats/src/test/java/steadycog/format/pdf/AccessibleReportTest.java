package steadycog.format.pdf;

import static java.nio.charset.StandardCharsets.ISO_8859_1;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkedContentReference;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureNode;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.format.demo.TernRock;
import steadycog.format.html.ReportHtml;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.number.Units;
import steadycog.report.Block;
import steadycog.report.Report;
import steadycog.report.Section;

/** What a report shows can be had by ear, and found: tags, descriptions, heads, contents. */
class AccessibleReportTest {

  static List<Job> jobs() {
    List<Job> jobs = new ArrayList<>();
    for (String name : List.of("Focuser", "Shutter winch", "Supply trolley")) {
      Sheet sheet =
          TernRock.job().sheets().stream().filter(s -> s.name().equals(name)).findFirst().get();
      jobs.add(new Job(name, List.of(sheet)));
    }
    jobs.add(new Job("Both", List.of(jobs.get(0).sheets().get(0), jobs.get(1).sheets().get(0))));
    return jobs;
  }

  private static Report report(Job job) {
    return Report.of(job, Section.ALL, Units.USUAL, "2031-05-06");
  }

  private static List<Block> blocks(Report report) {
    return report.chapters().stream()
        .flatMap(chapter -> chapter.parts().stream())
        .flatMap(part -> part.blocks().stream())
        .toList();
  }

  /** Elements of the structure by type, in the order in which they are read. */
  private static void collect(
      PDStructureNode node, String within, Map<String, List<PDStructureElement>> all) {
    for (Object kid : node.getKids()) {
      if (kid instanceof PDStructureElement element) {
        String type = element.getStructureType();
        all.computeIfAbsent(type, t -> new ArrayList<>()).add(element);
        switch (type) {
          case "TR" -> assertEquals("Table", within);
          case "TH", "TD" -> assertEquals("TR", within);
          case "TOCI" -> assertEquals("TOC", within);
          default -> assertTrue(within.matches("Root|Document"), type + " in " + within);
        }
        collect(element, type, all);
      }
    }
  }

  @ParameterizedTest
  @MethodSource("jobs")
  void everyPieceOfAPaperSaysWhatItIs(Job job) throws Exception {
    Report report = report(job);
    try (PDDocument read = Loader.loadPDF(ReportPdf.write(report))) {
      assertTrue(read.getDocumentCatalog().getMarkInfo().isMarked());
      assertEquals("en", read.getDocumentCatalog().getLanguage());
      assertEquals(report.title(), read.getDocumentInformation().getTitle());
      Map<String, List<PDStructureElement>> all = new TreeMap<>();
      collect(read.getDocumentCatalog().getStructureTreeRoot(), "Root", all);
      long pictures =
          blocks(report).stream()
              .mapToLong(
                  block ->
                      switch (block) {
                        case Block.Drawing drawing -> 1;
                        case Block.Charts charts -> charts.charts().size();
                        default -> 0;
                      })
              .sum();
      assertEquals(pictures, all.getOrDefault("Figure", List.of()).size());
      for (PDStructureElement figure : all.getOrDefault("Figure", List.of())) {
        assertTrue(figure.getAlternateDescription().length() > 30);
      }
      long tables = blocks(report).stream().filter(Block.Table.class::isInstance).count();
      assertEquals(tables, all.get("Caption").size());
      for (PDStructureElement head : all.get("TH")) {
        String scope = head.getAttributes().getObject(0).toString();
        assertTrue(scope.contains("Scope=Column") || scope.contains("Scope=Row"), scope);
      }
      assertEquals(1, all.get("H1").size());
      assertEquals(job.sheets().size() > 1 ? job.sheets().size() : 0, sizeOf(all, "H2"));
      marksAreWhole(read);
    }
  }

  private static int sizeOf(Map<String, List<PDStructureElement>> all, String type) {
    return all.getOrDefault(type, List.of()).size();
  }

  /** Every mark on every page belongs to one element, which names that page and mark. */
  private static void marksAreWhole(PDDocument read) throws Exception {
    COSDictionary tree =
        (COSDictionary)
            read.getDocumentCatalog()
                .getStructureTreeRoot()
                .getCOSObject()
                .getDictionaryObject(COSName.PARENT_TREE);
    COSArray numbers = tree.getCOSArray(COSName.NUMS);
    assertEquals(2 * read.getNumberOfPages(), numbers.size());
    int page = 0;
    for (PDPage sheet : read.getPages()) {
      assertEquals(page, sheet.getStructParents());
      COSArray owners = (COSArray) numbers.getObject(2 * page + 1);
      String content = new String(sheet.getContents().readAllBytes(), ISO_8859_1);
      Matcher mark = Pattern.compile("/MCID (\\d+)").matcher(content);
      int marks = 0;
      while (mark.find()) {
        assertEquals(marks++, Integer.parseInt(mark.group(1)));
      }
      assertEquals(marks, owners.size(), "page " + page);
      assertEquals(content.split("\\bBT\\b").length, content.split("\\bET\\b").length);
      int begun = content.split("\\bBDC\\b|\\bBMC\\b").length;
      assertEquals(begun, content.split("\\bEMC\\b").length, "page " + page);
      for (int k = 0; k < owners.size(); k++) {
        PDStructureElement owner = new PDStructureElement((COSDictionary) owners.getObject(k));
        int wanted = k;
        assertTrue(
            owner.getKids().stream()
                .anyMatch(
                    kid ->
                        kid instanceof PDMarkedContentReference one
                            && one.getMCID() == wanted
                            && one.getPage().getCOSObject() == sheet.getCOSObject()));
      }
      page++;
    }
  }

  @Test
  void theContentsNameThePageOnWhichEachTrainBegins() throws Exception {
    Report report = report(new Job("All", TernRock.job().sheets().subList(0, 4)));
    try (PDDocument read = Loader.loadPDF(ReportPdf.write(report))) {
      PDFTextStripper first = new PDFTextStripper();
      first.setEndPage(1);
      String contents = first.getText(read);
      List<String> marks = new ArrayList<>();
      for (PDOutlineItem item : read.getDocumentCatalog().getDocumentOutline().children()) {
        int page = read.getPages().indexOf(item.findDestinationPage(read)) + 1;
        marks.add(item.getTitle());
        assertTrue(
            Pattern.compile(Pattern.quote(item.getTitle()) + "\\s+" + page)
                .matcher(contents)
                .find(),
            item.getTitle() + " on " + page + ": " + contents);
        assertTrue(item.hasChildren(), "its sections");
        PDFTextStripper own = new PDFTextStripper();
        own.setStartPage(page);
        own.setEndPage(page);
        assertTrue(own.getText(read).startsWith(item.getTitle()), "begins a page");
      }
      assertEquals(report.chapters().stream().map(Report.Chapter::title).toList(), marks);
    }
  }

  /** No heading is the last thing on its page. */
  @ParameterizedTest
  @MethodSource("jobs")
  void noHeadingStandsAloneAtAFoot(Job job) throws Exception {
    Report report = report(job);
    List<String> headings = new ArrayList<>();
    report.chapters().stream()
        .flatMap(chapter -> chapter.parts().stream())
        .forEach(part -> headings.add(part.section().title()));
    blocks(report).stream()
        .flatMap(b -> b instanceof Block.Heading h ? Optional.of(h.text()).stream() : null)
        .forEach(headings::add);
    try (PDDocument read = Loader.loadPDF(ReportPdf.write(report))) {
      for (int page = 1; page <= read.getNumberOfPages(); page++) {
        PDFTextStripper one = new PDFTextStripper();
        one.setStartPage(page);
        one.setEndPage(page);
        List<String> lines = one.getText(read).lines().filter(l -> !l.isBlank()).toList();
        // The last line is the footer with the number of the page.
        String last = lines.size() < 2 ? "" : lines.get(lines.size() - 2).strip();
        assertFalse(headings.contains(last), "page " + page + " ends with " + last);
      }
    }
  }

  @ParameterizedTest
  @MethodSource("jobs")
  void thePageHasHeadsCaptionsAndWordsForPictures(Job job) {
    Report report = report(job);
    String page = ReportHtml.write(report);
    assertEquals(count("<table>", page), count("<caption>", page));
    assertEquals(0, count("<th>", page), "every head has its scope");
    for (Block block : blocks(report)) {
      if (block instanceof Block.Table table) {
        assertFalse(table.caption().isBlank());
      }
    }
    Matcher picture = Pattern.compile("<svg[^>]*>").matcher(page);
    while (picture.find()) {
      assertTrue(picture.group().matches("(?s).*role=\"img\".*aria-label=\"[^\"]{30,}\".*"));
    }
    Matcher link = Pattern.compile("<a href=\"#([^\"]+)\">").matcher(page);
    int links = 0;
    while (link.find()) {
      assertEquals(1, count("id=\"" + link.group(1) + "\"", page));
      links++;
    }
    assertTrue(links > 1);
  }

  private static int count(String words, String text) {
    return text.split(Pattern.quote(words), -1).length - 1;
  }

  /** A chart in words has every value that its picture has, as long as they are few. */
  @Test
  void chartsAreSaidInWords() {
    int charts = 0;
    for (Block block : blocks(report(jobs().getFirst()))) {
      if (block instanceof Block.Charts all) {
        for (var chart : all.charts()) {
          String words = chart.words();
          assertTrue(words.startsWith(chart.title()), words);
          chart.series().forEach(one -> assertTrue(words.contains(one.name())));
          charts++;
        }
      }
    }
    assertTrue(charts >= 3);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "module 1 mm", "module 1 mm; material steel"})
  void strengthIsGivenOnlyOfWhatIsStated(String sizes) throws Exception {
    String card = "parallel 20 ~ 40; drive A 60 rpm 1 Nm; take B; " + sizes + "\n";
    assertFalse(strengthOf(card), card);
    assertTrue(
        strengthOf(
            card
                + "module 1 mm; width 8 mm; material steel\n"
                    .replace(sizes.isEmpty() ? "\u0000" : "module 1 mm; ", "")
                    .replace(sizes.contains("steel") ? "; material steel" : "\u0000", "")));
  }

  private static boolean strengthOf(String card) throws Exception {
    Job job = new Job("t", List.of(Sheet.of("t", Card.read(card))));
    String page = ReportHtml.write(report(job));
    boolean table = page.contains("Strength, a screening");
    assertEquals(!table, page.contains("No strength is given here"));
    assertEquals(table, page.contains("Weakest tooth"));
    return table;
  }
}
