package steadycog.app.trainline;

import java.util.List;
import java.util.regex.Pattern;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.skin.TextAreaSkin;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import steadycog.app.desk.Desk;
import steadycog.app.look.Glossary;
import steadycog.app.look.Look;
import steadycog.notation.CardProblem;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;

/**
 * The train line. What is typed goes to the desk at every keystroke; what changes elsewhere comes
 * back. A card that cannot be read stays as it was typed, underlined where the trouble is.
 */
public final class TrainLine extends VBox {
  private static final PseudoClass BAD = PseudoClass.getPseudoClass("bad");
  private static final int FEWEST_ROWS = 3;
  private static final int MOST_ROWS = 5;
  private static final double PADDING = 14;

  /** What a field leaves out of a text that it is given. */
  private static final Pattern UNSHOWN = Pattern.compile("[\\x00-\\x08\\x0b-\\x1f\\x7f]");

  private static final double NOTES_SHARE = 0.28;
  private static final String CHAIN_HINT =
      "~ meshes with    = same shaft    60i internal teeth    drive A 1500 rpm 0.4 Nm"
          + "    hold B    take F    lock A = C";
  private static final String SET_HINT =
      "planet 15 x3    planet 16~18 x4 pairs    x3 uneven    module 0.8 mm    hold ring"
          + "    drive sun 60 rpm    lock sun = ring";

  private static final String CYCLOID_HINT =
      "lobes 29 pins 30    circle 96 mm    pin 5 mm    eccentric 1 mm    bore 40 mm"
          + "    outputs 6 x 8 mm on 62 mm    discs 2";
  private static final String BEVEL_HINT =
      "bevel 11 ~ 43: pinion, then crown; crown left turns the cross shaft the other way";
  private static final String SIDES_HINT =
      "differential side 16 spider 10: two sides, the case between them carries the spiders";
  private static final String STRAIN_HINT =
      "nominal 80    or flex 160 circular 162    lobes 2    cup or hat    wall 0.4 mm"
          + "    allow 300 MPa    module 0.5 mm";

  private final Desk desk;
  private final TextArea text = new TextArea();
  private final TextArea notes = new TextArea();
  private final Pane marks = new Pane();
  private final Label message = Look.label("", "small", "soft");
  private boolean showing;

  /**
   * The line.
   *
   * @param beside what stands beside the hints under it
   */
  public TrainLine(Desk desk, Node beside) {
    this.desk = desk;
    getStyleClass().add("train-line");
    text.setId("train-line");
    text.getStyleClass().add("card");
    text.setWrapText(true);
    text.setAccessibleText("Train line: the job card of this train");
    text.setPromptText("Type a train, for example: parallel 18 ~ 72 = 20 ~ 80");
    text.setPrefRowCount(FEWEST_ROWS);
    marks.setMouseTransparent(true);
    marks.setManaged(false);
    StackPane field = new StackPane(text, marks);
    field.setAlignment(Pos.TOP_LEFT);
    message.setId("card-message");
    message.setMinWidth(0);
    notes.setId("train-notes");
    notes.setWrapText(true);
    notes.setPrefRowCount(1);
    notes.setMinWidth(0);
    notes.prefWidthProperty().bind(widthProperty().multiply(NOTES_SHARE));
    text.setMinWidth(0);
    text.setPrefColumnCount(1);
    notes.setAccessibleText("Notes on this train");
    notes.setPromptText("Notes on this train: where it goes, what was tried");
    notes.prefHeightProperty().bind(text.prefHeightProperty());
    notes.getStyleClass().add("notes");
    HBox.setHgrow(field, Priority.ALWAYS);
    HBox row = new HBox(8, field, notes);
    HBox under = new HBox(14, beside, message);
    under.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(row, under);
    desk.selectionProperty().addListener(o -> showProblems());
    desk.benchProperty().addListener(o -> showProblems());
    notes.textProperty().addListener((o, old, now) -> typed(() -> desk.trains().note(closed(now))));
    notes.addEventFilter(KeyEvent.KEY_PRESSED, this::leaveOnEscape);
    text.textProperty().addListener((o, old, now) -> typed(() -> desk.train().type(closed(now))));
    text.textProperty().addListener(o -> Platform.runLater(this::settle));
    text.addEventFilter(KeyEvent.KEY_PRESSED, this::leaveOnEscape);
    desk.pageProperty().addListener(o -> refresh());
    desk.problemsProperty().addListener(o -> showProblems());
    text.scrollTopProperty().addListener(o -> placeMarks());
    text.widthProperty().addListener(o -> Platform.runLater(this::settle));
    text.fontProperty().addListener(o -> Platform.runLater(this::settle));
    refresh();
    showProblems();
  }

  /** Puts the cursor into the line. */
  public void startTyping() {
    text.requestFocus();
  }

  private void leaveOnEscape(KeyEvent event) {
    if (event.getCode() == KeyCode.ESCAPE) {
      getScene().getRoot().lookup("#gear-table").requestFocus();
      event.consume();
    }
  }

  /** A card ends with a line feed; the line shows it without, to spend no row on it. */
  private static String shown(String card) {
    return card.endsWith("\n") ? card.substring(0, card.length() - 1) : card;
  }

  private static String closed(String shown) {
    return shown.isEmpty() ? "" : shown + "\n";
  }

  private void refresh() {
    show(text, shown(desk.sheet().text()));
    show(notes, shown(desk.sheet().notes()));
  }

  /** Takes what is typed, not what is only shown: that may stand otherwise in the file. */
  private void typed(Runnable taking) {
    if (!showing) {
      taking.run();
    }
  }

  private void show(TextArea area, String wanted) {
    String shown = UNSHOWN.matcher(wanted.replaceAll("\\R", "\n")).replaceAll("");
    if (!shown.equals(area.getText())) {
      int caret = area.getCaretPosition();
      showing = true;
      area.setText(shown);
      showing = false;
      area.positionCaret(Math.min(caret, shown.length()));
    }
  }

  private void showProblems() {
    List<CardProblem> problems = desk.problemsProperty().get();
    pseudoClassStateChanged(BAD, !problems.isEmpty());
    message.getStyleClass().setAll("label", "small", problems.isEmpty() ? "soft" : "bad-word");
    if (problems.isEmpty()) {
      message.setText(hint());
    } else {
      CardProblem first = problems.getFirst();
      String more = problems.size() > 1 ? "   (and " + (problems.size() - 1) + " more)" : "";
      message.setText(
          "Line " + first.line() + ", column " + first.column() + ": " + first.message() + more);
    }
    Platform.runLater(this::placeMarks);
  }

  /** What the chosen member is; with none chosen, what can be written. */
  private String hint() {
    return desk.selection()
        .map(Glossary::of)
        .orElseGet(
            () ->
                desk.bench()
                    .map(b -> writing(b.card().train().parts().getFirst()))
                    .orElse(CHAIN_HINT));
  }

  private static String writing(Part part) {
    return switch (part) {
      case Parallel chain -> CHAIN_HINT;
      case Planetary set -> SET_HINT;
      case Cycloidal drive -> CYCLOID_HINT;
      case StrainWave drive -> STRAIN_HINT;
      case Bevel pair -> BEVEL_HINT;
      case Differential sides -> SIDES_HINT;
      case Shaft shaft -> CHAIN_HINT;
    };
  }

  /** After the text has been laid out: as many rows as it takes, and the marks in place. */
  private void settle() {
    text.applyCss();
    text.layout();
    if (text.getSkin() instanceof TextAreaSkin skin && !text.getText().isEmpty()) {
      Rectangle2D first = skin.getCharacterBounds(0);
      Rectangle2D last = skin.getCharacterBounds(text.getLength() - 1);
      long rows = Math.round((last.getMaxY() - first.getMinY()) / first.getHeight());
      text.setPrefHeight(Math.clamp(rows, FEWEST_ROWS, MOST_ROWS) * first.getHeight() + PADDING);
    } else {
      text.setPrefHeight(USE_COMPUTED_SIZE);
    }
    placeMarks();
  }

  /** Underlines every place that cannot be read. */
  private void placeMarks() {
    marks.getChildren().clear();
    if (!(text.getSkin() instanceof TextAreaSkin skin)) {
      return;
    }
    String shown = text.getText();
    for (CardProblem problem : desk.problemsProperty().get()) {
      int from = Math.min(offset(shown, problem), Math.max(0, shown.length() - 1));
      int to = Math.min(shown.length(), from + Math.max(1, problem.length()));
      if (shown.isEmpty()) {
        continue;
      }
      Rectangle2D start = skin.getCharacterBounds(from);
      Rectangle2D end = skin.getCharacterBounds(Math.max(from, to - 1));
      boolean oneRow = end.getMinY() == start.getMinY() && end.getMaxX() > start.getMinX();
      double right = oneRow ? end.getMaxX() : start.getMinX() + 8;
      double y = start.getMaxY();
      if (y > 0 && y < text.getHeight()) {
        marks
            .getChildren()
            .add(underline(start.getMinX(), Math.max(right, start.getMinX() + 8), y));
      }
    }
  }

  private static Line underline(double from, double to, double y) {
    return Look.styled(new Line(from, y, to, y), "bad-place");
  }

  private static int offset(String text, CardProblem problem) {
    int at = 0;
    for (int line = 1; line < problem.line(); line++) {
      int end = text.indexOf('\n', at);
      if (end < 0) {
        return text.length();
      }
      at = end + 1;
    }
    return Math.min(text.length(), at + problem.column() - 1);
  }
}
