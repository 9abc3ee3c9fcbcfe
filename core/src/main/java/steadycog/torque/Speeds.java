package steadycog.torque;

import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Motion;
import steadycog.number.AngularSpeed;
import steadycog.train.Drive;

/**
 * Speeds as they are with two drives; with one its own is taken as 1, since directions do not
 * depend on its size, and forwards if it stands still.
 */
final class Speeds {
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
