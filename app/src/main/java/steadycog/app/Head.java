package steadycog.app;

import java.nio.file.Path;
import javafx.geometry.Orientation;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;

/**
 * The top line: the job, the stations, and what is done with files. Where they do not fit beside
 * one another the stations stand in a line of their own.
 */
final class Head extends Pane {
  private static final double GAP = 10;

  /** Where the recent files stand in the menu: behind what opens one. */
  private static final int OPENED = 2;

  private final Desk desk;
  private final JobKeeper keeper;
  private final Label title = Look.label("", "job-title");
  private final Tooltip titleTip = new Tooltip();
  private final Region stations;
  private final Acts acts;
  private final HBox tools = Look.styled(new HBox(), "head-acts");
  private final Button undo = plain("Undo", "Ctrl+Z");
  private final Button redo = plain("Redo", "Ctrl+Shift+Z");
  private final Menu recent = new Menu("Recent");

  Head(Desk desk, JobKeeper keeper, Acts acts, Region stations, MainWindow window) {
    this.desk = desk;
    this.acts = acts;
    this.keeper = keeper;
    this.stations = stations;
    getStyleClass().add("head");
    title.setId("job-title");
    title.setTooltip(titleTip);
    undo.setOnAction(e -> desk.undo());
    redo.setOnAction(e -> desk.redo());
    tools.getChildren().addAll(undo, redo);
    add(plain("Save", "Ctrl+S"), keeper::save);
    tools.getChildren().addAll(fileMenu(), new ViewMenu(desk, window::about));
    add(plain("Keys", "?"), window::showKeys);
    getChildren().addAll(title, stations, tools);
    desk.pageProperty().addListener(o -> refresh());
    desk.file().pathProperty().addListener(o -> refresh());
    refresh();
  }

  @Override
  public Orientation getContentBias() {
    return Orientation.HORIZONTAL;
  }

  @Override
  protected double computeMinWidth(double height) {
    return 0;
  }

  @Override
  protected double computePrefHeight(double width) {
    double top = getInsets().getTop() + getInsets().getBottom();
    double one = snapSizeY(tools.prefHeight(-1));
    return top + (fitsOneLine(width) ? one : one + snapSizeY(stations.prefHeight(-1)));
  }

  private boolean fitsOneLine(double width) {
    double sides = getInsets().getLeft() + getInsets().getRight();
    double wanted = title.prefWidth(-1) + stations.prefWidth(-1) + tools.prefWidth(-1) + 2 * GAP;
    return width < 0 || wanted + sides <= width;
  }

  @Override
  protected void layoutChildren() {
    double left = getInsets().getLeft();
    double right = getWidth() - getInsets().getRight();
    double y = getInsets().getTop();
    double line = snapSizeY(tools.prefHeight(-1));
    double wide = snapSizeX(tools.prefWidth(-1));
    tools.resizeRelocate(Math.max(left, right - wide), y, wide, line);
    double room = Math.max(0, right - wide - GAP - left);
    double named = Math.min(room, snapSizeX(title.prefWidth(-1)));
    title.resizeRelocate(left, y, named, line);
    boolean one = fitsOneLine(getWidth());
    double high = one ? line : snapSizeY(stations.prefHeight(-1));
    stations.resizeRelocate(
        one ? left + named + GAP : left,
        one ? y : y + line,
        snapSizeX(stations.prefWidth(-1)),
        high);
  }

  private void add(Button button, Runnable action) {
    button.setOnAction(e -> action.run());
    tools.getChildren().add(button);
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
    MenuButton menu = menu("File", "file-menu", "New, open, save, print, report, pictures, pieces");
    menu.setOnShowing(
        e -> {
          menu.getItems().clear();
          for (Acts.Act act : acts.of(Acts.Group.FILE)) {
            menu.getItems()
                .add(
                    item(act.name() + (act.keys().isEmpty() ? "" : "   " + act.keys()), act.run()));
          }
          menu.getItems().add(OPENED, recent);
          listRecent();
        });
    // Or the first press would find nothing to show.
    menu.getItems().add(recent);
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
    boolean unsaved = desk.file().isUnsaved();
    title.setText(JobKeeper.titleOf(desk) + (unsaved ? " \u2022" : ""));
    titleTip.setText(JobKeeper.titleOf(desk) + (unsaved ? ", not saved yet" : ""));
    undo.setDisable(!desk.canUndo());
    redo.setDisable(!desk.canRedo());
  }
}
