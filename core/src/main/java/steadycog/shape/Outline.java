package steadycog.shape;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * A closed polygon; the last point joins the first. The arrays are the outline's own: do not change
 * them.
 *
 * @param x in modules
 * @param y in modules, up
 */
@SuppressWarnings("ArrayRecordComponent") // Compared by their points, below.
public record Outline(double[] x, double[] y) {
  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof Outline that && Arrays.equals(x, that.x) && Arrays.equals(y, that.y);
  }

  @Override
  public int hashCode() {
    return 31 * Arrays.hashCode(x) + Arrays.hashCode(y);
  }

  public int size() {
    return x.length;
  }

  /** The polygon {@code factor} times as large. */
  public Outline scaled(double factor) {
    return new Outline(times(x, factor), times(y, factor));
  }

  private static double[] times(double[] values, double factor) {
    double[] all = new double[values.length];
    for (int k = 0; k < all.length; k++) {
      all[k] = factor * values[k];
    }
    return all;
  }

  /** The polygon turned by {@code angle} (radians, counter-clockwise) and then moved. */
  public Outline placed(double angle, double dx, double dy) {
    double cos = Math.cos(angle);
    double sin = Math.sin(angle);
    double[] px = new double[x.length];
    double[] py = new double[x.length];
    for (int k = 0; k < x.length; k++) {
      px[k] = dx + x[k] * cos - y[k] * sin;
      py[k] = dy + x[k] * sin + y[k] * cos;
    }
    return new Outline(px, py);
  }

  /**
   * The same turned over about the y axis, what was to the right to the left, and gone round
   * backwards: what lay to the left of its way still does.
   */
  public Outline turnedOver() {
    int last = size() - 1;
    double[] px = new double[size()];
    double[] py = new double[size()];
    for (int k = 0; k <= last; k++) {
      px[k] = -x[last - k];
      py[k] = y[last - k];
    }
    return new Outline(px, py);
  }
}
