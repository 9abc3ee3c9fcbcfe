package steadycog.study;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import steadycog.check.Finding;
import steadycog.check.GearboxFindings;
import steadycog.cure.Advice;
import steadycog.cure.Cures;
import steadycog.cure.GearboxCures;
import steadycog.gearbox.Build;
import steadycog.number.Pace;
import steadycog.number.Units;
import steadycog.rating.Rating;
import steadycog.rating.RatingTables;
import steadycog.rating.ShaftRating;
import steadycog.rating.ShaftRatingTable;
import steadycog.sizing.CutSheet;
import steadycog.sizing.SheetTable;
import steadycog.sizing.SheetTables;
import steadycog.train.Train;

/**
 * A train's results with what people call it.
 *
 * @param study of the train, or of its first state where it has states
 * @param plan all its states, where it has any
 * @param row the state that these are the results of, where they are of one
 * @param collisions what its made pieces show in any state, and a gearbox made of it; empty unless
 *     that was looked at
 */
public record NamedStudy(
    String name,
    Study study,
    Optional<ShiftTable> plan,
    Optional<ShiftTable.Row> row,
    List<Finding> collisions) {

  public NamedStudy {
    collisions = List.copyOf(collisions);
  }

  /** A train's results, not those of one of its states. */
  public NamedStudy(String name, Study study, Optional<ShiftTable> plan) {
    this(name, study, plan, Optional.empty(), List.of());
  }

  /** The same with its pieces put together. */
  public NamedStudy proven() {
    return new NamedStudy(name, study, plan, row, study.collisions(Pace.FREE));
  }

  /** The same with a whole gearbox made of it. */
  public NamedStudy assembled() {
    List<Finding> box = GearboxFindings.of(Build.of(whole(), study.layout(), Pace.FREE));
    return new NamedStudy(
        name, study, plan, row, Stream.concat(collisions.stream(), box.stream()).toList());
  }

  /** A whole gearbox round the train, all its states in it. */
  public Build gearbox() {
    return study.gearbox(whole(), Pace.FREE);
  }

  public static NamedStudy of(String name, Train train) {
    if (train.shifts().states().isEmpty()) {
      return new NamedStudy(name, Study.of(train), Optional.empty());
    }
    ShiftTable plan = ShiftTable.of(train);
    return new NamedStudy(name, plan.rows().getFirst().study(), Optional.of(plan));
  }

  /** One study, or one a state, each called by the train's name and its state's. */
  public List<NamedStudy> each() {
    return plan.isEmpty() || row.isPresent()
        ? List.of(this)
        : plan.get().rows().stream()
            .map(one -> new NamedStudy(title(one), one.study(), plan, Optional.of(one), collisions))
            .toList();
  }

  /** Sizes, play and strength; of a train with states with the largest loads of all of them. */
  public CutSheet cutSheet() {
    return each().stream()
        .map(one -> one.study.cutSheet())
        .reduce(CutSheet::underBoth)
        .orElseGet(study::cutSheet);
  }

  /** The rating of all its states; empty where the card asks for none. */
  public Optional<Rating> rating() {
    Train whole = whole();
    return whole.sizes().duty().asksRating() ? Optional.of(Ratings.of(whole)) : Optional.empty();
  }

  /** Its shafts, pins and bearings in all its states; empty where the card asks for no rating. */
  public Optional<ShaftRating> shafts() {
    Train whole = whole();
    return whole.sizes().duty().asksRating()
        ? Optional.of(Ratings.shafts(whole))
        : Optional.empty();
  }

  private Stream<SheetTable> rated(Rating rating, Units units) {
    Stream<SheetTable> all =
        Stream.concat(
            new RatingTables(rating, units).all().stream(),
            new ShaftRatingTable(shafts().orElseThrow(), units).all().stream());
    return Stream.concat(all, Stream.of(whatIf().table()))
        .filter(table -> !table.columns().isEmpty());
  }

  /** What to change first, where a rating is asked for. */
  public WhatIf whatIf() {
    return WhatIf.of(whole());
  }

  private Train whole() {
    return plan.map(ShiftTable::train).orElse(study.train());
  }

  /** All tables of the cut sheet, and the rating where one is asked for. */
  public List<SheetTable> tables(Units units) {
    return tables(new SheetTables(study.train(), cutSheet(), units), units);
  }

  /** The same where those of sizes are there already. */
  public List<SheetTable> tables(SheetTables sizes, Units units) {
    return Stream.concat(
            sizes.all().stream(), rating().stream().flatMap(rated -> rated(rated, units)))
        .toList();
  }

  /** Its findings with what puts them right; the cures' trains have all states. */
  public List<Advice> advice() {
    List<Advice> more = new ArrayList<>(collisions.stream().map(Advice::of).toList());
    // What lets a gearbox go together stands once, with the first that keeps it from that.
    for (int k = 0; k < more.size(); k++) {
      Finding finding = more.get(k).finding();
      if (GearboxFindings.isOne(finding)) {
        more.set(k, new Advice(finding, GearboxCures.of(whole(), Pace.FREE)));
        break;
      }
    }
    return Advice.worstFirst(cures().all(Pace.FREE), more);
  }

  /** Its findings worst first, without a look for cures. Cost: far less than with it. */
  public List<Finding> findings() {
    return Stream.concat(study.findings().stream(), collisions.stream())
        .sorted(Comparator.comparing(Finding::severity).reversed())
        .toList();
  }

  private Cures cures() {
    return row.isPresent()
        ? Cures.of(plan.orElseThrow().train(), row.get().state())
        : Cures.of(study.train());
  }

  private String title(ShiftTable.Row row) {
    return name + ", state " + row.state().name();
  }

  public boolean hasErrors() {
    return !errorCodes().isEmpty();
  }

  /** The codes of all errors in all states and in the plan, each once. */
  public List<String> errorCodes() {
    return Stream.of(
            each().stream().flatMap(one -> one.study.findings().stream()),
            plan.stream().flatMap(table -> table.findings().stream()),
            collisions.stream())
        .flatMap(findings -> findings)
        .filter(finding -> finding.severity().isError())
        .map(Finding::code)
        .distinct()
        .toList();
  }
}
