package steadycog.shape;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;

/** Unfolds axes into the plane of the paper, one after the other, each up or down. */
final class EdgeFolding {
  private static final double CLASH_COST = 10_000;

  private final List<Mesh> meshes;
  private final List<PlacedWheel> wheels;
  private final Map<MemberId, PlacedWheel> byId = new HashMap<>();
  private final Map<Integer, Double> heights = new HashMap<>();

  /** A wheel at the height of its axis. */
  private record Raised(PlacedWheel wheel, double height) {
    double top() {
      return height + wheel.bodyRadius();
    }

    double bottom() {
      return height - wheel.bodyRadius();
    }
  }

  private EdgeFolding(Train train, FaceLayout face) {
    meshes = train.involuteMeshes();
    wheels = face.wheels().stream().filter(wheel -> wheel.copy() == 0).toList();
    wheels.forEach(wheel -> byId.put(wheel.id(), wheel));
  }

  /** The height of every axis, in modules, up. */
  static Map<Integer, Double> heights(Train train, FaceLayout face) {
    EdgeFolding folding = new EdgeFolding(train, face);
    folding.unfold();
    face.plates().forEach(plate -> folding.heights.putIfAbsent(plate.axis(), plate.y()));
    return folding.heights;
  }

  private void unfold() {
    for (PlacedWheel wheel : wheels) {
      heights.putIfAbsent(wheel.axis(), 0.0);
      Optional<Mesh> next = meshes.stream().filter(this::reaches).findFirst();
      while (next.isPresent()) {
        unfoldAcross(next.get());
        next = meshes.stream().filter(this::reaches).findFirst();
      }
    }
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
    List<Raised> fresh = on(axis, height);
    List<Raised> placed = new ArrayList<>(fresh);
    heights.forEach((other, known) -> placed.addAll(on(other, known)));
    for (Raised raised : placed) {
      low = Math.min(low, raised.bottom());
      high = Math.max(high, raised.top());
      for (Raised own : fresh) {
        cost += clashing(own, raised) ? CLASH_COST : 0;
      }
    }
    return cost + high - low;
  }

  private List<Raised> on(int axis, double height) {
    return wheels.stream()
        .filter(wheel -> wheel.axis() == axis)
        .map(wheel -> new Raised(wheel, height))
        .toList();
  }

  private boolean clashing(Raised a, Raised b) {
    boolean meshing =
        meshes.stream().anyMatch(mesh -> mesh.touches(a.wheel.id()) && mesh.touches(b.wheel.id()));
    return a.wheel.axis() != b.wheel.axis()
        && a.wheel.plane() == b.wheel.plane()
        && !meshing
        && a.bottom() < b.top()
        && b.bottom() < a.top();
  }
}
