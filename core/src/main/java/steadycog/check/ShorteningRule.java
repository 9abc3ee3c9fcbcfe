package steadycog.check;

import java.util.List;
import steadycog.shape.CycloidGeometry;
import steadycog.train.Cycloidal;
import steadycog.train.Train;

/**
 * K = e Z / Rp must stay below 1 or the path of a pin loops; 0.5 to 0.8 run well (Litvin &
 * Fuentes).
 */
final class ShorteningRule extends CycloidalRule {
  private static final double LOW = 0.5;
  private static final double HIGH = 0.8;

  @Override
  List<Finding> check(Train train, Cycloidal drive, CycloidGeometry geometry) {
    double k = geometry.shortening();
    double whole = geometry.circleRadius() / (drive.lobes() + 1);
    Finding found =
        Finding.of("k-range", severity(k), List.of(drive.eccentricId(), drive.discId()))
            .with("k", PairRule.rounded(k, 3))
            .with("margin", PairRule.rounded(Math.min(k - LOW, HIGH - k), 3))
            .with("from", mm(LOW * whole))
            .with("to", mm(HIGH * whole))
            .with("limit", mm(whole));
    if (k >= LOW && k <= HIGH) {
      return List.of(found.worded("good"));
    }
    String variant = k >= 1 ? "loops" : k > HIGH ? "high" : "low";
    return List.of(found.worded(variant));
  }

  private static Severity severity(double k) {
    if (k >= 1) {
      return Severity.ERROR;
    }
    return k < LOW || k > HIGH ? Severity.WARNING : Severity.OK;
  }
}
