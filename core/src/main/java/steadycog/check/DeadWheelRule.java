package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Role;
import steadycog.train.Train;

/** A wheel that touches no other and does no duty of its own. */
final class DeadWheelRule implements Rule {

  @Override
  public Needs needs() {
    return Needs.MOTION;
  }

  @Override
  public List<Finding> check(Subject subject) {
    Train train = subject.train();
    List<Finding> found = new ArrayList<>();
    for (Member member : train.members()) {
      MemberId id = member.id();
      boolean touches = train.meshes().stream().anyMatch(mesh -> mesh.touches(id));
      boolean joined = train.joins().stream().anyMatch(join -> join.touches(id));
      boolean idle = subject.motion().mechanism().roles().of(id) == Role.FREE;
      if (member.teeth().isPresent() && !touches && !joined && idle) {
        found.add(Finding.of("dead-wheel", Severity.WARNING, List.of(id)));
      }
    }
    return found;
  }
}
