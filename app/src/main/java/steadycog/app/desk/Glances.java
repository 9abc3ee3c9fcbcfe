package steadycog.app.desk;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.number.Pace;
import steadycog.train.State;

/**
 * What every train of the job gives, in its first state: the one in view comes from the bench, the
 * others are worked out aside, one after another.
 */
public final class Glances {
  private final Desk desk;
  private final Consumer<Runnable> onScreen;
  private final ReadOnlyLongWrapper changes = new ReadOnlyLongWrapper();

  /** By card; empty for one that cannot be worked out. */
  private final Map<Card, Optional<Bench>> known = new HashMap<>();

  /** The job that counts; what is worked out for an older one is dropped. */
  private volatile long current;

  private boolean watched;

  /** {@code onScreen} runs what it is given on the interface's thread. */
  Glances(Desk desk, Consumer<Runnable> onScreen) {
    this.desk = desk;
    this.onScreen = onScreen;
  }

  /** Counts up whenever more is known, or something else is in the job. */
  public ReadOnlyLongProperty changesProperty() {
    return changes.getReadOnlyProperty();
  }

  /** The train of {@code sheet} as worked out; empty while that is not known, or cannot be. */
  public Optional<Bench> of(Sheet sheet) {
    return sheet.card().flatMap(card -> known.getOrDefault(card, Optional.empty()));
  }

  /** From now on all trains of the job are worked out, for a view that shows them. */
  public void watch() {
    watched = true;
    takeOver();
  }

  /** Whether nothing more is being worked out. */
  public boolean isDone() {
    return !watched || missing().isEmpty();
  }

  private List<Card> missing() {
    return desk.job().sheets().stream()
        .flatMap(sheet -> sheet.card().stream())
        .filter(card -> !known.containsKey(card))
        .distinct()
        .toList();
  }

  /** Takes over what the bench has worked out already. */
  void takeOver() {
    if (!watched) {
      return;
    }
    desk.bench()
        .filter(bench -> bench.state().equals(first(bench.card())))
        .filter(bench -> desk.sheet().card().equals(Optional.of(bench.card())))
        .ifPresent(bench -> known.put(bench.card(), Optional.of(bench)));
    bringInStep();
  }

  /** Begins to work out what is not known of the job there is now, and forgets what has left it. */
  @SuppressWarnings("NonAtomicVolatileUpdate") // Counted on the interface’s thread alone.
  void bringInStep() {
    if (!watched) {
      return;
    }
    current++;
    known.keySet().retainAll(desk.job().sheets().stream().flatMap(s -> s.card().stream()).toList());
    changes.set(changes.get() + 1);
    List<Card> missing = missing();
    if (!missing.isEmpty()) {
      workOut(missing);
    }
  }

  private void workOut(List<Card> missing) {
    long mine = current;
    Thread.ofPlatform()
        .daemon()
        .name("glances")
        .priority(Thread.MIN_PRIORITY)
        .start(
            () -> {
              for (Card card : missing) {
                if (current != mine) {
                  return;
                }
                Optional<Bench> made = worked(card, mine);
                onScreen.accept(() -> take(card, made, mine));
              }
            });
  }

  private void take(Card card, Optional<Bench> made, long mine) {
    if (current == mine) {
      known.put(card, made);
      changes.set(changes.get() + 1);
    }
  }

  /** Empty where it fails: the bench says so when the train is looked at. */
  private Optional<Bench> worked(Card card, long mine) {
    Pace pace =
        share -> {
          if (current != mine) {
            throw new CancellationException();
          }
        };
    try {
      return Optional.of(Bench.of(card, first(card).map(State::name), pace));
    } catch (CancellationException | StackOverflowError stopped) {
      return Optional.empty();
    } catch (RuntimeException fault) {
      return Optional.empty();
    }
  }

  private static Optional<State> first(Card card) {
    return card.train().shifts().states().stream().findFirst();
  }
}
