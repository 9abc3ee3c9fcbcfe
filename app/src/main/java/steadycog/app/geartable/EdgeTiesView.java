package steadycog.app.geartable;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import javafx.css.PseudoClass;
import javafx.scene.Group;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import steadycog.shape.EdgeLayout;
import steadycog.shape.EdgeLayout.EdgeElement;
import steadycog.shape.EdgeLayout.EdgeLink;
import steadycog.shape.EdgeLayout.EdgePoint;
import steadycog.train.Element;
import steadycog.train.Roles;

/**
 * Drums that join members, brakes up to the housing and clutches below; engaged ones are filled.
 */
final class EdgeTiesView extends Group {
  private static final PseudoClass ENGAGED = PseudoClass.getPseudoClass("engaged");
  private static final double SHOE = 9;
  private static final double HATCH = 5;

  /** Half the gap of an open clutch or brake, in pixels. */
  private static final double OPEN = 4;

  private static final double SHUT = 1.5;

  private final List<Path> paths = new ArrayList<>();
  private int used;

  EdgeTiesView() {
    setMouseTransparent(true);
  }

  void show(
      EdgeLayout layout, Roles roles, DoubleUnaryOperator x, DoubleUnaryOperator y, double scale) {
    used = 0;
    layout.links().forEach(link -> show(link, x, y));
    layout.elements().forEach(element -> show(element, isOn(element.element(), roles), x, y));
    for (int k = used; k < paths.size(); k++) {
      paths.get(k).setVisible(false);
    }
  }

  private static boolean isOn(Element element, Roles roles) {
    return switch (element) {
      case Element.Brake(var member) -> roles.holds().contains(member);
      case Element.Clutch clutch ->
          roles.locks().stream().anyMatch(lock -> new Element.Clutch(lock).equals(clutch));
    };
  }

  /** Up from one member, over what lies between, and down to the other; mirrored below. */
  private void show(EdgeLink link, DoubleUnaryOperator x, DoubleUnaryOperator y) {
    Path path = path("edge-link", false);
    double from = x.applyAsDouble(link.from().at());
    double to = x.applyAsDouble(link.to().at());
    for (int way : new int[] {1, -1}) {
      double drum = y.applyAsDouble(link.from().height() + way * link.radius());
      path.getElements()
          .addAll(
              new MoveTo(from, foot(link.from(), way, y)),
              new LineTo(from, drum),
              new LineTo(to, drum),
              new LineTo(to, foot(link.to(), way, y)));
    }
  }

  private static double foot(EdgePoint point, int way, DoubleUnaryOperator y) {
    return y.applyAsDouble(point.height() + way * point.radius());
  }

  private void show(
      EdgeElement element, boolean engaged, DoubleUnaryOperator x, DoubleUnaryOperator y) {
    double level = y.applyAsDouble(element.level());
    double gap = engaged ? SHUT : OPEN;
    Path legs = path("edge-leg", engaged);
    Path shoes = path("edge-shoe", engaged);
    if (element.element() instanceof Element.Brake) {
      EdgePoint end = element.ends().getFirst();
      double at = x.applyAsDouble(end.at());
      line(legs, at, foot(end, 1, y), at, level + 2 * gap);
      line(shoes, at - SHOE, level + 2 * gap, at + SHOE, level + 2 * gap);
      line(shoes, at - SHOE, level, at + SHOE, level);
      Path ground = path("edge-ground", engaged);
      for (double hatch = -SHOE; hatch < SHOE; hatch += HATCH) {
        line(ground, at + hatch, level, at + hatch + HATCH, level - HATCH);
      }
    } else {
      EdgePoint a = element.ends().getFirst();
      EdgePoint b = element.ends().getLast();
      double left = x.applyAsDouble(Math.min(a.at(), b.at()));
      double right = x.applyAsDouble(Math.max(a.at(), b.at()));
      boolean inOrder = a.at() <= b.at();
      EdgePoint first = inOrder ? a : b;
      EdgePoint second = inOrder ? b : a;
      double middle = right - left > 4 * SHOE ? (left + right) / 2 : right + 2 * SHOE;
      line(legs, left, foot(first, -1, y), left, level);
      line(legs, left, level, middle - gap, level);
      line(legs, right, foot(second, -1, y), right, level + (middle > right ? 2 * SHOE : 0));
      if (middle > right) {
        line(legs, right, level + 2 * SHOE, middle + 3 * SHOE, level + 2 * SHOE);
        line(legs, middle + 3 * SHOE, level + 2 * SHOE, middle + 3 * SHOE, level);
        line(legs, middle + 3 * SHOE, level, middle + gap, level);
      } else {
        line(legs, right, level, middle + gap, level);
      }
      line(shoes, middle - gap, level - SHOE, middle - gap, level + SHOE);
      line(shoes, middle + gap, level - SHOE, middle + gap, level + SHOE);
    }
  }

  private static void line(Path path, double x1, double y1, double x2, double y2) {
    path.getElements().addAll(new MoveTo(x1, y1), new LineTo(x2, y2));
  }

  private Path path(String style, boolean engaged) {
    if (used == paths.size()) {
      Path fresh = new Path();
      paths.add(fresh);
      getChildren().add(fresh);
    }
    Path path = paths.get(used++);
    path.getElements().clear();
    path.getStyleClass().setAll(style);
    path.pseudoClassStateChanged(ENGAGED, engaged);
    path.setVisible(true);
    return path;
  }
}
