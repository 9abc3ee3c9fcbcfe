package steadycog.bench;

import java.util.List;
import steadycog.bench.Chart.Point;
import steadycog.bench.Chart.Series;
import steadycog.bench.Chart.Style;
import steadycog.number.Figures;

/**
 * Says where everything of a chart stands, once for screen, web page and paper. Lengths are in the
 * units of the room that is given, about pixels; x goes right, y down, from the top left corner.
 */
public final class ChartPainter {
  private static final double TOP = 24;
  private static final double UNDER = 34;
  private static final double LEGEND = 16;
  private static final double GAP = 4;
  private static final double NOTCH = 3;

  /** In less room than this nothing could be read. */
  private static final double LEAST = 60;

  /** More dots than this would only blur their line. */
  private static final int MOST_DOTS = 60;

  /** What a word is. */
  public enum Wording {
    /** The title. */
    HEAD,
    /** Numbers and names at axes, and the legend. */
    MARK
  }

  /** What a straight line is. */
  public enum Ink {
    /** Across the room, to read by. */
    RULE,
    /** An axis and its notches. */
    AXIS
  }

  /** What a chart is drawn on. */
  public interface Canvas {
    /** How wide a word would be. */
    double width(Wording type, String words);

    /** Writes a word from {@code x} on, its base line at {@code y}. */
    void word(Wording type, String words, double x, double y);

    void line(Ink ink, double x1, double y1, double x2, double y2);

    /** A line from point to point. */
    void curve(Style style, List<Point> points);

    /** Squares, rhombs and crosses, so that colour is not the only sign. */
    void dot(Style style, double x, double y);
  }

  private final Chart chart;
  private final Canvas canvas;
  private final double width;
  private final double height;
  private final double foot;

  private ChartPainter(Chart chart, Canvas canvas, double width, double height) {
    this.chart = chart;
    this.canvas = canvas;
    this.width = width;
    this.height = height;
    boolean named = chart.series().stream().anyMatch(one -> !one.name().isEmpty());
    foot = height - UNDER - (named ? LEGEND : 0);
  }

  /** Draws a chart; nothing at all where there is no room to read it. */
  public static void paint(Chart chart, Canvas canvas, double width, double height) {
    ChartPainter painter = new ChartPainter(chart, canvas, width, height);
    if (width >= LEAST && painter.foot >= TOP + GAP) {
      painter.paint();
    }
  }

  private void paint() {
    canvas.word(Wording.HEAD, chart.title(), 0, 13);
    double widest = 0;
    for (double mark : chart.up().marks()) {
      widest = Math.max(widest, canvas.width(Wording.MARK, text(mark)));
    }
    double left = widest + 2 * GAP;
    double right = width - 2 * GAP;
    for (double mark : chart.up().marks()) {
      double y = y(mark);
      canvas.line(Ink.RULE, left, y, right, y);
      canvas.word(
          Wording.MARK, text(mark), widest - canvas.width(Wording.MARK, text(mark)), y + GAP);
    }
    across(left, right);
    canvas.line(Ink.AXIS, left, foot, right, foot);
    canvas.word(Wording.MARK, chart.across().title(), left, foot + 29);
    double legend = 0;
    for (Series one : chart.series()) {
      series(one, left, right);
      if (!one.name().isEmpty()) {
        String name = fitting(one.name(), width - legend - 12);
        canvas.dot(one.style(), legend + GAP, height - 6);
        canvas.word(Wording.MARK, name, legend + 12, height - 2);
        legend += 26 + canvas.width(Wording.MARK, name);
      }
    }
  }

  /** Marks that would run into the one before are left out. */
  private void across(double left, double right) {
    double free = Double.NEGATIVE_INFINITY;
    for (double mark : chart.across().marks()) {
      double x = left + chart.across().part(mark) * (right - left);
      canvas.line(Ink.AXIS, x, foot, x, foot + NOTCH);
      double wide = canvas.width(Wording.MARK, text(mark));
      double at = Math.min(x - wide / 2, width - wide);
      if (at > free) {
        canvas.word(Wording.MARK, text(mark), at, foot + 14);
        free = at + wide + GAP;
      }
    }
  }

  private void series(Series one, double left, double right) {
    List<Point> points =
        one.points().stream()
            .map(
                point ->
                    new Point(left + chart.across().part(point.x()) * (right - left), y(point.y())))
            .toList();
    if (one.style() != Style.FAILED) {
      canvas.curve(one.style(), points);
    }
    if (one.style() != Style.WORKED_OUT && points.size() <= MOST_DOTS) {
      points.forEach(point -> canvas.dot(one.style(), point.x(), point.y()));
    }
  }

  private double y(double value) {
    return foot - chart.up().part(value) * (foot - TOP);
  }

  private String fitting(String name, double room) {
    String word = name;
    while (word.length() > 2 && canvas.width(Wording.MARK, word) > room) {
      word = word.substring(0, word.length() - 2) + "\u2026";
    }
    return word;
  }

  private static String text(double mark) {
    return Figures.typeset(Figures.significant(mark, 4));
  }
}
