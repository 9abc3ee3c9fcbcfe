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
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.fxmisc.flowless.VirtualizedScrollPane;
import steadycog.app.desk.Desk;
import steadycog.app.look.Glossary;
import steadycog.app.look.Look;
import steadycog.notation.CardOffers.Offer;
import steadycog.notation.CardProblem;
import steadycog.notation.CardWord;
import steadycog.train.MemberId;

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

  private static final int MOST_MESSAGE = 130;
  private static final double PADDING = 14;
  private static final double LINE = 1.4;
  private static final double BESIDE = 5;

  private static final String EMPTY_HINT =
      "parallel, planetary, cycloidal, strainwave, bevel or differential; Ctrl+Space offers words";
  private static final String WORDS_HINT =
      "Ctrl+Space offers what can be written here; Ctrl+click on a member goes to it";

  /** What a field leaves out of a text that it is given. */
  private static final Pattern UNSHOWN = Pattern.compile("[\\x00-\\x08\\x0b-\\x1f\\x7f]");

  private final Desk desk;
  private final CardArea text;
  private final TextArea notes = new TextArea();
  private final VirtualizedScrollPane<CardArea> field;
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
    text = new CardArea(desk, this::meaning);
    field = new VirtualizedScrollPane<>(text);
    new OfferList(text, this::meaning);
    message.setId("card-message");
    message.setMinWidth(0);
    message.setWrapText(true);
    message.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(message, Priority.ALWAYS);
    field.setMinHeight(USE_PREF_SIZE);
    makeNotes();
    makeFold();
    tools.getChildren().addAll(beside, noted, fold);
    under.setAlignment(Pos.TOP_RIGHT);
    getChildren().addAll(oneLine, under, notes);
    // The editor looks its colours up as soon as it has a scene, which must have its style by then.
    sceneProperty().subscribe(scene -> Platform.runLater(this::putField));
    desk.benchProperty().addListener(o -> showProblems());
    text.textProperty()
        .addListener(
            (o, old, now) -> {
              if (!text.isShowing()) {
                desk.train().type(closed(now));
              }
            });
    text.totalHeightEstimateProperty().addListener(o -> Platform.runLater(this::settleText));
    text.addEventFilter(KeyEvent.KEY_PRESSED, this::leaveByTab);
    text.focusedProperty().addListener((o, was, is) -> showProblems());
    text.focusedProperty().addListener((o, was, is) -> leave(is));
    text.caretPositionProperty().addListener(o -> Platform.runLater(this::showProblems));
    desk.pageProperty().addListener(o -> refresh());
    desk.problemsProperty().addListener(o -> showProblems());
    desk.inViewProperty().addListener((o, old, now) -> showNotes(!notes.getText().isEmpty()));
    notes.fontProperty().addListener(o -> Platform.runLater(this::settle));
    notes.textProperty().addListener(o -> Platform.runLater(this::settleNotes));
    notes.widthProperty().addListener(o -> Platform.runLater(this::settleNotes));
    sceneProperty()
        .flatMap(Scene::heightProperty)
        .addListener((o, old, now) -> Platform.runLater(this::settle));
    refresh();
    showNotes(!notes.getText().isEmpty());
    showProblems();
  }

  private void putField() {
    if (getScene() != null && field.getParent() == null) {
      getChildren().add(1, field);
    }
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

  /** Puts the cursor behind the first word that means {@code member}. */
  public void goTo(MemberId member) {
    startTyping();
    text.goTo(member);
  }

  private void leaveByTab(KeyEvent event) {
    if (event.getCode() == KeyCode.TAB && !event.isShortcutDown() && !event.isConsumed()) {
      Node field = (Node) event.getSource();
      field.requestFocusTraversal(
          event.isShiftDown() ? TraversalDirection.PREVIOUS : TraversalDirection.NEXT);
      event.consume();
    }
  }

  /** A card ends with a line feed; the line shows it without, to spend no row on it. */
  private static String readable(String card) {
    String whole = card.endsWith("\n") ? card.substring(0, card.length() - 1) : card;
    return UNSHOWN.matcher(whole.replaceAll("\\R", "\n")).replaceAll("");
  }

  private static String closed(String shown) {
    return shown.isEmpty() ? "" : shown + "\n";
  }

  private void refresh() {
    text.show(readable(desk.sheet().text()));
    show(notes, readable(desk.sheet().notes()));
    noted.setText(desk.sheet().notes().isEmpty() ? "+ notes" : "notes");
    showProblems();
  }

  /** Takes what is typed, not what is only shown: that may stand otherwise in the file. */
  private void typed(Runnable taking) {
    if (!showing) {
      taking.run();
    }
  }

  private void show(TextArea area, String shown) {
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
          "Line " + first.line() + ", column " + first.column() + ": " + brief(first) + more);
    }
    Look.show(message, !message.getText().isEmpty());
    Look.show(under, !folded || !problems.isEmpty());
    oneLine.setText(onOneLine(text.getText()));
  }

  /** A long list of what would be accepted is cut: the offers hold it, with what each says. */
  private static String brief(CardProblem problem) {
    String whole = problem.message();
    int end = whole.lastIndexOf(',', MOST_MESSAGE);
    return whole.length() <= MOST_MESSAGE || end < 0
        ? whole
        : whole.substring(0, end) + " \u2026 (Ctrl+Space shows all)";
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

  /** What the word at the cursor says, or else what can be written. */
  private String hint() {
    return text.wordAtCaret()
        .map(word -> word.text() + ": " + meaning(word))
        .orElse(text.getText().isEmpty() ? EMPTY_HINT : WORDS_HINT);
  }

  /** A member is explained in the trade's words, and by what it does. */
  private String meaning(CardWord word) {
    return word.member()
        .map(member -> Glossary.of(member) + " Ctrl+click chooses it on the bench.")
        .orElse(word.meaning());
  }

  private String meaning(Offer offer) {
    return offer.meaning();
  }

  /** After the text has been laid out: as many rows as it takes. */
  private void settle() {
    settleText();
    settleNotes();
  }

  private void settleText() {
    double room = getScene() == null ? 0 : getScene().getHeight() * MOST_SHARE - PADDING;
    double least = FEWEST_ROWS * row();
    double wanted = text.getLength() == 0 ? least : text.getTotalHeightEstimate();
    field.setPrefHeight(Math.max(least, Math.min(Math.max(least, wanted), room)) + PADDING);
  }

  private double row() {
    return notes.getFont().getSize() * LINE;
  }

  private void settleNotes() {
    double most = MOST_NOTE_ROWS * row();
    notes.applyCss();
    notes.layout();
    if (notes.getSkin() instanceof TextAreaSkin skin && !notes.getText().isEmpty()) {
      Rectangle2D first = skin.getCharacterBounds(0);
      Rectangle2D last = skin.getCharacterBounds(notes.getLength() - 1);
      double wanted = last.getMaxY() - first.getMinY();
      notes.setPrefHeight(Math.min(Math.max(first.getHeight(), wanted), most) + PADDING);
    } else {
      notes.setPrefHeight(USE_COMPUTED_SIZE);
    }
  }
}
