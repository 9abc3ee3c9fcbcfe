package steadycog.check;

import java.util.Optional;
import steadycog.shape.PairGeometry;
import steadycog.train.Mesh;
import steadycog.train.Train;

/** External pairs: the gear's tips must stay outside the pinion's interference point. */
final class InterferenceRule extends PairRule {

  @Override
  Optional<Finding> check(Train train, Mesh mesh) {
    if (mesh.internal()) {
      return Optional.empty();
    }
    double margin = PairGeometry.in(train, mesh).interferenceMargin();
    if (margin >= 0) {
      return Optional.empty();
    }
    return Optional.of(
        finding("interference", Severity.ERROR, mesh)
            .with("pinion", mesh.pinion())
            .with("gear", mesh.gear())
            .with("teeth", mesh.teeth(mesh.pinion()).count())
            .with("margin", rounded(margin, 3))
            .with("excess", rounded(-margin, 3)));
  }
}
