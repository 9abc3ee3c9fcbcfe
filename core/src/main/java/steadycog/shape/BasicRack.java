package steadycog.shape;

/**
 * The standard basic rack tooth profile, in modules (ISO 53:1998, profile A).
 *
 * @param pressureAngle radians
 * @param addendum height above the reference line, 1
 * @param dedendum depth below it, 1.25
 * @param tipRadius rounding of the cutting rack's tooth tip, 0.38
 */
public record BasicRack(double pressureAngle, double addendum, double dedendum, double tipRadius) {
  public static final BasicRack ISO_53_A = new BasicRack(Math.toRadians(20), 1, 1.25, 0.38);

  /** inv a = tan a - a, the involute function of {@code angle} (ISO 21771). */
  public static double involute(double angle) {
    return Math.tan(angle) - angle;
  }
}
