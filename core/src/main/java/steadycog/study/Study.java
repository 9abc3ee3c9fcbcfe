package steadycog.study;

import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Collisions;
import steadycog.check.Finding;
import steadycog.check.Inspection;
import steadycog.check.Severity;
import steadycog.check.Subject;
import steadycog.gearbox.Build;
import steadycog.motion.FeedbackPath;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.motion.TurnCount;
import steadycog.number.AngularSpeed;
import steadycog.number.Mode;
import steadycog.number.Pace;
import steadycog.number.Ratio;
import steadycog.piece.Piece;
import steadycog.piece.Pieces;
import steadycog.piece.UnmakeableException;
import steadycog.shape.FaceLayout;
import steadycog.sizing.CutSheet;
import steadycog.sizing.Thrust;
import steadycog.torque.Loading;
import steadycog.torque.PowerFlow;
import steadycog.torque.Torques;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Role;
import steadycog.train.Train;

/** A train with its motion, torques, layout and findings. */
public record Study(
    Train train, Motion motion, Loading loading, FaceLayout layout, List<Finding> findings) {

  /** The shares of the work in a large train: motion, loading, layout, and what is left. */
  private static final double[] DONE = {0.1, 0.4, 0.7};

  public static Study of(Train train) {
    return of(train, Pace.FREE);
  }

  /** The same, watched and perhaps stopped by {@code pace}. */
  public static Study of(Train train, Pace pace) {
    pace.at(0);
    Motion motion = MotionSolver.solve(Mechanism.of(train));
    pace.at(DONE[0]);
    Loading loading = Loading.of(train, motion);
    pace.at(DONE[1]);
    FaceLayout layout =
        FaceLayout.of(train, share -> pace.at(DONE[1] + share * (DONE[2] - DONE[1])));
    Pace checking = share -> pace.at(DONE[2] + share * (1 - DONE[2]));
    return of(train, motion, loading, layout, checking);
  }

  /** The same for a train whose wheels stand as {@code layout} says. */
  static Study of(Train train, FaceLayout layout) {
    Motion motion = MotionSolver.solve(Mechanism.of(train));
    return of(train, motion, Loading.of(train, motion), layout, Pace.FREE);
  }

  private static Study of(
      Train train, Motion motion, Loading loading, FaceLayout layout, Pace pace) {
    List<Finding> findings =
        Inspection.of(Subject.of(train, motion, loading, layout)).findings(pace);
    return new Study(train, motion, loading, layout, findings);
  }

  /** The torques with losses. */
  public Torques torques() {
    return loading.flow().torques();
  }

  /** Power out over power in; empty where it does not follow or nothing comes out. */
  public Optional<Double> efficiency() {
    return loading.flow().efficiency();
  }

  public Optional<Ratio> ratio() {
    return motion.ratio();
  }

  /** The mode of the ratio, or neutral where the take-off floats; empty where neither applies. */
  public Optional<Mode> mode() {
    Optional<Mode> ofRatio = ratio().map(Ratio::mode);
    boolean adrift =
        motion
            .mechanism()
            .roles()
            .take()
            .filter(take -> motion.floating().contains(take.member()))
            .isPresent();
    return adrift ? Optional.of(Mode.NEUTRAL) : ofRatio;
  }

  /** What helical wheels are pressed along their axes with; none where torques do not follow. */
  public List<Thrust.OnWheel> thrusts() {
    Torques torques = loading.flow().torques();
    return torques.status() == Torques.Status.DETERMINED
        ? Thrust.onWheels(train, torques)
        : List.of();
  }

  /** Sizes, play and strength. */
  public CutSheet cutSheet() {
    return CutSheet.of(train, motion, loading, layout);
  }

  /**
   * What its made pieces show when they are put together and turned, worst first: that two of them
   * are in one place, or that one cannot be made. Cost: more than all other findings together.
   */
  public List<Finding> collisions(Pace pace) {
    return Collisions.of(train, layout, pace);
  }

  /**
   * Lets pass pieces that can be put together.
   *
   * @throws UnmakeableException naming those of them that run into each other
   */
  public void requireAssembled(List<Piece> pieces) throws UnmakeableException {
    List<MemberId> members = pieces.stream().map(Piece::member).toList();
    for (Finding finding : collisions(Pace.FREE)) {
      if (finding.code().equals(Collisions.CODE)
          && finding.severity().isError()
          && finding.members().stream().anyMatch(members::contains)) {
        throw new UnmakeableException(bare(finding));
      }
    }
  }

  /** A whole gearbox round it. Cost: more than its collisions. */
  public Build gearbox(Pace pace) {
    return gearbox(train, pace);
  }

  /** The same of the train that it is a state of. */
  public Build gearbox(Train whole, Pace pace) {
    return Build.of(whole, layout, pace).because(errors());
  }

  private List<String> errors() {
    return findings.stream()
        .filter(finding -> finding.severity().isError())
        .map(Study::bare)
        .toList();
  }

  /** What it says, to go on in a sentence. */
  private static String bare(Finding finding) {
    return finding.message().replaceAll("\\.$", "");
  }

  /** What is to be made; {@code chord} as in {@link Pieces#of}. */
  public Pieces pieces(double chord) {
    return Pieces.of(train, layout, chord);
  }

  /**
   * The ratio worked mesh by mesh, as by hand; empty where no path of meshes leads to the output.
   */
  public Optional<Working> working() {
    return Working.of(this);
  }

  /** Where its torques come from; empty where not all of them follow. */
  public Optional<TorqueWorking> torqueWorking() {
    return TorqueWorking.of(this);
  }

  /** Where the motor of its drive runs; empty where it has none or the torques do not follow. */
  public Optional<MotorPoint> motorPoint() {
    return MotorPoint.of(this);
  }

  /** The turns worked out in three ways; empty unless the train is one planetary set. */
  public Optional<EpicyclicWorking> epicyclicWorking() {
    return EpicyclicWorking.of(this);
  }

  /** The output over the speeds of two drives; empty unless there are two. */
  public Optional<TwoInputs> twoInputs() {
    return TwoInputs.of(this);
  }

  /**
   * The two inputs of the train, or those that it would have without the path that gears the second
   * from the first, the second then turning as it is geared; empty for any other train.
   */
  public Optional<TwoInputs> inputsToRegulate() {
    return twoInputs().or(() -> feedback().map(path -> TwoInputs.of(path, this)));
  }

  /** The path that gears a second input from the first; empty where there is none. */
  public Optional<FeedbackPath> feedback() {
    return FeedbackPath.of(train, motion);
  }

  /**
   * The member's speed as seen from the carrier of its set; empty on fixed axes, for the carrier
   * itself, and where a speed does not follow.
   */
  public Optional<AngularSpeed> relativeToCarrier(MemberId member) {
    return train.meshes().stream()
        .filter(mesh -> mesh.touches(member))
        .flatMap(mesh -> mesh.carrier().stream())
        .findFirst()
        .flatMap(carrier -> motion.speed(member).flatMap(own -> minus(own, carrier)));
  }

  private Optional<AngularSpeed> minus(AngularSpeed own, MemberId carrier) {
    return motion.speed(carrier).map(frame -> own.plus(frame.times(BigFraction.ONE.negate())));
  }

  /** The room this train takes and other arrangements of its ratio would take. */
  public List<Room> rooms() {
    return Room.compare(this);
  }

  /** The same ratio by other kinds of gear, as nearly as each can make it. */
  public List<KindChoice> kinds() {
    return KindChoice.of(this);
  }

  public Role role(MemberId member) {
    return motion.mechanism().roles().of(member);
  }

  /** Power that enters the train at the member from outside, in W; negative where it leaves. */
  public Optional<Double> power(MemberId member) {
    return power(torques(), member);
  }

  /** The same with other torques of its motion. */
  Optional<Double> power(Torques torques, MemberId member) {
    return torques
        .external(member)
        .flatMap(torque -> motion.speed(member).map(speed -> watts(torque, speed)));
  }

  /** Power that passes through the member in W, never negative. */
  public Optional<Double> carriedPower(MemberId member) {
    return torques()
        .carried(member)
        .flatMap(torque -> motion.speed(member).map(speed -> Math.abs(watts(torque, speed))));
  }

  /**
   * Power passed by mesh {@code index} from its first wheel to its second as seen on its carrier,
   * W.
   */
  public Optional<Double> meshPower(int index) {
    return meshPower(torques(), index);
  }

  /** The same without losses. */
  public Optional<Double> idealMeshPower(int index) {
    return meshPower(loading.ideal(), index);
  }

  private Optional<Double> meshPower(Torques torques, int index) {
    Mesh mesh = train.meshes().get(index);
    boolean fromA = loading.flow().passing(index) != PowerFlow.Passing.FROM_B;
    MemberId giver = fromA ? mesh.a() : mesh.b();
    Optional<AngularSpeed> relative = relativeSpeed(mesh, giver);
    int way = fromA ? -1 : 1;
    return torques
        .relationTorque(index, motion.mechanism().indexOf(giver))
        .flatMap(torque -> relative.map(speed -> 0.0 + way * watts(torque, speed)));
  }

  /** Power that mesh {@code index} turns into heat, W, never negative. */
  public Optional<Double> meshLoss(int index) {
    double share = 1 - loading.flow().meshes().get(index).value().doubleValue();
    return meshPower(index).map(power -> Math.abs(power) * share);
  }

  /** Power that all meshes together turn into heat, W; empty where it does not follow. */
  public Optional<Double> loss() {
    double sum = 0;
    for (int k = 0; k < train.meshes().size(); k++) {
      Optional<Double> loss = meshLoss(k);
      if (loss.isEmpty()) {
        return Optional.empty();
      }
      sum += loss.get();
    }
    return Optional.of(sum);
  }

  /**
   * Circulating power: the largest power that any mesh passes as seen on its carrier over the power
   * that goes in, without losses. Well above 1 it is why sets of high ratio run hot and bind
   * (Müller). Empty where torques do not follow or nothing moves.
   */
  public Optional<Double> circulation() {
    return circulation(loading.ideal());
  }

  /** The same with losses. */
  public Optional<Double> circulationWithLosses() {
    return circulation(torques());
  }

  private Optional<Double> circulation(Torques torques) {
    double most = 0;
    for (int k = 0; k < train.meshes().size(); k++) {
      Optional<Double> power = meshPower(torques, k);
      if (power.isEmpty()) {
        return Optional.empty();
      }
      most = Math.max(most, Math.abs(power.get()));
    }
    double in = 0;
    for (MemberId member : motion.mechanism().bodies()) {
      in += Math.max(0, power(torques, member).orElse(0.0));
    }
    return in > 0 && most > 0 ? Optional.of(most / in) : Optional.empty();
  }

  /**
   * How often an edge of the tool on {@code member} comes by in one turn of the input, never
   * negative: edges times its turns in space, of all equal planets together. Empty where it carries
   * no tool or its turns do not follow.
   */
  public Optional<BigFraction> toolPasses(MemberId member) {
    return train
        .sizes()
        .own(member)
        .tool()
        .flatMap(
            edges ->
                motion
                    .turnsPerInputTurn(member)
                    .map(turns -> turns.abs().multiply(edges * copies(member))));
  }

  private int copies(MemberId member) {
    return train.partOf(member).copies(member);
  }

  /** Teeth that pass the mesh in one turn of the input. */
  public Optional<BigFraction> teethPassed(Mesh mesh) {
    return TurnCount.of(motion, BigFraction.ONE).teethPassed(mesh);
  }

  public boolean hasErrors() {
    return findings.stream().anyMatch(finding -> finding.severity() == Severity.ERROR);
  }

  private Optional<AngularSpeed> relativeSpeed(Mesh mesh, MemberId wheel) {
    return mesh.carrier().isEmpty() ? motion.speed(wheel) : relativeToCarrier(wheel);
  }

  private static double watts(BigFraction torque, AngularSpeed speed) {
    return torque.doubleValue() * speed.inRadPerS();
  }
}
