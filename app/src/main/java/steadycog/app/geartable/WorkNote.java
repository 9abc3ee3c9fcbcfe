package steadycog.app.geartable;

import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import steadycog.app.desk.BenchWork;
import steadycog.app.desk.BenchWork.Status;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.notation.Card;

/** Stands where the drawing would while a train is being worked out, or could not be. */
final class WorkNote extends VBox {
  private static final double WIDTH = 430;

  private final Desk desk;
  private final Label big = Look.label("", "big");
  private final Label more = Look.label("", "soft");
  private final ProgressBar bar = new ProgressBar();
  private final Button button = new Button();

  WorkNote(Desk desk) {
    this.desk = desk;
    setId("work-note");
    getStyleClass().add("first-steps");
    big.setId("work-title");
    big.setWrapText(true);
    big.setMaxWidth(WIDTH);
    more.setWrapText(true);
    more.setMaxWidth(WIDTH);
    bar.setPrefWidth(WIDTH);
    button.setId("work-button");
    button.setText("Stop");
    setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    getChildren().addAll(big, more, bar, button);
    desk.work().statusProperty().addListener(o -> show());
    show();
  }

  private void show() {
    BenchWork work = desk.work();
    Status status = work.statusProperty().get();
    Look.show(this, !(status instanceof Status.Done));
    Look.show(bar, status instanceof Status.Working);
    Look.show(button, !(status instanceof Status.Failed));
    switch (status) {
      case Status.Done done -> {}
      case Status.Working(double share) -> {
        say("Working it out", "A train of " + members() + ": go on typing, or stop it.");
        bar.setProgress(share);
        act("Stop   Esc", work::stop);
      }
      case Status.Stopped stopped -> {
        say("Stopped", "The card is kept; nothing has been worked out from it.");
        act("Work it out", work::goOn);
      }
      case Status.Failed(Throwable fault) ->
          say(
              "This train cannot be worked out",
              "That is a fault of the program, not of your card, which is kept. Undo, or say it"
                  + " another way. ("
                  + fault.getClass().getSimpleName()
                  + Optional.ofNullable(fault.getMessage()).map(why -> ": " + why).orElse("")
                  + ")");
    }
  }

  private String members() {
    return desk.sheet().card().map(Card::train).map(train -> train.members().size()).orElse(0)
        + " members";
  }

  private void say(String title, String words) {
    big.setText(title);
    more.setText(words);
  }

  private void act(String words, Runnable action) {
    button.setText(words);
    button.setOnAction(e -> action.run());
  }
}
