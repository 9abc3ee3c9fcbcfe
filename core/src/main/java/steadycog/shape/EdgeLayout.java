package steadycog.shape;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;

/**
 * A train seen from the side, its axes unfolded into the plane of the paper: meshing wheels touch,
 * wheels of one plane stand above one another, and the whole is folded to be as low as it can.
 *
 * @param wheels in the order of the card; of equal planets one
 * @param planes how many planes there are; they are numbered from 0 at the drive end
 */
public record EdgeLayout(List<EdgeWheel> wheels, int planes) {

  /**
   * A wheel in the side view.
   *
   * @param plane from 0
   * @param height of the axis, in modules, up
   */
  public record EdgeWheel(PlacedWheel wheel, int plane, double height) {

    double top() {
      return height + wheel.bodyRadius();
    }

    double bottom() {
      return height - wheel.bodyRadius();
    }
  }

  public EdgeLayout {
    wheels = List.copyOf(wheels);
  }

  /** Unfolds the axes one after the other, each up or down; quadratic in the number of wheels. */
  public static EdgeLayout of(Train train, FaceLayout face) {
    return new Unfolding(train, face).unfold();
  }

  /** Least and greatest height of any body. */
  public double[] range() {
    double low = wheels.stream().mapToDouble(EdgeWheel::bottom).min().orElse(0);
    double high = wheels.stream().mapToDouble(EdgeWheel::top).max().orElse(0);
    return new double[] {low, high};
  }

  private static final class Unfolding {
    private static final double CLASH_COST = 10_000;

    private final List<Mesh> meshes;
    private final FaceLayout face;
    private final Map<MemberId, PlacedWheel> byId = new HashMap<>();
    private final Map<Integer, Double> heights = new HashMap<>();
    private final int firstPlane;

    Unfolding(Train train, FaceLayout face) {
      this.meshes = train.meshes();
      this.face = face;
      face.wheels().forEach(wheel -> byId.putIfAbsent(wheel.id(), wheel));
      firstPlane = face.wheels().stream().mapToInt(PlacedWheel::plane).min().orElse(0);
    }

    EdgeLayout unfold() {
      List<PlacedWheel> once = face.wheels().stream().filter(w -> w.copy() == 0).toList();
      for (PlacedWheel wheel : once) {
        heights.putIfAbsent(wheel.axis(), 0.0);
        Optional<Mesh> next = meshes.stream().filter(this::reaches).findFirst();
        while (next.isPresent()) {
          unfoldAcross(next.get());
          next = meshes.stream().filter(this::reaches).findFirst();
        }
      }
      List<EdgeWheel> all = new ArrayList<>();
      once.forEach(wheel -> all.add(at(wheel, heights.get(wheel.axis()))));
      int last = face.wheels().stream().mapToInt(PlacedWheel::plane).max().orElse(0);
      return new EdgeLayout(all, last - firstPlane + 1);
    }

    private EdgeWheel at(PlacedWheel wheel, double height) {
      return new EdgeWheel(wheel, wheel.plane() - firstPlane, height);
    }

    private boolean known(MemberId id) {
      return heights.containsKey(byId.get(id).axis());
    }

    private boolean reaches(Mesh mesh) {
      return known(mesh.a()) != known(mesh.b());
    }

    private void unfoldAcross(Mesh mesh) {
      PlacedWheel from = byId.get(known(mesh.a()) ? mesh.a() : mesh.b());
      PlacedWheel to = byId.get(known(mesh.a()) ? mesh.b() : mesh.a());
      if (mesh.carrier().isPresent()) {
        heights.put(to.axis(), heights.get(from.axis()) - fromMiddle(from) + fromMiddle(to));
        return;
      }
      double distance = FaceLayout.centreDistance(mesh);
      double down = heights.get(from.axis()) - distance;
      double up = heights.get(from.axis()) + distance;
      heights.put(to.axis(), cost(to.axis(), down) <= cost(to.axis(), up) ? down : up);
    }

    /** Planets are unfolded upwards from their carrier's axis. */
    private static double fromMiddle(PlacedWheel wheel) {
      return wheel.orbit().map(o -> Math.hypot(wheel.x() - o.x(), wheel.y() - o.y())).orElse(0.0);
    }

    /** How high the whole becomes, and whether wheels of one plane would lie over each other. */
    private double cost(int axis, double height) {
      double low = Double.MAX_VALUE;
      double high = -Double.MAX_VALUE;
      double cost = 0;
      List<EdgeWheel> fresh = on(axis, height);
      List<EdgeWheel> placed = new ArrayList<>(fresh);
      heights.forEach((other, known) -> placed.addAll(on(other, known)));
      for (EdgeWheel wheel : placed) {
        low = Math.min(low, wheel.bottom());
        high = Math.max(high, wheel.top());
        for (EdgeWheel own : fresh) {
          cost += clashing(own, wheel) ? CLASH_COST : 0;
        }
      }
      return cost + high - low;
    }

    private List<EdgeWheel> on(int axis, double height) {
      return face.wheels().stream()
          .filter(wheel -> wheel.axis() == axis && wheel.copy() == 0)
          .map(wheel -> at(wheel, height))
          .toList();
    }

    private boolean clashing(EdgeWheel a, EdgeWheel b) {
      boolean meshing =
          meshes.stream()
              .anyMatch(mesh -> mesh.touches(a.wheel.id()) && mesh.touches(b.wheel.id()));
      return a.wheel.axis() != b.wheel.axis()
          && a.plane == b.plane
          && !meshing
          && a.bottom() < b.top()
          && b.bottom() < a.top();
    }
  }
}
