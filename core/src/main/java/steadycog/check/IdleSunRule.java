package steadycog.check;

import java.util.Optional;
import steadycog.number.Exact;
import steadycog.shape.PlanetGeometry;
import steadycog.shape.PlanetPlaces;
import steadycog.train.PlanetRow;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * Whether an idle sun may be put into a row that has none, to carry the planets: it has S = R - 2 P
 * teeth and goes in only if (S + R) t is whole for every planet's place t, of evenly spaced ones (S
 * + R)/N (Müller, <i>Epicyclic Drive Trains</i>).
 */
final class IdleSunRule extends PlanetaryRule {
  private static final int FEWEST = 8;

  @Override
  Optional<Finding> check(Train train, Planetary set, int row) {
    PlanetRow here = set.rows().get(row);
    if (!set.stepped() || here.sun().isPresent()) {
      return Optional.empty();
    }
    int ring = here.ring().orElseThrow().count();
    int sun = ring - 2 * here.inner().count();
    Finding found =
        finding("idle-sun", Severity.OK, set, row)
            .with("row", row + 1)
            .with("sun", sun)
            .with("planets", set.count())
            .with("quotient", Exact.text(Exact.of(sun + ring, set.count())));
    boolean central = new PlanetGeometry(set).distortion() == 0;
    if (sun < FEWEST) {
      return Optional.of(found.worded("small"));
    }
    if (!central) {
      return Optional.of(found.worded("apart"));
    }
    return Optional.of(found.worded(goesIn(set, sun + ring) ? "fits" : "misses"));
  }

  /** Whether the teeth agree in the place of every planet, even or not. */
  private static boolean goesIn(Planetary set, int sum) {
    PlanetPlaces places = new PlanetPlaces(set);
    for (int k = 1; k < set.count(); k++) {
      if (!Exact.isWhole(places.turnsTo(k).multiply(sum))) {
        return false;
      }
    }
    return true;
  }
}
