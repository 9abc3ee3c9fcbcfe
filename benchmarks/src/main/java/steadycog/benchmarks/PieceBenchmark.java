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
import steadycog.check.Finding;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Pace;
import steadycog.piece.Pieces;
import steadycog.piece.Solid;
import steadycog.sizing.CutSheet;
import steadycog.study.Study;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** What is made: outlines, solids, and the sheet of figures. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class PieceBenchmark {
  @Param({
    "parallel 20 ~ 200i; module 1 mm; clearance printed; drive A; take B",
    "planetary sun 20/- planet 25=23 x3 ring 70/68; module 1 mm; clearance printed; drive sun;"
        + " hold ring1; take ring2"
  })
  public String card = "";

  private Study study = Study.of(Train.of(List.of(Planetary.of("", 24, 15, 3, 54))));

  @Setup
  public void prepare() throws CardException {
    study = Study.of(Card.read(card).train());
  }

  @Benchmark
  public Pieces outlines() {
    return study.pieces(Pieces.USUAL_CHORD);
  }

  @Benchmark
  public List<Solid> solids() {
    return study.pieces(Pieces.USUAL_CHORD).all().stream()
        .map(piece -> Solid.of(piece, Pieces.USUAL_CHORD))
        .toList();
  }

  @Benchmark
  public List<Finding> collisions() {
    return study.collisions(Pace.FREE);
  }

  @Benchmark
  public CutSheet sheet() {
    return study.cutSheet();
  }
}
