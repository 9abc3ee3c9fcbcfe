package steadycog.shape;

import steadycog.train.Helices;
import steadycog.train.Helix;
import steadycog.train.MemberId;
import steadycog.train.Rack;
import steadycog.train.Train;

/**
 * The standard basic rack tooth profile, in modules (ISO 53:1998, profile A); stub teeth by 0.8 of
 * its addendum and dedendum.
 *
 * @param pressureAngle radians
 * @param addendum height above the reference line, 1
 * @param dedendum depth below it, 1.25
 * @param tipRadius rounding of the cutting rack's tooth tip, 0.38
 */
public record BasicRack(double pressureAngle, double addendum, double dedendum, double tipRadius) {
  public static final BasicRack ISO_53_A = new BasicRack(Math.toRadians(20), 1, 1.25, 0.38);

  private static final double STUB = 0.8;

  /** The rack that a train states. */
  public static BasicRack of(Rack stated) {
    double angle = stated.radians();
    double depth = stated.stub() ? STUB : 1;
    return new BasicRack(
        angle, depth * ISO_53_A.addendum, depth * ISO_53_A.dedendum, depth * ISO_53_A.tipRadius);
  }

  /** The rack in the plane of rotation of {@code wheel}, in that plane's modules. */
  public static BasicRack of(Train train, MemberId wheel) {
    return of(train.sizes().rackInForce()).wound(Helices.of(train, wheel));
  }

  /**
   * The section of this rack in the plane of rotation, in modules of that plane: tan at = tan an /
   * cos b, heights by cos b (ISO 21771). The rounding of its tips, which is an ellipse there, is
   * taken as a circle.
   */
  public BasicRack wound(Helix helix) {
    if (helix.isStraight()) {
      return this;
    }
    double cosine = helix.cosine();
    return new BasicRack(
        Math.atan(Math.tan(pressureAngle) / cosine),
        addendum * cosine,
        dedendum * cosine,
        tipRadius * cosine);
  }

  /** The fewest teeth that this rack does not undercut without shift: 2 k / sin² a. */
  public double undercutFree() {
    return 2 * addendum / sineSquared();
  }

  /** The shift from which on it leaves the flanks of {@code teeth} whole: k - z sin² a / 2. */
  public double shiftAgainstUndercut(double teeth) {
    return addendum - teeth * sineSquared() / 2;
  }

  private double sineSquared() {
    return Math.pow(Math.sin(pressureAngle), 2);
  }

  /** The angle whose involute is given; 0 where that is negative. Newton, to rounding. */
  public static double angleOf(double involute) {
    if (involute <= 0) {
      return 0;
    }
    double angle = Math.min(1.4, Math.cbrt(3 * involute));
    for (int k = 0; k < 30; k++) {
      double tan = Math.tan(angle);
      angle -= (tan - angle - involute) / (tan * tan);
    }
    return angle;
  }

  /** inv a = tan a - a, the involute function of {@code angle} (ISO 21771). */
  public static double involute(double angle) {
    return Math.tan(angle) - angle;
  }
}
