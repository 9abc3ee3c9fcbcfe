package steadycog.app.desk;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import steadycog.check.Cure;
import steadycog.format.file.JobFiles;
import steadycog.format.json.UnreadableException;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.notation.CardProblem;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Roles;
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
  private final ObjectProperty<Preferences> preferences =
      new SimpleObjectProperty<>(Preferences.USUAL);
  private final History history = new History();
  private final Crank crank = new Crank(this);
  private Job saved = page.get().job();
  private boolean typing;
  private boolean noting;

  // ---- what the views look at

  /** The open job and which of its trains is in view. */
  public ReadOnlyObjectProperty<Page> pageProperty() {
    return page.getReadOnlyProperty();
  }

  /** The train in view, as last understood; changes whenever its card does. */
  public ReadOnlyObjectProperty<Optional<Bench>> benchProperty() {
    return bench.getReadOnlyProperty();
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

  public ObjectProperty<Preferences> preferencesProperty() {
    return preferences;
  }

  public Preferences preferences() {
    return preferences.get();
  }

  public Crank crank() {
    return crank;
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
    return !job().equals(saved);
  }

  // ---- changing the train

  /** Takes over what stands in the train line; keystrokes of one word are one step to undo. */
  public void type(String text) {
    if (text.equals(sheet().text())) {
      return;
    }
    boolean continues = typing && isOneKeystroke(sheet().text(), text);
    change(page.get().with(sheet().typed(text)), continues);
    typing = true;
  }

  private static boolean isOneKeystroke(String before, String after) {
    if (Math.abs(before.length() - after.length()) != 1) {
      return false;
    }
    String longer = before.length() > after.length() ? before : after;
    String shorter = longer.equals(before) ? after : before;
    int at = 0;
    while (at < shorter.length() && shorter.charAt(at) == longer.charAt(at)) {
      at++;
    }
    boolean wordEnds = Character.isWhitespace(longer.charAt(at)) || longer.charAt(at) == ';';
    return !wordEnds && longer.substring(at + 1).equals(shorter.substring(at));
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

  private void changeRoles(UnaryOperator<Roles> change) {
    changeTrain(train -> train.withRoles(change.apply(train.rolesInForce())));
  }

  /** Adds {@code step} teeth to a wheel, within what a wheel can have; without teeth, nothing. */
  public void changeTeeth(MemberId member, int step) {
    changeTrain(
        train ->
            train.members().stream()
                .filter(candidate -> candidate.id().equals(member))
                .findFirst()
                .flatMap(Member::teeth)
                .map(old -> train.withTeeth(member, stepped(old, step)))
                .orElse(train));
  }

  private static Teeth stepped(Teeth old, int step) {
    return new Teeth(Math.clamp(old.count() + step, 1, Teeth.MOST), old.internal());
  }

  /** Makes the change that puts a finding right. */
  public void cure(Cure cure) {
    changeTrain(train -> cure.cured());
  }

  /** Notes on the train in view; keystrokes of one word are one step to undo. */
  public void note(String text) {
    if (!text.equals(sheet().notes())) {
      boolean continues = noting && isOneKeystroke(sheet().notes(), text);
      change(page.get().with(sheet().noting(text)), continues);
      noting = true;
    }
  }

  /** Puts an empty train behind the one in view, and shows it. */
  public void addTrain() {
    int index = page.get().index() + 1;
    Sheet fresh = Sheet.empty(job().freeName("Train " + (job().sheets().size() + 1)));
    change(new Page(job().adding(index, fresh), index), false);
  }

  /** Puts a copy of the train in view behind it, to try a variant, and shows it. */
  public void duplicateTrain() {
    int index = page.get().index() + 1;
    Sheet copy = sheet().named(job().freeName(sheet().name()));
    change(new Page(job().adding(index, copy), index), false);
  }

  /** Takes the train in view out of the job. */
  public void removeTrain() {
    Job fewer = job().without(page.get().index());
    change(new Page(fewer, Math.min(page.get().index(), fewer.sheets().size() - 1)), false);
  }

  /** Gives the train in view another name; a blank one changes nothing. */
  public void renameTrain(String name) {
    if (!name.isBlank() && !name.strip().equals(sheet().name())) {
      change(page.get().with(sheet().named(name.strip())), false);
    }
  }

  /** Gives the job a title. */
  public void renameJob(String title) {
    if (!title.strip().equals(job().title())) {
      change(new Page(job().titled(title.strip()), page.get().index()), false);
    }
  }

  private void changeTrain(UnaryOperator<Train> change) {
    Optional<Card> card = sheet().card();
    if (card.isPresent()) {
      Train changed = change.apply(card.get().train());
      if (!changed.equals(card.get().train())) {
        change(page.get().with(sheet().with(card.get().revised(changed))), false);
      }
    }
  }

  private void change(Page next, boolean continues) {
    if (continues) {
      history.carryOn();
    } else {
      history.record(page.get());
    }
    endTyping();
    show(next);
  }

  private void endTyping() {
    typing = false;
    noting = false;
  }

  public void undo() {
    history.undo(page.get()).ifPresent(this::show);
    endTyping();
  }

  public void redo() {
    history.redo(page.get()).ifPresent(this::show);
    endTyping();
  }

  public boolean canUndo() {
    return history.canUndo();
  }

  public boolean canRedo() {
    return history.canRedo();
  }

  private void show(Page next) {
    boolean otherTrain = !next.sheet().name().equals(sheet().name());
    page.set(next);
    workOut(otherTrain);
  }

  /** Brings bench, problems and selection in step with the sheet in view. */
  private void workOut(boolean otherTrain) {
    Sheet sheet = sheet();
    if (otherTrain) {
      crank.reset();
      selection.set(Optional.empty());
    }
    problems.set(sheet.draft().map(Desk::problemsOf).orElse(List.of()));
    Optional<Card> shown = bench.get().map(Bench::card);
    if (!shown.equals(sheet.card())) {
      bench.set(sheet.card().map(Bench::of));
    }
    if (selection.get().filter(member -> !knows(member)).isPresent()) {
      selection.set(Optional.empty());
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

  private boolean knows(MemberId member) {
    return bench
        .get()
        .filter(b -> b.card().train().members().stream().anyMatch(m -> m.id().equals(member)))
        .isPresent();
  }

  // ---- what is in view

  public void select(Optional<MemberId> member) {
    selection.set(member.filter(this::knows));
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
      endTyping();
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
    putDown(JobFiles.open(path), Optional.of(path));
  }

  /** Brings back work that was never saved: it counts as changed, and goes on in its old file. */
  public void recover(Job lost, Optional<Path> from) {
    putDown(lost, from);
    saved = Job.empty();
  }

  /**
   * Saves by the file's ending, and goes on working in that file.
   *
   * @throws IOException if the disk refuses; the job stays unsaved
   */
  public void save(Path path) throws IOException {
    JobFiles.save(job(), page.get().index(), path);
    saved = job();
    file.set(Optional.of(path));
  }

  /** Whether {@code path} would keep only the train in view and drop the others. */
  public boolean wouldDropTrains(Path path) {
    return JobFiles.isCard(path) && job().sheets().size() > 1;
  }

  private void putDown(Job fresh, Optional<Path> from) {
    history.clear();
    endTyping();
    saved = fresh;
    file.set(from);
    bench.set(Optional.empty());
    page.set(new Page(fresh, 0));
    workOut(true);
  }
}
