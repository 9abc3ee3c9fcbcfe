package steadycog.assembly;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import steadycog.number.Known;
import steadycog.shape.Axes;
import steadycog.shape.FaceLayout;
import steadycog.shape.Placed;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.MeshKind;
import steadycog.train.Train;

/**
 * Where axes really stand: sets in line are drawn side by side, and are moved onto their common
 * line here. What nothing ties together, and what crosses at right angles, has no place against the
 * other.
 */
final class TrueAxes {
  private final Map<Integer, Integer> group = new HashMap<>();
  private final Map<Integer, double[]> moved = new HashMap<>();

  private TrueAxes() {}

  static TrueAxes of(Train train, FaceLayout layout) {
    TrueAxes axes = new TrueAxes();
    Map<MemberId, Placed> bodies = new HashMap<>();
    for (Placed body : layout.bodies()) {
      bodies.putIfAbsent(body.id(), body);
      axes.group.putIfAbsent(body.axis(), body.axis());
      axes.moved.putIfAbsent(body.axis(), new double[2]);
    }
    for (Mesh mesh : train.meshes()) {
      if (train.kind(mesh) != MeshKind.BEVEL) {
        Placed a = Known.in(bodies, mesh.a());
        axes.tie(a.axis(), Known.in(bodies, mesh.b()).axis(), 0, 0);
        mesh.carrier()
            .ifPresent(carrier -> axes.tie(a.axis(), Known.in(bodies, carrier).axis(), 0, 0));
      }
    }
    Axes lines = Axes.of(train);
    for (int line = 0; line < lines.count(); line++) {
      List<Placed> on =
          lines.on(line).stream()
              .map(Member::id)
              .filter(bodies::containsKey)
              .map(bodies::get)
              .toList();
      for (int k = 1; k < on.size(); k++) {
        axes.align(on.getFirst(), on.get(k));
      }
    }
    return axes;
  }

  private void align(Placed one, Placed other) {
    double[] first = Known.in(moved, one.axis());
    double[] second = Known.in(moved, other.axis());
    tie(
        one.axis(),
        other.axis(),
        one.middleX() + first[0] - other.middleX() - second[0],
        one.middleY() + first[1] - other.middleY() - second[1]);
  }

  /** Takes the group of {@code other} into that of {@code one}, moved by dx, dy. */
  private void tie(int one, int other, double dx, double dy) {
    int kept = Known.in(group, one);
    int gone = Known.in(group, other);
    if (kept == gone) {
      return;
    }
    group.forEach(
        (axis, number) -> {
          if (number == gone) {
            double[] by = Known.in(moved, axis);
            by[0] += dx;
            by[1] += dy;
          }
        });
    group.replaceAll((axis, number) -> number == gone ? kept : number);
  }

  /** Which axes have a place against each other: those of one number. */
  int group(int axis) {
    return Known.in(group, axis);
  }

  /** By how much an axis really stands elsewhere than it is drawn, in modules. */
  double[] moved(int axis) {
    return Known.in(moved, axis);
  }
}
