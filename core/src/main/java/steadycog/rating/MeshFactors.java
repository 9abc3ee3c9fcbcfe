package steadycog.rating;

import steadycog.number.Unit;
import steadycog.train.Duty;
import steadycog.train.Duty.Mounting;

/**
 * The factors that both teeth of a mesh share (AGMA 2001; Shigley, ch. 14). Lengths mm.
 *
 * @param overload Ko
 * @param dynamic Kv: what inexact teeth add at speed
 * @param distribution Km: how unevenly a face bears
 * @param reliability KR
 * @param pitting I, the geometry factor for contact
 * @param sharing mN of that
 */
public record MeshFactors(
    double overload,
    double dynamic,
    double distribution,
    double reliability,
    double pitting,
    double sharing) {
  static final double MM_PER_INCH = Unit.IN.inBase();
  private static final double FEET_A_MINUTE = 60 / 0.3048;
  private static final double CROWNED = 0.8;

  /** Kv = ((A + sqrt V) / A)^B, V in ft/min. */
  static double dynamic(double quality, double metresPerSecond) {
    double b = Math.pow(12 - quality, 2.0 / 3) / 4;
    double a = 50 + 56 * (1 - b);
    return Math.pow((a + Math.sqrt(metresPerSecond * FEET_A_MINUTE)) / a, b);
  }

  /**
   * Km = 1 + Cmc (Cpf Cpm + Cma Ce), straddled and not adjusted at assembly.
   *
   * @param face mm
   * @param pinion its pitch diameter, mm
   */
  static double distribution(double face, double pinion, Duty duty) {
    double f = face / MM_PER_INCH;
    double slender = Math.max(0.05, face / (10 * pinion));
    double wide = f <= 1 ? -0.025 : -0.0375 + 0.0125 * f;
    double[] line = alignment(duty.mountingInForce());
    double aligned = line[0] + line[1] * f + line[2] * f * f;
    return 1 + (duty.crowned() ? CROWNED : 1) * (slender + wide + aligned);
  }

  private static double[] alignment(Mounting mounting) {
    return switch (mounting) {
      case OPEN -> new double[] {0.247, 0.0167, -0.765e-4};
      case ENCLOSED -> new double[] {0.127, 0.0158, -0.930e-4};
      case PRECISE -> new double[] {0.0675, 0.0128, -0.926e-4};
      case FINEST -> new double[] {0.00360, 0.0102, -0.822e-4};
    };
  }

  /**
   * I = cos a sin a / (2 mN) · mG / (mG ± 1).
   *
   * @param working transverse working angle, radians
   * @param ratio gear to pinion count, 1 and above
   */
  static double pitting(double working, double ratio, boolean internal, double sharing) {
    double both = Math.cos(working) * Math.sin(working) / (2 * sharing);
    return both * ratio / (internal ? ratio - 1 : ratio + 1);
  }
}
