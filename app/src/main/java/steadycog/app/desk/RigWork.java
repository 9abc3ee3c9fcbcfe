package steadycog.app.desk;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import steadycog.app.desk.BookWork.Leaf;
import steadycog.bench.BenchTest;
import steadycog.bench.Build;
import steadycog.bench.LoadStep;
import steadycog.bench.LoadTest;
import steadycog.bench.Rigging;
import steadycog.bench.TestHead;
import steadycog.bench.TurnTest;
import steadycog.bench.TurnVerdict;
import steadycog.bench.rig.LoadRun;
import steadycog.bench.rig.Rig;
import steadycog.bench.rig.RigReading;
import steadycog.bench.rig.RigSettings;
import steadycog.bench.rig.Run;
import steadycog.bench.rig.SimulatedRig;
import steadycog.bench.rig.TurnRun;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Train;

/**
 * The rig beside the bench: a test of the book runs on it while time goes by, and stands in the
 * book as far as it has come.
 */
public final class RigWork {
  private static final int READINGS = 3;
  private static final int USUAL_TURNS = 10;

  /** An encoder reads this well, degrees. */
  private static final double BY_ENCODER = 1;

  private final Desk desk;
  private final ObjectProperty<RigSettings> settings =
      new SimpleObjectProperty<>(RigSettings.USUAL);
  private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(State.IDLE);
  private final ReadOnlyObjectWrapper<String> said = new ReadOnlyObjectWrapper<>("");
  private Optional<Rig> rig = Optional.empty();
  private Optional<Run> run = Optional.empty();
  private Leaf place = Leaf.NONE;
  private String train = "";

  /** Whether anything turns. */
  public enum State {
    IDLE,
    RUNNING,
    PAUSED
  }

  RigWork(Desk desk) {
    this.desk = desk;
  }

  /** How the next run's rig is made. */
  public ObjectProperty<RigSettings> settingsProperty() {
    return settings;
  }

  public ReadOnlyObjectProperty<State> stateProperty() {
    return state.getReadOnlyProperty();
  }

  /** What came of the last run, or why there can be none. */
  public ReadOnlyObjectProperty<String> saidProperty() {
    return said.getReadOnlyProperty();
  }

  /** Whether a run is under way, paused or not. */
  public boolean isOn() {
    return state.get() != State.IDLE;
  }

  /** What is being done, in a few words; empty while nothing runs. */
  public String doing() {
    return run.filter(r -> state.get() != State.IDLE).map(Run::doing).orElse("");
  }

  public double progress() {
    return run.map(Run::progress).orElse(0.0);
  }

  /** What the last run has read, oldest first. */
  public List<RigReading> readings() {
    return run.map(Run::readings).orElse(List.of());
  }

  /** Whether the last run loads the train; else it counts turns. */
  public boolean isLoading() {
    return run.filter(LoadRun.class::isInstance).isPresent();
  }

  /** The rig of the last run. */
  public Optional<Rig> rig() {
    return rig;
  }

  /** Starts the test that is open on the rig, or goes on with it. */
  public void start() {
    if (state.get() == State.PAUSED) {
      state.set(State.RUNNING);
      return;
    }
    Optional<Build> build = desk.book().build();
    Optional<BenchTest> test = desk.book().test();
    if (state.get() == State.RUNNING || build.isEmpty() || test.isEmpty()) {
      return;
    }
    Train whole = build.get().train(test.get());
    Optional<String> refusal = SimulatedRig.refusal(whole);
    if (refusal.isPresent()) {
      said.set("No rig for this train: " + refusal.get() + ".");
      return;
    }
    SimulatedRig made = SimulatedRig.of(whole, settings.get());
    if (test.get() instanceof LoadTest load && load.steps().isEmpty()) {
      said.set("Plan some steps first: up to what load, in how many.");
      return;
    }
    if (isUsed(test.get())) {
      desk.book().add(again(build.get(), test.get()));
    }
    rig = Optional.of(made);
    run = Optional.of(runOf(made, whole, desk.book().test().orElseThrow()));
    place = desk.book().leafProperty().get();
    train = desk.sheet().name();
    said.set("");
    desk.endStrand();
    state.set(State.RUNNING);
    log();
  }

  /** Whether anything stands in it that a run would write over. */
  private static boolean isUsed(BenchTest test) {
    return switch (test) {
      case TurnTest turns -> !turns.readings().isEmpty();
      case LoadTest load -> load.steps().stream().anyMatch(step -> !step.read().isEmpty());
    };
  }

  /** The same test to be done once more. */
  private static BenchTest again(Build build, BenchTest test) {
    TestHead old = test.head();
    String base = test instanceof TurnTest ? "Turn count" : "Load test";
    TestHead head = new TestHead(build.freeTitle(base), old.date(), old.source(), old.state(), "");
    return switch (test) {
      case TurnTest turns -> new TurnTest(head, turns.tolerance(), List.of());
      case LoadTest load ->
          new LoadTest(
              head,
              load.rigging(),
              load.steps().stream().map(step -> LoadStep.planned(step.load())).toList());
    };
  }

  private Run runOf(SimulatedRig made, Train whole, BenchTest test) {
    TestHead old = test.head();
    TestHead head =
        new TestHead(
            old.title(),
            old.date(),
            "simulated rig, seed " + settings.get().seed(),
            old.state(),
            old.notes());
    return switch (test) {
      case TurnTest turns -> {
        TurnTest empty = new TurnTest(head, BY_ENCODER, List.of());
        int count = TurnVerdict.turnsToTell(whole, BY_ENCODER).orElse(USUAL_TURNS);
        yield new TurnRun(made, empty, count, READINGS, made.usualSpeed());
      }
      case LoadTest load ->
          new LoadRun(made, new LoadTest(head, Rigging.METER, metered(load)), made.usualSpeed());
    };
  }

  /** The loads of a plan as the torques that a brake with a meter puts on. */
  private static List<LoadStep> metered(LoadTest plan) {
    return plan.steps().stream()
        .map(
            step ->
                LoadStep.planned(
                    Quantity.of(
                        Figures.significant(plan.rigging().torque(step.load()), 4), Unit.NM)))
        .toList();
  }

  public void pause() {
    if (state.get() == State.RUNNING) {
      state.set(State.PAUSED);
    }
  }

  /** Emergency stop: motor and brake off at once; what was logged stays in the book. */
  public void stop() {
    if (state.get() == State.IDLE) {
      return;
    }
    run.ifPresent(Run::stop);
    log();
    end("Stopped: motor and brake are off. What was logged stays.");
  }

  /** Lets so many seconds go by on the rig, if it runs. */
  public void advance(double seconds) {
    if (state.get() != State.RUNNING || run.isEmpty()) {
      return;
    }
    run.get().advance(seconds);
    if (!log()) {
      run.get().stop();
      end("Stopped: its train is out of view, or the test out of the book. What was logged stays.");
    } else if (run.get().isOver()) {
      end(("Done. " + found()).strip());
    }
  }

  /** A deliberate fault is to be found by counting before it is looked at. */
  private String found() {
    return settings.get().fault() == RigSettings.Fault.NONE
        ? ""
        : "Read the verdict; then look inside.";
  }

  /** What is found when the build is taken off the rig and opened. */
  public String inspect() {
    return rig.flatMap(Rig::inspect).orElse("");
  }

  private boolean log() {
    if (!desk.sheet().name().equals(train)) {
      return false;
    }
    return run.map(r -> desk.book().log(place.build(), place.test(), r.test())).orElse(false);
  }

  private void end(String words) {
    desk.endStrand();
    state.set(State.IDLE);
    said.set(words);
  }
}
