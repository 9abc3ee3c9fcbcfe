package steadycog.app.bench;

import java.util.Locale;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.SVGPath;
import javafx.scene.text.Text;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.bench.Chart;
import steadycog.bench.Chart.Point;
import steadycog.bench.Chart.Series;
import steadycog.bench.Chart.Style;

/** A chart in as much room as there is. */
final class ChartView extends Pane {
  private static final double TOP = 24;
  private static final double FOOT = 50;
  private static final double LEGEND = 16;
  private static final double RIGHT = 8;
  private static final double GAP = 4;
  private static final double LEAST = 60;

  private Chart chart;

  ChartView(Chart chart) {
    this.chart = chart;
    getStyleClass().add("chart");
    setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    Look.clip(this);
    widthProperty().addListener(o -> draw());
    heightProperty().addListener(o -> draw());
    show(chart);
  }

  void show(Chart now) {
    chart = now;
    setAccessibleText(now.title() + ": " + now.up().title() + " over " + now.across().title());
    draw();
  }

  private void draw() {
    getChildren().clear();
    boolean named = chart.series().stream().anyMatch(one -> !one.name().isEmpty());
    double foot = getHeight() - (named ? FOOT : FOOT - LEGEND);
    if (getWidth() < LEAST || foot < TOP + GAP) {
      return;
    }
    word(chart.title(), "plot-name", 0, 0, VPos.TOP);
    double left = markUp(foot);
    double right = getWidth() - RIGHT;
    for (double mark : chart.up().marks()) {
      double y = foot - chart.up().part(mark) * (foot - TOP);
      line("plot-rule", left, y, right, y);
    }
    double free = Double.NEGATIVE_INFINITY;
    for (double mark : chart.across().marks()) {
      double x = left + chart.across().part(mark) * (right - left);
      line("plot-axis", x, foot, x, foot + 3);
      Text number = word(Sign.number(mark), "plot-text", 0, foot + GAP, VPos.TOP);
      double half = number.getLayoutBounds().getWidth() / 2;
      double at = Math.min(x - half, getWidth() - 2 * half);
      number.setVisible(at > free);
      number.setX(at);
      free = number.isVisible() ? at + 2 * half + GAP : free;
    }
    line("plot-axis", left, foot, right, foot);
    word(chart.across().title(), "plot-text", left, foot + 18, VPos.TOP);
    double legend = 0;
    for (Series one : chart.series()) {
      draw(one, left, right, foot);
      if (!one.name().isEmpty()) {
        dot(one.style(), legend + 4, getHeight() - 6);
        Text name = word(one.name(), "plot-text", legend + 12, getHeight(), VPos.BOTTOM);
        legend += 26 + name.getLayoutBounds().getWidth();
      }
    }
  }

  /** The numbers beside the axis that goes up; returns where the room for lines begins. */
  private double markUp(double foot) {
    double widest = 0;
    for (double mark : chart.up().marks()) {
      double y = foot - chart.up().part(mark) * (foot - TOP);
      Text number = word(Sign.number(mark), "plot-text", 0, y, VPos.CENTER);
      widest = Math.max(widest, number.getLayoutBounds().getWidth());
    }
    return widest + 2 * GAP;
  }

  private void draw(Series one, double left, double right, double foot) {
    Path path = Look.styled(new Path(), "chart-line", kind(one.style()));
    for (Point point : one.points()) {
      double x = left + chart.across().part(point.x()) * (right - left);
      double y = foot - chart.up().part(point.y()) * (foot - TOP);
      path.getElements().add(path.getElements().isEmpty() ? new MoveTo(x, y) : new LineTo(x, y));
    }
    if (one.style() != Style.FAILED) {
      getChildren().add(path);
    }
    // So many dots would only blur the line.
    if (one.style() == Style.WORKED_OUT || one.points().size() > LEAST) {
      return;
    }
    for (Point point : one.points()) {
      dot(
          one.style(),
          left + chart.across().part(point.x()) * (right - left),
          foot - chart.up().part(point.y()) * (foot - TOP));
    }
  }

  /** Squares, rhombs and crosses, so that colour is not the only sign. */
  private void dot(Style style, double x, double y) {
    SVGPath dot = Look.styled(new SVGPath(), "chart-dot", kind(style));
    dot.setContent(
        switch (style) {
          case READ -> "M-2.8 -2.8h5.6v5.6h-5.6z";
          case READ_ALSO -> "M-3.8 0l3.8 -3.8l3.8 3.8l-3.8 3.8z";
          case WORKED_OUT -> "M-4 0h8";
          case FAILED -> "M-3.4 -3.4l6.8 6.8m0 -6.8l-6.8 6.8";
        });
    dot.setLayoutX(x);
    dot.setLayoutY(y);
    getChildren().add(dot);
  }

  private static String kind(Style style) {
    return "chart-" + style.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private void line(String style, double x1, double y1, double x2, double y2) {
    getChildren().add(Look.styled(new Line(x1, y1, x2, y2), style));
  }

  private Text word(String words, String style, double x, double y, VPos origin) {
    Text text = Look.styled(new Text(words), style);
    text.setTextOrigin(origin);
    text.setX(x);
    text.setY(y);
    getChildren().add(text);
    text.applyCss();
    return text;
  }
}
