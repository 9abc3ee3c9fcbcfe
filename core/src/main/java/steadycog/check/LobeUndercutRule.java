package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import steadycog.shape.CycloidGeometry;
import steadycog.train.Cycloidal;
import steadycog.train.Train;

/**
 * Pins thicker than the least radius of curvature of their path undercut the lobes: the outline
 * crosses itself (Litvin & Fuentes). Neighbouring pins must also leave each other room.
 */
final class LobeUndercutRule extends CycloidalRule {
  @Override
  List<Finding> check(Train train, Cycloidal drive, CycloidGeometry geometry) {
    List<Finding> found = new ArrayList<>();
    double margin = geometry.curvatureMargin();
    double clearance = geometry.pinClearance();
    boolean undercut = margin < 0;
    Finding lobes =
        Finding.of(
                "lobe-undercut",
                undercut ? Severity.ERROR : Severity.OK,
                List.of(drive.discId(), drive.ringId()))
            .with("pin", mm(2 * geometry.pinRadius()))
            .with("largest", mm(2 * geometry.leastCurvature()))
            .with("margin", PairRule.rounded(2 * margin, 2));
    if (geometry.shortening() < 1) {
      found.add(undercut ? lobes : lobes.worded("clear"));
    }
    boolean touch = clearance <= 0;
    Finding pins =
        Finding.of("pin-clearance", touch ? Severity.ERROR : Severity.OK, List.of(drive.ringId()))
            .with("length", mm(Math.abs(clearance)))
            .with("margin", PairRule.rounded(clearance, 2));
    found.add(touch ? pins : pins.worded("clear"));
    return found;
  }
}
