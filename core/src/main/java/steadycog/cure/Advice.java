package steadycog.cure;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import steadycog.check.Finding;
import steadycog.number.Ratio;

/** A finding with what puts it right, best first. */
public record Advice(Finding finding, List<Cure> cures) {
  public Advice {
    cures = List.copyOf(cures);
  }

  /** A finding for which no cure is looked for. */
  public static Advice of(Finding finding) {
    return new Advice(finding, List.of());
  }

  /** What was found with its cures, worst first. */
  public static List<Advice> worstFirst(List<Advice> known, List<Advice> more) {
    return Stream.concat(known.stream(), more.stream())
        .sorted(Comparator.comparing((Advice one) -> one.finding().severity()).reversed())
        .toList();
  }

  /** The best cure with its ratio where that changes, and what else would do; or general advice. */
  public Optional<String> fix() {
    if (cures.isEmpty()) {
      return finding.remedy();
    }
    Cure best = cures.getFirst();
    return Optional.of(words(best) + finding.also().map(also -> " " + also).orElse(""));
  }

  private static String words(Cure cure) {
    return cure.change()
        + cure.ratio()
            .filter(ratio -> cure.changesRatio())
            .map(ratio -> ", then " + signed(ratio))
            .orElse("")
        + ".";
  }

  private static String signed(Ratio ratio) {
    return (ratio.sameDirection() ? "" : "\u2212") + ratio.reductionText();
  }
}
