package steadycog.app.desk;

import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.piece.Plates;

/**
 * How a person likes to see numbers and the window; not part of any job.
 *
 * @param trainValueLeads e = out/in leads instead of i = in/out
 * @param textSize in pixels, {@value #SMALLEST_TEXT} to {@value #LARGEST_TEXT}
 * @param still whether pictures that would turn by themselves stand still
 * @param presenting whether the window shows others what it draws, large; never kept
 * @param plate of the printer or cutter, on which pieces are laid out
 */
public record Preferences(
    boolean trainValueLeads,
    Unit speed,
    Unit torque,
    Unit power,
    Unit length,
    boolean dark,
    double textSize,
    boolean still,
    boolean presenting,
    Plates.Size plate) {
  public static final double SMALLEST_TEXT = 11;
  public static final double LARGEST_TEXT = 20;
  public static final double NORMAL_TEXT = 13.5;

  /** By which all is larger for those who sit further away. */
  private static final double LARGER = 1.5;

  public static final Preferences USUAL =
      new Preferences(
          false,
          Unit.RPM,
          Unit.NM,
          Unit.W,
          Unit.MM,
          false,
          NORMAL_TEXT,
          false,
          false,
          new Plates.Size(220, 220));

  public Preferences {
    require(speed, Unit.Dimension.SPEED);
    require(torque, Unit.Dimension.TORQUE);
    require(power, Unit.Dimension.POWER);
    require(length, Unit.Dimension.LENGTH);
    textSize = Math.clamp(textSize, SMALLEST_TEXT, LARGEST_TEXT);
  }

  private static void require(Unit unit, Unit.Dimension dimension) {
    if (unit.dimension() != dimension) {
      throw new IllegalArgumentException(unit + ": expected " + dimension.symbols());
    }
  }

  public Preferences leading(boolean trainValue) {
    return new Preferences(
        trainValue, speed, torque, power, length, dark, textSize, still, presenting, plate);
  }

  /** The same with {@code unit} for what it measures; as they are where that is never shown. */
  public Preferences in(Unit unit) {
    Units now = units().with(unit);
    return new Preferences(
        trainValueLeads,
        now.speed(),
        now.torque(),
        now.power(),
        now.length(),
        dark,
        textSize,
        still,
        presenting,
        plate);
  }

  /** The units of a report that says what the screen says. */
  public Units units() {
    return new Units(speed, torque, power, length);
  }

  public Preferences inDark(boolean now) {
    return new Preferences(
        trainValueLeads, speed, torque, power, length, now, textSize, still, presenting, plate);
  }

  public Preferences sized(double pixels) {
    return new Preferences(
        trainValueLeads, speed, torque, power, length, dark, pixels, still, presenting, plate);
  }

  public Preferences standingStill(boolean now) {
    return new Preferences(
        trainValueLeads, speed, torque, power, length, dark, textSize, now, presenting, plate);
  }

  public Preferences presenting(boolean now) {
    return new Preferences(
        trainValueLeads, speed, torque, power, length, dark, textSize, still, now, plate);
  }

  public Preferences onPlates(Plates.Size size) {
    return new Preferences(
        trainValueLeads, speed, torque, power, length, dark, textSize, still, presenting, size);
  }

  /** The size in which text is shown, pixels. */
  public double shownSize() {
    return presenting ? textSize * LARGER : textSize;
  }

  /** How much larger than usual the text is. */
  public double zoom() {
    return shownSize() / NORMAL_TEXT;
  }
}
