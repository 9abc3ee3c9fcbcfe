package steadycog.app.desk;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import steadycog.bench.BenchBook;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.search.Wanted;
import steadycog.train.Drive;
import steadycog.train.Roles;
import steadycog.train.Train;

/** What can be done to the trains of the job as a whole, and to what is written beside one. */
public final class SheetWork {
  private final Desk desk;

  SheetWork(Desk desk) {
    this.desk = desk;
  }

  /** Changes of one non-empty strand that follow each other are one step to undo. */
  void changeBook(UnaryOperator<BenchBook> change, String strand) {
    BenchBook changed = change.apply(desk.sheet().book());
    if (!changed.equals(desk.sheet().book())) {
      desk.change(desk.page().with(desk.sheet().booking(changed)), strand, true);
    }
  }

  /** Puts a card back on the bench as it once was. */
  void putBack(Card old) {
    if (!desk.sheet().card().equals(Optional.of(old))) {
      desk.change(desk.page().with(desk.sheet().with(old)));
    }
  }

  /** Notes on the train in view; keystrokes of one word are one step to undo. */
  public void note(String text) {
    if (!text.equals(desk.sheet().notes())) {
      boolean one = desk.keystrokes().goOn(desk.sheet().notes(), text);
      desk.change(desk.page().with(desk.sheet().noting(text)), "noting", one);
    }
  }

  /**
   * Says what teeth are looked for in place of the train in view; changes that follow each other
   * are one step to undo.
   */
  public void want(Wanted wanted) {
    if (!wanted.equals(desk.sheet().wanted())) {
      desk.change(desk.page().with(desk.sheet().wanting(wanted)), "wanted", true);
    }
  }

  /** Puts an empty train behind the one in view, and shows it. */
  public void add() {
    int index = desk.page().index() + 1;
    Sheet fresh = Sheet.empty(desk.job().freeName("Train " + (desk.job().sheets().size() + 1)));
    desk.change(new Page(desk.job().adding(index, fresh), index));
  }

  /** Puts a copy of the train in view behind it, to try a variant, and shows it. */
  public void duplicate() {
    int index = desk.page().index() + 1;
    Sheet copy =
        desk.sheet().named(desk.job().freeName(desk.sheet().name())).booking(BenchBook.EMPTY);
    desk.change(new Page(desk.job().adding(index, copy), index));
  }

  /**
   * Puts another train behind the one in view, driven as fast and as hard as that one and made as
   * it is, and shows it.
   */
  public void tryVariant(String name, Train variant) {
    Roles now = desk.bench().map(b -> b.study().train().rolesInForce()).orElse(Roles.NONE);
    Roles ends = variant.rolesInForce();
    List<Drive> drives =
        now.drives().stream()
            .limit(1)
            .map(drive -> drive.movedTo(ends.drives().getFirst().member()))
            .toList();
    Roles given =
        drives.isEmpty() ? ends : new Roles(drives, ends.holds(), ends.take(), ends.locks());
    int index = desk.page().index() + 1;
    Sheet fresh =
        Sheet.of(
            desk.job().freeName(desk.sheet().name() + ", " + name),
            Card.of(made(variant).withRoles(given)));
    desk.change(new Page(desk.job().adding(index, fresh), index));
  }

  /** With the teeth, losses and room of the train in view, where nothing else is said of them. */
  private Train made(Train variant) {
    Optional<Train> now = desk.sheet().card().map(Card::train);
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
  public void remove() {
    Job fewer = desk.job().without(desk.page().index());
    desk.change(new Page(fewer, Math.min(desk.page().index(), fewer.sheets().size() - 1)));
  }

  /** Takes the train in view so many places on in the job; beyond its ends it stays. */
  public void move(int by) {
    int from = desk.page().index();
    int to = Math.clamp(from + by, 0, desk.job().sheets().size() - 1);
    if (to != from) {
      desk.change(new Page(desk.job().without(from).adding(to, desk.sheet()), to));
    }
  }

  /** Gives the train in view another name; a blank one changes nothing. */
  public void rename(String name) {
    if (!name.isBlank() && !name.strip().equals(desk.sheet().name())) {
      desk.change(desk.page().with(desk.sheet().named(name.strip())));
    }
  }
}
