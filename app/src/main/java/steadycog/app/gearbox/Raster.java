package steadycog.app.gearbox;

import java.util.Arrays;
import java.util.List;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;

/**
 * Pixels that areas and lines are painted into without smoothing: a pixel is painted where its
 * middle lies in an area. A canvas smooths all that is drawn on it, which takes ten times as long;
 * for what is gone at the next frame that is too long.
 */
final class Raster {
  private final int width;
  private final int height;
  private final int[] pixels;

  /** Where the lines round an area cross the middle of each row, and how many do so. */
  private final double[][] crossings;

  private final int[] crossed;

  Raster(int width, int height) {
    this.width = width;
    this.height = height;
    pixels = new int[width * height];
    crossings = new double[height][8];
    crossed = new int[height];
  }

  /**
   * Fills what an odd number of lines lies round.
   *
   * @param rings x to the right and y downwards of each, pixels; the last point is tied to the
   *     first
   * @param color as alpha, red, green and blue, a byte each, of no transparency
   */
  void fill(List<double[][]> rings, int color) {
    int first = height;
    int last = -1;
    for (double[][] ring : rings) {
      double[] x = ring[0];
      double[] y = ring[1];
      for (int k = 0, before = x.length - 1; k < x.length; before = k++) {
        int from = Math.max(0, pixel(Math.min(y[before], y[k])));
        int to = Math.min(height, pixel(Math.max(y[before], y[k])));
        double slope = (x[k] - x[before]) / (y[k] - y[before]);
        for (int row = from; row < to; row++) {
          cross(row, x[k] + (row + 0.5 - y[k]) * slope);
        }
        first = Math.min(first, from);
        last = Math.max(last, to);
      }
    }
    for (int row = first; row < last; row++) {
      paint(row, color);
    }
  }

  /** The first pixel whose middle does not lie before {@code at}. */
  private static int pixel(double at) {
    return (int) Math.ceil(at - 0.5);
  }

  private void cross(int row, double x) {
    if (crossed[row] == crossings[row].length) {
      crossings[row] = Arrays.copyOf(crossings[row], 2 * crossed[row]);
    }
    crossings[row][crossed[row]++] = x;
  }

  private void paint(int row, int color) {
    double[] x = crossings[row];
    int count = crossed[row];
    crossed[row] = 0;
    Arrays.sort(x, 0, count);
    for (int k = 0; k + 1 < count; k += 2) {
      int from = Math.clamp(pixel(x[k]), 0, width);
      int to = Math.clamp(pixel(x[k + 1]), from, width);
      Arrays.fill(pixels, row * width + from, row * width + to, color);
    }
  }

  /** Draws a line a pixel wide through points, pixels. */
  void line(double[] x, double[] y, int color) {
    for (int k = 1; k < x.length; k++) {
      double dx = x[k] - x[k - 1];
      double dy = y[k] - y[k - 1];
      int steps = Math.max(1, (int) Math.ceil(Math.max(Math.abs(dx), Math.abs(dy))));
      for (int step = 0; step <= steps; step++) {
        dot((int) (x[k - 1] + dx * step / steps), (int) (y[k - 1] + dy * step / steps), color);
      }
    }
  }

  private void dot(int x, int y, int color) {
    if (x >= 0 && x < width && y >= 0 && y < height) {
      pixels[y * width + x] = color;
    }
  }

  /** The color of a pixel; 0 where nothing has been painted. */
  int at(int x, int y) {
    return pixels[y * width + x];
  }

  /** What has been painted so far. */
  Image image() {
    WritableImage image = new WritableImage(width, height);
    image
        .getPixelWriter()
        .setPixels(0, 0, width, height, PixelFormat.getIntArgbPreInstance(), pixels, 0, width);
    return image;
  }
}
