package steadycog.app.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.beans.binding.DoubleExpression;
import javafx.css.PseudoClass;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;
import steadycog.app.look.Typed;

/**
 * Rows to type in: some columns are fields, some a choice, some follow. A field is taken with Enter
 * or when it is left; what cannot be taken stays in it, marked, and its reason is said.
 *
 * @param <R> what a row shows
 */
final class EntryGrid<R> extends GridPane {
  /** Width of a letter and of what stands round them, in the size of the text. */
  private static final double LETTER = 0.6;

  private static final double MARGIN = 1.0;

  private static final PseudoClass BAD = PseudoClass.getPseudoClass("bad");

  private final String id;
  private final List<Column<R>> columns;
  private final Consumer<Integer> remove;
  private final Consumer<String> say;
  private final DoubleExpression em;
  private final List<List<Node>> cells = new ArrayList<>();

  /** Kept in step with what is shown, to tell what a person has changed. */
  private List<R> rows = List.of();

  /**
   * A column.
   *
   * @param head its title
   * @param width in letters; wider ones grow
   * @param text what a row shows in it
   * @param take takes what was typed or chosen in a row; empty for what follows. It may throw an
   *     IllegalArgumentException that says why not
   * @param choices where it is chosen, not typed
   */
  record Column<R>(
      String key,
      String head,
      String help,
      int width,
      Function<R, String> text,
      Optional<BiConsumer<Integer, String>> take,
      List<String> choices) {

    static <R> Column<R> field(
        String key,
        String head,
        String help,
        int width,
        Function<R, String> text,
        BiConsumer<Integer, String> take) {
      return new Column<>(key, head, help, width, text, Optional.of(take), List.of());
    }

    static <R> Column<R> follows(String key, String head, String help, Function<R, String> text) {
      return new Column<>(key, head, help, 0, text, Optional.empty(), List.of());
    }
  }

  private boolean entering;

  /**
   * An empty grid.
   *
   * @param remove takes a row out
   * @param say shows why something cannot be taken; nothing to take that back
   * @param em size of the text, pixels
   */
  EntryGrid(
      String id,
      List<Column<R>> columns,
      Consumer<Integer> remove,
      Consumer<String> say,
      DoubleExpression em) {
    super(5, 0);
    this.em = em;
    this.id = id;
    this.columns = List.copyOf(columns);
    this.remove = remove;
    this.say = say;
    setId(id);
    getStyleClass().add("entry-grid");
    for (int c = 0; c < columns.size(); c++) {
      Column<R> column = columns.get(c);
      Label head = Look.label(column.head, "ledger-head");
      head.setTooltip(new Tooltip(column.help));
      head.setMinWidth(USE_PREF_SIZE);
      GridPane.setHalignment(head, isText(column) ? HPos.LEFT : HPos.RIGHT);
      add(head, c + 1, 0);
    }
  }

  private static boolean isText(Column<?> column) {
    return column.width > 12 || !column.choices.isEmpty();
  }

  /** Lets the keys go to the next row that comes, where it is written in first. */
  void enterNext() {
    entering = true;
  }

  /** Shows rows; fields that are being typed in are left alone. */
  void show(List<R> now) {
    rows = List.copyOf(now);
    while (cells.size() > rows.size()) {
      getChildren().removeAll(cells.removeLast());
    }
    while (cells.size() < rows.size()) {
      addRow(cells.size());
      if (entering) {
        entering = false;
        cells.getLast().stream()
            .filter(TextField.class::isInstance)
            .findFirst()
            .ifPresent(field -> Platform.runLater(field::requestFocus));
      }
    }
    for (int r = 0; r < rows.size(); r++) {
      for (int c = 0; c < columns.size(); c++) {
        fill(cells.get(r).get(c + 1), columns.get(c).text.apply(rows.get(r)));
      }
    }
  }

  private void addRow(int row) {
    List<Node> nodes = new ArrayList<>();
    Label number = Look.label(String.valueOf(row + 1), "soft");
    number.setMinWidth(USE_PREF_SIZE);
    nodes.add(number);
    for (Column<R> column : columns) {
      nodes.add(cell(column, row));
    }
    Button close = Look.styled(new Button(), "plain");
    close.setGraphic(Icon.CLOSE.node());
    close.setAccessibleText("Take row " + (row + 1) + " out");
    close.setTooltip(new Tooltip("Take this row out"));
    close.setOnAction(e -> remove.accept(row));
    nodes.add(close);
    for (int c = 0; c < nodes.size(); c++) {
      add(nodes.get(c), c, row + 1);
      GridPane.setHalignment(nodes.get(c), c > 0 ? HPos.RIGHT : HPos.LEFT);
    }
    cells.add(nodes);
  }

  private Node cell(Column<R> column, int row) {
    if (column.take.isEmpty()) {
      Label label = Look.label("", "sheet-figure");
      label.setMinWidth(USE_PREF_SIZE);
      return label;
    }
    if (!column.choices.isEmpty()) {
      MenuButton button = Look.styled(new MenuButton(), "plain", "entry-choice");
      button.setMinWidth(USE_PREF_SIZE);
      button.setId(id + "-" + column.key + "-" + row);
      button.setAccessibleText(column.head + " of row " + (row + 1));
      for (String choice : column.choices) {
        MenuItem item = new MenuItem(choice);
        item.setOnAction(e -> column.take.get().accept(row, choice));
        button.getItems().add(item);
      }
      return button;
    }
    TextField field = Look.styled(new TextField(), "sheet-field");
    field.setId(id + "-" + column.key + "-" + row);
    field.prefWidthProperty().bind(em.multiply(column.width * LETTER + MARGIN));
    field.setAccessibleText(column.head + " of row " + (row + 1) + "; Enter takes it");
    if (isText(column)) {
      GridPane.setHgrow(field, Priority.ALWAYS);
      field.setMaxWidth(Double.MAX_VALUE);
      field.setMinWidth(USE_PREF_SIZE);
    } else {
      field.setMinWidth(USE_PREF_SIZE);
      field.setMaxWidth(USE_PREF_SIZE);
      field.setAlignment(Pos.CENTER_RIGHT);
      Typed.over(field);
    }
    field.setOnAction(e -> take(column, row, field));
    field
        .focusedProperty()
        .addListener(
            (o, was, now) -> {
              if (was && !now) {
                take(column, row, field);
              }
            });
    return field;
  }

  private void take(Column<R> column, int row, TextField field) {
    // A field that was taken away loses the keys only afterwards: what it holds is nobody's.
    if (!getChildren().contains(field)) {
      return;
    }
    if (row >= rows.size() || field.getText().equals(column.text.apply(rows.get(row)))) {
      field.pseudoClassStateChanged(BAD, false);
      return;
    }
    try {
      column.take.orElseThrow().accept(row, field.getText().strip());
      field.pseudoClassStateChanged(BAD, false);
      // The rows follow later: until then it is no longer being typed in.
      field.setUserData(field.getText());
      say.accept("");
    } catch (IllegalArgumentException wrong) {
      field.pseudoClassStateChanged(BAD, true);
      say.accept(String.valueOf(wrong.getMessage()));
    }
  }

  private static void fill(Node cell, String text) {
    switch (cell) {
      case TextField field -> {
        boolean bad = field.getPseudoClassStates().contains(BAD);
        boolean typing = field.isFocused() && !field.getText().equals(field.getUserData());
        if (!typing && !bad) {
          field.setUserData(text);
          if (!field.getText().equals(text)) {
            field.setText(text);
          }
        }
      }
      case MenuButton button -> button.setText(text);
      case Label label -> label.setText(text);
      default -> throw new IllegalStateException(cell.toString());
    }
  }

  /** Drops what was typed and not taken: rows of something else are shown next. */
  void forget() {
    rows = List.of();
    cells.forEach(row -> getChildren().removeAll(row));
    cells.clear();
  }
}
