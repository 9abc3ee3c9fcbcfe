package steadycog.app.board;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.bench.Guess;
import steadycog.bench.Slip;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.number.Exact;
import steadycog.train.Train;

/**
 * Practice: a ratio and a direction are stated before they are shown, then set against the working,
 * with the slip that would lead to what was stated.
 */
final class Prediction extends VBox {
  private static final PseudoClass RIGHT = PseudoClass.getPseudoClass("right");

  private final Desk desk;
  private final Label asked = Look.label("", "block-text");
  private final TextField ratio = Look.styled(new TextField(), "sheet-field");
  private final ToggleButton same = Look.styled(new ToggleButton("same way"), "chip");
  private final ToggleButton other = Look.styled(new ToggleButton("other way"), "chip");
  private final HBox answer;
  private final Label verdict = Look.label("", "verdict");
  private final Label working = Look.label("", "soft");
  private final Label record = Look.label("", "small", "soft");
  private Optional<BoardCell> cell = Optional.empty();
  private List<Configuration> all = List.of();

  Prediction(Desk desk) {
    super(4);
    this.desk = desk;
    setId("prediction");
    ratio.setId("predicted-ratio");
    ratio.setPrefColumnCount(6);
    ratio.setPromptText("13/4");
    ratio.setAccessibleText("Your i = in/out, without its sign; Enter reveals");
    ratio.setOnAction(e -> reveal());
    ToggleGroup ways = new ToggleGroup();
    same.setToggleGroup(ways);
    other.setToggleGroup(ways);
    same.setId("predicted-same");
    other.setId("predicted-other");
    Button reveal = Look.styled(new Button("Reveal"), "cure");
    reveal.setId("reveal");
    reveal.setTooltip(new Tooltip("Shows the answer and where yours would come from"));
    reveal.setOnAction(e -> reveal());
    answer = new HBox(8, new Label("i = in/out ="), ratio, same, other, reveal);
    answer.setAlignment(Pos.CENTER_LEFT);
    verdict.setId("prediction-verdict");
    for (Label words : List.of(asked, verdict, working)) {
      words.setWrapText(true);
      words.setMinHeight(USE_PREF_SIZE);
    }
    Button clear = Look.styled(new Button("Forget the record"), "cure");
    clear.setOnAction(e -> desk.book().forgetGuesses());
    HBox kept = new HBox(8, record, clear);
    kept.setAlignment(Pos.CENTER_LEFT);
    kept.visibleProperty().bind(record.textProperty().isNotEmpty());
    kept.managedProperty().bind(kept.visibleProperty());
    getChildren().addAll(asked, answer, verdict, working, kept);
    desk.pageProperty().addListener(o -> showRecord());
    forget();
  }

  /** Asks for the answer of a cell. */
  void ask(BoardCell now, List<Configuration> board) {
    cell = Optional.of(now);
    all = board;
    asked.setText(Slip.words(now.row().configuration()) + ":");
    Look.show(answer, true);
    ratio.clear();
    say("", false, "");
    ratio.requestFocus();
  }

  /** Nothing is asked for. */
  void forget() {
    cell = Optional.empty();
    asked.setText("Click a cell, state its ratio and direction, then see.");
    Look.show(answer, false);
    say("", false, "");
    showRecord();
  }

  private void say(String words, boolean right, String how) {
    verdict.setText(words);
    verdict.pseudoClassStateChanged(RIGHT, right);
    Look.show(verdict, !words.isEmpty());
    working.setText(how);
    Look.show(working, !how.isEmpty());
  }

  private void showRecord() {
    List<Guess> guesses = desk.book().book().guesses();
    long right = guesses.stream().filter(Guess::isRight).count();
    record.setText(guesses.isEmpty() ? "" : right + " of " + guesses.size() + " right so far");
  }

  private void reveal() {
    if (cell.isEmpty() || desk.bench().isEmpty()) {
      return;
    }
    String text = ratio.getText().strip().replace('\u2212', '-').replace(" : 1", "");
    boolean signed = text.startsWith("-");
    if (!Exact.isNumber(text) || Exact.isZero(Exact.parse(text))) {
      say("'" + text + "' is no ratio: write 3.25 or 13/4.", false, "");
      return;
    }
    if (!signed && !same.isSelected() && !other.isSelected()) {
      say("Which way does the output turn?", false, "");
      return;
    }
    BigFraction size = Exact.parse(text).abs();
    BigFraction guess = signed || other.isSelected() ? size.negate() : size;
    BoardCell asking = cell.get();
    Configuration one = asking.row().configuration();
    Train train = desk.bench().get().card().train();
    Slip slip = Slip.of(train, one, all, guess);
    boolean right = slip.kind() == Slip.Kind.NONE;
    asking.hide(false);
    desk.book().guess(LocalDate.now(), Slip.words(one), one, guess);
    say(
        right
            ? "Right: i = " + Sign.exact(one.ratio().reduction()) + "."
            : "i = "
                + Sign.exact(one.ratio().reduction())
                + ", not "
                + Sign.exact(guess)
                + ": "
                + slip.text()
                + ".",
        right,
        Slip.working(train, one));
    Look.show(answer, false);
    cell = Optional.empty();
  }
}
