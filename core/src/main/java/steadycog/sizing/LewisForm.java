package steadycog.sizing;

import java.util.List;
import steadycog.shape.Cut;
import steadycog.shape.ToothSection;
import steadycog.train.Teeth;

/**
 * The form factor Y of Lewis's beam of equal strength, from the tooth as it is cut: load at the
 * tip, the weakest section in the root (W. Lewis 1892; Shigley, ch. 14, eq. 14-2: s = Ft / (b m
 * Y)).
 */
final class LewisForm {
  private LewisForm() {}

  /**
   * Y of one tooth: 2/3 of the least t² / (4 h) in modules, t the thickness of a section and h its
   * distance from where the load meets the centre-line.
   */
  static double of(Teeth teeth, Cut cut) {
    List<ToothSection> sections = ToothSection.of(teeth, cut);
    double apex = ToothSection.loadHeight(teeth, cut);
    double least = Double.MAX_VALUE;
    for (ToothSection section : sections) {
      double arm = Math.abs(apex - section.height());
      double x = section.thickness() * section.thickness() / (4 * arm);
      least = arm > 0 ? Math.min(least, x) : least;
    }
    return 2 * least / 3;
  }
}
