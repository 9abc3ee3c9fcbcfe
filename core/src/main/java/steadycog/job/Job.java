package steadycog.job;

import java.util.ArrayList;
import java.util.List;

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
}
