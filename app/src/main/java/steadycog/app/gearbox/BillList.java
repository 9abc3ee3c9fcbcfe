package steadycog.app.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.geometry.HPos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import steadycog.app.look.Look;
import steadycog.gearbox.Bill;
import steadycog.gearbox.Bill.Line;
import steadycog.gearbox.Build.Whole;
import steadycog.gearbox.Component;
import steadycog.gearbox.Move;
import steadycog.gearbox.ShaftLoads;
import steadycog.number.Figures;

/** The bill of a gearbox and the order in which it goes together, line by line to be chosen. */
final class BillList extends VBox {
  private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

  private final GridPane bill = Look.styled(new GridPane(), "bill");
  private final GridPane loads = Look.styled(new GridPane(), "bill");
  private final Label weak = Look.label("", "caution");
  private final Label note = Look.label("", "soft");
  private final Label order = Look.label("It goes together so", "caption");
  private final VBox steps = new VBox(2);
  private final Label total = Look.label("", "soft");
  private final List<Row> rows = new ArrayList<>();
  private Consumer<List<Component>> choose = components -> {};

  private record Row(List<Component> components, List<? extends Node> nodes) {}

  BillList() {
    super(6);
    setId("gearbox-bill");
    loads.setId("gearbox-loads");
    weak.setWrapText(true);
    note.setWrapText(true);
    getChildren().addAll(bill, total, loads, weak, note, order, steps);
  }

  void onChoose(Consumer<List<Component>> then) {
    choose = then;
  }

  void show(Whole whole) {
    rows.clear();
    bill.getChildren().clear();
    steps.getChildren().clear();
    heads(bill, List.of("No.", "", "piece", "mm", "g"), List.of(2, 3));
    for (Line line : whole.bill().lines()) {
      add(line);
    }
    total.setText(
        "made "
            + Figures.significant(whole.bill().grams(), 3)
            + "\u2009g; in italics what is bought");
    show(new ShaftLoads(whole.gearbox()));
    Look.show(order, !whole.proof().order().isEmpty());
    int step = 1;
    for (Move move : whole.proof().order()) {
      Label label = Look.label(step++ + ".  " + move.says(whole.bill()), "step");
      label.setWrapText(true);
      row(List.of(move.component()), List.of(label), whole.bill().of(move.component()).number());
      steps.getChildren().add(label);
    }
  }

  private static void heads(GridPane grid, List<String> words, List<Integer> toTheLeft) {
    for (int k = 0; k < words.size(); k++) {
      Label head = Look.label(words.get(k), "caption");
      head.setMinWidth(USE_PREF_SIZE);
      GridPane.setHalignment(head, toTheLeft.contains(k) ? HPos.LEFT : HPos.RIGHT);
      grid.add(head, k, 0);
    }
  }

  private static void say(Label label, String words) {
    label.setText(words);
    Look.show(label, !words.isEmpty());
  }

  private void show(ShaftLoads borne) {
    loads.getChildren().clear();
    List<List<String>> lines = borne.rows();
    Look.show(loads, !lines.isEmpty());
    say(weak, String.join("\n", borne.weak()));
    say(note, borne.note().orElse(""));
    if (!lines.isEmpty()) {
      heads(loads, ShaftLoads.HEADS, List.of(0, 1));
    }
    for (int row = 0; row < lines.size(); row++) {
      for (int k = 0; k < lines.get(row).size(); k++) {
        Label cell = Look.figure(lines.get(row).get(k), "bill-number");
        GridPane.setHalignment(cell, k < 2 ? HPos.LEFT : HPos.RIGHT);
        loads.add(cell, k, row + 1);
      }
    }
  }

  private void add(Line line) {
    int at = line.number();
    Label number = Look.figure(Integer.toString(at), "bill-number");
    Label count = Look.figure(line.count() > 1 ? line.count() + "\u2009\u00d7" : "", "bill-number");
    Label name = Look.label(line.name(), line.isBought() ? "bill-bought" : "bill-made");
    Label size = Look.label(line.size().replace(" x ", " \u00d7 "), "bill-number");
    Label grams =
        Look.figure(line.grams().map(g -> Figures.significant(g, 3)).orElse(""), "bill-number");
    name.setWrapText(true);
    size.setMinWidth(USE_PREF_SIZE);
    bill.addRow(at, number, count, name, size, grams);
    name.setId("bill-" + at);
    row(line.components(), List.of(name, number, count, size, grams), at);
  }

  private void row(List<Component> components, List<Label> labels, int number) {
    rows.add(new Row(components, labels));
    Label first = labels.getFirst();
    first.setFocusTraversable(true);
    first.setAccessibleRole(AccessibleRole.BUTTON);
    first.setAccessibleText(first.getText() + ", number " + number);
    labels.forEach(label -> label.setOnMouseClicked(e -> choose.accept(components)));
    first.setOnKeyPressed(
        key -> {
          if (key.getCode() == KeyCode.ENTER || key.getCode() == KeyCode.SPACE) {
            choose.accept(components);
            key.consume();
          }
        });
  }

  /** Marks the lines of these components. */
  void mark(List<Component> chosen) {
    for (Row row : rows) {
      boolean is = row.components.stream().anyMatch(chosen::contains);
      row.nodes.forEach(node -> node.pseudoClassStateChanged(CHOSEN, is));
    }
  }

  /** The line of a component, as the bill has it. */
  static List<Component> line(Whole whole, Optional<Component> component) {
    return component.map(one -> whole.bill().of(one)).map(Bill.Line::components).orElse(List.of());
  }
}
