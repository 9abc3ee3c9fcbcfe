package steadycog.check;

import java.util.Optional;
import steadycog.shape.PairGeometry;
import steadycog.sizing.MeshFigures;
import steadycog.train.Helices;
import steadycog.train.Mesh;
import steadycog.train.Train;

/**
 * Below 1.2 pairs of teeth in contact a mesh runs rough, below 1.0 it lets go; the overlap of
 * helical teeth counts where their face is known.
 */
final class ContactRatioRule extends PairRule {
  static final double SMOOTH = 1.2;
  static final double LEAST = 1.0;

  @Override
  Optional<Finding> check(Train train, Mesh mesh) {
    PairGeometry pair = PairGeometry.in(train, mesh);
    double ratio =
        train.isSized() && !Helices.of(train, mesh.a()).isStraight()
            ? MeshFigures.of(train, mesh).map(MeshFigures::totalContactRatio).orElse(0.0)
            : pair.contactRatio();
    if (ratio >= SMOOTH || (mesh.internal() && pair.gear() <= pair.pinion())) {
      return Optional.empty();
    }
    Severity severity = ratio < LEAST ? Severity.ERROR : Severity.WARNING;
    return Optional.of(
        finding("contact-ratio", severity, mesh)
            .with("contactRatio", rounded(ratio, 2))
            .with("margin", rounded(ratio - SMOOTH, 2)));
  }
}
