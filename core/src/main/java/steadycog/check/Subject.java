package steadycog.check;

import steadycog.motion.Motion;
import steadycog.shape.FaceLayout;
import steadycog.torque.Torques;
import steadycog.train.Train;

/** What rules look at: a train and what has been worked out about it. */
public record Subject(Train train, Motion motion, Torques torques, FaceLayout layout) {}
