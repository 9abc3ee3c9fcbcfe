package steadycog.app.find;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.collections.transformation.FilteredList;
import javafx.collections.transformation.SortedList;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableRow;
import javafx.scene.control.TableView;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Preferences;
import steadycog.app.look.EachWayWords;
import steadycog.app.look.Look;
import steadycog.search.Candidate;
import steadycog.search.Loosen.Hint;
import steadycog.search.Rank;
import steadycog.study.SizeChoices.Choice;

/** Candidates, a line each; sorted by any column, narrowed by words. */
final class CandidateTable extends TableView<Candidate> {
  /** Of a row, in heights of the text. */
  private static final double ROW_HEIGHT = 1.95;

  private static final double SCROLL_BAR = 18;
  private static final double LEAST_DIFFERENCE = 0.005;
  private static final String KIND = "column-kind";
  private static final String PLANETS = "column-planets";
  private static final String BACK = "column-back";
  private static final String STAGES = "column-stages";
  private static final String HELIX = "column-helix";
  private static final String SIZED = "column-for the load";
  private static final String THRUST = "column-thrust";
  private static final String ROWS_OFF = "column-rows off";

  /**
   * In a table that is too narrow for all, these give way one after the other; the chosen one's are
   * said beside it. What does not fit then is scrolled to.
   */
  private static final List<String> SPARED =
      List.of(KIND, PLANETS, ROWS_OFF, BACK, STAGES, "column-\u00d8", "column-worst");

  /** Columns by whose measure candidates can be ranked. */
  private static final Map<String, Rank> RANKS =
      Map.of(
          "column-off by",
          Rank.ERROR,
          "column-teeth",
          Rank.SIZE,
          "column-stages",
          Rank.STAGES,
          "column-out",
          Rank.EFFICIENCY,
          "column-\u00d8",
          Rank.DIAMETER,
          SIZED,
          Rank.LOAD);

  private static final PseudoClass COMPARED = PseudoClass.getPseudoClass("compared");

  private final Finder finder;
  private final ObservableList<Candidate> all = FXCollections.observableArrayList();
  private final Label why = Look.label("", "soft");
  private final FlowPane hints = new FlowPane(6, 6);
  private final FilteredList<Candidate> shown = new FilteredList<>(all);

  private final List<CandidateColumn> columns = new ArrayList<>();
  private final CandidateColumn wheels;
  private double text = Preferences.NORMAL_TEXT;
  private final PictureColumn pictures = new PictureColumn();

  CandidateTable(Finder finder) {
    this.finder = finder;
    setId("candidates");
    getStyleClass().add("candidates");
    why.setWrapText(true);
    why.setId("why-empty");
    hints.setAlignment(Pos.CENTER);
    VBox empty = new VBox(8, why, hints);
    empty.setAlignment(Pos.CENTER);
    StackPane.setMargin(empty, new Insets(0, 30, 0, 30));
    setPlaceholder(new StackPane(empty));
    SortedList<Candidate> sorted = new SortedList<>(shown);
    sorted.comparatorProperty().bind(comparatorProperty());
    setItems(sorted);
    getColumns().add(pictures);
    // What is looked for comes first: a narrow table shows it beside the longest wheels too.
    add(
        "i",
        false,
        Candidates::ratio,
        Comparator.comparingDouble(c -> c.ratio().reduction().doubleValue()),
        "Reduction ratio, in / out");
    add(
        "off by",
        false,
        Candidates::error,
        Comparator.comparingDouble(c -> Math.abs(c.error())),
        "Against the target");
    add("kind", true, c -> Candidates.kind(c.kind()), Comparator.comparing(Candidate::kind), "");
    wheels =
        add(
            "wheels",
            true,
            Candidates::brief,
            Comparator.comparing(Candidates::wheels),
            "Pairs, driver/driven, or sun \u00b7 planets \u00b7 ring; the chosen one is written out"
                + " beside");
    add(
        "stages",
        false,
        c -> "" + c.stages(),
        Comparator.comparingInt(Candidate::stages),
        "Pairs of wheels and sets in series");
    add(
        "teeth",
        false,
        c -> "" + c.size(),
        Comparator.comparingInt(Candidate::size),
        "Of all wheels");
    add(
        "\u00d8",
        false,
        Candidates::diameter,
        Comparator.comparingDouble(Candidate::diameter),
        "Largest wheel over its teeth, in modules");
    add(
        "planets",
        false,
        Candidates::planets,
        Comparator.comparingInt(Candidate::planets),
        "On a carrier");
    add(
        "rows off",
        false,
        Candidates::distortion,
        Comparator.comparingInt(Candidate::distortion),
        "Teeth by which its rows differ");
    add(
        "helix",
        false,
        Candidates::helix,
        Comparator.comparingDouble(Candidate::helix),
        "Of its steepest teeth");
    add(
        "thrust",
        false,
        Candidates::thrust,
        Comparator.comparingDouble(c -> c.thrust().orElse(0.0)),
        "The largest along an axis, for 1 Nm at the drive");
    add(
        "for the load",
        false,
        Candidates::sized,
        Comparator.comparingDouble(c -> c.sized().map(Choice::mass).orElse(Double.MAX_VALUE)),
        "The smallest standard module that bears it, and what all wheels weigh");
    add(
        "out",
        false,
        c -> EachWayWords.forwards(c.eachWay()),
        Comparator.comparingDouble(c -> -c.eachWay().efficiency().orElse(0.0)),
        "Share of the power that comes out, with the losses asked for");
    add(
        "back",
        false,
        c -> EachWayWords.backwards(c.eachWay().backwards()),
        Comparator.comparingDouble(c -> c.eachWay().backwards().efficiency().orElse(0.0)),
        "The same pushed at the take-off; holds: it holds itself, but is no brake");
    add(
        "worst",
        false,
        Candidates::findings,
        Comparator.comparing(Candidate::worst),
        "The worst that any rule finds");
    comparatorProperty().addListener(o -> rankBySorting());
    widthProperty().addListener(o -> showColumns());
    setRowFactory(table -> row());
    getSelectionModel()
        .selectedItemProperty()
        .addListener(
            (o, old, now) -> {
              if (now != null) {
                finder.chosenProperty().set(Optional.of(now));
              }
            });
    finder.candidatesProperty().subscribe(this::show);
    finder.chosenProperty().subscribe(this::choose);
    finder.hintsProperty().subscribe(found -> advise(found.orElse(List.of())));
    finder.comparedProperty().addListener(o -> refresh());
    setOnKeyPressed(
        key -> {
          Candidate now = getSelectionModel().getSelectedItem();
          if (now != null && key.getCode() == KeyCode.ENTER) {
            finder.bring(now);
            key.consume();
          } else if (now != null && key.getCode() == KeyCode.C && !key.isShortcutDown()) {
            finder.compare(now);
            key.consume();
          }
        });
  }

  /** Sorting by a measure asks for the best by it, not only for another order of what is there. */
  private void rankBySorting() {
    if (!getSortOrder().isEmpty()) {
      TableColumn<Candidate, ?> first = getSortOrder().getFirst();
      Rank rank = RANKS.get(first.getId());
      if (rank != null && first.getSortType() == TableColumn.SortType.ASCENDING) {
        finder.rank(rank);
      }
    }
  }

  /** A button for every limit that can be loosened so that something is found. */
  private void advise(List<Hint> found) {
    hints.getChildren().clear();
    for (Hint hint : found) {
      Button button = Look.styled(new Button(Candidates.hint(hint)), "cure");
      button.setId("loosen-" + hint.field().key());
      button.setTooltip(
          new Tooltip(Candidates.wheels(hint.first()) + "\n" + Candidates.ratio(hint.first())));
      button.setOnAction(e -> finder.follow(hint));
      hints.getChildren().add(button);
    }
  }

  /** Rows and columns grow with the text. */
  void sized(double pixels) {
    text = pixels;
    setFixedCellSize(ROW_HEIGHT * text);
    pictures.sized(getFixedCellSize());
    measure();
    refresh();
  }

  private void measure() {
    columns.forEach(column -> column.measure(all, text));
    showColumns();
  }

  /** Says why there is nothing. */
  void explain(String words) {
    why.setText(words);
  }

  /** Leaves the candidates in whose line all of {@code words} occur. */
  void narrow(String words) {
    List<String> each = List.of(words.toLowerCase(Locale.ROOT).strip().split("\\s+"));
    shown.setPredicate(
        c -> {
          String line =
              String.join(
                      " ",
                      Candidates.kind(c.kind()),
                      Candidates.wheels(c),
                      Candidates.direction(c),
                      Candidates.findings(c),
                      Candidates.phasing(c))
                  .toLowerCase(Locale.ROOT);
          return each.stream().allMatch(line::contains);
        });
  }

  private void show(List<Candidate> now) {
    if (!all.equals(now)) {
      sortAsRanked();
      all.setAll(now);
      measure();
    }
  }

  /** A list that is the best by another measure is not left sorted by the one before. */
  private void sortAsRanked() {
    if (!getSortOrder().isEmpty()) {
      Rank sorted = RANKS.get(getSortOrder().getFirst().getId());
      if (sorted != null && sorted != finder.rank()) {
        getSortOrder().clear();
      }
    }
  }

  /** Leaves out columns in which all candidates say the same, and what there is no room for. */
  private void showColumns() {
    double room = getWidth() - pictures.getMinWidth() - SCROLL_BAR;
    List<CandidateColumn> fit = new ArrayList<>(columns);
    fit.removeIf(column -> !tells(column));
    for (String spared : SPARED) {
      if (need(fit) > room) {
        fit.removeIf(column -> column.getId().equals(spared));
      }
    }
    columns.forEach(column -> column.setVisible(fit.contains(column)));
    wheels.stretch(room - need(fit) + wheels.need());
  }

  private static double need(List<CandidateColumn> columns) {
    return columns.stream().mapToDouble(CandidateColumn::need).sum();
  }

  private boolean tells(CandidateColumn column) {
    return switch (column.getId()) {
      case KIND -> all.stream().map(Candidate::kind).distinct().count() > 1;
      case PLANETS -> all.stream().anyMatch(c -> c.planets() > 0);
      case BACK -> all.stream().anyMatch(CandidateTable::differsBack);
      case STAGES -> all.stream().map(Candidate::stages).distinct().count() > 1;
      case HELIX -> all.stream().anyMatch(c -> c.helix() > 0);
      case SIZED -> all.stream().anyMatch(c -> c.sized().isPresent());
      case THRUST -> all.stream().anyMatch(c -> c.thrust().isPresent());
      case ROWS_OFF -> all.stream().anyMatch(c -> c.distortion() > 0);
      default -> true;
    };
  }

  /** Trains of pairs lose as much backwards as forwards: not worth a column. */
  private static boolean differsBack(Candidate candidate) {
    double out = candidate.eachWay().efficiency().orElse(0.0);
    double back = candidate.eachWay().backwards().efficiency().orElse(0.0);
    return Math.abs(out - back) > LEAST_DIFFERENCE;
  }

  private void choose(Optional<Candidate> candidate) {
    if (candidate.isEmpty()) {
      getSelectionModel().clearSelection();
    } else if (!candidate.get().equals(getSelectionModel().getSelectedItem())) {
      getSelectionModel().select(candidate.get());
    }
  }

  private TableRow<Candidate> row() {
    TableRow<Candidate> row =
        new TableRow<>() {
          @Override
          protected void updateItem(Candidate item, boolean empty) {
            super.updateItem(item, empty);
            pseudoClassStateChanged(
                COMPARED, !empty && finder.comparedProperty().get().contains(item));
          }
        };
    row.setOnMouseClicked(
        click -> {
          if (click.getClickCount() == 2 && !row.isEmpty()) {
            finder.bring(row.getItem());
          }
        });
    return row;
  }

  private CandidateColumn add(
      String title,
      boolean words,
      Function<Candidate, String> said,
      Comparator<Candidate> order,
      String help) {
    CandidateColumn column = new CandidateColumn(title, words, said, order, help);
    columns.add(column);
    getColumns().add(column);
    return column;
  }
}
