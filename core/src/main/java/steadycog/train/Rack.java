package steadycog.train;

import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;

/**
 * The basic rack that cuts all involute teeth of a train (ISO 53; ISO 21771).
 *
 * @param degrees pressure angle, 10 to 30 degrees
 * @param stub whether teeth are stubs: addendum 0.8 modules instead of 1, dedendum 1 instead of
 *     1.25
 */
public record Rack(BigFraction degrees, boolean stub) {
  /** What a card means that says nothing: 20 degrees, full depth. */
  public static final Rack USUAL = new Rack(BigFraction.of(20), false);

  public static final int LEAST_DEGREES = 10;
  public static final int MOST_DEGREES = 30;

  public Rack {
    double angle = degrees.doubleValue();
    if (angle < LEAST_DEGREES || angle > MOST_DEGREES) {
      throw new IllegalArgumentException(
          "angle "
              + Exact.plain(degrees)
              + ": expected "
              + LEAST_DEGREES
              + " to "
              + MOST_DEGREES
              + " degrees, as 20");
    }
  }

  /** The pressure angle. */
  public double radians() {
    return Math.toRadians(degrees.doubleValue());
  }

  /** As a card states it: {@code angle 14.5 stub}. */
  @Override
  public String toString() {
    return "angle " + Exact.plain(degrees) + (stub ? " stub" : "");
  }
}
