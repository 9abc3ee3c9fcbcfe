package steadycog.app.gearbox;

import java.util.List;
import javafx.application.Platform;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import steadycog.app.desk.Aside;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.cure.Cure;
import steadycog.cure.GearboxCures;
import steadycog.train.Train;

/** What would let a gearbox go together, sought beside the window and taken by a press. */
final class BoxCures extends FlowPane {
  private final Desk desk;
  private final Label said = Look.label("", "soft");
  private final Aside seeking = new Aside("gearbox cures", Platform::runLater);

  BoxCures(Desk desk) {
    super(6, 4);
    this.desk = desk;
    setRowValignment(VPos.CENTER);
    said.setId("gearbox-cures");
    said.setMinHeight(USE_PREF_SIZE);
    clear();
  }

  /** Shows nothing, and looks for nothing any more. */
  void clear() {
    seeking.drop();
    getChildren().clear();
    Look.show(this, false);
  }

  /** Looks for what helps a train of which no gearbox goes together. */
  void seek(Train train) {
    clear();
    say("Looking for what would help \u2026");
    seeking.work(0, pace -> GearboxCures.of(train, pace), this::show);
  }

  private void say(String words) {
    said.setText(words);
    getChildren().setAll(said);
    Look.show(this, true);
  }

  private void show(List<Cure> cures) {
    say(cures.isEmpty() ? "No single change that was tried helps." : "It goes together with");
    for (Cure cure : cures) {
      Button take = Look.styled(new Button(cure.change().replace("->", "\u2192")), "chip");
      take.setId("box-cure-" + getChildren().size());
      take.setTooltip(new Tooltip("Changes the card so; undo takes it back"));
      take.setOnAction(e -> desk.train().cure(cure));
      getChildren().add(take);
    }
  }
}
