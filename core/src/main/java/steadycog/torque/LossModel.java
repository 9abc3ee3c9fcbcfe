package steadycog.torque;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.Relation;
import steadycog.motion.Relation.Term;
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

  /**
   * Power below this share of what enters, or of what the largest mesh passes, is rounding: its
   * direction says nothing.
   */
  static final double NO_POWER = 1e-9;

  private final LossyMesh[] meshes;
  private final double[] speed;
  private final ShaftNumbers shafts;

  /** How many drives and take-offs each shaft has. */
  private final int[] ends;

  private final boolean[] held;

  /** The shaft of the take-off; -1 where there is none. */
  private final int take;

  /**
   * One way in which power passes the meshes that agrees with the torques that follow from it.
   *
   * @param aDrives one a mesh: whether its first wheel gives the power
   * @param force one a mesh: the multiplier f
   * @param in power that enters, in the units of torque times speed
   * @param out power that leaves at ends, not as losses
   * @param delivered the part of it that leaves where it is wanted: at the take-off, or pushed
   *     there at the drive
   */
  @SuppressWarnings("ArrayRecordComponent") // Never compared.
  record Flow(boolean[] aDrives, double[] force, double in, double out, double delivered) {
    boolean delivers() {
      return delivered > NO_POWER * in;
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
    shafts = new ShaftNumbers(mechanism);
    int bodies = mechanism.bodies().size();
    speed = new double[bodies];
    ends = new int[bodies];
    held = new boolean[bodies];
    Speeds speeds = new Speeds(motion);
    for (int body = 0; body < bodies; body++) {
      speed[body] = speeds.of(body);
      held[body] = shafts.held(shafts.of(body));
    }
    meshes =
        mechanism.relations().stream()
            .filter(relation -> relation.cause() instanceof Relation.Meshing)
            .map(relation -> mesh(relation, mechanism, speeds))
            .toArray(LossyMesh[]::new);
    mechanism.roles().drives().forEach(end -> addEnd(end.member(), mechanism));
    mechanism.roles().take().ifPresent(end -> addEnd(end.member(), mechanism));
    take =
        mechanism.roles().take().map(end -> shafts.of(mechanism.indexOf(end.member()))).orElse(-1);
  }

  private void addEnd(MemberId end, Mechanism mechanism) {
    ends[shafts.of(mechanism.indexOf(end))]++;
  }

  private LossyMesh mesh(Relation relation, Mechanism mechanism, Speeds speeds) {
    Mesh mesh = ((Relation.Meshing) relation.cause()).mesh();
    Term a = relation.terms().get(0);
    Term b = relation.terms().get(1);
    int carrier = mesh.carrier().map(mechanism::indexOf).orElse(-1);
    Optional<Double> difference = speeds.difference(a.body(), carrier);
    return new LossyMesh(
        a.coefficient().doubleValue(),
        b.coefficient().doubleValue(),
        shafts.of(a.body()),
        shafts.of(b.body()),
        carrier < 0 ? -1 : shafts.of(carrier),
        difference.orElse(0.0),
        difference.isEmpty());
  }

  int meshes() {
    return meshes.length;
  }

  LossyMesh mesh(int k) {
    return meshes[k];
  }

  /** How many numbers shafts may have. */
  int shafts() {
    return speed.length;
  }

  double speed(int shaft) {
    return speed[shaft];
  }

  /** Whether power that leaves at {@code shaft} is wanted there when {@code pushed} is pushed. */
  boolean wants(int shaft, int pushed) {
    return take < 0 || pushed == take || shaft == take;
  }

  /** Whether some carrier turns: only then can losses keep a train from turning (Müller). */
  boolean canLock() {
    for (LossyMesh mesh : meshes) {
      if (mesh.rolls() && mesh.shaftC() >= 0 && speed[mesh.shaftC()] != 0) {
        return true;
      }
    }
    return false;
  }

  /** How many drives and take-offs a shaft has. */
  int ends(int shaft) {
    return ends[shaft];
  }

  /** Whether the mesh torques on a shaft must sum to zero, or to what is given for it. */
  boolean balances(int shaft, int given) {
    return !held[shaft] && ends[shaft] == (shaft == given ? 1 : 0);
  }

  /** Whether mesh {@code k} rolls, or may do so for all that is known. */
  boolean mayRoll(int k) {
    return meshes[k].unknown() || meshes[k].rolls();
  }

  /** The sign of wheel a's speed as seen from the carrier. */
  int way(int k) {
    return (int) Math.signum(meshes[k].rolling());
  }

  /** Whether mesh {@code k} rolls, so that it loses power. */
  boolean rolls(int k) {
    return meshes[k].rolls();
  }

  /** {@code body}, a drive or the take-off, pushed the way it turns. */
  Push push(int body) {
    return push(body, speed[body] < 0 ? -1 : 1);
  }

  /** {@code torque} from outside on {@code body}. */
  Push push(int body, double torque) {
    int shaft = shafts.of(body);
    Directions directions = new Directions(this, shaft, torque);
    int free = directions.free();
    List<boolean[]> patterns = new ArrayList<>();
    for (long choice = 0; free <= MOST_DIRECTIONS && choice < 1L << free; choice++) {
      patterns.add(directions.of(choice));
    }
    return new Push(this, shaft, torque, patterns);
  }
}
