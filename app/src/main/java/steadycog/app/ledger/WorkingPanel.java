package steadycog.app.ledger;

import java.util.Optional;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.number.Figures;
import steadycog.study.Study;
import steadycog.study.Working;
import steadycog.study.Working.Step;
import steadycog.train.MemberId;
import steadycog.train.Teeth;

/** The ratio worked by hand, mesh by mesh, and whether it agrees with the solver. */
final class WorkingPanel extends VBox {

  WorkingPanel(Desk desk) {
    getStyleClass().addAll("panel", "working");
    setId("working");
    Later later = Later.whenQuiet(() -> show(desk));
    desk.benchProperty().addListener(o -> later.ask());
    desk.preferencesProperty().addListener(o -> show(desk));
    show(desk);
  }

  private void show(Desk desk) {
    Optional<Working> working = desk.bench().map(Bench::study).flatMap(Study::working);
    setVisible(working.isPresent());
    setManaged(working.isPresent());
    getChildren().clear();
    working.ifPresent(found -> fill(found, desk.preferences().trainValueLeads()));
  }

  private void fill(Working working, boolean trainValue) {
    getChildren().add(Look.label("The working, mesh by mesh", "caption"));
    GridPane table = new GridPane(14, 2);
    table.addRow(
        0,
        head("driver, driven", ""),
        head(
            "driven / driver",
            "Teeth of the driven wheel over teeth of the driver: i of the stage"),
        head("so far", "The product of the stages up to here"),
        head("teeth past", "Teeth that pass this mesh in one input turn, counted on either wheel"));
    for (int k = 0; k < working.steps().size(); k++) {
      addStep(table, k + 1, working.steps().get(k), trainValue);
    }
    Label product = Look.label(product(working, trainValue), "product");
    product.setWrapText(true);
    getChildren().addAll(table, product, verdict(working));
  }

  private static Label verdict(Working working) {
    return working.agrees()
        ? Look.label("Agrees with the solver exactly.", "agrees")
        : Look.label("Does not agree with the solver: other paths take part.", "bad-word");
  }

  private static void addStep(GridPane table, int row, Step step, boolean trainValue) {
    Label pair =
        new Label(
            wheel(step.driver(), step.driverWheel())
                + "  \u2192  "
                + wheel(step.driven(), step.drivenWheel())
                + (step.idler() ? "   (idler)" : ""));
    pair.setMinWidth(USE_PREF_SIZE);
    if (step.idler()) {
      pair.setTooltip(
          new Tooltip(
              step.driven()
                  + " turns the direction only: its "
                  + step.drivenWheel().count()
                  + " teeth stand above and below the line and cancel"));
    }
    String both =
        Sign.exact(step.driverTeeth())
            + (step.driverTeeth().equals(step.drivenTeeth())
                ? ""
                : " \u2260 " + Sign.exact(step.drivenTeeth()));
    table.addRow(
        row,
        pair,
        figure(stage(step, trainValue)),
        figure(Sign.exact(trainValue ? step.running().reciprocal() : step.running())),
        figure(both));
  }

  private static String product(Working working, boolean trainValue) {
    return trainValue
        ? "e = " + Figures.typeset(working.reciprocalForm())
        : "i = " + Figures.typeset(working.productForm());
  }

  /** The quotient of the stage and, where it is another, what it comes to. */
  private static String stage(Step step, boolean trainValue) {
    String quotient = Figures.typeset(trainValue ? step.reciprocal() : step.quotient());
    String value = Sign.exact(trainValue ? step.stage().reciprocal() : step.stage());
    return quotient.equals(value) ? value : quotient + " = " + value;
  }

  private static String wheel(MemberId id, Teeth teeth) {
    return Sign.shortName(id) + Sign.THIN + Sign.THIN + teeth;
  }

  private static Label head(String text, String help) {
    Label label = Look.label(text, "ledger-head");
    if (!help.isEmpty()) {
      label.setTooltip(new Tooltip(help));
      GridPane.setHalignment(label, HPos.RIGHT);
    }
    return label;
  }

  private static Label figure(String text) {
    Label label = new Label(text);
    label.setMinWidth(USE_PREF_SIZE);
    GridPane.setHalignment(label, HPos.RIGHT);
    return label;
  }
}
