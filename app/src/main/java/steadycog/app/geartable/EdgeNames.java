package steadycog.app.geartable;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.geometry.VPos;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.layout.Region;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import steadycog.app.geartable.TagPlaces.Box;
import steadycog.app.geartable.TagPlaces.Point;
import steadycog.app.look.Look;

/** The names of members in the side view: beside what is drawn, with a leader where that is far. */
final class EdgeNames extends Group {
  /** A leader so short says nothing. */
  private static final double SHORT = 7;

  /** Half the thickness of a shaft. */
  private static final double THICK = 2;

  private final List<Label> labels = new ArrayList<>();

  /** A member's name, and points of its body that a leader may end on. */
  record Named(String text, List<Point> ends) {}

  private record Label(Text text, Line leader) {}

  EdgeNames() {
    setManaged(false);
    setMouseTransparent(true);
  }

  /**
   * Names members, as many as there is room for.
   *
   * @param drawn groups of all that no name may cover
   * @param room where names may stand
   */
  void place(List<Named> members, List<Group> drawn, Box room) {
    // Words and signs are as large as their style says, which may be new to them.
    drawn.forEach(Node::applyCss);
    List<Box> covered = new ArrayList<>();
    drawn.forEach(group -> addLeaves(group, UnaryOperator.identity(), covered));
    TagPlaces places = new TagPlaces(room, box -> box.into(covered, Box::into));
    while (labels.size() < members.size()) {
      add();
    }
    for (int k = 0; k < labels.size(); k++) {
      Optional<Named> member = k < members.size() ? Optional.of(members.get(k)) : Optional.empty();
      Label label = labels.get(k);
      Optional<Box> place = member.flatMap(one -> place(label, one, places));
      label.text.setVisible(place.isPresent());
      label.leader.setVisible(false);
      place.ifPresent(box -> show(label, box, TagPlaces.nearest(member.get().ends, box)));
    }
  }

  private void add() {
    Text text = Look.styled(new Text(), "edge-name");
    text.setTextOrigin(VPos.CENTER);
    Line leader = Look.styled(new Line(), "tag-leader");
    labels.add(new Label(text, leader));
    getChildren().addAll(leader, text);
  }

  private static Optional<Box> place(Label label, Named member, TagPlaces places) {
    label.text.setText(member.text);
    label.text.applyCss();
    Bounds size = label.text.getLayoutBounds();
    return places.outside(member.ends, new Box(0, 0, size.getWidth(), size.getHeight()));
  }

  private static void show(Label label, Box box, Point end) {
    label.text.setX(box.x() - box.width() / 2);
    label.text.setY(box.y());
    double dx = Math.max(0, Math.abs(end.x() - box.x()) - box.width() / 2);
    double dy = Math.max(0, Math.abs(end.y() - box.y()) - box.height() / 2);
    label.leader.setVisible(Math.hypot(dx, dy) > SHORT);
    Point from = box.rimTowards(end);
    label.leader.setStartX(from.x());
    label.leader.setStartY(from.y());
    label.leader.setEndX(end.x());
    label.leader.setEndY(end.y());
  }

  /** The rectangle round every shape that is seen; {@code toView} takes it out of its groups. */
  private static void addLeaves(Node node, UnaryOperator<Bounds> toView, List<Box> boxes) {
    if (!node.isVisible()) {
      return;
    }
    UnaryOperator<Bounds> outwards = at -> toView.apply(node.localToParent(at));
    if (node instanceof Group group) {
      group.getChildren().forEach(child -> addLeaves(child, outwards, boxes));
    } else {
      Bounds at = outwards.apply(outline(node));
      boxes.add(new Box(at.getCenterX(), at.getCenterY(), at.getWidth(), at.getHeight()));
    }
  }

  /**
   * The bounds of a shape without its stroke, which goes by a role that may not be drawn yet; a
   * line is as thick as a shaft.
   */
  static Bounds outline(Node node) {
    return switch (node) {
      case Rectangle body ->
          new BoundingBox(body.getX(), body.getY(), body.getWidth(), body.getHeight());
      case Line line ->
          new BoundingBox(
              Math.min(line.getStartX(), line.getEndX()) - THICK,
              Math.min(line.getStartY(), line.getEndY()) - THICK,
              Math.abs(line.getEndX() - line.getStartX()) + 2 * THICK,
              Math.abs(line.getEndY() - line.getStartY()) + 2 * THICK);
      case Polygon body -> {
        double[] box = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
        for (int k = 0; k < body.getPoints().size(); k++) {
          box[k % 2] = Math.min(box[k % 2], body.getPoints().get(k));
          box[2 + k % 2] = Math.max(box[2 + k % 2], body.getPoints().get(k));
        }
        yield new BoundingBox(box[0], box[1], box[2] - box[0], box[3] - box[1]);
      }
      case Region sign -> new BoundingBox(0, 0, sign.prefWidth(-1), sign.prefHeight(-1));
      default -> node.getLayoutBounds();
    };
  }
}
