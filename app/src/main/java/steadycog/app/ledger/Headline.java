package steadycog.app.ledger;

import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.EachWayWords;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.motion.Motion;
import steadycog.number.Exact;
import steadycog.number.Mode;
import steadycog.number.Ratio;
import steadycog.number.Unit;
import steadycog.study.Study;

/** The ratio, large, and once more in both schools with exact numbers. */
final class Headline extends VBox {
  private static final PseudoClass STUCK = PseudoClass.getPseudoClass("stuck");

  private final Label ratio = Look.label("", "ratio");
  private final Label sentence = Look.label("", "sentence");
  private final Label reduction = Look.label("", "school-value");
  private final Label trainValue = Look.label("", "school-value");
  private final Label losses = Look.label("", "school-value");
  private final GridPane schools = new GridPane(10, 1);

  /** {@code toLosses} leads to more about them. */
  Headline(Desk desk, Runnable toLosses) {
    getStyleClass().addAll("panel", "headline");
    setId("headline");
    ratio.setId("ratio");
    sentence.setId("ratio-sentence");
    sentence.setWrapText(true);
    addSchool(
        0,
        "Reduction ratio  i = in / out",
        reduction,
        "Speed of the input over speed of the output; also what torque is multiplied by, were"
            + " nothing lost.");
    addSchool(
        1,
        "Train value  e = out / in",
        trainValue,
        "The other school: speed of the output over speed of the input, 1/i.");
    addSchool(
        2,
        "With losses",
        losses,
        "Power out over power in, and what it does when its take-off is pushed.");
    losses.setId("headline-losses");
    Button more = Look.styled(new Button("more"), "cure");
    more.setId("more-losses");
    more.setTooltip(new Tooltip("Where the losses come from, and how to change them"));
    more.setOnAction(e -> toLosses.run());
    schools.add(more, 2, 2);
    getChildren().addAll(ratio, sentence, schools);
    desk.benchProperty().addListener(o -> show(desk));
    desk.preferencesProperty().addListener(o -> show(desk));
    show(desk);
  }

  private void addSchool(int row, String name, Label value, String help) {
    Label title = Look.label(name, "school");
    title.setTooltip(new Tooltip(help));
    schools.addRow(row, title, value);
  }

  private void show(Desk desk) {
    boolean valueLeads = desk.preferences().trainValueLeads();
    Optional<Study> study = desk.bench().map(Bench::study);
    Optional<Ratio> known = study.flatMap(Study::ratio);
    boolean stuck = study.filter(s -> s.motion().status() == Motion.Status.JAMMED).isPresent();
    pseudoClassStateChanged(STUCK, stuck);
    ratio.getStyleClass().setAll("label", known.isPresent() ? "ratio" : "no-ratio");
    ratio.setText(
        known
            .map(r -> valueLeads ? "e = " + Sign.trainValue(r) : Sign.reduction(r))
            .orElseGet(
                () ->
                    twoSpeeds(study, desk.preferences().speed()).orElseGet(() -> noRatio(study))));
    sentence.setText(known.map(Headline::sentence).orElse(""));
    if (study.flatMap(Study::twoInputs).isPresent()) {
      sentence.setText("The sum of two inputs: no single ratio");
    }
    Look.show(sentence, !sentence.getText().isEmpty());
    Look.show(schools, known.isPresent());
    known.ifPresent(
        r -> {
          reduction.setText(
              "i = "
                  + Sign.exact(r.reduction())
                  + (valueLeads ? "   (" + Sign.reduction(r) + ")" : ""));
          trainValue.setText(
              "e = " + Sign.exact(r.trainValue()) + "   (" + Sign.trainValue(r) + ")");
          losses.setText(EachWayWords.of(study.orElseThrow().loading().eachWay()));
        });
  }

  /** With two drives the output's speed stands where the ratio would. */
  private static Optional<String> twoSpeeds(Optional<Study> study, Unit unit) {
    return study
        .flatMap(Study::twoInputs)
        .flatMap(
            inputs ->
                study
                    .get()
                    .motion()
                    .speed(inputs.output())
                    .map(
                        speed ->
                            Sign.called(inputs.output())
                                + " "
                                + Sign.number(speed.in(unit))
                                + " "
                                + unit.symbol()));
  }

  private static String noRatio(Optional<Study> study) {
    if (study.isEmpty()) {
      return Sign.DASH;
    }
    return switch (study.get().motion().status()) {
      case JAMMED -> "Jammed";
      case UNDETERMINED -> study.get().mode().map(mode -> "Neutral").orElse("No ratio yet");
      case DETERMINED -> "No ratio";
    };
  }

  private static String sentence(Ratio ratio) {
    if (Exact.isOne(ratio.reduction().negate())) {
      return "Reverses: output turns the other way, as fast";
    }
    String way = ratio.sameDirection() ? "output turns the same way" : "output turns the other way";
    return words(ratio.mode()) + ", " + way;
  }

  private static String words(Mode mode) {
    return switch (mode) {
      case UNDERDRIVE, REVERSE_UNDERDRIVE -> "Gears down";
      case OVERDRIVE, REVERSE_OVERDRIVE -> "Gears up";
      case DIRECT -> "Direct";
      case NEUTRAL -> "Neutral";
    };
  }
}
