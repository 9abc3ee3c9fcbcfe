package steadycog.torque;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.Relation;
import steadycog.motion.Relation.Term;
import steadycog.number.Exact;
import steadycog.torque.LossModel.Flow;
import steadycog.torque.LossModel.Flows;
import steadycog.train.Drive;
import steadycog.train.MemberId;

/**
 * How power goes through a train with losses, and with what torques. The directions in which it
 * passes the meshes are found by trying all of them that do not follow from one another ({@link
 * LossModel}); the torques are then those of the exact balance with these directions.
 *
 * @param verdict what came of it
 * @param torques with losses; without values unless the verdict says that they follow
 * @param passing one a mesh
 * @param efficiencies overall, power out over power in: one where it is known, several where
 *     several flows agree with their torques, else none
 */
public record PowerFlow(
    Verdict verdict,
    Torques torques,
    List<MeshEfficiency> meshes,
    List<Passing> passing,
    List<Double> efficiencies) {

  /** Whether power comes out. */
  public enum Verdict {
    /** There is one flow and power comes out. */
    RUNS,
    /** In every flow both ends must be pushed: the meshes take it all. */
    LOCKS,
    /**
     * The load pushes the way the train turns, and the drive has to help it along: a load is let
     * down through a drive that holds itself.
     */
    LOWERS,
    /** Several flows deliver power: losses alone do not decide between them. */
    SEVERAL,
    /** No direction of power agrees with the torques that follow from it. */
    IMPOSSIBLE,
    /** Paths share the load in a way that stiffness decides. */
    OPEN,
    /** More than {@value LossModel#MOST_DIRECTIONS} directions to choose: not all tried. */
    UNTRIED,
    /** Nothing takes the torque up, it is jammed, or nothing is driven. */
    NONE;

    /** The word in machine output: {@code runs}. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }

    /** Whether the torques follow. */
    public boolean known() {
      return this == RUNS || this == LOCKS || this == LOWERS;
    }
  }

  /** Which wheel of a mesh gives the power as seen from the carrier. */
  public enum Passing {
    /** From the first wheel to the second. */
    FROM_A,
    /** From the second wheel to the first. */
    FROM_B,
    /** Its wheels do not roll on each other. */
    NONE
  }

  public PowerFlow {
    meshes = List.copyOf(meshes);
    passing = List.copyOf(passing);
    efficiencies = List.copyOf(efficiencies);
  }

  /**
   * The flow for the torque that the card gives.
   *
   * @param ideal the torques without losses, of the same motion
   * @param meshes one a mesh of the train
   */
  static PowerFlow of(Motion motion, Torques ideal, List<MeshEfficiency> meshes, LossModel model) {
    if (ideal.status() == Torques.Status.NONE) {
      return without(Verdict.NONE, motion, meshes);
    }
    if (lossless(model, meshes)) {
      return withoutLosses(model, motion, ideal, meshes);
    }
    TorqueSolver.Given given = TorqueSolver.given(motion).orElseThrow();
    double[] shares = shares(meshes);
    Flows flows =
        Exact.isZero(given.torque())
            ? model.push(given.body()).flows(shares)
            : model.push(given.body(), given.torque().doubleValue()).flows(shares);
    Verdict verdict = verdict(flows);
    if (verdict == Verdict.LOCKS && isOverhauling(motion, given)) {
      verdict = Verdict.LOWERS;
    }
    if (verdict == Verdict.IMPOSSIBLE && locksFromItsDrive(model, shares, motion)) {
      return without(Verdict.LOCKS, motion, meshes);
    }
    List<Flow> chosen = chosen(flows);
    if (!verdict.known() || chosen.size() > 1) {
      return new PowerFlow(
          verdict,
          Torques.none(motion.mechanism(), status(verdict)),
          meshes,
          List.of(),
          verdict == Verdict.SEVERAL ? chosen.stream().map(Flow::efficiency).toList() : List.of());
    }
    Flow flow = chosen.getFirst();
    return new PowerFlow(
        verdict,
        TorqueSolver.solve(motion, forms(motion.mechanism(), model, meshes, flow.aDrives())),
        meshes,
        passing(model, flow.aDrives()),
        verdict == Verdict.RUNS ? List.of(flow.efficiency()) : List.of());
  }

  private static Torques.Status status(Verdict verdict) {
    return verdict == Verdict.NONE ? Torques.Status.NONE : Torques.Status.INDETERMINATE;
  }

  private static PowerFlow without(Verdict verdict, Motion motion, List<MeshEfficiency> meshes) {
    return new PowerFlow(
        verdict, Torques.none(motion.mechanism(), status(verdict)), meshes, List.of(), List.of());
  }

  /** Without losses directions do not matter, and whatever follows of the balance stands. */
  private static PowerFlow withoutLosses(
      LossModel model, Motion motion, Torques ideal, List<MeshEfficiency> meshes) {
    boolean endsFollow =
        motion.mechanism().roles().take().stream()
            .allMatch(take -> ideal.external(take.member()).isPresent());
    List<Passing> passing = new ArrayList<>();
    for (int k = 0; k < model.meshes(); k++) {
      Optional<BigFraction> f = ideal.multipliers().get(k);
      int way = f.map(BigFraction::signum).orElse(0) * model.way(k);
      passing.add(way == 0 ? Passing.NONE : way < 0 ? Passing.FROM_A : Passing.FROM_B);
    }
    return new PowerFlow(
        endsFollow ? Verdict.RUNS : Verdict.OPEN,
        ideal,
        meshes,
        passing,
        endsFollow && motion.mechanism().roles().take().isPresent() ? List.of(1.0) : List.of());
  }

  private static boolean lossless(LossModel model, List<MeshEfficiency> meshes) {
    for (int k = 0; k < meshes.size(); k++) {
      if (model.mayRoll(k) && !Exact.isOne(meshes.get(k).value())) {
        return false;
      }
    }
    return true;
  }

  static double[] shares(List<MeshEfficiency> meshes) {
    return meshes.stream().mapToDouble(mesh -> mesh.value().doubleValue()).toArray();
  }

  /** Whether the load that the card states pushes the take-off the way it turns. */
  static boolean isOverhauling(Motion motion, TorqueSolver.Given given) {
    return motion
        .mechanism()
        .roles()
        .take()
        .filter(take -> take.load().isPresent())
        .flatMap(take -> motion.speed(take.member()))
        .filter(speed -> speed.signum() * given.torque().signum() > 0)
        .isPresent();
  }

  /** A load that nothing can turn: whether that is because its own drive locks. */
  private static boolean locksFromItsDrive(LossModel model, double[] shares, Motion motion) {
    List<Drive> drives = motion.mechanism().roles().drives();
    if (drives.size() != 1) {
      return false;
    }
    int body = motion.mechanism().indexOf(drives.getFirst().member());
    return verdict(model.push(body).flows(shares)) == Verdict.LOCKS;
  }

  /** The flows that deliver power, or if there are none those that do not. */
  private static List<Flow> chosen(Flows flows) {
    List<Flow> delivering = flows.flows().stream().filter(Flow::delivers).toList();
    return delivering.isEmpty() ? flows.flows() : delivering;
  }

  /** The overall efficiency where there is one flow that delivers power. */
  static Optional<Double> efficiency(Flows flows) {
    return verdict(flows) == Verdict.RUNS
        ? Optional.of(chosen(flows).getFirst().efficiency())
        : Optional.empty();
  }

  static Verdict verdict(Flows flows) {
    if (!flows.tried()) {
      return Verdict.UNTRIED;
    }
    if (!flows.settled()) {
      return Verdict.OPEN;
    }
    if (flows.flows().isEmpty()) {
      return Verdict.IMPOSSIBLE;
    }
    long delivering = flows.flows().stream().filter(Flow::delivers).count();
    return delivering > 1 ? Verdict.SEVERAL : delivering == 1 ? Verdict.RUNS : Verdict.LOCKS;
  }

  private static List<Passing> passing(LossModel model, boolean[] aDrives) {
    List<Passing> all = new ArrayList<>();
    for (int k = 0; k < aDrives.length; k++) {
      all.add(!model.rolls(k) ? Passing.NONE : aDrives[k] ? Passing.FROM_A : Passing.FROM_B);
    }
    return all;
  }

  /** By what each relation's multiplier acts on bodies: a rolling mesh less on the driven wheel. */
  private static List<List<Term>> forms(
      Mechanism mechanism, LossModel model, List<MeshEfficiency> meshes, boolean[] aDrives) {
    List<List<Term>> forms = new ArrayList<>();
    for (int k = 0; k < mechanism.relations().size(); k++) {
      List<Term> terms = mechanism.relations().get(k).terms();
      boolean loses = k < model.meshes() && model.rolls(k);
      forms.add(
          loses
              ? lossy(mechanism.relations().get(k), meshes.get(k).value(), aDrives[k], mechanism)
              : terms);
    }
    return forms;
  }

  private static List<Term> lossy(
      Relation relation, BigFraction share, boolean aDrives, Mechanism mechanism) {
    Term a = relation.terms().get(0);
    Term b = relation.terms().get(1);
    BigFraction onA = aDrives ? a.coefficient() : a.coefficient().multiply(share);
    BigFraction onB = aDrives ? b.coefficient().multiply(share) : b.coefficient();
    List<Term> terms = new ArrayList<>(List.of(new Term(a.body(), onA), new Term(b.body(), onB)));
    ((Relation.Meshing) relation.cause())
        .mesh()
        .carrier()
        .ifPresent(
            carrier -> terms.add(new Term(mechanism.indexOf(carrier), onA.add(onB).negate())));
    return terms;
  }

  /** Power out over power in; empty unless there is one answer. */
  public Optional<Double> efficiency() {
    return efficiencies.size() == 1 ? Optional.of(efficiencies.getFirst()) : Optional.empty();
  }

  /** The way power passes mesh {@code index}; none where that is not known. */
  public Passing passing(int index) {
    return passing.isEmpty() ? Passing.NONE : passing.get(index);
  }

  /** The torque that mesh {@code index} puts on {@code member}; zero if it does not touch it. */
  public Optional<BigFraction> meshTorque(int index, MemberId member) {
    return torques.relationTorque(index, torques.mechanism().indexOf(member));
  }
}
