package steadycog.shape;

import steadycog.train.StrainWave;

/**
 * The geometry of a strain wave drive, in modules. The flexspline's middle line keeps its length:
 * it moves outwards by w = w0 cos L u and along by v = -(w0 / L) sin L u, u the angle from a lobe,
 * w0 half the difference of the teeth. Teeth are short and straight-sided, so that they pass in and
 * out of the spaces of the circular spline without touching elsewhere.
 */
public record StrainGeometry(StrainWave part) {
  private static final double ADDENDUM = 0.68;
  private static final double DEDENDUM = 0.85;

  /** By which its straight flanks lean, radians. */
  public static final double FLANK_ANGLE = Math.toRadians(30);

  private static final double FLANK = Math.tan(FLANK_ANGLE);

  /**
   * What is taken off each flank of the flexspline so that its teeth pass in and out beside the
   * lobes, times its teeth, in modules: found by turning them, least for a straight rack.
   */
  private static final double PASSING = 3.4;

  private static final double WALL_SHARE = 0.01;
  private static final double THICKEST = 0.4;
  private static final double RIM = 6;

  /** Steel, MPa. */
  private static final double YOUNG = 206_000;

  /** Points across a tooth of the flexspline: two of its root, two of its tip. */
  private static final int POINTS = 4;

  /** Pitch radius of the flexspline while it is round. */
  public double flexRadius() {
    return part.flex() / 2.0;
  }

  public double circularRadius() {
    return part.circular() / 2.0;
  }

  /** w0: how far the flexspline is pressed out at a lobe, in modules. */
  public double deflection() {
    return part.difference() / 2.0;
  }

  public double circularTip() {
    return circularRadius() - ADDENDUM;
  }

  /** Radius of the roots of the circular spline. */
  public double circularRoot() {
    return circularRadius() + DEDENDUM;
  }

  public double circularBody() {
    return circularRadius() + DEDENDUM + RIM;
  }

  /**
   * Thickness of the wall under the teeth in modules, as stated or in proportion; never so thick
   * that no generator goes inside: its stress says that it cannot be.
   */
  public double wall(double moduleMm) {
    return part.sizes()
        .wall()
        .map(length -> Math.min(length.inBase() / moduleMm, THICKEST * flexRadius()))
        .orElse(WALL_SHARE * 2 * flexRadius());
  }

  /** Radius of the middle of the wall. */
  public double wallRadius(double moduleMm) {
    return flexRadius() - DEDENDUM - wall(moduleMm) / 2;
  }

  /**
   * Bending stress in the wall, MPa: E s/2 times the greatest change of curvature, which for w = w0
   * cos L u is w0 (L² - 1)/r²; for two lobes 1.5 E s w0 / r² (thin ring; Timoshenko, <i>Strength of
   * Materials</i>).
   */
  public double wallStress(double moduleMm) {
    double radius = wallRadius(moduleMm);
    int lobes = part.lobes();
    return YOUNG * wall(moduleMm) / 2 * deflection() * (lobes * lobes - 1) / (radius * radius);
  }

  public double flexTip() {
    return flexRadius() + ADDENDUM;
  }

  /** Radius of the roots of the flexspline while it is round. */
  public double flexRoot() {
    return flexRadius() - DEDENDUM;
  }

  /** The straight side of a space of the round flexspline: two points, each radius and angle. */
  public double[] flexSpace(double thinning) {
    double pitch = flexRadius();
    double half = Math.PI / 4 + passing() + thinning;
    return new double[] {
      pitch - DEDENDUM,
      (half - DEDENDUM * FLANK) / pitch,
      pitch + ADDENDUM,
      (half + ADDENDUM * FLANK) / pitch
    };
  }

  /** The same of the circular spline, from its tips outwards. */
  public double[] circularSpace(double thinning) {
    double pitch = circularRadius();
    double half = Math.PI / 4 + thinning;
    return new double[] {
      pitch - ADDENDUM,
      (half + ADDENDUM * FLANK) / pitch,
      pitch + DEDENDUM,
      (half - DEDENDUM * FLANK) / pitch
    };
  }

  /** The circular spline's teeth about its axis, a space to the right. */
  public Outline circularTeeth(double thinning) {
    double tipHalf = Math.PI / 4 + ADDENDUM * FLANK + thinning;
    double rootHalf = Math.PI / 4 - DEDENDUM * FLANK + thinning;
    return round(part.circular(), -ADDENDUM, tipHalf, DEDENDUM, rootHalf);
  }

  /**
   * Teeth or spaces with straight sides round a pitch circle, the first to the right.
   *
   * @param first height of their beginning above it
   * @param firstHalf half their width there
   * @param second height of their end
   * @param secondHalf half their width there
   */
  private static Outline round(
      int count, double first, double firstHalf, double second, double secondHalf) {
    double pitch = count / 2.0;
    double[] x = new double[count * POINTS];
    double[] y = new double[count * POINTS];
    for (int tooth = 0; tooth < count; tooth++) {
      double centre = 2 * Math.PI * tooth / count;
      put(x, y, tooth * POINTS, pitch + first, centre - firstHalf / pitch);
      put(x, y, tooth * POINTS + 1, pitch + second, centre - secondHalf / pitch);
      put(x, y, tooth * POINTS + 2, pitch + second, centre + secondHalf / pitch);
      put(x, y, tooth * POINTS + 3, pitch + first, centre + firstHalf / pitch);
    }
    return new Outline(x, y);
  }

  private static void put(double[] x, double[] y, int at, double radius, double angle) {
    x[at] = radius * Math.cos(angle);
    y[at] = radius * Math.sin(angle);
  }

  /** What is taken off each flank of the flexspline along its pitch line, in modules. */
  public double passing() {
    return PASSING / part.flex();
  }

  /** The flexspline's teeth about its axis as they are made: round, a tooth to the right. */
  public Outline flexRound(double thinning) {
    double tipHalf = Math.PI / 4 - ADDENDUM * FLANK - passing() - thinning;
    double rootHalf = Math.PI / 4 + DEDENDUM * FLANK - passing() - thinning;
    return round(part.flex(), -DEDENDUM, rootHalf, ADDENDUM, tipHalf);
  }

  /**
   * The flexspline's teeth about its axis, a tooth to the right, pressed out of round.
   *
   * @param lobe angle of a lobe of the generator as seen from the flexspline, radians
   * @param times how many times its true deflection it is drawn with; it still meets the circular
   *     spline at the lobes
   */
  public Outline flexTeeth(double lobe, double times, double thinning) {
    int count = part.flex();
    double[] x = new double[count * POINTS];
    double[] y = new double[count * POINTS];
    double tipHalf = Math.PI / 4 - ADDENDUM * FLANK - passing() - thinning;
    double rootHalf = Math.PI / 4 + DEDENDUM * FLANK - passing() - thinning;
    Bend bend = new Bend(lobe, times);
    for (int tooth = 0; tooth < count; tooth++) {
      bend.at(2 * Math.PI * tooth / count);
      bend.put(x, y, tooth * POINTS, -DEDENDUM, -rootHalf);
      bend.put(x, y, tooth * POINTS + 1, ADDENDUM, -tipHalf);
      bend.put(x, y, tooth * POINTS + 2, ADDENDUM, tipHalf);
      bend.put(x, y, tooth * POINTS + 3, -DEDENDUM, rootHalf);
    }
    return new Outline(x, y);
  }

  /**
   * The flexspline's teeth as they stand with all marks at twelve o'clock: turned so that at a lobe
   * there a tooth stands in a space of the circular spline.
   *
   * @param lobe angle of a lobe, radians; a quarter turn with the marks at twelve
   */
  public Outline flexInMesh(double lobe, double times, double thinning) {
    double phase = -Math.PI / 2 * part.difference() / part.flex();
    return flexTeeth(lobe - phase, times, thinning).placed(phase, 0, 0);
  }

  /**
   * The line {@code depth} modules inside the flexspline's pitch line: its bore, or the generator.
   */
  public Outline inside(double lobe, double times, double depth, int points) {
    double[] x = new double[points];
    double[] y = new double[points];
    Bend bend = new Bend(lobe, times);
    for (int k = 0; k < points; k++) {
      bend.at(2 * Math.PI * k / points);
      bend.put(x, y, k, -depth, 0);
    }
    return new Outline(x, y);
  }

  /** Depth of the flexspline's bore below its pitch line. */
  public double boreDepth(double moduleMm) {
    return DEDENDUM + wall(moduleMm);
  }

  /** The middle line of the flexspline, bent; carries a point beside it. */
  private final class Bend {
    private final double lobe;
    private final double swing;
    private final double radius;
    private double x;
    private double y;
    private double cos;
    private double sin;

    Bend(double lobe, double times) {
      this.lobe = lobe;
      this.swing = deflection() * times;
      // Drawn larger than it is, it is drawn smaller all round, to meet the circular spline still.
      this.radius = circularRadius() - swing;
    }

    /** Goes to the place {@code angle} of the round flexspline. */
    void at(double angle) {
      int lobes = part.lobes();
      double from = lobes * (angle - lobe);
      double out = swing * Math.cos(from);
      double along = -swing / lobes * Math.sin(from);
      double here = angle + along / radius;
      double distance = radius + out;
      x = distance * Math.cos(here);
      y = distance * Math.sin(here);
      // The line leans by how fast it goes out along the way.
      double lean = Math.atan2(swing * lobes * Math.sin(from), distance);
      cos = Math.cos(here + lean);
      sin = Math.sin(here + lean);
    }

    /** A point {@code height} outside the line and {@code beside} it, counter-clockwise. */
    void put(double[] px, double[] py, int k, double height, double beside) {
      px[k] = x + height * cos - beside * sin;
      py[k] = y + height * sin + beside * cos;
    }
  }
}
