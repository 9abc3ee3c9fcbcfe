package steadycog.search;

/**
 * Errors that are swept, and where what is found goes.
 *
 * @param above errors up to here have been swept already; negative in the first sweep
 * @param upTo the largest error looked for, as a share
 * @param tally counts combinations, once each however often they are swept
 */
record Reach(Limits limits, double above, double upTo, Leads leads, Tally tally, Watch watch) {

  /** Whether nothing has been swept yet. */
  boolean first() {
    return above < 0;
  }

  boolean contains(double error) {
    return error > above && error <= upTo;
  }

  /** Whether the output may turn that way; counted where it may not. */
  boolean turns(int sign) {
    boolean allowed = limits.direction().allows(sign);
    if (!allowed) {
      tally.reject("direction");
    }
    return allowed;
  }
}
