package steadycog.app;

import java.util.List;
import javafx.beans.binding.Bindings;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import steadycog.app.look.Look;

/** Every key and what it does, laid over the window until any key or click. */
final class KeyMap extends StackPane {

  private record Entry(String keys, String what) {}

  /** Title, button and edges. */
  private static final double AROUND = 160;

  private static final List<List<Entry>> COLUMNS =
      List.of(
          List.of(
              new Entry("D H T F", "drive, hold, take off, free the chosen member"),
              new Entry("L J", "lock it, or join it for good, to the member chosen next"),
              new Entry("S", "the next state of a shift plan"),
              new Entry("+ \u2212", "a tooth more or fewer (or scroll on it)"),
              new Entry("M K I", "add a wheel: meshing (also round a ring), keyed, idler"),
              new Entry("P O W", "a planet more, fewer; a second row of planets"),
              new Entry("Del", "take it out"),
              new Entry("\u2190 \u2192", "choose the member before, behind"),
              new Entry("drag", "a wheel round its partner; Shift finer"),
              new Entry("R", "lay the train out again"),
              new Entry("E V", "side view shown or hidden; the power in it"),
              new Entry("scroll, Home", "zoom the drawing, fit it"),
              new Entry(". , > <", "crank a tooth on, back; a turn on, back"),
              new Entry("space, 0", "run or stop the crank; back to the marks"),
              new Entry("Ctrl+G, Ctrl+click", "to the chosen member's word on the card, and back"),
              new Entry("Ctrl+Space, Tab", "in the card: what can be written; take it"),
              new Entry("F11", "present: the drawing and the ratio, large"),
              new Entry("F1", "the guide, at what this station is about")),
          List.of(
              new Entry("Ctrl+L, Esc", "to the train line, back to the drawing"),
              new Entry("Esc", "emergency stop of the rig"),
              new Entry(
                  "Ctrl+1 \u2026 6",
                  "lay out; drive & hold; find teeth; shift plan; cut sheet; bench book"),
              new Entry("Enter, C", "a candidate to the bench; keep it to compare"),
              new Entry("Ctrl+Enter", "put it right: show the least change, then make it"),
              new Entry("Ctrl+Z", "undo"),
              new Entry("Ctrl+Shift+Z", "redo (also Ctrl+Y)"),
              new Entry("Ctrl+N", "new job"),
              new Entry("Ctrl+O", "open"),
              new Entry("Ctrl+S", "save"),
              new Entry("Ctrl+Shift+S", "save as"),
              new Entry("Ctrl+Page Up/Down", "other train of the job"),
              new Entry("F2, Alt+Up/Down", "on a train: its name; its place in the job"),
              new Entry("Ctrl+B", "the trains beside the drawing, wide or narrow"),
              new Entry("Ctrl+K", "do anything by its name"),
              new Entry("Ctrl+D", "light or dark"),
              new Entry("Ctrl+plus/minus", "larger, smaller text"),
              new Entry("?", "this map")));

  KeyMap() {
    getStyleClass().add("veil");
    setId("key-map");
    GridPane grid = Look.styled(new GridPane(), "keys");
    for (int column = 0; column < COLUMNS.size(); column++) {
      for (int row = 0; row < COLUMNS.get(column).size(); row++) {
        Entry entry = COLUMNS.get(column).get(row);
        Label keys = Look.label(entry.keys, "key");
        keys.setMinWidth(USE_PREF_SIZE);
        Label what = Look.label(entry.what);
        what.setWrapText(true);
        grid.add(keys, 2 * column, row);
        grid.add(what, 2 * column + 1, row);
      }
    }
    Button close = Look.styled(new Button("Close"), "main");
    close.setOnAction(e -> close());
    ScrollPane scroll = new ScrollPane(grid);
    scroll.setFitToWidth(true);
    VBox box = new VBox(Look.label("Keys", "ask"), scroll, close);
    box.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    // As high as it needs, or as there is.
    scroll.setMinHeight(0);
    scroll
        .prefHeightProperty()
        .bind(Bindings.min(grid.heightProperty().add(2), heightProperty().subtract(AROUND)));
    getChildren().add(Look.styled(box, "question"));
    setOnMousePressed(press -> close());
    setOnKeyPressed(
        key -> {
          if (key.getCode() != KeyCode.SHIFT) {
            close();
            key.consume();
          }
        });
  }

  void focusFirst() {
    lookup(".main").requestFocus();
  }

  private void close() {
    if (getParent() instanceof StackPane window) {
      window.getChildren().remove(this);
    }
  }
}
