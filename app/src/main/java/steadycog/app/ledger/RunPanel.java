package steadycog.app.ledger;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.desk.Simulation;
import steadycog.app.look.Beat;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.OneOf;
import steadycog.app.look.Sign;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.study.Regulation;
import steadycog.study.Regulation.Course;

/**
 * Holding an output constant: the second input controlled, ideally or within a limit, beside one
 * that is geared from the first, in the same plot.
 */
final class RunPanel extends VBox {
  private static final int STEPS = 400;
  private static final double LEAST = 1e-9;

  private final Desk desk;
  private final Simulation simulation;
  private final Label words = new Label();
  private final TextField wanted =
      field("wanted-output", "now", "Speed that the output shall keep");
  private final TextField limit =
      field("second-limit", "no limit", "The fastest that the second input can turn");
  private final Label unitOne = new Label();
  private final Label unitTwo = new Label();
  private final Button set = Look.styled(new Button("Set input 2"), "cure");
  private final Button run = Look.styled(new Button("Run"), "cure");
  private final RunPlot plot = new RunPlot();
  private final Label verdict = new Label();
  private final Label bad = Look.label("", "bad-word", "small");

  RunPanel(Desk desk) {
    this.desk = desk;
    simulation = desk.simulation();
    getStyleClass().addAll("panel", "working");
    setId("regulation");
    for (Label label : new Label[] {words, verdict, bad}) {
      label.setWrapText(true);
    }
    verdict.setId("run-verdict");
    set.setId("set-second");
    set.setTooltip(new Tooltip("Drive the second input so that the output turns as wanted"));
    set.setOnAction(
        e ->
            simulation
                .secondForWanted()
                .ifPresent(
                    rpm -> {
                      desk.train().driveSecond(new Quantity(rpm, Unit.RPM));
                      desk.endStrand();
                    }));
    run.setId("run-simulation");
    run.setTooltip(new Tooltip("Twenty seconds of a made-up course, while the train turns"));
    run.setOnAction(e -> simulation.toggle());
    HBox first = row(new Label("keep the output at"), wanted, unitOne, set);
    HBox second = row(new Label("input 2 up to"), limit, unitTwo, run);
    HBox courses = row(new Label("input 1 runs as"));
    OneOf group = new OneOf();
    for (Course course : Course.values()) {
      ToggleButton chip = Look.styled(new ToggleButton(course.word()), "chip");
      chip.setId("course-" + course.word());
      chip.setToggleGroup(group);
      chip.setOnAction(e -> simulation.courseProperty().set(course));
      simulation.courseProperty().subscribe(now -> chip.setSelected(now == course));
      courses.getChildren().add(chip);
    }
    getChildren()
        .addAll(
            Look.label("Holding the output", "caption"),
            words,
            first,
            second,
            bad,
            courses,
            plot,
            verdict);
    read(wanted, value -> simulation.wantedProperty().set(value));
    read(limit, value -> simulation.limitProperty().set(value.map(Math::abs)));
    Later later = Later.whenQuiet(this::show);
    desk.benchProperty().addListener(o -> later.ask());
    desk.preferencesProperty().addListener(o -> later.ask());
    simulation.courseProperty().addListener(o -> show());
    simulation.wantedProperty().addListener(o -> show());
    simulation.limitProperty().addListener(o -> show());
    simulation.secondsProperty().addListener(o -> plot.at(simulation.secondsProperty().get()));
    Beat beat = new Beat(simulation::advance);
    simulation
        .runningProperty()
        .addListener(
            (o, was, is) -> {
              run.setText(is ? "Stop" : "Run");
              if (is) {
                beat.start();
              } else {
                beat.stop();
              }
            });
    show();
  }

  private static TextField field(String id, String prompt, String help) {
    TextField field = new TextField();
    field.setId(id);
    field.setPromptText(prompt);
    field.setPrefColumnCount(6);
    field.setAccessibleText(help);
    field.setTooltip(new Tooltip(help));
    return field;
  }

  private static HBox row(Node... nodes) {
    HBox row = new HBox(6, nodes);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** A number in the speed unit of the window; an empty field takes it back. */
  private void read(TextField field, Consumer<Optional<Double>> taken) {
    field
        .textProperty()
        .addListener(
            (o, old, text) -> {
              String typed = text.strip().replace(Sign.MINUS, "-");
              boolean number = Exact.isNumber(typed);
              bad.setText(
                  number || typed.isEmpty()
                      ? ""
                      : "\u201c" + typed + "\u201d is no number: write one such as 12.5 or -3");
              Look.show(bad, !bad.getText().isEmpty());
              if (number) {
                double inUnit = Exact.parse(typed).doubleValue();
                taken.accept(Optional.of(inUnit * desk.preferences().speed().inBase()));
              } else if (typed.isEmpty()) {
                taken.accept(Optional.empty());
              }
            });
  }

  private void show() {
    Optional<Regulation> regulation = simulation.regulation();
    Look.show(this, regulation.isPresent());
    Look.show(bad, !bad.getText().isEmpty());
    regulation.ifPresent(this::show);
  }

  private void show(Regulation regulation) {
    boolean geared = simulation.isGeared();
    String unit = desk.preferences().speed().symbol();
    unitOne.setText(unit);
    unitTwo.setText(unit);
    String one = Sign.shortName(regulation.line().first().member());
    String two = Sign.shortName(regulation.line().second().member());
    String out = Sign.shortName(regulation.line().output());
    Look.show(set, !geared);
    words.setText(
        geared
            ? "This train gears "
                + two
                + " from "
                + one
                + ": one degree of freedom, a fixed ratio. The green line is what a "
                + two
                + " driven on its own could do."
            : two
                + " is controlled so that "
                + out
                + " keeps its speed. Geared from "
                + one
                + " instead (at "
                + Sign.number(regulation.gearing())
                + " turns a turn) the output would only follow.");
    plot.show(regulation);
    verdict.setText(verdict(regulation, unit));
  }

  private String verdict(Regulation run, String unit) {
    double factor = desk.preferences().speed().inBase();
    double worst = run.worst(STEPS);
    String controlled =
        worst <= LEAST * Math.max(1, Math.abs(run.wanted()))
            ? "Controlled: the output stays at "
                + Sign.number(run.wanted() / factor)
                + " "
                + unit
                + "."
            : "Controlled, within the limit: the output leaves "
                + Sign.number(run.wanted() / factor)
                + " "
                + unit
                + " by up to "
                + Sign.number(worst / factor)
                + ".";
    return controlled
        + " Geared: it follows from "
        + Sign.number(extreme(run, false) / factor)
        + " to "
        + Sign.number(extreme(run, true) / factor)
        + " "
        + unit
        + ".";
  }

  private static double extreme(Regulation run, boolean most) {
    var geared = run.run(STEPS).stream().mapToDouble(Regulation.Moment::geared);
    return most ? geared.max().orElse(0) : geared.min().orElse(0);
  }
}
