package steadycog.study;

import java.util.List;
import java.util.Optional;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.torque.EachWay;
import steadycog.torque.MeshEfficiency;
import steadycog.train.Drive;
import steadycog.train.Motor;

/**
 * Where a motor runs under the load of a train: its line from stall torque to no-load speed meets
 * the torque that the drive takes. Bearings, seals and the motor's own warming are left out.
 *
 * @param needed torque that the drive takes while it runs, N m; the load counts on as it is
 * @param speed of the motor under it, rpm; 0 where it stalls
 * @param output speed of the take-off there, rpm, signed
 * @param power that the motor gives, W
 * @param out power at the take-off, W
 * @param lost power that the meshes turn into heat, W
 * @param toStart torque that it takes to start: meshes at rest lose {@value #AT_REST} times as
 *     much; empty where they then lock
 */
public record MotorPoint(
    Drive drive,
    Motor motor,
    double needed,
    double speed,
    double output,
    double power,
    double out,
    double lost,
    Optional<Double> toStart) {
  /** What rests sticks: losses at rest over those in motion, set by judgement. */
  public static final double AT_REST = 1.5;

  /** Less reserve than this is little for a start. */
  public static final double LITTLE = 1.5;

  private static final int DIGITS = 4;

  /** How it comes out. */
  public enum Verdict {
    RUNS,
    /** It starts, but with little to spare. */
    BARELY,
    /** It would run once started, but does not start under this load. */
    NO_START,
    STALLS
  }

  /** Empty unless one drive with a motor moves a take-off against a load, torques following. */
  static Optional<MotorPoint> of(Study study) {
    List<Drive> drives = study.motion().mechanism().roles().drives();
    Optional<Double> efficiency = study.efficiency();
    if (drives.size() != 1 || study.ratio().isEmpty() || efficiency.isEmpty()) {
      return Optional.empty();
    }
    Drive drive = drives.getFirst();
    Optional<Double> needed =
        study
            .torques()
            .external(drive.member())
            .map(nm -> nm.doubleValue() * forwards(drive))
            .filter(torque -> torque > 0);
    return drive
        .motor()
        .flatMap(motor -> needed.map(torque -> at(study, drive, motor, torque, efficiency.get())));
  }

  private static int forwards(Drive drive) {
    return drive.angularSpeed().signum() < 0 ? -1 : 1;
  }

  private static MotorPoint at(
      Study study, Drive drive, Motor motor, double needed, double efficiency) {
    double share = Math.max(0, 1 - needed / motor.stall().inBase());
    double rpm = share * motor.free().inBase();
    double power = needed * rpm * Math.PI / 30;
    double ratio = study.ratio().orElseThrow().reduction().doubleValue();
    return new MotorPoint(
        drive,
        motor,
        needed,
        rpm,
        forwards(drive) * rpm / ratio,
        power,
        power * efficiency,
        power * (1 - efficiency),
        EachWay.of(study.motion(), MeshEfficiency.scaled(study.loading().flow().meshes(), AT_REST))
            .flatMap(EachWay::efficiency)
            .map(starting -> needed * efficiency / starting));
  }

  /** Stall torque over the torque needed in motion. */
  public double reserve() {
    return motor.stall().inBase() / needed;
  }

  /** Stall torque over the torque needed to start; empty where nothing would start it. */
  public Optional<Double> startReserve() {
    return toStart.map(torque -> motor.stall().inBase() / torque);
  }

  public Verdict verdict() {
    if (reserve() <= 1) {
      return Verdict.STALLS;
    }
    double start = startReserve().orElse(0.0);
    return start <= 1 ? Verdict.NO_START : start < LITTLE ? Verdict.BARELY : Verdict.RUNS;
  }

  /** The drive running at this point, in the unit of its stated speed. */
  public Drive running() {
    Unit unit = drive.statedSpeed().unit();
    double signed = forwards(drive) * speed / unit.inBase();
    return drive.at(Quantity.of(Figures.significant(signed, DIGITS), unit));
  }
}
