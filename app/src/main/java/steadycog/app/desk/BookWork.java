package steadycog.app.desk;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.bench.BenchBook;
import steadycog.bench.BenchTest;
import steadycog.bench.Build;
import steadycog.bench.Guess;
import steadycog.bench.LoadTest;
import steadycog.bench.Rigging;
import steadycog.bench.TestHead;
import steadycog.bench.TurnTest;
import steadycog.check.Finding;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.notation.Card;

/** What is done to the bench book of the train in view: its builds and their tests. */
public final class BookWork {
  private final Desk desk;
  private final ReadOnlyObjectWrapper<Leaf> leaf = new ReadOnlyObjectWrapper<>(Leaf.NONE);

  /**
   * What is open in the book.
   *
   * @param build index from 0, or -1 for none
   * @param test index from 0 among the build's, or -1 for the build itself
   */
  public record Leaf(int build, int test) {
    static final Leaf NONE = new Leaf(-1, -1);
  }

  BookWork(Desk desk) {
    this.desk = desk;
    desk.pageProperty().addListener((o, old, now) -> keepLeaf(old, now));
  }

  /** Another train opens at its last build; what is gone is open no more. */
  private void keepLeaf(Page old, Page now) {
    List<Build> builds = now.sheet().book().builds();
    boolean other = old.index() != now.index() || !old.sheet().name().equals(now.sheet().name());
    Leaf kept = other ? new Leaf(builds.size() - 1, -1) : leaf.get();
    int build = Math.min(kept.build, builds.size() - 1);
    int test = build < 0 ? -1 : Math.min(kept.test, builds.get(build).tests().size() - 1);
    leaf.set(new Leaf(build, build == kept.build ? test : -1));
  }

  /** What is open. */
  public ReadOnlyObjectProperty<Leaf> leafProperty() {
    return leaf.getReadOnlyProperty();
  }

  public BenchBook book() {
    return desk.sheet().book();
  }

  /** The build that is open; empty while there is none. */
  public Optional<Build> build() {
    int at = leaf.get().build;
    return at >= 0 && at < book().builds().size()
        ? Optional.of(book().builds().get(at))
        : Optional.empty();
  }

  /** The build before the one that is open. */
  public Optional<Build> before() {
    int at = leaf.get().build - 1;
    return at >= 0 && at < book().builds().size()
        ? Optional.of(book().builds().get(at))
        : Optional.empty();
  }

  /** The test that is open. */
  public Optional<BenchTest> test() {
    int at = leaf.get().test;
    return build().filter(b -> at >= 0 && at < b.tests().size()).map(b -> b.tests().get(at));
  }

  public void open(int build, int test) {
    desk.endStrand();
    leaf.set(new Leaf(build, test));
  }

  /** Freezes the card as it is now as another build; nothing without a card. */
  public void addBuild(LocalDate date) {
    Optional<Card> card = desk.sheet().card();
    card.ifPresent(
        now -> {
          Build fresh = new Build(book().freeName(), date, "", List.of(), now, List.of());
          desk.endStrand();
          int at = book().builds().size();
          desk.trains().changeBook(book -> book.with(at, fresh), "");
          open(at, -1);
        });
  }

  /** Changes the build that is open; changes of one strand are one step to undo. */
  public void change(UnaryOperator<Build> change, String strand) {
    int at = leaf.get().build;
    build()
        .ifPresent(
            old ->
                desk.trains()
                    .changeBook(
                        book -> book.with(at, change.apply(old)),
                        strand.isEmpty() ? "" : "build " + at + strand));
  }

  /** Takes a build out of the book with all its tests. */
  public void removeBuild(int index) {
    desk.endStrand();
    desk.trains().changeBook(book -> book.without(index), "");
  }

  /** Adds a test to the build that is open, and opens it. */
  public void add(BenchTest test) {
    build()
        .ifPresent(
            old -> {
              desk.endStrand();
              int at = old.tests().size();
              change(build -> build.with(at, test), "");
              open(leaf.get().build, at);
            });
  }

  /** Adds a turn count with nothing counted yet. */
  public void addTurns(LocalDate date) {
    build()
        .ifPresent(
            build ->
                add(
                    new TurnTest(
                        head(build.freeTitle("Turn count"), date), TurnTest.BY_EYE, List.of())));
  }

  /** Adds a load test with nothing planned yet, rigged as the last one was. */
  public void addLoad(LocalDate date) {
    Rigging rigging =
        book().builds().stream()
            .flatMap(build -> build.tests().stream())
            .filter(LoadTest.class::isInstance)
            .map(test -> ((LoadTest) test).rigging())
            .reduce((first, last) -> last)
            .orElse(Rigging.METER);
    build()
        .ifPresent(
            build ->
                add(new LoadTest(head(build.freeTitle("Load test"), date), rigging, List.of())));
  }

  private TestHead head(String title, LocalDate date) {
    return new TestHead(title, date, TestHead.BY_HAND, desk.state().orElse(""), "");
  }

  /** Changes the test that is open; changes of one strand are one step to undo. */
  public void changeTest(UnaryOperator<BenchTest> change, String strand) {
    int at = leaf.get().test;
    test()
        .ifPresent(
            old ->
                change(
                    build -> build.with(at, change.apply(old)),
                    strand.isEmpty() ? "" : " test " + at + strand));
  }

  public void changeTurns(UnaryOperator<TurnTest> change) {
    changeTest(test -> test instanceof TurnTest turns ? change.apply(turns) : test, "");
  }

  public void changeLoad(UnaryOperator<LoadTest> change) {
    changeTest(test -> test instanceof LoadTest load ? change.apply(load) : test, "");
  }

  public void removeTest(int build, int test) {
    desk.endStrand();
    desk.trains().changeBook(book -> book.with(build, book.builds().get(build).without(test)), "");
  }

  /**
   * Puts what a run has logged into its place; all of a run is one step to undo.
   *
   * @return false where the place is gone
   */
  boolean log(int build, int test, BenchTest logged) {
    List<Build> builds = book().builds();
    if (build >= builds.size() || test >= builds.get(build).tests().size()) {
      return false;
    }
    desk.trains()
        .changeBook(book -> book.with(build, book.builds().get(build).with(test, logged)), "run");
    return true;
  }

  /** Puts the card of the open build back on the bench. */
  public void putBack() {
    build().ifPresent(build -> desk.trains().putBack(build.card()));
  }

  /** Whether the train is no longer what the open build was made from. */
  public boolean hasMovedOn() {
    return build()
        .filter(build -> !desk.sheet().card().equals(Optional.of(build.card())))
        .isPresent();
  }

  /** Says how a finding was settled; nothing takes it back. */
  public void settle(Finding finding, String how) {
    desk.trains().changeBook(book -> book.settling(finding, how), "");
  }

  /** Keeps what was stated of a configuration before it was looked at. */
  public void guess(LocalDate date, String words, Configuration asked, BigFraction guess) {
    desk.trains()
        .changeBook(
            book -> book.guessing(new Guess(date, words, guess, asked.ratio().reduction())), "");
  }

  public void forgetGuesses() {
    desk.trains().changeBook(BenchBook::withoutGuesses, "");
  }
}
