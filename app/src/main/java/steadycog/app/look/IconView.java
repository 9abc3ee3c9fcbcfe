package steadycog.app.look;

import javafx.scene.layout.Pane;
import javafx.scene.shape.SVGPath;

/** A symbol of fixed size that can change; changing it is far cheaper than making another node. */
public final class IconView extends Pane {
  private final SVGPath shape = Look.styled(new SVGPath(), "icon");
  private Icon shown;

  public IconView(Icon icon) {
    shown = icon;
    getChildren().add(shape);
    setMinSize(Icon.FIELD, Icon.FIELD);
    setPrefSize(Icon.FIELD, Icon.FIELD);
    setMaxSize(Icon.FIELD, Icon.FIELD);
    setMouseTransparent(true);
    draw();
  }

  /** Shows another symbol. */
  public void show(Icon icon) {
    if (icon != shown) {
      shown = icon;
      draw();
    }
  }

  private void draw() {
    shape.setContent(shown.path());
    shape.getStyleClass().setAll("icon", shown.isStroked() ? "icon-line" : "icon-solid");
  }
}
