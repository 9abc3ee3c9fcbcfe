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
import steadycog.shape.PairShift;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Teeth;
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
            .with("teethOff", (int) Math.round(2 * (there - here)))
            .curedBy(cures(train, one, two)));
  }

  private static double distance(Train train, Mesh mesh) {
    return PairGeometry.in(train, mesh).centreDistance();
  }

  /** Another count, or teeth shifted until the nearer pair reaches as far as the other. */
  private static List<Cure> cures(Train train, Mesh one, Mesh two) {
    List<Cure> all = new ArrayList<>(cure(train, one, two).stream().toList());
    boolean firstIsNear = distance(train, one) < distance(train, two);
    Mesh near = firstIsNear ? one : two;
    double reach = distance(train, firstIsNear ? two : one);
    PairShift.reaching(train, near, reach)
        .map(found -> new Cure(found.words(), found.sized()))
        .ifPresent(all::add);
    return all;
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
    Train changed = train.withTeeth(wheel, new Teeth(count, internal));
    List<Mesh> meshes = changed.meshes();
    double here = distance(changed, same(meshes, one));
    return Math.abs(here - distance(changed, same(meshes, two))) < SAME;
  }

  private static Mesh same(List<Mesh> meshes, Mesh old) {
    return meshes.stream()
        .filter(mesh -> mesh.a().equals(old.a()) && mesh.b().equals(old.b()))
        .findFirst()
        .orElseThrow();
  }
}
