package steadycog.check;

import java.util.List;
import steadycog.shape.CycloidGeometry;
import steadycog.train.Cycloidal;
import steadycog.train.Train;

/** A disc of n lobes rolls in n + 1 pins; in more it touches only some of them. */
final class LobeCountRule extends CycloidalRule {

  @Override
  List<Finding> check(Train train, Cycloidal drive, CycloidGeometry geometry) {
    int off = drive.pins() - drive.lobes() - 1;
    if (off == 0) {
      return List.of();
    }
    return List.of(
        Finding.of("lobe-count", Severity.ERROR, List.of(drive.discId(), drive.ringId()))
            .with("lobes", drive.lobes())
            .with("pins", drive.pins())
            .with("needed", drive.lobes() + 1)
            .with("margin", -off));
  }
}
