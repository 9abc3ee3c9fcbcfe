package steadycog.check;

import java.util.List;
import steadycog.motion.Motion;
import steadycog.train.MemberId;
import steadycog.train.Roles;

/** Jammed trains, and members that nothing ties to a drive. */
final class MotionRule implements Rule {

  @Override
  public Needs needs() {
    return Needs.MOTION;
  }

  @Override
  public List<Finding> check(Subject subject) {
    Motion motion = subject.motion();
    Roles roles = motion.mechanism().roles();
    return switch (motion.status()) {
      case JAMMED ->
          List.of(
              Finding.of("jam", Severity.ERROR, inConflict(motion))
                  .with("conflict", motion.conflictText()));
      case UNDETERMINED ->
          roles.drives().isEmpty()
              ? List.of(
                  Finding.of("no-drive", Severity.NOTE, motion.floating())
                      .with("example", subject.train().parts().getFirst().shafts().getFirst()))
              : List.of(Finding.of("floating", Severity.WARNING, motion.floating()));
      case DETERMINED -> List.of();
    };
  }

  /** The members that the conflict ties, in the order of the card. */
  private static List<MemberId> inConflict(Motion motion) {
    return motion.mechanism().bodies().stream()
        .filter(body -> motion.conflict().stream().anyMatch(one -> one.members().contains(body)))
        .toList();
  }
}
