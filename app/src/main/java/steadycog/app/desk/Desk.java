package steadycog.app.desk;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.DoubleExpression;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleObjectProperty;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.notation.CardProblem;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.State;
import steadycog.train.Teeth;

/** The designer's desk: the open job, the train in view, and all that can be done to them. */
public final class Desk {
  private final ReadOnlyObjectWrapper<Page> page =
      new ReadOnlyObjectWrapper<>(new Page(Job.empty(), 0));
  private final ReadOnlyObjectWrapper<Optional<Bench>> bench =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<List<CardProblem>> problems =
      new ReadOnlyObjectWrapper<>(List.of());
  private final Choice selection = new Choice();
  private final ObjectProperty<Station> station = new SimpleObjectProperty<>(Station.LAY_OUT);
  private final ReadOnlyObjectWrapper<Optional<String>> state =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<String>> refusal =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final DoubleProperty exaggeration = new SimpleDoubleProperty(1);
  private final ObjectProperty<PowerShown> power = new SimpleObjectProperty<>(PowerShown.NONE);
  private final ObjectProperty<Preferences> preferences =
      new SimpleObjectProperty<>(Preferences.USUAL);
  private final ReadOnlyObjectWrapper<Object> inView = new ReadOnlyObjectWrapper<>(new Object());
  private final History history = new History();
  private final BenchWork work;
  private final CureWork cures;
  private final Glances glances;
  private final Crank crank = new Crank(this);
  private final Simulation simulation = new Simulation(this);
  private final Keystrokes keystrokes = new Keystrokes();
  private final FileWork file = new FileWork(this);
  private final TrainWork train = new TrainWork(this);
  private final SheetWork trains = new SheetWork(this);
  private final PlanWork plan = new PlanWork(this);
  private final BookWork book = new BookWork(this);
  private final RigWork rig = new RigWork(this);

  private String strand = "";

  /** A desk without a window: what is worked out aside comes back on the thread that did it. */
  public Desk() {
    this(Runnable::run);
  }

  /**
   * A desk.
   *
   * @param onScreen runs what it is given on the interface's thread
   */
  public Desk(Consumer<Runnable> onScreen) {
    work = new BenchWork(onScreen);
    cures = new CureWork(this, onScreen);
    glances = new Glances(this, onScreen);
    bench.addListener(
        o -> {
          cures.seek();
          glances.takeOver();
        });
    page.addListener(o -> glances.bringInStep());
  }

  /** The open job and which of its trains is in view. */
  public ReadOnlyObjectProperty<Page> pageProperty() {
    return page.getReadOnlyProperty();
  }

  /** The train in view, as last understood; changes whenever its card does. */
  public ReadOnlyObjectProperty<Optional<Bench>> benchProperty() {
    return bench.getReadOnlyProperty();
  }

  /** What becomes of the train in view while the bench is empty. */
  public BenchWork work() {
    return work;
  }

  /** What puts the train in view right. */
  public CureWork cures() {
    return cures;
  }

  /** What every train of the job gives. */
  public Glances glances() {
    return glances;
  }

  /** Changes with the train that is in view, not with what is done to it. */
  public ReadOnlyObjectProperty<Object> inViewProperty() {
    return inView.getReadOnlyProperty();
  }

  /** What cannot be read in the train line. */
  public ReadOnlyObjectProperty<List<CardProblem>> problemsProperty() {
    return problems.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<Optional<MemberId>> selectionProperty() {
    return selection.memberProperty();
  }

  /** The chosen member, and with a chosen finding all that it speaks of. */
  public ReadOnlyObjectProperty<Set<MemberId>> litProperty() {
    return selection.litProperty();
  }

  /** Why the last change that was asked for cannot be made. */
  public ReadOnlyObjectProperty<Optional<String>> refusalProperty() {
    return refusal.getReadOnlyProperty();
  }

  /** How many times their true deflection flexsplines are drawn with. */
  public DoubleProperty exaggerationProperty() {
    return exaggeration;
  }

  /** What the side view shows of the power that goes through the train. */
  public ObjectProperty<PowerShown> powerProperty() {
    return power;
  }

  /** What is being worked at. */
  public ObjectProperty<Station> stationProperty() {
    return station;
  }

  public ObjectProperty<Preferences> preferencesProperty() {
    return preferences;
  }

  /** The size of the text, pixels. */
  public DoubleExpression textSize() {
    return Bindings.createDoubleBinding(() -> preferences().shownSize(), preferences);
  }

  public Preferences preferences() {
    return preferences.get();
  }

  public Crank crank() {
    return crank;
  }

  public Simulation simulation() {
    return simulation;
  }

  public Job job() {
    return page.get().job();
  }

  public Optional<Bench> bench() {
    return bench.get();
  }

  public Optional<MemberId> selection() {
    return selection.get();
  }

  public Sheet sheet() {
    return page.get().sheet();
  }

  /** The job's file. */
  public FileWork file() {
    return file;
  }

  /** What can be done to the train in view. */
  public TrainWork train() {
    return train;
  }

  /** What can be done to the trains of the job. */
  public SheetWork trains() {
    return trains;
  }

  /** The name of the state that is in view; empty while the train has none. */
  public Optional<String> state() {
    return bench.get().flatMap(Bench::state).map(State::name);
  }

  /** Puts the train in view in one of its states. */
  public void showState(String name) {
    state.set(Optional.of(name));
    workOut(false);
  }

  /** What can be done to the plan of the train in view. */
  public PlanWork plan() {
    return plan;
  }

  /** What can be done to the bench book of the train in view. */
  public BookWork book() {
    return book;
  }

  /** The test rig and what runs on it. */
  public RigWork rig() {
    return rig;
  }

  /** The tooth count of a member of the train in view. */
  public Optional<Teeth> teeth(MemberId member) {
    return sheet()
        .card()
        .filter(card -> card.train().has(member))
        .flatMap(card -> card.train().member(member).teeth());
  }

  /** The part that a member of the train on the bench belongs to; empty where it has none such. */
  public Optional<Part> partOf(MemberId member) {
    return partOf(member, Part.class);
  }

  /** The part of a member of the train on the bench where it is of that kind. */
  public <P extends Part> Optional<P> partOf(MemberId member, Class<P> kind) {
    return bench
        .get()
        .map(Bench::card)
        .filter(card -> card.train().has(member))
        .flatMap(card -> card.train().partOf(member, kind));
  }

  /** Says why something that was asked for is not done. */
  public void refuse(String why) {
    refusal.set(Optional.empty());
    refusal.set(Optional.of(why));
  }

  Page page() {
    return page.get();
  }

  Keystrokes keystrokes() {
    return keystrokes;
  }

  /** A state that is about to be made: it will be in view. */
  void expect(String name) {
    state.set(Optional.of(name));
  }

  /** Puts another job on the desk; what was there is gone. */
  void layOpen(Job fresh) {
    history.clear();
    endStrand();
    bench.set(Optional.empty());
    page.set(new Page(fresh, 0));
    workOut(true);
  }

  void change(Page next) {
    change(next, "", false);
  }

  /** Goes over to {@code next}; where it may continue the same strand it is no step of its own. */
  void change(Page next, String newStrand, boolean mayContinue) {
    if (mayContinue && !newStrand.isEmpty() && newStrand.equals(strand)) {
      history.carryOn();
    } else {
      history.record(now());
    }
    show(next);
    strand = newStrand;
  }

  private History.Moment now() {
    return new History.Moment(page.get(), selection.get());
  }

  /** What follows is a step of its own to undo, whatever came before. */
  public void endStrand() {
    strand = "";
  }

  public void undo() {
    history.undo(now()).ifPresent(this::goBack);
    endStrand();
  }

  public void redo() {
    history.redo(now()).ifPresent(this::goBack);
    endStrand();
  }

  public boolean canUndo() {
    return history.canUndo();
  }

  public boolean canRedo() {
    return history.canRedo();
  }

  /** Shows a moment of the past with what was chosen then: by now its name may be another's. */
  private void goBack(History.Moment then) {
    show(then.page());
    select(then.chosen());
  }

  private void show(Page next) {
    boolean otherTrain =
        next.index() != page.get().index() || next.job().sheets().size() != job().sheets().size();
    if (!otherTrain && !next.sheet().text().equals(sheet().text())) {
      refusal.set(Optional.empty());
    }
    page.set(next);
    workOut(otherTrain);
  }

  /** Brings bench, problems and selection in step with the sheet in view. */
  private void workOut(boolean otherTrain) {
    Sheet sheet = sheet();
    if (otherTrain) {
      crank.reset();
      selection.set(Optional.empty());
      state.set(Optional.empty());
      inView.set(new Object());
    }
    problems.set(sheet.draft().map(Card::problemsOf).orElse(List.of()));
    // First, since views that follow the bench ask about the chosen member.
    selection.keep(this::knows);
    Optional<Card> shown = bench.get().map(Bench::card);
    boolean sameState = state().equals(state.get()) || state.get().isEmpty();
    if (!shown.equals(sheet.card()) || !sameState) {
      putOnBench(sheet.card());
    } else {
      work.drop();
    }
  }

  /** Never leaves another train on the bench than the one in view: rather an empty bench. */
  private void putOnBench(Optional<Card> card) {
    if (card.isEmpty()) {
      work.drop();
      bench.set(Optional.empty());
      return;
    }
    Consumer<Bench> show =
        made -> {
          bench.set(Optional.of(made));
          state.set(state());
        };
    work.work(card.get(), state.get(), show);
    if (bench.get().map(Bench::card).filter(card.get()::equals).isEmpty()) {
      bench.set(Optional.empty());
    }
  }

  private boolean knows(MemberId member) {
    return sheet().card().filter(card -> card.train().has(member)).isPresent();
  }

  public void select(Optional<MemberId> member) {
    selectAll(member.stream().toList());
  }

  public boolean isLit(MemberId member) {
    return litProperty().get().contains(member);
  }

  /** Selects the first of {@code members} and lights all of them. */
  public void selectAll(List<MemberId> members) {
    selection.set(members.stream().filter(this::knows).toList());
  }

  /** Selects the next member (for -1 the one before) in the order of the card, round and round. */
  public void selectNext(int step) {
    bench.get().ifPresent(shown -> selection.step(shown.card().train().members(), step));
  }

  public void showSheet(int index) {
    if (index != page.get().index()) {
      endStrand();
      show(new Page(job(), index));
    }
  }
}
