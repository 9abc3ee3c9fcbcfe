package steadycog.check;

import java.util.List;
import steadycog.rating.Rating;
import steadycog.rating.Running;
import steadycog.sizing.Screening;
import steadycog.sizing.ToothLoad;
import steadycog.torque.Torques;
import steadycog.train.Train;

/**
 * The tooth that gives way first: by the rating where the card asks for one; else, where sizes,
 * face widths and materials are stated, by a screening of Lewis and Hertz (Shigley, ch. 14).
 */
final class StrengthRule implements Rule {
  private static final double ENOUGH = 1.5;

  @Override
  public Needs needs() {
    return Needs.LOADING;
  }

  @Override
  public List<Finding> check(Subject subject) {
    Train train = subject.train();
    Torques torques = subject.loading().flow().torques();
    if (train.sizes().duty().asksRating()) {
      // Of a plan whose states share the time it is a matter of all of them together.
      boolean alone = train.sizes().duty().shares().isEmpty();
      return alone && torques.status() == Torques.Status.DETERMINED
          ? RatingFinding.of(
                  Rating.of(train, List.of(new Running("", 1, subject.motion(), torques))))
              .stream()
              .toList()
          : List.of();
    }
    if (!Screening.isStated(train) || torques.status() != Torques.Status.DETERMINED) {
      return List.of();
    }
    return Screening.of(train, subject.motion(), torques)
        .weakest()
        .map(StrengthRule::finding)
        .stream()
        .toList();
  }

  private static Finding finding(ToothLoad.Weakest weakest) {
    double factor = weakest.factor();
    Finding finding =
        Finding.of("tooth-strength", severity(factor), List.of(weakest.wheel()))
            .with("wheel", weakest.wheel())
            .with("mesh", weakest.mesh().a() + " ~ " + weakest.mesh().b())
            .with("factor", PairRule.rounded(factor, 2))
            .with("margin", PairRule.rounded(factor - 1, 2))
            .with("by", weakest.bending() ? "bending at the root" : "pressure on the flank");
    return factor >= ENOUGH
        ? finding.worded("holds")
        : factor >= 1 ? finding.worded("near") : finding;
  }

  private static Severity severity(double factor) {
    return factor >= ENOUGH ? Severity.OK : factor >= 1 ? Severity.NOTE : Severity.WARNING;
  }
}
