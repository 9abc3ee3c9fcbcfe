package steadycog.train;

import java.util.ArrayList;
import java.util.List;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.number.Units;

/** The units that a card uses, as far as it uses any, else the usual ones. */
final class StatedUnits {
  private StatedUnits() {}

  static Units of(Train train) {
    boolean inches = train.pitch().filter(Pitch::inInches).isPresent();
    Units units = inches ? Units.USUAL.with(Unit.IN) : Units.USUAL;
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
}
