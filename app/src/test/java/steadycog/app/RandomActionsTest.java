package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import javafx.geometry.HorizontalDirection;
import javafx.geometry.VerticalDirection;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.app.desk.Station;
import steadycog.format.demo.TernRock;

/**
 * One window used by somebody who presses everything: keys, clicks, scrolls, words, undo, stations,
 * a running crank, other sizes. Nothing may go uncaught, nothing may hang, and what is on the bench
 * is always the train in view. {@code -Dactions=20000} makes a long run of it.
 */
class RandomActionsTest extends InWindow {
  private static final int ACTIONS = Integer.getInteger("actions", 150);
  private static final int REMEMBERED = 25;
  private static final int LONG = 4000;

  private static final KeyCode[] KEYS = {
    KeyCode.D,
    KeyCode.H,
    KeyCode.T,
    KeyCode.F,
    KeyCode.L,
    KeyCode.J,
    KeyCode.M,
    KeyCode.K,
    KeyCode.I,
    KeyCode.W,
    KeyCode.P,
    KeyCode.O,
    KeyCode.R,
    KeyCode.E,
    KeyCode.V,
    KeyCode.S,
    KeyCode.LEFT,
    KeyCode.RIGHT,
    KeyCode.DELETE,
    KeyCode.ADD,
    KeyCode.SUBTRACT,
    KeyCode.SPACE,
    KeyCode.PERIOD,
    KeyCode.COMMA,
    KeyCode.ESCAPE,
    KeyCode.TAB,
    KeyCode.ENTER,
    KeyCode.HOME,
    KeyCode.DIGIT0
  };
  private static final KeyCode[] SHORTCUTS = {
    KeyCode.Z, KeyCode.Z, KeyCode.Y, KeyCode.PAGE_DOWN, KeyCode.PAGE_DOWN, KeyCode.PAGE_UP,
    KeyCode.DIGIT1, KeyCode.DIGIT2, KeyCode.DIGIT3, KeyCode.DIGIT4, KeyCode.DIGIT5, KeyCode.DIGIT6,
    KeyCode.PLUS, KeyCode.MINUS, KeyCode.D, KeyCode.L, KeyCode.S, KeyCode.N
  };
  private static final String[] WORDS = {
    "12", "parallel ", " ~ 30", "\n", "hold ", "x3", "0.5 mm", ";"
  };

  @ParameterizedTest
  @ValueSource(longs = {71, 72, 73})
  @Timeout(value = 3, unit = TimeUnit.HOURS)
  void nothingGoesUncaughtAndNothingHangs(long seed) throws Exception {
    Random random = new Random(seed);
    robot.interact(() -> opened.desk().file().putDown(TernRock.job()));
    List<String> done = new ArrayList<>();
    List<Long> heap = new ArrayList<>();
    for (int k = 0; k < ACTIONS; k++) {
      if (done.size() == REMEMBERED) {
        done.removeFirst();
      }
      done.add(act(random));
      pulse();
      Uncaught.check("seed " + seed + ", action " + k + ": " + done);
      robot.interact(() -> isOneTrain(done));
      if (k % (LONG / 4) == LONG / 4 - 1) {
        heap.add(used());
      }
    }
    if (ACTIONS >= LONG) {
      long early = heap.get(heap.size() / 4);
      assertTrue(heap.getLast() < 1.5 * early, "memory grows: " + heap);
    }
  }

  /** Drawing and card never stand together unless they are of one train. */
  private void isOneTrain(List<String> done) {
    opened
        .desk()
        .bench()
        .ifPresent(
            bench ->
                assertEquals(
                    opened.desk().sheet().card().orElseThrow(), bench.card(), done::toString));
  }

  private static long used() {
    System.gc();
    return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
  }

  private String act(Random random) {
    double x = opened.stage().getX() + random.nextDouble() * opened.window().getWidth();
    double y = opened.stage().getY() + random.nextDouble() * opened.window().getHeight();
    switch (random.nextInt(12)) {
      case 0, 1, 2 -> {
        KeyCode key = KEYS[random.nextInt(KEYS.length)];
        robot.push(key);
        return key.name();
      }
      case 3, 4 -> {
        KeyCode key = SHORTCUTS[random.nextInt(SHORTCUTS.length)];
        robot.push(KeyCode.SHORTCUT, key);
        return "Ctrl+" + key;
      }
      case 5, 6, 7 -> robot.moveTo(x, y).clickOn(MouseButton.PRIMARY);
      case 8 ->
          robot
              .moveTo(x, y)
              .scroll(
                  1 + random.nextInt(3),
                  random.nextBoolean() ? VerticalDirection.UP : VerticalDirection.DOWN);
      case 9 ->
          robot
              .moveTo(x, y)
              .scroll(
                  2, random.nextBoolean() ? HorizontalDirection.LEFT : HorizontalDirection.RIGHT);
      case 10 -> robot.write(WORDS[random.nextInt(WORDS.length)]);
      default -> {
        return rest(random);
      }
    }
    return Math.round(x) + "," + Math.round(y);
  }

  private String rest(Random random) {
    switch (random.nextInt(5)) {
      case 0 ->
          robot.interact(
              () -> {
                opened.stage().setWidth(960 + 80 * random.nextInt(8));
                opened.stage().setHeight(640 + 60 * random.nextInt(5));
              });
      case 1 -> robot.interact(() -> opened.desk().crank().toggleRunning());
      case 2 -> {
        // A drag across the drawing.
        robot.moveTo("#gear-table").press(MouseButton.PRIMARY);
        robot
            .moveBy(random.nextInt(200) - 100, random.nextInt(120) - 60)
            .release(MouseButton.PRIMARY);
      }
      case 3 ->
          robot.interact(
              () ->
                  opened
                      .desk()
                      .train()
                      .type(FreshViewTest.CARDS.get(random.nextInt(FreshViewTest.CARDS.size()))));
      default ->
          robot.interact(
              () -> {
                int index = random.nextInt(opened.desk().job().sheets().size());
                opened.desk().stationProperty().set(Station.values()[random.nextInt(6)]);
                opened.desk().showSheet(index);
              });
    }
    return "rest";
  }
}
