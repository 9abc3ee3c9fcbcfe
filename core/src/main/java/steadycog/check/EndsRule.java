package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.motion.Motion;
import steadycog.number.AngularSpeed;
import steadycog.shape.Axes;
import steadycog.train.Drive;
import steadycog.train.Ends;
import steadycog.train.MemberId;
import steadycog.train.Roles;

/** Whether input and output are chosen and the output turns at all. */
final class EndsRule implements Rule {

  @Override
  public Needs needs() {
    return Needs.MOTION;
  }

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    Optional<Ends> assumed = subject.train().assumedEnds();
    assumed.ifPresent(
        ends ->
            found.add(
                Finding.of("assumed-ends", Severity.NOTE, List.of(ends.drive(), ends.take()))
                    .with("drive", ends.drive())
                    .with("take", ends.take())));
    Motion motion = subject.motion();
    Roles roles = motion.mechanism().roles();
    if (roles.take().isEmpty()) {
      found.add(
          Finding.of("no-take", Severity.NOTE, List.of())
              .with("example", subject.train().parts().getLast().shafts().getLast()));
    } else {
      MemberId take = roles.take().get().member();
      boolean driven = roles.drives().stream().anyMatch(drive -> !drive.angularSpeed().isZero());
      if (driven && motion.speed(take).filter(AngularSpeed::isZero).isPresent()) {
        found.add(Finding.of("output-at-rest", Severity.WARNING, List.of(take)));
      }
      Axes shafts = Axes.ofShafts(subject.train());
      roles.drives().stream()
          .map(Drive::member)
          .filter(drive -> shafts.of(drive) == shafts.of(take))
          .findFirst()
          .ifPresent(
              drive ->
                  found.add(
                      Finding.of("one-body", Severity.WARNING, List.of(drive, take))
                          .with("drive", drive)
                          .with("take", take)));
    }
    return found;
  }
}
