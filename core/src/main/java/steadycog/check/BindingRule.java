package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.shape.PairShift;
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
      return figures.map(f -> tooNear(train, mesh, f));
    }
    return figures
        .filter(MeshFigures::overlaps)
        .map(
            f ->
                finding("binding", Severity.ERROR, mesh)
                    .with("one", mesh.a())
                    .with("two", mesh.b())
                    .with("distance", rounded(f.distance(), 3) + " mm")
                    .with("overlap", rounded(-f.play(), 3) + " mm")
                    .with("play", rounded(f.play(), 3))
                    .curedBy(cures(train, mesh, f)));
  }

  private static Finding tooNear(Train train, Mesh mesh, MeshFigures figures) {
    double least = figures.pair().leastDistance() * figures.moduleMm();
    return finding("binding", Severity.ERROR, mesh)
        .with("one", mesh.a())
        .with("two", mesh.b())
        .with("distance", rounded(figures.distance(), 3) + " mm")
        .with("least", rounded(least, 3) + " mm")
        .curedBy(cures(train, mesh, figures))
        .worded("near");
  }

  /** Axes where they would be without a stated distance, or teeth shifted to reach it. */
  private static List<Cure> cures(Train train, Mesh mesh, MeshFigures figures) {
    List<Cure> all = new ArrayList<>();
    double reach = figures.distance() / figures.moduleMm();
    PairShift.reaching(train, mesh, reach)
        .map(found -> new Cure(found.words(), found.sized()))
        .ifPresent(all::add);
    if (train.sizes().distanceMm(mesh.a(), mesh.b()).isPresent()) {
      all.add(
          new Cure(
              "no stated distance of " + mesh.a() + " and " + mesh.b(),
              train.withSizes(train.sizes().withDistance(mesh.a(), mesh.b(), Optional.empty()))));
    }
    return all;
  }
}
