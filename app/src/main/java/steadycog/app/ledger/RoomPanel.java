package steadycog.app.ledger;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.Typed;
import steadycog.notation.PitchText;
import steadycog.number.Unit;
import steadycog.study.Room;
import steadycog.train.Pitch;

/** The box round this train and round other arrangements of the same ratio. */
final class RoomPanel extends VBox {
  private final Desk desk;
  private final Label title = Look.label("", "caption");
  private final TextField module;
  private final RoomTable table;

  RoomPanel(Desk desk) {
    this.desk = desk;
    getStyleClass().addAll("panel", "working");
    setId("room");
    title.setTooltip(new Tooltip("The box round all wheels as laid out"));
    module = moduleField();
    HBox head = new HBox(10, title, module);
    head.setAlignment(Pos.BASELINE_LEFT);
    table = new RoomTable(desk);
    getChildren().addAll(head, table);
    Later later = Later.whenQuiet(this::show);
    desk.benchProperty().addListener(o -> later.ask());
    desk.preferencesProperty().addListener(o -> show());
    show();
  }

  private void show() {
    List<Room> rooms = desk.bench().map(Bench::study).map(s -> s.rooms()).orElse(List.of());
    Look.show(this, !rooms.isEmpty());
    if (rooms.isEmpty()) {
      return;
    }
    Optional<Pitch> pitch = desk.bench().flatMap(b -> b.card().train().pitch());
    Unit unit = desk.preferences().length();
    double scale = pitch.map(p -> p.moduleMm().doubleValue() / unit.inBase()).orElse(1.0);
    title.setText("Room for the same ratio, in " + (pitch.isPresent() ? unit.symbol() : "modules"));
    module.setText(pitch.map(Pitch::statement).orElse(""));
    table.show(rooms, scale);
  }

  /** The size of teeth, to type over. */
  private TextField moduleField() {
    TextField field = new TextField();
    field.setId("module");
    field.setPrefColumnCount(9);
    field.setPromptText("module 1.5 mm");
    field.setAccessibleText("Size of teeth: module or dp");
    field.setTooltip(new Tooltip("Size of teeth: module 1.5 mm, dp 16; Enter takes it"));
    Typed.on(
        field,
        text -> {
          Optional<Pitch> pitch = PitchText.read(text);
          pitch.ifPresent(desk.train()::size);
          return pitch.isPresent()
              ? Optional.empty()
              : Optional.of("teeth are sized as module 1.5 mm or dp 16");
        },
        problem -> problem.ifPresent(desk::refuse),
        desk.inViewProperty());
    return field;
  }
}
