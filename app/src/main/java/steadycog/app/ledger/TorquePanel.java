package steadycog.app.ledger;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Kept;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.number.Figures;
import steadycog.study.Study;
import steadycog.study.TorqueWorking;

/** Where the torques come from: mesh by mesh, and member by member. */
final class TorquePanel extends VBox {
  private static final int DIGITS = 4;

  private final Desk desk;

  TorquePanel(Desk desk) {
    this.desk = desk;
    getStyleClass().addAll("panel", "working");
    setId("torque-working");
    Later later = Later.whenQuiet(this::show);
    desk.benchProperty().addListener(o -> later.ask());
    desk.preferencesProperty().addListener(o -> show());
    show();
  }

  private void show() {
    Optional<TorqueWorking> working =
        desk.bench()
            .map(Bench::study)
            .flatMap(Study::torqueWorking)
            .filter(found -> !found.steps().isEmpty());
    Look.show(this, working.isPresent());
    Kept.show(this, working.map(this::lines).orElse(List.of()));
  }

  private List<Node> lines(TorqueWorking working) {
    PanelTable meshes = new PanelTable();
    meshes.row(
        new Label(""),
        PanelTable.head("on the driver", "Torque of the mesh on the wheel that gives the power"),
        PanelTable.head("times", "Driven over driver teeth, times what the mesh passes"),
        PanelTable.head("on the driven", "The product"),
        PanelTable.head("on the carrier", "The rest: the three sum to nothing"));
    for (TorqueWorking.Step step : working.steps()) {
      meshes.row(
          new Label(Sign.shortName(step.driver()) + " \u2192 " + Sign.shortName(step.driven())),
          PanelTable.figure(number(step.gives())),
          PanelTable.figure(step.factor()),
          PanelTable.figure(number(step.gets())),
          PanelTable.figure(step.toCarrier().map(this::number).orElse(Sign.DASH)));
    }
    VBox balances = new VBox(2);
    for (TorqueWorking.Balance balance : working.balances()) {
      Label line =
          new Label(
              Sign.shortName(balance.member())
                  + ":  "
                  + balance.shares().stream()
                      .map(share -> number(share.torque()) + " " + share.from())
                      .collect(Collectors.joining(",  ")));
      line.setWrapText(true);
      if (!balance.shares().isEmpty()) {
        balances.getChildren().add(line);
      }
    }
    return List.of(
        Look.label(
            "Where the torques come from, in " + desk.preferences().torque().symbol(), "caption"),
        meshes,
        Look.label("On every member they sum to nothing", "caption"),
        balances);
  }

  private String number(BigFraction torque) {
    double shown = torque.doubleValue() / desk.preferences().torque().inBase();
    return Figures.typeset(Figures.significant(shown, DIGITS));
  }
}
