package steadycog.train;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What kind of contact a mesh is: losses differ by it. */
public enum MeshKind {
  /** Two external wheels. */
  EXTERNAL("external"),
  /** A wheel in a ring. */
  INTERNAL("internal"),
  /** Bevel gears. */
  BEVEL("bevel"),
  /** A cycloidal disc in its ring of pins. */
  CYCLOIDAL("cycloidal"),
  /** A flexspline in its circular spline: the whole zone in which teeth touch. */
  STRAIN_WAVE("strainwave");

  private final String word;

  MeshKind(String word) {
    this.word = word;
  }

  /** The word on a card: {@code external}. */
  public String word() {
    return word;
  }

  public static Optional<MeshKind> of(String word) {
    String lower = word.toLowerCase(Locale.ROOT);
    return Arrays.stream(values()).filter(kind -> kind.word.equals(lower)).findFirst();
  }

  /**
   * The kind whose number speaks for this one too in a train that has no mesh of that kind: discs
   * and flexsplines are wheels in a ring, bevel gears are external.
   */
  public Optional<MeshKind> wider() {
    return switch (this) {
      case EXTERNAL, INTERNAL -> Optional.empty();
      case BEVEL -> Optional.of(EXTERNAL);
      case CYCLOIDAL, STRAIN_WAVE -> Optional.of(INTERNAL);
    };
  }
}
