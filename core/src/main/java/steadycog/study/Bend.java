package steadycog.study;

import org.apache.commons.numbers.fraction.BigFraction;

/**
 * A bend that a vehicle goes round: its wheels roll on circles about one centre, so that the sides
 * of its differential turn at 1 - t/2R and 1 + t/2R of the case (Norton, <i>Design of
 * Machinery</i>).
 *
 * @param track distance between the wheels, in any unit
 * @param radius of the bend to the middle of the track, in the same unit, not zero; positive bends
 *     to the left
 */
public record Bend(BigFraction track, BigFraction radius) {

  public Bend {
    if (radius.signum() == 0) {
      throw new IllegalArgumentException("radius 0: expected the radius of a bend");
    }
  }

  /** Turns of the left side for one turn of the case. */
  public BigFraction left() {
    return BigFraction.ONE.subtract(share());
  }

  /** Turns of the right side for one turn of the case. */
  public BigFraction right() {
    return BigFraction.ONE.add(share());
  }

  private BigFraction share() {
    return track.divide(radius.multiply(2));
  }
}
