package steadycog.check;

import java.util.List;
import java.util.Optional;
import steadycog.number.Figures;
import steadycog.rating.Case;
import steadycog.rating.Rating;
import steadycog.train.Duty.Term;

/** What a rating comes to: the factor that is furthest from what is wanted. */
public final class RatingFinding {
  private RatingFinding() {}

  /** Empty where no tooth is rated. */
  public static Optional<Finding> of(Rating rating) {
    return rating.weakest().map(weakest -> of(rating, weakest));
  }

  private static Finding of(Rating rating, Rating.Weakest weakest) {
    double factor = weakest.factor();
    Case decides =
        weakest.contact() ? weakest.tooth().contactDecides() : weakest.tooth().bendingDecides();
    boolean reached = weakest.margin() >= 1;
    Finding finding =
        Finding.of(
                "rating",
                reached ? Severity.OK : Severity.WARNING,
                List.of(weakest.tooth().wheel()))
            .with("wheel", weakest.tooth().wheel())
            .with("mesh", weakest.mesh().a() + " ~ " + weakest.mesh().b())
            .with("factor", PairRule.rounded(factor, 2))
            .with("wanted", PairRule.rounded(weakest.wanted(), 2))
            .with("margin", PairRule.rounded(weakest.margin() - 1, 2))
            .with("hours", Figures.plain(rating.duty().value(Term.LIFE)))
            .with("state", decides.state().isEmpty() ? "" : ", most by state " + decides.state())
            .with("by", weakest.contact() ? "pitting of the flank" : "bending at the root");
    return reached ? finding.worded("holds") : factor >= 1 ? finding.worded("short") : finding;
  }
}
