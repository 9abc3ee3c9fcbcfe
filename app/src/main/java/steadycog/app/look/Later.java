package steadycog.app.look;

import javafx.animation.PauseTransition;
import javafx.util.Duration;

/**
 * Runs an action once things have been quiet for a moment: for panels that are read, not watched.
 */
public final class Later {
  private static final Duration QUIET = Duration.millis(90);

  private final PauseTransition pause = new PauseTransition(QUIET);

  public Later(Runnable action) {
    pause.setOnFinished(e -> action.run());
  }

  /** Asks for the action; asking again before it has run starts the moment anew. */
  public void ask() {
    pause.playFromStart();
  }
}
