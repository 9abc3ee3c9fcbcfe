package steadycog.number;

import java.util.Locale;
import org.apache.commons.numbers.fraction.BigFraction;

/** What a configuration is good for, by the size and sign of its reduction ratio i. */
public enum Mode {
  /** |i| at least 1, output turns the same way: slower, more torque. */
  UNDERDRIVE,
  /** |i| below 1, output turns the same way: faster, less torque. */
  OVERDRIVE,
  /** i = 1: all turn as one. */
  DIRECT,
  /** i at most -1: output turns the other way, no faster. */
  REVERSE_UNDERDRIVE,
  /** i between -1 and 0: output turns the other way and faster. */
  REVERSE_OVERDRIVE,
  /** The output is not tied to the input: nothing reacts. */
  NEUTRAL;

  static Mode of(BigFraction reduction) {
    int againstOne = reduction.abs().compareTo(BigFraction.ONE);
    if (reduction.signum() < 0) {
      return againstOne >= 0 ? REVERSE_UNDERDRIVE : REVERSE_OVERDRIVE;
    }
    return againstOne == 0 ? DIRECT : againstOne > 0 ? UNDERDRIVE : OVERDRIVE;
  }

  /** The word in machine output and messages: {@code reverse-underdrive}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
