package steadycog.search;

import java.util.List;
import steadycog.train.MemberId;
import steadycog.train.Roles;

/**
 * The ratio that trains which slow down must make. For a wanted ratio below 1 it is the reciprocal:
 * the same trains are then driven from the other end.
 *
 * @param ratio at least 1
 * @param faster whether trains are driven from the other end
 */
record Goal(double ratio, boolean faster) {
  /** Products of doubles are exact to about this much: such a difference is none. */
  private static final double ROUNDING = 1e-14;

  static Goal of(Query query) {
    double wanted = query.target().ratio().doubleValue();
    return wanted < 1 ? new Goal(1 / wanted, true) : new Goal(wanted, false);
  }

  /**
   * Size of the error, as a share of what is wanted, of a train that slows down by {@code made}.
   */
  double error(double made) {
    double error = faster ? Math.abs(ratio / made - 1) : Math.abs(made / ratio - 1);
    return error < ROUNDING ? 0 : error;
  }

  /** Roles of a train that slows down from {@code fast} to {@code slow}. */
  Roles roles(MemberId fast, List<MemberId> holds, MemberId slow) {
    return faster ? Roles.between(slow, holds, fast) : Roles.between(fast, holds, slow);
  }
}
