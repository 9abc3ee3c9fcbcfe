package steadycog.app.look;

import javafx.animation.PauseTransition;
import javafx.util.Duration;

/**
 * Runs an action once things have been quiet for a moment: for panels that are read, not watched.
 */
public final class Later {
  private static final Duration QUIET = Duration.millis(90);
  private static final Duration FRAME = Duration.millis(1);

  private final PauseTransition pause;

  private Later(Duration wait, Runnable action) {
    pause = new PauseTransition(wait);
    pause.setOnFinished(e -> action.run());
  }

  /** For what is read once things have come to rest. */
  public static Later whenQuiet(Runnable action) {
    return new Later(QUIET, action);
  }

  /** For what may follow the drawing by a frame. */
  public static Later nextFrame(Runnable action) {
    return new Later(FRAME, action);
  }

  /** Asks for the action; asking again before it has run starts the moment anew. */
  public void ask() {
    pause.playFromStart();
  }
}
