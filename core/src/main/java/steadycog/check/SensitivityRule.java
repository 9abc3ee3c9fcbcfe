package steadycog.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import steadycog.motion.Mechanism;
import steadycog.motion.MotionSolver;
import steadycog.number.Figures;
import steadycog.number.Ratio;
import steadycog.train.Member;
import steadycog.train.Planetary;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * High ratios of two rows come from the difference of nearly equal numbers: one tooth more or less,
 * a miscount or a wrong part, changes them beyond recognition.
 */
final class SensitivityRule implements Rule {
  /** Less than this change for a tooth is what any train shows. */
  private static final double USUAL = 0.25;

  /** A changed count and what it does. */
  private record Change(Member wheel, int teeth, Optional<Ratio> ratio, double size) {}

  @Override
  public Needs needs() {
    return Needs.MOTION;
  }

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    Optional<Ratio> ratio = subject.motion().ratio();
    for (Planetary set : subject.train().parts(Planetary.class)) {
      if (set.stepped() && ratio.isPresent()) {
        worst(subject.train(), set, ratio.get())
            .filter(worst -> worst.size > USUAL)
            .ifPresent(worst -> found.add(finding(worst, ratio.get())));
      }
    }
    return found;
  }

  private static Finding finding(Change worst, Ratio now) {
    Finding finding =
        Finding.of("sensitivity", Severity.NOTE, List.of(worst.wheel.id()))
            .with("wheel", worst.wheel.id())
            .with("teeth", worst.wheel.teeth().orElseThrow().count())
            .with("other", worst.teeth)
            .with("now", text(now));
    return worst.ratio.isPresent()
        ? finding.with("then", text(worst.ratio.get()))
        : finding.worded("stops");
  }

  /** A ratio in five figures, with its sign: {@code 382.5 : 1}. */
  static String text(Ratio ratio) {
    return Figures.typeset(Figures.significant(ratio.reduction().doubleValue(), 5)) + " : 1";
  }

  private static Optional<Change> worst(Train train, Planetary set, Ratio now) {
    List<Change> all = new ArrayList<>();
    for (Member wheel : set.wheels()) {
      Teeth teeth = wheel.teeth().orElseThrow();
      for (int step : new int[] {1, -1}) {
        if (Teeth.isCount(teeth.count() + step)) {
          all.add(change(train, wheel, teeth.count() + step, now));
        }
      }
    }
    return all.stream().max(Comparator.comparingDouble(Change::size));
  }

  private static Change change(Train train, Member wheel, int count, Ratio now) {
    Teeth other = new Teeth(count, wheel.teeth().orElseThrow().internal());
    Optional<Ratio> then =
        MotionSolver.solve(Mechanism.of(train.withTeeth(wheel.id(), other))).ratio();
    double size =
        then.map(ratio -> Math.abs(ratio.reduction().divide(now.reduction()).doubleValue() - 1))
            .orElse(Double.MAX_VALUE);
    return new Change(wheel, count, then, size);
  }
}
