package steadycog.app.board;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DataFormat;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.format.csv.BoardCsv;
import steadycog.motion.RatioBoard;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.study.ConfigurationBoard;
import steadycog.study.ConfigurationBoard.Row;
import steadycog.train.MemberId;
import steadycog.train.Roles;

/**
 * Drive against hold, every cell a ratio; below them the members that can be locked. Where nothing
 * need be held it is drive against take-off.
 */
public final class BoardView extends VBox {
  /** More shafts than this make a board that nobody reads at a glance. */
  private static final int MOST_SHAFTS = 6;

  /** Of so many shafts the third is taken off where the first is driven and the second held. */
  private static final int HELD_AND_TAKEN = 3;

  /** Width of the column with the heads, in percent. */
  private static final double HEAD_SHARE = 16;

  private final Desk desk;
  private final Label title = Look.label("", "caption");
  private final Button copy = Look.styled(new Button("Copy as CSV"), "cure");
  private final GridPane grid = Look.styled(new GridPane(4, 4), "board-grid");
  private final Label message = Look.label("", "soft");
  private final Label legend =
      Look.label(
          "Hatched: torque on the held member for 1 at the drive. Below it what comes out, driven"
              + " and pushed back; what holds itself is no brake.",
          "small",
          "soft");
  private final Label caution =
      Look.label("Hold with a brake or a bolt, never by hand.", "caution");
  private final CheckBox predict = new CheckBox("predict first");
  private final Prediction prediction;
  private final List<BoardCell> cells = new ArrayList<>();
  private ConfigurationBoard board = new ConfigurationBoard(List.of(), 0, true);
  private boolean terse;

  public BoardView(Desk desk) {
    this.desk = desk;
    getStyleClass().add("board");
    setId("ratio-board");
    message.setWrapText(true);
    copy.setTooltip(new Tooltip("All configurations to the clipboard, a line each"));
    copy.setOnAction(e -> copy());
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    predict.setId("predict-first");
    predict.setTooltip(
        new Tooltip("For practice: state ratio and direction of a cell before it is shown"));
    predict.setOnAction(e -> hideAnswers());
    HBox head = new HBox(8, title, gap, predict, copy);
    head.setAlignment(Pos.CENTER_LEFT);
    ScrollPane scroll = new ScrollPane(grid);
    scroll.setFitToWidth(true);
    scroll.setFocusTraversable(false);
    VBox.setVgrow(scroll, Priority.SOMETIMES);
    legend.setWrapText(true);
    legend.setMinHeight(USE_PREF_SIZE);
    caution.setWrapText(true);
    caution.setTooltip(
        new Tooltip(
            "The held member is pushed round with the torque shown. Brakes and housings must take"
                + " it with a margin; guards, local codes and licensed practice decide."));
    prediction = new Prediction(desk);
    Look.show(prediction, false);
    getChildren().addAll(head, message, scroll, prediction, legend, caution);
    desk.benchProperty().addListener(o -> show());
    desk.preferencesProperty().addListener(o -> show());
    visibleProperty().addListener(o -> show());
    widthProperty().addListener(o -> giveRoom());
    show();
  }

  /** Leaves out what is said beside the board, where there is little room. */
  public void setTerse(boolean terse) {
    if (this.terse != terse) {
      this.terse = terse;
      showBeside();
    }
  }

  /** What cells say goes by the width of the board, never by their own. */
  private void giveRoom() {
    int columns = Math.max(1, grid.getColumnConstraints().size() - 1);
    double sides = getInsets().getLeft() + getInsets().getRight();
    double inner = (getWidth() - sides) * (1 - HEAD_SHARE / 100) / columns - grid.getHgap();
    cells.forEach(cell -> cell.giveRoom(inner / desk.preferences().zoom()));
  }

  private void showBeside() {
    boolean oneHeld = board.freedoms() == 2;
    Look.show(legend, oneHeld && !terse && !predict.isSelected());
    Look.show(caution, oneHeld && !terse);
  }

  /** Works the board out; only while it is looked at. */
  private void show() {
    if (!isVisible()) {
      return;
    }
    Optional<Bench> bench = desk.bench();
    int shafts = bench.map(b -> RatioBoard.shafts(b.card().train()).size()).orElse(0);
    boolean few = shafts <= MOST_SHAFTS;
    ConfigurationBoard now =
        bench
            .filter(b -> few)
            .map(b -> ConfigurationBoard.of(b.card().train()))
            .map(BoardView::readable)
            .orElseGet(() -> new ConfigurationBoard(List.of(), 0, true));
    say(bench, now, few, shafts);
    fill(bench, now);
  }

  /** The board, without its rows where more than one member is held in each. */
  private static ConfigurationBoard readable(ConfigurationBoard all) {
    return all.freedoms() <= 2 ? all : new ConfigurationBoard(List.of(), all.freedoms(), false);
  }

  private void say(Optional<Bench> bench, ConfigurationBoard now, boolean few, int shafts) {
    title.setText(
        desk.preferences().trainValueLeads()
            ? "Ratio board: train value e = out / in"
            : "Ratio board: reduction ratio i = in / out");
    String words = "";
    if (bench.isEmpty()) {
      words = "Every way to drive, hold and take off will stand here.";
    } else if (!few) {
      words =
          shafts
              + " shafts make too large a board to read; the command line\u2019s board lists all.";
    } else if (now.freedoms() > 2) {
      words =
          now.freedoms()
              + " speeds are free to choose, so that several members are held at once: the shift"
              + " plan finds those states, the command line\u2019s board lists them.";
    } else if (now.rows().isEmpty()) {
      words = "Nothing here drives anything else.";
    }
    message.setText(words);
    Look.show(message, !words.isEmpty());
    copy.setVisible(words.isEmpty());
    Look.show(predict, words.isEmpty());
    Look.show(grid, words.isEmpty());
  }

  private void fill(Optional<Bench> bench, ConfigurationBoard now) {
    boolean sameCells = isLaidOutFor(now);
    board = now;
    showBeside();
    if (sameCells) {
      for (int k = 0; k < cells.size(); k++) {
        cells.get(k).show(now.rows().get(k));
      }
    } else {
      makeCells(bench, now);
    }
    giveRoom();
    bench.ifPresent(this::markCurrent);
  }

  /** Whether there is a cell for every row in its place. */
  private boolean isLaidOutFor(ConfigurationBoard now) {
    boolean same = cells.size() == now.rows().size() && !cells.isEmpty();
    for (int k = 0; same && k < cells.size(); k++) {
      same = cells.get(k).row().configuration().isLike(now.rows().get(k).configuration());
    }
    return same;
  }

  /** Cells in the order of the board's rows. */
  private void makeCells(Optional<Bench> bench, ConfigurationBoard now) {
    grid.getChildren().clear();
    grid.getColumnConstraints().clear();
    cells.clear();
    if (now.rows().isEmpty() || bench.isEmpty()) {
      return;
    }
    List<MemberId> shafts = RatioBoard.shafts(bench.get().card().train());
    boolean held = now.freedoms() == 2;
    boolean choice = held && shafts.size() > HELD_AND_TAKEN;
    addHeads(shafts, held);
    List<Line> lines = lines(shafts, choice);
    lines.forEach(line -> addHead(line, lines.indexOf(line) + 1));
    int locked = 0;
    for (Row row : now.rows()) {
      Configuration one = row.configuration();
      if (one.lock().isPresent()) {
        add(row, locked % shafts.size() + 1, lines.size() + 1 + locked / shafts.size());
        locked++;
      } else {
        Line line = new Line(one.drive(), choice ? Optional.of(one.take()) : Optional.empty());
        add(row, shafts.indexOf(one.hold().orElse(one.take())) + 1, lines.indexOf(line) + 1);
      }
    }
    if (locked > 0) {
      grid.add(Look.label("lock two", "board-head"), 0, lines.size() + 1);
    }
  }

  /** A line of the board; with a third shaft to spare it says which one is taken off. */
  private record Line(MemberId drive, Optional<MemberId> take) {}

  private static List<Line> lines(List<MemberId> shafts, boolean choice) {
    List<Line> lines = new ArrayList<>();
    for (MemberId drive : shafts) {
      if (!choice) {
        lines.add(new Line(drive, Optional.empty()));
      }
      for (MemberId take : shafts) {
        if (choice && !take.equals(drive)) {
          lines.add(new Line(drive, Optional.of(take)));
        }
      }
    }
    return lines;
  }

  private void addHead(Line line, int at) {
    String take = line.take.map(t -> ", take " + Sign.shortName(t)).orElse("");
    Label head = Look.label("drive " + Sign.shortName(line.drive) + take, "board-head");
    head.setWrapText(true);
    grid.add(head, 0, at);
  }

  private void addHeads(List<MemberId> shafts, boolean held) {
    ColumnConstraints first = new ColumnConstraints();
    first.setPercentWidth(HEAD_SHARE);
    grid.getColumnConstraints().add(first);
    for (int k = 0; k < shafts.size(); k++) {
      ColumnConstraints wide = new ColumnConstraints();
      wide.setHgrow(Priority.ALWAYS);
      wide.setPercentWidth((100.0 - HEAD_SHARE) / shafts.size());
      wide.setHalignment(HPos.CENTER);
      grid.getColumnConstraints().add(wide);
      String name = Sign.shortName(shafts.get(k));
      grid.add(Look.label((held ? "hold " : "take ") + name, "board-head"), k + 1, 0);
    }
  }

  private void add(Row row, int column, int line) {
    BoardCell cell = new BoardCell(desk, row, this::pick);
    cell.hide(predict.isSelected());
    GridPane.setFillWidth(cell, true);
    cells.add(cell);
    grid.add(cell, column, line);
  }

  /** Puts the train in the configuration of a cell, once its answer is open. */
  private void pick(BoardCell cell) {
    if (cell.isHidden()) {
      prediction.ask(cell, board.rows().stream().map(Row::configuration).toList());
    } else {
      desk.train().configure(cell.row().configuration());
    }
  }

  private void hideAnswers() {
    boolean hidden = predict.isSelected();
    cells.forEach(cell -> cell.hide(hidden));
    prediction.forget();
    Look.show(prediction, hidden);
    showBeside();
    desk.bench().ifPresent(this::markCurrent);
  }

  private void markCurrent(Bench bench) {
    Roles roles = bench.study().train().rolesInForce();
    cells.forEach(cell -> cell.showCurrent(cell.row().isIn(roles)));
  }

  private void copy() {
    Clipboard.getSystemClipboard().setContent(Map.of(DataFormat.PLAIN_TEXT, BoardCsv.write(board)));
  }
}
