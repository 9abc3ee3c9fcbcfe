package steadycog.search;

/** Errors of ratios as shares. */
final class Errors {
  /** Products of doubles are exact to about this much: such a difference is none. */
  private static final double ROUNDING = 1e-14;

  private Errors() {}

  /**
   * Size of the error of {@code ratio} against {@code target}.
   *
   * @param inverse whether both stand for their reciprocals, which is what is wanted
   */
  static double of(double ratio, double target, boolean inverse) {
    double error = inverse ? Math.abs(target / ratio - 1) : Math.abs(ratio / target - 1);
    return error < ROUNDING ? 0 : error;
  }
}
