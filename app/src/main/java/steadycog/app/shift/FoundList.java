package steadycog.app.shift;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.search.ShiftOrder;
import steadycog.search.StateHunt;
import steadycog.search.StateHunt.FoundState;
import steadycog.search.StateHunt.FoundStates;
import steadycog.search.StateHunt.Way;
import steadycog.train.Element;
import steadycog.train.State;
import steadycog.train.Train;

/** Every ratio that brakes and clutches can make, to be ticked and taken over as states. */
final class FoundList extends VBox {
  private static final double LEAST_HEIGHT = 80;

  private final Desk desk;
  private final StateFinder finder = new StateFinder(Platform::runLater);
  private final Label status = Look.label("", "soft", "small");
  private final GridPane grid = Look.styled(new GridPane(8, 2), "found-grid");
  private final Button take = Look.styled(new Button("Ticked become the states"), "cure");
  private final Button propose = Look.styled(new Button("One swap a shift"), "cure");
  private final Button stop = Look.styled(new Button("Stop"), "cure");
  private final List<CheckBox> boxes = new ArrayList<>();
  private List<FoundState> shown = List.of();

  FoundList(Desk desk) {
    super(5);
    this.desk = desk;
    setId("found-states");
    getStyleClass().addAll("panel", "working");
    status.setId("found-status");
    status.setWrapText(true);
    take.setId("take-states");
    take.setTooltip(
        new Tooltip(
            "Ticked ratios become the plan, from the largest reduction down, in the ways between"
                + " which least changes"));
    take.setOnAction(e -> takeTicked());
    propose.setId("propose-states");
    propose.setTooltip(
        new Tooltip(
            "The longest row of ratios worth having of which each is a single swap from the next"));
    propose.setOnAction(e -> desk.plan().keep(ShiftOrder.propose(shown)));
    stop.setOnAction(e -> finder.stop());
    ScrollPane scroll = new ScrollPane(grid);
    scroll.setFitToWidth(true);
    scroll.setMinHeight(LEAST_HEIGHT);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    HBox buttons = new HBox(6, take, propose, stop);
    buttons.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(Look.label("Every ratio there is", "caption"), status, scroll, buttons);
    finder.foundProperty().addListener(o -> show());
    finder.runningProperty().addListener(o -> show());
    desk.preferencesProperty().addListener(o -> show());
    show();
  }

  boolean isSearching() {
    return finder.runningProperty().get();
  }

  /** Looks at the train on the bench. */
  void look() {
    desk.bench().map(Bench::card).ifPresent(card -> finder.look(card.train()));
    show();
  }

  private void show() {
    Optional<FoundStates> found = finder.foundProperty().get();
    boolean running = isSearching();
    Look.show(stop, running);
    Optional<Train> train = desk.bench().map(bench -> bench.card().train());
    Optional<String> trouble = train.flatMap(StateHunt::trouble);
    List<FoundState> now =
        trouble.isPresent() ? List.of() : found.map(FoundStates::states).orElse(List.of());
    status.setText(
        running
            ? "Trying every choice of brakes and clutches\u2026"
            : trouble.orElseGet(() -> found.map(f -> summary(f, train)).orElse("")));
    if (!now.equals(shown)) {
      shown = now;
      fill();
    }
    take.setDisable(shown.isEmpty());
    propose.setDisable(shown.isEmpty());
  }

  private static String summary(FoundStates found, Optional<Train> train) {
    boolean own = train.filter(one -> !one.shifts().elements().isEmpty()).isPresent();
    return counted(found.states().size(), "ratio")
        + " from "
        + counted(found.examined(), "choice")
        + " of "
        + (own ? "the brakes and clutches there are" : "a brake or clutch on any shaft")
        + "; "
        + found.jammed()
        + " jam, "
        + found.neutral()
        + " leave the output free or at rest."
        + (found.whole() ? "" : " More were not tried.");
  }

  private static String counted(long count, String what) {
    return count + " " + what + (count == 1 ? "" : "s");
  }

  private void fill() {
    grid.getChildren().clear();
    boxes.clear();
    for (int k = 0; k < shown.size(); k++) {
      FoundState state = shown.get(k);
      Way best = state.ways().getFirst();
      CheckBox box = new CheckBox(Sign.exact(state.ratio().reduction()));
      box.setId("found-" + k);
      box.setTooltip(new Tooltip(ways(state)));
      box.setMinWidth(USE_PREF_SIZE);
      boxes.add(box);
      Label value = new Label(Sign.number(state.ratio().reduction().doubleValue()));
      value.setMinWidth(USE_PREF_SIZE);
      GridPane.setHalignment(value, HPos.RIGHT);
      Label by = Look.label(words(best), "small", "soft");
      by.setWrapText(true);
      GridPane.setHgrow(by, Priority.ALWAYS);
      Label many =
          Look.label(state.ways().size() == 1 ? "" : state.ways().size() + " ways", "small");
      many.setMinWidth(USE_PREF_SIZE);
      grid.addRow(k, box, value, by, many);
    }
  }

  private static String words(Way way) {
    return way.engaged().isEmpty()
        ? "nothing engaged"
        : way.engaged().stream().map(FoundList::words).collect(Collectors.joining(", "));
  }

  private static String words(Element element) {
    return switch (element) {
      case Element.Brake(var member) -> "brake " + Sign.shortName(member);
      case Element.Clutch(var join) -> Sign.shortName(join.a()) + " = " + Sign.shortName(join.b());
    };
  }

  private static String ways(FoundState state) {
    return state.ways().stream()
        .limit(12)
        .map(way -> words(way) + (way.floats() ? " (something floats)" : ""))
        .collect(Collectors.joining("\n"));
  }

  private void takeTicked() {
    List<FoundState> ticked = new ArrayList<>();
    for (int k = 0; k < boxes.size(); k++) {
      if (boxes.get(k).isSelected()) {
        ticked.add(shown.get(k));
      }
    }
    List<State> states = ShiftOrder.of(ticked);
    if (!states.isEmpty()) {
      desk.plan().keep(states);
    }
  }
}
