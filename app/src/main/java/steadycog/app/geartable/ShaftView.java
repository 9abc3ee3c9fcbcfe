package steadycog.app.geartable;

import java.util.EnumMap;
import java.util.Map;
import javafx.scene.Group;
import javafx.scene.layout.Region;
import javafx.scene.shape.Line;
import steadycog.app.look.Look;
import steadycog.app.look.RoleLook;
import steadycog.train.Role;

/**
 * A shaft from the side with its bearings and the symbol of its role; hollow ones are two lines.
 */
final class ShaftView extends Group {
  private static final double BEARING = 5;
  private static final double BESIDE = 4.5;
  private static final double SYMBOL = 16;

  private final Line upper = Look.styled(new Line(), "edge-shaft");
  private final Line lower = Look.styled(new Line(), "edge-shaft");
  private final Line[] bearings = new Line[4];
  private final Map<Role, Group> symbols = new EnumMap<>(Role.class);

  ShaftView() {
    getChildren().addAll(upper, lower);
    for (int k = 0; k < bearings.length; k++) {
      bearings[k] = Look.styled(new Line(), "edge-bearing");
      getChildren().add(bearings[k]);
    }
    for (Role role : new Role[] {Role.DRIVE, Role.HOLD, Role.TAKE}) {
      Region icon = Look.styled(RoleLook.icon(role).node(), "role-icon");
      Group symbol = Look.styled(new Group(icon), "edge-symbol");
      RoleLook.mark(symbol, role);
      symbols.put(role, symbol);
      getChildren().add(symbol);
    }
  }

  /**
   * Puts the shaft down, in pixels.
   *
   * @param bore half the distance between the lines of a hollow shaft; 0 for a solid one
   * @param symbolLeft whether the role's symbol stands at the left end
   */
  void show(double from, double to, double y, double bore, Role role, boolean symbolLeft) {
    span(upper, from, to, y - bore);
    span(lower, from, to, y + bore);
    lower.setVisible(bore > 0);
    double beside = bore + BESIDE;
    for (int k = 0; k < bearings.length; k++) {
      double end = k < 2 ? from + BEARING : to - BEARING;
      span(bearings[k], end - BEARING, end + BEARING, k % 2 == 0 ? y - beside : y + beside);
    }
    symbols.forEach(
        (each, symbol) -> {
          symbol.setVisible(each == role);
          double gap = each == Role.HOLD ? 6 : 4;
          double outside = symbolLeft ? from - gap - SYMBOL : to + gap;
          // Above a hollow shaft, where the one inside it leaves room.
          double inside = symbolLeft ? from : to - SYMBOL;
          symbol.setLayoutX(bore > 0 ? inside : outside);
          symbol.setLayoutY(bore > 0 ? y - bore - SYMBOL - 3 : y - SYMBOL / 2);
        });
  }

  private static void span(Line line, double from, double to, double y) {
    line.setStartX(from);
    line.setEndX(to);
    line.setStartY(y);
    line.setEndY(y);
  }
}
