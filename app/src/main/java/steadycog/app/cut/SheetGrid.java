package steadycog.app.cut;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.beans.Observable;
import javafx.beans.property.SimpleObjectProperty;
import javafx.css.PseudoClass;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import steadycog.app.look.Look;
import steadycog.app.look.Typed;
import steadycog.number.Figures;
import steadycog.sizing.SheetTable;
import steadycog.sizing.SheetTable.Cell;
import steadycog.sizing.SheetTable.Field;
import steadycog.sizing.SheetTable.Row;

/** One table of the cut sheet: quantities below each other, wheels or meshes side by side. */
final class SheetGrid extends VBox {
  private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
  private static final PseudoClass ASSUMED = PseudoClass.getPseudoClass("assumed");
  private static final PseudoClass ALARM = PseudoClass.getPseudoClass("alarm");
  private static final double LABEL_WIDTH = 160;
  private static final int FIELD_COLUMNS = 6;
  private static final int BORE_COLUMNS = 8;

  private static final Map<String, String> HELP =
      Map.ofEntries(
          Map.entry("profile shift x", "How far the rack is moved out while cutting, in modules"),
          Map.entry(
              "module", "Of its teeth and all that mesh with them; empty: that of the whole train"),
          Map.entry("base diameter", "The circle from which the involutes unwind"),
          Map.entry("tooth thickness", "Along the pitch circle, with what is taken off the flanks"),
          Map.entry(
              "span over k teeth",
              "Between the jaws of a caliper over k teeth, k behind the stroke"),
          Map.entry("over pins", "Over two pins in opposite spaces; of a ring between them"),
          Map.entry(
              "bore",
              "The shaft: 8 mm, 8 mm key, 8 mm hex, 5 mm flat 4.5 mm; room is added when it is"
                  + " made"),
          Map.entry(
              "off each flank", "Taken off at right angles: clearance and this wheel's offset"),
          Map.entry("material", "A word, or with the stresses allowed: steel bending 200 MPa"),
          Map.entry("centre distance", "Of the axes; type another and the teeth are shifted to it"),
          Map.entry("working angle", "Pressure angle at the pitch circles on which they roll"),
          Map.entry("contact ratio", "Pairs of teeth in touch on average: 1.2 runs smoothly"),
          Map.entry("play across flanks", "Room between flanks, at right angles to them"),
          Map.entry("tip clearance", "Least room between tips and roots"),
          Map.entry(
              "it bears",
              "Stress allowed over stress, so many times the load: below 1 it gives way"),
          Map.entry("tooth force", "Along the pitch circle, on the most loaded contact"),
          Map.entry("pressure", "Hertz pressure between the flanks at the pitch point"),
          Map.entry(
              "tilted by them", "Moment that bends the pin: tall planets lean inwards by it"));

  private static final Observable NEVER = new SimpleObjectProperty<>();

  /** What can be done with a table. */
  interface Hand {
    /** Whether the value can be typed over. */
    default boolean changes(Field field, int column) {
      return false;
    }

    /** Takes what was typed, or says why not; an empty text takes back what is stated. */
    default Optional<String> take(Field field, int column, String text) {
      return Optional.empty();
    }

    /** Shows why something typed was not taken, or nothing. */
    default void say(Optional<String> problem) {}

    /** Changes where another train comes into view. */
    default Observable other() {
      return NEVER;
    }

    /** A column was chosen. */
    default void choose(int column) {}
  }

  private final Hand hand;
  private final Label title = Look.label("", "caption");
  private final GridPane grid = Look.styled(new GridPane(), "sheet-grid");
  private final List<Label> heads = new ArrayList<>();
  private final List<List<Label>> figures = new ArrayList<>();
  private List<Object> built = List.of();

  SheetGrid(String id, Hand hand) {
    super(3);
    this.hand = hand;
    setId(id);
    setMinWidth(USE_PREF_SIZE);
    getChildren().addAll(title, grid);
  }

  /**
   * Shows a table, or hides where it has no columns.
   *
   * @param names of the columns, short
   * @param chosen the column that is chosen, -1 for none
   */
  void show(SheetTable table, List<String> names, int chosen) {
    Look.show(this, !table.columns().isEmpty());
    title.setText(table.title());
    List<Object> wanted = shape(table);
    if (!wanted.equals(built)) {
      built = wanted;
      build(table);
    }
    for (int column = 0; column < heads.size(); column++) {
      heads.get(column).setText(names.get(column));
      heads.get(column).pseudoClassStateChanged(CHOSEN, column == chosen);
      for (int row = 0; row < table.rows().size(); row++) {
        fill(figures.get(row).get(column), table.rows().get(row).cells().get(column));
      }
    }
  }

  /** What must be alike for the nodes to stay. */
  private List<Object> shape(SheetTable table) {
    List<Object> all = new ArrayList<>(table.columns());
    for (Row row : table.rows()) {
      all.add(row.head());
      for (int column = 0; column < table.columns().size(); column++) {
        all.add(hand.changes(row.field(), column));
      }
    }
    return all;
  }

  private void build(SheetTable table) {
    grid.getChildren().clear();
    heads.clear();
    figures.clear();
    for (int column = 0; column < table.columns().size(); column++) {
      Label head = Look.label(table.columns().get(column), "sheet-head");
      int index = column;
      head.setTooltip(new Tooltip(table.columns().get(column)));
      head.setOnMouseClicked(click -> hand.choose(index));
      head.setFocusTraversable(true);
      head.setAccessibleRole(AccessibleRole.BUTTON);
      head.setOnKeyPressed(
          key -> {
            if (key.getCode() == KeyCode.ENTER || key.getCode() == KeyCode.SPACE) {
              hand.choose(index);
              key.consume();
            }
          });
      head.setMaxWidth(Double.MAX_VALUE);
      head.setMinWidth(USE_PREF_SIZE);
      heads.add(head);
      grid.add(head, column + 1, 0);
    }
    for (int row = 0; row < table.rows().size(); row++) {
      addRow(table.rows().get(row), row + 1);
    }
  }

  private void addRow(Row row, int at) {
    Label name = Look.label(row.head(), "sheet-name");
    name.setMinWidth(LABEL_WIDTH);
    String help = HELP.get(row.label());
    if (help != null) {
      name.setTooltip(new Tooltip(help));
    }
    grid.add(name, 0, at);
    List<Label> cells = new ArrayList<>();
    for (int column = 0; column < heads.size(); column++) {
      Label cell = Look.label("", "sheet-figure");
      cell.setMaxWidth(Double.MAX_VALUE);
      cell.setMinWidth(USE_PREF_SIZE);
      cell.setAlignment(Pos.CENTER_RIGHT);
      GridPane.setHalignment(cell, HPos.RIGHT);
      if (hand.changes(row.field(), column)) {
        cell.setGraphic(field(row, column, heads.get(column).getText()));
      }
      cells.add(cell);
      grid.add(cell, column + 1, at);
    }
    figures.add(cells);
  }

  private TextField field(Row row, int column, String of) {
    TextField field = Look.styled(new TextField(), "sheet-field");
    field.setId(getId() + "-" + row.field().name().toLowerCase(Locale.ROOT) + "-" + column);
    field.setPrefColumnCount(row.field() == Field.BORE ? BORE_COLUMNS : FIELD_COLUMNS);
    field.setAlignment(Pos.CENTER_RIGHT);
    field.setAccessibleText(row.head() + " of " + of + "; Enter takes it, empty takes it back");
    Typed.on(field, text -> hand.take(row.field(), column, text), hand::say, hand.other());
    return field;
  }

  private static void fill(Label cell, Cell value) {
    if (cell.getGraphic() instanceof TextField field) {
      Typed.show(field, value.text());
      field.pseudoClassStateChanged(ASSUMED, value.assumed());
    } else {
      boolean negative = value.text().startsWith("-");
      cell.setText(negative ? Figures.typeset(value.text()) : value.text());
    }
    cell.pseudoClassStateChanged(ASSUMED, value.assumed());
    cell.pseudoClassStateChanged(ALARM, value.alarm());
  }
}
