package steadycog.benchmarks;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.shape.Detail;
import steadycog.shape.FaceLayout;
import steadycog.shape.GearOutline;
import steadycog.shape.Outline;
import steadycog.study.Study;
import steadycog.train.Teeth;

/** Every step from a keystroke to what is drawn, for a compound train of some wheels. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class TrainBenchmark {
  @Param({"6", "12", "40"})
  public int wheels;

  private String text = "";
  private Card card;
  private Mechanism mechanism;

  @Setup
  public void prepare() throws CardException {
    StringBuilder train = new StringBuilder("parallel 18");
    for (int k = 1; k < wheels; k++) {
      train.append(k % 2 == 0 ? " = " : " ~ ").append(k % 2 == 0 ? 17 + k : 60 + k);
    }
    text =
        train
            + "\ndrive A 1500 rpm 0.4 Nm\ntake "
            + (wheels == 40 ? "AN" : (char) ('A' + wheels - 1));
    card = Card.read(text);
    mechanism = Mechanism.of(card.train());
  }

  @Benchmark
  public Card parse() throws CardException {
    return Card.read(text);
  }

  @Benchmark
  public Motion solve() {
    return MotionSolver.solve(mechanism);
  }

  @Benchmark
  public Study study() {
    return Study.of(card.train());
  }

  @Benchmark
  public FaceLayout layout() {
    return FaceLayout.of(card.train());
  }

  @Benchmark
  public Outline outline() {
    return GearOutline.of(Teeth.external(10 * wheels), Detail.FINE, 0);
  }
}
