package steadycog.app.look;

import java.util.Optional;
import steadycog.torque.Backwards;
import steadycog.torque.EachWay;
import steadycog.torque.PowerFlow.Verdict;

/** How a train runs each way, in as few words as a cell has room for. */
public final class EachWayWords {
  private EachWayWords() {}

  /** {@code 74.0 % out, pushed back 65.9 %}; a dash where it is not known. */
  public static String of(Optional<EachWay> eachWay) {
    return eachWay
        .map(
            one ->
                forwards(one)
                    + (one.efficiency().isPresent() ? " out" : "")
                    + ", pushed back "
                    + backwards(one.backwards()))
        .orElse(Sign.DASH);
  }

  /** {@code 74.0 %}, or {@code locks}. */
  public static String forwards(EachWay eachWay) {
    return forwards(eachWay, 1);
  }

  /** The same with so many decimals at most. */
  public static String forwards(EachWay eachWay, int decimals) {
    return share(eachWay.verdict(), eachWay.efficiency(), "locks", decimals);
  }

  /** {@code 65.9 %}, or {@code holds}. */
  public static String backwards(Backwards backwards) {
    return backwards(backwards, 1);
  }

  /** The same with so many decimals at most. */
  public static String backwards(Backwards backwards, int decimals) {
    return share(backwards.verdict(), backwards.efficiency(), "holds", decimals);
  }

  /** {@code it tips over at 94 % to 97 % a mesh}; empty where nothing within reason does it. */
  public static Optional<String> tips(Backwards backwards) {
    return backwards
        .tipping()
        .map(
            tip -> {
              String least = Sign.percent(tip.least(), 1);
              String most = Sign.percent(tip.most(), 1);
              String shares = least.equals(most) ? least : least + " to " + most;
              return "it tips over at " + shares + " a mesh";
            });
  }

  private static String share(
      Verdict verdict, Optional<Double> share, String locked, int decimals) {
    return share
        .map(known -> Sign.percent(known, decimals))
        .orElseGet(
            () ->
                switch (verdict) {
                  case LOCKS -> locked;
                  case LOWERS -> "lowers";
                  case SEVERAL, IMPOSSIBLE, OPEN, UNTRIED -> "open";
                  case RUNS, NONE -> Sign.DASH;
                });
  }
}
