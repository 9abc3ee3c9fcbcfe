package steadycog.study;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Mechanism;
import steadycog.motion.Relation;
import steadycog.number.Exact;
import steadycog.torque.MeshEfficiency;
import steadycog.torque.PowerFlow.Passing;
import steadycog.torque.Torques;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;

/**
 * Where the torques come from: what every mesh passes on, and how the torques on every member add
 * up to nothing. All in N m, with losses.
 *
 * @param steps one a mesh
 * @param balances one a member
 */
public record TorqueWorking(List<Step> steps, List<Balance> balances) {

  /**
   * A mesh: the driven wheel gets the driver's torque times driven over driver teeth times the
   * efficiency; the carrier takes the rest.
   *
   * @param driver the wheel that gives power as seen from the carrier; the first wheel where they
   *     do not roll on each other
   * @param gives torque of the mesh on the driver
   * @param gets torque of the mesh on the driven wheel
   * @param toCarrier torque of the mesh on its carrier; empty on fixed axes
   * @param rolls whether the wheels roll on each other, so that power is lost
   */
  public record Step(
      Mesh mesh,
      MemberId driver,
      BigFraction gives,
      BigFraction gets,
      Optional<BigFraction> toCarrier,
      MeshEfficiency efficiency,
      boolean rolls) {

    public MemberId driven() {
      return mesh.other(driver);
    }

    /** {@code 18/12 x 0.98}: what the driver's torque is multiplied by, signs left out. */
    public String factor() {
      String teeth = mesh.teeth(driven()).count() + "/" + mesh.teeth(driver).count();
      return rolls ? teeth + " \u00d7 " + Exact.plain(efficiency.value()) : teeth;
    }
  }

  /** One torque on a member and what puts it there. */
  public record Share(String from, BigFraction torque) {}

  /** The torques on a member; their sum is zero. */
  public record Balance(MemberId member, List<Share> shares) {
    public Balance {
      shares = List.copyOf(shares);
    }
  }

  public TorqueWorking {
    steps = List.copyOf(steps);
    balances = List.copyOf(balances);
  }

  /** The torques on one member. */
  public Optional<Balance> of(MemberId member) {
    return balances.stream().filter(balance -> balance.member.equals(member)).findFirst();
  }

  /** Empty where not every torque follows. */
  static Optional<TorqueWorking> of(Study study) {
    Torques torques = study.torques();
    if (torques.status() != Torques.Status.DETERMINED) {
      return Optional.empty();
    }
    List<Step> steps = new ArrayList<>();
    for (int k = 0; k < study.train().meshes().size(); k++) {
      steps.add(step(study, k));
    }
    List<Balance> balances = new ArrayList<>();
    for (Member member : study.train().members()) {
      balances.add(new Balance(member.id(), shares(torques, member.id())));
    }
    return Optional.of(new TorqueWorking(steps, balances));
  }

  private static Step step(Study study, int index) {
    Mesh mesh = study.train().meshes().get(index);
    Passing passing = study.loading().flow().passing(index);
    MemberId driver = passing == Passing.FROM_B ? mesh.b() : mesh.a();
    return new Step(
        mesh,
        driver,
        on(study, index, driver),
        on(study, index, mesh.other(driver)),
        mesh.carrier().map(carrier -> on(study, index, carrier)),
        study.loading().flow().meshes().get(index),
        passing != Passing.NONE);
  }

  private static BigFraction on(Study study, int mesh, MemberId member) {
    return study.loading().flow().meshTorque(mesh, member).orElseThrow();
  }

  /** From outside first, then of each relation that touches the member. */
  private static List<Share> shares(Torques torques, MemberId member) {
    Mechanism mechanism = torques.mechanism();
    List<Share> shares = new ArrayList<>();
    BigFraction outside = torques.external(member).orElseThrow();
    if (!Exact.isZero(outside)) {
      shares.add(new Share(mechanism.roles().of(member).word(), outside));
    }
    BigFraction known = outside;
    boolean open = false;
    for (int k = 0; k < mechanism.relations().size(); k++) {
      Relation.Cause cause = mechanism.relations().get(k).cause();
      Optional<BigFraction> torque = torques.relationTorque(k, mechanism.indexOf(member));
      open |= torque.isEmpty();
      if (torque.filter(t -> !Exact.isZero(t)).isPresent() && !(cause instanceof Relation.Held)) {
        known = known.add(torque.get());
        shares.add(new Share(cause.toString(), torque.get()));
      }
    }
    if (open) {
      // How ties said twice share it does not follow, only what they pass in all.
      shares.add(new Share("its ties together", known.negate()));
    }
    return shares;
  }
}
