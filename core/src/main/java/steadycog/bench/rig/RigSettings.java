package steadycog.bench.rig;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * How a simulated rig is made.
 *
 * @param seed the same seed gives the same rig and the same readings
 * @param inputCounts of the encoder a turn
 * @param outputCounts of the encoder a turn
 * @param noise of current and torque as a part of the reading, 0 to 0.2, one standard deviation
 * @param currentLimit of the supply, A; empty where only the motor limits it
 * @param strength torque at the output at which the build gives way, N m; empty where the seed
 *     decides
 * @param play lost motion at the output, arc minutes; empty for that of the card, where it has none
 *     20
 * @param fault a deliberate one
 */
public record RigSettings(
    long seed,
    int inputCounts,
    int outputCounts,
    double noise,
    Optional<Double> currentLimit,
    Optional<Double> strength,
    Optional<Double> play,
    Fault fault) {
  private static final int MOST_COUNTS = 10_000_000;
  private static final double MOST_NOISE = 0.2;

  /** Something wrong on purpose, for practice; which member it strikes is for the seed. */
  public enum Fault {
    NONE("as the card says"),
    MISCOUNT("with a wheel one tooth off"),
    WRONG_MEMBER("with another member held"),
    SLIPPING("with a clutch that slips"),
    MISSED_COUNTS("with an encoder missing counts"),
    SURPRISE("with what the seed chooses");

    private final String words;

    Fault(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }

    /** The word on the command line: {@code wrong-member}. */
    public String key() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    public static Optional<Fault> of(String key) {
      return Arrays.stream(values()).filter(fault -> fault.key().equals(key)).findFirst();
    }
  }

  public static final RigSettings USUAL =
      new RigSettings(
          1, 1024, 4096, 0.01, Optional.empty(), Optional.empty(), Optional.empty(), Fault.NONE);

  public RigSettings {
    require(inputCounts >= 1 && inputCounts <= MOST_COUNTS, "counts a turn", inputCounts);
    require(outputCounts >= 1 && outputCounts <= MOST_COUNTS, "counts a turn", outputCounts);
    require(noise >= 0 && noise <= MOST_NOISE, "noise", noise);
    currentLimit.ifPresent(limit -> require(limit > 0, "current limit, A", limit));
    strength.ifPresent(torque -> require(torque > 0, "strength, N m", torque));
    play.ifPresent(minutes -> require(minutes >= 0 && minutes < 10_800, "play, '", minutes));
  }

  private static void require(boolean sound, String what, Number value) {
    if (!sound) {
      throw new IllegalArgumentException(what + ": " + value + " cannot be");
    }
  }

  public RigSettings seeded(long other) {
    return new RigSettings(
        other, inputCounts, outputCounts, noise, currentLimit, strength, play, fault);
  }

  public RigSettings with(Fault other) {
    return new RigSettings(
        seed, inputCounts, outputCounts, noise, currentLimit, strength, play, other);
  }

  public RigSettings limitedTo(Optional<Double> amperes) {
    return new RigSettings(seed, inputCounts, outputCounts, noise, amperes, strength, play, fault);
  }

  public RigSettings breakingAt(double torque) {
    return new RigSettings(
        seed, inputCounts, outputCounts, noise, currentLimit, Optional.of(torque), play, fault);
  }

  public RigSettings playing(double minutes) {
    return new RigSettings(
        seed,
        inputCounts,
        outputCounts,
        noise,
        currentLimit,
        strength,
        Optional.of(minutes),
        fault);
  }

  public RigSettings noisy(double share) {
    return new RigSettings(
        seed, inputCounts, outputCounts, share, currentLimit, strength, play, fault);
  }

  public RigSettings counting(int input, int output) {
    return new RigSettings(seed, input, output, noise, currentLimit, strength, play, fault);
  }
}
