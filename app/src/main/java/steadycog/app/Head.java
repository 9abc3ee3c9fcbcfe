package steadycog.app;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.job.Sheet;

/** The top line: the job, its trains, and what is done with files. */
final class Head extends HBox {
  private final Desk desk;
  private final Label title = Look.label("", "job-title");
  private final HBox tabs = new HBox();
  private final Button undo = plain("Undo", "Ctrl+Z");
  private final Button redo = plain("Redo", "Ctrl+Shift+Z");
  private List<String> shownNames = List.of();

  Head(Desk desk, JobKeeper keeper, Runnable changeLight) {
    this.desk = desk;
    getStyleClass().add("head");
    title.setId("job-title");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    getChildren().addAll(title, tabs, gap, undo, redo);
    undo.setOnAction(e -> desk.undo());
    redo.setOnAction(e -> desk.redo());
    add(plain("New", "Ctrl+N"), keeper::startNew);
    add(plain("Open …", "Ctrl+O"), keeper::open);
    add(plain("Save", "Ctrl+S"), keeper::save);
    add(plain("Save as …", "Ctrl+Shift+S"), keeper::saveAs);
    add(plain("Light / dark", "Ctrl+D"), changeLight);
    desk.pageProperty().addListener(o -> refresh());
    desk.fileProperty().addListener(o -> refresh());
    refresh();
  }

  private void add(Button button, Runnable action) {
    button.setOnAction(e -> action.run());
    getChildren().add(button);
  }

  private static Button plain(String words, String key) {
    Button button = Look.styled(new Button(words), "plain");
    button.setTooltip(new Tooltip(words.replace(" …", "") + " (" + key + ")"));
    button.setMinWidth(USE_PREF_SIZE);
    return button;
  }

  void refresh() {
    title.setText(JobKeeper.titleOf(desk) + (desk.isUnsaved() ? " \u2022" : ""));
    title.setTooltip(desk.isUnsaved() ? new Tooltip("Not saved yet") : null);
    undo.setDisable(!desk.canUndo());
    redo.setDisable(!desk.canRedo());
    List<String> names = desk.job().sheets().stream().map(Sheet::name).toList();
    if (!names.equals(shownNames)) {
      shownNames = names;
      rebuildTabs(names);
    }
    Node shown = tabs.getChildren().get(desk.pageProperty().get().index());
    ((ToggleButton) shown).setSelected(true);
  }

  private void rebuildTabs(List<String> names) {
    ToggleGroup group = new ToggleGroup();
    tabs.getChildren().clear();
    for (int k = 0; k < names.size(); k++) {
      int index = k;
      ToggleButton tab = Look.styled(new ToggleButton(names.get(k)), "train-tab");
      tab.setToggleGroup(group);
      tab.setOnAction(
          e -> {
            tab.setSelected(true);
            desk.showSheet(index);
          });
      tabs.getChildren().add(tab);
    }
  }
}
