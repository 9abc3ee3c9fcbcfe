package steadycog.report;

import steadycog.number.Unit;

/** The units in which numbers are shown. */
public record Units(Unit speed, Unit torque, Unit power, Unit length) {
  public static final Units USUAL = new Units(Unit.RPM, Unit.NM, Unit.W, Unit.MM);
}
