package steadycog.app.rail;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.look.Icon;
import steadycog.app.look.IconView;
import steadycog.app.look.Look;
import steadycog.app.look.OneOf;
import steadycog.job.Sheet;

/** All trains of the job beside the drawing; folded away it still shows a sketch of each. */
public final class JobRail extends VBox {
  /** At the usual size of text; narrow it takes no more than its sketches. */
  private static final double WIDE = 150;

  private static final double NARROW = TrainCard.SKETCH + 18;
  private static final double BESIDE_WORDS = 34;
  private static final double FOLD_WIDTH = 30;
  private static final double FOLD_HEIGHT = 24;

  private final Desk desk;
  private final VBox cards = new VBox(2);
  private final ScrollPane scroll = new ScrollPane(cards);
  private final MenuButton menu = Look.styled(new MenuButton("Trains"), "plain");
  private final IconView foldSign = new IconView(Icon.FOLD);
  private final Button fold = Look.styled(new Button(), "plain");
  private final OneOf group = new OneOf();
  private final List<TrainCard> made = new ArrayList<>();
  private final Runnable toggle;
  private final Runnable compare;
  private boolean narrow;

  /** A rail whose button folds it by {@code toggle}; {@code compare} shows two trains at once. */
  public JobRail(Desk desk, Runnable toggle, Runnable compare) {
    this.desk = desk;
    this.toggle = toggle;
    this.compare = compare;
    getStyleClass().add("job-rail");
    setId("job-rail");
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setFocusTraversable(false);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    fold.setId("rail-fold");
    fold.setGraphic(foldSign);
    fold.setMinSize(FOLD_WIDTH, FOLD_HEIGHT);
    fold.setPrefSize(FOLD_WIDTH, FOLD_HEIGHT);
    fold.setMaxSize(FOLD_WIDTH, FOLD_HEIGHT);
    fold.setOnAction(e -> toggle.run());
    menu.setId("train-menu");
    menu.setMinWidth(USE_PREF_SIZE);
    menu.setTooltip(new Tooltip("Add, copy, name, move or remove a train of this job"));
    menu.setOnShowing(e -> menu.getItems().setAll(acts()));
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox head = Look.styled(new HBox(menu, gap, fold), "rail-head");
    head.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(head, scroll);
    desk.pageProperty().addListener(o -> show());
    desk.preferencesProperty().addListener(o -> show());
    desk.glances().changesProperty().addListener(o -> show());
    desk.glances().watch();
    setNarrow(false);
    show();
  }

  /** Folds the rail to its sketches, or opens it. */
  public void setNarrow(boolean now) {
    narrow = now;
    double width = now ? NARROW : WIDE * Math.sqrt(desk.preferences().zoom());
    setMinWidth(width);
    setPrefWidth(width);
    setMaxWidth(width);
    Look.show(menu, !now);
    foldSign.show(now ? Icon.UNFOLD : Icon.FOLD);
    fold.setAccessibleText(now ? "Show the names of the trains" : "Fold the trains away");
    fold.setTooltip(new Tooltip(fold.getAccessibleText() + " (Ctrl+B)"));
    made.forEach(card -> card.giveRoom(wordRoom()));
  }

  /** What is left for words beside a sketch and the scroll bar. */
  private double wordRoom() {
    return narrow ? 0 : getPrefWidth() - TrainCard.SKETCH - BESIDE_WORDS;
  }

  public boolean isNarrow() {
    return narrow;
  }

  /** Brings the cards in step with the job; they are kept from one job to the next. */
  private void show() {
    List<Sheet> sheets = desk.job().sheets();
    while (made.size() < sheets.size()) {
      add(made.size());
    }
    while (made.size() > sheets.size()) {
      made.removeLast().setToggleGroup(null);
    }
    if (!cards.getChildren().equals(made)) {
      cards.getChildren().setAll(made);
    }
    for (int k = 0; k < made.size(); k++) {
      made.get(k).show(sheets.get(k));
    }
    int shown = desk.pageProperty().get().index();
    if (!made.get(shown).isSelected()) {
      made.get(shown).setSelected(true);
      Platform.runLater(this::scrollToShown);
    }
  }

  private void add(int index) {
    TrainCard card = new TrainCard(desk);
    card.setId("train-" + (index + 1));
    card.setToggleGroup(group);
    card.giveRoom(wordRoom());
    card.setOnAction(e -> desk.showSheet(index));
    card.setOnMouseClicked(
        click -> {
          if (click.getClickCount() == 2) {
            rename();
          }
        });
    card.setOnContextMenuRequested(
        wish -> {
          desk.showSheet(index);
          ContextMenu here = new ContextMenu(acts().toArray(MenuItem[]::new));
          here.show(card, wish.getScreenX(), wish.getScreenY());
          wish.consume();
        });
    card.addEventHandler(KeyEvent.KEY_PRESSED, this::onKey);
    made.add(card);
  }

  private void onKey(KeyEvent event) {
    boolean done = true;
    switch (event.getCode()) {
      case F2 -> rename();
      case UP -> go(event.isAltDown(), -1);
      case DOWN -> go(event.isAltDown(), 1);
      default -> done = false;
    }
    if (done) {
      event.consume();
    }
  }

  /** On to the next train, or the train itself one place on. */
  private void go(boolean move, int by) {
    if (move) {
      desk.trains().move(by);
    } else {
      int next = desk.pageProperty().get().index() + by;
      desk.showSheet(Math.clamp(next, 0, made.size() - 1));
    }
    made.get(desk.pageProperty().get().index()).requestFocus();
  }

  private List<MenuItem> acts() {
    int index = desk.pageProperty().get().index();
    return List.of(
        item("New train", () -> true, desk.trains()::add),
        item("Try a variant: copy this train", () -> true, desk.trains()::duplicate),
        item("Rename this train   F2", () -> true, this::rename),
        item("Move up   Alt+Up", () -> index > 0, () -> desk.trains().move(-1)),
        item("Move down   Alt+Down", () -> index < made.size() - 1, () -> desk.trains().move(1)),
        item("Compare with another", () -> made.size() > 1, compare),
        new SeparatorMenuItem(),
        item("Remove this train", () -> true, desk.trains()::remove));
  }

  private static MenuItem item(String words, BooleanSupplier can, Runnable action) {
    MenuItem item = new MenuItem(words);
    item.setDisable(!can.getAsBoolean());
    item.setOnAction(e -> action.run());
    return item;
  }

  /** Brings the train in view into sight. */
  private void scrollToShown() {
    double room = cards.getHeight() - scroll.getViewportBounds().getHeight();
    int index = desk.pageProperty().get().index();
    if (room > 0 && index < made.size()) {
      double middle = made.get(index).getBoundsInParent().getCenterY();
      scroll.setVvalue(
          Math.clamp((middle - scroll.getViewportBounds().getHeight() / 2) / room, 0, 1));
    }
  }

  /** Turns the card of the train in view into a field for its name. */
  public void rename() {
    if (narrow) {
      toggle.run();
    }
    int index = desk.pageProperty().get().index();
    TextField field = new TextField(desk.sheet().name());
    field.setId("train-name");
    field.setAccessibleText("Name of this train");
    cards.getChildren().set(index, field);
    field.requestFocus();
    field.selectAll();
    field.setOnAction(e -> finishRename(field, field.getText()));
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was) {
                finishRename(field, field.getText());
              }
            });
    field.setOnKeyPressed(
        key -> {
          if (key.getCode() == KeyCode.ESCAPE) {
            finishRename(field, desk.sheet().name());
            key.consume();
          }
        });
  }

  private void finishRename(Node field, String name) {
    if (cards.getChildren().contains(field)) {
      cards.getChildren().setAll(made);
      desk.trains().rename(name);
    }
  }
}
