package steadycog.torque;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.Relation;
import steadycog.number.AngularSpeed;
import steadycog.train.Drive;
import steadycog.train.MemberId;
import steadycog.train.Mesh;

/**
 * Torques of meshes with losses, in doubles and with rigidly tied bodies taken as one: small enough
 * to try every way in which power could pass the meshes.
 *
 * <p>A mesh of efficiency h whose wheel a drives puts torques {@code Na f, h s Nb f} on its wheels
 * and the rest on its carrier; where b drives, {@code h Na f, s Nb f}. Wheel a drives where the
 * power that it gives, as seen from the carrier, is positive (Müller, <i>Epicyclic Drive
 * Trains</i>). Which one drives decides the equations and follows from them: every set of
 * directions that the answer bears out is a flow.
 */
final class LossModel {
  /** So many directions that do not follow from one another are tried in all ways at most. */
  static final int MOST_DIRECTIONS = 12;

  /** Power below this share of the largest is rounding: its direction says nothing. */
  private static final double NO_POWER = 1e-9;

  /** Flows whose mesh torques differ by less than this share are the same. */
  private static final double ALIKE = 1e-7;

  private final int meshes;
  private final double[] na;
  private final double[] nb;
  private final int[] shaftA;
  private final int[] shaftB;
  private final int[] shaftC;

  /** Speed of wheel a less that of the carrier; 0 where they turn alike or it does not follow. */
  private final double[] rolling;

  private final boolean[] unknown;
  private final double[] speed;
  private final Shafts shafts;

  /** How many drives and take-offs each shaft has. */
  private final int[] ends;

  private final boolean[] held;

  /**
   * One way in which power passes the meshes that agrees with the torques that follow from it.
   *
   * @param aDrives one a mesh: whether its first wheel gives the power
   * @param force one a mesh: the multiplier f
   * @param outside torque from outside on each shaft whose torque was not given
   * @param in power that enters, in the units of torque times speed
   * @param out power that leaves at ends, not as losses
   */
  record Flow(boolean[] aDrives, double[] force, double[] outside, double in, double out) {
    boolean delivers() {
      return out > NO_POWER * in;
    }

    double efficiency() {
      return out / in;
    }
  }

  /**
   * What came of trying.
   *
   * @param settled false where paths share the load so that the mesh torques do not follow
   * @param tried false where there were too many directions to try them all
   */
  record Flows(List<Flow> flows, boolean settled, boolean tried) {}

  LossModel(Motion motion) {
    Mechanism mechanism = motion.mechanism();
    shafts = new Shafts(mechanism);
    int bodies = mechanism.bodies().size();
    List<Relation> relations = mechanism.relations();
    int count = 0;
    while (count < relations.size() && relations.get(count).cause() instanceof Relation.Meshing) {
      count++;
    }
    meshes = count;
    na = new double[meshes];
    nb = new double[meshes];
    shaftA = new int[meshes];
    shaftB = new int[meshes];
    shaftC = new int[meshes];
    rolling = new double[meshes];
    unknown = new boolean[meshes];
    speed = new double[bodies];
    ends = new int[bodies];
    held = new boolean[bodies];
    Speeds speeds = new Speeds(motion);
    for (int body = 0; body < bodies; body++) {
      speed[body] = speeds.of(body);
      held[body] = shafts.held(shafts.of(body));
    }
    for (int k = 0; k < meshes; k++) {
      addMesh(k, relations.get(k), mechanism, speeds);
    }
    mechanism.roles().drives().forEach(end -> addEnd(end.member(), mechanism));
    mechanism.roles().take().ifPresent(end -> addEnd(end.member(), mechanism));
  }

  private void addEnd(MemberId end, Mechanism mechanism) {
    ends[shafts.of(mechanism.indexOf(end))]++;
  }

  private void addMesh(int k, Relation relation, Mechanism mechanism, Speeds speeds) {
    Mesh mesh = ((Relation.Meshing) relation.cause()).mesh();
    int bodyA = relation.terms().get(0).body();
    int bodyB = relation.terms().get(1).body();
    na[k] = relation.terms().get(0).coefficient().doubleValue();
    nb[k] = relation.terms().get(1).coefficient().doubleValue();
    shaftA[k] = shafts.of(bodyA);
    shaftB[k] = shafts.of(bodyB);
    int bodyC = mesh.carrier().map(mechanism::indexOf).orElse(-1);
    shaftC[k] = bodyC < 0 ? -1 : shafts.of(bodyC);
    Optional<Double> difference = speeds.difference(bodyA, bodyC);
    unknown[k] = difference.isEmpty();
    rolling[k] = difference.orElse(0.0);
  }

  /**
   * Speeds as they are with two drives; with one its own is taken as 1, since directions do not
   * depend on its size, and forwards if it stands still.
   */
  private static final class Speeds {
    private final Motion motion;
    private final List<Drive> drives;

    Speeds(Motion motion) {
      this.motion = motion;
      this.drives = motion.mechanism().roles().drives();
    }

    double of(int body) {
      return difference(body, -1).orElse(0.0);
    }

    /** Exactly 0 where both turn alike; empty where it does not follow. */
    Optional<Double> difference(int body, int less) {
      Optional<List<BigFraction>> own = motion.perDrive().get(body);
      Optional<List<BigFraction>> other =
          less < 0 ? Optional.of(List.of()) : motion.perDrive().get(less);
      if (own.isEmpty() || other.isEmpty()) {
        return Optional.empty();
      }
      AngularSpeed sum = AngularSpeed.ZERO;
      double alone = 0;
      for (int k = 0; k < drives.size(); k++) {
        BigFraction share =
            less < 0 ? own.get().get(k) : own.get().get(k).subtract(other.get().get(k));
        AngularSpeed turning = drives.get(k).angularSpeed();
        sum = sum.plus(turning.times(share));
        alone = share.doubleValue() * (turning.signum() < 0 ? -1 : 1);
      }
      return Optional.of(drives.size() == 1 ? alone : sum.isZero() ? 0 : sum.inRadPerS());
    }
  }

  int meshes() {
    return meshes;
  }

  /** Whether mesh {@code k} rolls, or may do so for all that is known. */
  boolean mayRoll(int k) {
    return unknown[k] || rolling[k] != 0;
  }

  /** The sign of wheel a's speed as seen from the carrier. */
  int way(int k) {
    return (int) Math.signum(rolling[k]);
  }

  /** Whether mesh {@code k} rolls, so that it loses power. */
  boolean rolls(int k) {
    return rolling[k] != 0;
  }

  /** {@code body}, a drive or the take-off, pushed the way it turns. */
  Push push(int body) {
    return push(body, speed[body] < 0 ? -1 : 1);
  }

  /** {@code torque} from outside on {@code body}. */
  Push push(int body, double torque) {
    int shaft = shafts.of(body);
    Directions directions = new Directions(shaft, torque);
    int free = directions.free();
    List<boolean[]> patterns = new ArrayList<>();
    for (long choice = 0; free <= MOST_DIRECTIONS && choice < 1L << free; choice++) {
      patterns.add(directions.of(choice));
    }
    return new Push(shaft, torque, patterns);
  }

  /** A torque on a shaft, with all the ways in which power could pass the meshes under it. */
  final class Push {
    private final int shaft;
    private final double torque;
    private final List<boolean[]> patterns;

    private Push(int shaft, double torque, List<boolean[]> patterns) {
      this.shaft = shaft;
      this.torque = torque;
      this.patterns = patterns;
    }

    /**
     * Every flow that agrees with its torques.
     *
     * @param efficiency one a mesh
     */
    Flows flows(double[] efficiency) {
      List<Flow> found = new ArrayList<>();
      boolean settled = true;
      for (boolean[] aDrives : patterns) {
        Elimination solved = solve(efficiency, aDrives, shaft, torque);
        if (solved.consistent()) {
          settled &= settles(solved, efficiency);
          flow(solved, efficiency, aDrives, shaft, torque)
              .filter(flow -> found.stream().noneMatch(other -> alike(flow, other)))
              .ifPresent(found::add);
        }
      }
      return new Flows(settled ? found : List.of(), settled, !patterns.isEmpty());
    }
  }

  /** Whether the torques of all meshes that lose power follow. */
  private boolean settles(Elimination solved, double[] efficiency) {
    for (int k = 0; k < meshes; k++) {
      if (rolling[k] != 0 && efficiency[k] < 1 && !solved.settled(k)) {
        return false;
      }
      if (unknown[k] && (!solved.settled(k) || Math.abs(solved.value(k)) > NO_POWER)) {
        return false;
      }
    }
    return true;
  }

  /** Balance of every shaft on which no unknown torque from outside acts. */
  private Elimination solve(double[] efficiency, boolean[] aDrives, int shaft, double torque) {
    int[] row = new int[speed.length];
    int rows = 0;
    for (int body = 0; body < speed.length; body++) {
      row[body] = balances(body, shaft) ? rows++ : -1;
    }
    double[][] system = new double[rows][meshes + 1];
    for (int k = 0; k < meshes; k++) {
      double a = onA(k, efficiency, aDrives);
      double b = onB(k, efficiency, aDrives);
      put(system, row, shaftA[k], k, a);
      put(system, row, shaftB[k], k, b);
      put(system, row, shaftC[k], k, -a - b);
    }
    put(system, row, shaft, meshes, -torque);
    return new Elimination(system, meshes);
  }

  /** Whether the mesh torques on a shaft must sum to zero, or to what is given for it. */
  private boolean balances(int shaft, int given) {
    return !held[shaft] && ends[shaft] == (shaft == given ? 1 : 0);
  }

  private static void put(double[][] system, int[] row, int shaft, int column, double value) {
    if (shaft >= 0 && row[shaft] >= 0) {
      system[row[shaft]][column] += value;
    }
  }

  private double onA(int k, double[] efficiency, boolean[] aDrives) {
    return rolling[k] == 0 || aDrives[k] ? na[k] : efficiency[k] * na[k];
  }

  private double onB(int k, double[] efficiency, boolean[] aDrives) {
    return rolling[k] == 0 || !aDrives[k] ? nb[k] : efficiency[k] * nb[k];
  }

  /** The flow of a solution, if it bears out the directions that were taken. */
  private Optional<Flow> flow(
      Elimination solved, double[] efficiency, boolean[] aDrives, int shaft, double torque) {
    double[] force = new double[meshes];
    double most = 0;
    for (int k = 0; k < meshes; k++) {
      force[k] = solved.value(k);
      most = Math.max(most, Math.abs(force[k] * na[k] * rolling[k]));
    }
    for (int k = 0; k < meshes; k++) {
      double given = -force[k] * na[k] * rolling[k];
      if (Math.abs(given) > NO_POWER * most && aDrives[k] != given > 0) {
        return Optional.empty();
      }
    }
    double[] outside = new double[speed.length];
    for (int k = 0; k < meshes; k++) {
      double a = onA(k, efficiency, aDrives) * force[k];
      double b = onB(k, efficiency, aDrives) * force[k];
      outside[shaftA[k]] -= a;
      outside[shaftB[k]] -= b;
      if (shaftC[k] >= 0) {
        outside[shaftC[k]] += a + b;
      }
    }
    return Optional.of(totalled(aDrives, force, outside, shaft, torque));
  }

  private Flow totalled(
      boolean[] aDrives, double[] force, double[] outside, int shaft, double torque) {
    double in = Math.max(0, torque * speed[shaft]);
    double out = Math.max(0, -torque * speed[shaft]);
    outside[shaft] -= torque;
    for (int k = 0; k < outside.length; k++) {
      if (ends[k] > (k == shaft ? 1 : 0)) {
        double power = outside[k] * speed[k];
        in += Math.max(0, power);
        out += Math.max(0, -power);
      }
    }
    return new Flow(aDrives, force, outside, in, out);
  }

  private boolean alike(Flow one, Flow other) {
    double most = 0;
    double apart = 0;
    for (int k = 0; k < meshes; k++) {
      most = Math.max(most, Math.abs(one.force[k]));
      apart = Math.max(apart, Math.abs(one.force[k] - other.force[k]));
    }
    return apart <= ALIKE * most;
  }

  /**
   * Which directions follow from others whatever the losses: two wheels that alone act on a shaft
   * push it against each other, and one that alone acts on the given shaft pushes against that.
   */
  private final class Directions {
    /** The mesh from whose direction that of another follows; itself if free. */
    private final int[] from = new int[meshes];

    private final boolean[] turned = new boolean[meshes];
    private final boolean[] idle = new boolean[meshes];
    private int fixed = -1;
    private boolean fixedDrives;
    private final List<Integer> free = new ArrayList<>();

    Directions(int shaft, double torque) {
      for (int k = 0; k < meshes; k++) {
        from[k] = k;
      }
      for (int body = 0; body < speed.length; body++) {
        if (balances(body, shaft)) {
          follow(body, body == shaft ? torque : 0);
        }
      }
      for (int k = 0; k < meshes; k++) {
        idle[root(k)] |= idle[k];
      }
      for (int k = 0; k < meshes; k++) {
        if (from[k] == k && rolling[k] != 0 && k != root(fixed) && !idle[k]) {
          free.add(k);
        }
      }
    }

    int free() {
      return free.size();
    }

    private int root(int mesh) {
      return mesh < 0 ? -1 : from[mesh] == mesh ? mesh : root(from[mesh]);
    }

    private boolean turnedFromRoot(int mesh) {
      return from[mesh] != mesh && turned[mesh] ^ turnedFromRoot(from[mesh]);
    }

    private void follow(int shaft, double torque) {
      int first = -1;
      int second = -1;
      for (int k = 0; k < meshes; k++) {
        boolean wheel = shaftA[k] == shaft ^ shaftB[k] == shaft;
        if (shaftC[k] == shaft || shaftA[k] == shaft && shaftB[k] == shaft) {
          return;
        }
        if (wheel && second >= 0) {
          return;
        }
        if (wheel && first >= 0) {
          second = k;
        } else if (wheel) {
          first = k;
        }
      }
      if (second >= 0 && torque == 0 && rolling[first] != 0 && rolling[second] != 0) {
        // Equal and opposite torques: f1 c1 + f2 c2 = 0.
        tie(second, first, signOn(first, shaft) * signOn(second, shaft) < 0);
      } else if (first >= 0 && second < 0 && torque != 0 && rolling[first] != 0) {
        // f c = -T; a drives where -f rolling is positive.
        fixed = first;
        fixedDrives = torque * signOn(first, shaft) * Math.signum(rolling[first]) > 0;
      } else if (first >= 0 && second < 0 && torque == 0) {
        // Nothing pushes back: the mesh carries nothing, nor do those that follow from it.
        idle[first] = true;
      }
    }

    /** The sign of a mesh's coefficient on one of its wheels. */
    private double signOn(int mesh, int shaft) {
      return shaftA[mesh] == shaft ? 1 : Math.signum(nb[mesh]);
    }

    /** {@code sameForce}: whether both multipliers have one sign. */
    private void tie(int mesh, int to, boolean sameForce) {
      int a = root(mesh);
      int b = root(to);
      if (a != b) {
        boolean same = sameForce == (rolling[mesh] > 0 == rolling[to] > 0);
        turned[a] = !same ^ turnedFromRoot(mesh) ^ turnedFromRoot(to);
        from[a] = b;
      }
    }

    /** Whether each mesh's wheel a drives, under one choice of the free directions. */
    boolean[] of(long pattern) {
      boolean[] root = new boolean[meshes];
      for (int k = 0; k < free.size(); k++) {
        root[free.get(k)] = (pattern >> k & 1) == 1;
      }
      if (fixed >= 0) {
        root[root(fixed)] = fixedDrives ^ turnedFromRoot(fixed);
      }
      boolean[] all = new boolean[meshes];
      for (int k = 0; k < meshes; k++) {
        all[k] = root[root(k)] ^ turnedFromRoot(k);
      }
      return all;
    }
  }
}
