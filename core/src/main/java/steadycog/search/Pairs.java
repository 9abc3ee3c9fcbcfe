package steadycog.search;

import steadycog.shape.PairGeometry;
import steadycog.train.Teeth;

/** Whether the unshifted wheels of a set with pairs of planets run on each other. */
final class Pairs {
  private Pairs() {}

  static boolean run(int sun, int inner, int outer, int ring) {
    return outside(sun, inner) && outside(inner, outer) && inside(outer, ring);
  }

  private static boolean outside(int one, int other) {
    Teeth pinion = Teeth.external(Math.min(one, other));
    Teeth gear = Teeth.external(Math.max(one, other));
    return PairGeometry.of(pinion, gear).interferenceMargin() >= 0;
  }

  private static boolean inside(int planet, int ring) {
    return ring > planet
        && PairGeometry.of(Teeth.external(planet), Teeth.internal(ring)).trochoidMargin() >= 0;
  }
}
