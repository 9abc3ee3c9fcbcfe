package steadycog.app.trainline;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import org.fxmisc.richtext.StyleClassedTextArea;
import org.fxmisc.richtext.event.MouseOverTextEvent;
import org.fxmisc.richtext.model.StyleSpans;
import org.fxmisc.richtext.model.StyleSpansBuilder;
import org.fxmisc.richtext.util.UndoUtils;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.notation.CardProblem;
import steadycog.notation.CardWord;
import steadycog.notation.CardWords;
import steadycog.train.MemberId;
import steadycog.train.Role;

/**
 * The card as it is typed: words in the colour of what they are, members in that of their role, the
 * chosen member marked, what cannot be read underlined. Undo is the desk's.
 */
final class CardArea extends StyleClassedTextArea {
  private static final int HOVER_MS = 350;

  /** A card of more letters than anybody types is shown plain, so that typing stays quick. */
  private static final int MOST_LETTERS = 8_000;

  private final Desk desk;
  private final Function<CardWord, String> meaning;
  private final Tooltip hover = new Tooltip();
  private List<CardWord> words = List.of();
  private boolean showing;

  CardArea(Desk desk, Function<CardWord, String> meaning) {
    super(false);
    this.desk = desk;
    this.meaning = meaning;
    setId("train-line");
    getStyleClass().addAll("card", "text-area");
    setAccessibleRole(AccessibleRole.TEXT_AREA);
    setAccessibleText("Train line: the job card of this train");
    setWrapText(true);
    setUndoManager(UndoUtils.noOpUndoManager());
    setPlaceholder(Look.label("For example: parallel 18 ~ 72 = 20 ~ 80", "soft"), Pos.TOP_LEFT);
    setMouseOverTextDelay(Duration.ofMillis(HOVER_MS));
    addEventHandler(MouseOverTextEvent.MOUSE_OVER_TEXT_BEGIN, this::explain);
    addEventHandler(MouseOverTextEvent.MOUSE_OVER_TEXT_END, e -> hover.hide());
    addEventHandler(MouseEvent.MOUSE_CLICKED, this::choose);
    textProperty().addListener((o, old, now) -> read());
    desk.litProperty().addListener(o -> restyle());
    desk.problemsProperty().addListener(o -> restyle());
    desk.benchProperty().addListener(o -> restyle());
    setContextMenu(
        new ContextMenu(
            item("Cut", this::cut),
            item("Copy", this::copy),
            item("Paste", this::paste),
            item("Select all", this::selectAll)));
  }

  private static MenuItem item(String name, Runnable act) {
    MenuItem item = new MenuItem(name);
    item.setOnAction(e -> act.run());
    return item;
  }

  /** Shows {@code text}, which nobody typed here, and leaves the cursor where it stands. */
  void show(String text) {
    if (!text.equals(getText())) {
      int caret = getCaretPosition();
      showing = true;
      replaceText(text);
      showing = false;
      moveTo(Math.min(caret, text.length()));
      requestFollowCaret();
    }
  }

  /** Whether the text changes for {@link #show} and not under the writer's hands. */
  boolean isShowing() {
    return showing;
  }

  /** The word at the cursor that has something to explain. */
  Optional<CardWord> wordAtCaret() {
    return at(getCaretPosition());
  }

  private Optional<CardWord> at(int place) {
    return words.stream()
        .filter(word -> word.holds(place) && !meaning.apply(word).isEmpty())
        .findFirst();
  }

  private void explain(MouseOverTextEvent over) {
    at(over.getCharacterIndex())
        .ifPresent(
            word -> {
              Point2D at = over.getScreenPosition();
              hover.setText(word.text() + ": " + meaning.apply(word));
              hover.show(this, at.getX(), at.getY() + getFontHeight());
            });
  }

  private double getFontHeight() {
    return Math.max(1, getTotalHeightEstimate() / Math.max(1, getParagraphs().size()));
  }

  /** With Ctrl a click on a member's word chooses the member on the bench. */
  private void choose(MouseEvent click) {
    if (click.isShortcutDown()) {
      at(hit(click.getX(), click.getY()).getInsertionIndex())
          .flatMap(CardWord::member)
          .ifPresent(member -> desk.select(Optional.of(member)));
    }
  }

  /** Puts the cursor behind the first word that means {@code member}. */
  void goTo(MemberId member) {
    words.stream()
        .filter(word -> word.member().equals(Optional.of(member)))
        .findFirst()
        .ifPresent(word -> moveTo(word.to()));
    requestFollowCaret();
  }

  private void read() {
    words = getLength() > MOST_LETTERS ? List.of() : CardWords.of(getText());
    restyle();
  }

  private void restyle() {
    if (getLength() == 0 || getLength() > MOST_LETTERS) {
      return;
    }
    StyleSpans<Collection<String>> spans = spans();
    for (CardProblem problem : desk.problemsProperty().get()) {
      spans = spans.overlay(underlined(problem), CardArea::both);
    }
    if (!spans.equals(getStyleSpans(0, getLength()))) {
      setStyleSpans(0, spans);
    }
  }

  private StyleSpans<Collection<String>> spans() {
    StyleSpansBuilder<Collection<String>> builder = new StyleSpansBuilder<>();
    int at = 0;
    for (CardWord word : words) {
      builder.add(List.of(), word.from() - at);
      builder.add(styles(word), word.to() - word.from());
      at = word.to();
    }
    builder.add(List.of(), getLength() - at);
    return builder.create();
  }

  private List<String> styles(CardWord word) {
    List<String> styles = new ArrayList<>();
    switch (word.kind()) {
      case PART, STATEMENT -> styles.add("statement");
      case MEMBER -> word.member().ifPresent(member -> styles.add(role(member).word()));
      case COMMENT -> styles.add("remark");
      case NUMBER, UNIT, OTHER -> {}
    }
    if (word.member().filter(desk::isLit).isPresent()) {
      styles.add("chosen");
    }
    return styles;
  }

  private Role role(MemberId member) {
    return desk.bench()
        .filter(bench -> bench.card().train().has(member))
        .map(bench -> bench.study().role(member))
        .orElse(Role.FREE);
  }

  private StyleSpans<Collection<String>> underlined(CardProblem problem) {
    int from = Math.min(offset(problem), getLength() - 1);
    int to = Math.min(getLength(), from + Math.max(1, problem.length()));
    return new StyleSpansBuilder<Collection<String>>()
        .add(List.of(), from)
        .add(List.of("bad-place"), to - from)
        .add(List.of(), getLength() - to)
        .create();
  }

  private int offset(CardProblem problem) {
    int line = Math.min(problem.line(), getParagraphs().size()) - 1;
    return Math.min(getLength(), getAbsolutePosition(line, 0) + problem.column() - 1);
  }

  private static Collection<String> both(Collection<String> these, Collection<String> those) {
    List<String> all = new ArrayList<>(these);
    all.addAll(those);
    return all;
  }
}
