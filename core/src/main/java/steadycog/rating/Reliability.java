package steadycog.rating;

/** What reliability costs, from tables, in between by the logarithm of the share that fails. */
final class Reliability {
  private static final double[] FAILING = {0.5, 0.1, 0.01, 0.001, 0.0001};
  private static final double[] TEETH = {0.70, 0.85, 1.00, 1.25, 1.50};
  private static final double[] SHAFTS = {1.000, 0.897, 0.814, 0.753, 0.702};

  private Reliability() {}

  /** KR of teeth (Shigley, table 14-10). */
  static double ofTeeth(double reliability) {
    return between(TEETH, reliability);
  }

  /** ke of the endurance of shafts (Shigley, table 6-5). */
  static double ofShafts(double reliability) {
    return between(SHAFTS, reliability);
  }

  private static double between(double[] table, double reliability) {
    double failing = Math.log(1 - reliability);
    int k = 1;
    while (k < FAILING.length - 1 && failing < Math.log(FAILING[k])) {
      k++;
    }
    double from = Math.log(FAILING[k - 1]);
    double share = (failing - from) / (Math.log(FAILING[k]) - from);
    return table[k - 1] + share * (table[k] - table[k - 1]);
  }
}
