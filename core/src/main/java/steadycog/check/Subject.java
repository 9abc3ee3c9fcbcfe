package steadycog.check;

import java.util.function.Supplier;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.number.Once;
import steadycog.shape.FaceLayout;
import steadycog.torque.Loading;
import steadycog.train.Train;

/**
 * What rules look at: a train and what can be worked out about it, each at most once and only when
 * a rule asks for it. For one thread at a time.
 */
public final class Subject {
  private final Train train;
  private final Supplier<Motion> motion;
  private final Supplier<Loading> loading;
  private final Supplier<FaceLayout> layout;

  private Subject(
      Train train,
      Supplier<Motion> motion,
      Supplier<Loading> loading,
      Supplier<FaceLayout> layout) {
    this.train = train;
    this.motion = motion;
    this.loading = loading;
    this.layout = layout;
  }

  /** A train of which nothing is known yet. */
  public static Subject of(Train train) {
    Supplier<Motion> motion = Once.of(() -> MotionSolver.solve(Mechanism.of(train)));
    return new Subject(
        train,
        motion,
        Once.of(() -> Loading.of(train, motion.get())),
        Once.of(() -> FaceLayout.of(train)));
  }

  /** A train whose motion, loading and layout are known. */
  public static Subject of(Train train, Motion motion, Loading loading, FaceLayout layout) {
    return new Subject(train, () -> motion, () -> loading, () -> layout);
  }

  public Train train() {
    return train;
  }

  public Motion motion() {
    return motion.get();
  }

  public Loading loading() {
    return loading.get();
  }

  public FaceLayout layout() {
    return layout.get();
  }
}
