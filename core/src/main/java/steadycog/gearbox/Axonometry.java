package steadycog.gearbox;

/**
 * A parallel projection of x, y across the axis and z along it, as the coefficients of each
 * direction of the paper. Up on the paper is up.
 *
 * @param right to the right
 * @param up up
 * @param depth away from whoever looks
 * @param isTurnedOver whether the far end lies towards whoever looks, else the drive end
 */
public record Axonometry(Way right, Way up, Way depth, boolean isTurnedOver) {

  /** A direction: what a step along each axis adds to it. */
  record Way(double x, double y, double z) {
    double of(double px, double py, double pz) {
      return x * px + y * py + z * pz;
    }
  }

  /** By which what stands on the bench is turned, so that no row of holes lies edge on, degrees. */
  private static final double BENCH_SPIN = 24;

  /** The axis runs to the right and away, and what looks from the drive end is seen. */
  public static final Axonometry USUAL = of(42, 28, 0, false);

  /** It stands on its drive end, and is looked down on. */
  public static final Axonometry BENCH = of(90, -58, BENCH_SPIN, true);

  /** The same, looked straight down on. */
  public static final Axonometry PLAN =
      new Axonometry(
          spun(new Way(1, 0, 0), Math.toRadians(BENCH_SPIN)),
          spun(new Way(0, 1, 0), Math.toRadians(BENCH_SPIN)),
          new Way(0, 0, 1),
          true);

  /**
   * A projection, angles in degrees.
   *
   * @param turn of the axis out of the paper's plane to the side
   * @param tilt by which it is looked down on
   * @param spin about its own axis first
   */
  private static Axonometry of(double turn, double tilt, double spin, boolean isTurnedOver) {
    double a = Math.toRadians(turn);
    double b = Math.toRadians(tilt);
    double c = Math.toRadians(spin);
    Way right = new Way(Math.sin(a), 0, Math.cos(a));
    Way away = new Way(-Math.cos(a), 0, Math.sin(a));
    Way up = new Way(away.x * Math.sin(b), Math.cos(b), away.z * Math.sin(b));
    Way depth = new Way(away.x * Math.cos(b), -Math.sin(b), away.z * Math.cos(b));
    return new Axonometry(spun(right, c), spun(up, c), spun(depth, c), isTurnedOver);
  }

  private static Way spun(Way way, double by) {
    return new Way(
        way.x * Math.cos(by) + way.y * Math.sin(by),
        way.y * Math.cos(by) - way.x * Math.sin(by),
        way.z);
  }

  double right(double x, double y, double z) {
    return right.of(x, y, z);
  }

  double up(double x, double y, double z) {
    return up.of(x, y, z);
  }

  double depth(double x, double y, double z) {
    return depth.of(x, y, z);
  }
}
