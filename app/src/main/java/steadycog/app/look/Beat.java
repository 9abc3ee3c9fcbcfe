package steadycog.app.look;

import java.util.function.DoubleConsumer;
import javafx.animation.AnimationTimer;

/** Runs an action at every frame with the seconds since the last one, after a gap not many. */
public final class Beat extends AnimationTimer {
  private static final double LONGEST_STEP = 0.1;

  private final DoubleConsumer action;
  private long last;

  public Beat(DoubleConsumer action) {
    this.action = action;
  }

  @Override
  public void start() {
    last = 0;
    super.start();
  }

  @Override
  public void handle(long now) {
    if (last != 0) {
      action.accept(Math.min(LONGEST_STEP, (now - last) / 1e9));
    }
    last = now;
  }
}
