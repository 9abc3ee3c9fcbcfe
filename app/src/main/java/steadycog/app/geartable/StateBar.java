package steadycog.app.geartable;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.train.State;

/** The states of the train in view, one of them chosen; away while it has none. */
final class StateBar extends HBox {
  private final Desk desk;

  StateBar(Desk desk) {
    this.desk = desk;
    setId("state-bar");
    getStyleClass().add("state-bar");
    desk.benchProperty().addListener(o -> show());
    show();
  }

  private void show() {
    List<State> states =
        desk.bench().map(Bench::card).map(card -> card.train().shifts().states()).orElse(List.of());
    Look.show(this, !states.isEmpty());
    if (states.isEmpty()) {
      getChildren().clear();
      return;
    }
    getChildren().setAll(Look.label("state", "soft"));
    for (State state : states) {
      ToggleButton chip = Look.styled(new ToggleButton(state.name()), "chip");
      chip.setId("state-" + state.name());
      chip.setTooltip(new Tooltip("See the train in state " + state.name() + " (S for the next)"));
      chip.setSelected(desk.state().filter(state.name()::equals).isPresent());
      chip.setFocusTraversable(false);
      chip.setOnAction(
          e -> {
            desk.showState(state.name());
            show();
          });
      getChildren().add(chip);
    }
  }

  /** Goes on to the next state, or for -1 back to the one before, round and round. */
  static void step(Desk desk, int by) {
    List<State> states =
        desk.bench().map(b -> b.card().train().shifts().states()).orElse(List.of());
    Optional<State> now = desk.bench().flatMap(Bench::state);
    if (now.isPresent()) {
      int next = Math.floorMod(states.indexOf(now.get()) + by, states.size());
      desk.showState(states.get(next).name());
    }
  }
}
