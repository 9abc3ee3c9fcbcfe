package steadycog.cli;

import java.util.Locale;
import java.util.Optional;
import steadycog.number.Figures;
import steadycog.torque.Backwards;
import steadycog.torque.EachWay;
import steadycog.torque.PowerFlow.Verdict;

/** Efficiencies in the words of a terminal. */
final class Shares {
  static final String CAUTION =
      "passes: what comes out of what goes in; back: the same, pushed at the take-off.\n"
          + "holds: it holds itself at these losses, but is no brake. Bearings and seals lose"
          + " more.\n"
          + "edge: so many times these losses lie between turning back and holding.\n";
  private static final int DIGITS = 3;
  private static final String NONE = "-";

  private Shares() {}

  static String percent(double share) {
    return String.format(Locale.ROOT, "%.1f%%", share * 100);
  }

  /** {@code 74.0%}, or why there is no such number. */
  static String forwards(EachWay eachWay) {
    return forwards(eachWay.verdict(), eachWay.efficiency());
  }

  static String forwards(Verdict verdict, Optional<Double> efficiency) {
    return efficiency.map(Shares::percent).orElse(verdict == Verdict.NONE ? NONE : verdict.word());
  }

  /** How many times the present losses lie at the edge between turning and holding. */
  static String edge(Backwards back) {
    return back.lossFactor().map(factor -> "x " + Figures.significant(factor, DIGITS)).orElse(NONE);
  }

  /** {@code 65.9%}, or {@code holds}. */
  static String backwards(Backwards back) {
    return back.verdict() == Verdict.LOCKS ? "holds" : forwards(back.verdict(), back.efficiency());
  }
}
