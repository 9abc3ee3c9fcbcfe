package steadycog.search;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** A kind of train that can be looked for. */
public enum Kind {
  PARALLEL("parallel"),
  PLANETARY("planetary"),
  TWO_ROW("two-row"),
  CYCLOIDAL("cycloidal"),
  STRAIN_WAVE("strainwave");

  private final String word;

  Kind(String word) {
    this.word = word;
  }

  /** As the command line spells it. */
  public String word() {
    return word;
  }

  public static Optional<Kind> of(String word) {
    return Arrays.stream(values()).filter(kind -> kind.word.equalsIgnoreCase(word)).findFirst();
  }

  /** All kinds, in the order in which they are listed. */
  public static List<Kind> all() {
    return List.of(values());
  }
}
