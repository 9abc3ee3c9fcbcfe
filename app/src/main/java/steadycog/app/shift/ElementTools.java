package steadycog.app.shift;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.motion.RatioBoard;
import steadycog.train.Element;
import steadycog.train.MemberId;

/** Puts a brake on a shaft, a clutch between two, or another state into the plan. */
final class ElementTools extends FlowPane {
  private final Desk desk;
  private final ComboBox<MemberId> held = choice("brake-on", "Shaft for the brake");
  private final ComboBox<MemberId> one = choice("clutch-from", "First shaft of the clutch");
  private final ComboBox<MemberId> other = choice("clutch-to", "Second shaft of the clutch");

  ElementTools(Desk desk) {
    super(12, 4);
    this.desk = desk;
    Button state = Look.styled(new Button("+ state"), "cure");
    state.setId("add-state");
    state.setTooltip(new Tooltip("A state in which nothing is engaged yet"));
    state.setOnAction(e -> desk.plan().addState());
    Button brake = Look.styled(new Button("+ brake"), "cure");
    brake.setId("add-brake");
    brake.setTooltip(new Tooltip("A brake that holds this shaft against the housing"));
    brake.setOnAction(e -> chosen(held).ifPresent(m -> desk.plan().add(new Element.Brake(m))));
    Button clutch = Look.styled(new Button("+ clutch"), "cure");
    clutch.setId("add-clutch");
    clutch.setTooltip(new Tooltip("A clutch that makes both shafts turn as one"));
    clutch.setOnAction(e -> addClutch());
    getChildren().addAll(state, group(brake, held), group(clutch, one, new Label("to"), other));
  }

  private static HBox group(Node... nodes) {
    HBox box = new HBox(4, nodes);
    box.setAlignment(Pos.CENTER_LEFT);
    return box;
  }

  private static ComboBox<MemberId> choice(String id, String help) {
    ComboBox<MemberId> box = new ComboBox<>();
    box.setId(id);
    box.setAccessibleText(help);
    box.setTooltip(new Tooltip(help));
    box.setPromptText("shaft");
    box.setPrefWidth(112);
    return box;
  }

  private static Optional<MemberId> chosen(ComboBox<MemberId> box) {
    return Optional.ofNullable(box.getValue());
  }

  private void addClutch() {
    Optional<MemberId> a = chosen(one);
    Optional<MemberId> b = chosen(other);
    if (a.isPresent() && b.isPresent() && !a.equals(b)) {
      desk.plan().add(Element.Clutch.of(a.get(), b.get()));
    }
  }

  /** Offers the shafts of the train on the bench. */
  void show() {
    List<MemberId> shafts =
        desk.bench().map(bench -> RatioBoard.shafts(bench.card().train())).orElse(List.of());
    for (ComboBox<MemberId> box : List.of(held, one, other)) {
      if (!box.getItems().equals(shafts)) {
        box.getItems().setAll(shafts);
      }
    }
  }
}
