package steadycog.benchmarks;

import java.util.List;
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
import steadycog.cure.Advice;
import steadycog.cure.Cures;
import steadycog.cure.PutRight;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Pace;
import steadycog.study.ConfigurationBoard;
import steadycog.study.Study;
import steadycog.torque.Loading;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** A planetary set: everything about it, and its whole ratio board. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class SetBenchmark {
  @Param({
    "planetary sun 24 planet 15 x3 ring 54; hold ring; drive sun; take carrier",
    "planetary sun 30 planet 20 x3 ring 70; hold ring; drive sun; take carrier",
    "planetary sun 30 planet 20~22 x4 ring 86; hold ring; drive sun; take carrier",
    "planetary sun 20/- planet 25=23 x3 ring 70/68; hold ring1; drive sun; take ring2"
  })
  public String set = "";

  private Train train = Train.of(List.of(Planetary.of("", 24, 15, 3, 54)));

  private Motion motion = MotionSolver.solve(Mechanism.of(train));

  @Setup
  public void prepare() throws CardException {
    train = Card.read(set).train();
    motion = MotionSolver.solve(Mechanism.of(train));
  }

  @Benchmark
  public ConfigurationBoard board() {
    return ConfigurationBoard.of(train);
  }

  /** Torques with losses, and backwards with the tipping point. */
  @Benchmark
  public Loading loading() {
    return Loading.of(train, motion);
  }

  @Benchmark
  public Study study() {
    return Study.of(train);
  }

  /** What puts each of its findings right, which the window looks for aside. */
  @Benchmark
  public List<Advice> cures() {
    return Cures.of(train).all(Pace.FREE);
  }

  @Benchmark
  public PutRight.Outcome putRight() {
    return PutRight.of(train, PutRight.Keep.NOTHING, Pace.FREE);
  }
}
