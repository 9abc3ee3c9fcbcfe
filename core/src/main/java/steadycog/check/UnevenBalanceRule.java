package steadycog.check;

import java.util.Optional;
import steadycog.number.Figures;
import steadycog.shape.PlanetGeometry;
import steadycog.shape.PlanetPlaces;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;
import steadycog.train.Train;

/** Planets that stand unevenly put the carrier out of balance: by how much, for all together. */
final class UnevenBalanceRule extends PlanetaryRule {
  private static final double BALANCED = 1e-6;

  @Override
  Optional<Finding> check(Train train, Planetary set, int row) {
    if (row > 0 || set.spacing() != Spacing.UNEVEN || set.count() < 2) {
      return Optional.empty();
    }
    double share = share(set);
    boolean balanced = share < BALANCED;
    double radius = PlanetGeometry.of(train, set).innerRadius();
    return Optional.of(
        Finding.of("uneven-balance", balanced ? Severity.OK : Severity.NOTE, set.planetIds(0))
            .with("share", Figures.significant(100 * share, 2) + " %")
            .with("offset", length(train, share * radius))
            .with("margin", PairRule.rounded(-share * radius, 3))
            .worded(balanced ? "none" : "off"));
  }

  /** How far the middle of all planets lies off the axis, as a share of the carrier's radius. */
  private static double share(Planetary set) {
    PlanetPlaces places = new PlanetPlaces(set);
    double x = 0;
    double y = 0;
    for (int k = 0; k < set.count(); k++) {
      double angle = 2 * Math.PI * places.turnsTo(k).doubleValue();
      x += Math.cos(angle);
      y += Math.sin(angle);
    }
    return Math.hypot(x, y) / set.count();
  }
}
