package steadycog.app.geartable;

import java.util.List;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.PathElement;
import steadycog.app.look.Look;

/**
 * Thin slanting lines over what is cut through, as on a drawing-office section. Bodies that touch
 * are hatched against one another; all hatching of one way runs through the same points, so that
 * the halves of one body fit together.
 */
final class Hatch extends Path {
  private static final double APART = 5;

  Hatch(String... styles) {
    Look.styled(this, styles);
    setMouseTransparent(true);
  }

  void clear() {
    getElements().clear();
    setVisible(false);
  }

  /** Adds the lines over a rectangle, in pixels; {@code rising} to the right. */
  void over(double x, double y, double width, double height, boolean rising) {
    setVisible(true);
    // A line is where y and x, or y and minus x, have one sum.
    int way = rising ? 1 : -1;
    double left = rising ? x : -x - width;
    double least = y + left;
    double most = y + height + left + width;
    for (double sum = Math.ceil(least / APART) * APART; sum < most; sum += APART) {
      double from = Math.max(left, sum - y - height);
      double to = Math.min(left + width, sum - y);
      getElements().addAll(line(way * from, sum - from, way * to, sum - to));
    }
  }

  private static List<PathElement> line(double x1, double y1, double x2, double y2) {
    return List.of(new MoveTo(x1, y1), new LineTo(x2, y2));
  }
}
