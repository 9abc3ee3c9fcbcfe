package steadycog.app.find;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.app.look.OneOf;
import steadycog.number.Known;
import steadycog.search.Kind;
import steadycog.search.Limits.Direction;
import steadycog.search.Query;
import steadycog.search.Rank;
import steadycog.search.Wanted;
import steadycog.search.Wanted.BadField;
import steadycog.search.Wanted.Field;

/** What is looked for, a field a line; what cannot be understood is said beneath its field. */
final class WantedForm extends VBox {
  private final Finder finder;
  private final Map<Field, TextField> fields = new EnumMap<>(Field.class);
  private final Map<Field, Label> errors = new EnumMap<>(Field.class);
  private final Map<Field, CheckBox> checks = new EnumMap<>(Field.class);
  private final Map<Kind, ToggleButton> kinds = new EnumMap<>(Kind.class);
  private final Map<Rank, ToggleButton> ranks = new EnumMap<>(Rank.class);
  private final Map<Direction, ToggleButton> directions = new EnumMap<>(Direction.class);
  private final Label together = Look.label("", "bad-word");
  private boolean showing;

  WantedForm(Desk desk, Finder finder) {
    this.finder = finder;
    getStyleClass().addAll("panel", "wanted");
    setId("wanted");
    together.setWrapText(true);
    Button near = Look.styled(new Button("Near the bench"), "cure");
    near.setId("look-near");
    near.setTooltip(
        new Tooltip(
            "Change as little of the train on the bench as possible: to reach the target, or"
                + " without one to cure its errors"));
    near.setOnAction(e -> finder.lookNear());
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox head = new HBox(6, Look.label("What is wanted", "caption"), gap, near);
    head.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(head, together, grid());
    desk.pageProperty().subscribe(page -> show(page.sheet().wanted()));
    desk.benchProperty().subscribe(bench -> promptTarget());
    finder.problemProperty().subscribe(this::showProblem);
  }

  private GridPane grid() {
    GridPane grid = Look.styled(new GridPane(), "wanted-grid");
    for (Field field : Field.values()) {
      switch (field) {
        case DIRECTION -> put(grid, field.label(), directions());
        case KIND -> put(grid, field.label(), kinds());
        case RANK -> put(grid, field.label(), ranks());
        case TOP -> {
          // Said on the command line: here the list scrolls.
        }
        default -> {
          if (field.isChoice()) {
            check(grid, field);
          } else {
            line(grid, field);
          }
        }
      }
    }
    return grid;
  }

  private void line(GridPane grid, Field field) {
    TextField text = new TextField();
    text.setId("want-" + field.key());
    text.setPromptText(field.usual());
    text.setAccessibleText(field.label() + ": " + field.help());
    text.setTooltip(new Tooltip(field.help()));
    text.textProperty()
        .addListener(
            (o, old, now) -> {
              if (!showing) {
                finder.want(field, now);
              }
            });
    Label error = Look.label("", "bad-word", "small");
    error.setWrapText(true);
    error.setId("bad-" + field.key());
    Look.show(error, false);
    fields.put(field, text);
    errors.put(field, error);
    put(grid, field.label(), new VBox(1, text, error));
  }

  private static void put(GridPane grid, String name, Node node) {
    Label label = Look.label(name, "soft");
    label.setMinWidth(USE_PREF_SIZE);
    grid.addRow(grid.getRowCount(), label, node);
    GridPane.setHgrow(node, Priority.ALWAYS);
    GridPane.setValignment(label, VPos.TOP);
  }

  private void check(GridPane grid, Field field) {
    CheckBox box = new CheckBox(field.label());
    box.setId("want-" + field.key());
    box.setTooltip(new Tooltip(field.help()));
    box.setOnAction(e -> finder.want(field, box.isSelected() ? "yes" : ""));
    checks.put(field, box);
    grid.add(box, 0, grid.getRowCount(), 2, 1);
  }

  private FlowPane kinds() {
    FlowPane row = Look.styled(new FlowPane(3, 3), "chips");
    for (Kind kind : Kind.all()) {
      ToggleButton chip = Look.styled(new ToggleButton(Candidates.kind(kind)), "chip");
      chip.setId("kind-" + kind.word());
      chip.setOnAction(e -> chooseKinds());
      kinds.put(kind, chip);
      row.getChildren().add(chip);
    }
    return row;
  }

  private void chooseKinds() {
    String words =
        Kind.all().stream()
            .filter(kind -> Known.in(kinds, kind).isSelected())
            .map(Kind::word)
            .collect(Collectors.joining(","));
    boolean all = kinds.values().stream().allMatch(ToggleButton::isSelected);
    finder.want(Field.KIND, all ? "" : words);
  }

  private FlowPane ranks() {
    FlowPane row = Look.styled(new FlowPane(3, 3), "chips");
    OneOf group = new OneOf();
    for (Rank rank : Rank.values()) {
      ToggleButton chip = Look.styled(new ToggleButton(Candidates.rank(rank)), "chip");
      chip.setId("rank-" + rank.word());
      chip.setTooltip(new Tooltip("List " + rank.best() + " first, and prove them so"));
      chip.setOnAction(e -> finder.rank(rank));
      chip.setToggleGroup(group);
      ranks.put(rank, chip);
      row.getChildren().add(chip);
    }
    return row;
  }

  private FlowPane directions() {
    FlowPane row = Look.styled(new FlowPane(3, 3), "chips");
    OneOf group = new OneOf();
    for (Direction direction : Direction.values()) {
      String word =
          switch (direction) {
            case ANY -> "either way";
            case SAME -> "the same";
            case OPPOSITE -> "the other";
          };
      ToggleButton chip = Look.styled(new ToggleButton(word), "chip");
      chip.setId("turns-" + direction.name().toLowerCase(Locale.ROOT));
      chip.setToggleGroup(group);
      chip.setOnAction(
          e ->
              finder.want(
                  Field.DIRECTION,
                  direction == Direction.ANY ? "" : direction.name().toLowerCase(Locale.ROOT)));
      directions.put(direction, chip);
      row.getChildren().add(chip);
    }
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** Brings the fields in step with the job, whoever changed it. */
  private void show(Wanted wanted) {
    showing = true;
    fields.forEach(
        (field, text) -> {
          if (!text.getText().equals(wanted.text(field))) {
            text.setText(wanted.text(field));
          }
        });
    checks.forEach((field, box) -> box.setSelected(wanted.is(field)));
    Set<Kind> chosen = kindsOf(wanted);
    kinds.forEach((kind, chip) -> chip.setSelected(chosen.contains(kind)));
    Rank rank = Rank.of(wanted.text(Field.RANK)).orElse(Rank.ERROR);
    ranks.forEach((each, chip) -> chip.setSelected(each == rank));
    String direction = wanted.text(Field.DIRECTION);
    directions.forEach(
        (each, chip) ->
            chip.setSelected(
                direction.isEmpty()
                    ? each == Direction.ANY
                    : each.name().equalsIgnoreCase(direction)));
    showing = false;
  }

  /** Without a target the ratio on the bench is wanted. */
  private void promptTarget() {
    Known.in(fields, Field.TARGET)
        .setPromptText(
            finder
                .onTheBench()
                .map(ratio -> ratio + ", as on the bench")
                .orElse(Field.TARGET.usual()));
  }

  private static Set<Kind> kindsOf(Wanted wanted) {
    try {
      return wanted.kinds();
    } catch (BadField unknown) {
      return Query.everyKind();
    }
  }

  private void showProblem(Optional<Finder.Problem> problem) {
    Optional<Field> at = problem.flatMap(Finder.Problem::field).filter(errors::containsKey);
    errors.forEach(
        (field, label) -> {
          boolean here = at.filter(field::equals).isPresent();
          label.setText(here ? problem.orElseThrow().message() : "");
          Look.show(label, here);
        });
    boolean elsewhere = problem.isPresent() && at.isEmpty();
    together.setText(elsewhere ? problem.orElseThrow().message() : "");
    Look.show(together, elsewhere);
  }
}
