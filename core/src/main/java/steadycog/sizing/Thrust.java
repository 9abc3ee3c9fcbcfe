package steadycog.sizing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Known;
import steadycog.shape.Axes;
import steadycog.torque.Torques;
import steadycog.train.Helices;
import steadycog.train.Helix;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * What helical teeth press a body along its axis with (Shigley, helical gears: Wa = Wt tan b; the
 * direction from hand and torque). It turns round with the torque; herringbones press nothing.
 *
 * @param member the planet, or the first wheel on the shaft
 * @param planet whether it is one of the planets of a set, each of which is pressed so
 * @param force N, towards the drive end positive, away from it negative
 * @param tilting moment on a planet by the forces of its two meshes, which press it opposite ways a
 *     diameter apart, N mm; 0 of anything else
 */
public record Thrust(MemberId member, boolean planet, double force, double tilting) {
  private static final double MM_PER_M = 1000;

  /** Less than this share of the largest tooth's thrust is nothing. */
  private static final double NOTHING = 1e-9;

  /**
   * On one wheel by one mesh, from all contacts.
   *
   * @param force N, towards the drive end positive
   * @param lever from the wheel's axis to the contacts, mm
   */
  private record OfMesh(Mesh mesh, MemberId wheel, double force, double lever) {}

  /** Of every wheel by every mesh whose torque follows: - s T tan b / r, s 1 of a right hand. */
  private static List<OfMesh> ofMeshes(Train train, Torques torques) {
    List<OfMesh> all = new ArrayList<>();
    if (!Helices.any(train)) {
      return all;
    }
    List<Mesh> meshes = train.meshes();
    for (int k = 0; k < meshes.size(); k++) {
      Mesh mesh = meshes.get(k);
      Optional<MeshFigures> figures = MeshFigures.of(train, mesh);
      double one = force(train, torques, k, mesh, mesh.a());
      double other = force(train, torques, k, mesh, mesh.b());
      // Losses are a moment that no force along the axis goes with: both are pressed alike.
      double onFirst = Math.copySign(Math.max(Math.abs(one), Math.abs(other)), one);
      if (figures.isPresent() && !Helices.of(train, mesh.a()).isStraight()) {
        MeshFigures known = figures.get();
        all.add(new OfMesh(mesh, mesh.a(), onFirst, known.workingRadius(mesh.a())));
        all.add(new OfMesh(mesh, mesh.b(), -onFirst, known.workingRadius(mesh.b())));
      }
    }
    return all;
  }

  private static double force(
      Train train, Torques torques, int relation, Mesh mesh, MemberId wheel) {
    Helix helix = Helices.of(train, wheel);
    if (helix.isStraight() || helix.isDouble()) {
      return 0;
    }
    double torque =
        torques
            .relationTorque(relation, torques.mechanism().indexOf(wheel))
            .map(BigFraction::doubleValue)
            .orElse(0.0);
    double radius = mesh.teeth(wheel).count() * train.moduleMm(wheel) / 2;
    return -helix.sign() * torque * MM_PER_M / radius * Math.tan(helix.radians());
  }

  /**
   * What is left on every planet and every shaft; what planets are left with presses the carrier.
   */
  public static List<Thrust> of(Train train, Torques torques) {
    List<OfMesh> meshes = ofMeshes(train, torques);
    Axes shafts = Axes.ofShafts(train);
    Map<Integer, MemberId> first = new LinkedHashMap<>();
    Map<Integer, Double> forces = new LinkedHashMap<>();
    Map<MemberId, Thrust> planets = new LinkedHashMap<>();
    double most = meshes.stream().mapToDouble(one -> Math.abs(one.force)).max().orElse(0);
    for (OfMesh one : meshes) {
      Optional<Planetary> set = train.partOf(one.wheel, Planetary.class);
      boolean planet = set.filter(s -> s.isPlanet(one.wheel)).isPresent();
      if (planet) {
        MemberId body = set.get().body(one.wheel);
        double each = one.force / set.get().count();
        boolean inRing = one.mesh.internal();
        Thrust sofar = planets.getOrDefault(body, new Thrust(body, true, 0, 0));
        planets.put(
            body,
            new Thrust(
                body,
                true,
                sofar.force + each,
                sofar.tilting + (inRing ? 1 : -1) * each * one.lever));
        MemberId carrier = set.get().carrierId();
        first.putIfAbsent(shafts.of(carrier), carrier);
        forces.merge(shafts.of(carrier), one.force, Double::sum);
      } else {
        first.putIfAbsent(shafts.of(one.wheel), one.wheel);
        forces.merge(shafts.of(one.wheel), one.force, Double::sum);
      }
    }
    List<Thrust> all = new ArrayList<>();
    first.forEach(
        (shaft, member) -> {
          double force = clean(Known.in(forces, shaft), most);
          if (force != 0) {
            all.add(new Thrust(member, false, force, 0));
          }
        });
    for (Thrust one : planets.values()) {
      if (one.tilting != 0) {
        all.add(new Thrust(one.member, true, clean(one.force, most), Math.abs(one.tilting)));
      }
    }
    return all;
  }

  private static double clean(double force, double most) {
    return Math.abs(force) < NOTHING * most ? 0 : force;
  }

  /** Where a shoulder has to stand, in words: none where nothing presses. */
  public String shoulder() {
    return force == 0 ? "none" : force > 0 ? "at the drive end" : "at the far end";
  }
}
