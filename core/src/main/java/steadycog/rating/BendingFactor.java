package steadycog.rating;

import steadycog.number.Memo;
import steadycog.shape.Cut;
import steadycog.shape.GearOutline;
import steadycog.shape.ToothSection;

/**
 * The geometry factor for bending J = Y / (Kf mN), from the tooth as it is cut (AGMA 908; Shigley,
 * eq. 14-20).
 *
 * @param form Y: the beam of equal strength under the load's share that bends, less what presses
 * @param concentration Kf of Dolan and Broghamer (1942) for the fillet
 * @param sharing mN: 1 where one pair bears all at the highest point of single contact
 */
record BendingFactor(double form, double concentration, double sharing) {
  /** What a factor depends on; lengths in modules of the plane of the tooth. */
  private record Tooth(
      double count, boolean internal, Cut cut, double thinning, double loadRadius) {}

  private static final Memo<Tooth, BendingFactor> KNOWN = Memo.of(512, BendingFactor::workedOut);

  /**
   * Of one tooth.
   *
   * @param thinning taken off each flank along the pitch circle, in modules
   * @param loadRadius where the load acts, in modules; beyond the tip for the tip
   * @param sharing mN
   */
  static BendingFactor of(
      double count, boolean internal, Cut cut, double thinning, double loadRadius, double sharing) {
    BendingFactor one = KNOWN.get(new Tooth(count, internal, cut, thinning, loadRadius));
    return new BendingFactor(one.form, one.concentration, sharing);
  }

  double value() {
    return form / concentration / sharing;
  }

  private static BendingFactor workedOut(Tooth tooth) {
    boolean internal = tooth.internal;
    ToothSection.Load load =
        ToothSection.load(tooth.count, internal, tooth.cut, tooth.thinning, tooth.loadRadius);
    ToothSection.Weakest weakest =
        ToothSection.weakest(tooth.count, internal, tooth.cut, tooth.thinning, load.height());
    double angle = tooth.cut.rack().pressureAngle();
    double across = Math.cos(load.angle()) / Math.cos(angle);
    double form =
        1 / (across * (1.5 / weakest.strength() - Math.tan(load.angle()) / weakest.thickness()));
    double h = 0.340 - 0.458 * angle;
    double l = 0.316 - 0.458 * angle;
    double m = 0.290 + 0.458 * angle;
    double thickness = weakest.thickness();
    double concentration =
        h + Math.pow(thickness / fillet(tooth), l) * Math.pow(thickness / weakest.arm(), m);
    return new BendingFactor(form, concentration, 1);
  }

  /** The least radius of a fillet cut by a rack with a rounded tip (AGMA 908), in modules. */
  private static double fillet(Tooth tooth) {
    double tip = tooth.cut.rack().tipRadius();
    if (tooth.internal) {
      return tip;
    }
    double root = GearOutline.rootRadius(tooth.count, false, tooth.cut);
    double deep = tooth.count / 2 - root - tip;
    return tip + deep * deep / (tooth.count / 2 + deep);
  }
}
