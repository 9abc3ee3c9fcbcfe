package steadycog.train;

import java.util.Optional;
import steadycog.number.AngularSpeed;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/**
 * A member turned from outside.
 *
 * @param speed signed, counter-clockwise positive; 1 rpm where none is stated
 * @param effort a torque or a power; positive pushes the way the member turns, negative brakes it;
 *     1 N m on the first drive where none is stated
 * @param motor what turns it, where that is chosen
 */
public record Drive(
    MemberId member, Optional<Quantity> speed, Optional<Quantity> effort, Optional<Motor> motor) {
  private static final Quantity ONE_RPM = Quantity.of("1", Unit.RPM);

  public Drive {
    speed.ifPresent(given -> requireDimension(given, Unit.Dimension.SPEED));
    effort.ifPresent(
        given -> {
          if (given.unit().dimension() != Unit.Dimension.POWER) {
            requireDimension(given, Unit.Dimension.TORQUE);
          }
        });
  }

  /** A drive without a motor. */
  public Drive(MemberId member, Optional<Quantity> speed, Optional<Quantity> effort) {
    this(member, speed, effort, Optional.empty());
  }

  public static Drive of(MemberId member) {
    return new Drive(member, Optional.empty(), Optional.empty());
  }

  /** The stated speed, or 1 rpm. */
  public Quantity statedSpeed() {
    return speed.orElse(ONE_RPM);
  }

  public AngularSpeed angularSpeed() {
    return AngularSpeed.of(statedSpeed());
  }

  /** The same speed, effort and motor given to another member. */
  public Drive movedTo(MemberId other) {
    return new Drive(other, speed, effort, motor);
  }

  /** The same with another speed. */
  public Drive at(Quantity changed) {
    return new Drive(member, Optional.of(changed), effort, motor);
  }

  /** The same turned by another motor, or by none. */
  public Drive by(Optional<Motor> changed) {
    return new Drive(member, speed, effort, changed);
  }

  static void requireDimension(Quantity given, Unit.Dimension dimension) {
    if (given.unit().dimension() != dimension) {
      throw new IllegalArgumentException(given + ": expected " + dimension.symbols());
    }
  }
}
