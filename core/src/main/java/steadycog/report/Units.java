package steadycog.report;

import java.util.ArrayList;
import java.util.List;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Drive;
import steadycog.train.Pitch;
import steadycog.train.Take;
import steadycog.train.Train;

/** The units in which numbers are shown. */
public record Units(Unit speed, Unit torque, Unit power, Unit length) {
  public static final Units USUAL = new Units(Unit.RPM, Unit.NM, Unit.W, Unit.MM);

  /** Those that a card uses, as far as it uses any, else the usual ones. */
  public static Units of(Train train) {
    boolean inches = train.pitch().filter(Pitch::inInches).isPresent();
    Units units = inches ? USUAL.with(Unit.IN) : USUAL;
    for (Quantity stated : stated(train)) {
      units = units.with(stated.unit());
    }
    return units;
  }

  /** What drives and take-off state, the first drive last so that it decides. */
  private static List<Quantity> stated(Train train) {
    List<Quantity> all = new ArrayList<>();
    train.rolesInForce().take().flatMap(Take::load).ifPresent(all::add);
    for (Drive drive : train.rolesInForce().drives().reversed()) {
      drive.speed().ifPresent(all::add);
      drive.effort().ifPresent(all::add);
    }
    return all;
  }

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
}
