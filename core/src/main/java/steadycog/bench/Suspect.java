package steadycog.bench;

import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import steadycog.bench.Miscounts.Miscount;
import steadycog.bench.TurnVerdict.Kind;
import steadycog.motion.RatioBoard.Configuration;

/**
 * One way in which readings may have come about.
 *
 * @param kind of verdict that it leads to
 * @param words what would be so, in words
 * @param cost how little it explains the readings: minus the logarithm of how likely they and it
 *     are together
 * @param output turns at the output for turns at the input, if it is so
 * @param sound whether such a train has no error, as far as that was tried
 */
record Suspect(
    Kind kind,
    String words,
    double cost,
    DoubleUnaryOperator output,
    Optional<Miscount> miscount,
    Optional<Configuration> configuration,
    boolean sound) {

  Suspect(Kind kind, String words, double cost, DoubleUnaryOperator output) {
    this(kind, words, cost, output, Optional.empty(), Optional.empty(), true);
  }

  Suspect dearer(double by) {
    return new Suspect(kind, words, cost + by, output, miscount, configuration, sound);
  }

  /** The same, told whether such a train has no error. */
  Suspect told(boolean isSound) {
    return new Suspect(kind, words, cost, output, miscount, configuration, isSound);
  }
}
