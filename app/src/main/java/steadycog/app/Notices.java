package steadycog.app;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;

/** What is told and offered under the top line; never in the way of work. */
final class Notices extends VBox {
  private final Label noticeText = wide("notice");
  private final HBox notice = Look.styled(new HBox(), "notice");
  private final Label offerText = wide("offer");
  private final HBox offer = Look.styled(new HBox(), "notice", "offer");

  /** Notices that are dismissed by {@code dismiss}. */
  Notices(Runnable dismiss) {
    Button close = Look.styled(new Button(), "plain");
    close.setGraphic(Icon.CLOSE.node());
    close.setAccessibleText("Dismiss the notice");
    close.setOnAction(e -> dismiss.run());
    notice.getChildren().setAll(Icon.ERROR.node(), noticeText, close);
    Look.show(notice, false);
    Look.show(offer, false);
    getChildren().addAll(offer, notice);
  }

  private static Label wide(String id) {
    Label words = new Label();
    words.setId(id);
    words.setWrapText(true);
    words.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(words, Priority.ALWAYS);
    return words;
  }

  String told() {
    return noticeText.getText();
  }

  /** Shows a notice until it is dismissed; an empty one takes it away. */
  void tell(String words) {
    noticeText.setText(words);
    Look.show(notice, !words.isEmpty());
  }

  /** Shows what can be decided, until it has been; an empty offer takes it away. */
  void offer(String words, List<Question.Answer> answers) {
    offerText.setText(words);
    offer.getChildren().setAll(Icon.NOTE.node(), offerText);
    for (Question.Answer answer : answers) {
      Button button = new Button(answer.words());
      button.setMinWidth(USE_PREF_SIZE);
      button.setOnAction(e -> answer.action().run());
      offer.getChildren().add(button);
    }
    Look.show(offer, !words.isEmpty());
  }
}
