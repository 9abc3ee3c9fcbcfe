package steadycog.app;

import java.io.IOException;
import java.nio.file.Path;
import javafx.application.Platform;
import steadycog.app.memory.FaultLog;

/**
 * What becomes of a fault of the program that nothing else has caught: it is said in the window,
 * since what is shown may be of an earlier train, and kept for whoever mends it. It never ends the
 * program, and nobody sees a trace.
 */
final class Faults {
  private final FaultLog log;
  private final MainWindow window;

  Faults(Path memory, MainWindow window) {
    log = new FaultLog(memory);
    this.window = window;
  }

  /** Lets nothing pass unseen, on any thread. */
  void watch() {
    Thread.setDefaultUncaughtExceptionHandler((thread, fault) -> tell(fault));
  }

  private void tell(Throwable fault) {
    String kept;
    try {
      log.add(fault);
      kept = " Details for whoever mends it: " + log.file();
    } catch (IOException failed) {
      kept = "";
    }
    String words =
        "A fault in the program ("
            + fault.getClass().getSimpleName()
            + "). Your work is kept, but what is shown may not be of this train: check it, or open"
            + " the job again."
            + kept;
    Platform.runLater(() -> window.tell(words));
  }
}
