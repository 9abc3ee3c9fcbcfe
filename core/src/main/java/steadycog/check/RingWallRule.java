package steadycog.check;

import java.util.List;
import steadycog.shape.CycloidGeometry;
import steadycog.train.Cycloidal;
import steadycog.train.Train;

/**
 * The wall between the pins of a ring must clear the tips of the lobes, which reach Rp + 2 e - rr:
 * on the pin circle it does while 2 e is below rr, beyond that it stands further out.
 */
final class RingWallRule extends CycloidalRule {

  @Override
  List<Finding> check(Train train, Cycloidal drive, CycloidGeometry geometry) {
    double beyond = geometry.wallRadius() - geometry.circleRadius();
    boolean onNecks = beyond > geometry.pinRadius();
    Finding finding =
        Finding.of("ring-wall", onNecks ? Severity.NOTE : Severity.OK, List.of(drive.ringId()))
            .with("reach", mm(2 * geometry.sweptRadius()))
            .with("wall", mm(2 * geometry.wallRadius()))
            .with("margin", PairRule.rounded(geometry.wallRadius() - geometry.sweptRadius(), 2));
    return List.of(
        onNecks
            ? finding.with("neck", mm(beyond)).worded("necks")
            : beyond > 0 ? finding.worded("out") : finding);
  }
}
