package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.algorithm.Distance;
import org.locationtech.jts.geom.Coordinate;

/**
 * The line round the lobes of a cycloidal disc: a path at the pins' radius inside that of a pin.
 */
final class CycloidDisc {
  /** A lobe is first cut into so many steps, each of which is halved while it is too coarse. */
  private static final int STEPS_A_LOBE = 8;

  private static final int MOST_HALVINGS = 12;

  private final CycloidGeometry geometry;
  private final int lobes;

  CycloidDisc(CycloidGeometry geometry, int lobes) {
    this.geometry = geometry;
    this.lobes = lobes;
  }

  /**
   * The disc's outline about its own axis, in mm, for a disc whose axis lies to the right of the
   * ring's by the eccentricity.
   *
   * @param chord how far a straight piece may leave the true line, mm
   * @param clearance in mm taken off all round, at right angles to the outline
   */
  Outline outline(double chord, double clearance) {
    double offset = geometry.pinRadius() + clearance;
    double lobe = 2 * Math.PI / lobes;
    List<double[]> first = new ArrayList<>();
    for (int k = 0; k < STEPS_A_LOBE; k++) {
      double from = lobe * k / STEPS_A_LOBE;
      double to = lobe * (k + 1) / STEPS_A_LOBE;
      double[] start = point(from, offset);
      first.add(start);
      refine(first, from, start, to, point(to, offset), offset, chord, MOST_HALVINGS);
    }
    int each = first.size();
    double[] x = new double[each * lobes];
    double[] y = new double[each * lobes];
    for (int k = 0; k < x.length; k++) {
      // The lobes are alike.
      int which = k / each;
      double turn = lobe * which;
      double[] at = first.get(k % each);
      x[k] = at[0] * Math.cos(turn) - at[1] * Math.sin(turn);
      y[k] = at[0] * Math.sin(turn) + at[1] * Math.cos(turn);
    }
    return new Outline(x, y);
  }

  /** Adds points between two until no quarter of a step leaves its chord by more than allowed. */
  private void refine(
      List<double[]> points,
      double from,
      double[] start,
      double to,
      double[] end,
      double offset,
      double chord,
      int halvings) {
    double middle = (from + to) / 2;
    double[] half = point(middle, offset);
    double sag =
        Math.max(
            away(half, start, end),
            Math.max(
                away(point((from + middle) / 2, offset), start, end),
                away(point((middle + to) / 2, offset), start, end)));
    if (sag <= chord || halvings == 0) {
      return;
    }
    refine(points, from, start, middle, half, offset, chord, halvings - 1);
    points.add(half);
    refine(points, middle, half, to, end, offset, chord, halvings - 1);
  }

  private static double away(double[] point, double[] from, double[] to) {
    return Distance.pointToSegment(
        new Coordinate(point[0], point[1]),
        new Coordinate(from[0], from[1]),
        new Coordinate(to[0], to[1]));
  }

  /** The outline at parameter {@code angle}, counter-clockwise, {@code offset} off the path. */
  private double[] point(double angle, double offset) {
    int z = geometry.meshingPins();
    double t = -angle;
    double psi =
        Math.atan2(
            Math.sin((1 - z) * t),
            geometry.circleRadius() / (geometry.eccentricity() * z) - Math.cos((1 - z) * t));
    return new double[] {
      geometry.circleRadius() * Math.cos(t)
          - offset * Math.cos(t + psi)
          - geometry.eccentricity() * Math.cos(z * t),
      -geometry.circleRadius() * Math.sin(t)
          + offset * Math.sin(t + psi)
          + geometry.eccentricity() * Math.sin(z * t)
    };
  }
}
