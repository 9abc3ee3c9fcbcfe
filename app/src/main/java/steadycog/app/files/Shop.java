package steadycog.app.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import steadycog.format.file.JobFiles;
import steadycog.format.file.Trouble;
import steadycog.piece.UnmakeableException;

/**
 * Makes files aside, one at a time, so that the window goes on; says how far it is and can stop.
 */
public final class Shop {
  private static final double STEP = 0.01;

  private final Consumer<Runnable> onScreen;
  private final ExecutorService making =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("shop").factory());
  private final ReadOnlyObjectWrapper<Optional<Double>> progress =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<String> said = new ReadOnlyObjectWrapper<>("");
  private AtomicBoolean stopped = new AtomicBoolean();

  /** What makes the bytes of a file. */
  public interface Work {
    byte[] make(BooleanSupplier cancelled, DoubleConsumer progress) throws UnmakeableException;
  }

  /** What makes several files at once. */
  public interface Works {
    Made make(BooleanSupplier cancelled, DoubleConsumer progress) throws UnmakeableException;
  }

  /**
   * Files with what they hold.
   *
   * @param files in the order in which they are written; none where {@code remark} says why
   * @param remark what is said of them beside their names, or nothing
   */
  public record Made(Map<Path, byte[]> files, String remark) {}

  /**
   * @param onScreen runs what it is given on the interface's thread
   */
  public Shop(Consumer<Runnable> onScreen) {
    this.onScreen = onScreen;
  }

  /** A name for a file, of letters, digits and strokes alone: {@code Filter-wheel}. */
  public static String fileName(String title) {
    return title.replaceAll("[^A-Za-z0-9_-]+", "-").replaceAll("^-|-$", "");
  }

  /** How much of the file in hand is done, 0 to 1; empty while none is. */
  public ReadOnlyObjectProperty<Optional<Double>> progressProperty() {
    return progress.getReadOnlyProperty();
  }

  /** What came of the last file. */
  public ReadOnlyObjectProperty<String> saidProperty() {
    return said.getReadOnlyProperty();
  }

  /** Makes {@code file}; one that is being made already is stopped. */
  public void make(Path file, Work work) {
    makeAll(file, (cancelled, told) -> new Made(Map.of(file, work.make(cancelled, told)), ""));
  }

  /**
   * The same of several files.
   *
   * @param file whose name tells of them where none is written
   */
  public void makeAll(Path file, Works work) {
    stop();
    AtomicBoolean own = new AtomicBoolean();
    stopped = own;
    progress.set(Optional.of(0.0));
    said.set("");
    double[] shown = {0};
    making.execute(
        () -> {
          String words = made(file, work, own, share -> report(share, shown, own));
          onScreen.accept(
              () -> {
                if (own == stopped) {
                  progress.set(Optional.empty());
                  said.set(words);
                }
              });
        });
  }

  private void report(double share, double[] shown, AtomicBoolean own) {
    if (share - shown[0] >= STEP) {
      shown[0] = share;
      onScreen.accept(
          () -> {
            if (own == stopped && progress.get().isPresent()) {
              progress.set(Optional.of(share));
            }
          });
    }
  }

  private static String made(Path file, Works work, AtomicBoolean own, DoubleConsumer report) {
    try {
      Made made = work.make(own::get, report);
      if (made.files.isEmpty()) {
        return file.getFileName() + " was not written: " + made.remark + ".";
      }
      int bytes = 0;
      List<String> names = new ArrayList<>();
      for (Map.Entry<Path, byte[]> one : made.files.entrySet()) {
        // Of the name that was chosen the dialog has asked.
        boolean replaced = !one.getKey().equals(file) && Files.exists(one.getKey());
        JobFiles.write(one.getKey(), one.getValue());
        bytes += one.getValue().length;
        names.add(one.getKey().getFileName() + (replaced ? " (in place of the last)" : ""));
      }
      return String.join(", ", names)
          + " written, "
          + size(bytes)
          + "."
          + (made.remark.isEmpty() ? "" : " " + made.remark + ".");
    } catch (CancellationException stop) {
      return "Stopped; " + file.getFileName() + " was not written.";
    } catch (IOException failed) {
      return file.getFileName() + " cannot be written: " + Trouble.words(failed) + ".";
    } catch (UnmakeableException useless) {
      return file.getFileName() + " was not written: " + useless.getMessage() + ".";
    } catch (RuntimeException broken) {
      Thread.UncaughtExceptionHandler faults = Thread.getDefaultUncaughtExceptionHandler();
      if (faults != null) {
        faults.uncaughtException(Thread.currentThread(), broken);
      }
      return file.getFileName() + " was not made: a fault of the program, not of the train.";
    }
  }

  private static String size(int bytes) {
    return bytes < 1_000_000
        ? Math.max(1, Math.round(bytes / 1e3)) + "\u2009kB"
        : Math.round(bytes / 1e5) / 10.0 + "\u2009MB";
  }

  /** Says something instead of what came of the last file. */
  public void say(String words) {
    said.set(words);
  }

  /** Stops the file in hand before its next piece. */
  public void stop() {
    stopped.set(true);
  }
}
