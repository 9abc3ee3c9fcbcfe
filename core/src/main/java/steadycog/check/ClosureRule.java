package steadycog.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import steadycog.shape.Axes;
import steadycog.shape.FaceLayout;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** Two meshes between the same two axes need one centre distance: (z1 + z2) m1 = (z3 + z4) m2. */
final class ClosureRule implements Rule {

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
    double here = FaceLayout.centreDistance(one);
    double there = FaceLayout.centreDistance(two);
    if (here == there) {
      return Optional.empty();
    }
    return Optional.of(
        Finding.of("reverted-closure", Severity.ERROR, List.of(one.a(), one.b(), two.a(), two.b()))
            .with("one", one.a() + " ~ " + one.b())
            .with("two", two.a() + " ~ " + two.b())
            .with("distanceOne", PairRule.rounded(here, 1))
            .with("distanceTwo", PairRule.rounded(there, 1))
            .with("teethOff", (int) Math.round(2 * (there - here)))
            .curedBy(cure(train, one, two)));
  }

  /** The largest of the four wheels changed, since that shifts the ratio least. */
  private static Optional<Cure> cure(Train train, Mesh one, Mesh two) {
    MemberId best = one.a();
    int most = 0;
    for (Mesh mesh : List.of(one, two)) {
      for (MemberId member : List.of(mesh.a(), mesh.b())) {
        Teeth teeth = mesh.teeth(member);
        if (teeth.count() > most) {
          most = teeth.count();
          best = member;
        }
      }
    }
    MemberId largest = best;
    return Cure.nearest(train, largest, count -> closes(train, largest, count, one, two));
  }

  private static boolean closes(Train train, MemberId wheel, int count, Mesh one, Mesh two) {
    boolean internal = (one.touches(wheel) ? one : two).teeth(wheel).internal();
    List<Mesh> meshes = train.withTeeth(wheel, new Teeth(count, internal)).meshes();
    return FaceLayout.centreDistance(same(meshes, one))
        == FaceLayout.centreDistance(same(meshes, two));
  }

  private static Mesh same(List<Mesh> meshes, Mesh old) {
    return meshes.stream()
        .filter(mesh -> mesh.a().equals(old.a()) && mesh.b().equals(old.b()))
        .findFirst()
        .orElseThrow();
  }
}
