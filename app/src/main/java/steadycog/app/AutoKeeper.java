package steadycog.app;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.util.Duration;
import steadycog.app.desk.Desk;
import steadycog.app.desk.Page;
import steadycog.app.memory.Recovery;
import steadycog.job.Job;

/**
 * Keeps a copy of unsaved work a moment after every change, and of the bench book at once, off the
 * interface's thread.
 */
final class AutoKeeper {
  private static final Duration AFTER = Duration.millis(600);

  private final Desk desk;
  private final Recovery recovery;
  private final Consumer<String> notify;
  private final PauseTransition pause = new PauseTransition(AFTER);
  private final ExecutorService writer =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("keeper").factory());
  private boolean complained;

  AutoKeeper(Desk desk, Recovery recovery, Consumer<String> notify) {
    this.desk = desk;
    this.recovery = recovery;
    this.notify = notify;
    pause.setOnFinished(e -> keep());
    desk.pageProperty().addListener((o, old, now) -> keepSoon(old, now));
    desk.fileProperty().addListener(o -> pause.playFromStart());
  }

  /** What was logged on the bench is kept at once; what is typed once typing pauses. */
  private void keepSoon(Page old, Page now) {
    if (now.sheet().book().equals(old.sheet().book())) {
      pause.playFromStart();
    } else {
      pause.stop();
      keep();
    }
  }

  /** Writes what stands on the desk now, or drops the copy where nothing is unsaved. */
  void keep() {
    boolean unsaved = desk.isUnsaved();
    Job job = desk.job();
    Optional<Path> file = desk.fileProperty().get();
    writer.execute(() -> write(unsaved, job, file));
  }

  private void write(boolean unsaved, Job job, Optional<Path> file) {
    try {
      if (unsaved) {
        recovery.keep(job, file);
      } else {
        recovery.drop();
      }
    } catch (IOException failed) {
      if (!complained) {
        complained = true;
        String reason = failed.getMessage();
        Platform.runLater(
            () -> notify.accept("Unsaved work cannot be kept safe (" + reason + "): save often."));
      }
    }
  }

  /** The window closes with everything saved or given up knowingly: nothing is left to recover. */
  void giveUp() {
    pause.stop();
    writer.execute(
        () -> {
          try {
            recovery.drop();
          } catch (IOException left) {
            // The copy stays and is offered at the next start, which loses nothing.
          }
        });
  }

  /** The window is gone: waits for what is being written and writes nothing more. */
  void end() {
    pause.stop();
    writer.close();
  }
}
