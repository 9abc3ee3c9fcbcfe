package steadycog.study;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import steadycog.check.Finding;
import steadycog.sizing.CutSheet;
import steadycog.train.Train;

/**
 * A train's results with what people call it.
 *
 * @param study of the train, or of its first state where it has states
 * @param plan all its states, where it has any
 */
public record NamedStudy(String name, Study study, Optional<ShiftTable> plan) {

  public static NamedStudy of(String name, Train train) {
    if (train.shifts().states().isEmpty()) {
      return new NamedStudy(name, Study.of(train), Optional.empty());
    }
    ShiftTable plan = ShiftTable.of(train);
    return new NamedStudy(name, plan.rows().getFirst().study(), Optional.of(plan));
  }

  /** One study, or one a state, each called by the train's name and its state's. */
  public List<NamedStudy> each() {
    return plan.isEmpty()
        ? List.of(this)
        : plan.get().rows().stream()
            .map(row -> new NamedStudy(title(row), row.study(), Optional.empty()))
            .toList();
  }

  /** Sizes, play and strength; of a train with states with the largest loads of all of them. */
  public CutSheet cutSheet() {
    return each().stream()
        .map(one -> one.study.cutSheet())
        .reduce(CutSheet::underBoth)
        .orElseGet(study::cutSheet);
  }

  private String title(ShiftTable.Row row) {
    return name + ", state " + row.state().name();
  }

  public boolean hasErrors() {
    return !errorCodes().isEmpty();
  }

  /** The codes of all errors in all states and in the plan, each once. */
  public List<String> errorCodes() {
    return Stream.concat(
            each().stream().flatMap(one -> one.study.findings().stream()),
            plan.stream().flatMap(table -> table.findings().stream()))
        .filter(finding -> finding.severity().isError())
        .map(Finding::code)
        .distinct()
        .toList();
  }
}
