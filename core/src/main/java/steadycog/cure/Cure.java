package steadycog.cure;

import java.util.List;
import java.util.Optional;
import steadycog.check.Finding;
import steadycog.number.Ratio;
import steadycog.train.Train;

/**
 * A change of a card that puts a finding right, with what else it does.
 *
 * @param change in words: {@code planet 17 -> 18, ring 51 -> 53}
 * @param train after it
 * @param ratio after it, exact; empty where it has none
 * @param ratioChange new/old - 1; empty where either has no ratio; 0 where it is kept exactly
 * @param clears findings, notes or worse, that go
 * @param brings findings, notes or worse, that come; none as bad as the one that it is offered for
 */
public record Cure(
    String change,
    Train train,
    Optional<Ratio> ratio,
    Optional<Double> ratioChange,
    List<Finding.Key> clears,
    List<Finding.Key> brings) {

  public Cure {
    clears = List.copyOf(clears);
    brings = List.copyOf(brings);
  }

  /** Whether the ratio is another one afterwards. */
  public boolean changesRatio() {
    return ratioChange.filter(change -> change != 0).isPresent();
  }

  /** Whether the output turns the other way afterwards. */
  public boolean turnsRound() {
    return ratioChange.filter(change -> change < -1).isPresent();
  }
}
