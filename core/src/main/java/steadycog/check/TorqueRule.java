package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Mechanism;
import steadycog.number.Measured;
import steadycog.number.Unit;
import steadycog.torque.StatedTorques;
import steadycog.torque.Torques;
import steadycog.train.Drive;
import steadycog.train.MemberId;

/** Torques that do not follow, and stated torques that disagree with each other. */
final class TorqueRule implements Rule {
  private static final int DIGITS = 6;

  @Override
  public Needs needs() {
    return Needs.LOADING;
  }

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
                .with("stated", doing(stated.torque(), stated.member(), mechanism))
                .with("needed", doing(solved.get(), stated.member(), mechanism))
                .with("reference", StatedTorques.reference(mechanism));
        found.add(right ? finding.worded("ideal") : finding);
      }
    }
    return found;
  }

  /** {@code push 3 Nm}, {@code brake 5 W}: with or against its motion, as the card states it. */
  private static Measured doing(BigFraction torque, MemberId member, Mechanism mechanism) {
    Drive drive =
        mechanism.roles().drives().stream()
            .filter(one -> one.member().equals(member))
            .findFirst()
            .orElseThrow();
    int way = drive.angularSpeed().signum() < 0 ? -1 : 1;
    boolean power =
        drive.effort().filter(e -> e.unit().dimension() == Unit.Dimension.POWER).isPresent();
    double size = Math.abs(torque.doubleValue());
    Measured much =
        power
            ? Measured.significant(
                size * Math.abs(drive.angularSpeed().inRadPerS()), Unit.W, DIGITS)
            : Measured.significant(size, Unit.NM, DIGITS);
    return much.between(torque.signum() * way < 0 ? "brake " : "push ", "");
  }
}
