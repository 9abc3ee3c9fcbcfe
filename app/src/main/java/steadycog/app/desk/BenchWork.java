package steadycog.app.desk;

import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import steadycog.notation.Card;
import steadycog.number.Pace;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * Works trains out: at once what takes less than a frame or two, aside what takes longer. What is
 * being worked out aside can be stopped, and gives way to whatever is asked for next.
 */
public final class BenchWork {
  /** A train of more members is worked out aside. */
  private static final int MANY_MEMBERS = 60;

  /** The same for one of more teeth in all: searches for counts that fit go by teeth. */
  private static final int MANY_TEETH = 20_000;

  /** Typing goes on for so long before a large train is worked out anew. */
  private static final long TYPING_MS = 250;

  /** What has become of the train in view, where it is not simply there. */
  public sealed interface Status {
    /** It has been worked out, or there is none. */
    record Done() implements Status {}

    /** It is being worked out: so much is done, 0 to 1. */
    record Working(double share) implements Status {}

    /** It was stopped by hand. */
    record Stopped() implements Status {}

    /** It cannot be worked out: a fault of the program, not of the train. */
    record Failed(Throwable fault) implements Status {}
  }

  private final ReadOnlyObjectWrapper<Status> status =
      new ReadOnlyObjectWrapper<>(new Status.Done());
  private final Consumer<Runnable> onScreen;

  /** The work that counts; what an older one still brings is dropped. */
  private volatile long current;

  private Optional<Asked> asked = Optional.empty();

  /** What is being, or was to be, worked out. */
  private record Asked(Card card, Optional<String> state, Consumer<Bench> done) {
    boolean isOf(Card other, Optional<String> shown) {
      return card.equals(other) && state.equals(shown);
    }
  }

  /** {@code onScreen} runs what it is given on the interface's thread. */
  BenchWork(Consumer<Runnable> onScreen) {
    this.onScreen = onScreen;
  }

  public ReadOnlyObjectProperty<Status> statusProperty() {
    return status.getReadOnlyProperty();
  }

  /** Whether something is being worked out aside. */
  public boolean isWorking() {
    return status.get() instanceof Status.Working;
  }

  /** Whether {@code train} takes so long that it is worked out aside. */
  static boolean isLarge(Train train) {
    int teeth =
        train.members().stream().flatMap(m -> m.teeth().stream()).mapToInt(Teeth::count).sum();
    return train.members().size() > MANY_MEMBERS || teeth > MANY_TEETH;
  }

  /**
   * Works {@code card} out in the state of that name and hands it on: before this returns where it
   * is small, later on the interface's thread where it is large. Nothing is handed on where it is
   * stopped or fails.
   */
  void work(Card card, Optional<String> state, Consumer<Bench> done) {
    if (asked.filter(now -> now.isOf(card, state)).isPresent()) {
      return;
    }
    drop();
    if (!isLarge(card.train())) {
      try {
        done.accept(Bench.of(card, state, Pace.FREE));
      } catch (RuntimeException | StackOverflowError fault) {
        asked = Optional.of(new Asked(card, state, done));
        status.set(new Status.Failed(fault));
      }
      return;
    }
    asked = Optional.of(new Asked(card, state, done));
    long mine = current;
    status.set(new Status.Working(0));
    start(card, state, mine, done);
  }

  private void start(Card card, Optional<String> state, long mine, Consumer<Bench> done) {
    Thread.ofPlatform()
        .daemon()
        .name("bench work")
        .start(
            () -> {
              try {
                Thread.sleep(TYPING_MS);
                Bench bench = Bench.of(card, state, pace(mine));
                finish(mine, new Status.Done(), () -> done.accept(bench));
              } catch (CancellationException | InterruptedException stopped) {
                // Something else is asked for by now.
              } catch (RuntimeException | StackOverflowError fault) {
                finish(mine, new Status.Failed(fault), () -> {});
              }
            });
  }

  /** Tells how far the work is, and ends it once another one counts. */
  private Pace pace(long mine) {
    return share -> {
      if (current != mine) {
        throw new CancellationException();
      }
      onScreen.accept(
          () -> {
            if (current == mine) {
              status.set(new Status.Working(share));
            }
          });
    };
  }

  private void finish(long mine, Status end, Runnable then) {
    onScreen.accept(
        () -> {
          if (current == mine) {
            drop();
            status.set(end);
            then.run();
          }
        });
  }

  /** Whatever is being worked out is not wanted any more. */
  @SuppressWarnings("NonAtomicVolatileUpdate") // Counted on the interface’s thread alone.
  void drop() {
    current++;
    asked = Optional.empty();
    status.set(new Status.Done());
  }

  /** Stops what is being worked out until {@link #goOn}. */
  public void stop() {
    if (isWorking()) {
      Optional<Asked> left = asked;
      drop();
      asked = left;
      status.set(new Status.Stopped());
    }
  }

  /** Works out after all what was stopped. */
  public void goOn() {
    if (status.get() instanceof Status.Stopped) {
      Asked left = asked.orElseThrow();
      drop();
      work(left.card, left.state, left.done);
    }
  }
}
