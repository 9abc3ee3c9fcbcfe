package steadycog.app;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
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

  Question(String ask, String explanation, List<Answer> answers) {
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
    VBox box = new VBox(Look.label(ask, "ask"), detail, row);
    box.setMaxSize(460, Region.USE_PREF_SIZE);
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
