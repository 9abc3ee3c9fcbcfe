package steadycog.check;

import java.util.List;
import java.util.Optional;
import steadycog.shape.BasicRack;
import steadycog.shape.Rims;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * The rim of a ring, once teeth have a size: below 1.2 tooth heights it bends with the teeth and
 * weakens their roots (AGMA 2001, rim thickness, backup ratio; Shigley, ch. 14).
 */
final class RimRule extends PlanetaryRule {
  private static final double STIFF = 1.2;
  private static final double THIN = 0.5;

  @Override
  Optional<Finding> check(Train train, Planetary set, int row) {
    if (!train.isSized() || set.rows().get(row).ring().isEmpty()) {
      return Optional.empty();
    }
    BasicRack rack = BasicRack.of(train.sizes().rackInForce());
    double rim = Rims.thickness(train, set, set.ringId(row));
    double backup = rim / (rack.addendum() + rack.dedendum());
    Severity severity =
        backup >= STIFF ? Severity.OK : backup >= THIN ? Severity.NOTE : Severity.WARNING;
    return Optional.of(
        Finding.of("ring-rim", severity, List.of(set.ringId(row)))
            .with("rim", length(train, rim))
            .with("backup", PairRule.rounded(backup, 2))
            .with("wanted", length(train, STIFF * (rack.addendum() + rack.dedendum())))
            .with("margin", PairRule.rounded(backup - STIFF, 2))
            .worded(backup >= STIFF ? "stiff" : "thin"));
  }
}
