package steadycog.rating;

import java.util.Optional;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.torque.Loading;
import steadycog.torque.Torques;
import steadycog.train.Train;

/**
 * A way in which a train runs for a share of its life.
 *
 * @param state its name; empty of a train without states
 * @param share of the time, 0 to 1
 */
public record Running(String state, double share, Motion motion, Torques torques) {

  /** Where its torques follow from what is stated. */
  public static Optional<Running> of(String state, double share, Motion motion, Loading loading) {
    Torques torques = loading.flow().torques();
    return torques.status() == Torques.Status.DETERMINED
        ? Optional.of(new Running(state, share, motion, torques))
        : Optional.empty();
  }

  /** A train without states, as it is driven. */
  public static Optional<Running> of(Train train) {
    Motion motion = MotionSolver.solve(Mechanism.of(train));
    return of("", 1, motion, Loading.of(train, motion));
  }
}
