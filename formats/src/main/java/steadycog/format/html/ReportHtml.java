package steadycog.format.html;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import steadycog.bench.Chart;
import steadycog.format.picture.BoxPicture;
import steadycog.format.picture.PictureSvg;
import steadycog.number.Figures;
import steadycog.number.Printable;
import steadycog.piece.Region;
import steadycog.report.Block;
import steadycog.report.Report;
import steadycog.shape.Outline;

/** A report as a page of HTML. */
public final class ReportHtml {
  private static final double CHORD = 0.05;

  /** A drawing is so many times as large as the letters in it. */
  private static final double NAMES = 40;

  private final StringBuilder page = new StringBuilder();

  private ReportHtml() {}

  public static String write(Report report) {
    ReportHtml html = new ReportHtml();
    html.fill(report);
    return html.page.toString();
  }

  private void fill(Report report) {
    page.append("<!doctype html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n");
    page.append("<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">\n");
    element("title", report.title());
    page.append("<style>\n").append(style()).append("</style>\n</head>\n<body>\n");
    element("h1", report.title());
    boolean several = report.chapters().size() > 1;
    contents(report, several);
    int train = 0;
    for (Report.Chapter chapter : report.chapters()) {
      train++;
      page.append("<article id=\"train-").append(train).append("\">\n");
      if (several) {
        element("h2", chapter.title());
      }
      for (Report.Part part : chapter.parts()) {
        page.append("<section id=\"").append(anchor(train, part)).append("\">\n");
        element(several ? "h3" : "h2", part.section().title());
        part.blocks().forEach(this::block);
        page.append("</section>\n");
      }
      page.append("</article>\n");
    }
    page.append("<footer>").append(escaped(report.footer())).append("</footer>\n");
    page.append("</body>\n</html>\n");
  }

  private static String anchor(int train, Report.Part part) {
    return "train-" + train + "-" + part.section().key();
  }

  private void contents(Report report, boolean several) {
    page.append("<nav aria-label=\"Contents\">\n<ul>\n");
    int train = 0;
    for (Report.Chapter chapter : report.chapters()) {
      train++;
      if (several) {
        page.append("<li>");
        link("train-" + train, chapter.title());
        page.append("</li>\n");
        continue;
      }
      for (Report.Part part : chapter.parts()) {
        page.append("<li>");
        link(anchor(train, part), part.section().title());
        page.append("</li>\n");
      }
    }
    page.append("</ul>\n</nav>\n");
  }

  private void link(String anchor, String text) {
    page.append("<a href=\"#").append(anchor).append("\">").append(escaped(text)).append("</a>");
  }

  private static String style() {
    try (InputStream in =
        Objects.requireNonNull(ReportHtml.class.getResourceAsStream("report.css"))) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException missing) {
      throw new UncheckedIOException("a file of the program itself", missing);
    }
  }

  private void element(String name, String text) {
    page.append('<').append(name).append('>').append(escaped(text));
    page.append("</").append(name).append(">\n");
  }

  private void paragraph(String kind, String text) {
    page.append("<p class=\"").append(kind).append("\">").append(escaped(text)).append("</p>\n");
  }

  private void block(Block block) {
    switch (block) {
      case Block.Heading heading -> element("h4", heading.text());
      case Block.Text text -> element("p", text.text());
      case Block.Remark remark -> paragraph("remark", remark.text());
      case Block.Caution caution -> paragraph("caution", caution.text());
      case Block.Lines lines -> {
        page.append("<pre>");
        page.append(escaped(String.join("\n", lines.lines()))).append("</pre>\n");
      }
      case Block.Finding finding -> finding(finding);
      case Block.Table table -> table(table);
      case Block.Charts charts -> {
        page.append("<div class=\"charts\">\n");
        charts.charts().forEach(this::chart);
        page.append("</div>\n");
      }
      case Block.Drawing drawing -> drawing(drawing);
      case Block.Assembly whole -> {
        page.append("<div class=\"assembly\">");
        page.append(PictureSvg.inline(BoxPicture.of(whole, BoxPicture.PAGE, BoxPicture.PAGE)));
        page.append("</div>\n");
      }
    }
  }

  private void finding(Block.Finding finding) {
    page.append("<p class=\"finding ").append(escaped(finding.severity())).append("\"><b>");
    page.append(escaped(finding.severity())).append("</b> ").append(escaped(finding.text()));
    if (!finding.settled().isEmpty()) {
      page.append(" <i>Settled: ").append(escaped(finding.settled())).append("</i>");
    }
    page.append("</p>\n");
  }

  private void table(Block.Table table) {
    page.append("<div class=\"wide\"><table>\n");
    element("caption", table.caption());
    page.append("<thead>");
    row("<th scope=\"col\">", "<th scope=\"col\">", "</th>", table.heads());
    page.append("</thead>\n<tbody>\n");
    table.rows().forEach(row -> row("<th scope=\"row\">", "<td>", "</td>", row));
    page.append("</tbody>\n</table></div>\n");
  }

  private void row(String first, String others, String end, List<String> cells) {
    page.append("<tr>");
    for (int k = 0; k < cells.size(); k++) {
      page.append(k == 0 ? first : others).append(escaped(cells.get(k)));
      page.append(k == 0 ? "</th>" : end);
    }
    page.append("</tr>\n");
  }

  private void drawing(Block.Drawing drawing) {
    double[] box = drawing.bounds();
    double wide = box[2] - box[0];
    double high = box[3] - box[1];
    page.append("<svg class=\"drawing\" role=\"img\" aria-label=\"");
    page.append(escaped(drawing.words())).append("\" viewBox=\"");
    page.append(number(box[0])).append(' ').append(number(-box[3])).append(' ');
    page.append(number(wide)).append(' ').append(number(high)).append("\">\n");
    for (Region region : drawing.regions()) {
      page.append("<path fill-rule=\"evenodd\" d=\"");
      for (Outline line : region.outlines(CHORD)) {
        for (int k = 0; k < line.size(); k++) {
          page.append(k == 0 ? 'M' : 'L').append(number(line.x()[k])).append(' ');
          page.append(number(-line.y()[k]));
        }
        page.append('Z');
      }
      page.append("\"/>\n");
    }
    double size = Math.max(wide, high) / NAMES;
    for (Block.Name name : drawing.names()) {
      page.append("<text class=\"name\" text-anchor=\"middle\" font-size=\"");
      page.append(number(size)).append("\" x=\"").append(number(name.x())).append("\" y=\"");
      page.append(number(size / 3 - name.y())).append("\">").append(escaped(name.text()));
      page.append("</text>\n");
    }
    page.append("</svg>\n");
    paragraph(
        "remark",
        Figures.significant(wide, 3)
            + " \u00d7 "
            + Figures.significant(high, 3)
            + " mm, seen from the drive end.");
  }

  // ---- charts

  private void chart(Chart chart) {
    page.append("<svg class=\"chart\" role=\"img\" viewBox=\"0 0 ").append(SvgChart.WIDE);
    page.append(' ').append(SvgChart.HIGH).append("\" aria-label=\"");
    page.append(escaped(chart.words())).append("\">\n");
    page.append(SvgChart.of(chart)).append("</svg>\n");
  }

  static String number(double value) {
    return Figures.significant((double) Math.round(value * 1000) / 1000, 7);
  }

  static String escaped(String text) {
    StringBuilder safe = new StringBuilder();
    for (char c : Printable.of(text).toCharArray()) {
      switch (c) {
        case '&' -> safe.append("&amp;");
        case '<' -> safe.append("&lt;");
        case '>' -> safe.append("&gt;");
        case '"' -> safe.append("&quot;");
        case '\'' -> safe.append("&#39;");
        default -> safe.append(c);
      }
    }
    return safe.toString();
  }
}
