package steadycog.app.ledger;

import javafx.scene.shape.Line;
import javafx.scene.text.Text;
import steadycog.app.look.Look;

/** Where the strokes and words of the ledger's small plots lie, in pixels. */
final class Plot {
  private Plot() {}

  static void span(Line line, double x1, double y1, double x2, double y2) {
    line.setStartX(x1);
    line.setStartY(y1);
    line.setEndX(x2);
    line.setEndY(y2);
  }

  static void put(Text word, double x, double y) {
    word.setX(x);
    word.setY(y);
  }

  /** Puts a word so that it ends at {@code x}. */
  static void putBefore(Text word, double x, double y) {
    Look.anchor(word, x, 1);
    word.setY(y);
  }
}
