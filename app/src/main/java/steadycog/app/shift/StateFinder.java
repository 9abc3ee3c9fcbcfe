package steadycog.app.shift;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import steadycog.search.StateHunt;
import steadycog.search.StateHunt.FoundStates;
import steadycog.search.Watch;
import steadycog.train.ShiftPlan;
import steadycog.train.Train;

/**
 * Looks for all states of a train beside the interface; a new train makes the old search give way.
 */
final class StateFinder {
  private final Consumer<Runnable> onScreen;
  private final ExecutorService searching =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("states").factory());
  private final ReadOnlyObjectWrapper<Optional<FoundStates>> found =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper();
  private Optional<Train> searched = Optional.empty();
  private Search current = new Search();

  /** One search, which can be told to give way. */
  private static final class Search implements Watch {
    private volatile boolean cancelled;

    @Override
    public boolean cancelled() {
      return cancelled;
    }
  }

  /**
   * A finder at rest.
   *
   * @param onScreen runs what it is given on the interface's thread
   */
  StateFinder(Consumer<Runnable> onScreen) {
    this.onScreen = onScreen;
  }

  /** What was found last; empty before, and while nothing can be looked for. */
  ReadOnlyObjectProperty<Optional<FoundStates>> foundProperty() {
    return found.getReadOnlyProperty();
  }

  ReadOnlyBooleanProperty runningProperty() {
    return running.getReadOnlyProperty();
  }

  /** Looks for the states of {@code train}, unless its elements and parts have been looked at. */
  void look(Train train) {
    Train asked = train.withShifts(new ShiftPlan(train.shifts().elements(), List.of()));
    if (searched.filter(asked::equals).isPresent()) {
      return;
    }
    stop();
    searched = Optional.of(asked);
    if (StateHunt.trouble(train).isPresent()) {
      found.set(Optional.empty());
      return;
    }
    Search search = new Search();
    current = search;
    running.set(true);
    searching.execute(
        () -> {
          FoundStates result = StateHunt.of(asked, search);
          onScreen.accept(() -> end(search, result));
        });
  }

  /** Ends a search; what it has found so far is kept. */
  void stop() {
    current.cancelled = true;
  }

  private void end(Search search, FoundStates result) {
    if (search == current) {
      running.set(false);
      found.set(Optional.of(result));
    }
  }
}
