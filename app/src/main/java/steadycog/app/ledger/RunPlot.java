package steadycog.app.ledger;

import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polyline;
import javafx.scene.text.Text;
import steadycog.app.look.Look;
import steadycog.study.Regulation;
import steadycog.study.Regulation.Moment;

/** Speeds over time: the first input, the output with a controlled and with a geared second one. */
final class RunPlot extends Pane {
  private static final double HEIGHT = 150;
  private static final double SIDE = 6;
  private static final double EDGE = 16;
  private static final int STEPS = 160;

  /** Down to where the first input's course goes. */
  private static final double COURSE = 52;

  private final Line zero = Look.styled(new Line(), "plot-axis");
  private final Line now = Look.styled(new Line(), "plot-cursor");
  private final Polyline first = Look.styled(new Polyline(), "plot-shaft", "dash-2");
  private final Polyline geared = Look.styled(new Polyline(), "plot-shaft", "dash-3");
  private final Polyline held = Look.styled(new Polyline(), "plot-held");
  private final Text firstWord = Look.styled(new Text("input 1, on its own scale"), "plot-text");
  private final Text gearedWord = Look.styled(new Text("geared (dashed)"), "plot-text");
  private final Text heldWord = Look.styled(new Text("output: controlled (thick)"), "plot-text");
  private Optional<Regulation> run = Optional.empty();
  private double seconds;

  RunPlot() {
    setMinHeight(HEIGHT);
    setPrefHeight(HEIGHT);
    for (Polyline line : List.of(first, geared, held)) {
      line.setMouseTransparent(true);
    }
    getChildren().addAll(zero, first, geared, held, now, firstWord, gearedWord, heldWord);
    widthProperty().addListener(o -> draw());
    Look.clip(this);
  }

  void show(Regulation shown) {
    run = Optional.of(shown);
    draw();
  }

  /** Moves the line that shows where the run is. */
  void at(double time) {
    seconds = time;
    double x = x(time);
    Plot.span(now, x, EDGE, x, HEIGHT - 4);
  }

  private double x(double time) {
    return SIDE + time / Regulation.SECONDS * (getWidth() - 2 * SIDE);
  }

  private void draw() {
    if (run.isEmpty() || getWidth() <= 2 * SIDE) {
      return;
    }
    List<Moment> moments = run.get().run(STEPS);
    Band above = Band.of(moments, EDGE, COURSE, m -> m.first());
    Band below = Band.of(moments, COURSE + 2 * EDGE, HEIGHT - 6, m -> m.output(), m -> m.geared());
    draw(first, moments, Moment::first, above);
    draw(geared, moments, Moment::geared, below);
    draw(held, moments, Moment::output, below);
    Plot.span(zero, SIDE, COURSE + EDGE / 2, getWidth() - SIDE, COURSE + EDGE / 2);
    Plot.put(firstWord, SIDE, EDGE - 4);
    Plot.put(heldWord, SIDE, COURSE + 1.6 * EDGE);
    Plot.putBefore(gearedWord, getWidth() - SIDE, COURSE + 1.6 * EDGE);
    at(seconds);
  }

  /** A stretch of the plot with a scale of its own. */
  private record Band(double bottom, double low, double scale) {
    @SafeVarargs
    static Band of(
        List<Moment> moments, double top, double bottom, ToDoubleFunction<Moment>... of) {
      double low = Double.MAX_VALUE;
      double high = -Double.MAX_VALUE;
      for (ToDoubleFunction<Moment> one : of) {
        for (Moment moment : moments) {
          low = Math.min(low, one.applyAsDouble(moment));
          high = Math.max(high, one.applyAsDouble(moment));
        }
      }
      return new Band(bottom, low, (bottom - top) / Math.max(high - low, 1e-12));
    }

    double y(double value) {
      return bottom - (value - low) * scale;
    }
  }

  private void draw(Polyline line, List<Moment> moments, ToDoubleFunction<Moment> of, Band band) {
    line.getPoints().clear();
    for (Moment moment : moments) {
      line.getPoints().addAll(x(moment.seconds()), band.y(of.applyAsDouble(moment)));
    }
  }
}
