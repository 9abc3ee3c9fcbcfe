package steadycog.bench;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** How a step of a load test ended. */
public enum Outcome {
  HELD,
  /** The input stood still. */
  STALLED,
  /** The input turned and the output fell behind: teeth jumped, or a clutch or fit slipped. */
  SLIPPED,
  BROKE,
  /** Planned, or left off before it was through. */
  NOT_TRIED;

  /** The word in files and on the screen: {@code not tried}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  public static Optional<Outcome> of(String word) {
    return Arrays.stream(values()).filter(outcome -> outcome.word().equals(word)).findFirst();
  }

  /** Whether the build gave way. */
  public boolean failed() {
    return this == STALLED || this == SLIPPED || this == BROKE;
  }
}
