package steadycog.check;

import java.util.List;
import steadycog.motion.FeedbackPath;
import steadycog.number.Exact;
import steadycog.number.Ratio;

/** A second input geared from the first: one freedom again, whatever was hoped for. */
final class FeedbackRule implements Rule {

  @Override
  public Needs needs() {
    return Needs.MOTION;
  }

  @Override
  public List<Finding> check(Subject subject) {
    return FeedbackPath.of(subject.train(), subject.motion()).stream()
        .map(FeedbackRule::finding)
        .toList();
  }

  private static Finding finding(FeedbackPath path) {
    Finding finding =
        Finding.of("feedback", Severity.WARNING, List.of(path.input(), path.second()))
            .with("path", path.path().name())
            .with("input", path.input())
            .with("second", path.second())
            .with("output", path.output())
            .with("gearing", Exact.text(path.gearing()))
            .with("fraction", Exact.text(path.outputPerInput()));
    return path.outputPerInput().signum() == 0
        ? finding.worded("stopped")
        : finding.with(
            "ratio", SensitivityRule.text(new Ratio(path.outputPerInput().reciprocal())));
  }
}
