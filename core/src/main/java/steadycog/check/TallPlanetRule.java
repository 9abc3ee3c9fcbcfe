package steadycog.check;

import java.util.Optional;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * Planets held at one end tilt when their rows lie further apart than a planet is wide: a second
 * carrier plate holds the other end (Niemann & Winter II). Until face widths are on the card rows
 * are taken to lie a usual face width apart.
 */
final class TallPlanetRule extends TwoRowRule {
  /** A usual face width and a gap beside it, in modules. */
  private static final int ROW_OFFSET = 12;

  @Override
  Optional<Finding> check(Train train, Planetary set) {
    int least = set.rows().stream().mapToInt(row -> row.inner().count()).min().orElseThrow();
    return Optional.of(
        finding("tall-planet", least < ROW_OFFSET ? Severity.NOTE : Severity.OK, set)
            .with("diameter", least)
            .with("offset", ROW_OFFSET)
            .with("margin", least - ROW_OFFSET)
            .worded(least < ROW_OFFSET ? "tilts" : "steady"));
  }
}
