package steadycog.format.pdf;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import steadycog.bench.Chart;
import steadycog.bench.Chart.Point;
import steadycog.bench.Chart.Style;
import steadycog.bench.ChartPainter;
import steadycog.bench.ChartPainter.Ink;
import steadycog.bench.ChartPainter.Wording;

/** A chart on paper. */
final class PaperChart implements ChartPainter.Canvas {
  private static final float SMALL = Paper.BODY - 2;

  /** Points a unit of the chart, so that its small type becomes that of paper. */
  private static final float SCALE = SMALL / 11;

  private static final float DOT = 1.9F;

  private final Paper paper;
  private final PDPageContentStream page;
  private final float left;
  private final float top;

  /**
   * A place for a chart.
   *
   * @param left edge of its room, points
   * @param top edge of its room, points from the foot of the sheet
   */
  PaperChart(Paper paper, PDPageContentStream page, float left, float top) {
    this.paper = paper;
    this.page = page;
    this.left = left;
    this.top = top;
  }

  void draw(Chart chart, float wide, float high) throws IOException {
    try {
      ChartPainter.paint(chart, this, wide / SCALE, high / SCALE);
    } catch (UncheckedIOException failed) {
      throw failed.getCause();
    }
  }

  private interface Writing {
    void write() throws IOException;
  }

  /** A canvas throws nothing of its own; {@link #draw} gives back what paper threw. */
  private static void written(Writing writing) {
    try {
      writing.write();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private float x(double along) {
    return left + (float) along * SCALE;
  }

  private float y(double down) {
    return top - (float) down * SCALE;
  }

  private static Typefaces face(Wording type) {
    return type == Wording.HEAD ? Typefaces.BOLD : Typefaces.REGULAR;
  }

  private static float size(Wording type) {
    return type == Wording.HEAD ? Paper.BODY - 0.5F : SMALL;
  }

  @Override
  public double width(Wording type, String words) {
    float[] width = new float[1];
    written(() -> width[0] = paper.measure(words, face(type), size(type)) / SCALE);
    return width[0];
  }

  @Override
  public void word(Wording type, String words, double x, double y) {
    float[] colour = type == Wording.HEAD ? Paper.INK : Paper.FAINT;
    written(() -> paper.put(words, x(x), y(y), face(type), size(type), colour));
  }

  @Override
  public void line(Ink ink, double x1, double y1, double x2, double y2) {
    written(
        () -> {
          page.setLineWidth(0.4F);
          stroke(ink == Ink.RULE ? Paper.RULE : Paper.FAINT, x(x1), y(y1), x(x2), y(y2));
        });
  }

  @Override
  public void curve(Style style, List<Point> points) {
    written(
        () -> {
          float[] colour = colour(style);
          page.setStrokingColor(colour[0], colour[1], colour[2]);
          page.setLineWidth(0.9F);
          page.setLineDashPattern(style == Style.WORKED_OUT ? new float[] {3, 2} : new float[0], 0);
          for (int k = 0; k < points.size(); k++) {
            if (k == 0) {
              page.moveTo(x(points.get(k).x()), y(points.get(k).y()));
            } else {
              page.lineTo(x(points.get(k).x()), y(points.get(k).y()));
            }
          }
          page.stroke();
          page.setLineDashPattern(new float[0], 0);
        });
  }

  @Override
  public void dot(Style style, double x, double y) {
    written(() -> dot(style, x(x), y(y)));
  }

  private void dot(Style style, float x, float at) throws IOException {
    float[] colour = colour(style);
    page.setLineWidth(0.9F);
    page.setNonStrokingColor(colour[0], colour[1], colour[2]);
    switch (style) {
      case READ -> {
        page.addRect(x - DOT * 0.85F, at - DOT * 0.85F, 1.7F * DOT, 1.7F * DOT);
        page.fill();
      }
      case READ_ALSO -> {
        page.moveTo(x - DOT * 1.2F, at);
        page.lineTo(x, at + DOT * 1.2F);
        page.lineTo(x + DOT * 1.2F, at);
        page.lineTo(x, at - DOT * 1.2F);
        page.closePath();
        page.fill();
      }
      case WORKED_OUT -> stroke(colour, x - DOT, at, x + DOT, at);
      case FAILED -> {
        stroke(colour, x - DOT, at - DOT, x + DOT, at + DOT);
        stroke(colour, x - DOT, at + DOT, x + DOT, at - DOT);
      }
    }
  }

  private void stroke(float[] colour, float x1, float y1, float x2, float y2) throws IOException {
    page.setStrokingColor(colour[0], colour[1], colour[2]);
    page.moveTo(x1, y1);
    page.lineTo(x2, y2);
    page.stroke();
  }

  private static float[] colour(Style style) {
    return switch (style) {
      case READ -> Paper.GREEN;
      case READ_ALSO -> Paper.BRASS;
      case WORKED_OUT -> Paper.FAINT;
      case FAILED -> Paper.BRICK;
    };
  }
}
