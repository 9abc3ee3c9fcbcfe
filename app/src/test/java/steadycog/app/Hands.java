package steadycog.app;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import org.testfx.api.FxRobot;
import org.testfx.robot.BaseRobot;
import org.testfx.util.WaitForAsyncUtils;

/**
 * TestFX's robot without its pauses of a fixed length, which were two thirds of the time of all
 * tests: after an act it lets the window be laid out, and goes on.
 */
final class Hands extends FxRobot {
  /** What follows of an act may ask for a layout of its own. */
  private static final int PULSES = 3;

  /** Lets what has been asked of the interface's thread be done, and all be laid out after it. */
  static void rest() {
    for (int k = 0; k < PULSES; k++) {
      CompletableFuture<Boolean> done = new CompletableFuture<>();
      Platform.runLater(() -> pulse(done));
      done.join();
    }
  }

  private static void pulse(CompletableFuture<Boolean> done) {
    new AnimationTimer() {
      @Override
      public void handle(long now) {
        stop();
        Platform.runLater(() -> done.complete(true));
      }
    }.start();
  }

  @Override
  public FxRobot interact(Runnable act) {
    return interact(
        () -> {
          act.run();
          return true;
        });
  }

  @Override
  public <T> FxRobot interact(Callable<T> act) {
    WaitForAsyncUtils.waitFor(WaitForAsyncUtils.asyncFx(act));
    rest();
    return this;
  }

  @Override
  public FxRobot write(String words) {
    Scene scene = robotContext().getWindowFinder().targetWindow().getScene();
    for (int k = 0; k < words.length(); k++) {
      char letter = words.charAt(k);
      KeyCode key =
          switch (letter) {
            case '\n' -> KeyCode.ENTER;
            case '\t' -> KeyCode.TAB;
            default -> KeyCode.UNDEFINED;
          };
      robotContext().getBaseRobot().typeKeyboard(scene, key, String.valueOf(letter));
      if (key != KeyCode.UNDEFINED) {
        rest(); // What is typed next may go to another field.
      }
    }
    rest();
    return this;
  }

  @Override
  public FxRobot push(KeyCode... keys) {
    BaseRobot base = robotContext().getBaseRobot();
    List<KeyCode> held =
        new ArrayList<>(
            Arrays.stream(keys)
                .map(key -> key == KeyCode.SHORTCUT ? KeyCode.CONTROL : key)
                .toList());
    held.forEach(base::pressKeyboard);
    Collections.reverse(held);
    held.forEach(base::releaseKeyboard);
    rest();
    return this;
  }
}
