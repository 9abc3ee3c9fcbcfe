package steadycog.check;

import java.util.Optional;
import steadycog.number.Measured;
import steadycog.sizing.MeshFigures;
import steadycog.train.Mesh;
import steadycog.train.Train;

/** Teeth that overlap where their axes stand bind: no shaft turns (ISO 21771, normal backlash). */
final class BindingRule extends PairRule {
  @Override
  Optional<Finding> check(Train train, Mesh mesh) {
    Optional<MeshFigures> figures =
        train.sizes().unstated() ? Optional.empty() : MeshFigures.of(train, mesh);
    if (figures.filter(f -> !f.pair().runs()).isPresent()) {
      return figures.map(f -> tooNear(mesh, f));
    }
    return figures
        .filter(MeshFigures::overlaps)
        .map(
            f ->
                finding("binding", Severity.ERROR, mesh)
                    .with("one", mesh.a())
                    .with("two", mesh.b())
                    .with("distance", Measured.mm(f.distance(), 3))
                    .with("overlap", Measured.mm(-f.play(), 3))
                    .with("play", rounded(f.play(), 3)));
  }

  private static Finding tooNear(Mesh mesh, MeshFigures figures) {
    double least = figures.pair().leastDistance() * figures.moduleMm();
    return finding("binding", Severity.ERROR, mesh)
        .with("one", mesh.a())
        .with("two", mesh.b())
        .with("distance", Measured.mm(figures.distance(), 3))
        .with("least", Measured.mm(least, 3))
        .worded("near");
  }
}
