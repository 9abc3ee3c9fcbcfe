package steadycog.benchmarks;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Pace;
import steadycog.study.SizeChoices;
import steadycog.study.SizeChoices.Wish;

/** From loads to sizes: a gearbox of four sets in six states, from its card to what holds. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class SizeBenchmark {
  private static final String GEARBOX =
      """
      a: planetary sun 24 planet 18 x3 ring 60
      b: planetary sun 21 planet 27 x3 ring 75
      c: planetary sun 30 planet 15 x3 ring 60
      d: planetary sun 18 planet 30 x3 ring 78
      join a.carrier = b.sun
      join b.carrier = c.sun
      join c.carrier = d.sun
      module 2 mm
      material steel
      hardness 240 HB
      rating life 4000 h
      drive a.sun 1500 rpm 20 Nm
      take d.carrier
      state first: hold a.ring; hold b.ring; hold c.ring; hold d.ring
      state second: lock a.sun = a.carrier; hold b.ring; hold c.ring; hold d.ring
      state third: hold a.ring; lock b.sun = b.carrier; hold c.ring; hold d.ring
      state fourth: hold a.ring; hold b.ring; lock c.sun = c.carrier; hold d.ring
      state fifth: hold a.ring; hold b.ring; hold c.ring; lock d.sun = d.carrier
      state sixth: lock a.sun = a.carrier; lock b.sun = b.carrier; hold c.ring; hold d.ring
      """;

  @Benchmark
  public SizeChoices gearbox() throws CardException {
    // Read anew: what is kept of a train that is in view would not be worked out again.
    return SizeChoices.of(Card.read(GEARBOX).train(), Wish.ANY, Pace.FREE);
  }
}
