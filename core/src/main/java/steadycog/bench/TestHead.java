package steadycog.bench;

import java.time.LocalDate;
import java.util.Optional;

/**
 * What every test says of itself.
 *
 * @param title what people call it, never blank
 * @param date empty where nobody wrote it down
 * @param source who or what counted: {@code by hand}, {@code simulated rig, seed 7}, a file
 * @param state of the shift plan in which it ran; empty for a train without states
 * @param notes may be empty
 */
public record TestHead(
    String title, Optional<LocalDate> date, String source, String state, String notes) {
  public static final String BY_HAND = "by hand";

  public TestHead {
    if (title.isBlank()) {
      throw new IllegalArgumentException("a test needs a title");
    }
  }

  /** A head of a day that is known. */
  public TestHead(String title, LocalDate date, String source, String state, String notes) {
    this(title, Optional.of(date), source, state, notes);
  }

  /** The day, or {@code undated}. */
  public static String day(Optional<LocalDate> date) {
    return date.map(LocalDate::toString).orElse("undated");
  }

  public TestHead noting(String changed) {
    return new TestHead(title, date, source, state, changed);
  }
}
