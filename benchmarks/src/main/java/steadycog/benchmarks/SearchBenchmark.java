package steadycog.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.variables.IntVar;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import steadycog.search.Found;
import steadycog.search.Hunt;
import steadycog.search.Wanted;
import steadycog.search.Wanted.Field;
import steadycog.search.Watch;

/**
 * Finding teeth, and the same question put to plain nested loops and to a general constraint
 * solver. The loops keep only the best ratio; the solver minimises |50 n - 367 d|, which is less
 * than what is asked of the other two.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(1)
public class SearchBenchmark {
  private static final double TARGET = 7.34;

  /** Stages and the largest count; the smallest is 12. */
  @Param({"2 60", "3 30", "3 60"})
  public String size = "2 60";

  private int stages() {
    return Integer.parseInt(size.split(" ")[0]);
  }

  private int most() {
    return Integer.parseInt(size.split(" ")[1]);
  }

  @Benchmark
  public Found sweep() {
    return Hunt.run(
        Wanted.NOTHING
            .with(Field.TARGET, "7.34")
            .with(Field.KIND, "parallel")
            .with(Field.STAGES, "" + stages())
            .with(Field.TEETH, "12.." + most())
            .with(Field.TOP, "1")
            .query(),
        Watch.NONE);
  }

  /** Every multiset of drivers with every multiset of driven wheels. */
  @Benchmark
  public double nestedLoops() {
    List<Long> products = new ArrayList<>();
    products(12, stages(), 1, products);
    double best = Double.MAX_VALUE;
    for (long d : products) {
      for (long n : products) {
        best = Math.min(best, Math.abs(n / (d * TARGET) - 1));
      }
    }
    return best;
  }

  private void products(int from, int many, long product, List<Long> all) {
    if (many == 0) {
      all.add(product);
      return;
    }
    for (int count = from; count <= most(); count++) {
      products(count, many - 1, product * count, all);
    }
  }

  @Benchmark
  public Solution constraintSolver() {
    Model model = new Model();
    IntVar n = product(model, "n");
    IntVar d = product(model, "d");
    int furthest = 367 * (int) Math.pow(most(), stages());
    IntVar off = model.intVar("off", -furthest, furthest, true);
    IntVar size = model.intVar("size", 0, furthest, true);
    model.scalar(new IntVar[] {n, d, off}, new int[] {50, -367, -1}, "=", 0).post();
    model.absolute(size, off).post();
    return model.getSolver().findOptimalSolution(size, Model.MINIMIZE);
  }

  private IntVar product(Model model, String name) {
    IntVar[] counts = model.intVarArray(name, stages(), 12, most());
    int largest = (int) Math.pow(most(), stages());
    IntVar product = counts[0];
    for (int k = 1; k < counts.length; k++) {
      model.arithm(counts[k - 1], "<=", counts[k]).post();
      IntVar next = model.intVar(name + "*" + k, 1, largest, true);
      model.times(product, counts[k], next).post();
      product = next;
    }
    return product;
  }

  /** The sizes that people look for: up to five pairs, sets by every rule, and all kinds. */
  @State(Scope.Benchmark)
  @BenchmarkMode(Mode.AverageTime)
  @OutputTimeUnit(TimeUnit.MILLISECONDS)
  @Warmup(iterations = 3, time = 2)
  @Measurement(iterations = 3, time = 2)
  @Fork(1)
  public static class Usual {
    @Param({
      "target=1436.0682 kind=parallel stages=3 teeth=12..120",
      "target=1436.0682 kind=parallel stages=4 teeth=12..120",
      "target=1436.0682 kind=parallel stages=5 teeth=12..120",
      "target=7.34 kind=parallel stages=3 teeth=12..120",
      "target=1000 kind=two-row tolerance=0.1% teeth=6..60 planets=3..8",
      "target=85 kind=planetary stages=2 teeth=12..120",
      "target=50 kind=all",
    })
    public String wanted = "";

    @Benchmark
    public Found find() {
      Wanted all = Wanted.NOTHING;
      for (String word : wanted.split(" ")) {
        String[] parts = word.split("=", 2);
        all = all.with(Field.of(parts[0]).orElseThrow(), parts[1]);
      }
      return Hunt.run(all.query(), Watch.NONE);
    }
  }
}
