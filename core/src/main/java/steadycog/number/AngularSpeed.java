package steadycog.number;

import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * A signed speed of rotation, counter-clockwise positive seen from the drive end, kept exactly even
 * where drives in rpm and in rad/s are mixed: {@code rpm + radPerS * 30/pi}. Because pi is
 * irrational the two parts never cancel, so equality of the parts is equality of the speeds.
 */
public record AngularSpeed(BigFraction rpm, BigFraction radPerS) {
  public static final AngularSpeed ZERO = new AngularSpeed(BigFraction.ZERO, BigFraction.ZERO);

  /**
   * A speed from a typed quantity.
   *
   * @throws IllegalArgumentException if the quantity is no speed
   */
  public static AngularSpeed of(Quantity speed) {
    Unit unit = speed.unit();
    if (unit.dimension() != Unit.Dimension.SPEED) {
      throw new IllegalArgumentException("not a speed: " + speed);
    }
    return unit.piPower() == 0
        ? new AngularSpeed(speed.value().multiply(unit.factor()), BigFraction.ZERO)
        : new AngularSpeed(BigFraction.ZERO, speed.value());
  }

  public AngularSpeed times(BigFraction factor) {
    return new AngularSpeed(rpm.multiply(factor), radPerS.multiply(factor));
  }

  public AngularSpeed plus(AngularSpeed other) {
    return new AngularSpeed(rpm.add(other.rpm), radPerS.add(other.radPerS));
  }

  public boolean isZero() {
    return Exact.isZero(rpm) && Exact.isZero(radPerS);
  }

  /** In revolutions per minute, rounded to a double. */
  public double inRpm() {
    return rpm.doubleValue() + radPerS.doubleValue() * 30 / Math.PI;
  }

  /** In radians per second, rounded to a double. */
  public double inRadPerS() {
    return rpm.doubleValue() * Math.PI / 30 + radPerS.doubleValue();
  }

  /** In {@code unit}, a unit of speed, rounded to a double. */
  public double in(Unit unit) {
    return inRpm() / unit.inBase();
  }

  /** -1, 0 or +1: clockwise, at rest, counter-clockwise. */
  public int signum() {
    return isZero() ? 0 : (int) Math.signum(inRpm());
  }

  /** The exact number in {@code unit}, or empty where that would need pi. */
  public Optional<BigFraction> exactIn(Unit unit) {
    boolean radians = unit.piPower() != 0;
    if (!Exact.isZero(radians ? rpm : radPerS)) {
      return Optional.empty();
    }
    return Optional.of(radians ? radPerS : rpm.divide(unit.factor()));
  }
}
