package steadycog.app.geartable;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import org.junit.jupiter.api.Test;

class HatchTest {

  /** Lines stay in their rectangle, run from edge to edge at 45 degrees, and leave no gap. */
  @Test
  void aRectangleIsHatchedFromEdgeToEdge() {
    Random random = new Random(4);
    for (int run = 0; run < 200; run++) {
      double x = random.nextDouble(-50, 50);
      double y = random.nextDouble(-50, 50);
      double width = random.nextDouble(1, 60);
      double height = random.nextDouble(1, 60);
      boolean rising = random.nextBoolean();
      Hatch hatch = new Hatch("edge-hatch");
      hatch.over(x, y, width, height, rising);
      List<?> drawn = hatch.getElements();
      assertEquals((width + height) / 5, drawn.size() / 2.0, 1.0);
      for (int k = 0; k < drawn.size(); k += 2) {
        MoveTo from = (MoveTo) drawn.get(k);
        LineTo to = (LineTo) drawn.get(k + 1);
        double across = to.getX() - from.getX();
        assertEquals(rising ? -across : across, to.getY() - from.getY(), 1e-9);
        for (double[] end : new double[][] {{from.getX(), from.getY()}, {to.getX(), to.getY()}}) {
          assertTrue(end[0] > x - 1e-9 && end[0] < x + width + 1e-9);
          assertTrue(end[1] > y - 1e-9 && end[1] < y + height + 1e-9);
          double edge =
              Math.min(
                  Math.min(end[0] - x, x + width - end[0]),
                  Math.min(end[1] - y, y + height - end[1]));
          assertEquals(0, edge, 1e-9, "it ends on an edge");
        }
      }
      hatch.clear();
      assertTrue(hatch.getElements().isEmpty() && !hatch.isVisible());
    }
  }
}
