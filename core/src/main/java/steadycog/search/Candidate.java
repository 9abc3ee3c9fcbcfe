package steadycog.search;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Finding;
import steadycog.check.Inspection;
import steadycog.check.Severity;
import steadycog.check.Subject;
import steadycog.motion.Mechanism;
import steadycog.motion.MotionSolver;
import steadycog.number.Ratio;
import steadycog.shape.PlanetGeometry;
import steadycog.torque.EachWay;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Member;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * A train that was found, with its roles, ready for the bench.
 *
 * @param error (i - target) / target, of sizes, signed
 * @param size sum of all teeth, each planet once
 * @param diameter of the largest wheel over its teeth, in modules
 * @param planets on a carrier; 0 where there is none
 * @param distortion by how many teeth in all its rows differ
 * @param inStep whether all planets of a set mesh in step, the noisier way
 * @param eachWay under load, forwards and backwards
 * @param worst the worst that any rule finds
 */
public record Candidate(
    Kind kind,
    Train train,
    Ratio ratio,
    double error,
    int size,
    double diameter,
    int planets,
    int distortion,
    boolean inStep,
    EachWay eachWay,
    Severity worst) {
  /** A tooth of distortion is worth any number of teeth in size. */
  private static final double TOOTH_OF_DISTORTION = 100_000;

  /** The smaller error first, then less distortion, then the smaller train. */
  static final Comparator<Candidate> BEST_FIRST =
      Comparator.comparingDouble((Candidate c) -> Math.abs(c.error))
          .thenComparingDouble(Candidate::rank)
          .thenComparing(c -> c.train.parts().toString());

  static double rank(int distortion, double size) {
    return distortion * TOOTH_OF_DISTORTION + size;
  }

  double rank() {
    return rank(distortion, size);
  }

  public double errorPpm() {
    return error * 1e6;
  }

  /**
   * Judges a train by every rule that need not know where wheels are put; empty where it has no
   * ratio. Chains can be put so that nothing clashes, or not: that shows on the bench.
   */
  static Optional<Candidate> of(Kind kind, Train train, BigFraction target) {
    Subject subject = Subject.of(train);
    return subject
        .motion()
        .ratio()
        .map(
            ratio -> {
              List<Finding> findings = Inspection.of(subject).withoutLayout();
              return new Candidate(
                  kind,
                  train,
                  ratio,
                  error(ratio, target),
                  size(train),
                  train.parts().stream().mapToDouble(Candidate::diameter).max().orElse(0),
                  train.parts().stream().mapToInt(Candidate::planets).max().orElse(0),
                  train.parts().stream().mapToInt(Candidate::distortion).sum(),
                  findings.stream().anyMatch(f -> f.wording().equals("phasing.in-step")),
                  subject.loading().eachWay().orElseThrow(),
                  findings.isEmpty() ? Severity.OK : findings.getFirst().severity());
            });
  }

  /** Size of the error of a train as a share; infinite where it has no ratio. */
  static double error(Train train, BigFraction target) {
    return MotionSolver.solve(Mechanism.of(train))
        .ratio()
        .map(ratio -> Math.abs(error(ratio, target)))
        .orElse(Double.POSITIVE_INFINITY);
  }

  static double rank(Train train) {
    return rank(train.parts().stream().mapToInt(Candidate::distortion).sum(), size(train));
  }

  private static double error(Ratio ratio, BigFraction target) {
    return ratio.reduction().abs().subtract(target).divide(target).doubleValue();
  }

  static int size(Train train) {
    return train.members().stream()
        .flatMap(member -> member.teeth().stream())
        .mapToInt(Teeth::count)
        .sum();
  }

  /** The teeth of the wheel that is taken off, or of the last one before a carrier. */
  int lastTeeth() {
    int last = 1;
    for (Member member : train.members()) {
      boolean taken =
          train.roles().take().filter(take -> take.member().equals(member.id())).isPresent();
      if (taken && member.teeth().isPresent()) {
        return member.teeth().get().count();
      }
      last = Math.max(last, member.teeth().map(Teeth::count).orElse(1));
    }
    return last;
  }

  private static double diameter(Part part) {
    return switch (part) {
      case Parallel chain -> largest(part) + 2;
      case Planetary set -> largest(part) + (set.ringIds().isEmpty() ? 2 : 2.5);
      case Cycloidal drive -> 0;
      case StrainWave drive -> drive.circular() + 2.5;
      case Bevel pair -> largest(part) + 2;
      case Differential sides -> largest(part) + 2;
      case Shaft none -> 0;
    };
  }

  private static int largest(Part part) {
    return part.members().stream()
        .flatMap(member -> member.teeth().stream())
        .mapToInt(Teeth::count)
        .max()
        .orElse(0);
  }

  private static int planets(Part part) {
    return part instanceof Planetary set ? set.count() : 0;
  }

  private static int distortion(Part part) {
    return part instanceof Planetary set ? new PlanetGeometry(set).distortion() : 0;
  }
}
