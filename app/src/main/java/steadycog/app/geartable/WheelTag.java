package steadycog.app.geartable;

import javafx.geometry.Pos;
import javafx.scene.Group;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;

/** A member's name, teeth and direction; it stays upright while the member turns. */
final class WheelTag extends Group {
  /** Room that a full tag takes about its centre, in pixels. */
  static final double RADIUS = 23;

  /** Room that a tag with the name only takes. */
  static final double SMALL_RADIUS = 14;

  private final Text name = Look.styled(new Text(), "wheel-name");
  private final Text teeth = Look.styled(new Text(), "wheel-teeth");
  private final Region ccw = Icon.CCW.node();
  private final Region cw = Icon.CW.node();
  private double dx;
  private double dy;
  private boolean turns;

  WheelTag() {
    getStyleClass().add("wheel-tag");
    setMouseTransparent(true);
    VBox lines = Look.styled(new VBox(name, teeth, ccw, cw), "wheel-tag-back");
    lines.setAlignment(Pos.CENTER);
    lines.layoutXProperty().bind(lines.widthProperty().divide(-2));
    lines.layoutYProperty().bind(lines.heightProperty().divide(-2));
    getChildren().add(lines);
  }

  /**
   * Shows a member.
   *
   * @param count its teeth, or nothing
   * @param way +1 counter-clockwise, -1 clockwise, 0 at rest or unknown
   * @param small name only, where there is little room
   */
  void show(String called, String count, int way, boolean small) {
    name.setText(called);
    teeth.setText(count);
    Look.show(teeth, !small && !count.isEmpty());
    Look.show(ccw, !small && way > 0);
    Look.show(cw, !small && way < 0);
  }

  /**
   * Ties the tag to a point of a body's drawing.
   *
   * @param x to the right of the body's axis, in pixels
   * @param turning whether the point goes round with the body, or stays while the body turns
   */
  void tie(double x, double y, boolean turning) {
    dx = x;
    dy = y;
    turns = turning;
  }

  /** Moves the tag to where its point is now. */
  void follow(BodyView body) {
    double angle = turns ? Math.toRadians(body.spin()) : 0;
    setTranslateX(body.getTranslateX() + dx * Math.cos(angle) - dy * Math.sin(angle));
    setTranslateY(body.getTranslateY() + dx * Math.sin(angle) + dy * Math.cos(angle));
  }
}
