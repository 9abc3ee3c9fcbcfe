package steadycog.app.shift;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polyline;
import javafx.scene.text.Text;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.motion.RatioBoard;
import steadycog.number.Ratio;
import steadycog.study.ShiftTable;
import steadycog.study.ShiftTable.Row;
import steadycog.train.MemberId;

/**
 * Two charts of a plan: ratios on a logarithmic scale with the steps between them, and the speeds
 * of all shafts from state to state.
 */
final class StateCharts extends Pane {
  private static final double EDGE = 14;
  private static final double LINE = 15;
  private static final double LABELS = 96;
  private static final double LEAST_SPAN = 0.7;

  private ShiftTable plan;
  private double line = LINE;
  private double labels = LABELS;

  StateCharts(ShiftTable plan) {
    this.plan = plan;
    setId("state-charts");
    setMinSize(0, 0);
    widthProperty().addListener(o -> draw());
    heightProperty().addListener(o -> draw());
    Look.clip(this);
  }

  /** Shows a plan, its words {@code zoom} times as large as usual. */
  void show(ShiftTable now, double zoom) {
    plan = now;
    line = LINE * zoom;
    labels = LABELS * zoom;
    draw();
  }

  private void draw() {
    getChildren().clear();
    List<Row> rows = plan.rows().stream().filter(row -> row.study().ratio().isPresent()).toList();
    if (rows.isEmpty() || getWidth() < 4 * labels || getHeight() < 5 * line) {
      return;
    }
    double half = 0.5 * getWidth();
    drawRatios(rows, EDGE, half - EDGE);
    drawSpeeds(half + EDGE, getWidth() - labels);
  }

  // ---- ratios

  private void drawRatios(List<Row> rows, double left, double right) {
    double low = extreme(rows, row -> size(row), false);
    double high = extreme(rows, row -> size(row), true);
    double least = Math.min(Math.log(low), Math.log(high) - LEAST_SPAN);
    double scale = (right - left - 4 * EDGE) / (Math.log(high) - least);
    double axis = getHeight() * 0.55;
    text("ratio, larger reductions left", left, line - 3, "plot-text");
    line(left, axis, right, axis, "plot-axis");
    List<Row> ordered = new ArrayList<>(rows);
    double taken = -Double.MAX_VALUE;
    int level = 0;
    ordered.sort(Comparator.comparingDouble((Row row) -> -size(row)));
    for (Row row : ordered) {
      double x = left + 2 * EDGE + (Math.log(high) - Math.log(size(row))) * scale;
      boolean back = ratio(row).reduction().signum() < 0;
      level = x - taken < 3 * line ? level + 1 : 0;
      taken = x;
      double tip = axis + (back ? 1 : -1) * 0.8 * line * (1 + level % 2);
      line(x, axis, x, tip, back ? "plot-back" : "plot-stem");
      Circle point = Look.styled(new Circle(x, axis, 4), "plot-point");
      getChildren().add(point);
      middle(row.state().name(), x, back ? tip + 0.8 * line : tip - line, "plot-name");
      middle(
          Sign.number(Math.abs(ratio(row).reduction().doubleValue())),
          x,
          back ? tip + 1.6 * line : tip - 0.2 * line,
          "plot-text");
    }
    drawSteps(rows, left, high, scale, getHeight() - 6);
  }

  /** The step from each state to the next, written between them. */
  private void drawSteps(List<Row> rows, double left, double high, double scale, double y) {
    for (int k = 0; k + 1 < rows.size(); k++) {
      Row row = rows.get(k);
      Row next = rows.get(k + 1);
      boolean forward = ratio(row).reduction().signum() > 0 && ratio(next).reduction().signum() > 0;
      if (forward) {
        double a = left + 2 * EDGE + (Math.log(high) - Math.log(size(row))) * scale;
        double b = left + 2 * EDGE + (Math.log(high) - Math.log(size(next))) * scale;
        line(a, y - line, b, y - line, "plot-step");
        middle("\u00f7 " + Sign.number(size(row) / size(next)), (a + b) / 2, y - 1, "plot-text");
      }
    }
  }

  private static Ratio ratio(Row row) {
    return row.study().ratio().orElseThrow();
  }

  private static double size(Row row) {
    return Math.abs(ratio(row).reduction().doubleValue());
  }

  private static double extreme(List<Row> rows, ToDoubleFunction<Row> of, boolean most) {
    return most
        ? rows.stream().mapToDouble(of).max().orElse(1)
        : rows.stream().mapToDouble(of).min().orElse(1);
  }

  // ---- speeds

  private void drawSpeeds(double left, double right) {
    List<MemberId> shafts = RatioBoard.shafts(plan.train());
    double most = 1;
    for (Row row : plan.rows()) {
      for (MemberId shaft : shafts) {
        most = Math.max(most, Math.abs(speed(row, shaft).orElse(0.0)));
      }
    }
    double zero = getHeight() / 2;
    double scale = (zero - 1.6 * line) / most;
    text("speed of each shaft over the input", left, line - 3, "plot-text");
    line(left, zero, right, zero, "plot-axis");
    double step = plan.rows().size() > 1 ? (right - left - EDGE) / (plan.rows().size() - 1) : 0;
    for (int k = 0; k < plan.rows().size(); k++) {
      double x = left + EDGE / 2 + k * step;
      line(x, 1.4 * line, x, getHeight() - line, "plot-rule");
      middle(plan.rows().get(k).state().name(), x, getHeight() - 2, "plot-name");
    }
    List<Label> labels = new ArrayList<>();
    for (int k = 0; k < shafts.size(); k++) {
      drawShaft(shafts.get(k), k, left + EDGE / 2, step, zero, scale).ifPresent(labels::add);
    }
    placeLabels(labels, right);
  }

  private record Label(String text, double y) {}

  /** A line through the shaft's speeds; broken where it floats. Its label goes with its end. */
  private Optional<Label> drawShaft(
      MemberId shaft, int style, double left, double step, double zero, double scale) {
    Polyline through = Look.styled(new Polyline(), "plot-shaft", "dash-" + style % 4);
    double last = Double.NaN;
    for (int k = 0; k < plan.rows().size(); k++) {
      Optional<Double> speed = speed(plan.rows().get(k), shaft);
      if (speed.isPresent()) {
        last = zero - speed.get() * scale;
        through.getPoints().addAll(left + k * step, last);
        getChildren().add(Look.styled(new Circle(left + k * step, last, 2.6), "plot-dot"));
      }
    }
    getChildren().add(through);
    return Double.isNaN(last)
        ? Optional.empty()
        : Optional.of(new Label(Sign.shortName(shaft), last));
  }

  /** Labels in their order of height, none over another. */
  private void placeLabels(List<Label> labels, double x) {
    labels.sort(Comparator.comparingDouble(Label::y));
    double free = line;
    double room = getHeight() - line * labels.size();
    for (Label label : labels) {
      double y = Math.clamp(label.y + 4, free, Math.max(free, free + room));
      text(label.text, x + 6, y, "plot-text");
      room -= Math.max(0, y - free);
      free = y + line - 2;
    }
  }

  private static Optional<Double> speed(Row row, MemberId shaft) {
    return row.study().motion().turnsPerInputTurn(shaft).map(BigFraction::doubleValue);
  }

  // ---- strokes

  private void line(double x1, double y1, double x2, double y2, String style) {
    getChildren().add(Look.styled(new Line(x1, y1, x2, y2), style));
  }

  private void text(String words, double x, double y, String style) {
    Text text = Look.styled(new Text(words), style);
    text.setX(x);
    text.setY(y);
    getChildren().add(text);
  }

  private void middle(String words, double x, double y, String style) {
    Text text = Look.styled(new Text(words), style);
    Look.anchor(text, x, 0.5, 2);
    text.setY(y);
    getChildren().add(text);
  }
}
