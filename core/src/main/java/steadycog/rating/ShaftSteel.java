package steadycog.rating;

import java.util.function.DoublePredicate;
import steadycog.train.Duty;
import steadycog.train.Duty.Term;
import steadycog.train.ShaftSize;

/**
 * What a machined steel shaft bears that is bent as it turns and twisted steadily (distortion
 * energy with Goodman's line; Shigley, eqs. 6-18 to 6-29, 7-7, 7-8 and 7-15). Stress raisers count
 * in full. Diameters mm, moments N mm, stresses MPa.
 *
 * @param strength in tension
 * @param bendingRaiser Kf
 * @param torsionRaiser Kfs
 * @param reliable ke, by the reliability asked for
 */
record ShaftSteel(
    double strength, double yield, double bendingRaiser, double torsionRaiser, double reliable) {
  /** Of machined or cold-drawn surfaces, MPa. */
  private static final double SURFACE = 4.51;

  private static final double SURFACE_POWER = -0.265;

  /** Steels stronger than this do not endure more, MPa. */
  private static final double STRONGEST = 1400;

  private static final double SMALLEST = 2.79;
  private static final double LARGE = 51;

  static ShaftSteel of(ShaftSize size, Duty duty) {
    return new ShaftSteel(
        size.strengthMpa(),
        size.yieldMpa(),
        size.value(ShaftSize.Term.BENDING),
        size.value(ShaftSize.Term.TORSION),
        Reliability.ofShafts(duty.value(Term.RELIABILITY)));
  }

  /** Se of a shaft of that diameter. */
  double endurance(double diameter) {
    double d = Math.max(SMALLEST, diameter);
    double size = d <= LARGE ? 1.24 * Math.pow(d, -0.107) : 1.51 * Math.pow(d, -0.157);
    double surface = Math.min(1, SURFACE * Math.pow(strength, SURFACE_POWER));
    return surface * size * reliable * Math.min(STRONGEST, strength) / 2;
  }

  /**
   * The smaller of the factors against fatigue and against yielding.
   *
   * @param turning whether the bending goes round in it; that of a shaft at rest is steady
   */
  double factor(Beam.Section section, boolean turning, double diameter) {
    double bent = 2 * bendingRaiser * section.bending();
    double twisted = Math.sqrt(3) * torsionRaiser * section.torque();
    double over = 16 / (Math.PI * diameter * diameter * diameter);
    double fatigue =
        turning
            ? over * (bent / endurance(diameter) + twisted / strength)
            : over * Math.hypot(bent, twisted) / strength;
    return 1 / Math.max(fatigue, over * Math.hypot(bent, twisted) / yield);
  }

  /** The least diameter with that factor: a larger shaft always has more. */
  double diameter(Beam.Section section, boolean turning, double factor) {
    if (section.bending() == 0 && section.torque() == 0) {
      return 0;
    }
    double least = 0;
    double most = 1;
    while (factor(section, turning, most) < factor) {
      least = most;
      most *= 2;
    }
    return between(least, most, d -> factor(section, turning, d) >= factor);
  }

  /** Of a round pin: bending of a steady load, and shear, which is most in its middle. */
  double pinFactor(double bending, double shear, double diameter) {
    double bent = 32 * bending / (Math.PI * Math.pow(diameter, 3));
    double sheared = Math.sqrt(3) * 16 * shear / (3 * Math.PI * diameter * diameter);
    return yield / Math.max(bent, sheared);
  }

  double pinDiameter(double bending, double shear, double factor) {
    double byBending = Math.cbrt(32 * bending * factor / (Math.PI * yield));
    double byShear = Math.sqrt(Math.sqrt(3) * 16 * shear * factor / (3 * Math.PI * yield));
    return Math.max(byBending, byShear);
  }

  private static double between(double least, double most, DoublePredicate enough) {
    double low = least;
    double high = most;
    for (int k = 0; k < 60; k++) {
      double middle = (low + high) / 2;
      if (enough.test(middle)) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return high;
  }
}
