package steadycog.search;

import java.util.Optional;

/**
 * What trains are let in.
 *
 * @param stages how many pairs of wheels, or sets in series
 * @param teeth of wheels, suns and planets
 * @param ring of rings, which follow from the others; empty for whatever follows
 * @param planets on a carrier
 * @param perStage the largest step of one pair, 5 for 1 : 5 to 5 : 1; empty for any
 * @param direction of the output against the input
 * @param distortion by how many teeth in all the rows of two-row planets may differ
 * @param diameter of the largest wheel over its teeth, in modules; empty for any
 * @param coaxial whether input and output of two pairs must be in line
 * @param sound whether pairs of wheels must be free of errors too; sets always are
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
    boolean coaxial,
    boolean sound) {
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

  /** Which way the output turns. */
  public enum Direction {
    ANY,
    SAME,
    OPPOSITE;

    boolean allows(int sign) {
      return this == ANY || (this == SAME) == sign > 0;
    }
  }

  public Limits {
    require(stages.from() >= 1 && stages.to() <= MOST_STAGES, "1 to 5 stages: found " + stages);
    require(
        teeth.from() >= FEWEST_TEETH && teeth.to() <= MOST_TEETH,
        "tooth counts lie within 4..600: found " + teeth);
    require(planets.from() >= 1 && planets.to() <= 12, "1 to 12 planets: found " + planets);
    require(
        distortion >= 0 && distortion <= MOST_DISTORTION,
        "rows can be brought together over 0 to 3 teeth: found " + distortion);
    require(
        perStage.orElse(2.0) >= 1,
        "a step of at least 1 : 1 a stage: found " + perStage.orElse(0.));
    require(
        diameter.orElse(100.0) >= FEWEST_TEETH + 2,
        "no wheel is smaller than 6 modules: found " + diameter.orElse(0.));
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

  boolean allowsRing(int count) {
    return ring.map(range -> range.contains(count)).orElse(true)
        && diameter.map(d -> count + 2.5 <= d).orElse(true);
  }
}
