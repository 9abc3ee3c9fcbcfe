package steadycog.app.geartable;

import javafx.geometry.Pos;
import javafx.scene.Group;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.text.Text;
import steadycog.app.geartable.TagPlaces.Box;
import steadycog.app.geartable.TagPlaces.Point;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;

/**
 * A member's name, teeth and direction; it stays upright while the member turns. On the member's
 * web it goes along with it; outside it stands still, and a leader points at the member.
 */
final class WheelTag extends Group {
  private final Text name = Look.styled(new Text(), "wheel-name");
  private final Text teeth = Look.styled(new Text(), "wheel-teeth");
  private final Region ccw = Icon.CCW.node();
  private final Region cw = Icon.CW.node();
  private final GridPane words = Look.styled(new GridPane(), "wheel-tag-back");
  private final Line leader = Look.styled(new Line(), "tag-leader");
  private final Circle end = Look.styled(new Circle(1.8), "tag-end");
  private double dx;
  private double dy;
  private boolean turns;
  private Box outside = new Box(0, 0, 0, 0);

  WheelTag() {
    getStyleClass().add("wheel-tag");
    setMouseTransparent(true);
    words.setAlignment(Pos.CENTER);
    words.layoutXProperty().bind(words.widthProperty().divide(-2));
    words.layoutYProperty().bind(words.heightProperty().divide(-2));
    getChildren().addAll(leader, end, words);
    words.getChildren().addAll(name, teeth, ccw, cw);
  }

  /**
   * Shows a member.
   *
   * @param count its teeth, or nothing
   * @param way +1 counter-clockwise, -1 clockwise, 0 at rest or unknown
   */
  void show(String called, String count, int way) {
    name.setText(called);
    teeth.setText(count);
    Look.show(teeth, !count.isEmpty());
    Look.show(ccw, way > 0);
    Look.show(cw, way < 0);
    applyCss();
  }

  /** How large it is, once it shows something, with its words beside, or below, one another. */
  Box size(boolean lying) {
    for (int k = 0; k < words.getChildren().size(); k++) {
      GridPane.setConstraints(words.getChildren().get(k), lying ? k : 0, lying ? 0 : k);
    }
    return new Box(0, 0, Math.ceil(words.prefWidth(-1)), Math.ceil(words.prefHeight(-1)));
  }

  /** Ties the tag to a point of a body that stays while the body turns, in pixels from its axis. */
  void tie(double x, double y) {
    dx = x;
    dy = y;
    turns = false;
    Look.show(leader, false);
    Look.show(end, false);
  }

  /**
   * Lets the tag stand outside.
   *
   * @param x of the point of the body that its leader ends on, to the right of the axis
   * @param turning whether that point goes round with the body
   */
  void lead(Box place, double x, double y, boolean turning) {
    outside = place;
    dx = x;
    dy = y;
    turns = turning;
    Look.show(leader, true);
    Look.show(end, true);
  }

  /** Moves the tag, or the end of its leader, to where its point is now. */
  void follow(BodyView body) {
    double angle = turns ? Math.toRadians(body.spin()) : 0;
    double x = body.getTranslateX() + dx * Math.cos(angle) - dy * Math.sin(angle);
    double y = body.getTranslateY() + dx * Math.sin(angle) + dy * Math.cos(angle);
    if (!leader.isVisible()) {
      setTranslateX(x);
      setTranslateY(y);
      return;
    }
    setTranslateX(outside.x());
    setTranslateY(outside.y());
    point(new Point(x - outside.x(), y - outside.y()));
  }

  /** The leader from the rim of the words to {@code at}, seen from their middle. */
  private void point(Point at) {
    Point from = new Box(0, 0, outside.width(), outside.height()).rimTowards(at);
    leader.setStartX(from.x());
    leader.setStartY(from.y());
    leader.setEndX(at.x());
    leader.setEndY(at.y());
    end.setCenterX(at.x());
    end.setCenterY(at.y());
  }
}
