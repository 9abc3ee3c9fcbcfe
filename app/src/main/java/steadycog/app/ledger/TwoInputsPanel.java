package steadycog.app.ledger;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.VBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.desk.Preferences;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.study.Study;
import steadycog.study.TwoInputs;
import steadycog.study.TwoInputs.Powers;
import steadycog.train.Drive;

/** With two drives: the output over the second one's speed, and a slider to set it. */
final class TwoInputsPanel extends VBox {
  /** The slider moves in thousandths of the unit. */
  private static final int STEPS = 1000;

  private final Desk desk;
  private final Label formula = new Label();
  private final Label points = Look.label("", "soft");
  private final Slider slider = new Slider();
  private final SpeedLine line = new SpeedLine();
  private final PowerLine sweep = new PowerLine();
  private final PanelTable power = new PanelTable();
  private final Label powers = new Label();
  private boolean showing;

  TwoInputsPanel(Desk desk) {
    this.desk = desk;
    getStyleClass().addAll("panel", "working");
    setId("two-inputs");
    formula.setWrapText(true);
    points.setWrapText(true);
    slider.setId("second-speed");
    slider.setAccessibleText("Speed of the second input");
    slider.valueProperty().addListener(o -> slid());
    slider.valueChangingProperty().addListener((o, was, is) -> endDrag(is));
    powers.setWrapText(true);
    powers.setId("input-powers");
    getChildren()
        .addAll(
            Look.label("Two inputs", "caption"),
            formula,
            line,
            slider,
            points,
            sweep,
            power,
            powers);
    desk.benchProperty().addListener(o -> show());
    desk.preferencesProperty().addListener(o -> show());
    show();
  }

  private void endDrag(boolean dragging) {
    if (!dragging) {
      desk.endStrand();
      show();
    }
  }

  private void show() {
    Optional<TwoInputs> inputs = desk.bench().map(Bench::study).flatMap(Study::twoInputs);
    setVisible(inputs.isPresent());
    setManaged(inputs.isPresent());
    inputs.ifPresent(this::show);
  }

  private void show(TwoInputs inputs) {
    Unit unit = inputs.second().statedSpeed().unit();
    double first = inputs.first().angularSpeed().in(unit);
    double second = inputs.second().angularSpeed().in(unit);
    Unit seen = desk.preferences().speed();
    double times = unit.inBase() / seen.inBase();
    String one = Sign.shortName(inputs.first().member());
    String two = Sign.shortName(inputs.second().member());
    String out = Sign.shortName(inputs.output());
    formula.setText(
        out
            + " = "
            + Sign.exact(inputs.a())
            + " \u00d7 "
            + one
            + " + "
            + (inputs.b().signum() < 0
                ? "(" + Sign.exact(inputs.b()) + ")"
                : Sign.exact(inputs.b()))
            + " \u00d7 "
            + two);
    Optional<Double> stop = inputs.stop().map(share -> share.doubleValue() * first);
    points.setText(
        stop.map(
                    at ->
                        out
                            + " stops at "
                            + two
                            + " "
                            + Sign.number(at * times)
                            + " "
                            + seen.symbol()
                            + " and is reversed beyond; ")
                .orElse("")
            + (inputs.direct()
                ? "direct at " + Sign.number(first * times) + " " + seen.symbol() + "."
                : ""));
    showPowers(inputs, first, second, unit);
    double reach = Math.max(1.4 * Math.abs(first), Math.max(1.3 * Math.abs(stop.orElse(0.0)), 0.1));
    showing = true;
    if (!slider.isValueChanging()) {
      reach = Math.max(reach, 1.15 * Math.abs(second));
      slider.setMax(reach);
      slider.setMin(-reach);
      slider.setBlockIncrement(reach / 50);
    }
    slider.setValue(second);
    slider.setAccessibleText("Speed of " + two + " in " + unit.symbol());
    showing = false;
    line.show(inputs, first * times, second * times, slider.getMax() * times, seen);
    sweep.show(inputs, first * times, second * times, slider.getMax() * times, seen);
  }

  /** An input with its torque and power, with losses and without. */
  private void addInput(Drive input, double idealTorque, double idealPower) {
    Study study = desk.bench().map(Bench::study).orElseThrow();
    Preferences shown = desk.preferences();
    Optional<Double> torque =
        study
            .torques()
            .external(input.member())
            .map(known -> known.doubleValue() / shown.torque().inBase());
    Optional<Double> watts =
        study.power(input.member()).map(known -> known / shown.power().inBase());
    power.row(
        new Label(Sign.shortName(input.member())),
        PanelTable.figure(torque.map(Sign::number).orElse(Sign.DASH)),
        PanelTable.figure(Sign.number(idealTorque)),
        PanelTable.figure(watts.map(Sign::number).orElse(Sign.DASH)),
        PanelTable.figure(Sign.number(idealPower)),
        PanelTable.figure(way(idealPower)));
  }

  /** Torque and power of each input as they are now and over the sweep, with the load as it is. */
  private void showPowers(TwoInputs inputs, double first, double second, Unit unit) {
    power.clear();
    Optional<Powers> now = inputs.powers(first, second, unit);
    Optional<List<BigFraction>> torques = inputs.torques();
    Look.show(power, now.isPresent());
    Look.show(powers, now.isPresent());
    if (now.isEmpty() || torques.isEmpty()) {
      return;
    }
    Preferences shown = desk.preferences();
    double nm = shown.torque().inBase();
    double watt = shown.power().inBase();
    power.row(
        new Label(""),
        PanelTable.head(shown.torque().symbol(), "Torque from outside, with losses"),
        PanelTable.head("none lost", "The same were nothing lost, as in the lines above"),
        PanelTable.head(shown.power().symbol(), "Positive enters, negative leaves; with losses"),
        PanelTable.head("none lost", "The same were nothing lost"),
        PanelTable.head("", ""));
    addInput(inputs.first(), torques.get().getFirst().doubleValue() / nm, now.get().first() / watt);
    addInput(
        inputs.second(), torques.get().getLast().doubleValue() / nm, now.get().second() / watt);
    String brakes =
        torques.get().getLast().signum() == 0
            ? ""
            : Sign.shortName(inputs.second().member())
                + " brakes while it turns "
                + (torques.get().getLast().signum() > 0 ? "clockwise" : "counter-clockwise")
                + ". ";
    double circulating = now.get().circulating();
    powers.setText(
        brakes
            + (circulating == 0
                ? "No power circulates now."
                : Sign.number(circulating / watt)
                    + " "
                    + shown.power().symbol()
                    + " go in at one input and come back at the other."));
  }

  private static String way(double watts) {
    return watts > 0 ? "drives" : watts < 0 ? "brakes" : "rests";
  }

  private void slid() {
    Optional<TwoInputs> inputs = desk.bench().map(Bench::study).flatMap(Study::twoInputs);
    if (showing || inputs.isEmpty()) {
      return;
    }
    Unit unit = inputs.get().second().statedSpeed().unit();
    double finest = Math.pow(10, Math.floor(Math.log10(slider.getMax()))) / STEPS;
    BigFraction step =
        finest >= 1 ? BigFraction.ONE : Exact.of(1, Math.round(Math.min(1e9, 1 / finest)));
    BigFraction speed =
        step.multiply(Math.toIntExact(Math.round(slider.getValue() / step.doubleValue())));
    desk.train().driveSecond(new Quantity(speed, unit));
  }
}
