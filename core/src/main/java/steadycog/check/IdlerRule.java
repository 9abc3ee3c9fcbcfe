package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import steadycog.train.Join;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Role;
import steadycog.train.Roles;
import steadycog.train.Train;

/**
 * Idlers: a wheel in two meshes that carries nothing else. Taking one for a stage, or a keyed pair
 * for an idler, are common slips; an idler turns the direction and leaves the ratio alone.
 */
final class IdlerRule implements Rule {

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (MemberId idler : idlers(subject.train())) {
      found.add(Finding.of("idler", Severity.NOTE, List.of(idler)));
    }
    return found;
  }

  static List<MemberId> idlers(Train train) {
    Roles roles = train.rolesInForce();
    List<Join> ties = new ArrayList<>(train.keyed());
    ties.addAll(train.joins());
    return train.members().stream()
        .map(Member::id)
        .filter(id -> roles.of(id) == Role.FREE)
        .filter(id -> ties.stream().noneMatch(tie -> tie.touches(id)))
        .filter(id -> meshCount(train, id) == 2)
        .filter(id -> onFixedAxis(train, id))
        .toList();
  }

  /** Planets pass motion on too, but each with its own part in the ratio of the carrier. */
  private static boolean onFixedAxis(Train train, MemberId id) {
    return train.meshes().stream()
        .filter(mesh -> mesh.touches(id))
        .allMatch(mesh -> mesh.carrier().isEmpty());
  }

  private static long meshCount(Train train, MemberId id) {
    return train.meshes().stream().filter(mesh -> mesh.touches(id)).count();
  }
}
