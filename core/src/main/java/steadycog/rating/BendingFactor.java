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
  /** The share of a tooth's depth, from its tip, that is no beam. */
  private static final double BEAM = 0.5;

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
    double root = GearOutline.rootRadius(tooth.count, internal, tooth.cut);
    double tip = GearOutline.tipRadius(tooth.count, internal, tooth.cut);
    double x = Double.MAX_VALUE;
    double thickness = 1;
    double height = 1;
    for (ToothSection section : ToothSection.of(tooth.count, internal, tooth.cut, tooth.thinning)) {
      double arm = (internal ? -1 : 1) * (load.height() - section.height());
      boolean bent = arm > 0 && Math.abs(section.height() - tip) >= BEAM * Math.abs(tip - root);
      double here = section.thickness() * section.thickness() / (4 * arm);
      if (bent && here < x) {
        x = here;
        thickness = section.thickness();
        height = arm;
      }
    }
    double angle = tooth.cut.rack().pressureAngle();
    double across = Math.cos(load.angle()) / Math.cos(angle);
    double form = 1 / (across * (1.5 / x - Math.tan(load.angle()) / thickness));
    double h = 0.340 - 0.458 * angle;
    double l = 0.316 - 0.458 * angle;
    double m = 0.290 + 0.458 * angle;
    double fillet = fillet(tooth, root);
    double concentration = h + Math.pow(thickness / fillet, l) * Math.pow(thickness / height, m);
    return new BendingFactor(form, concentration, 1);
  }

  /** The least radius of a fillet cut by a rack with a rounded tip (AGMA 908), in modules. */
  private static double fillet(Tooth tooth, double root) {
    double tip = tooth.cut.rack().tipRadius();
    if (tooth.internal) {
      return tip;
    }
    double deep = tooth.count / 2 - root - tip;
    return tip + deep * deep / (tooth.count / 2 + deep);
  }
}
