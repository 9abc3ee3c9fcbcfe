package steadycog.app;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.job.Sheet;

/** The top line: the job, its trains, and what is done with files. */
final class Head extends HBox {
  private final Desk desk;
  private final JobKeeper keeper;
  private final Label title = Look.label("", "job-title");
  private final HBox tabs = new HBox();
  private final Button undo = plain("Undo", "Ctrl+Z");
  private final Button redo = plain("Redo", "Ctrl+Shift+Z");
  private final MenuButton recent = new MenuButton("Recent");
  private List<String> shownNames = List.of();

  Head(Desk desk, JobKeeper keeper, Runnable showKeys) {
    this.desk = desk;
    this.keeper = keeper;
    getStyleClass().add("head");
    title.setId("job-title");
    title.setMinWidth(60);
    tabs.setMinWidth(0);
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    getChildren().addAll(title, tabs, trainMenu(), gap, undo, redo);
    undo.setOnAction(e -> desk.undo());
    redo.setOnAction(e -> desk.redo());
    add(plain("New", "Ctrl+N"), keeper::startNew);
    add(plain("Open \u2026", "Ctrl+O"), keeper::open);
    recent.getStyleClass().add("plain");
    recent.setMinWidth(USE_PREF_SIZE);
    recent.setOnShowing(e -> listRecent());
    recent.getItems().add(new MenuItem());
    getChildren().add(recent);
    add(plain("Save", "Ctrl+S"), keeper::save);
    add(plain("Save as \u2026", "Ctrl+Shift+S"), keeper::saveAs);
    getChildren().add(new ViewMenu(desk));
    add(plain("Keys", "?"), showKeys);
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
    button.setTooltip(new Tooltip(words.replace(" \u2026", "") + " (" + key + ")"));
    button.setMinWidth(USE_PREF_SIZE);
    return button;
  }

  private MenuButton trainMenu() {
    MenuButton menu = Look.styled(new MenuButton("Train"), "plain");
    menu.setId("train-menu");
    menu.setMinWidth(USE_PREF_SIZE);
    menu.setTooltip(new Tooltip("Add, copy, name or remove a train of this job"));
    menu.getItems()
        .addAll(
            item("New train", desk::addTrain),
            item("Try a variant: copy this train", desk::duplicateTrain),
            item("Rename this train", this::rename),
            new SeparatorMenuItem(),
            item("Remove this train", desk::removeTrain));
    return menu;
  }

  private static MenuItem item(String words, Runnable action) {
    MenuItem item = new MenuItem(words);
    item.setOnAction(e -> action.run());
    return item;
  }

  private void listRecent() {
    recent.getItems().clear();
    for (Path file : keeper.recentFiles()) {
      MenuItem item = item(file.toString(), () -> keeper.openRecent(file));
      item.setMnemonicParsing(false);
      recent.getItems().add(item);
    }
    if (recent.getItems().isEmpty()) {
      MenuItem none = new MenuItem("No files yet");
      none.setDisable(true);
      recent.getItems().add(none);
    }
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
    if (shownTab() instanceof ToggleButton tab) {
      tab.setSelected(true);
    }
  }

  private Node shownTab() {
    return tabs.getChildren().get(desk.pageProperty().get().index());
  }

  private void rebuildTabs(List<String> names) {
    ToggleGroup group = new ToggleGroup();
    tabs.getChildren().clear();
    for (int k = 0; k < names.size(); k++) {
      int index = k;
      ToggleButton tab = Look.styled(new ToggleButton(names.get(k)), "train-tab");
      tab.setMnemonicParsing(false);
      tab.setToggleGroup(group);
      tab.setMinWidth(40);
      tab.setTooltip(new Tooltip(names.get(k) + " (twice to rename)"));
      tab.setOnAction(
          e -> {
            tab.setSelected(true);
            desk.showSheet(index);
          });
      tab.setOnMouseClicked(
          click -> {
            if (click.getClickCount() == 2) {
              rename();
            }
          });
      tabs.getChildren().add(tab);
    }
  }

  /** Turns the tab of the train in view into a field for its name. */
  private void rename() {
    int index = desk.pageProperty().get().index();
    TextField field = new TextField(desk.sheet().name());
    field.setId("train-name");
    field.setPrefColumnCount(14);
    field.setAccessibleText("Name of this train");
    tabs.getChildren().set(index, field);
    field.requestFocus();
    field.selectAll();
    field.setOnAction(e -> finishRename(field.getText()));
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was) {
                finishRename(field.getText());
              }
            });
    field.setOnKeyPressed(
        key -> {
          if (key.getCode() == KeyCode.ESCAPE) {
            finishRename(desk.sheet().name());
            key.consume();
          }
        });
  }

  private void finishRename(String name) {
    if (shownTab() instanceof TextField) {
      shownNames = List.of();
      desk.renameTrain(name);
      refresh();
    }
  }
}
