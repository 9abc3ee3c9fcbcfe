package steadycog.app;

import java.nio.file.Path;
import java.util.List;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import org.jspecify.annotations.Nullable;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.app.look.OneOf;
import steadycog.job.Sheet;

/** The top line: the job, its trains, and what is done with files. */
final class Head extends HBox {
  private final Desk desk;
  private final JobKeeper keeper;
  private final Label title = Look.label("", "job-title");
  private final Tooltip unsaved = new Tooltip("Not saved yet");
  private final HBox tabs = new HBox();
  private final Button undo = plain("Undo", "Ctrl+Z");
  private final Button redo = plain("Redo", "Ctrl+Shift+Z");
  private final Menu recent = new Menu("Recent");
  private final ScrollPane strip = new ScrollPane();
  private final MenuButton trains =
      menu("Train", "train-menu", "Add, copy, name, remove or choose a train of this job");
  private List<String> shownNames = List.of();
  private @Nullable Node seen;

  Head(Desk desk, JobKeeper keeper, Runnable showKeys) {
    this.desk = desk;
    this.keeper = keeper;
    getStyleClass().add("head");
    title.setId("job-title");
    title.setMinWidth(90);
    strip.setContent(tabs);
    strip.getStyleClass().add("train-tabs");
    strip.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    strip.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    strip.setFitToHeight(true);
    strip.setFocusTraversable(false);
    strip.setMinWidth(80);
    HBox.setHgrow(strip, Priority.ALWAYS);
    strip.widthProperty().addListener(o -> Platform.runLater(this::scrollToShown));
    getChildren().addAll(title, strip, trains, undo, redo);
    undo.setOnAction(e -> desk.undo());
    redo.setOnAction(e -> desk.redo());
    fillTrainMenu();
    add(plain("Save", "Ctrl+S"), keeper::save);
    getChildren().addAll(fileMenu(), new ViewMenu(desk));
    add(plain("Keys", "?"), showKeys);
    desk.pageProperty().addListener(o -> refresh());
    desk.file().pathProperty().addListener(o -> refresh());
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

  private static MenuButton menu(String words, String id, String help) {
    MenuButton menu = Look.styled(new MenuButton(words), "plain");
    menu.setId(id);
    menu.setMinWidth(USE_PREF_SIZE);
    menu.setTooltip(new Tooltip(help));
    return menu;
  }

  private MenuButton fileMenu() {
    MenuButton menu = menu("File", "file-menu", "New, open, recent files, save under another name");
    menu.getItems()
        .addAll(
            item("New job   Ctrl+N", keeper::startNew),
            item("Open \u2026   Ctrl+O", keeper::open),
            recent,
            new SeparatorMenuItem(),
            item("Save as \u2026   Ctrl+Shift+S", keeper::saveAs));
    menu.setOnShowing(e -> listRecent());
    return menu;
  }

  /** What can be done with trains, and all of them by name, since tabs may not all be in sight. */
  private void fillTrainMenu() {
    trains
        .getItems()
        .setAll(
            item("New train", desk.trains()::add),
            item("Try a variant: copy this train", desk.trains()::duplicate),
            item("Rename this train", this::rename),
            new SeparatorMenuItem(),
            item("Remove this train", desk.trains()::remove),
            new SeparatorMenuItem());
    List<Sheet> sheets = desk.job().sheets();
    for (int k = 0; k < sheets.size(); k++) {
      int index = k;
      MenuItem item = item(sheets.get(k).name(), () -> desk.showSheet(index));
      item.setMnemonicParsing(false);
      trains.getItems().add(item);
    }
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
    title.setText(JobKeeper.titleOf(desk) + (desk.file().isUnsaved() ? " \u2022" : ""));
    title.setTooltip(desk.file().isUnsaved() ? unsaved : null);
    undo.setDisable(!desk.canUndo());
    redo.setDisable(!desk.canRedo());
    List<String> names = desk.job().sheets().stream().map(Sheet::name).toList();
    if (!names.equals(shownNames)) {
      shownNames = names;
      rebuildTabs(names);
      fillTrainMenu();
    }
    if (shownTab() instanceof ToggleButton tab) {
      tab.setSelected(true);
    }
    if (shownTab() != seen) {
      seen = shownTab();
      Platform.runLater(this::scrollToShown);
    }
  }

  /** Brings the tab of the train in view into sight. */
  private void scrollToShown() {
    double room = tabs.getWidth() - strip.getViewportBounds().getWidth();
    if (room > 0) {
      double middle = shownTab().getBoundsInParent().getCenterX();
      double wanted = middle - strip.getViewportBounds().getWidth() / 2;
      strip.setHvalue(Math.clamp(wanted / room, 0, 1));
    }
  }

  private Node shownTab() {
    return tabs.getChildren().get(desk.pageProperty().get().index());
  }

  private void rebuildTabs(List<String> names) {
    OneOf group = new OneOf();
    tabs.getChildren().clear();
    for (int k = 0; k < names.size(); k++) {
      int index = k;
      ToggleButton tab = Look.styled(new ToggleButton(names.get(k)), "train-tab");
      tab.setMnemonicParsing(false);
      tab.setToggleGroup(group);
      tab.setMinWidth(USE_PREF_SIZE);
      tab.setTooltip(new Tooltip(names.get(k) + " (twice to rename)"));
      tab.setOnAction(e -> desk.showSheet(index));
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
      desk.trains().rename(name);
      refresh();
    }
  }
}
