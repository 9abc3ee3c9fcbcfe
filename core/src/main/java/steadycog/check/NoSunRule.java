package steadycog.check;

import java.util.Optional;
import java.util.OptionalInt;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * Without a sun the ring leaves room for one of S = R - 2 P teeth. With none left, two opposite
 * planets mesh with each other and lock. It need not make a usable gear: it is not there.
 */
final class NoSunRule extends PlanetaryRule {
  private static final int ALL_ROUND = 2;

  @Override
  Optional<Finding> check(Train train, Planetary set, int row) {
    OptionalInt virtual = set.rows().get(row).virtualSun();
    boolean sun = set.rows().stream().anyMatch(r -> r.sun().isPresent());
    if (sun || virtual.isEmpty()) {
      return Optional.empty();
    }
    boolean locks = virtual.getAsInt() <= 0 && set.count() >= ALL_ROUND;
    Finding found =
        finding("no-sun", locks ? Severity.ERROR : Severity.OK, set, row)
            .with("virtualSun", virtual.getAsInt());
    return Optional.of(locks ? found.worded("locks") : found.worded("clear"));
  }
}
