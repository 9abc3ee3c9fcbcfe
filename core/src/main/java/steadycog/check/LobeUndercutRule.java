package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.number.Quantity;
import steadycog.shape.CycloidGeometry;
import steadycog.train.Cycloidal;
import steadycog.train.Train;

/**
 * Pins thicker than the least radius of curvature of their path undercut the lobes: the outline
 * crosses itself (Litvin & Fuentes). Neighbouring pins must also leave each other room.
 */
final class LobeUndercutRule extends CycloidalRule {
  /** Pins stay this share below what would undercut, or touch. */
  private static final double SAFE = 0.9;

  @Override
  List<Finding> check(Train train, Cycloidal drive, CycloidGeometry geometry) {
    List<Finding> found = new ArrayList<>();
    double margin = geometry.curvatureMargin();
    double clearance = geometry.pinClearance();
    double touching = geometry.pinRadius() + clearance / 2;
    double largest = 2 * SAFE * Math.min(geometry.leastCurvature(), touching);
    Quantity smaller = atMost(largest);
    Cure cure =
        cure(
            train,
            drive,
            "pin " + mm(2 * geometry.pinRadius()) + " -> " + smaller,
            drive.sizes().withPin(smaller));
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
      found.add(undercut ? lobes.curedBy(Optional.of(cure)) : lobes.worded("clear"));
    }
    boolean touch = clearance <= 0;
    Finding pins =
        Finding.of("pin-clearance", touch ? Severity.ERROR : Severity.OK, List.of(drive.ringId()))
            .with("length", mm(Math.abs(clearance)))
            .with("margin", PairRule.rounded(clearance, 2));
    found.add(touch ? pins.curedBy(Optional.of(cure)) : pins.worded("clear"));
    return found;
  }
}
