package steadycog.app.ledger;

import java.util.Optional;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.text.Text;
import steadycog.app.desk.Preferences;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.study.MotorPoint;

/** Torque over speed: the motor's falling line, what the train takes, and where they meet. */
final class MotorPlot extends Pane {
  private static final double HEIGHT = 112;
  private static final double LEFT = 8;
  private static final double TOP = 14;
  private static final double FOOT = 16;
  private static final double DOT = 4.5;

  private final Line across = Look.styled(new Line(), "plot-axis");
  private final Line up = Look.styled(new Line(), "plot-axis");
  private final Line motor = Look.styled(new Line(), "plot-line");
  private final Line needed = Look.styled(new Line(), "plot-shaft");
  private final Line starting = Look.styled(new Line(), "plot-shaft", "dash-3");
  private final Circle point = Look.styled(new Circle(DOT), "plot-now");
  private final Text stallWord = Look.styled(new Text(), "plot-text");
  private final Text freeWord = Look.styled(new Text(), "plot-text");
  private final Text neededWord = Look.styled(new Text("taken"), "plot-text");
  private final Text startWord = Look.styled(new Text("to start"), "plot-text");
  private Optional<MotorPoint> shown = Optional.empty();

  MotorPlot() {
    setMinHeight(HEIGHT);
    setPrefHeight(HEIGHT);
    getChildren()
        .addAll(
            across, up, motor, starting, needed, point, stallWord, freeWord, neededWord, startWord);
    widthProperty().addListener(o -> draw());
    Look.clip(this);
  }

  void show(MotorPoint at, Preferences preferences) {
    shown = Optional.of(at);
    stallWord.setText(
        Sign.number(at.motor().stall().inBase() / preferences.torque().inBase())
            + " "
            + preferences.torque().symbol());
    freeWord.setText(
        Sign.number(at.motor().free().inBase() / preferences.speed().inBase())
            + " "
            + preferences.speed().symbol());
    draw();
  }

  private void draw() {
    if (shown.isEmpty() || getWidth() < 4 * LEFT) {
      return;
    }
    MotorPoint at = shown.get();
    double stall = at.motor().stall().inBase();
    double most = Math.max(stall, Math.max(at.needed(), at.toStart().orElse(0.0)));
    double scale = (HEIGHT - TOP - FOOT) / most;
    double foot = HEIGHT - FOOT;
    double right = getWidth() - LEFT;
    Plot.span(across, LEFT, foot, right, foot);
    Plot.span(up, LEFT, TOP, LEFT, foot);
    double end = right - 10;
    Plot.span(motor, LEFT, foot - stall * scale, end, foot);
    Plot.span(needed, LEFT, foot - at.needed() * scale, right, foot - at.needed() * scale);
    double start = foot - at.toStart().orElse(0.0) * scale;
    starting.setVisible(at.toStart().isPresent());
    startWord.setVisible(at.toStart().isPresent());
    Plot.span(starting, LEFT, start, right, start);
    point.setVisible(at.speed() > 0);
    point.setCenterX(LEFT + at.speed() / at.motor().free().inBase() * (end - LEFT));
    point.setCenterY(foot - at.needed() * scale);
    Plot.put(stallWord, LEFT + 5, foot - stall * scale - 4);
    Plot.putBefore(freeWord, right, HEIGHT - 3);
    double low = foot - at.needed() * scale;
    Plot.putBefore(neededWord, right, Math.min(low + 12, foot - 2));
    Plot.putBefore(startWord, right, start - 3);
  }
}
