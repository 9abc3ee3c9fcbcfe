package steadycog.app.geartable;

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
public final class Sketch extends Pane {
  private final double size;

  /** A square of {@code size} pixels. */
  public Sketch(double size) {
    this.size = size;
    getStyleClass().add("sketch");
    setMinSize(size, size);
    setPrefSize(size, size);
    setMaxSize(size, size);
    setMouseTransparent(true);
  }

  public void clear() {
    getChildren().clear();
  }

  public void show(FaceLayout layout) {
    double[] box = layout.bounds();
    double wide = box[2] - box[0];
    double high = box[3] - box[1];
    double scale = (size - 2) / Math.max(wide, high);
    double x0 = size / 2 - scale * (box[0] + box[2]) / 2;
    double y0 = size / 2 + scale * (box[1] + box[3]) / 2;
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
