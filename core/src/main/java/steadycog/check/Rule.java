package steadycog.check;

import java.util.List;

/** One rule of the trade. */
interface Rule {
  /** Every breach of, or note under, this rule; an empty list where it has nothing to say. */
  List<Finding> check(Subject subject);

  /** Whether it looks at where wheels stand, which is dear to work out. */
  default boolean looksAtLayout() {
    return false;
  }
}
