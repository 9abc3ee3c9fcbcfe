package steadycog.app.crank;

import java.math.BigInteger;
import java.util.Optional;
import javafx.event.ActionEvent;
import javafx.event.EventHandler;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
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
import steadycog.app.look.Flow;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.motion.TurnCount;
import steadycog.train.Drive;
import steadycog.train.MemberId;
import steadycog.train.Roles;
import steadycog.train.Take;

/** The crank, a slim band over the drawing: input, output, and when all marks line up. */
public final class CrankBar extends HBox {
  /** Nobody turns a crank further than this. */
  private static final BigFraction FAR = BigFraction.of(1_000_000);

  private static final double AFTER = 16;

  private final Desk desk;
  private final Crank crank;
  private final Label inputName = Look.label("", "caption");
  private final Label input = Look.label("", "counter-value");
  private final Label outputName = Look.label("", "caption");
  private final Label output = Look.label("", "counter-value");
  private final Flow band = new Flow();
  private final Label lineUp = new Label();
  private final Label toGo = Look.label("", "soft");
  private final VBox marks = new VBox(1, lineUp, toGo);
  private final Button run = new Button();
  private final Beat clock;

  public CrankBar(Desk desk) {
    this.desk = desk;
    this.crank = desk.crank();
    getStyleClass().add("crank-bar");
    input.setId("input-turns");
    output.setId("output-turns");
    lineUp.setId("line-up");
    band.getChildren()
        .addAll(new CrankControl(crank), buttons(), Look.styled(counters(), "crank-counters"));
    marks.setAlignment(Pos.CENTER_LEFT);
    marks.setManaged(false);
    toGo.textProperty().addListener(o -> requestLayout());
    Tooltip.install(
        marks,
        new Tooltip(
            "Input turns after which all marks stand at twelve o\u2019clock together again"));
    HBox.setHgrow(band, Priority.ALWAYS);
    getChildren().addAll(band, marks);
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
    run.setMaxWidth(Double.MAX_VALUE);
    GridPane grid = new GridPane(4, 4);
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
    HBox face = new HBox(5, new Label(words), Look.label(key, "key"));
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

  /** Input over output, each with its name. */
  private Node counters() {
    GridPane grid = new GridPane(8, 0);
    grid.addRow(0, inputName, input);
    grid.addRow(1, outputName, output);
    grid.setAlignment(Pos.CENTER_LEFT);
    for (Label value : new Label[] {input, output}) {
      GridPane.setHalignment(value, HPos.RIGHT);
      value.setMinWidth(USE_PREF_SIZE);
    }
    return grid;
  }

  /** In a narrow window, or with large text, the marks' count steps back for the drawing. */
  @Override
  protected void layoutChildren() {
    super.layoutChildren();
    double from = getInsets().getLeft() + band.prefWidth(-1) + AFTER;
    double wide = marks.prefWidth(-1);
    marks.setVisible(from + wide + getInsets().getRight() <= getWidth());
    double high = marks.prefHeight(-1);
    marks.resizeRelocate(from, snapPositionY((getHeight() - high) / 2), wide, high);
  }

  private void rebuild() {
    Optional<Roles> roles = desk.bench().map(Bench::study).map(s -> s.motion().mechanism().roles());
    Optional<MemberId> drive =
        roles.flatMap(r -> r.drives().stream().findFirst()).map(Drive::member);
    inputName.setText("in" + drive.map(id -> " " + Sign.shortName(id)).orElse(""));
    outputName.setText("out" + take(roles).map(id -> " " + Sign.shortName(id)).orElse(""));
    refresh();
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
        ? "marks every turn"
        : "marks every " + Sign.count(turns) + " turns";
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
