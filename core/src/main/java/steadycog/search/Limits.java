package steadycog.search;

import java.util.Optional;
import steadycog.train.Mesh;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * What trains are let in.
 *
 * @param stages how many pairs of wheels, or sets in series
 * @param teeth of wheels, suns and planets
 * @param ring of rings, which follow from the others; empty for whatever follows
 * @param planets on a carrier
 * @param perStage the largest step of one pair or set, 5 for 1 : 5 to 5 : 1; empty for any
 * @param direction of the output against the input
 * @param distortion by how many teeth a ring may differ from S + 2 P, and in all the rows of
 *     two-row planets from each other
 * @param diameter of the largest wheel over its teeth, in modules; empty for any
 * @param twoModules whether the rows of a set may have two standard modules
 * @param coaxial whether input and output must be in line: two pairs of one centre distance, or
 *     sets alone
 */
public record Limits(
    Range stages,
    Range teeth,
    Optional<Range> ring,
    Range planets,
    Optional<Double> perStage,
    Direction direction,
    int distortion,
    Optional<Double> diameter,
    boolean twoModules,
    boolean coaxial) {
  /** More pairs than these have products beyond reach. */
  public static final int MOST_STAGES = 5;

  public static final int FEWEST_TEETH = 4;
  public static final int MOST_TEETH = 600;

  /** Rows further apart than this do not come together. */
  public static final int MOST_DISTORTION = 3;

  /** What is taken unless something is said. */
  public static final Limits USUAL =
      new Limits(
          new Range(1, 3),
          new Range(12, 120),
          Optional.empty(),
          new Range(3, 5),
          Optional.empty(),
          Direction.ANY,
          2,
          Optional.empty(),
          false,
          false);

  /** What is taken near a train that is there: it may be whatever it is. */
  static final Limits WIDEST =
      new Limits(
          new Range(1, MOST_STAGES),
          new Range(FEWEST_TEETH, MOST_TEETH),
          Optional.empty(),
          new Range(1, Planetary.MOST_PLANETS),
          Optional.empty(),
          Direction.ANY,
          MOST_DISTORTION,
          Optional.empty(),
          false,
          false);

  /** Which way the output turns. */
  public enum Direction {
    ANY,
    SAME,
    OPPOSITE;

    boolean allows(int sign) {
      return this == ANY || (this == SAME) == sign > 0;
    }

    /** Whether the output turns the right way behind so many external pairs. */
    boolean allowsPairs(int pairs) {
      return allows(pairs % 2 == 0 ? 1 : -1);
    }
  }

  public Limits {
    stages(stages);
    teeth(teeth);
    planets(planets);
    distortion(distortion);
    perStage.ifPresent(Limits::perStage);
    diameter.ifPresent(Limits::diameter);
  }

  /** How many stages, if that many can be looked for; so with the others. */
  static Range stages(Range stages) {
    require(stages.from() >= 1 && stages.to() <= MOST_STAGES, "1 to 5 stages: found " + stages);
    return stages;
  }

  static Range teeth(Range teeth) {
    require(
        teeth.from() >= FEWEST_TEETH && teeth.to() <= MOST_TEETH,
        "tooth counts lie within 4..600: found " + teeth);
    return teeth;
  }

  static Range planets(Range planets) {
    require(planets.from() >= 1 && planets.to() <= 12, "1 to 12 planets: found " + planets);
    return planets;
  }

  static int distortion(int teeth) {
    require(
        teeth >= 0 && teeth <= MOST_DISTORTION,
        "rows can be brought together over 0 to 3 teeth: found " + teeth);
    return teeth;
  }

  static double perStage(double step) {
    require(step >= 1, "a step of at least 1 : 1 a stage: found " + step);
    return step;
  }

  static double diameter(double modules) {
    require(modules >= FEWEST_TEETH + 2, "no wheel is smaller than 6 modules: found " + modules);
    return modules;
  }

  private static void require(boolean holds, String otherwise) {
    if (!holds) {
      throw new IllegalArgumentException(otherwise);
    }
  }

  /** Teeth that a wheel may have at most: its count and two more modules are its diameter. */
  int mostTeeth() {
    return (int) Math.min(teeth.to(), diameter.map(d -> d - 2).orElse((double) MOST_TEETH));
  }

  /** Whether a pair or set may make this step, up or down. */
  boolean allowsStep(double ratio) {
    double step = Math.max(Math.abs(ratio), 1 / Math.abs(ratio));
    return step <= perStage.orElse(Double.MAX_VALUE) * (1 + 1e-12);
  }

  boolean allowsRing(int count) {
    return ring.map(range -> range.contains(count)).orElse(true);
  }

  /** Whether a largest wheel may be so large, in modules. */
  boolean allowsDiameter(double modules) {
    return modules <= diameter.orElse(Double.MAX_VALUE);
  }

  /** The same of wheels of any diameter. */
  Limits ofAnyDiameter() {
    return new Limits(
        stages,
        teeth,
        ring,
        planets,
        perStage,
        direction,
        distortion,
        Optional.empty(),
        twoModules,
        coaxial);
  }

  /** Whether a candidate, however it came about, lies within these limits. */
  boolean allow(Candidate candidate) {
    Train train = candidate.train();
    boolean sized =
        allowsDiameter(candidate.diameter())
            && candidate.distortion() <= distortion
            && stages.contains(candidate.stages())
            && (candidate.planets() == 0 || planets.contains(candidate.planets()));
    return sized
        && direction.allows(candidate.ratio().reduction().signum())
        && train.parts().stream().allMatch(part -> allowsSteps(part, candidate))
        && allowTeeth(train);
  }

  /** Whether the counts of all wheels and rings lie within these limits. */
  boolean allowTeeth(Train train) {
    return train.involuteWheels().stream().flatMap(w -> w.teeth().stream()).allMatch(this::allows);
  }

  private boolean allows(Teeth wheel) {
    return wheel.internal() ? allowsRing(wheel.count()) : teeth.contains(wheel.count());
  }

  /** Of a chain every pair makes a step, and all have one centre distance if they are in line. */
  private boolean allowsSteps(Part part, Candidate candidate) {
    if (part.isChain()) {
      return part.meshes().stream()
              .allMatch(m -> allowsStep((double) m.teethB().count() / m.teethA().count()))
          && (!coaxial || part.meshes().stream().mapToInt(Mesh::span).distinct().count() == 1);
    }
    boolean alone = candidate.train().parts().size() == 1;
    return !alone || allowsStep(candidate.ratio().reduction().doubleValue());
  }
}
