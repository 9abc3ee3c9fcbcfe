package steadycog.app.geartable;

import java.util.EnumMap;
import java.util.Map;
import javafx.scene.Group;
import javafx.scene.layout.Region;
import javafx.scene.shape.ClosePath;
import javafx.scene.shape.Line;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import steadycog.app.look.Look;
import steadycog.app.look.RoleLook;
import steadycog.train.Role;

/**
 * A shaft from the side with its centre line, its bearings and the symbol of its role; hollow ones
 * are two lines. A bearing is a square with an upright cross on either side of the shaft, the
 * simplified sign of ISO 8826-1.
 */
final class ShaftView extends Group {
  /** Side of a bearing's square. */
  static final double BEARING = 8;

  /** From the middle of a shaft to its edge. */
  static final double THICK = 2;

  private static final double CROSS = 2.2;
  private static final double CENTRE_LINE_BEYOND = 7;
  private static final double SYMBOL = 16;

  private final Line upper = Look.styled(new Line(), "edge-shaft");
  private final Line lower = Look.styled(new Line(), "edge-shaft");
  private final Line centre = Look.styled(new Line(), "edge-centre");
  private final Path[] bearings = new Path[4];
  private final Map<Role, Group> symbols = new EnumMap<>(Role.class);

  ShaftView() {
    getChildren().addAll(upper, lower, centre);
    for (int k = 0; k < bearings.length; k++) {
      bearings[k] = Look.styled(new Path(), "edge-bearing");
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
   * @param seats where its two bearings are
   * @param bore half the distance between the lines of a hollow shaft; 0 for a solid one
   * @param symbolLeft whether the role's symbol stands at the left end
   */
  void show(
      double from,
      double to,
      double[] seats,
      double y,
      double bore,
      Role role,
      boolean symbolLeft) {
    span(upper, from, to, y - bore);
    span(lower, from, to, y + bore);
    lower.setVisible(bore > 0);
    span(centre, from - CENTRE_LINE_BEYOND, to + CENTRE_LINE_BEYOND, y);
    double beside = bore + THICK + BEARING / 2;
    for (int k = 0; k < bearings.length; k++) {
      seat(bearings[k], seats[k / 2], k % 2 == 0 ? y - beside : y + beside);
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

  /** A square with an upright cross that stands free in it. */
  private static void seat(Path bearing, double x, double y) {
    double half = BEARING / 2;
    bearing
        .getElements()
        .setAll(
            new MoveTo(x - half, y - half),
            new LineTo(x + half, y - half),
            new LineTo(x + half, y + half),
            new LineTo(x - half, y + half),
            new ClosePath(),
            new MoveTo(x - CROSS, y),
            new LineTo(x + CROSS, y),
            new MoveTo(x, y - CROSS),
            new LineTo(x, y + CROSS));
  }

  private static void span(Line line, double from, double to, double y) {
    line.setStartX(from);
    line.setEndX(to);
    line.setStartY(y);
    line.setEndY(y);
  }
}
