package steadycog.app.ledger;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Kept;
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
    Look.show(this, working.isPresent());
    boolean trainValue = desk.preferences().trainValueLeads();
    Kept.show(this, working.map(found -> lines(found, trainValue)).orElse(List.of()));
  }

  private static List<Node> lines(Working working, boolean trainValue) {
    PanelTable table = new PanelTable();
    table.row(
        Look.label("driver, driven", "ledger-head"),
        PanelTable.head(
            "driven / driver",
            "Teeth of the driven wheel over teeth of the driver: i of the stage"),
        PanelTable.head("so far", "The product of the stages up to here"),
        PanelTable.head(
            "teeth past", "Teeth that pass this mesh in one input turn, counted on either wheel"));
    working.steps().forEach(step -> addStep(table, step, trainValue));
    Label product = Look.label(product(working, trainValue), "product");
    product.setWrapText(true);
    return List.of(
        Look.label("The working, mesh by mesh", "caption"), table, product, verdict(working));
  }

  private static Label verdict(Working working) {
    return working.agrees()
        ? Look.label("Agrees with the solver exactly.", "agrees")
        : Look.label("Does not agree with the solver: other paths take part.", "bad-word");
  }

  private static void addStep(PanelTable table, Step step, boolean trainValue) {
    Label pair =
        new Label(
            wheel(step.driver(), step.driverWheel())
                + "  \u2192  "
                + wheel(step.driven(), step.drivenWheel())
                + (step.idler() ? "   (idler)" : ""));
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
    table.row(
        pair,
        PanelTable.figure(stage(step, trainValue)),
        PanelTable.figure(Sign.exact(trainValue ? step.running().reciprocal() : step.running())),
        PanelTable.figure(both));
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
}
