package steadycog.search;

import java.util.function.LongSupplier;

/**
 * What is swept, and where what is found goes.
 *
 * @param tally counts combinations, once each however often they are swept
 * @param examined how many have been covered in all, for those who look on
 */
record Reach(Query query, Step step, Leads leads, Tally tally, LongSupplier examined, Watch watch) {

  /** Whether the output may turn that way; counted where it may not. */
  boolean turns(int sign) {
    boolean allowed = query.limits().direction().allows(sign);
    if (!allowed) {
      tally.reject("direction");
    }
    return allowed;
  }

  /** Whether an error lies within this step and is not beaten already. */
  boolean contains(double error) {
    return step.contains(error) && error <= leads.furthest();
  }

  void progress(Kind kind, double share) {
    watch.progress(kind, share, examined.getAsLong());
  }
}
