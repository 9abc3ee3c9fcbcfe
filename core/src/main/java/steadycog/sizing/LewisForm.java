package steadycog.sizing;

import steadycog.number.Memo;
import steadycog.shape.Cut;
import steadycog.shape.ToothSection;
import steadycog.train.Teeth;

/**
 * The form factor Y of Lewis's beam of equal strength, from the tooth as it is cut: load at the
 * tip, the weakest section in the root (W. Lewis 1892; Shigley, ch. 14, eq. 14-2: s = Ft / (b m
 * Y)).
 */
final class LewisForm {
  /** A tooth as it is cut and thinned. */
  private record Tooth(double count, boolean internal, Cut cut, double thinning) {}

  private static final Memo<Tooth, Double> FORMS = Memo.of(256, LewisForm::of);

  private LewisForm() {}

  /**
   * Y of one tooth: 2/3 of the least t² / (4 h) in modules, t the thickness of a section and h how
   * far it lies from where the load meets the centre-line, towards the root: beyond that point no
   * section is bent. Of pointed teeth the outer half is no beam and is left out.
   *
   * @param thinning taken off each flank along the pitch circle by clearance, in modules
   */
  static double of(Teeth teeth, Cut cut, double thinning) {
    return of(teeth.count(), teeth.internal(), cut, thinning);
  }

  /** The same of a count that need not be whole. */
  static double of(double count, boolean internal, Cut cut, double thinning) {
    return FORMS.get(new Tooth(count, internal, cut, thinning));
  }

  private static double of(Tooth tooth) {
    double height = ToothSection.loadHeight(tooth.count, tooth.internal, tooth.cut, tooth.thinning);
    return 2
        * ToothSection.weakest(tooth.count, tooth.internal, tooth.cut, tooth.thinning, height)
            .strength()
        / 3;
  }
}
