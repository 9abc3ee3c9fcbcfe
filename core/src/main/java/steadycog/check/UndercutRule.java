package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.shape.BasicRack;
import steadycog.shape.Cut;
import steadycog.train.Helices;
import steadycog.train.Member;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * A rack cuts into the flank of a pinion with fewer than 2 k / sin² a teeth unless it is shifted
 * out by k - z sin² a / 2 (Shigley; ISO 21771). What is missing by hundredths of a module, as with
 * 17 teeth at 20°, is worth a note.
 */
final class UndercutRule implements Rule {
  private static final int THOUSANDTHS = 1000;
  static final double HARMLESS = 0.02;

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    Train train = subject.train();
    for (Member member : train.involuteWheels()) {
      BasicRack rack = BasicRack.of(train, member.id());
      double least = rack.undercutFree();
      double across = Helices.of(train, member.id()).cosine();
      Optional<Teeth> teeth = member.teeth().filter(t -> !t.internal() && t.count() < least);
      double needed = teeth.map(t -> rack.shiftAgainstUndercut(t.count())).orElse(0.0) / across;
      double missing = needed - Cut.of(train, member.id()).shift() / across;
      if (teeth.isPresent() && missing > 0) {
        int count = teeth.get().count();
        boolean harmless = missing <= HARMLESS;
        double shift = Math.ceil(needed * THOUSANDTHS) / THOUSANDTHS;
        Finding finding =
            Finding.of(
                    "undercut", harmless ? Severity.NOTE : Severity.WARNING, List.of(member.id()))
                .with("teeth", count)
                .with("least", PairRule.rounded(least, 1))
                .with("margin", PairRule.rounded(count - least, 1))
                .with("missing", PairRule.rounded(missing, 3))
                .with("shift", PairRule.rounded(shift, 3));
        found.add(harmless ? finding.worded("hardly") : finding);
      }
    }
    return found;
  }
}
