package steadycog.app.ledger;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.number.AngularSpeed;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.study.Bend;
import steadycog.study.Study;
import steadycog.train.Differential;
import steadycog.train.Drive;
import steadycog.train.MemberId;

/** A differential: mean and difference of its sides, its torques, and a bend to go round. */
final class DifferentialPanel extends VBox {
  private final Desk desk;
  private final VBox figures = new VBox(3);
  private final TextField track = field("track", "1.2", "Distance between the wheels");
  private final TextField radius =
      field("bend-radius", "6", "Radius of the bend to the middle of the track; minus bends right");
  private final Label sides = new Label();
  private final Button drive = Look.styled(new Button("Drive the left so"), "cure");
  private Optional<BigFraction> left = Optional.empty();

  DifferentialPanel(Desk desk) {
    super(6);
    this.desk = desk;
    getStyleClass().addAll("panel", "working");
    setId("differential");
    sides.setId("bend-sides");
    sides.setWrapText(true);
    drive.setId("drive-bend");
    drive.setTooltip(
        new Tooltip("The left side becomes the second drive, at the speed of the bend"));
    drive.setOnAction(e -> driveLeft());
    HBox bend =
        new HBox(6, new Label("track"), track, new Label("bend"), radius, new Label("m"), drive);
    bend.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(Look.label("Differential", "caption"), figures, bend, sides);
    track.textProperty().addListener(o -> showBend());
    radius.textProperty().addListener(o -> showBend());
    Later later = Later.whenQuiet(this::show);
    desk.benchProperty().addListener(o -> later.ask());
    desk.preferencesProperty().addListener(o -> later.ask());
    show();
  }

  private static TextField field(String id, String value, String help) {
    TextField field = new TextField(value);
    field.setId(id);
    field.setPrefColumnCount(4);
    field.setAccessibleText(help);
    field.setTooltip(new Tooltip(help));
    return field;
  }

  private Optional<Differential> part() {
    return desk.bench()
        .flatMap(bench -> bench.card().train().parts(Differential.class).stream().findFirst());
  }

  private void show() {
    Optional<Differential> part = part();
    Look.show(this, part.isPresent());
    part.ifPresent(sidesOf -> fill(desk.bench().map(Bench::study).orElseThrow(), sidesOf));
  }

  private void fill(Study study, Differential part) {
    figures.getChildren().clear();
    Optional<Double> caseSpeed = speed(study, part.caseId());
    Optional<Double> l = speed(study, part.leftId());
    Optional<Double> r = speed(study, part.rightId());
    String unit = desk.preferences().speed().symbol();
    if (l.isPresent() && r.isPresent() && caseSpeed.isPresent()) {
      add(
          "case "
              + Sign.number(caseSpeed.get())
              + " "
              + unit
              + " = mean of left "
              + Sign.number(l.get())
              + " and right "
              + Sign.number(r.get()));
      double onPin = (l.get() - caseSpeed.get()) * part.side() / part.spider();
      add("each spider turns on its pin at " + Sign.number(Math.abs(onPin)) + " " + unit);
    } else {
      add("The case turns at the mean of both sides: drive or hold two of the three.");
    }
    study
        .loading()
        .ideal()
        .carried(part.caseId())
        .ifPresent(
            nm ->
                add(
                    "each side gets half the torque of the case, "
                        + Sign.number(nm.doubleValue() / 2 / desk.preferences().torque().inBase())
                        + " "
                        + desk.preferences().torque().symbol()
                        + ", ideally; one side off the ground takes the other\u2019s away"));
    showBend();
  }

  private Optional<Double> speed(Study study, MemberId member) {
    return study.motion().speed(member).map(known -> known.in(desk.preferences().speed()));
  }

  /** Speeds of the sides in a bend while the case turns as it does. */
  private void showBend() {
    left = Optional.empty();
    Optional<Differential> part = part();
    if (part.isEmpty()) {
      return;
    }
    String bad = bad(track, "track").or(() -> bad(radius, "bend")).orElse("");
    Study study = desk.bench().map(Bench::study).orElseThrow();
    Optional<AngularSpeed> caseSpeed = study.motion().speed(part.get().caseId());
    drive.setDisable(true);
    if (!bad.isEmpty() || caseSpeed.isEmpty()) {
      sides.setText(bad.isEmpty() ? "Drive the case to see a bend." : bad);
      return;
    }
    Bend bend = new Bend(number(track), number(radius));
    Unit unit = desk.preferences().speed();
    double mean = caseSpeed.get().in(unit);
    sides.setText(
        "left "
            + Sign.number(mean * bend.left().doubleValue())
            + ", right "
            + Sign.number(mean * bend.right().doubleValue())
            + " "
            + unit.symbol()
            + " while the case keeps "
            + Sign.number(mean));
    left = caseSpeed.get().exactIn(Unit.RPM).map(rpm -> rpm.multiply(bend.left()));
    drive.setDisable(left.isEmpty());
  }

  private static BigFraction number(TextField field) {
    return Exact.parse(typed(field));
  }

  private static String typed(TextField field) {
    return field.getText().strip().replace(Sign.MINUS, "-");
  }

  private static Optional<String> bad(TextField field, String what) {
    boolean number = Exact.isNumber(typed(field));
    return number && Exact.parse(typed(field)).signum() != 0
        ? Optional.empty()
        : Optional.of(what + ": write a length in m such as 1.2, not 0");
  }

  private void driveLeft() {
    Optional<Differential> part = part();
    if (part.isPresent() && left.isPresent()) {
      desk.train()
          .driveAlso(
              new Drive(
                  part.get().leftId(),
                  Optional.of(new Quantity(left.get(), Unit.RPM)),
                  Optional.empty()));
    }
  }

  private void add(String words) {
    Label label = new Label(words);
    label.setWrapText(true);
    figures.getChildren().add(label);
  }
}
