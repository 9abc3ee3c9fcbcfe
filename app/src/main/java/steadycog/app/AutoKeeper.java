package steadycog.app;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.application.Platform;
import steadycog.app.desk.Desk;
import steadycog.app.desk.Page;
import steadycog.app.memory.Recovery;
import steadycog.format.file.Stamp;
import steadycog.format.file.Trouble;
import steadycog.job.Job;

/**
 * Keeps a copy of unsaved work a moment after every change, and of the bench book at once, off the
 * interface's thread.
 */
final class AutoKeeper {
  /** However long somebody types or drags on, what is older than this is in the copy. */
  private static final long AFTER_MS = 600;

  private final Desk desk;
  private final Recovery recovery;
  private final Consumer<String> notify;

  /** Its clock is its own: a picture that takes long to draw puts nothing off. */
  private final ScheduledThreadPoolExecutor writer =
      new ScheduledThreadPoolExecutor(1, Thread.ofPlatform().daemon().name("keeper").factory());

  /** What is still to be written; none where all is. */
  private final AtomicReference<Kept> waiting = new AtomicReference<>();

  private boolean complained;

  AutoKeeper(Desk desk, Recovery recovery, Consumer<String> notify) {
    this.desk = desk;
    this.recovery = recovery;
    this.notify = notify;
    writer.setExecuteExistingDelayedTasksAfterShutdownPolicy(false);
    desk.pageProperty().addListener((o, old, now) -> keepSoon(old, now));
    desk.file().pathProperty().addListener(o -> keepSoon());
  }

  /** What was logged on the bench is kept at once; what is typed a moment later. */
  private void keepSoon(Page old, Page now) {
    if (now.sheet().book().equals(old.sheet().book())) {
      keepSoon();
    } else {
      keep();
    }
  }

  /** Not put off by what follows, or a long drag would never be kept. */
  private void keepSoon() {
    if (waiting.getAndSet(now()) == null) {
      var unused = writer.schedule(this::writeWaiting, AFTER_MS, TimeUnit.MILLISECONDS);
    }
  }

  /** What is to be written of the desk as it stands. */
  private record Kept(boolean unsaved, Job job, Optional<Path> file, Stamp stamp) {}

  private Kept now() {
    return new Kept(
        desk.file().isUnsaved(), desk.job(), desk.file().pathProperty().get(), desk.file().stamp());
  }

  /** Writes what stands on the desk now, or drops the copy where nothing is unsaved. */
  void keep() {
    waiting.set(now());
    writer.execute(this::writeWaiting);
  }

  private void writeWaiting() {
    Kept kept = waiting.getAndSet(null);
    if (kept == null) {
      return;
    }
    try {
      write(kept);
    } catch (IOException failed) {
      complain(failed);
    } catch (RuntimeException fault) {
      // The executor would keep it to itself.
      Platform.runLater(
          () -> {
            throw fault;
          });
    }
  }

  /**
   * Writes what stands on the desk and waits until it is on the disk: before anything is let go
   * that holds the same work.
   *
   * @throws IOException if it cannot be kept
   */
  void keepAtOnce() throws IOException {
    waiting.set(null);
    Kept kept = now();
    try {
      writer
          .submit(
              () -> {
                write(kept);
                return true;
              })
          .get();
    } catch (ExecutionException failed) {
      throw failed.getCause() instanceof IOException io ? io : new IOException(failed.getCause());
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IOException("interrupted", stopped);
    }
  }

  private void write(Kept kept) throws IOException {
    if (kept.unsaved) {
      recovery.keep(kept.job, kept.file, kept.stamp);
    } else {
      recovery.drop();
    }
  }

  private void complain(IOException failed) {
    if (!complained) {
      complained = true;
      String reason = Trouble.words(failed);
      Platform.runLater(
          () -> notify.accept("Unsaved work cannot be kept safe (" + reason + "): save often."));
    }
  }

  /** The window closes with everything saved or given up knowingly: nothing is left to recover. */
  void giveUp() {
    waiting.set(null);
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
    waiting.set(null);
    writer.close();
    try {
      recovery.close();
    } catch (IOException left) {
      // Locks end with the process in any case.
    }
  }
}
