package steadycog.check;

import java.util.function.Supplier;
import steadycog.motion.Motion;
import steadycog.shape.FaceLayout;
import steadycog.torque.Loading;
import steadycog.train.Train;

/**
 * What rules look at: a train and what has been worked out about it.
 *
 * @param layout asked for only by rules that look at it
 */
public record Subject(Train train, Motion motion, Loading loading, Supplier<FaceLayout> layout) {}
