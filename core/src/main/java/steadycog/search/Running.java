package steadycog.search;

import java.util.Optional;
import steadycog.torque.EachWay;
import steadycog.train.Losses;

/**
 * How trains must run under load to be let in.
 *
 * @param losses what candidates are made with; their cards say so
 * @param least efficiency that must come out; empty for any
 * @param back what they must do when pushed at the take-off
 * @param load what they are sized for; empty for none
 */
public record Running(Losses losses, Optional<Double> least, Back back, Optional<Load> load) {
  public static final Running ANY =
      new Running(Losses.UNSTATED, Optional.empty(), Back.ANY, Optional.empty());

  /** What a train does when it is pushed at its take-off. */
  public enum Back {
    ANY,
    /** It turns back. */
    TURNS,
    /** It holds itself; no brake all the same. */
    HOLDS;

    static Back parse(String text) {
      for (Back back : values()) {
        if (back.name().equalsIgnoreCase(text.strip())) {
          return back;
        }
      }
      throw new IllegalArgumentException("'" + text + "' is neither turns nor holds");
    }
  }

  public Running {
    if (least.filter(share -> share <= 0 || share > 1).isPresent()) {
      throw new IllegalArgumentException(
          "an efficiency lies above 0 and at most at 1: found " + least.get());
    }
  }

  /** Whether every train runs well enough. */
  boolean asksNothing() {
    return least.isEmpty() && back == Back.ANY;
  }

  /** Why a train is turned down: the limit it fails; empty where it is let in. */
  Optional<String> refusal(EachWay eachWay) {
    boolean enough =
        least.isEmpty() || eachWay.efficiency().filter(share -> share >= least.get()).isPresent();
    if (!enough) {
      return Optional.of("efficiency");
    }
    Optional<Boolean> turns = eachWay.backwards().drivable();
    boolean right =
        back == Back.ANY || turns.filter(yes -> yes == (back == Back.TURNS)).isPresent();
    return right ? Optional.empty() : Optional.of("backwards");
  }

  /** {@code 60%} or {@code 0.6}. */
  static double share(String text) {
    String bare = text.strip();
    double share =
        bare.endsWith("%")
            ? WantedText.number(bare.substring(0, bare.length() - 1)) / 100
            : WantedText.number(bare);
    if (share <= 0 || share > 1) {
      throw new IllegalArgumentException("an efficiency is such as 60% or 0.6: found " + bare);
    }
    return share;
  }
}
