package steadycog.torque;

import java.util.Arrays;
import steadycog.motion.Mechanism;
import steadycog.motion.Relation;
import steadycog.train.Join;

/** Bodies that turn as one, each such set by the index of one of them. */
public final class ShaftNumbers {
  private final int[] leader;
  private final boolean[] held;

  public ShaftNumbers(Mechanism mechanism) {
    leader = new int[mechanism.bodies().size()];
    held = new boolean[leader.length];
    Arrays.setAll(leader, body -> body);
    for (Relation relation : mechanism.relations()) {
      switch (relation.cause()) {
        case Relation.Keyed(Join join) -> tie(mechanism, join);
        case Relation.Joined(Join join) -> tie(mechanism, join);
        case Relation.Locked(Join join) -> tie(mechanism, join);
        case Relation.Meshing mesh -> {}
        case Relation.Held stop -> {}
        case Relation.Driven drive -> {}
      }
    }
    mechanism.roles().holds().forEach(member -> held[of(mechanism.indexOf(member))] = true);
  }

  private void tie(Mechanism mechanism, Join join) {
    int a = of(mechanism.indexOf(join.a()));
    int b = of(mechanism.indexOf(join.b()));
    leader[Math.max(a, b)] = Math.min(a, b);
  }

  /** The shaft of a body. */
  public int of(int body) {
    int at = body;
    while (leader[at] != at) {
      at = leader[at];
    }
    return at;
  }

  /** Whether {@code shaft} is kept from turning. */
  public boolean held(int shaft) {
    return held[shaft];
  }
}
