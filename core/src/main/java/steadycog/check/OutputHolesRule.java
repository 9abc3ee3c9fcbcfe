package steadycog.check;

import java.util.List;
import steadycog.shape.CycloidGeometry;
import steadycog.train.Cycloidal;
import steadycog.train.Train;

/**
 * Output holes are as wide as their pins and twice the eccentricity; they must clear each other,
 * the bore and the hollows between the lobes.
 */
final class OutputHolesRule extends CycloidalRule {
  /** Thinner walls than this share of the pin circle break out. */
  private static final double THIN = 0.01;

  @Override
  List<Finding> check(Train train, Cycloidal drive, CycloidGeometry geometry) {
    double spacing = geometry.holeSpacing();
    double bore = geometry.boreWall();
    double root = geometry.rootWall();
    double least = Math.min(spacing, Math.min(bore, root));
    Finding found =
        Finding.of("output-holes", severity(least, geometry), List.of(drive.discId()))
            .with("hole", mm(2 * geometry.holeRadius()))
            .with("pin", mm(2 * geometry.outputPinRadius()))
            .with("margin", PairRule.rounded(least, 2))
            .with("where", least == root ? "the lobes" : least == bore ? "the bore" : "each other")
            .with("length", mm(Math.abs(least)));
    if (least >= THIN * geometry.circleRadius()) {
      return List.of(found.worded("clear"));
    }
    return List.of(least < 0 ? found : found.worded("thin"));
  }

  private static Severity severity(double least, CycloidGeometry geometry) {
    if (least < 0) {
      return Severity.ERROR;
    }
    return least < THIN * geometry.circleRadius() ? Severity.WARNING : Severity.OK;
  }
}
