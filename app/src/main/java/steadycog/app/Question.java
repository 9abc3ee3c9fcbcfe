package steadycog.app;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import steadycog.app.look.Look;

/** A question laid over the window, answered by a button; Escape gives the last answer. */
final class Question extends StackPane {

  /** A possible answer and what it does. */
  record Answer(String words, Runnable action) {}

  private static final double WIDTH = 460;
  private static final double WIDE = 620;
  private static final int MOST_ROWS = 12;

  Question(String ask, String explanation, List<Answer> answers) {
    this(ask, explanation, List.of(), answers);
  }

  /** With {@code lines} to read between the explanation and the answers. */
  Question(String ask, String explanation, List<String> lines, List<Answer> answers) {
    getStyleClass().add("veil");
    setId("question");
    Label detail = Look.label(explanation, "soft");
    detail.setWrapText(true);
    HBox row = new HBox(8);
    row.setAlignment(Pos.CENTER_RIGHT);
    List<Button> buttons = new ArrayList<>();
    for (Answer answer : answers) {
      Button button = new Button(answer.words());
      button.setOnAction(e -> give(answer));
      buttons.add(button);
    }
    buttons.getFirst().getStyleClass().add("main");
    buttons.getFirst().setDefaultButton(true);
    row.getChildren().setAll(buttons);
    TextArea more = Look.styled(new TextArea(String.join("\n", lines)), "card", "question-lines");
    more.setEditable(false);
    more.setPrefRowCount(Math.clamp(lines.size(), 1, MOST_ROWS));
    Look.show(more, !lines.isEmpty());
    VBox box = new VBox(Look.label(ask, "ask"), detail, more, row);
    box.setMaxSize(lines.isEmpty() ? WIDTH : WIDE, Region.USE_PREF_SIZE);
    getChildren().add(Look.styled(box, "question"));
    setOnKeyPressed(
        key -> {
          if (key.getCode() == KeyCode.ESCAPE) {
            give(answers.getLast());
            key.consume();
          }
        });
    setOnMousePressed(press -> buttons.getFirst().requestFocus());
  }

  void focusFirst() {
    lookup(".main").requestFocus();
  }

  private void give(Answer answer) {
    ((StackPane) getParent()).getChildren().remove(this);
    answer.action().run();
  }
}
