package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.train.Differential;
import steadycog.train.MemberId;
import steadycog.train.Roles;

/**
 * Differentials: equally spaced spiders go in where the number of spiders divides the teeth of both
 * sides together; locked, both sides turn as one and grip decides who pulls.
 */
final class DifferentialRule implements Rule {

  @Override
  public Needs needs() {
    return Needs.MOTION;
  }

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (Differential sides : subject.train().parts(Differential.class)) {
      assembly(sides).ifPresent(found::add);
      if (isLocked(subject.motion().mechanism().roles(), sides)) {
        found.add(
            Finding.of(
                "differential-locked", Severity.NOTE, List.of(sides.leftId(), sides.rightId())));
      }
    }
    return found;
  }

  private static Optional<Finding> assembly(Differential sides) {
    if (goesTogether(sides, sides.spiders())) {
      return Optional.empty();
    }
    return Optional.of(
        Finding.of("spider-assembly", Severity.ERROR, List.of(sides.caseId()))
            .with("spiders", sides.spiders())
            .with("teeth", 2 * sides.side()));
  }

  private static boolean goesTogether(Differential sides, int spiders) {
    return 2 * sides.side() % spiders == 0;
  }

  private static boolean isLocked(Roles roles, Differential sides) {
    List<MemberId> own = sides.shafts();
    return roles.locks().stream()
        .anyMatch(lock -> own.contains(lock.a()) && own.contains(lock.b()));
  }
}
