package steadycog.check;

import java.util.Optional;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * One planet pushes sun and ring aside with all that it carries; two balance each other but leave
 * the sun free to move between them, so that it does not find its middle by itself as it does
 * between three (Müller, <i>Epicyclic Drive Trains</i>, load sharing).
 */
final class FewPlanetsRule extends PlanetaryRule {
  private static final int CENTRING = 3;

  @Override
  Optional<Finding> check(Train train, Planetary set, int row) {
    if (row > 0 || set.count() >= CENTRING) {
      return Optional.empty();
    }
    return Optional.of(
        finding(set.count() == 1 ? "one-planet" : "two-planets", Severity.NOTE, set, row));
  }
}
