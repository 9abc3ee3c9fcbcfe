package steadycog.rating;

import steadycog.motion.Motion;
import steadycog.torque.Torques;

/**
 * A way in which a train runs for a share of its life.
 *
 * @param state its name; empty of a train without states
 * @param share of the time, 0 to 1
 */
public record Running(String state, double share, Motion motion, Torques torques) {}
