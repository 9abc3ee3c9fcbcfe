package steadycog.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * Everything that one file holds.
 *
 * @param title may be empty
 * @param sheets at least one
 */
public record Job(String title, List<Sheet> sheets) {

  public Job {
    sheets = List.copyOf(sheets);
    if (sheets.isEmpty()) {
      throw new IllegalArgumentException("a job needs at least one train");
    }
  }

  /** A job with one empty train. */
  public static Job empty() {
    return new Job("", List.of(Sheet.empty("Train 1")));
  }

  /** The same job with {@code sheet} at {@code index}. */
  public Job with(int index, Sheet sheet) {
    List<Sheet> changed = new ArrayList<>(sheets);
    changed.set(index, sheet);
    return new Job(title, changed);
  }

  /** The same job with {@code sheet} put in before {@code index}. */
  public Job adding(int index, Sheet sheet) {
    List<Sheet> changed = new ArrayList<>(sheets);
    changed.add(index, sheet);
    return new Job(title, changed);
  }

  /** The same job without the train at {@code index}; the last one leaves an empty train behind. */
  public Job without(int index) {
    List<Sheet> changed = new ArrayList<>(sheets);
    changed.remove(Objects.checkIndex(index, sheets.size()));
    return new Job(title, changed.isEmpty() ? empty().sheets : changed);
  }

  /** {@code base}, or with the first number behind it that no train has yet. */
  public String freeName(String base) {
    String name = base;
    for (int k = 2; isTaken(name); k++) {
      name = base + " " + k;
    }
    return name;
  }

  private boolean isTaken(String name) {
    return sheets.stream().anyMatch(sheet -> sheet.name().equalsIgnoreCase(name));
  }
}
