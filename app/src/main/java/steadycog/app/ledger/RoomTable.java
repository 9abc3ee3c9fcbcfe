package steadycog.app.ledger;

import java.util.List;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import steadycog.app.desk.Desk;
import steadycog.app.look.Kept;
import steadycog.app.look.Look;
import steadycog.number.Figures;
import steadycog.study.Room;

/** Arrangements of one ratio with the room that they take, each to be tried. */
public final class RoomTable extends GridPane {
  private final Desk desk;

  public RoomTable(Desk desk) {
    super(14, 3);
    this.desk = desk;
  }

  /**
   * Shows {@code rooms}, the train's own first.
   *
   * @param scale of a module in the unit of lengths
   */
  public void show(List<Room> rooms, double scale) {
    GridPane now = new GridPane();
    now.addRow(0, head(""), head("wheels"), head("deep"), head("box"), head("area"), head(""));
    for (int k = 0; k < rooms.size(); k++) {
      addRoom(now, k + 1, rooms.get(k), rooms.getFirst().area(), scale);
    }
    Kept.show(this, now.getChildren());
  }

  private void addRoom(GridPane now, int row, Room room, double own, double scale) {
    now.addRow(
        row,
        new Label(words(room.kind())),
        figure(Integer.toString(room.wheels())),
        figure(Integer.toString(room.planes())),
        figure(size(room.width() * scale) + " \u00d7 " + size(room.height() * scale)),
        figure(Math.round(100 * room.area() / own) + "\u2009%"));
    if (room.kind() != Room.Kind.THIS) {
      Button look = Look.styled(new Button("try it"), "cure");
      look.setTooltip(new Tooltip("Put this arrangement on the bench as a train of its own"));
      look.setOnAction(e -> desk.trains().tryVariant(words(room.kind()), room.train()));
      now.add(look, 5, row);
    }
  }

  private static String size(double length) {
    return Figures.significant(length, 3);
  }

  private static String words(Room.Kind kind) {
    return switch (kind) {
      case THIS -> "this train";
      case FEWEST_WHEELS -> "fewest wheels";
      case COMPOUND -> "compound";
      case PLANETARY -> "planetary";
    };
  }

  private static Label head(String text) {
    Label label = Look.label(text, "ledger-head");
    GridPane.setHalignment(label, HPos.RIGHT);
    return label;
  }

  private static Label figure(String text) {
    Label label = new Label(text);
    label.setMinWidth(USE_PREF_SIZE);
    label.setAlignment(Pos.CENTER_RIGHT);
    GridPane.setHalignment(label, HPos.RIGHT);
    return label;
  }
}
