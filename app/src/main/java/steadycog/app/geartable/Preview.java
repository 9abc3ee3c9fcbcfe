package steadycog.app.geartable;

import java.util.List;
import java.util.Optional;
import javafx.scene.layout.StackPane;
import steadycog.app.desk.Desk;
import steadycog.app.look.Beat;
import steadycog.app.look.Look;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.train.Train;

/** A train to look at: the face view of a desk of its own, turning by itself, not to be touched. */
public final class Preview extends StackPane {
  private final Desk desk = new Desk();
  private final Beat beat = new Beat(desk.crank()::advance);
  private boolean wanted;

  public Preview() {
    this(false);
  }

  /** {@code small} leaves hardly anything round it. */
  Preview(boolean small) {
    FaceView face = new FaceView(desk);
    if (small) {
      face.room().fillPicture();
    }
    face.setMouseTransparent(true);
    getStyleClass().addAll("panel", "preview");
    setId("preview");
    setMinHeight(80);
    getChildren().add(face);
    Look.clip(this);
  }

  /** Shows a train, or nothing. */
  public void show(Optional<Train> train) {
    Optional<Sheet> sheet = train.map(known -> Sheet.of("preview", Card.of(known)));
    desk.file().putDown(sheet.map(one -> new Job("", List.of(one))).orElseGet(Job::empty));
    run(wanted);
  }

  /** Shows the train of a card. */
  public void show(String card) {
    desk.file().putDown(Job.empty());
    desk.train().type(card);
    run(wanted);
  }

  /** Lets it turn while it is looked at. */
  public void run(boolean now) {
    wanted = now;
    boolean turning = now && desk.crank().isFree();
    if (desk.crank().runningProperty().get() != turning) {
      desk.crank().toggleRunning();
    }
    if (turning) {
      beat.start();
    } else {
      beat.stop();
    }
  }
}
