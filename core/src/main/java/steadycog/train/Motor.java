package steadycog.train;

import steadycog.number.Quantity;
import steadycog.number.Unit;

/**
 * A motor whose torque falls in a straight line from {@code stall} at rest to nothing at {@code
 * free} speed, as that of a small direct-current motor at one voltage.
 *
 * @param stall torque at rest, above 0
 * @param free speed without load, above 0
 */
public record Motor(Quantity stall, Quantity free) {
  public Motor {
    Drive.requireDimension(stall, Unit.Dimension.TORQUE);
    Drive.requireDimension(free, Unit.Dimension.SPEED);
    requirePositive(stall, "a stall torque");
    requirePositive(free, "a no-load speed");
  }

  private static void requirePositive(Quantity given, String what) {
    if (given.value().signum() <= 0) {
      throw new IllegalArgumentException(given + ": " + what + " is above 0");
    }
  }

  @Override
  public String toString() {
    return "motor " + stall + " " + free;
  }
}
