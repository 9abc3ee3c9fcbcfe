package steadycog.app.find;

import java.util.ArrayList;
import java.util.List;
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
import org.jspecify.annotations.Nullable;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.number.Exact;
import steadycog.search.Candidate;
import steadycog.search.Found;
import steadycog.search.Hunt;
import steadycog.search.Kind;
import steadycog.search.Loosen;
import steadycog.search.Loosen.Hint;
import steadycog.search.Nearby;
import steadycog.search.Query;
import steadycog.search.Rank;
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
  private final AtomicReference<@Nullable Hunting> current = new AtomicReference<>();
  private final ReadOnlyObjectWrapper<Optional<Problem>> problem =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<Progress>> progress =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<List<Candidate>> candidates =
      new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyObjectWrapper<Optional<Found>> ended =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<List<Hint>>> hints =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<List<Candidate>> compared =
      new ReadOnlyObjectWrapper<>(List.of());
  private final ObjectProperty<Optional<Candidate>> chosen =
      new SimpleObjectProperty<>(Optional.empty());
  private Wanted searched = Wanted.NOTHING;

  /** The head of the list, which is shown until another one is chosen. */
  private Optional<Candidate> first = Optional.empty();

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

  /** Which limits to loosen where nothing was found; empty until that is known. */
  ReadOnlyObjectProperty<Optional<List<Hint>>> hintsProperty() {
    return hints.getReadOnlyProperty();
  }

  ReadOnlyObjectProperty<List<Candidate>> comparedProperty() {
    return compared.getReadOnlyProperty();
  }

  ObjectProperty<Optional<Candidate>> chosenProperty() {
    return chosen;
  }

  /** What is said to be wanted in place of the train in view. */
  Wanted wanted() {
    return desk.sheet().wanted();
  }

  /** The ratio on the bench, which is wanted as long as nothing else is said. */
  Optional<String> onTheBench() {
    return desk.bench()
        .flatMap(bench -> bench.study().ratio())
        .map(ratio -> Exact.plain(ratio.reduction().abs()));
  }

  private Wanted wantedNow() {
    Wanted said = wanted();
    return said.text(Field.TARGET).isBlank()
        ? said.with(Field.TARGET, onTheBench().orElse(""))
        : said;
  }

  void want(Field field, String text) {
    desk.trains().want(wanted().with(field, text));
  }

  /** What comes first in the list. */
  Rank rank() {
    return Rank.of(wanted().text(Field.RANK)).orElse(Rank.ERROR);
  }

  /** What is to come first in the list; the nearest need not be said. */
  void rank(Rank rank) {
    want(Field.RANK, rank == Rank.ERROR ? "" : rank.word());
  }

  /** Looks for what is wanted now, unless that has been looked for already. */
  void look() {
    if (!wantedNow().equals(searched)) {
      lookAgain();
    }
  }

  /** Looks for what is wanted now; a search that runs gives way. */
  void lookAgain() {
    drop();
    searched = wantedNow();
    problem.set(Optional.empty());
    if (searched.text(Field.TARGET).isBlank()) {
      clear();
      return;
    }
    try {
      Query query = searched.query();
      start(watch -> Hunt.run(query, watch), true);
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
    drop();
    Optional<Bench> bench = desk.bench();
    if (bench.isEmpty()) {
      problem.set(
          Optional.of(new Problem(Optional.empty(), "nothing is on the bench to look near")));
      return;
    }
    Wanted wanted = wanted();
    searched = wantedNow();
    problem.set(Optional.empty());
    start(watch -> Nearby.of(bench.get().card().train(), wanted, watch).found(), false);
  }

  private void start(Function<Watch, Found> search, boolean advised) {
    clear();
    Hunting hunting = new Hunting();
    current.set(hunting);
    progress.set(Optional.of(new Progress(Kind.PARALLEL, 0, 0, 0)));
    Wanted wanted = searched;
    searching.execute(
        () -> {
          boolean nothing = run(search, hunting);
          if (nothing) {
            List<Hint> found = advised ? Loosen.of(wanted, hunting) : List.of();
            onScreen.accept(() -> advise(found, hunting));
          }
        });
  }

  /** Says whether it came to an end and found nothing. */
  private boolean run(Function<Watch, Found> search, Hunting hunting) {
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
      return found.candidates().isEmpty();
    } catch (IllegalArgumentException refused) {
      onScreen.accept(
          () -> {
            progress.set(Optional.empty());
            refuse(refused);
          });
      return false;
    }
  }

  private void advise(List<Hint> found, Hunting hunting) {
    if (current.get() == hunting && !hunting.stopped) {
      hints.set(Optional.of(found));
    }
  }

  /** Loosens a limit as advised. */
  void follow(Hint hint) {
    want(hint.field(), hint.text());
  }

  /** Stops, and does not want to hear any more of it. */
  private void drop() {
    stop();
    current.set(null);
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
    hints.set(Optional.empty());
    chosen.set(Optional.empty());
  }

  private void show(List<Candidate> best) {
    candidates.set(best);
    if (chosen.get().equals(first) || chosen.get().filter(best::contains).isEmpty()) {
      first = best.stream().findFirst();
      chosen.set(first);
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
    desk.trains()
        .tryVariant(candidate.kind().word() + " " + Candidates.ratio(candidate), candidate.train());
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
