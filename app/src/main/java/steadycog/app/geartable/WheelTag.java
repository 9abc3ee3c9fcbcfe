package steadycog.app.geartable;

import javafx.geometry.Pos;
import javafx.scene.Group;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.shape.PlacedWheel;

/** A wheel's name, teeth and direction; it stands still while the wheel turns. */
final class WheelTag extends Group {
  /** Room that a full tag takes about its centre, in pixels. */
  static final double RADIUS = 23;

  /** Room that a tag with the name only takes. */
  static final double SMALL_RADIUS = 14;

  /**
   * A tag about the origin.
   *
   * @param way +1 counter-clockwise, -1 clockwise, 0 at rest or unknown
   * @param small name only, where there is little room
   */
  WheelTag(PlacedWheel wheel, int way, boolean small) {
    getStyleClass().add("wheel-tag");
    setMouseTransparent(true);
    Text name = Look.styled(new Text(Sign.shortName(wheel.id())), "wheel-name");
    VBox lines = Look.styled(new VBox(name), "wheel-tag-back");
    lines.setAlignment(Pos.CENTER);
    if (!small) {
      lines.getChildren().add(Look.styled(new Text(wheel.teeth().toString()), "wheel-teeth"));
      if (way != 0) {
        lines.getChildren().add((way > 0 ? Icon.CCW : Icon.CW).node());
      }
    }
    lines.layoutXProperty().bind(lines.widthProperty().divide(-2));
    lines.layoutYProperty().bind(lines.heightProperty().divide(-2));
    getChildren().add(lines);
  }
}
