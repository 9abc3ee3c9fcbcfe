package steadycog.check;

import java.util.List;

/** One rule of the trade. */
interface Rule {
  /** Every breach of, or note under, this rule; an empty list where it has nothing to say. */
  List<Finding> check(Subject subject);

  /** What has to be worked out before it can judge. */
  default Needs needs() {
    return Needs.TEETH;
  }

  /** The dearest thing that a rule looks at, the dearest last. */
  enum Needs {
    /** Counts and sizes alone. */
    TEETH,
    /** How the train turns. */
    MOTION,
    /** Torques and losses. */
    LOADING,
    /** Where wheels stand. */
    LAYOUT
  }
}
