package steadycog.check;

import java.util.Optional;
import steadycog.train.Mesh;
import steadycog.train.Train;

/** An internal wheel must have more teeth than the wheel inside it. */
final class RingSizeRule extends PairRule {

  @Override
  Optional<Finding> check(Train train, Mesh mesh) {
    int ring = mesh.teeth(mesh.gear()).count();
    int pinion = mesh.teeth(mesh.pinion()).count();
    if (!mesh.internal() || ring > pinion) {
      return Optional.empty();
    }
    return Optional.of(
        finding("ring-too-small", Severity.ERROR, mesh)
            .with("ring", mesh.gear())
            .with("ringTeeth", ring)
            .with("pinionTeeth", pinion));
  }
}
