package steadycog.app.trainline;

import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.TraversalDirection;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
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
  private static final int FEWEST_ROWS = 2;
  private static final int MOST_NOTE_ROWS = 3;

  /** Of the window's height a card takes no more. */
  private static final double MOST_SHARE = 1.0 / 3;

  private static final double PADDING = 14;
  private static final double LINE = 1.4;
  private static final double BESIDE = 5;

  /** What a field leaves out of a text that it is given. */
  private static final Pattern UNSHOWN = Pattern.compile("[\\x00-\\x08\\x0b-\\x1f\\x7f]");

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
  private final StackPane field = new StackPane(text, marks);
  private final Button oneLine = Look.styled(new Button(), "card-folded");
  private final Label message = Look.label("", "small", "soft");
  private final ToggleButton noted = Look.styled(new ToggleButton("notes"), "chip");
  private final Button fold = Look.styled(new Button("fold"), "chip");
  private final HBox tools = new HBox(BESIDE);
  private final HBox under = new HBox(BESIDE, message, tools);
  private boolean showing;
  private boolean folded;
  private boolean foldsWhenLeft;

  /** A line with {@code beside} it what writes on the card for those who do not. */
  public TrainLine(Desk desk, Node beside) {
    this.desk = desk;
    getStyleClass().add("train-line");
    text.setId("train-line");
    text.getStyleClass().add("card");
    text.setWrapText(true);
    text.setAccessibleText("Train line: the job card of this train");
    text.setPromptText("Type a train, for example: parallel 18 ~ 72 = 20 ~ 80");
    text.setPrefRowCount(FEWEST_ROWS);
    text.setMinWidth(0);
    text.setPrefColumnCount(1);
    marks.setMouseTransparent(true);
    marks.setManaged(false);
    field.setAlignment(Pos.TOP_LEFT);
    message.setId("card-message");
    message.setMinWidth(0);
    message.setWrapText(true);
    message.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(message, Priority.ALWAYS);
    text.setMinHeight(USE_PREF_SIZE);
    makeNotes();
    makeFold();
    tools.getChildren().addAll(beside, noted, fold);
    under.setAlignment(Pos.TOP_RIGHT);
    getChildren().addAll(oneLine, field, under, notes);
    desk.benchProperty().addListener(o -> showProblems());
    text.textProperty().addListener((o, old, now) -> typed(() -> desk.train().type(closed(now))));
    text.textProperty().addListener(o -> Platform.runLater(this::settle));
    text.addEventFilter(KeyEvent.KEY_PRESSED, this::leaveByTab);
    text.focusedProperty().addListener((o, was, is) -> showProblems());
    text.focusedProperty().addListener((o, was, is) -> leave(is));
    desk.pageProperty().addListener(o -> refresh());
    desk.problemsProperty().addListener(o -> showProblems());
    desk.inViewProperty().addListener((o, old, now) -> showNotes(!notes.getText().isEmpty()));
    text.scrollTopProperty().addListener(o -> placeMarks());
    text.widthProperty().addListener(o -> Platform.runLater(this::settle));
    // Without the scroll bar of a field that was too low a row may fit that did not.
    text.heightProperty().addListener(o -> Platform.runLater(this::settle));
    text.fontProperty().addListener(o -> Platform.runLater(this::settle));
    sceneProperty()
        .flatMap(Scene::heightProperty)
        .addListener((o, old, now) -> Platform.runLater(this::settle));
    refresh();
    showNotes(!notes.getText().isEmpty());
    showProblems();
  }

  private void makeNotes() {
    notes.setId("train-notes");
    notes.setWrapText(true);
    notes.setPrefRowCount(1);
    notes.setMinWidth(0);
    notes.setPrefColumnCount(1);
    notes.setMinHeight(USE_PREF_SIZE);
    notes.setAccessibleText("Notes on this train");
    notes.setPromptText("Notes on this train: where it goes, what was tried");
    notes.getStyleClass().add("notes");
    notes.textProperty().addListener((o, old, now) -> typed(() -> desk.trains().note(closed(now))));
    notes.addEventFilter(KeyEvent.KEY_PRESSED, this::leaveByTab);
    noted.setId("show-notes");
    noted.setTooltip(new Tooltip("Notes on this train: where it goes, what was tried"));
    noted.setMinWidth(USE_PREF_SIZE);
    noted.setOnAction(
        e -> {
          showNotes(noted.isSelected());
          if (noted.isSelected()) {
            notes.requestFocus();
          }
        });
  }

  private void makeFold() {
    oneLine.setId("card-line");
    oneLine.setMnemonicParsing(false);
    oneLine.setMaxWidth(Double.MAX_VALUE);
    oneLine.setMinWidth(0);
    oneLine.setTooltip(new Tooltip("The job card of this train; press to write on it (Ctrl+L)"));
    oneLine.setOnAction(e -> startTyping());
    fold.setId("fold-card");
    fold.setMinWidth(USE_PREF_SIZE);
    fold.setTooltip(new Tooltip("The card on one line, for a larger drawing"));
    fold.setOnAction(e -> fold(true));
    Look.show(oneLine, false);
  }

  /** Beside a station with much to show the card is one line until it is written on. */
  public void foldWhenLeft(boolean now) {
    foldsWhenLeft = now;
    fold(now);
  }

  private void leave(boolean focused) {
    if (foldsWhenLeft && !focused) {
      fold(true);
    }
  }

  /** Shows the card on one line, or all of it. */
  private void fold(boolean now) {
    folded = now;
    Look.show(oneLine, now);
    Look.show(field, !now);
    Look.show(tools, !now);
    Look.show(fold, !now && !foldsWhenLeft);
    showNotes(!now && !notes.getText().isEmpty());
    showProblems();
  }

  private void showNotes(boolean now) {
    noted.setSelected(now);
    Look.show(notes, now && !folded);
  }

  /** Puts the cursor into the line. */
  public void startTyping() {
    if (folded) {
      fold(false);
    }
    text.requestFocus();
  }

  private void leaveByTab(KeyEvent event) {
    if (event.getCode() == KeyCode.TAB && !event.isShortcutDown()) {
      Node field = (Node) event.getSource();
      field.requestFocusTraversal(
          event.isShiftDown() ? TraversalDirection.PREVIOUS : TraversalDirection.NEXT);
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
    noted.setText(desk.sheet().notes().isEmpty() ? "+ notes" : "notes");
    showProblems();
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
      boolean hinted = !folded && (text.isFocused() || text.getText().isEmpty());
      message.setText(hinted ? hint() : "");
    } else {
      CardProblem first = problems.getFirst();
      String more = problems.size() > 1 ? "   (and " + (problems.size() - 1) + " more)" : "";
      message.setText(
          "Line " + first.line() + ", column " + first.column() + ": " + first.message() + more);
    }
    Look.show(message, !message.getText().isEmpty());
    Look.show(under, !folded || !problems.isEmpty());
    oneLine.setText(onOneLine(text.getText()));
    Platform.runLater(this::placeMarks);
  }

  /** The statements of a card behind one another, without its comments. */
  private static String onOneLine(String card) {
    String statements =
        card.lines()
            .map(line -> line.replaceFirst("#.*", "").strip())
            .filter(line -> !line.isEmpty())
            .collect(Collectors.joining("; "));
    return statements.isEmpty() ? "Type a train" : statements;
  }

  /** What can be written. */
  private String hint() {
    return desk.bench().map(b -> writing(b.card().train().parts().getFirst())).orElse(CHAIN_HINT);
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
    double most = getScene() == null ? 0 : getScene().getHeight() * MOST_SHARE;
    settle(text, FEWEST_ROWS, most);
    settle(notes, 1, MOST_NOTE_ROWS * notes.getFont().getSize() * LINE + PADDING);
    placeMarks();
  }

  private static void settle(TextArea area, int fewest, double most) {
    area.applyCss();
    area.layout();
    if (area.getSkin() instanceof TextAreaSkin skin && !area.getText().isEmpty()) {
      Rectangle2D first = skin.getCharacterBounds(0);
      Rectangle2D last = skin.getCharacterBounds(area.getLength() - 1);
      double wanted = last.getMaxY() - first.getMinY();
      double least = fewest * first.getHeight();
      area.setPrefHeight(
          Math.max(least, Math.min(Math.max(least, wanted), most - PADDING)) + PADDING);
    } else {
      area.setPrefHeight(USE_COMPUTED_SIZE);
    }
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
