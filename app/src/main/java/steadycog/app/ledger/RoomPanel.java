package steadycog.app.ledger;

import java.util.List;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.study.Room;

/** The box round this train and round other arrangements of the same ratio. */
final class RoomPanel extends VBox {
  private final Desk desk;

  RoomPanel(Desk desk) {
    this.desk = desk;
    getStyleClass().addAll("panel", "working");
    setId("room");
    Later later = new Later(this::show);
    desk.benchProperty().addListener(o -> later.ask());
    show();
  }

  private void show() {
    List<Room> rooms = desk.bench().map(Bench::study).map(s -> s.rooms()).orElse(List.of());
    setVisible(!rooms.isEmpty());
    setManaged(!rooms.isEmpty());
    getChildren().clear();
    if (rooms.isEmpty()) {
      return;
    }
    Label title = Look.label("Room for the same ratio, in modules", "caption");
    title.setTooltip(
        new Tooltip("The box round all wheels as laid out; times the module it is in millimetres"));
    GridPane table = new GridPane(14, 3);
    table.addRow(0, head(""), head("wheels"), head("deep"), head("box"), head("area"), head(""));
    for (int k = 0; k < rooms.size(); k++) {
      addRoom(table, k + 1, rooms.get(k), rooms.getFirst().area());
    }
    getChildren().addAll(title, table);
  }

  private void addRoom(GridPane table, int row, Room room, double own) {
    table.addRow(
        row,
        new Label(words(room.kind())),
        figure(Integer.toString(room.wheels())),
        figure(Integer.toString(room.planes())),
        figure(Math.round(room.width()) + " \u00d7 " + Math.round(room.height())),
        figure(Math.round(100 * room.area() / own) + "\u2009%"));
    if (room.kind() != Room.Kind.THIS) {
      Button look = Look.styled(new Button("try it"), "cure");
      look.setTooltip(new Tooltip("Put this arrangement on the bench as a train of its own"));
      look.setOnAction(e -> desk.tryVariant(words(room.kind()), room.train()));
      table.add(look, 5, row);
    }
  }

  private static String words(Room.Kind kind) {
    return switch (kind) {
      case THIS -> "this train";
      case FEWEST_WHEELS -> "fewest wheels";
      case COMPOUND -> "compound";
    };
  }

  private static Label head(String text) {
    Label label = Look.label(text, "ledger-head");
    GridPane.setHalignment(label, HPos.RIGHT);
    return label;
  }

  private static Label figure(String text) {
    Label label = new Label(text);
    label.setAlignment(Pos.CENTER_RIGHT);
    GridPane.setHalignment(label, HPos.RIGHT);
    return label;
  }
}
