package steadycog.gearbox;

/**
 * A parallel projection: the axis runs to the right and away, and what looks from the drive end is
 * seen. Up on the paper is up.
 *
 * @param turn of the axis out of the paper's plane to the side, radians
 * @param tilt by which it is looked down on, radians
 */
public record Axonometry(double turn, double tilt) {
  public static final Axonometry USUAL = new Axonometry(Math.toRadians(42), Math.toRadians(28));

  /** To the right. */
  double right(double x, double y, double z) {
    return x * Math.sin(turn) + z * Math.cos(turn);
  }

  /** Away on the ground, before it is tilted. */
  private double away(double x, double z) {
    return z * Math.sin(turn) - x * Math.cos(turn);
  }

  /** Up. */
  double up(double x, double y, double z) {
    return y * Math.cos(tilt) + away(x, z) * Math.sin(tilt);
  }

  /** Away from whoever looks. */
  double depth(double x, double y, double z) {
    return away(x, z) * Math.cos(tilt) - y * Math.sin(tilt);
  }
}
