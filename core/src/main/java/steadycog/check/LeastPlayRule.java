package steadycog.check;

import java.util.Optional;
import steadycog.number.Measured;
import steadycog.sizing.Band;
import steadycog.sizing.MeshFigures;
import steadycog.sizing.MeshPlay;
import steadycog.train.Mesh;
import steadycog.train.Train;

/** With all deviations at their worst a mesh must still have play: else some of a batch bind. */
final class LeastPlayRule extends PairRule {

  @Override
  Optional<Finding> check(Train train, Mesh mesh) {
    if (train.sizes().tolerances().isEmpty()) {
      return Optional.empty();
    }
    return MeshFigures.of(train, mesh)
        .filter(figures -> figures.pair().runs())
        .map(figures -> MeshPlay.of(train, figures).around())
        .filter(Band::isWide)
        .map(band -> finding(mesh, band));
  }

  private static Finding finding(Mesh mesh, Band band) {
    boolean binds = band.least() < 0;
    Finding finding =
        finding("least-play", binds ? Severity.ERROR : Severity.OK, mesh)
            .with("one", mesh.a())
            .with("two", mesh.b())
            .with("margin", rounded(band.least(), 3))
            .with("least", Measured.mm(Math.abs(band.least()), 3))
            .with("nominal", Measured.mm(band.nominal(), 3))
            .with("most", Measured.mm(band.most(), 3));
    return binds ? finding : finding.worded("enough");
  }
}
