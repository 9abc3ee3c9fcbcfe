package steadycog.search;

/**
 * What candidates are compared by; of a lead what it can at best be.
 *
 * @param error size of the error as a share
 * @param stages pairs of wheels, or sets in series
 * @param size sum of all teeth, each planet once
 * @param diameter of the largest wheel over its teeth, in modules; endless where there is no module
 * @param efficiency share of the power that comes out
 */
record Measures(double error, int stages, double size, double diameter, double efficiency) {

  /** The same of this size and diameter. */
  Measures sized(double otherSize, double otherDiameter) {
    return new Measures(error, stages, otherSize, otherDiameter, efficiency);
  }
}
