package steadycog.app.gearbox;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Every pixel against what geometry of another maker says of its middle. */
class RasterTest {
  private static final int WIDE = 60;
  private static final int HIGH = 40;

  /** Reaches past every edge, and often over itself. */
  private static double[][] ring(Random random) {
    double[][] ring = new double[2][3 + random.nextInt(9)];
    for (int k = 0; k < ring[0].length; k++) {
      ring[0][k] = random.nextDouble(-10, WIDE + 10);
      ring[1][k] = random.nextDouble(-10, HIGH + 10);
    }
    return ring;
  }

  private static void add(Path2D path, double[][] ring) {
    path.moveTo(ring[0][0], ring[1][0]);
    for (int k = 1; k < ring[0].length; k++) {
      path.lineTo(ring[0][k], ring[1][k]);
    }
    path.closePath();
  }

  @Test
  void paintsJustThePixelsWhoseMiddleIsInside() {
    Random random = new Random(4);
    for (int round = 1; round <= 200; round++) {
      Raster raster = new Raster(WIDE, HIGH);
      List<double[][]> rings = new ArrayList<>();
      Path2D path = new Path2D.Double(Path2D.WIND_EVEN_ODD);
      for (int k = random.nextInt(3); k >= 0; k--) {
        rings.add(ring(random));
        add(path, rings.getLast());
      }
      raster.fill(rings, round);
      for (int y = 0; y < HIGH; y++) {
        for (int x = 0; x < WIDE; x++) {
          assertEquals(path.contains(x + 0.5, y + 0.5) ? round : 0, raster.at(x, y), x + ", " + y);
        }
      }
    }
  }

  /** What is beside each other shares no pixel and leaves none out: no seam between two walls. */
  @Test
  void leavesNothingBetweenNeighbours() {
    Random random = new Random(5);
    for (int round = 0; round < 200; round++) {
      double[][] cut = ring(random);
      double[] x = {0, WIDE, WIDE, 0};
      double[] y = {0, 0, HIGH, HIGH};
      for (boolean cutFirst : new boolean[] {true, false}) {
        Raster raster = new Raster(WIDE, HIGH);
        List<double[][]> inside = List.<double[][]>of(cut);
        List<double[][]> outside = List.of(cut, new double[][] {x, y});
        raster.fill(cutFirst ? inside : outside, 1);
        raster.fill(cutFirst ? outside : inside, 2);
        Raster other = new Raster(WIDE, HIGH);
        other.fill(inside, cutFirst ? 1 : 2);
        for (int pixel = 0; pixel < WIDE * HIGH; pixel++) {
          int at = raster.at(pixel % WIDE, pixel / WIDE);
          boolean isIn = other.at(pixel % WIDE, pixel / WIDE) != 0;
          assertEquals(isIn == cutFirst ? 1 : 2, at);
        }
      }
    }
  }

  /** A line has no gap, goes from end to end, and keeps to the pixels beside it. */
  @Test
  void drawsLinesWithoutGaps() {
    Random random = new Random(6);
    for (int round = 0; round < 500; round++) {
      double[] x = {random.nextDouble(WIDE), random.nextDouble(WIDE)};
      double[] y = {random.nextDouble(HIGH), random.nextDouble(HIGH)};
      Raster raster = new Raster(WIDE, HIGH);
      raster.line(x, y, 1);
      int steps = Math.max(Math.abs((int) x[1] - (int) x[0]), Math.abs((int) y[1] - (int) y[0]));
      int painted = 0;
      for (int row = 0; row < HIGH; row++) {
        for (int column = 0; column < WIDE; column++) {
          if (raster.at(column, row) != 0) {
            painted++;
            double away = Line2D.ptSegDist(x[0], y[0], x[1], y[1], column + 0.5, row + 0.5);
            assertTrue(away < 1, away + " away");
          }
        }
      }
      assertEquals(1, raster.at((int) x[0], (int) y[0]));
      assertEquals(1, raster.at((int) x[1], (int) y[1]));
      assertTrue(painted > steps, painted + " of " + steps);
    }
  }
}
