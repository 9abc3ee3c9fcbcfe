package steadycog.check;

import java.util.Arrays;
import java.util.List;
import steadycog.motion.Motion;
import steadycog.train.MemberId;

/** The members that a conflict's relations name. */
final class Conflicting {
  private Conflicting() {}

  static List<MemberId> members(Motion motion) {
    List<String> words =
        motion.conflict().stream()
            .flatMap(relation -> Arrays.stream(relation.split("[ ~=]+")))
            .toList();
    return motion.mechanism().bodies().stream()
        .filter(member -> words.contains(member.toString()))
        .toList();
  }
}
