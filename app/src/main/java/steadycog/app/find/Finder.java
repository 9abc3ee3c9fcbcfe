package steadycog.app.find;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.search.Candidate;
import steadycog.search.Found;
import steadycog.search.Hunt;
import steadycog.search.Kind;
import steadycog.search.Nearby;
import steadycog.search.Query;
import steadycog.search.Target;
import steadycog.search.Tolerance;
import steadycog.search.Wanted;
import steadycog.search.Wanted.BadField;
import steadycog.search.Wanted.Field;
import steadycog.search.Watch;

/** What is looked for, what has been found, and which of that is kept for comparing. */
public final class Finder {
  /** A comparison of more is no longer side by side. */
  static final int MOST_COMPARED = 4;

  /** How far a search has come. */
  record Progress(Kind kind, double share, long examined, double perSecond) {}

  /** What cannot be understood: in one field, or in what they say together. */
  record Problem(Optional<Field> field, String message) {}

  private final Desk desk;
  private final Consumer<Runnable> onScreen;
  private final ExecutorService searching =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("finder").factory());
  private final AtomicReference<Hunting> current = new AtomicReference<>();
  private final ReadOnlyObjectWrapper<Optional<Problem>> problem =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<Progress>> progress =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<List<Candidate>> candidates =
      new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyObjectWrapper<Optional<Found>> ended =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<List<Candidate>> compared =
      new ReadOnlyObjectWrapper<>(List.of());
  private final ObjectProperty<Optional<Candidate>> chosen =
      new SimpleObjectProperty<>(Optional.empty());
  private Wanted searched = Wanted.NOTHING;

  /**
   * A finder for a desk.
   *
   * @param onScreen runs what it is given on the interface's thread
   */
  public Finder(Desk desk, Consumer<Runnable> onScreen) {
    this.desk = desk;
    this.onScreen = onScreen;
  }

  ReadOnlyObjectProperty<Optional<Problem>> problemProperty() {
    return problem.getReadOnlyProperty();
  }

  /** Present while a search runs. */
  ReadOnlyObjectProperty<Optional<Progress>> progressProperty() {
    return progress.getReadOnlyProperty();
  }

  /** Best first; grows while a search runs. */
  ReadOnlyObjectProperty<List<Candidate>> candidatesProperty() {
    return candidates.getReadOnlyProperty();
  }

  /** What the last search says of itself, once it has ended. */
  ReadOnlyObjectProperty<Optional<Found>> endedProperty() {
    return ended.getReadOnlyProperty();
  }

  ReadOnlyObjectProperty<List<Candidate>> comparedProperty() {
    return compared.getReadOnlyProperty();
  }

  ObjectProperty<Optional<Candidate>> chosenProperty() {
    return chosen;
  }

  Wanted wanted() {
    return desk.job().wanted();
  }

  void want(Field field, String text) {
    desk.want(wanted().with(field, text));
  }

  /** Looks for what is wanted now, unless that has been looked for already. */
  void look() {
    if (!wanted().equals(searched)) {
      lookAgain();
    }
  }

  /** Looks for what is wanted now; a search that runs gives way. */
  void lookAgain() {
    stop();
    searched = wanted();
    problem.set(Optional.empty());
    if (searched.text(Field.TARGET).isBlank()) {
      clear();
      return;
    }
    try {
      Query query = searched.query();
      start(watch -> Hunt.run(query, watch));
    } catch (IllegalArgumentException bad) {
      refuse(bad);
    }
  }

  private void refuse(IllegalArgumentException bad) {
    Optional<Field> field =
        bad instanceof BadField named ? Optional.of(named.field()) : Optional.empty();
    problem.set(Optional.of(new Problem(field, String.valueOf(bad.getMessage()))));
  }

  /**
   * Looks near the train on the bench: for the target where there is one, else for a train without
   * errors.
   */
  void lookNear() {
    stop();
    Optional<Bench> bench = desk.bench();
    if (bench.isEmpty()) {
      problem.set(
          Optional.of(new Problem(Optional.empty(), "nothing is on the bench to look near")));
      return;
    }
    searched = wanted();
    try {
      Optional<Target> target = searched.target();
      Optional<Tolerance> tolerance = searched.tolerance();
      int top = searched.top();
      problem.set(Optional.empty());
      start(
          watch -> {
            Nearby.Changes near =
                Nearby.of(bench.get().card().train(), target, tolerance, top, watch);
            return new Found(
                near.list().stream().map(Nearby.Change::candidate).toList(),
                near.examined(),
                Map.of(),
                near.whole());
          });
    } catch (BadField bad) {
      refuse(bad);
    }
  }

  private void start(Function<Watch, Found> search) {
    clear();
    Hunting hunting = new Hunting();
    current.set(hunting);
    progress.set(Optional.of(new Progress(Kind.PARALLEL, 0, 0, 0)));
    searching.execute(() -> run(search, hunting));
  }

  private void run(Function<Watch, Found> search, Hunting hunting) {
    try {
      Found found = search.apply(hunting);
      onScreen.accept(
          () -> {
            if (current.get() == hunting) {
              progress.set(Optional.empty());
              show(found.candidates());
              ended.set(Optional.of(found));
            }
          });
    } catch (IllegalArgumentException refused) {
      onScreen.accept(
          () -> {
            progress.set(Optional.empty());
            refuse(refused);
          });
    }
  }

  /** Stops at once and keeps what has been found. */
  void stop() {
    Hunting running = current.get();
    if (running != null) {
      running.stopped = true;
      progress.set(Optional.empty());
    }
  }

  private void clear() {
    candidates.set(List.of());
    ended.set(Optional.empty());
    chosen.set(Optional.empty());
  }

  private void show(List<Candidate> best) {
    candidates.set(best);
    if (chosen.get().filter(best::contains).isEmpty()) {
      chosen.set(best.stream().findFirst());
    }
  }

  /** Keeps a candidate for comparing, or lets it go again. */
  void compare(Candidate candidate) {
    List<Candidate> changed = new ArrayList<>(compared.get());
    if (!changed.remove(candidate)) {
      changed.add(candidate);
      while (changed.size() > MOST_COMPARED) {
        changed.removeFirst();
      }
    }
    compared.set(List.copyOf(changed));
  }

  /** Brings a candidate to the bench as a train of its own; one step to undo. */
  void bring(Candidate candidate) {
    desk.tryVariant(candidate.kind().word() + " " + Candidates.ratio(candidate), candidate.train());
  }

  /** One search, watched. */
  private final class Hunting implements Watch {
    private static final long SHOW_EVERY = 80_000_000;
    private final long started = System.nanoTime();
    private volatile boolean stopped;
    private final AtomicLong told = new AtomicLong();
    private final AtomicLong shown = new AtomicLong();

    @Override
    public boolean cancelled() {
      return stopped;
    }

    /** The screen is brought up to date now and then, not at every step. */
    private static boolean isTime(AtomicLong last) {
      long now = System.nanoTime();
      long before = last.get();
      return now - before > SHOW_EVERY && last.compareAndSet(before, now);
    }

    @Override
    public void progress(Kind kind, double share, long examined) {
      if (isTime(told)) {
        double seconds = (System.nanoTime() - started) / 1e9;
        Progress now = new Progress(kind, share, examined, examined / seconds);
        onScreen.accept(
            () -> {
              if (current.get() == this && !stopped) {
                progress.set(Optional.of(now));
              }
            });
      }
    }

    @Override
    public void found(List<Candidate> best) {
      if (isTime(shown)) {
        onScreen.accept(
            () -> {
              if (current.get() == this && !stopped) {
                show(best);
              }
            });
      }
    }
  }
}
