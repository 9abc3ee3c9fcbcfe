package steadycog.app.desk;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.DoubleExpression;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.bench.BenchBook;
import steadycog.cure.Cure;
import steadycog.format.file.JobFiles;
import steadycog.format.file.Stamp;
import steadycog.format.json.UnreadableException;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.notation.CardProblem;
import steadycog.number.Quantity;
import steadycog.search.Wanted;
import steadycog.train.Bevel;
import steadycog.train.Drive;
import steadycog.train.Edited;
import steadycog.train.Losses;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Motor;
import steadycog.train.Part;
import steadycog.train.PartEdit;
import steadycog.train.Pitch;
import steadycog.train.Place;
import steadycog.train.Planetary;
import steadycog.train.Roles;
import steadycog.train.ShiftPlan;
import steadycog.train.State;
import steadycog.train.Take;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** The designer's desk: the open job, the train in view, and all that can be done to them. */
public final class Desk {
  private final ReadOnlyObjectWrapper<Page> page =
      new ReadOnlyObjectWrapper<>(new Page(Job.empty(), 0));
  private final ReadOnlyObjectWrapper<Optional<Bench>> bench =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<List<CardProblem>> problems =
      new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyObjectWrapper<Optional<MemberId>> selection =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<Path>> file =
      new ReadOnlyObjectWrapper<>(Optional.empty());
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
  private final Crank crank = new Crank(this);
  private final Simulation simulation = new Simulation(this);
  private final PlanWork plan = new PlanWork(this);
  private final BookWork book = new BookWork(this);
  private final RigWork rig = new RigWork(this);

  /** The job as its file has it; empty where no file has it. */
  private Optional<Job> saved = Optional.of(page.get().job());

  /** What was in the file when it was last opened or saved. */
  private Stamp stamp = Stamp.NONE;

  private String strand = "";

  /** Where the last key was struck, so that those at two places are two steps. */
  private int keystroke;

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
    bench.addListener(o -> cures.seek());
  }

  // ---- what the views look at

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

  /** Changes with the train that is in view, not with what is done to it. */
  public ReadOnlyObjectProperty<Object> inViewProperty() {
    return inView.getReadOnlyProperty();
  }

  /** What cannot be read in the train line. */
  public ReadOnlyObjectProperty<List<CardProblem>> problemsProperty() {
    return problems.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<Optional<MemberId>> selectionProperty() {
    return selection.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<Optional<Path>> fileProperty() {
    return file.getReadOnlyProperty();
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
    return Bindings.createDoubleBinding(() -> preferences().textSize(), preferences);
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

  /** Whether something would be lost if the job were closed now. */
  public boolean isUnsaved() {
    return !saved.equals(Optional.of(job()));
  }

  // ---- changing the train

  /** Takes over what stands in the train line; keystrokes of one word are one step to undo. */
  public void type(String text) {
    if (!text.equals(sheet().text())) {
      boolean one = goesOn(sheet().text(), text);
      change(page.get().with(sheet().typed(text)), "typing", one);
    }
  }

  /** Whether {@code after} is a keystroke more, where the last one was and inside a word. */
  private boolean goesOn(String before, String after) {
    String longer = before.length() > after.length() ? before : after;
    String shorter = longer.equals(before) ? after : before;
    int at = 0;
    while (at < shorter.length() && shorter.charAt(at) == longer.charAt(at)) {
      at++;
    }
    boolean near = Math.abs(at - keystroke) <= 1;
    keystroke = at + (longer.equals(after) ? 1 : 0);
    if (longer.length() - shorter.length() != 1) {
      return false;
    }
    boolean wordEnds = Character.isWhitespace(longer.charAt(at)) || longer.charAt(at) == ';';
    return near && !wordEnds && longer.substring(at + 1).equals(shorter.substring(at));
  }

  public void drive(MemberId member) {
    changeRoles(roles -> roles.driving(member));
  }

  public void hold(MemberId member) {
    changeRoles(roles -> roles.holding(member));
  }

  public void take(MemberId member) {
    changeRoles(roles -> roles.taking(member));
  }

  public void free(MemberId member) {
    changeRoles(roles -> roles.freeing(member));
  }

  /** Locks two members to each other; locking a member to itself does nothing. */
  public void lock(MemberId a, MemberId b) {
    if (!a.equals(b)) {
      changeRoles(roles -> roles.locking(a, b));
    }
  }

  /** Puts the train in a configuration of its ratio board. */
  public void configure(Configuration configuration) {
    changeRoles(configuration::in);
  }

  /** Gives the second drive another speed; a whole drag is one step until {@link #endStrand}. */
  public void driveSecond(Quantity speed) {
    changeDrive(1, drive -> drive.at(speed), "second drive");
  }

  /** Drives a member as well as what is driven first, instead of any second drive. */
  public void driveAlso(Drive drive) {
    changeRoles(
        roles -> {
          Roles freed = roles.freeing(drive.member());
          List<Drive> drives = new ArrayList<>(freed.drives().stream().limit(1).toList());
          drives.add(drive);
          return new Roles(drives, freed.holds(), freed.take(), freed.locks());
        });
  }

  /** Gives all teeth a size. */
  public void size(Pitch pitch) {
    changeTrain(train -> train.sized(pitch));
  }

  /** Says something else about sizes. */
  public void resize(UnaryOperator<Train> change) {
    changeTrain(change);
  }

  /** Says something else about the losses of meshes. */
  public void lose(UnaryOperator<Losses> change) {
    changeTrain(train -> train.withLosses(change.apply(train.losses())));
  }

  /** Turns the first drive by another motor, or by none. */
  public void turnBy(Optional<Motor> motor) {
    changeDrive(0, drive -> drive.by(motor), "");
  }

  /** Runs the first drive as {@code drive} says. */
  public void run(Drive drive) {
    changeDrive(0, old -> old.at(drive.statedSpeed()), "");
  }

  /** Changes the drive of that index, where there is one. */
  private void changeDrive(int index, UnaryOperator<Drive> change, String strand) {
    changeRoles(
        roles -> {
          List<Drive> drives = new ArrayList<>(roles.drives());
          if (index < drives.size()) {
            drives.set(index, change.apply(drives.get(index)));
          }
          return new Roles(drives, roles.holds(), roles.take(), roles.locks());
        },
        strand);
  }

  /** Loads the take-off with a torque, or leaves the load to the drive. */
  public void load(Optional<Quantity> torque) {
    changeRoles(
        roles ->
            new Roles(
                roles.drives(),
                roles.holds(),
                roles.take().map(take -> new Take(take.member(), torque)),
                roles.locks()));
  }

  /** Changes the roles in the state that is in view, or those of a train without states. */
  private void changeRoles(UnaryOperator<Roles> change) {
    changeRoles(change, "");
  }

  private void changeRoles(UnaryOperator<Roles> change, String strand) {
    Optional<State> current = bench.get().flatMap(Bench::state);
    changeTrain(
        train ->
            current.isPresent()
                ? train.changing(current.get(), change)
                : train.withRoles(change.apply(train.rolesInForce())),
        strand);
  }

  // ---- states of a shift plan

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

  /** Changes the plan of the train in view, which is then shown in the state of that name. */
  void changeShifts(String shown, UnaryOperator<ShiftPlan> change) {
    state.set(Optional.of(shown));
    changeShifts(change);
    workOut(false);
  }

  void changeShifts(UnaryOperator<ShiftPlan> change) {
    changeTrain(train -> train.withShifts(change.apply(train.shifts())));
  }

  // ---- what was built and tested

  /** What can be done to the bench book of the train in view. */
  public BookWork book() {
    return book;
  }

  /** The test rig and what runs on it. */
  public RigWork rig() {
    return rig;
  }

  /** Changes of one non-empty strand that follow each other are one step to undo. */
  void changeBook(UnaryOperator<BenchBook> change, String strand) {
    BenchBook changed = change.apply(sheet().book());
    if (!changed.equals(sheet().book())) {
      change(page.get().with(sheet().booking(changed)), strand, true);
    }
  }

  /** Puts a card back on the bench as it once was. */
  void putBack(Card old) {
    if (!sheet().card().equals(Optional.of(old))) {
      change(page.get().with(sheet().with(old)));
    }
  }

  // ---- parts of a train

  /** Makes two members one body, or parts them where they are joined. */
  public void join(MemberId a, MemberId b) {
    changeTrain(train -> PartEdit.toggleJoin(train, a, b));
  }

  /** Puts another part on the bench beside what is there, and chooses its first member. */
  public void addPart(Part part) {
    if (sheet().card().isEmpty()) {
      change(page.get().with(sheet().with(Card.of(Train.of(List.of(part.named("")))))));
      return;
    }
    edit(train -> PartEdit.add(statingRoles(train), part), "");
    select(trainInView().parts().getLast().members().stream().findFirst().map(Member::id));
  }

  /** Takes the whole part of a member away; the last one stays. */
  public void removePart(MemberId member) {
    edit(train -> PartEdit.removePart(train, member), "");
  }

  /** What a card leaves unsaid about the ends of its one part, said, so that it stays so. */
  private static Train statingRoles(Train train) {
    return train.shifts().isEmpty() ? train.withRoles(train.rolesInForce()) : train;
  }

  /** Adds {@code step} teeth to a wheel, within what a wheel can have; without teeth, nothing. */
  public void changeTeeth(MemberId member, int step) {
    teeth(member)
        .ifPresent(
            old -> {
              int count = Math.clamp(old.count() + step, 1, Teeth.MOST);
              changeTrain(
                  train -> train.withTeeth(member, new Teeth(count, old.internal())),
                  "teeth " + member);
            });
  }

  /**
   * Gives a wheel other teeth.
   *
   * @return false where that cannot be: two internal wheels would have to mesh
   */
  public boolean setTeeth(MemberId member, Teeth teeth) {
    try {
      teeth(member).ifPresent(old -> trainInView().withTeeth(member, teeth));
    } catch (IllegalArgumentException twoRings) {
      return false;
    }
    changeTrain(train -> train.withTeeth(member, teeth));
    return true;
  }

  private Train trainInView() {
    return sheet().card().orElseThrow().train();
  }

  /** The tooth count of a member of the train in view. */
  public Optional<Teeth> teeth(MemberId member) {
    return sheet()
        .card()
        .flatMap(
            card ->
                card.train().members().stream()
                    .filter(candidate -> candidate.id().equals(member))
                    .findFirst())
        .flatMap(Member::teeth);
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
        .filter(card -> knows(Optional.of(card), member))
        .flatMap(card -> card.train().partOf(member, kind));
  }

  /** The planetary set that a member of the train in view belongs to. */
  public Optional<Planetary> setOf(MemberId member) {
    return partOf(member, Planetary.class);
  }

  /** Puts the crown of a right-angle pair on the other side of its pinion. */
  public void turnCrown(MemberId member) {
    partOf(member, Bevel.class)
        .ifPresent(pair -> changeTrain(train -> train.withPart(pair.onSide(pair.side().other()))));
  }

  /** Lets a carrier hold more or fewer planets, or an eccentric discs, within what it can. */
  public void changePlanets(MemberId member, int step) {
    changeTrain(train -> WheelWork.more(train, member, step), "copies " + member.part());
  }

  /** Lets a new wheel mesh with a wheel of a chain, at its end or as a branch, and chooses it. */
  public void meshWheel(MemberId member) {
    build(train -> WheelWork.meshed(train, member));
  }

  /** Whether a wheel can be cut on the outside of {@code member}: a ring, carrier or disc. */
  public boolean canHaveRim(MemberId member) {
    return partOf(member).isPresent()
        && bench.get().filter(b -> WheelWork.canHaveRim(b.card().train(), member)).isPresent();
  }

  /** Keys a new wheel to the shaft of a wheel of a chain and chooses it. */
  public void keyWheel(MemberId member) {
    build(train -> WheelWork.keyed(train, member));
  }

  /** Puts an idler behind a wheel of a chain and chooses it. */
  public void insertIdler(MemberId member) {
    build(train -> WheelWork.withIdler(train, member));
  }

  /** Gives the planets of a set with one row a second one, with a ring round it, and chooses it. */
  public void addRow(MemberId member) {
    build(train -> WheelWork.withRow(train, member));
  }

  /** Takes a wheel, or the sun or ring of a set, out where that leaves a train; else nothing. */
  public void removeWheel(MemberId member) {
    build(train -> WheelWork.without(train, member));
  }

  /** Changes the wheels; the one that is new is chosen, and stated roles keep their wheels. */
  private void build(Function<Train, Edited> change) {
    if (sheet().card().isEmpty()) {
      return;
    }
    Train before = trainInView();
    Edited[] made = new Edited[1];
    edit(
        train -> {
          made[0] = change.apply(train);
          return made[0].train().equals(train) ? made[0] : change.apply(statingRoles(train));
        },
        "");
    if (!trainInView().equals(before)) {
      select(made[0].fresh(before));
    }
  }

  /**
   * Puts the shaft of {@code member} in a direction from the wheel that it meshes with; a whole
   * drag is one step to undo until {@link #endStrand}.
   *
   * @param degrees counter-clockwise from the right
   */
  public void place(MemberId member, BigFraction degrees) {
    changeTrain(train -> train.placing(new Place(member, degrees)), "place " + member);
  }

  /** Lets the train lay itself out again. */
  public void layOutAgain() {
    changeTrain(Train::unplaced);
  }

  /** Makes the change that puts a finding, or all of them, right. */
  public void cure(Cure cure) {
    changeTrain(train -> cure.train());
  }

  /** Notes on the train in view; keystrokes of one word are one step to undo. */
  public void note(String text) {
    if (!text.equals(sheet().notes())) {
      boolean one = goesOn(sheet().notes(), text);
      change(page.get().with(sheet().noting(text)), "noting", one);
    }
  }

  /**
   * Says what teeth are looked for in place of the train in view; changes that follow each other
   * are one step to undo.
   */
  public void want(Wanted wanted) {
    if (!wanted.equals(sheet().wanted())) {
      change(page.get().with(sheet().wanting(wanted)), "wanted", true);
    }
  }

  /** Puts an empty train behind the one in view, and shows it. */
  public void addTrain() {
    int index = page.get().index() + 1;
    Sheet fresh = Sheet.empty(job().freeName("Train " + (job().sheets().size() + 1)));
    change(new Page(job().adding(index, fresh), index));
  }

  /** Puts a copy of the train in view behind it, to try a variant, and shows it. */
  public void duplicateTrain() {
    int index = page.get().index() + 1;
    Sheet copy = sheet().named(job().freeName(sheet().name())).booking(BenchBook.EMPTY);
    change(new Page(job().adding(index, copy), index));
  }

  /**
   * Puts another train behind the one in view, driven as fast and as hard as that one and made as
   * it is, and shows it.
   */
  public void tryVariant(String name, Train variant) {
    Roles now = bench.get().map(b -> b.study().train().rolesInForce()).orElse(Roles.NONE);
    Roles ends = variant.rolesInForce();
    List<Drive> drives =
        now.drives().stream()
            .limit(1)
            .map(drive -> drive.movedTo(ends.drives().getFirst().member()))
            .toList();
    Roles given =
        drives.isEmpty() ? ends : new Roles(drives, ends.holds(), ends.take(), ends.locks());
    int index = page.get().index() + 1;
    Sheet fresh =
        Sheet.of(
            job().freeName(sheet().name() + ", " + name), Card.of(made(variant).withRoles(given)));
    change(new Page(job().adding(index, fresh), index));
  }

  /** With the teeth, losses and room of the train in view, where nothing else is said of them. */
  private Train made(Train variant) {
    Optional<Train> now = sheet().card().map(Card::train);
    if (now.isEmpty()) {
      return variant;
    }
    Train sized =
        variant.pitch().isPresent() || now.get().pitch().isEmpty()
            ? variant
            : variant.sized(now.get().pitch().get());
    Train losing =
        sized.losses().unstated() ? sized.withLosses(now.get().losses().ofKinds()) : sized;
    return losing.sizes().ofWheelsOnly()
        ? losing.withSizes(now.get().sizes().ofAll().and(losing.sizes()))
        : losing;
  }

  /** Takes the train in view out of the job. */
  public void removeTrain() {
    Job fewer = job().without(page.get().index());
    change(new Page(fewer, Math.min(page.get().index(), fewer.sheets().size() - 1)));
  }

  /** Gives the train in view another name; a blank one changes nothing. */
  public void renameTrain(String name) {
    if (!name.isBlank() && !name.strip().equals(sheet().name())) {
      change(page.get().with(sheet().named(name.strip())));
    }
  }

  private void changeTrain(UnaryOperator<Train> change) {
    changeTrain(change, "");
  }

  private void changeTrain(UnaryOperator<Train> change, String strand) {
    edit(train -> Edited.sameNames(change.apply(train)), strand);
  }

  /** Changes of one non-empty strand that follow each other are one step to undo. */
  private void edit(Function<Train, Edited> change, String strand) {
    Optional<Card> card = sheet().card();
    if (card.isEmpty()) {
      return;
    }
    Card revised;
    try {
      revised = card.get().revised(change.apply(card.get().train()));
    } catch (IllegalArgumentException impossible) {
      refuse(String.valueOf(impossible.getMessage()));
      return;
    }
    if (!revised.equals(card.get())) {
      change(page.get().with(sheet().with(revised)), strand, true);
    }
  }

  /** Says why something that was asked for is not done. */
  public void refuse(String why) {
    refusal.set(Optional.empty());
    refusal.set(Optional.of(why));
  }

  private void change(Page next) {
    change(next, "", false);
  }

  /** Goes over to {@code next}; where it may continue the same strand it is no step of its own. */
  private void change(Page next, String newStrand, boolean mayContinue) {
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
    problems.set(sheet.draft().map(Desk::problemsOf).orElse(List.of()));
    // First, since views that follow the bench ask about the chosen member.
    if (selection.get().filter(member -> !knows(sheet.card(), member)).isPresent()) {
      selection.set(Optional.empty());
    }
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

  private static List<CardProblem> problemsOf(String draft) {
    try {
      Card.read(draft);
      return List.of();
    } catch (CardException unreadable) {
      return unreadable.problems();
    }
  }

  private static boolean knows(Optional<Card> card, MemberId member) {
    return card.filter(c -> c.train().members().stream().anyMatch(m -> m.id().equals(member)))
        .isPresent();
  }

  // ---- what is in view

  public void select(Optional<MemberId> member) {
    selection.set(member.filter(id -> knows(sheet().card(), id)));
  }

  /**
   * Selects the next member (or for -1 the one before) in the order of the card, round and round.
   */
  public void selectNext(int step) {
    if (bench.get().isEmpty()) {
      return;
    }
    List<MemberId> all =
        bench.get().get().card().train().members().stream().map(Member::id).toList();
    int at = selection.get().map(all::indexOf).orElse(step > 0 ? -1 : all.size());
    selection.set(Optional.of(all.get(Math.floorMod(at + step, all.size()))));
  }

  public void showSheet(int index) {
    if (index != page.get().index()) {
      endStrand();
      show(new Page(job(), index));
    }
  }

  // ---- files

  /** Puts an empty job on the desk; what was there is gone, so ask before. */
  public void startNew() {
    putDown(Job.empty(), Optional.empty());
  }

  /** Puts a job on the desk that has no file of its own yet. */
  public void putDown(Job fresh) {
    putDown(fresh, Optional.empty());
  }

  /**
   * Opens a job or card.
   *
   * @throws UnreadableException if it makes no job; the desk is left as it was
   * @throws IOException if it cannot be read; the desk is left as it was
   */
  public void open(Path path) throws IOException, UnreadableException {
    Stamp found = Stamp.of(path);
    putDown(JobFiles.open(path), Optional.of(path));
    stamp = found;
  }

  /**
   * Brings back work that was never saved: it counts as changed, and goes on in its old file.
   *
   * @param then what was in that file when the work was done
   */
  public void recover(Job lost, Optional<Path> from, Stamp then) {
    putDown(lost, from);
    saved = Optional.empty();
    stamp = then;
  }

  /** What was in the file when it was last opened or saved here. */
  public Stamp stamp() {
    return stamp;
  }

  /**
   * Whether somebody else has written the file since it was opened or saved here, so that saving
   * would lose what they wrote; false for any other file.
   *
   * @throws IOException if the file cannot be read
   */
  public boolean writtenByOthers(Path path) throws IOException {
    if (file.get().isEmpty() || !Files.exists(path) || !Files.exists(file.get().get())) {
      return false;
    }
    return Files.isSameFile(path, file.get().get()) && !Stamp.of(path).equals(stamp);
  }

  /**
   * Saves by the file's ending, and goes on working in that file.
   *
   * @throws IOException if the disk refuses; the job stays unsaved
   */
  public void save(Path path) throws IOException {
    stamp = JobFiles.save(job(), page.get().index(), path);
    saved = Optional.of(job());
    file.set(Optional.of(path));
  }

  /** Whether {@code path} would keep only the train in view and drop the others. */
  public boolean wouldDropTrains(Path path) {
    return JobFiles.isCard(path) && job().sheets().size() > 1;
  }

  private void putDown(Job fresh, Optional<Path> from) {
    history.clear();
    endStrand();
    saved = Optional.of(fresh);
    stamp = Stamp.NONE;
    file.set(from);
    bench.set(Optional.empty());
    page.set(new Page(fresh, 0));
    workOut(true);
  }
}
