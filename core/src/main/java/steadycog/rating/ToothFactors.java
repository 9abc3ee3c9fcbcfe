package steadycog.rating;

/**
 * The factors of one tooth (AGMA 2001; Shigley, ch. 14).
 *
 * @param size Ks, at least 1
 * @param rim KB: thin rims bend with their teeth
 * @param bending J
 * @param form Y of that
 * @param concentration Kf of that
 */
public record ToothFactors(
    double size, double rim, double bending, double form, double concentration) {
  private static final double STIFF = 1.2;

  /**
   * Ks = 1.192 (F sqrt Y / P)^0.0535, in inches.
   *
   * @param face mm
   * @param lewis the form factor of the tooth loaded at its tip
   * @param module mm
   */
  static double size(double face, double lewis, double module) {
    double inch = MeshFactors.MM_PER_INCH;
    return Math.max(1, 1.192 * Math.pow(face / inch * Math.sqrt(lewis) * module / inch, 0.0535));
  }

  /** KB = 1.6 ln(2.242 / mB) for rims thinner than 1.2 tooth heights, mB their ratio. */
  static double rim(double backup) {
    return backup >= STIFF ? 1 : 1.6 * Math.log(2.242 / backup);
  }
}
