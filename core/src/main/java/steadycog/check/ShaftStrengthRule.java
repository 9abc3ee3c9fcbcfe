package steadycog.check;

import java.util.List;
import steadycog.rating.Running;
import steadycog.rating.ShaftRating;
import steadycog.torque.Torques;
import steadycog.train.Duty;

/**
 * Shafts, pins and bearings under the load of the teeth, where the card asks for a rating. Of a
 * plan whose states share the time it is a matter of all of them together.
 */
final class ShaftStrengthRule implements Rule {

  @Override
  public Needs needs() {
    return Needs.LAYOUT;
  }

  @Override
  public List<Finding> check(Subject subject) {
    Duty duty = subject.train().sizes().duty();
    if (!duty.asksRating() || !duty.shares().isEmpty()) {
      return List.of();
    }
    Torques torques = subject.loading().flow().torques();
    return torques.status() == Torques.Status.DETERMINED
        ? ShaftFindings.of(
            ShaftRating.of(
                subject.train(),
                subject.layout(),
                List.of(new Running("", 1, subject.motion(), torques))))
        : List.of();
  }
}
