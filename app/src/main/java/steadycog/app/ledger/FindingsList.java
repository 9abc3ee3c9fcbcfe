package steadycog.app.ledger;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.cure.Advice;

/** What has been found about the train, worst first; rows are kept from one train to the next. */
final class FindingsList extends VBox {
  private final Desk desk;
  private final Label none = Look.label("", "soft");
  private final List<FindingRow> rows = new ArrayList<>();

  FindingsList(Desk desk) {
    this.desk = desk;
    getStyleClass().addAll("panel", "findings");
    setId("findings");
    getChildren().addAll(Look.label("Findings", "caption"), none);
    Later later = Later.nextFrame(this::show);
    desk.benchProperty().addListener(o -> later.ask());
    desk.cures().knownProperty().addListener(o -> later.ask());
    desk.preferencesProperty().addListener(o -> later.ask());
    show();
  }

  private void show() {
    List<Advice> findings = desk.cures().advice();
    boolean sought = desk.cures().isDone();
    none.setText(desk.bench().isPresent() ? "Nothing to object to." : "None yet.");
    Look.show(none, findings.isEmpty());
    while (rows.size() < findings.size()) {
      FindingRow row = new FindingRow(desk);
      rows.add(row);
      getChildren().add(row);
    }
    for (int k = 0; k < rows.size(); k++) {
      boolean used = k < findings.size();
      rows.get(k).setVisible(used);
      rows.get(k).setManaged(used);
      if (used) {
        rows.get(k).show(findings.get(k), sought);
      }
    }
  }
}
