package steadycog.check;

import java.util.Optional;
import steadycog.shape.PlanetGeometry;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** Tips of neighbouring planets must clear: 2 a sin(pi/N) - da > 0 (Niemann & Winter II). */
final class NeighbourRule extends PlanetaryRule {
  /** Closer than this a little wear or a fat tooth makes them touch, in modules. */
  private static final double NEAR = 0.2;

  @Override
  Optional<Finding> check(Train train, Planetary set, int row) {
    PlanetGeometry geometry = PlanetGeometry.of(train, set);
    double margin = geometry.neighbourMargin(row);
    boolean worst = margin == geometry.neighbourMargin();
    if (set.count() < 2 || !worst || (row > 0 && margin == geometry.neighbourMargin(0))) {
      return Optional.empty();
    }
    Finding found =
        Finding.of("neighbour", severity(margin), set.planetIds(row))
            .with("planets", set.count())
            .with("margin", PairRule.rounded(margin, 2))
            .with("length", length(train, Math.abs(margin)));
    if (margin >= NEAR) {
      return Optional.of(found.worded("clear"));
    }
    return Optional.of(margin < 0 ? found : found.worded("near"));
  }

  private static Severity severity(double margin) {
    if (margin < 0) {
      return Severity.ERROR;
    }
    return margin < NEAR ? Severity.WARNING : Severity.OK;
  }
}
