package steadycog.app.find;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
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
import steadycog.app.files.AskFile;
import steadycog.app.look.Flow;
import steadycog.app.look.Icon;
import steadycog.app.look.IconView;
import steadycog.app.look.Look;
import steadycog.app.look.OneOf;
import steadycog.format.file.Trouble;
import steadycog.format.json.UnreadableException;
import steadycog.format.table.CountTable;
import steadycog.number.Known;
import steadycog.search.Kind;
import steadycog.search.Limits.Direction;
import steadycog.search.Query;
import steadycog.search.Rank;
import steadycog.search.Wanted;
import steadycog.search.Wanted.BadField;
import steadycog.search.Wanted.Field;
import steadycog.search.Wanted.Subject;

/**
 * What is looked for: what is said every day on top, the limits folded by subject, and those that
 * are set as chips. What cannot be understood is said beneath its field, which is opened for it.
 */
final class WantedForm extends VBox {
  /** A target of more letters is written small, so that all of it is seen. */
  private static final int MOST_LARGE = 16;

  private static final PseudoClass LONG = PseudoClass.getPseudoClass("long");

  private final Finder finder;
  private final AskFile dialogs;
  private final Map<Field, TextField> fields = new EnumMap<>(Field.class);
  private final Map<Field, Label> errors = new EnumMap<>(Field.class);
  private final Map<Field, CheckBox> checks = new EnumMap<>(Field.class);
  private final Map<Kind, ToggleButton> kinds = new EnumMap<>(Kind.class);
  private final Map<Rank, ToggleButton> ranks = new EnumMap<>(Rank.class);
  private final Map<Direction, ToggleButton> directions = new EnumMap<>(Direction.class);
  private final Map<Subject, ToggleButton> subjects = new EnumMap<>(Subject.class);
  private final FlowPane limits = Look.styled(new FlowPane(3, 3), "chips");
  private final Label together = Look.label("", "bad-word");
  private boolean showing;

  WantedForm(Desk desk, Finder finder, AskFile dialogs) {
    this.finder = finder;
    this.dialogs = dialogs;
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
    Flow head = new Flow();
    head.getChildren().addAll(Look.label(Subject.DAILY.title(), "caption"), near);
    getChildren().addAll(head, together, grid(Subject.DAILY), limits);
    for (Subject subject : Subject.values()) {
      if (subject != Subject.DAILY) {
        getChildren().addAll(folded(subject));
      }
    }
    desk.pageProperty().subscribe(page -> show(page.sheet().wanted()));
    desk.benchProperty().subscribe(bench -> promptTarget());
    finder.problemProperty().subscribe(this::showProblem);
  }

  /** The limits of a subject under its name, which opens and closes them. */
  private List<Node> folded(Subject subject) {
    ToggleButton name = Look.styled(new ToggleButton(subject.title()), "fold-line");
    name.setId("about-" + subject.name().toLowerCase(Locale.ROOT));
    name.setMaxWidth(Double.MAX_VALUE);
    IconView sign = new IconView(Icon.CLOSED);
    name.setGraphic(sign);
    name.setTooltip(new Tooltip(said(subject)));
    GridPane grid = grid(subject);
    Look.show(grid, false);
    name.selectedProperty()
        .subscribe(
            open -> {
              Look.show(grid, open);
              sign.show(open ? Icon.OPEN : Icon.CLOSED);
            });
    subjects.put(subject, name);
    return List.of(name, grid);
  }

  private static String said(Subject subject) {
    return fields(subject).map(Field::label).collect(Collectors.joining(", "));
  }

  /** How many are listed is said on the command line: here the list scrolls. */
  private static Stream<Field> fields(Subject subject) {
    return Arrays.stream(Field.values())
        .filter(field -> field.subject() == subject && field != Field.TOP);
  }

  private GridPane grid(Subject subject) {
    GridPane grid = Look.styled(new GridPane(), "wanted-grid");
    fields(subject)
        .forEach(
            field -> {
              switch (field) {
                case DIRECTION -> put(grid, field.label(), directions());
                case KIND -> put(grid, field.label(), kinds());
                case RANK -> put(grid, field.label(), ranks());
                default -> {
                  if (field.isChoice()) {
                    check(grid, field);
                  } else {
                    line(grid, field);
                  }
                }
              }
            });
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
    VBox both = new VBox(1, field == Field.STOCK ? withTable(text) : text, error);
    if (field == Field.TARGET) {
      text.getStyleClass().add("target");
      text.textProperty().subscribe(now -> fit(text));
      text.promptTextProperty().subscribe(now -> fit(text));
      grid.add(both, 0, grid.getRowCount(), 2, 1);
    } else {
      put(grid, field.label(), both);
    }
  }

  /** What is owned may stand in a table: its wheels are written into the field. */
  private HBox withTable(TextField text) {
    Button table = Look.styled(new Button("Table …"), "cure");
    table.setId("stock-table");
    table.setMinWidth(Region.USE_PREF_SIZE);
    table.setTooltip(
        new Tooltip("Take the wheels from a .csv or .xlsx with columns teeth and pieces"));
    table.setOnAction(
        e ->
            dialogs
                .askRead("Table of wheels", CountTable.ENDINGS)
                .ifPresent(file -> take(file, text)));
    HBox.setHgrow(text, Priority.ALWAYS);
    return new HBox(4, text, table);
  }

  private void take(Path file, TextField text) {
    try {
      text.setText(CountTable.stock(file));
    } catch (UnreadableException bad) {
      refuse(bad.at(file.getFileName().toString()));
    } catch (IOException broken) {
      refuse(file.getFileName() + " cannot be read: " + Trouble.words(broken));
    }
  }

  private void refuse(String words) {
    Label error = Known.in(errors, Field.STOCK);
    error.setText(words);
    Look.show(error, true);
  }

  private static void fit(TextField text) {
    String shown = text.getText().isEmpty() ? text.getPromptText() : text.getText();
    text.pseudoClassStateChanged(LONG, shown.length() > MOST_LARGE);
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
    showLimits(wanted);
    Set<Kind> chosen = kindsOf(wanted);
    kinds.forEach((kind, chip) -> chip.setSelected(chosen.contains(kind)));
    Rank rank = Rank.of(wanted.text(Field.RANK)).orElse(Rank.ERROR);
    boolean laden = !wanted.text(Field.LOAD).isBlank() || rank == Rank.LOAD;
    ranks.forEach(
        (each, chip) -> {
          chip.setSelected(each == rank);
          Look.show(chip, each != Rank.LOAD || laden);
        });
    String direction = wanted.text(Field.DIRECTION);
    directions.forEach(
        (each, chip) ->
            chip.setSelected(
                direction.isEmpty()
                    ? each == Direction.ANY
                    : each.name().equalsIgnoreCase(direction)));
    showing = false;
  }

  /** What is limited, whether its subject is open or not; a press takes the limit away. */
  private void showLimits(Wanted wanted) {
    List<Node> chips = new ArrayList<>();
    for (Field field : Field.values()) {
      if (field.subject() != Subject.DAILY && field != Field.TOP) {
        String text = wanted.text(field);
        if (!text.isBlank()) {
          chips.add(limit(field, field.isChoice() ? "" : " " + text));
        }
      }
    }
    limits.getChildren().setAll(chips);
    Look.show(limits, !chips.isEmpty());
  }

  private Button limit(Field field, String text) {
    Button chip = Look.styled(new Button(field.label() + text + "  \u00d7"), "limit");
    chip.setId("limit-" + field.key());
    chip.setAccessibleText("Take the limit away: " + field.label() + text);
    chip.setTooltip(new Tooltip("Take this limit away"));
    chip.setOnAction(e -> finder.want(field, ""));
    return chip;
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
    at.map(Field::subject)
        .flatMap(subject -> Optional.ofNullable(subjects.get(subject)))
        .ifPresent(name -> name.setSelected(true));
    boolean elsewhere = problem.isPresent() && at.isEmpty();
    together.setText(elsewhere ? problem.orElseThrow().message() : "");
    Look.show(together, elsewhere);
  }
}
