package steadycog.check;

import java.util.Optional;
import steadycog.shape.GearOutline;
import steadycog.shape.PlanetGeometry;
import steadycog.train.Member;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * Room for the bearing of a planet: what a wall under the roots leaves for a bore, in the smallest
 * wheel of the body (Niemann &amp; Winter II: a wall of a module at the least).
 */
final class PlanetRoomRule extends PlanetaryRule {
  private static final double WALL = 1;

  /** A pin and a bush or needles round it take about so much. */
  private static final double USEFUL = 4;

  @Override
  Optional<Finding> check(Train train, Planetary set, int row) {
    if (row > 0) {
      return Optional.empty();
    }
    PlanetGeometry geometry = PlanetGeometry.of(train, set);
    double root =
        set.wheels().stream()
            .filter(wheel -> set.isPlanet(wheel.id()))
            .mapToDouble(wheel -> root(geometry, wheel))
            .min()
            .orElseThrow();
    double bore = Math.max(0, 2 * (root - WALL));
    boolean little = bore < USEFUL;
    return Optional.of(
        Finding.of("planet-room", little ? Severity.NOTE : Severity.OK, set.planetIds())
            .with("bore", length(train, bore))
            .with("margin", PairRule.rounded(bore - USEFUL, 2))
            .worded(little ? "little" : "enough"));
  }

  private static double root(PlanetGeometry geometry, Member planet) {
    return GearOutline.rootRadius(planet.teeth().orElseThrow(), geometry.cut(planet.id()));
  }
}
