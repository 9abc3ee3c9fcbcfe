package steadycog.rating;

/**
 * How the stress that teeth bear falls with the cycles that they must last: a stress-cycle factor
 * of 1 at ten million, straight lines in logarithms (AGMA 2001; Shigley, figs. 14-14 and 14-15).
 *
 * @param knee cycles at which the line bends
 * @param scale of the line beyond the knee, y = scale N^-slope
 * @param slope beyond the knee, 0 for stresses that were stated for the life
 * @param steep slope below the knee
 */
record LifeCurve(double knee, double scale, double slope, double steep) {
  /** For allowables that hold for the life as they are. */
  static final LifeCurve FLAT = new LifeCurve(1, 1, 0, 0);

  private static final double BENDING_KNEE = 3e6;
  private static final double BENDING_SCALE = 1.3558;
  private static final double BENDING_SLOPE = 0.0178;
  private static final double CASE = 0.1192;
  private static final double CONTACT_KNEE = 1e7;

  /** Slopes of bending below the knee at these Brinell hardnesses. */
  private static final double[] HARDNESS = {160, 250, 400};

  private static final double[] SLOPES = {0.0538, 0.1045, 0.148};

  /** YN of through-hardened steel. */
  static LifeCurve bending(double brinell) {
    double slope = SLOPES[0];
    for (int k = 1; k < HARDNESS.length; k++) {
      double share = (brinell - HARDNESS[k - 1]) / (HARDNESS[k] - HARDNESS[k - 1]);
      if (share > 0) {
        slope = SLOPES[k - 1] + Math.min(1, share) * (SLOPES[k] - SLOPES[k - 1]);
      }
    }
    return new LifeCurve(BENDING_KNEE, BENDING_SCALE, BENDING_SLOPE, slope);
  }

  /** YN of case-hardened steel. */
  static LifeCurve caseBending() {
    return new LifeCurve(BENDING_KNEE, BENDING_SCALE, BENDING_SLOPE, CASE);
  }

  /** ZN of steel. */
  static LifeCurve contact() {
    return new LifeCurve(CONTACT_KNEE, 1.4488, 0.023, 0.056);
  }

  /** The factor for so many cycles, more than 0. */
  double factor(double cycles) {
    return cycles >= knee
        ? scale * Math.pow(cycles, -slope)
        : atKnee() * Math.pow(cycles / knee, -steep);
  }

  /** The cycles at which the factor is that; endless where it never falls so low. */
  double cycles(double factor) {
    if (slope == 0) {
      return factor > 1 ? 0 : Double.POSITIVE_INFINITY;
    }
    return factor <= atKnee()
        ? Math.pow(factor / scale, -1 / slope)
        : knee * Math.pow(factor / atKnee(), -1 / steep);
  }

  private double atKnee() {
    return scale * Math.pow(knee, -slope);
  }
}
