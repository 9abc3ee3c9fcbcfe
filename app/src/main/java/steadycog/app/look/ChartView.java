package steadycog.app.look;

import java.util.List;
import java.util.Locale;
import javafx.scene.AccessibleRole;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.SVGPath;
import javafx.scene.text.Text;
import steadycog.bench.Chart;
import steadycog.bench.Chart.Point;
import steadycog.bench.Chart.Style;
import steadycog.bench.ChartPainter;
import steadycog.bench.ChartPainter.Ink;
import steadycog.bench.ChartPainter.Wording;

/** A chart in as much room as there is. */
public final class ChartView extends Pane implements ChartPainter.Canvas {
  private Chart chart;

  public ChartView(Chart chart) {
    this.chart = chart;
    getStyleClass().add("chart");
    setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    Look.clip(this);
    widthProperty().addListener(o -> draw());
    heightProperty().addListener(o -> draw());
    show(chart);
  }

  public void show(Chart now) {
    chart = now;
    setAccessibleText(now.title() + ": " + now.up().title() + " over " + now.across().title());
    draw();
  }

  private void draw() {
    getChildren().clear();
    ChartPainter.paint(chart, this, getWidth(), getHeight());
    // Drawn while things are laid out, it would stand in black until the next frame.
    applyCss();
  }

  @Override
  public double width(Wording type, String words) {
    Text text = word(type, words);
    double width = text.getLayoutBounds().getWidth();
    getChildren().remove(text);
    return width;
  }

  @Override
  public void word(Wording type, String words, double x, double y) {
    Text text = word(type, words);
    text.setX(x);
    text.setY(y);
  }

  /** A word is as wide as its style makes it, which it has from where it stands. */
  private Text word(Wording type, String words) {
    Text text = Look.styled(new Text(words), type == Wording.HEAD ? "plot-name" : "plot-text");
    getChildren().add(text);
    text.applyCss();
    return text;
  }

  @Override
  public void line(Ink ink, double x1, double y1, double x2, double y2) {
    String style = ink == Ink.RULE ? "plot-rule" : "plot-axis";
    getChildren().add(Look.styled(new Line(x1, y1, x2, y2), style));
  }

  @Override
  public void curve(Style style, List<Point> points) {
    Path path = Look.styled(new Path(), "chart-line", kind(style));
    for (Point point : points) {
      path.getElements()
          .add(
              path.getElements().isEmpty()
                  ? new MoveTo(point.x(), point.y())
                  : new LineTo(point.x(), point.y()));
    }
    getChildren().add(path);
  }

  @Override
  public void dot(Style style, double x, double y) {
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
}
