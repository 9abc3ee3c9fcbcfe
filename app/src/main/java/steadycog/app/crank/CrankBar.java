package steadycog.app.crank;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.event.ActionEvent;
import javafx.event.EventHandler;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Crank;
import steadycog.app.desk.Desk;
import steadycog.app.look.Beat;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.motion.TurnCount;
import steadycog.number.Exact;
import steadycog.train.Drive;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Roles;
import steadycog.train.Take;

/** The crank with its counters: input, output, teeth past every mesh, and when marks line up. */
public final class CrankBar extends HBox {
  /** Nobody turns a crank further than this. */
  private static final BigFraction FAR = BigFraction.of(1_000_000);

  private final Desk desk;
  private final Crank crank;
  private final Label inputName = Look.label("", "caption");
  private final Label input = Look.label("", "counter-value");
  private final Label outputName = Look.label("", "caption");
  private final Label output = Look.label("", "counter-value");
  private final FlowPane chips = new FlowPane();
  private final List<TeethChip> teeth = new ArrayList<>();
  private final List<Label> counters = new ArrayList<>();
  private List<String> shownMeshes = List.of();
  private final Label lineUp = new Label();
  private final Label toGo = Look.label("", "soft");
  private final Button run = new Button();
  private final Beat clock;

  public CrankBar(Desk desk) {
    this.desk = desk;
    this.crank = desk.crank();
    getStyleClass().add("crank-bar");
    input.setId("input-turns");
    output.setId("output-turns");
    lineUp.setId("line-up");
    HBox panel =
        new HBox(
            new CrankControl(crank),
            buttons(),
            counter(inputName, input),
            counter(outputName, output),
            teethCounters(),
            marks());
    panel.getStyleClass().addAll("panel", "crank-panel");
    HBox.setHgrow(panel, Priority.ALWAYS);
    getChildren().add(panel);
    desk.benchProperty().addListener(o -> rebuild());
    clock = new Beat(crank::advance);
    crank.countedProperty().addListener(o -> refresh());
    crank.runningProperty().addListener((o, old, now) -> showRunning(now));
    showRunning(false);
    rebuild();
  }

  private Node buttons() {
    run.setId("run");
    run.setOnAction(e -> crank.toggleRunning());
    run.setTooltip(new Tooltip("Let it turn slowly, or stop it (space)"));
    run.setPrefWidth(92);
    GridPane grid = new GridPane(5, 5);
    grid.add(step("\u2212 tooth", ",", e -> crank.tooth(-1)), 0, 0);
    grid.add(step("+ tooth", ".", e -> crank.tooth(1)), 1, 0);
    grid.add(step("\u2212 turn", "<", e -> crank.turn(-1)), 0, 1);
    grid.add(step("+ turn", ">", e -> crank.turn(1)), 1, 1);
    Button reset = step("to marks", "0", e -> crank.reset());
    reset.setTooltip(new Tooltip("Back to where all marks stand at twelve o'clock"));
    grid.add(run, 2, 0);
    grid.add(reset, 2, 1);
    grid.setAlignment(Pos.CENTER);
    return grid;
  }

  private static Button step(String words, String key, EventHandler<ActionEvent> action) {
    HBox face = new HBox(6, new Label(words), Look.label(key, "key"));
    face.setAlignment(Pos.CENTER);
    Button button = new Button();
    button.setGraphic(face);
    button.setAccessibleText(words);
    button.setFocusTraversable(false);
    button.setMaxWidth(Double.MAX_VALUE);
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setOnAction(action);
    return button;
  }

  private static Node counter(Label name, Label value) {
    VBox box = new VBox(2, name, value);
    box.setAlignment(Pos.CENTER_LEFT);
    box.setMinWidth(104);
    box.setPrefWidth(136);
    return box;
  }

  private Node teethCounters() {
    chips.getStyleClass().add("count-chips");
    ScrollPane scroll = new ScrollPane(chips);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setFocusTraversable(false);
    scroll.setPrefViewportHeight(50);
    scroll.setMinWidth(70);
    VBox box = new VBox(2, Look.label("Teeth past", "caption"), scroll);
    box.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(box, Priority.ALWAYS);
    return box;
  }

  private Node marks() {
    Label caution = Look.label("Mind your fingers at running gears", "caution");
    caution.setTooltip(
        new Tooltip(
            "Pinch points: keep hands, sleeves and hair clear of running gears and guard them."
                + " Local codes and licensed practice decide what is required."));
    VBox box = new VBox(1, Look.label("All marks line up", "caption"), lineUp, toGo, caution);
    box.setAlignment(Pos.CENTER_LEFT);
    box.setMinWidth(Region.USE_PREF_SIZE);
    return box;
  }

  /** The counter of one mesh. */
  private record TeethChip(Mesh mesh, Label value) {}

  private void rebuild() {
    List<Mesh> meshes = desk.bench().map(b -> b.card().train().meshes()).orElse(List.of());
    List<String> names = meshes.stream().map(CrankBar::name).toList();
    if (!names.equals(shownMeshes)) {
      shownMeshes = names;
      chips.getChildren().clear();
      counters.clear();
      names.forEach(this::addCounter);
    }
    teeth.clear();
    for (int k = 0; k < meshes.size(); k++) {
      teeth.add(new TeethChip(meshes.get(k), counters.get(k)));
    }
    Optional<Roles> roles = desk.bench().map(Bench::study).map(s -> s.motion().mechanism().roles());
    Optional<MemberId> drive =
        roles.flatMap(r -> r.drives().stream().findFirst()).map(Drive::member);
    inputName.setText("Input" + drive.map(id -> " " + Sign.shortName(id)).orElse(""));
    outputName.setText("Output" + take(roles).map(id -> " " + Sign.shortName(id)).orElse(""));
    refresh();
  }

  private void addCounter(String name) {
    Label value = new Label();
    value.setMinWidth(46);
    counters.add(value);
    chips.getChildren().add(new HBox(5, Look.label(name, "soft"), value));
  }

  private static String name(Mesh mesh) {
    return Sign.shortName(mesh.a()) + " ~ " + Sign.shortName(mesh.b());
  }

  private static Optional<MemberId> take(Optional<Roles> roles) {
    return roles.flatMap(Roles::take).map(Take::member);
  }

  private void refresh() {
    Optional<TurnCount> count = crank.count();
    boolean free = crank.isFree();
    input.setText(free ? Sign.turns(crank.countedTurns()) : Sign.DASH);
    Optional<MemberId> take =
        take(desk.bench().map(Bench::study).map(s -> s.motion().mechanism().roles()));
    output.setText(count.flatMap(c -> take.flatMap(c::turns)).map(Sign::turns).orElse(Sign.DASH));
    for (TeethChip chip : teeth) {
      chip.value.setText(
          count.flatMap(c -> c.teethPassed(chip.mesh)).map(CrankBar::teethText).orElse(Sign.DASH));
    }
    lineUp.setText(crank.lineUp().map(CrankBar::everyTurns).orElse(Sign.DASH));
    toGo.setText(
        crank
            .toNextLineUp()
            .filter(turns -> turns.compareTo(FAR) < 0)
            .map(turns -> Sign.turns(turns) + " to go")
            .orElse(""));
  }

  private static String everyTurns(BigInteger turns) {
    return turns.equals(BigInteger.ONE)
        ? "after every input turn"
        : "every " + Sign.count(turns) + " input turns";
  }

  private static String teethText(BigFraction count) {
    return Exact.decimal(count, Exact.isWhole(count) ? 0 : 1).toPlainString();
  }

  private void showRunning(boolean running) {
    HBox face =
        new HBox(6, (running ? Icon.PAUSE : Icon.RUN).node(), new Label(running ? "stop" : "run"));
    face.setAlignment(Pos.CENTER);
    run.setGraphic(face);
    run.setAccessibleText(running ? "Stop the crank" : "Let the crank run");
    if (running) {
      clock.start();
    } else {
      clock.stop();
    }
  }
}
