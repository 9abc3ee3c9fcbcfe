package steadycog.app;

import java.util.ArrayList;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import steadycog.app.Acts.Act;
import steadycog.app.look.Look;

/** Finds an act by its name and does it: a few letters, Enter. */
final class ActFinder extends StackPane {
  private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
  private static final int MOST = 12;

  private final List<Act> all;
  private final TextField wish = new TextField();
  private final VBox list = new VBox();
  private final Label none = Look.label("Nothing of that name", "soft");
  private List<Act> found = List.of();
  private int chosen;

  ActFinder(List<Act> all) {
    this.all = all;
    getStyleClass().add("veil");
    setId("act-finder");
    wish.setId("find-act");
    wish.setPromptText("What is to be done? A few letters are enough");
    wish.setAccessibleText("Name of what is to be done");
    wish.textProperty().subscribe(this::show);
    wish.addEventFilter(KeyEvent.KEY_PRESSED, this::onKey);
    wish.setOnAction(e -> run(chosen));
    VBox box = Look.styled(new VBox(8, wish, list, none), "question", "act-box");
    box.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    setAlignment(Pos.TOP_CENTER);
    getChildren().add(box);
    box.setOnMousePressed(MouseEvent::consume);
    setOnMousePressed(press -> close());
  }

  void focusFirst() {
    wish.requestFocus();
  }

  private void show(String words) {
    found = all.stream().filter(act -> act.answers(words)).limit(MOST).toList();
    chosen = 0;
    List<Button> rows = new ArrayList<>();
    for (int k = 0; k < found.size(); k++) {
      rows.add(row(found.get(k), k));
    }
    list.getChildren().setAll(rows);
    Look.show(none, found.isEmpty());
    mark();
  }

  private Button row(Act act, int index) {
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox face =
        new HBox(
            10,
            Look.label(act.group().word(), "soft", "act-group"),
            new Label(act.name()),
            gap,
            Look.label(act.keys(), "key"));
    face.setAlignment(Pos.CENTER_LEFT);
    Button row = Look.styled(new Button(), "act");
    row.setGraphic(face);
    row.setMaxWidth(Double.MAX_VALUE);
    row.setFocusTraversable(false);
    row.setAccessibleText(act.name() + (act.keys().isEmpty() ? "" : ", " + act.keys()));
    face.prefWidthProperty().bind(row.widthProperty().subtract(22));
    row.setOnAction(e -> run(index));
    return row;
  }

  private void onKey(KeyEvent event) {
    switch (event.getCode()) {
      case ESCAPE -> close();
      case DOWN -> choose(1);
      case UP -> choose(-1);
      default -> {
        return;
      }
    }
    event.consume();
  }

  private void choose(int by) {
    if (!found.isEmpty()) {
      chosen = Math.floorMod(chosen + by, found.size());
      mark();
    }
  }

  private void mark() {
    for (int k = 0; k < list.getChildren().size(); k++) {
      list.getChildren().get(k).pseudoClassStateChanged(CHOSEN, k == chosen);
    }
  }

  private void run(int index) {
    if (index < found.size()) {
      close();
      found.get(index).run().run();
    }
  }

  private void close() {
    if (getParent() instanceof Pane window) {
      window.getChildren().remove(this);
    }
  }
}
