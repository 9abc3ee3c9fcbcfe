package steadycog.app.ledger;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Kept;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.number.Ratio;
import steadycog.shape.CycloidGeometry;
import steadycog.study.Arrangements;
import steadycog.study.Arrangements.Arrangement;
import steadycog.study.Creep;
import steadycog.study.Study;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;

/**
 * Cycloidal and strain wave drives: both ways to mount them side by side, and the creep of teeth.
 */
final class DrivePanel extends VBox {
  private static final double MOST_TIMES = 10;

  private final Desk desk;
  private final Slider times = new Slider(1, MOST_TIMES, 1);
  private final Label drawn = new Label();
  private final HBox exaggeration;

  DrivePanel(Desk desk) {
    this.desk = desk;
    getStyleClass().addAll("panel", "working");
    setId("drive");
    times.setId("exaggeration");
    times.setBlockIncrement(1);
    times.setAccessibleText("Deflection of the flexspline in the drawing, times its true size");
    times.setTooltip(new Tooltip("How far out of round the flexspline is drawn"));
    times.valueProperty().bindBidirectional(desk.exaggerationProperty());
    times.valueProperty().addListener(o -> sayTimes());
    HBox.setHgrow(times, Priority.ALWAYS);
    exaggeration = new HBox(10, drawn, times);
    drawn.setMinWidth(USE_PREF_SIZE);
    sayTimes();
    Later later = Later.whenQuiet(this::show);
    desk.benchProperty().addListener(o -> later.ask());
    desk.preferencesProperty().addListener(o -> later.ask());
    show();
  }

  private void sayTimes() {
    double value = times.getValue();
    drawn.setText(
        value == 1
            ? "Deflection drawn true"
            : "Deflection drawn " + Sign.number(Math.round(value * 10) / 10.0) + " times");
  }

  private void show() {
    List<Node> now = new ArrayList<>();
    desk.bench().map(Bench::study).ifPresent(study -> fill(now, study));
    Kept.show(this, now);
    Look.show(this, !now.isEmpty());
  }

  private void fill(List<Node> now, Study study) {
    for (Part part : study.train().parts()) {
      switch (part) {
        case Cycloidal drive -> {
          addArrangements(now, "Take it off at the disc or at the ring: they differ by one", part);
          addCreep(now, study, drive);
          addSizes(now, drive);
        }
        case StrainWave drive -> {
          addArrangements(now, "A nominal ratio holds for one mounting only", part);
          addNominal(now, drive);
          addCreep(now, study, drive);
          now.add(exaggeration);
        }
        case Parallel _, Planetary _, Bevel _, Differential _, Shaft _ -> {}
      }
    }
  }

  private static void addArrangements(List<Node> now, String title, Part part) {
    PanelTable table = new PanelTable();
    table.row(
        new Label(""),
        PanelTable.head("i = in / out", "Reduction ratio, minus: the other way"),
        PanelTable.head("output a turn", "Degrees of the output for one turn of the input"),
        PanelTable.head("a turn of output", "Turns of the input for one turn of the output"));
    for (Arrangement one : Arrangements.of(part)) {
      BigFraction i = one.ratio().reduction();
      table.row(
          new Label(Sign.ownName(one.hold()) + " held, " + Sign.ownName(one.take()) + " out"),
          PanelTable.figure(Sign.exact(i) + way(one.ratio())),
          PanelTable.figure(Sign.number(360 / i.doubleValue()) + "\u00b0"),
          PanelTable.figure(Sign.exact(i.abs()) + " t"));
    }
    now.add(Look.label(title, "caption"));
    now.add(table);
  }

  private static String way(Ratio ratio) {
    return ratio.sameDirection() ? "  same" : "  opposite";
  }

  private static void addNominal(List<Node> now, StrainWave drive) {
    BigFraction nominal = BigFraction.of(drive.flex(), drive.difference());
    add(
        now,
        "Nominal "
            + Sign.exact(nominal)
            + " = teeth of the flexspline over the difference: makers usually mean the circular"
            + " spline held and the flexspline taken off, opposite. Mounted the other way round it"
            + " is one more, same direction.");
    add(
        now,
        drive.sizes().mount() == StrainWave.Mount.CUP
            ? "Cup: closed to a shaft, the shorter mount. A hat has the same ratio."
            : "Hat: flange outwards, a large bore through the middle. A cup has the same ratio.");
  }

  /** How far teeth have crept past each other, in words that can be counted. */
  private static void addCreep(List<Node> now, Study study, Part part) {
    Creep creep = Creep.of(part).orElseThrow();
    boolean driven = study.motion().turnsPerInputTurn(creep.fast()).isPresent();
    add(now, creep.words() + (driven ? "" : " Drive something to see it."));
  }

  private void addSizes(List<Node> now, Cycloidal drive) {
    CycloidGeometry geometry = new CycloidGeometry(drive);
    double unit = desk.preferences().length().inBase();
    String symbol = desk.preferences().length().symbol();
    PanelTable table = new PanelTable();
    table.row(
        new Label("pin circle, pin"),
        PanelTable.figure(length(2 * geometry.circleRadius() / unit)),
        PanelTable.figure(length(2 * geometry.pinRadius() / unit)));
    table.row(
        new Label("eccentricity, K"),
        PanelTable.figure(length(geometry.eccentricity() / unit)),
        PanelTable.figure(length(geometry.shortening())));
    table.row(
        new Label(geometry.outputs() + " output pins, holes"),
        PanelTable.figure(length(2 * geometry.outputPinRadius() / unit)),
        PanelTable.figure(length(2 * geometry.holeRadius() / unit)));
    table.row(
        new Label("their circle, bore"),
        PanelTable.figure(length(2 * geometry.outputCircleRadius() / unit)),
        PanelTable.figure(length(2 * geometry.boreRadius() / unit)));
    now.add(Look.label("Sizes in " + symbol + ", stated or by proportion", "caption"));
    now.add(table);
  }

  private static String length(double value) {
    return String.format(java.util.Locale.ROOT, "%.3g", value);
  }

  private static void add(List<Node> now, String words) {
    Label label = new Label(words);
    label.setWrapText(true);
    now.add(label);
  }
}
