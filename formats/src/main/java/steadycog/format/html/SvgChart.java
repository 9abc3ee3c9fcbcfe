package steadycog.format.html;

import java.util.List;
import java.util.Locale;
import steadycog.bench.Chart;
import steadycog.bench.Chart.Point;
import steadycog.bench.Chart.Style;
import steadycog.bench.ChartPainter;
import steadycog.bench.ChartPainter.Ink;
import steadycog.bench.ChartPainter.Wording;

/** The lines of a chart as SVG; its colours and type are those of the page's style sheet. */
final class SvgChart implements ChartPainter.Canvas {
  static final int WIDE = 300;
  static final int HIGH = 190;

  /** Of the type of numbers and names; those who show the page have it, not who writes it. */
  private static final double LETTER = 5.4;

  private final StringBuilder svg = new StringBuilder();

  private SvgChart() {}

  static String of(Chart chart) {
    SvgChart drawn = new SvgChart();
    ChartPainter.paint(chart, drawn, WIDE, HIGH);
    return drawn.svg.toString();
  }

  @Override
  public double width(Wording type, String words) {
    return LETTER * words.length();
  }

  @Override
  public void word(Wording type, String words, double x, double y) {
    svg.append("<text class=\"").append(type.name().toLowerCase(Locale.ROOT));
    svg.append("\" x=\"").append(number(x)).append("\" y=\"").append(number(y)).append("\">");
    svg.append(ReportHtml.escaped(words)).append("</text>\n");
  }

  @Override
  public void line(Ink ink, double x1, double y1, double x2, double y2) {
    svg.append("<line class=\"grid\" x1=\"").append(number(x1)).append("\" y1=\"");
    svg.append(number(y1)).append("\" x2=\"").append(number(x2)).append("\" y2=\"");
    svg.append(number(y2)).append("\"/>\n");
  }

  @Override
  public void curve(Style style, List<Point> points) {
    svg.append("<path class=\"").append(kind(style)).append("\" d=\"");
    for (int k = 0; k < points.size(); k++) {
      svg.append(k == 0 ? 'M' : 'L').append(number(points.get(k).x())).append(' ');
      svg.append(number(points.get(k).y()));
    }
    svg.append("\"/>\n");
  }

  @Override
  public void dot(Style style, double x, double y) {
    String shape =
        switch (style) {
          case READ -> "m-2.6 -2.6h5.2v5.2h-5.2z";
          case READ_ALSO -> "m-3.6 0l3.6 -3.6l3.6 3.6l-3.6 3.6z";
          case WORKED_OUT -> "m-4 0h8";
          case FAILED -> "m-3 -3l6 6m0 -6l-6 6";
        };
    svg.append("<path class=\"dot ").append(kind(style)).append("\" d=\"M").append(number(x));
    svg.append(' ').append(number(y)).append(shape).append("\"/>\n");
  }

  private static String kind(Style style) {
    return style.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private static String number(double value) {
    return ReportHtml.number(value);
  }
}
