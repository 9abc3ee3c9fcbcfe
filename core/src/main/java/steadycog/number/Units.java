package steadycog.number;

import java.util.Optional;
import steadycog.number.Unit.Dimension;

/** The units in which numbers are shown. */
public record Units(Unit speed, Unit torque, Unit power, Unit length) {
  public static final Units USUAL = new Units(Unit.RPM, Unit.NM, Unit.W, Unit.MM);

  /** The same with {@code unit} for what it measures; as they are where that is never shown. */
  public Units with(Unit unit) {
    return switch (unit.dimension()) {
      case SPEED -> new Units(unit, torque, power, length);
      case TORQUE -> new Units(speed, unit, power, length);
      case POWER -> new Units(speed, torque, unit, length);
      case LENGTH -> new Units(speed, torque, power, unit);
      case STRESS, MASS, FORCE, CURRENT, VOLTAGE, ANGLE, TEMPERATURE, SOUND, TIME -> this;
    };
  }

  /** The one for {@code dimension}; empty for what is shown in one unit alone. */
  public Optional<Unit> of(Dimension dimension) {
    return switch (dimension) {
      case SPEED -> Optional.of(speed);
      case TORQUE -> Optional.of(torque);
      case POWER -> Optional.of(power);
      case LENGTH -> Optional.of(length);
      default -> Optional.empty();
    };
  }
}
