package steadycog.format.pdf;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import steadycog.format.picture.BoxPicture;
import steadycog.format.picture.LinePicture;
import steadycog.format.picture.PicturePdf;
import steadycog.number.Figures;
import steadycog.report.Block;
import steadycog.report.Report;
import steadycog.report.Section;

/** A report on sheets of A4, each train from a new sheet on. */
public final class ReportPdf {
  private static final double[] SCALES = {10, 5, 2, 1, 0.5, 0.2, 0.1, 0.05, 0.02, 0.01};
  private static final double MOST_HEIGHT = 105;

  /** Of pictures of a gearbox, in their pixels. */
  private static final double WHOLE = 660;

  private static final double STEP_WIDTH = 560;
  private static final double STEP_HEIGHT = 320;

  /** What must stand on the same page below one: a few lines. */
  private static final float AFTER = 5 * Paper.BODY * Paper.LINE;

  private ReportPdf() {}

  public static byte[] write(Report report) {
    // Once to learn which page every chapter begins on, and once with that in the contents.
    List<Paper.Entry> unknown =
        report.chapters().size() > 1
            ? report.chapters().stream().map(c -> new Paper.Entry(c.title(), 0)).toList()
            : List.of();
    List<Paper.Entry> entries = new ArrayList<>();
    byte[] first = write(report, unknown, entries);
    return unknown.isEmpty() ? first : write(report, entries, new ArrayList<>());
  }

  private static byte[] write(
      Report report, List<Paper.Entry> contents, List<Paper.Entry> entries) {
    try (Paper paper = new Paper(report.title(), report.footer())) {
      boolean several = report.chapters().size() > 1;
      paper.title(report.title());
      if (several) {
        paper.contents(contents);
      }
      for (Report.Chapter chapter : report.chapters()) {
        if (several) {
          paper.turn();
          entries.add(new Paper.Entry(chapter.title(), paper.number()));
          paper.chapter(chapter.title());
        }
        for (Report.Part part : chapter.parts()) {
          if (part.section() != Section.DRAWING) {
            paper.heading(part.section().title(), height(part.blocks().getFirst()));
          }
          for (int k = 0; k < part.blocks().size(); k++) {
            boolean last = k + 1 == part.blocks().size();
            put(paper, part.blocks().get(k), last ? 0 : height(part.blocks().get(k + 1)));
          }
        }
      }
      return paper.finish();
    } catch (IOException impossible) {
      throw new UncheckedIOException("writing to memory", impossible);
    }
  }

  /** What must stand on the same page as the heading over it; 0 where a line is enough. */
  private static float height(Block block) {
    return switch (block) {
      case Block.Charts charts -> Paper.CHART_HEIGHT + 20;
      case Block.Drawing drawing -> (float) (MOST_HEIGHT * Paper.MM);
      case Block.Assembly whole ->
          points(BoxPicture.height(whole, room(whole), high(whole))) + AFTER;
      case Block.Table table -> 5 * Paper.ROW;
      case Block.Heading heading -> 3 * Paper.ROW;
      default -> 0;
    };
  }

  /**
   * @param next height of what follows and must stand below a heading
   */
  private static void put(Paper paper, Block block, float next) throws IOException {
    switch (block) {
      case Block.Heading heading -> paper.subheading(heading.text(), next);
      case Block.Text text -> paper.text(text.text());
      case Block.Remark remark -> paper.remark(remark.text());
      case Block.Caution caution -> paper.caution(caution.text());
      case Block.Lines lines -> paper.lines(lines.lines());
      case Block.Finding finding ->
          paper.finding(finding.severity(), finding.text(), finding.settled());
      case Block.Table table -> paper.table(table);
      case Block.Charts charts -> paper.charts(charts.charts());
      case Block.Drawing drawing -> drawing(paper, drawing);
      case Block.Assembly whole -> assembly(paper, whole);
    }
  }

  private static void assembly(Paper paper, Block.Assembly whole) throws IOException {
    LinePicture picture = BoxPicture.of(whole, room(whole), high(whole));
    float height = points(picture.height());
    float x = Paper.MARGIN + (Paper.width() - points(picture.width())) / 2;
    paper.figure(
        height,
        AFTER,
        picture.title(),
        (document, page) -> PicturePdf.draw(document, page, picture, x, paper.at() + height));
  }

  /** The whole fills the page across; a step leaves room for another below it. */
  private static double room(Block.Assembly whole) {
    return whole.fresh().isEmpty() ? WHOLE : STEP_WIDTH;
  }

  private static double high(Block.Assembly whole) {
    return whole.fresh().isEmpty() ? WHOLE : STEP_HEIGHT;
  }

  private static float points(double pixels) {
    return (float) pixels * PicturePdf.POINTS;
  }

  private static void drawing(Paper paper, Block.Drawing drawing) throws IOException {
    double scale = scale(drawing.bounds());
    paper.space(6);
    double[] box = drawing.bounds();
    paper.figure(
        (float) ((box[3] - box[1]) * scale * Paper.MM),
        0,
        drawing.words(),
        (document, page) -> new PaperDrawing(paper, page).draw(drawing, scale));
    paper.space(2);
    String words = scale >= 1 ? trimmed(scale) + " : 1" : "1 : " + trimmed(1 / scale);
    paper.remark("Scale " + words + ", seen from the drive end.");
    paper.space(4);
  }

  private static String trimmed(double value) {
    return Figures.significant(value, 3);
  }

  /** The largest round scale at which it fits; else the largest that does. */
  private static double scale(double[] box) {
    double wide = Paper.width() / Paper.MM / (box[2] - box[0]);
    double high = MOST_HEIGHT / (box[3] - box[1]);
    double most = Math.min(wide, high);
    for (double scale : SCALES) {
      if (scale <= most) {
        return scale;
      }
    }
    return most;
  }
}
