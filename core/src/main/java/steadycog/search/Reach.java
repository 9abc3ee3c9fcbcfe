package steadycog.search;

import java.util.Optional;
import java.util.function.LongSupplier;
import java.util.function.Supplier;

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

  /** Whether a stage of this ratio is near and turns the right way; the other way is counted. */
  boolean wants(Goal goal, double ratio) {
    return Double.isFinite(ratio)
        && contains(goal.error(Math.abs(ratio)))
        && turns(ratio < 0 ? -1 : 1);
  }

  /** Whether no limit turns down a stage of this ratio; counted where one does. */
  boolean allows(double ratio, Supplier<Optional<String>> refusal) {
    Optional<String> rule =
        query.limits().allowsStep(ratio) ? refusal.get() : Optional.of("stage-ratio");
    rule.ifPresent(tally::reject);
    return rule.isEmpty();
  }

  void progress(Kind kind, double share) {
    watch.progress(kind, share, examined.getAsLong());
  }
}
