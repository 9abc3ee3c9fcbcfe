package steadycog.check;

import java.util.List;
import steadycog.shape.CycloidGeometry;
import steadycog.train.Cycloidal;
import steadycog.train.Train;

/**
 * A middle disc gets from an end cam to its own only if its bore can stand round both at once;
 * where it cannot, the eccentric comes in as many pieces as it has cams.
 */
final class ThreadingRule extends CycloidalRule {

  @Override
  List<Finding> check(Train train, Cycloidal drive, CycloidGeometry geometry) {
    double margin = geometry.threadingMargin();
    if (margin >= 0) {
      return List.of();
    }
    return List.of(
        Finding.of("threading", Severity.NOTE, List.of(drive.eccentricId(), drive.discId()))
            .with("margin", PairRule.rounded(margin, 2))
            .with("cams", drive.sizes().discs())
            .with("bore", mm(2 * geometry.boreRadius()))
            .with("needed", mm(2 * (geometry.boreRadius() - margin))));
  }
}
