package steadycog.sizing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Known;
import steadycog.shape.Axes;
import steadycog.shape.FaceLayout;
import steadycog.shape.PlacedWheel;
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
 * @param force N, towards the drive end positive, away from it negative; of several states the
 *     largest
 * @param otherWay the largest against it in another state, N, 0 and above
 * @param tilting moment on a planet by the forces of its meshes, which press it opposite ways at
 *     different sides, N mm; 0 of anything else
 * @param cancelling how one of two wheels on a shaft would take up what the other presses
 */
public record Thrust(
    MemberId member,
    boolean planet,
    double force,
    double otherWay,
    double tilting,
    Optional<Cancelling> cancelling) {

  /**
   * With this helix of one of two wheels nothing is left on their shaft: tan b1 / d1 = tan b2 / d2
   * where both carry one torque, and hands such that they press against each other.
   *
   * @param wheel the one that presses harder
   * @param adds whether the two press the same way now
   */
  public record Cancelling(MemberId wheel, MemberId other, Helix helix, boolean adds) {
    /** As a card states it: {@code helix C 8.2 deg left}. */
    @Override
    public String toString() {
      return "helix " + wheel + " " + helix;
    }
  }

  /**
   * On one wheel by all its meshes, along its axis.
   *
   * @param force N, towards the drive end positive, of all planets together
   */
  public record OnWheel(MemberId wheel, double force) {}

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
      double one = force(train, torques, k, mesh.a());
      double other = force(train, torques, k, mesh.b());
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

  private static double force(Train train, Torques torques, int relation, MemberId wheel) {
    double torque =
        torques
            .relationTorque(relation, torques.mechanism().indexOf(wheel))
            .map(BigFraction::doubleValue)
            .orElse(0.0);
    return share(train, wheel) * torque * MM_PER_M;
  }

  /** Force along the axis, N, for a torque on the wheel of 1 N mm: -s tan b / r. */
  static double share(Train train, MemberId wheel) {
    Helix helix = Helices.of(train, wheel);
    if (helix.isStraight() || helix.isDouble()) {
      return 0;
    }
    double radius = train.member(wheel).teeth().orElseThrow().count() * train.moduleMm(wheel) / 2;
    return -helix.sign() * Math.tan(helix.radians()) / radius;
  }

  /** What every helical wheel is pressed with; nothing of one that its meshes leave in peace. */
  public static List<OnWheel> onWheels(Train train, Torques torques) {
    Map<MemberId, Double> forces = new LinkedHashMap<>();
    ofMeshes(train, torques).forEach(one -> forces.merge(one.wheel, one.force, Double::sum));
    double most = forces.values().stream().mapToDouble(Math::abs).max().orElse(0);
    return forces.entrySet().stream()
        .map(one -> new OnWheel(one.getKey(), clean(one.getValue(), most)))
        .filter(one -> one.force != 0)
        .toList();
  }

  /** What is left on every shaft; what planets are left with presses the carrier. */
  public static List<Thrust> ofShafts(Train train, Torques torques) {
    List<OfMesh> meshes = ofMeshes(train, torques);
    Axes shafts = Axes.ofShafts(train);
    Map<Integer, MemberId> first = new LinkedHashMap<>();
    Map<Integer, List<OfMesh>> onShafts = new LinkedHashMap<>();
    double most = most(meshes);
    for (OfMesh one : meshes) {
      MemberId bears = planetOf(train, one).map(Planetary::carrierId).orElse(one.wheel);
      first.putIfAbsent(shafts.of(bears), bears);
      onShafts.computeIfAbsent(shafts.of(bears), none -> new ArrayList<>()).add(one);
    }
    List<Thrust> all = new ArrayList<>();
    first.forEach(
        (shaft, member) -> {
          List<OfMesh> here = Known.in(onShafts, shaft);
          double force = clean(here.stream().mapToDouble(OfMesh::force).sum(), most);
          if (force != 0) {
            all.add(new Thrust(member, false, force, 0, 0, cancelling(train, here)));
          }
        });
    return all;
  }

  /** The same, and what is left on every planet. */
  static List<Thrust> of(Train train, FaceLayout layout, Torques torques) {
    List<Thrust> all = new ArrayList<>(ofShafts(train, torques));
    List<OfMesh> meshes = ofMeshes(train, torques);
    Map<MemberId, double[]> planets = new LinkedHashMap<>();
    for (OfMesh one : meshes) {
      planetOf(train, one)
          .ifPresent(
              set -> {
                double each = one.force / set.count();
                double at = contact(layout, one);
                double[] sum = planets.computeIfAbsent(set.body(one.wheel), none -> new double[3]);
                sum[0] += each;
                sum[1] += each * one.lever * Math.cos(at);
                sum[2] += each * one.lever * Math.sin(at);
              });
    }
    planets.forEach(
        (body, sum) -> {
          double tilting = Math.hypot(sum[1], sum[2]);
          if (tilting > 0) {
            double force = clean(sum[0], most(meshes));
            all.add(new Thrust(body, true, force, 0, tilting, Optional.empty()));
          }
        });
    return all;
  }

  private static Optional<Planetary> planetOf(Train train, OfMesh one) {
    return train.partOf(one.wheel, Planetary.class).filter(set -> set.isPlanet(one.wheel));
  }

  /** Where from a wheel's axis it touches its mate. */
  private static double contact(FaceLayout layout, OfMesh one) {
    MemberId mate = one.mesh.other(one.wheel);
    PlacedWheel own = layout.wheel(one.wheel);
    PlacedWheel other = layout.wheel(mate);
    double towards = Math.atan2(other.y() - own.y(), other.x() - own.x());
    return one.mesh.teeth(mate).internal() ? towards + Math.PI : towards;
  }

  private static double most(List<OfMesh> meshes) {
    return meshes.stream().mapToDouble(one -> Math.abs(one.force)).max().orElse(0);
  }

  /** For a shaft with two wheels that press it: sin b is as the force, d being m z / cos b. */
  private static Optional<Cancelling> cancelling(Train train, List<OfMesh> here) {
    Map<MemberId, Double> forces = new LinkedHashMap<>();
    here.forEach(one -> forces.merge(one.wheel, one.force, Double::sum));
    List<MemberId> wheels =
        forces.keySet().stream()
            .sorted(Comparator.comparingDouble(w -> Math.abs(Known.in(forces, w))))
            .toList();
    boolean planets =
        wheels.stream()
            .anyMatch(w -> train.partOf(w, Planetary.class).filter(s -> s.isPlanet(w)).isPresent());
    if (wheels.size() != 2 || planets) {
      return Optional.empty();
    }
    MemberId other = wheels.getFirst();
    MemberId wheel = wheels.getLast();
    double share = Known.in(forces, other) / Known.in(forces, wheel);
    Helix now = Helices.of(train, wheel);
    double degrees = Math.toDegrees(Math.asin(Math.abs(share) * Math.sin(now.radians())));
    if (degrees == 0) {
      return Optional.empty();
    }
    Helix.Hand hand = now.hand().orElse(Helix.Hand.RIGHT);
    return Optional.of(
        new Cancelling(
            wheel,
            other,
            new Helix(
                Exact.parse(Figures.plain(degrees)),
                Optional.of(share > 0 ? hand.mate(false) : hand),
                false),
            share > 0));
  }

  /** The larger of what presses it here and in another state, and the most against that. */
  Thrust underBoth(Thrust there) {
    boolean alike = Math.signum(force) * Math.signum(there.force) >= 0;
    boolean more = Math.abs(there.force) > Math.abs(force);
    Thrust larger = more ? there : this;
    Thrust smaller = more ? this : there;
    double against = Math.max(larger.otherWay, alike ? smaller.otherWay : Math.abs(smaller.force));
    return new Thrust(
        member, planet, larger.force, against, Math.max(tilting, there.tilting), larger.cancelling);
  }

  private static double clean(double force, double most) {
    return Math.abs(force) < NOTHING * most ? 0 : force;
  }

  /** N, as the train is driven in one state or the other. */
  public double towards(boolean driveEnd) {
    return force > 0 == driveEnd ? Math.abs(force) : otherWay;
  }

  /** Where a shoulder has to stand, in words: none where nothing presses. */
  public String shoulder(boolean turningBack) {
    if (force == 0) {
      return "none";
    }
    if (otherWay > 0) {
      return "at both ends";
    }
    return force > 0 != turningBack ? "at the drive end" : "at the far end";
  }
}
