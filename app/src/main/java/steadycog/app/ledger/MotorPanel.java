package steadycog.app.ledger;

import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Icon;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.app.look.Typed;
import steadycog.notation.MotorText;
import steadycog.notation.QuantityText;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.study.MotorPoint;
import steadycog.study.MotorShelf;
import steadycog.study.MotorShelf.Shelved;
import steadycog.study.Study;
import steadycog.train.Drive;
import steadycog.train.Motor;
import steadycog.train.Roles;

/** A motor at the drive and a load at the take-off: where they meet, and whether it starts. */
final class MotorPanel extends VBox {
  private static final int DIGITS = 3;
  private static final String NONE = "no motor";
  private static final String OWN = "typed";

  private final Desk desk;
  private final ComboBox<String> shelf = new ComboBox<>();
  private final TextField typed = new TextField();
  private final TextField load = new TextField();
  private final Label bad = Look.label("", "bad-word");
  private final Label ends = Look.label("Motor", "caption");
  private final Label loadWord = new Label("load");
  private final MotorPlot plot = new MotorPlot();
  private final Label verdict = new Label();
  private final Label caution =
      Look.label("A stalled motor heats up fast and pulls its full current: fuse it.", "caution");
  private final Button run = Look.styled(new Button("Run at this speed"), "cure");
  private Optional<MotorPoint> point = Optional.empty();
  private boolean showing;

  MotorPanel(Desk desk) {
    this.desk = desk;
    getStyleClass().addAll("panel", "working");
    setId("motor");
    shelf.setId("motor-shelf");
    shelf.getItems().add(NONE);
    MotorShelf.all().forEach(one -> shelf.getItems().add(one.name()));
    shelf.getItems().add(OWN);
    shelf.setAccessibleText("Made-up motors to try, or one of your own");
    shelf.setTooltip(new Tooltip("Made-up motors to try, from weak to strong"));
    shelf.setOnAction(e -> takeShelved());
    set(typed, "motor-typed", 13, "0.42 Nm 5200 rpm", "Stall torque and no-load speed");
    Typed.on(typed, this::takeTyped, this::complain, desk.inViewProperty());
    set(
        load,
        "motor-load",
        7,
        "left to the drive",
        "Torque or power that the driven machine asks for");
    Typed.on(load, this::takeLoad, this::complain, desk.inViewProperty());
    verdict.setWrapText(true);
    verdict.setId("motor-verdict");
    bad.setWrapText(true);
    Look.show(bad, false);
    caution.setGraphic(Icon.WARNING.node());
    caution.setWrapText(true);
    run.setId("motor-run");
    run.setTooltip(new Tooltip("The drive's speed becomes that of the motor under this load"));
    run.setOnAction(e -> point.ifPresent(at -> desk.train().run(at.running())));
    HBox head = new HBox(8, ends, shelf, typed);
    head.setAlignment(Pos.CENTER_LEFT);
    HBox loaded = new HBox(8, loadWord, load, run);
    loaded.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(head, loaded, bad, plot, verdict, caution);
    Later later = Later.whenQuiet(this::show);
    desk.benchProperty().addListener(o -> later.ask());
    desk.preferencesProperty().addListener(o -> show());
    show();
  }

  private static void set(TextField field, String id, int columns, String prompt, String help) {
    field.setId(id);
    field.setPrefColumnCount(columns);
    field.setPromptText(prompt);
    field.setAccessibleText(help);
    field.setTooltip(new Tooltip(help + "; Enter takes it"));
  }

  private void show() {
    Optional<Study> study = desk.bench().map(Bench::study);
    Optional<Roles> roles =
        study
            .map(s -> s.motion().mechanism().roles())
            .filter(r -> r.drives().size() == 1 && r.take().isPresent());
    Look.show(this, roles.isPresent());
    if (roles.isPresent()) {
      showing = true;
      fill(study.orElseThrow(), roles.get());
      showing = false;
    }
  }

  private void fill(Study study, Roles roles) {
    Drive drive = roles.drives().getFirst();
    Optional<Motor> motor = drive.motor();
    ends.setText("Motor at " + Sign.shortName(drive.member()));
    loadWord.setText("load at " + Sign.shortName(roles.take().orElseThrow().member()));
    shelf.setValue(motor.map(MotorPanel::name).orElse(NONE));
    Typed.show(typed, motor.map(m -> m.stall() + " " + m.free()).orElse(""));
    Typed.show(load, roles.take().orElseThrow().load().map(Quantity::toString).orElse(""));
    point = study.motorPoint();
    Look.show(plot, point.isPresent());
    Look.show(run, point.filter(at -> at.speed() > 0).isPresent());
    Look.show(verdict, motor.isPresent());
    boolean little = point.filter(at -> at.verdict() != MotorPoint.Verdict.RUNS).isPresent();
    Look.show(caution, little);
    point.ifPresent(at -> plot.show(at, desk.preferences()));
    verdict.setText(point.map(this::words).orElse("No torque follows for the motor to give."));
  }

  private static String name(Motor motor) {
    return MotorShelf.all().stream()
        .filter(one -> one.motor().equals(motor))
        .map(Shelved::name)
        .findFirst()
        .orElse(OWN);
  }

  private String words(MotorPoint at) {
    Unit speed = desk.preferences().speed();
    String needs = "It takes " + torque(at.needed()) + " of " + torque(at.motor().stall().inBase());
    String start =
        at.toStart()
            .map(nm -> torque(nm) + " to start (meshes at rest taken as half as much again)")
            .orElse("no torque would start it: at rest the meshes lock");
    return switch (at.verdict()) {
      case STALLS -> "Stalls. " + needs + "; " + start + ".";
      case NO_START ->
          "Does not start under this load, though it would run. " + needs + "; " + start + ".";
      case BARELY, RUNS ->
          (at.verdict() == MotorPoint.Verdict.BARELY
                  ? "Starts with little to spare. "
                  : "Runs at "
                      + rounded(at.speed() / speed.inBase())
                      + " "
                      + speed.symbol()
                      + ", output "
                      + rounded(at.output() / speed.inBase())
                      + ". ")
              + needs
              + ", "
              + start
              + ". Out comes "
              + watts(at.out())
              + ", "
              + watts(at.lost())
              + " is heat in the meshes.";
    };
  }

  private String torque(double nm) {
    Unit unit = desk.preferences().torque();
    return rounded(nm / unit.inBase()) + " " + unit.symbol();
  }

  private static String rounded(double value) {
    return Figures.typeset(Figures.significant(value, DIGITS));
  }

  private String watts(double watts) {
    Unit unit = desk.preferences().power();
    return rounded(watts / unit.inBase()) + " " + unit.symbol();
  }

  private void takeShelved() {
    String name = shelf.getValue();
    if (showing || name == null) {
      return;
    }
    if (name.equals(OWN)) {
      typed.requestFocus();
      return;
    }
    List<Shelved> all = MotorShelf.all();
    desk.train()
        .turnBy(
            all.stream().filter(one -> one.name().equals(name)).map(Shelved::motor).findFirst());
    show();
  }

  private Optional<String> takeTyped(String text) {
    Optional<Motor> motor = MotorText.read(text);
    if (motor.isEmpty() && !text.isEmpty()) {
      return Optional.of("Not a motor: type stall torque and no-load speed, as 0.42 Nm 5200 rpm.");
    }
    desk.train().turnBy(motor);
    Platform.runLater(this::show);
    return Optional.empty();
  }

  private Optional<String> takeLoad(String text) {
    Optional<Quantity> asked =
        QuantityText.read(text, Unit.Dimension.TORQUE)
            .or(() -> QuantityText.read(text, Unit.Dimension.POWER));
    if (asked.isEmpty() && !text.isEmpty()) {
      return Optional.of(
          "Not a load: type a torque or a power, as 40 Nm or 50 W; left empty the drive decides.");
    }
    desk.train().load(asked);
    Platform.runLater(this::show);
    return Optional.empty();
  }

  private void complain(Optional<String> words) {
    bad.setText(words.orElse(""));
    Look.show(bad, words.isPresent());
  }
}
