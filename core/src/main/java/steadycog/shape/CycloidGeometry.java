package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import steadycog.number.Quantity;
import steadycog.train.Cycloidal;

/**
 * The geometry of a cycloidal drive, in mm: what its card states, and usual proportions for the
 * rest. The disc's outline is the parallel, by the pins' radius, of the path that a pin's centre
 * takes about the disc, a shortened epitrochoid (Litvin & Fuentes, <i>Gear Geometry and Applied
 * Theory</i>, ch. 13, cycloidal gearing).
 */
public final class CycloidGeometry {
  /** Pin-circle diameter a pin where none is stated. */
  private static final double CIRCLE_A_PIN = 3.2;

  /** K where the eccentricity is not stated. */
  private static final double USUAL_K = 0.65;

  private static final double PIN_SHARE_OF_GAP = 0.27;
  private static final double PIN_SHARE_OF_CURVE = 0.7;
  private static final double BORE_SHARE = 0.5;
  private static final int USUAL_OUTPUTS = 6;
  private static final int CURVE_SAMPLES = 720;
  private static final double LEAST = 0.05;

  /** Room between the tips of the lobes and the wall of the ring, as a share of the pin circle. */
  private static final double TIP_ROOM = 0.01;

  /** Half the width of the neck between a pin and a wall behind it, in radii of the pin. */
  private static final double NECK = 0.8;

  /** Material of the ring outside its pins and its wall, in radii of a pin. */
  private static final double RING_RIM = 1.6;

  private final Cycloidal part;
  private final double circleRadius;
  private final double eccentricity;
  private final double pinRadius;
  private final double boreRadius;
  private final int outputs;
  private final double outputCircle;
  private final double outputPin;

  public CycloidGeometry(Cycloidal part) {
    this.part = part;
    Cycloidal.Sizes sizes = part.sizes();
    circleRadius = sizes.circle().map(Quantity::inBase).orElse(CIRCLE_A_PIN * part.pins()) / 2;
    eccentricity =
        sizes
            .eccentricity()
            .map(Quantity::inBase)
            .orElseGet(() -> rounded(USUAL_K * circleRadius / part.pins(), 0.01));
    pinRadius = sizes.pin().map(Quantity::inBase).orElseGet(() -> 2 * usualPinRadius()) / 2;
    boreRadius =
        sizes
                .bore()
                .map(Quantity::inBase)
                .orElseGet(() -> rounded(BORE_SHARE * 2 * rootRadius() * 0.8, 1))
            / 2;
    outputs = sizes.outputs().map(Cycloidal.Outputs::count).orElse(USUAL_OUTPUTS);
    outputCircle =
        sizes
                .outputs()
                .map(out -> out.circle().inBase())
                .orElseGet(() -> rounded(rootRadius() + boreRadius, 0.5))
            / 2;
    outputPin =
        sizes.outputs().map(out -> out.pin().inBase()).orElseGet(() -> 2 * usualOutputPin()) / 2;
  }

  private static double rounded(double value, double step) {
    return Math.max(step, Math.floor(value / step) * step);
  }

  private double usualPinRadius() {
    double byGap = PIN_SHARE_OF_GAP * gap();
    double byCurve = PIN_SHARE_OF_CURVE * leastCurvature();
    return rounded(Math.min(byGap, byCurve), 0.05);
  }

  private double usualOutputPin() {
    double across = (rootRadius() - boreRadius) / 2;
    double around = outputCircle * Math.sin(Math.PI / outputs);
    return Math.max(LEAST, rounded(0.62 * Math.min(across, around) - eccentricity, 0.25));
  }

  /** Distance of neighbouring pin centres. */
  private double gap() {
    return 2 * circleRadius * Math.sin(Math.PI / part.pins());
  }

  /** Pins that a disc of these lobes meshes with: one more. */
  int meshingPins() {
    return part.lobes() + 1;
  }

  public double circleRadius() {
    return circleRadius;
  }

  public double eccentricity() {
    return eccentricity;
  }

  public double pinRadius() {
    return pinRadius;
  }

  public double boreRadius() {
    return boreRadius;
  }

  public int outputs() {
    return outputs;
  }

  public double outputCircleRadius() {
    return outputCircle;
  }

  public double outputPinRadius() {
    return outputPin;
  }

  /** Radius of the holes for the output pins: the pin's and the eccentricity. */
  public double holeRadius() {
    return outputPin + eccentricity;
  }

  /** K = e Z / Rp, the shortening of the epitrochoid: below 1, usually 0.5 to 0.8. */
  public double shortening() {
    return eccentricity * meshingPins() / circleRadius;
  }

  /** Least radius of the disc's outline, in the hollows between its lobes. */
  public double rootRadius() {
    return circleRadius - eccentricity - pinRadiusOrZero();
  }

  private double pinRadiusOrZero() {
    return pinRadius > 0 ? pinRadius : PIN_SHARE_OF_GAP * gap();
  }

  /** Greatest radius of the disc's outline. */
  public double tipRadius() {
    return circleRadius + eccentricity - pinRadius;
  }

  /** How far the lobes' tips reach from the ring's axis while the disc goes round. */
  public double sweptRadius() {
    return tipRadius() + eccentricity;
  }

  /**
   * Inside radius of the ring's wall: the pin circle, unless tips of lobes would come too near to
   * it, as from 2 e = rr on.
   */
  public double wallRadius() {
    return Math.max(circleRadius, sweptRadius() + TIP_ROOM * circleRadius);
  }

  /**
   * The inside of the ring's wall about its axis, with the necks that reach in to the pins where it
   * stands out from them; the pins themselves are round.
   *
   * @param chord how far a straight piece may leave the true line, mm
   */
  public Outline wall(double chord) {
    double radius = wallRadius();
    boolean necks = radius > circleRadius;
    double half = NECK * pinRadius;
    double edge = necks ? Math.asin(Math.min(1, half / radius)) : 0;
    double gap = 2 * Math.PI / part.pins() - 2 * edge;
    double most = 2 * Math.acos(Math.max(0, 1 - chord / radius));
    int steps = Math.max(2, (int) Math.ceil(gap / most));
    List<double[]> points = new ArrayList<>();
    for (Polar pin : pins()) {
      double from = pin.angle() + edge;
      for (int k = 0; k < (necks ? steps + 1 : steps); k++) {
        double angle = from + gap * k / steps;
        points.add(new double[] {radius * Math.cos(angle), radius * Math.sin(angle)});
      }
      if (necks) {
        double next = pin.angle() + 2 * Math.PI / part.pins();
        for (double side : new double[] {-half, half}) {
          points.add(
              new double[] {
                circleRadius * Math.cos(next) - side * Math.sin(next),
                circleRadius * Math.sin(next) + side * Math.cos(next)
              });
        }
      }
    }
    return new Outline(
        points.stream().mapToDouble(point -> point[0]).toArray(),
        points.stream().mapToDouble(point -> point[1]).toArray());
  }

  /** Outside radius of the ring. */
  public double ringRadius() {
    return Math.max(circleRadius + pinRadius, wallRadius()) + RING_RIM * pinRadius;
  }

  /** Diameter of the shaft in the eccentric where none is stated, mm. */
  public double usualShaft() {
    return Math.max(1, boreRadius - eccentricity);
  }

  /**
   * By how much the bore of a middle disc is too small, negative, to be put over an end cam of an
   * eccentric in one piece and from there to its own: it must stand round both at once. Infinite
   * with no disc between others. Cams fill the bores of their discs.
   */
  public double threadingMargin() {
    int discs = part.sizes().discs();
    return discs < 3 ? Double.POSITIVE_INFINITY : -eccentricity * Math.sin(Math.PI / discs);
  }

  /** Whether all cams of the eccentric can be one piece. */
  public boolean camsInOnePiece() {
    return threadingMargin() >= 0;
  }

  /** Radius of the plate that carries the output pins. */
  public double outputPlateRadius() {
    return outputCircle + RING_RIM * outputPin;
  }

  /** Distance between the surfaces of neighbouring pins; negative when they overlap. */
  public double pinClearance() {
    return gap() - 2 * pinRadius;
  }

  /**
   * The least radius of curvature of the pin's path where it bends round the disc: pins thicker
   * than that cut away what they have shaped.
   */
  public double leastCurvature() {
    double least = Double.POSITIVE_INFINITY;
    for (int k = 0; k <= CURVE_SAMPLES; k++) {
      // The path repeats from lobe to lobe, each half the mirror of the other.
      double bend = curvature(Math.PI / (meshingPins() - 1) * k / CURVE_SAMPLES);
      if (bend > 0) {
        least = Math.min(least, 1 / bend);
      }
    }
    return least;
  }

  /** How much thinner the pins are than what would undercut the lobes; negative: they do. */
  public double curvatureMargin() {
    return leastCurvature() - pinRadius;
  }

  /** Room between neighbouring output holes; negative when they run into each other. */
  public double holeSpacing() {
    return outputs < 2
        ? Double.POSITIVE_INFINITY
        : 2 * outputCircle * Math.sin(Math.PI / outputs) - 2 * holeRadius();
  }

  /** Wall between output holes and the bore of the disc. */
  public double boreWall() {
    return outputCircle - holeRadius() - boreRadius;
  }

  /** Wall between output holes and the hollows of the lobes. */
  public double rootWall() {
    return circleRadius - eccentricity - pinRadius - outputCircle - holeRadius();
  }

  /**
   * The disc's outline about its own axis, in mm, for a disc whose axis lies to the right of the
   * ring's by the eccentricity.
   *
   * @param chord how far a straight piece may leave the true line, mm
   * @param clearance in mm taken off all round, at right angles to the outline
   */
  public Outline disc(double chord, double clearance) {
    return new CycloidDisc(this, part.lobes()).outline(chord, clearance);
  }

  /** How far the outline of disc {@code k} is turned against its holes, radians. */
  public double discPhase(int k) {
    return -discAngle(k) / part.lobes();
  }

  /** Where on the eccentric disc {@code k} sits, radians from the first. */
  public double discAngle(int k) {
    return 2 * Math.PI * k / part.sizes().discs();
  }

  /** The ring's pins about its axis, the first to the right. */
  public List<Polar> pins() {
    List<Polar> all = new ArrayList<>();
    for (int k = 0; k < part.pins(); k++) {
      all.add(new Polar(circleRadius, 2 * Math.PI * k / part.pins()));
    }
    return all;
  }

  /** The output pins about the axis, the first at the top. */
  public List<Polar> outputPins() {
    List<Polar> all = new ArrayList<>();
    for (int k = 0; k < outputs; k++) {
      all.add(new Polar(outputCircle, Math.PI / 2 + 2 * Math.PI * k / outputs));
    }
    return all;
  }

  /**
   * Where pin {@code k} touches the first disc: on the pin, towards the pitch point, which lies at
   * e Z from the ring's axis in the direction of the eccentricity.
   *
   * @param pinAngle of the pin about the ring's axis
   * @param eccentricAngle of the disc's axis about the ring's
   */
  public Polar contact(double pinAngle, double eccentricAngle) {
    double px = circleRadius * Math.cos(pinAngle);
    double py = circleRadius * Math.sin(pinAngle);
    double pole = eccentricity * meshingPins();
    double dx = pole * Math.cos(eccentricAngle) - px;
    double dy = pole * Math.sin(eccentricAngle) - py;
    double length = Math.hypot(dx, dy);
    double x = px + pinRadius * dx / length;
    double y = py + pinRadius * dy / length;
    return new Polar(Math.hypot(x, y), Math.atan2(y, x));
  }

  /**
   * Distance of the line through a pin and the pitch point from the disc's axis, mm, while the
   * eccentric points to the right: the lever of the force between pin and disc.
   */
  public double lever(double pinAngle) {
    double px = circleRadius * Math.cos(pinAngle);
    double py = circleRadius * Math.sin(pinAngle);
    double pole = eccentricity * meshingPins();
    double length = Math.hypot(pole - px, py);
    return Math.abs(py) / length * (pole - eccentricity);
  }

  /**
   * Curvature of a pin's surface and of the disc where they touch, added, 1/mm, while the eccentric
   * points to the right.
   */
  public double curvatureAgainst(double pinAngle) {
    double path = curvature(pinAngle / (meshingPins() - 1));
    // Parallel to the path, nearer to the disc by the pin's radius.
    double disc = path / (1 - path * pinRadius);
    return 1 / pinRadius + disc;
  }

  /** Of the path of a pin's centre about the disc, positive where it bends round the disc, 1/mm. */
  private double curvature(double t) {
    int z = meshingPins();
    double dx = -circleRadius * Math.sin(t) + eccentricity * z * Math.sin(z * t);
    double dy = -circleRadius * Math.cos(t) + eccentricity * z * Math.cos(z * t);
    double ddx = -circleRadius * Math.cos(t) + eccentricity * z * z * Math.cos(z * t);
    double ddy = circleRadius * Math.sin(t) - eccentricity * z * z * Math.sin(z * t);
    return -(dx * ddy - dy * ddx) / Math.pow(dx * dx + dy * dy, 1.5);
  }

  /**
   * Whether pin and disc press on each other when the eccentric turns counter-clockwise against a
   * held ring: half of them do.
   */
  public static boolean carries(double pinAngle, double eccentricAngle) {
    return Math.sin(pinAngle - eccentricAngle) > 0;
  }
}
