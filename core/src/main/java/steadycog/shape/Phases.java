package steadycog.shape;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import steadycog.number.Known;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;

/** Turns every wheel so that its teeth stand in the spaces of its mates. */
final class Phases {
  private final Map<MemberId, PlacedWheel> wheels = new HashMap<>();
  private final Set<MemberId> settled = new HashSet<>();

  private Phases(List<PlacedWheel> placed) {
    placed.forEach(wheel -> wheels.put(wheel.id(), wheel));
  }

  /** The wheels with their phases; a mesh that closes a loop takes what the others leave it. */
  static List<PlacedWheel> inMesh(Train train, List<PlacedWheel> placed) {
    Phases phases = new Phases(placed);
    for (PlacedWheel wheel : placed) {
      if (phases.settled.add(wheel.id())) {
        phases.spread(train.involuteMeshes());
      }
    }
    return placed.stream().map(wheel -> phases.wheels.get(wheel.id())).toList();
  }

  private void spread(List<Mesh> meshes) {
    boolean again = true;
    while (again) {
      again = false;
      for (Mesh mesh : meshes) {
        if (settled.contains(mesh.a()) != settled.contains(mesh.b())) {
          settle(mesh);
          again = true;
        }
      }
    }
  }

  private void settle(Mesh mesh) {
    boolean fromA = settled.contains(mesh.a());
    PlacedWheel known = Known.in(wheels, fromA ? mesh.a() : mesh.b());
    PlacedWheel next = Known.in(wheels, fromA ? mesh.b() : mesh.a());
    wheels.put(next.id(), meshing(known, next));
    settled.add(next.id());
  }

  /** {@code next} turned so that its teeth stand in the spaces of {@code known}. */
  static PlacedWheel meshing(PlacedWheel known, PlacedWheel next) {
    boolean inRing = known.teeth().internal() || next.teeth().internal();
    return next.withPhase(inRing ? internal(known, next) : external(known, next));
  }

  /** From Na(th - A) + Nb(th + pi - B) = pi (mod 2 pi), th from a's centre to b's. */
  private static double external(PlacedWheel a, PlacedWheel b) {
    double th = Math.atan2(b.y() - a.y(), b.x() - a.x());
    return th + Math.PI + (a.teeth().count() * (th - a.phase()) - Math.PI) / b.teeth().count();
  }

  /** From Nr(th - R) - Np(th - P) = 0 (mod 2 pi), th from the ring's centre to the pinion's. */
  private static double internal(PlacedWheel known, PlacedWheel next) {
    boolean fromRing = known.teeth().internal();
    PlacedWheel ring = fromRing ? known : next;
    PlacedWheel pinion = fromRing ? next : known;
    double th = Math.atan2(pinion.y() - ring.y(), pinion.x() - ring.x());
    return th - known.teeth().count() * (th - known.phase()) / next.teeth().count();
  }
}
