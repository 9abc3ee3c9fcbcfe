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
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.study.ConfigurationBoard;
import steadycog.study.Study;
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
    "planetary sun 24 planet 15 x3 ring 54",
    "planetary sun 30 planet 20 x3 ring 70",
    "planetary sun 30 planet 20~22 x4 ring 86"
  })
  public String set = "";

  private Train train = Train.of(List.of(Planetary.of("", 24, 15, 3, 54)));

  @Setup
  public void prepare() throws CardException {
    train = Card.read(set + "\nhold ring\ndrive sun\ntake carrier").train();
  }

  @Benchmark
  public ConfigurationBoard board() {
    return ConfigurationBoard.of(train);
  }

  @Benchmark
  public Study study() {
    return Study.of(train);
  }
}
