package steadycog.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import steadycog.shape.Axes;
import steadycog.shape.PairGeometry;
import steadycog.train.Mesh;
import steadycog.train.Train;

/** Two meshes between the same two axes need one centre distance: (z1 + z2) m1 = (z3 + z4) m2. */
final class ClosureRule implements Rule {

  /** Distances that differ by less are one, in modules. */
  private static final double SAME = 1e-6;

  @Override
  public List<Finding> check(Subject subject) {
    Map<Set<Integer>, Mesh> first = new HashMap<>();
    List<Finding> found = new ArrayList<>();
    Axes axes = Axes.of(subject.train());
    List<Mesh> onFixedAxes =
        subject.train().involuteMeshes().stream().filter(mesh -> mesh.carrier().isEmpty()).toList();
    for (Mesh mesh : onFixedAxes) {
      Set<Integer> pair = new HashSet<>(List.of(axes.of(mesh.a()), axes.of(mesh.b())));
      if (pair.size() == 1) {
        found.add(
            Finding.of("reverted-closure", Severity.ERROR, List.of(mesh.a(), mesh.b()))
                .worded("same")
                .with("one", mesh.a() + " ~ " + mesh.b()));
        continue;
      }
      Mesh other = first.putIfAbsent(pair, mesh);
      if (other != null) {
        finding(subject.train(), other, mesh).ifPresent(found::add);
      }
    }
    return found;
  }

  private static Optional<Finding> finding(Train train, Mesh one, Mesh two) {
    double here = distance(train, one);
    double there = distance(train, two);
    if (Math.abs(here - there) < SAME) {
      return Optional.empty();
    }
    return Optional.of(
        Finding.of("reverted-closure", Severity.ERROR, List.of(one.a(), one.b(), two.a(), two.b()))
            .with("one", one.a() + " ~ " + one.b())
            .with("two", two.a() + " ~ " + two.b())
            .with("distanceOne", PairRule.rounded(here, 1))
            .with("distanceTwo", PairRule.rounded(there, 1))
            .with("teethOff", (int) Math.round(2 * (there - here))));
  }

  private static double distance(Train train, Mesh mesh) {
    return PairGeometry.in(train, mesh).centreDistance()
        * train.moduleMm(mesh.a())
        / train.moduleMm();
  }
}
