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
  /** The one in view comes from the bench meanwhile. */
  private static final long QUIET_MS = 60;

  private final Desk desk;
  private final Aside aside;
  private final ReadOnlyLongWrapper changes = new ReadOnlyLongWrapper();

  /** By card; empty for one that cannot be worked out. */
  private final Map<Card, Optional<Bench>> known = new HashMap<>();

  private boolean watched;

  /** {@code onScreen} runs what it is given on the interface's thread. */
  Glances(Desk desk, Consumer<Runnable> onScreen) {
    this.desk = desk;
    aside = new Aside("glances", onScreen);
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
  void bringInStep() {
    if (!watched) {
      return;
    }
    aside.drop();
    known.keySet().retainAll(desk.job().sheets().stream().flatMap(s -> s.card().stream()).toList());
    changes.set(changes.get() + 1);
    goOn(QUIET_MS);
  }

  /** The next train that is not known, and so on. */
  private void goOn(long wait) {
    missing().stream()
        .findFirst()
        .ifPresent(
            card ->
                aside.work(
                    wait,
                    pace -> worked(card, pace),
                    made -> {
                      known.put(card, made);
                      changes.set(changes.get() + 1);
                      goOn(0);
                    }));
  }

  /** Empty where it fails: the bench says so when the train is looked at. */
  private static Optional<Bench> worked(Card card, Pace pace) {
    try {
      return Optional.of(Bench.of(card, first(card).map(State::name), pace));
    } catch (CancellationException stopped) {
      throw stopped;
    } catch (RuntimeException | StackOverflowError fault) {
      return Optional.empty();
    }
  }

  private static Optional<State> first(Card card) {
    return card.train().shifts().states().stream().findFirst();
  }
}
