package steadycog.app.ledger;

import java.util.Optional;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.text.Text;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.number.Unit;
import steadycog.study.TwoInputs;
import steadycog.study.TwoInputs.Powers;

/**
 * The power of each input over the second one's speed: above the axis it drives, below it brakes.
 */
final class PowerLine extends Pane {
  private static final double HEIGHT = 76;
  private static final double SIDE = 9;
  private static final double EDGE = 12;

  private final Line across = Look.styled(new Line(), "plot-axis");
  private final Line now = Look.styled(new Line(), "plot-cursor");
  private final Line first = Look.styled(new Line(), "plot-shaft", "dash-2");
  private final Line second = Look.styled(new Line(), "plot-shaft", "dash-3");
  private final Text drives = Look.styled(new Text("drives"), "plot-text");
  private final Text brakes = Look.styled(new Text("brakes"), "plot-text");
  private final Text names = Look.styled(new Text(), "plot-text");
  private Runnable draw = () -> {};

  PowerLine() {
    setMinHeight(HEIGHT);
    setPrefHeight(HEIGHT);
    getChildren().addAll(across, first, second, now, drives, brakes, names);
    widthProperty().addListener(o -> draw.run());
  }

  /** Shows the powers from {@code -reach} to {@code reach} of the second speed, all in one unit. */
  void show(TwoInputs inputs, double firstSpeed, double secondSpeed, double reach, Unit unit) {
    draw = () -> draw(inputs, firstSpeed, secondSpeed, reach, unit);
    draw.run();
  }

  private void draw(
      TwoInputs inputs, double firstSpeed, double secondSpeed, double reach, Unit unit) {
    Optional<Powers> low = inputs.powers(firstSpeed, -reach, unit);
    Optional<Powers> high = inputs.powers(firstSpeed, reach, unit);
    Look.show(this, low.isPresent());
    if (low.isEmpty() || high.isEmpty()) {
      return;
    }
    double most =
        Math.max(
            Math.abs(high.get().first()),
            Math.max(Math.abs(low.get().second()), Math.abs(high.get().second())));
    double y0 = HEIGHT / 2;
    double scale = (HEIGHT / 2 - EDGE) / Math.max(most, 1e-12);
    double left = SIDE;
    double right = getWidth() - SIDE;
    Plot.span(across, left, y0, right, y0);
    Plot.span(first, left, y0 - low.get().first() * scale, right, y0 - high.get().first() * scale);
    Plot.span(
        second, left, y0 - low.get().second() * scale, right, y0 - high.get().second() * scale);
    double x = left + (secondSpeed + reach) / (2 * reach) * (right - left);
    Plot.span(now, x, EDGE / 2, x, HEIGHT - EDGE / 2);
    Plot.put(drives, left, y0 - 4);
    Plot.put(brakes, left, y0 + 12);
    names.setText(
        "power: "
            + Sign.shortName(inputs.first().member())
            + " dotted, "
            + Sign.shortName(inputs.second().member())
            + " dashed");
    Plot.putBefore(names, right, HEIGHT - 1);
  }
}
