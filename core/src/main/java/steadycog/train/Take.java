package steadycog.train;

import java.util.Optional;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/**
 * The member where the output is taken off.
 *
 * @param load the torque that the driven machine asks for, or its power at the speed that follows,
 *     resisting the motion; negative where it pushes. When given it settles the torques instead of
 *     the drive's
 */
public record Take(MemberId member, Optional<Quantity> load) {

  public Take {
    load.ifPresent(
        given -> {
          if (given.unit().dimension() != Unit.Dimension.POWER) {
            Drive.requireDimension(given, Unit.Dimension.TORQUE);
          }
        });
  }

  public static Take of(MemberId member) {
    return new Take(member, Optional.empty());
  }

  /** The same load taken off at another member. */
  public Take movedTo(MemberId other) {
    return new Take(other, load);
  }
}
