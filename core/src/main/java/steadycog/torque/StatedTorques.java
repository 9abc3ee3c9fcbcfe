package steadycog.torque;

import java.util.ArrayList;
import java.util.List;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Mechanism;
import steadycog.train.Drive;
import steadycog.train.MemberId;

/** The torques that a card states beyond the one from which the others follow. */
public final class StatedTorques {
  /** A torque given as a power carries the rounding of a double; others are exact. */
  private static final double ROUNDING = 1e-9;

  private StatedTorques() {}

  /** A stated drive torque in N m, signed as an external torque. */
  public record Stated(MemberId member, BigFraction torque) {

    /** Whether {@code solved} differs by no more than the rounding of a double. */
    public boolean agreesWith(BigFraction solved) {
      double gap = Math.abs(solved.subtract(torque).doubleValue());
      return gap
          <= ROUNDING * Math.max(Math.abs(torque.doubleValue()), Math.abs(solved.doubleValue()));
    }
  }

  /** Every stated drive torque but the one that is the reference. */
  public static List<Stated> of(Mechanism mechanism) {
    List<Stated> all = new ArrayList<>();
    List<Drive> drives = mechanism.roles().drives();
    for (int k = hasLoad(mechanism) ? 0 : 1; k < drives.size(); k++) {
      Drive drive = drives.get(k);
      if (drive.effort().isPresent()) {
        TorqueSolver.statedTorque(drive)
            .ifPresent(torque -> all.add(new Stated(drive.member(), torque)));
      }
    }
    return all;
  }

  /** The statement that fixes all torques, as written on the card. */
  public static String reference(Mechanism mechanism) {
    return hasLoad(mechanism)
        ? "take " + mechanism.roles().take().orElseThrow().member()
        : "drive " + mechanism.roles().drives().getFirst().member();
  }

  private static boolean hasLoad(Mechanism mechanism) {
    return mechanism.roles().take().flatMap(take -> take.load()).isPresent();
  }
}
