package steadycog.app.rail;

import java.util.Comparator;
import java.util.List;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import steadycog.app.look.Look;
import steadycog.shape.FaceLayout;
import steadycog.shape.Placed;
import steadycog.shape.PlacedCarrier;
import steadycog.shape.PlacedWheel;

/** A train so small that only its circles are drawn: enough to tell it from another. */
final class Sketch extends Pane {
  static final double SIZE = 36;

  Sketch() {
    getStyleClass().add("sketch");
    setMinSize(SIZE, SIZE);
    setPrefSize(SIZE, SIZE);
    setMaxSize(SIZE, SIZE);
    setMouseTransparent(true);
  }

  void clear() {
    getChildren().clear();
  }

  void show(FaceLayout layout) {
    double[] box = layout.bounds();
    double wide = box[2] - box[0];
    double high = box[3] - box[1];
    double scale = (SIZE - 2) / Math.max(wide, high);
    double x0 = SIZE / 2 - scale * (box[0] + box[2]) / 2;
    double y0 = SIZE / 2 + scale * (box[1] + box[3]) / 2;
    List<Placed> order =
        layout.bodies().stream()
            .sorted(Comparator.comparing(Sketch::isHollow).reversed().thenComparing(Placed::plane))
            .toList();
    getChildren().clear();
    for (Placed body : order) {
      double radius = Math.max(1, body.bodyRadius() * scale);
      String look =
          body instanceof PlacedCarrier
              ? "sketch-plate"
              : isHollow(body) ? "sketch-ring" : "sketch-wheel";
      getChildren()
          .add(Look.styled(new Circle(x0 + body.x() * scale, y0 - body.y() * scale, radius), look));
    }
  }

  private static boolean isHollow(Placed body) {
    return body instanceof PlacedWheel wheel && wheel.teeth().internal();
  }
}
