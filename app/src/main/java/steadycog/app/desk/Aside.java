package steadycog.app.desk;

import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
import java.util.function.Function;
import steadycog.number.Pace;

/**
 * Work beside the interface that holds for what is there now: dropped once something else counts,
 * and handed back on the interface's thread.
 */
public final class Aside {
  private final String name;
  private final Consumer<Runnable> onScreen;

  /** The work that counts; what an older one still brings is dropped. */
  private volatile long current;

  /**
   * Nothing yet.
   *
   * @param name of the threads
   * @param onScreen runs what it is given on the interface's thread
   */
  public Aside(String name, Consumer<Runnable> onScreen) {
    this.name = name;
    this.onScreen = onScreen;
  }

  /** Whatever is being worked out is not wanted any more. */
  @SuppressWarnings("NonAtomicVolatileUpdate") // Counted on the interface’s thread alone.
  public void drop() {
    current++;
  }

  /** Works after so many milliseconds, unless it is dropped by then, and hands on what it found. */
  public <T> void work(long wait, Function<Pace, T> work, Consumer<T> then) {
    long mine = current;
    Pace pace =
        share -> {
          if (current != mine) {
            throw new CancellationException();
          }
        };
    Thread.ofPlatform()
        .daemon()
        .name(name)
        .priority(Thread.MIN_PRIORITY)
        .start(
            () -> {
              try {
                Thread.sleep(wait);
                pace.at(0);
                T found = work.apply(pace);
                onScreen.accept(
                    () -> {
                      if (current == mine) {
                        then.accept(found);
                      }
                    });
              } catch (CancellationException | InterruptedException another) {
                // Something else counts by now.
              }
            });
  }
}
