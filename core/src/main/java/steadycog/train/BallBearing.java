package steadycog.train;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A deep-groove ball bearing of a usual size (ISO 15).
 *
 * @param name designation
 * @param bore mm
 * @param outside diameter, mm
 * @param width mm
 */
public record BallBearing(String name, int bore, int outside, int width) {
  private static final List<BallBearing> USUAL =
      List.of(
          new BallBearing("683", 3, 7, 3),
          new BallBearing("623", 3, 10, 4),
          new BallBearing("624", 4, 13, 5),
          new BallBearing("685", 5, 11, 5),
          new BallBearing("625", 5, 16, 5),
          new BallBearing("626", 6, 19, 6),
          new BallBearing("688", 8, 16, 5),
          new BallBearing("608", 8, 22, 7),
          new BallBearing("6800", 10, 19, 5),
          new BallBearing("6900", 10, 22, 6),
          new BallBearing("6000", 10, 26, 8),
          new BallBearing("6801", 12, 21, 5),
          new BallBearing("6001", 12, 28, 8),
          new BallBearing("6802", 15, 24, 5),
          new BallBearing("6002", 15, 32, 9),
          new BallBearing("6803", 17, 26, 5),
          new BallBearing("6804", 20, 32, 7),
          new BallBearing("6805", 25, 37, 7),
          new BallBearing("6806", 30, 42, 7),
          new BallBearing("6808", 40, 52, 7),
          new BallBearing("6810", 50, 65, 7));

  /** Of the section between bore and outside a ball fills so much, by judgement. */
  private static final double SECTION = 0.3;

  /** Of the width a ball fills so much at most, by judgement. */
  private static final double WIDTH = 0.6;

  /** As far round balls can be filled in between the rings put out of centre, radians. */
  private static final double FILLED = Math.toRadians(186);

  /** bm of deep-groove ball bearings (ISO 281, table 1). */
  private static final double BALL_FACTOR = 1.3;

  /** Dw / Dpw and fc for one row of balls in deep grooves (ISO 281, table 2). */
  private static final double[][] FACTORS = {
    {0.05, 46.7}, {0.06, 49.1}, {0.07, 51.1}, {0.08, 52.8}, {0.09, 54.3}, {0.10, 55.5},
    {0.12, 57.5}, {0.14, 58.8}, {0.16, 59.6}, {0.18, 59.9}, {0.20, 59.9}, {0.22, 59.6},
    {0.24, 59.0}, {0.26, 58.2}, {0.28, 57.1}, {0.30, 56.0}, {0.32, 54.6}, {0.34, 53.2},
    {0.36, 51.7}, {0.38, 50.0}, {0.40, 48.4}
  };

  /** All of them, by bore and then by outside. */
  public static List<BallBearing> usual() {
    return USUAL;
  }

  public static Optional<BallBearing> of(String name) {
    return USUAL.stream().filter(one -> one.name.equals(name)).findFirst();
  }

  /** The smallest of those that go onto a shaft of that thickness, with a step of it or without. */
  public static Optional<BallBearing> on(double shaftMm) {
    return USUAL.stream()
        .filter(one -> one.bore <= shaftMm)
        .max(Comparator.comparingInt(BallBearing::bore).thenComparingInt(one -> -one.outside));
  }

  /**
   * Its basic dynamic load rating as estimated from its size, N: C = bm fc Z^(2/3) Dw^1.8 (ISO 281,
   * equation 1 for one row of balls and no contact angle, Dw below 25.4 mm). How many balls of what
   * size are inside is not standardized: they are taken to fill 0.3 of the section, at most 0.6 of
   * the width, and as many as can be put in. What its maker states comes before this.
   */
  public double estimatedRating() {
    double ball = Math.min(SECTION * (outside - bore), WIDTH * width);
    double pitch = (outside + bore) / 2.0;
    double count = Math.floor(1 + FILLED / (2 * Math.asin(ball / pitch)));
    return BALL_FACTOR
        * geometryFactor(ball / pitch)
        * Math.cbrt(count * count)
        * Math.pow(ball, 1.8);
  }

  /** fc of ISO 281, table 2: between its lines in proportion. */
  private static double geometryFactor(double share) {
    for (int k = 1; k < FACTORS.length; k++) {
      double low = FACTORS[k - 1][0];
      double high = FACTORS[k][0];
      if (share <= high) {
        double at = (Math.max(share, low) - low) / (high - low);
        return FACTORS[k - 1][1] + at * (FACTORS[k][1] - FACTORS[k - 1][1]);
      }
    }
    return FACTORS[FACTORS.length - 1][1];
  }

  /** All names, for messages. */
  public static String names() {
    return USUAL.stream().map(BallBearing::name).collect(Collectors.joining(", "));
  }

  /** {@code 688, 8 × 16 × 5}: name, bore, outside and width in mm. */
  public String says() {
    return name + ", " + bore + " \u00d7 " + outside + " \u00d7 " + width;
  }
}
