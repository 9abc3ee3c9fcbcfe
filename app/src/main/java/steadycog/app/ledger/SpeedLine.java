package steadycog.app.ledger;

import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.text.Text;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.number.Unit;
import steadycog.study.TwoInputs;

/** The straight line of output speed over the second drive's speed. */
final class SpeedLine extends Pane {
  private static final double HEIGHT = 112;
  private static final double SIDE = 9;
  private static final double EDGE = 16;

  private final Line across = Look.styled(new Line(), "plot-axis");
  private final Line up = Look.styled(new Line(), "plot-axis");
  private final Line speeds = Look.styled(new Line(), "plot-line");
  private final Circle stop = Look.styled(new Circle(4), "plot-point");
  private final Circle direct = Look.styled(new Circle(4), "plot-point");
  private final Circle now = Look.styled(new Circle(6), "plot-now");
  private final Text top = Look.styled(new Text(), "plot-text");
  private final Text right = Look.styled(new Text(), "plot-text");
  private final Text stopWord = Look.styled(new Text("stop"), "plot-text");
  private final Text directWord = Look.styled(new Text("direct"), "plot-text");
  private Runnable draw = () -> {};

  SpeedLine() {
    setMinHeight(HEIGHT);
    setPrefHeight(HEIGHT);
    getChildren().addAll(across, up, speeds, stop, direct, now, top, right, stopWord, directWord);
    widthProperty().addListener(o -> draw.run());
  }

  /** Shows the line from {@code -reach} to {@code reach} of the second speed, all in one unit. */
  void show(TwoInputs inputs, double first, double second, double reach, Unit unit) {
    draw = () -> draw(inputs, first, second, reach, unit);
    draw.run();
  }

  private void draw(TwoInputs inputs, double first, double second, double reach, Unit unit) {
    double highest =
        Math.max(Math.abs(inputs.output(first, reach)), Math.abs(inputs.output(first, -reach)));
    double scaleX = (getWidth() / 2 - SIDE) / reach;
    double scaleY = (HEIGHT / 2 - EDGE) / Math.max(highest, 1e-12);
    double x0 = getWidth() / 2;
    double y0 = HEIGHT / 2;
    Plot.span(across, SIDE, y0, getWidth() - SIDE, y0);
    Plot.span(up, x0, EDGE - 8, x0, HEIGHT - EDGE + 8);
    Plot.span(
        speeds,
        x0 - reach * scaleX,
        y0 - inputs.output(first, -reach) * scaleY,
        x0 + reach * scaleX,
        y0 - inputs.output(first, reach) * scaleY);
    put(now, x0 + second * scaleX, y0 - inputs.output(first, second) * scaleY);
    put(direct, x0 + first * scaleX, y0 - first * scaleY);
    direct.setVisible(inputs.direct());
    directWord.setVisible(inputs.direct());
    directWord.setX(direct.getCenterX() + 8);
    directWord.setY(direct.getCenterY() + (inputs.b().signum() > 0 ? 14 : -6));
    stop.setVisible(inputs.stop().isPresent());
    stopWord.setVisible(stop.isVisible());
    inputs
        .stop()
        .ifPresent(
            share -> {
              put(stop, x0 + share.doubleValue() * first * scaleX, y0);
              stopWord.setX(stop.getCenterX() - 10);
              stopWord.setY(y0 - 8);
            });
    top.setText(Sign.shortName(inputs.output()) + " " + unit.symbol());
    top.setX(x0 + 6);
    top.setY(EDGE - 2);
    right.setText(Sign.shortName(inputs.second().member()) + " " + unit.symbol());
    Plot.putBefore(right, getWidth() - SIDE, inputs.b().signum() < 0 ? y0 - 6 : y0 + 14);
  }

  private static void put(Circle point, double x, double y) {
    point.setCenterX(x);
    point.setCenterY(y);
  }
}
