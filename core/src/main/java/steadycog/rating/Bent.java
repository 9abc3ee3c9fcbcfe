package steadycog.rating;

/** A shaft in one of the ways in which the train runs. */
record Bent(Running running, Beam beam, boolean turning, double rpm, double thrust) {
  /** X and Y of deep-groove ball bearings whose static rating is not known (ISO 281, table 3). */
  private static final double RADIAL = 0.56;

  private static final double AXIAL = 2.30;

  /** The equivalent load of the more loaded bearing, N. */
  double load() {
    double first = beam.onFirst();
    double second = beam.onSecond();
    return thrust > 0
        ? Math.max(equivalent(first, thrust), second)
        : Math.max(first, equivalent(second, -thrust));
  }

  private static double equivalent(double across, double along) {
    return Math.max(across, RADIAL * across + AXIAL * along);
  }
}
