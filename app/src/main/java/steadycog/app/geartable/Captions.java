package steadycog.app.geartable;

import java.util.Collection;
import java.util.List;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.text.Text;
import steadycog.app.desk.Bench;
import steadycog.app.geartable.TagPlaces.Box;
import steadycog.app.look.Look;
import steadycog.train.Part;

/** The names of sets, over them. */
final class Captions extends Group {

  Captions() {
    setManaged(false);
    setMouseTransparent(true);
  }

  void place(Bench bench, Collection<BodyView> views) {
    getChildren().clear();
    for (Part part : bench.card().train().parts()) {
      if (TagLayer.isCaptioned(part)) {
        double top = Double.MAX_VALUE;
        double middle = 0;
        double level = 0;
        for (BodyView view : views) {
          if (view.id().part().equals(part.name())) {
            top = Math.min(top, view.getTranslateY() - view.outerRadius());
            middle = view.middleX();
            level = view.middleY();
          }
        }
        // Whatever goes round the set as well, as a rim does.
        for (BodyView view : views) {
          boolean round = Math.hypot(view.middleX() - middle, view.middleY() - level) < 1;
          top = round ? Math.min(top, level - view.outerRadius()) : top;
        }
        Text caption = Look.styled(new Text(part.name()), "part-caption");
        Look.anchor(caption, middle, 0.5);
        caption.setY(top - 5);
        getChildren().add(caption);
      }
    }
  }

  /** Where they stand. */
  List<Box> boxes() {
    applyCss();
    return getChildren().stream()
        .map(Node::getBoundsInParent)
        .map(at -> new Box(at.getCenterX(), at.getCenterY(), at.getWidth(), at.getHeight()))
        .toList();
  }
}
