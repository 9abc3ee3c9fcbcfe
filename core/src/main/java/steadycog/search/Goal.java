package steadycog.search;

import java.util.List;
import steadycog.train.MemberId;
import steadycog.train.Roles;

/**
 * The ratio that is wanted of trains.
 *
 * @param ratio as a size
 * @param faster whether it is that of trains which slow down, and they are driven from the other
 *     end
 */
record Goal(double ratio, boolean faster) {
  /** Products of doubles are exact to about this much: such a difference is none. */
  private static final double ROUNDING = 1e-14;

  /** Of trains that are used either way. */
  static Goal either(Query query) {
    return new Goal(query.target().ratio().doubleValue(), false);
  }

  /**
   * Of trains all of whose stages slow down: for a wanted ratio below 1 the reciprocal, of the same
   * trains driven from the other end.
   */
  static Goal slowing(Query query) {
    double wanted = query.target().ratio().doubleValue();
    return wanted < 1 ? new Goal(1 / wanted, true) : new Goal(wanted, false);
  }

  /** Size of the error, as a share of what is wanted, of a train that makes {@code made}. */
  double error(double made) {
    double error = faster ? Math.abs(ratio / made - 1) : Math.abs(made / ratio - 1);
    return error < ROUNDING ? 0 : error;
  }

  /** The least size of a ratio that is off by at most {@code share}. */
  double least(double share) {
    return (faster ? ratio / (1 + share) : ratio * (1 - share)) * (1 - ROUNDING);
  }

  /** The greatest size of a ratio that is off by at most {@code share}, which is below 1. */
  double most(double share) {
    return (faster ? ratio / (1 - share) : ratio * (1 + share)) * (1 + ROUNDING);
  }

  /** Roles of a train that slows down from {@code fast} to {@code slow}. */
  Roles roles(MemberId fast, List<MemberId> holds, MemberId slow) {
    return faster ? Roles.between(slow, holds, fast) : Roles.between(fast, holds, slow);
  }
}
