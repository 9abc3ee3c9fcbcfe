package steadycog.search;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Finding;
import steadycog.check.Inspection;
import steadycog.check.Severity;
import steadycog.check.Subject;
import steadycog.notation.Card;
import steadycog.number.Ratio;
import steadycog.shape.PlanetGeometry;
import steadycog.sizing.Thrust;
import steadycog.study.SizeChoices;
import steadycog.study.SizeChoices.Choice;
import steadycog.torque.EachWay;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Helices;
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
 * @param stages pairs of wheels and sets in series; an idler is none
 * @param size sum of all teeth, each planet once
 * @param diameter of the largest wheel over its teeth, in modules of the train
 * @param planets on a carrier; 0 where there is none
 * @param distortion by how many teeth in all its rows differ
 * @param inStep whether all planets of a set mesh in step, the noisier way
 * @param helix the steepest of its teeth, degrees; 0 where all are straight
 * @param thrust the largest on a wheel for 1 N m at the drive, N; empty without a helix or module
 * @param eachWay under load, forwards and backwards
 * @param worst the worst that any rule finds
 * @param trouble the rule that its first error breaks; empty where it has none
 * @param sized the smallest standard teeth that bear the load asked for, which the train then has;
 *     empty where none is asked for or none do
 */
public record Candidate(
    Kind kind,
    Train train,
    Ratio ratio,
    double error,
    int stages,
    int size,
    double diameter,
    int planets,
    int distortion,
    boolean inStep,
    double helix,
    Optional<Double> thrust,
    EachWay eachWay,
    Severity worst,
    Optional<String> trouble,
    Optional<Choice> sized) {
  /** What a wheel has over its teeth, and a ring over its rim, more than its count, in modules. */
  static final double TIPS = 2;

  static final double RIM = 2.5;

  /** What it is compared by; without a module its diameter is endless. */
  Measures measures() {
    return new Measures(
        Math.abs(error), stages, size, inOrder(diameter), share(eachWay.efficiency().orElse(0.0)));
  }

  /** Efficiencies come out of a solver: what differs only by its rounding is equal. */
  static double share(double efficiency) {
    return Math.rint(efficiency * 1e12) / 1e12;
  }

  /** Its card on one line, statements parted by {@code ;}. */
  public String card() {
    return Card.of(train).text().strip().replace("\n", "; ");
  }

  public double errorPpm() {
    return error * 1e6;
  }

  /** Judges a train by every rule; empty where it has no ratio. */
  static Optional<Candidate> of(Kind kind, Subject subject, BigFraction target) {
    Train train = subject.train();
    Optional<EachWay> eachWay = subject.loading().eachWay();
    return subject
        .motion()
        .ratio()
        .filter(ratio -> eachWay.isPresent())
        .map(
            ratio -> {
              List<Finding> findings = Inspection.of(subject).findings();
              return new Candidate(
                  kind,
                  train,
                  ratio,
                  error(ratio, target),
                  stages(train),
                  size(train),
                  train.parts().stream().mapToDouble(part -> diameter(train, part)).max().orElse(0),
                  train.parts(Planetary.class).stream().mapToInt(Planetary::count).max().orElse(0),
                  train.parts(Planetary.class).stream()
                      .mapToInt(set -> PlanetGeometry.of(train, set).distortion())
                      .sum(),
                  findings.stream().anyMatch(f -> f.wording().equals("phasing.in-step")),
                  helix(train),
                  thrust(subject),
                  eachWay.orElseThrow(),
                  findings.isEmpty() ? Severity.OK : findings.getFirst().severity(),
                  firstError(findings),
                  Optional.empty());
            });
  }

  /** The same under a load, sized for it where that can be. */
  Candidate under(Load load) {
    Train driven = load.on(train);
    Optional<Choice> choice = SizeChoices.smallest(driven);
    return new Candidate(
        kind,
        choice.map(Choice::train).orElse(driven),
        ratio,
        error,
        stages,
        size,
        diameter,
        planets,
        distortion,
        inStep,
        helix,
        thrust,
        eachWay,
        worst,
        trouble,
        choice);
  }

  private static double helix(Train train) {
    return train.involuteWheels().stream()
        .mapToDouble(wheel -> Helices.of(train, wheel.id()).degrees().doubleValue())
        .max()
        .orElse(0);
  }

  private static Optional<Double> thrust(Subject subject) {
    if (!Helices.any(subject.train()) || !subject.train().isSized()) {
      return Optional.empty();
    }
    return Thrust.onWheels(subject.train(), subject.loading().flow().torques()).stream()
        .map(one -> Math.abs(one.force()))
        .max(Comparator.naturalOrder());
  }

  private static Optional<String> firstError(List<Finding> findings) {
    return findings.stream()
        .filter(finding -> finding.severity() == Severity.ERROR)
        .map(Finding::code)
        .findFirst();
  }

  /** Pairs of wheels and sets through which the power goes one after the other. */
  static int stages(Train train) {
    int stages = 0;
    for (Part part : train.parts()) {
      stages +=
          switch (part) {
            case Parallel chain ->
                1 + (int) chain.links().stream().filter(Parallel.Link.SHAFT::equals).count();
            case Shaft none -> 0;
            case Planetary set -> 1;
            case Cycloidal drive -> 1;
            case StrainWave drive -> 1;
            case Bevel pair -> 1;
            case Differential sides -> 1;
          };
    }
    return stages;
  }

  /** (i - target) / target, of sizes. */
  static double error(Ratio ratio, BigFraction target) {
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

  /** Where a diameter stands among others: behind all where there is no module. */
  private static double inOrder(double diameter) {
    return diameter == 0 ? Double.POSITIVE_INFINITY : diameter;
  }

  static double diameterInOrder(Part part) {
    return inOrder(diameter(part));
  }

  static double diameter(Part part) {
    return diameter(Train.of(List.of(part)), part);
  }

  private static double diameter(Train train, Part part) {
    return switch (part) {
      case Parallel chain -> largest(train, part, Double.NaN);
      case Planetary set -> largest(train, part, set.ringIds().isEmpty() ? TIPS : RIM);
      case Cycloidal drive -> 0;
      case StrainWave drive -> drive.circular() + RIM;
      case Bevel pair -> largest(train, part, TIPS);
      case Differential sides -> largest(train, part, TIPS);
      case Shaft none -> 0;
    };
  }

  /**
   * Of the largest wheel, in modules of the train.
   *
   * @param rim what a wheel has more than its count; not a number for what its own teeth have
   */
  private static double largest(Train train, Part part, double rim) {
    double largest = 0;
    for (Member member : part.members()) {
      if (member.teeth().isPresent()) {
        Teeth teeth = member.teeth().get();
        double own = Double.isNaN(rim) ? teeth.internal() ? RIM : TIPS : rim;
        double scale = train.moduleMm(member.id()) / train.moduleMm();
        double over = own * Helices.of(train, member.id()).cosine();
        largest = Math.max(largest, scale * (teeth.count() + over));
      }
    }
    return largest;
  }
}
