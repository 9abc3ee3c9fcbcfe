package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Mechanism;
import steadycog.torque.StatedTorques;
import steadycog.torque.Torques;

/** Torques that do not follow, and stated torques that disagree with each other. */
final class TorqueRule implements Rule {

  @Override
  public List<Finding> check(Subject subject) {
    Torques torques = subject.loading().flow().torques();
    Torques ideal = subject.loading().ideal();
    Mechanism mechanism = torques.mechanism();
    List<Finding> found = new ArrayList<>();
    if (ideal.status() == Torques.Status.INDETERMINATE) {
      found.add(
          Finding.of(
              "torque-split",
              Severity.WARNING,
              mechanism.bodies().stream()
                  .filter(member -> ideal.carried(member).isEmpty())
                  .toList()));
    }
    for (StatedTorques.Stated stated : StatedTorques.of(mechanism)) {
      Optional<BigFraction> solved = torques.external(stated.member());
      if (solved.isPresent() && !stated.agreesWith(solved.get())) {
        boolean right = ideal.external(stated.member()).filter(stated::agreesWith).isPresent();
        Finding finding =
            Finding.of(
                    "torque-conflict",
                    right ? Severity.NOTE : Severity.ERROR,
                    List.of(stated.member()))
                .with("stated", nm(stated.torque()))
                .with("needed", nm(solved.get()))
                .with("reference", StatedTorques.reference(mechanism));
        found.add(right ? finding.worded("ideal") : finding);
      }
    }
    return found;
  }

  private static String nm(BigFraction torque) {
    return String.format(Locale.ROOT, "%.6g Nm", Math.abs(torque.doubleValue()));
  }
}
