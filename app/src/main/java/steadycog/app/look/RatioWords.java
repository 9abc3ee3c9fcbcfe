package steadycog.app.look;

import java.util.Optional;
import steadycog.motion.Motion;
import steadycog.number.Exact;
import steadycog.number.Mode;
import steadycog.number.Ratio;
import steadycog.number.Unit;
import steadycog.study.Study;

/** What a train gives, in a few signs: its ratio, or what stands in its place. */
public final class RatioWords {
  private RatioWords() {}

  /** The ratio in the school that leads; else the output's speed, or why there is no ratio. */
  public static String of(Study study, boolean valueLeads, Unit speed) {
    return study
        .ratio()
        .map(r -> valueLeads ? "e = " + Sign.trainValue(r) : Sign.reduction(r))
        .or(() -> outputSpeed(study, speed))
        .orElseGet(() -> noRatio(study));
  }

  /** With two drives the output's speed stands where the ratio would. */
  private static Optional<String> outputSpeed(Study study, Unit unit) {
    return study
        .twoInputs()
        .flatMap(
            inputs ->
                study
                    .motion()
                    .speed(inputs.output())
                    .map(
                        speed ->
                            Sign.called(inputs.output())
                                + " "
                                + Sign.number(speed.in(unit))
                                + " "
                                + unit.symbol()));
  }

  private static String noRatio(Study study) {
    return switch (study.motion().status()) {
      case JAMMED -> "Jammed";
      case UNDETERMINED -> study.mode().map(mode -> "Neutral").orElse("No ratio yet");
      case DETERMINED -> "No ratio";
    };
  }

  /** Whether it gears up or down, and which way the output turns. */
  public static String sentence(Ratio ratio) {
    if (Exact.isOne(ratio.reduction().negate())) {
      return "Reverses: output turns the other way, as fast";
    }
    String way = ratio.sameDirection() ? "output turns the same way" : "output turns the other way";
    return words(ratio.mode()) + ", " + way;
  }

  private static String words(Mode mode) {
    return switch (mode) {
      case UNDERDRIVE, REVERSE_UNDERDRIVE -> "Gears down";
      case OVERDRIVE, REVERSE_OVERDRIVE -> "Gears up";
      case DIRECT -> "Direct";
      case NEUTRAL -> "Neutral";
    };
  }

  /** Whether it cannot turn at all. */
  public static boolean isStuck(Study study) {
    return study.motion().status() == Motion.Status.JAMMED;
  }
}
