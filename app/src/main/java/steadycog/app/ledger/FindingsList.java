package steadycog.app.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.check.Finding;

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
    Later later = Later.nextFrame(() -> show(desk.bench()));
    desk.benchProperty().addListener(o -> later.ask());
    show(desk.bench());
  }

  private void show(Optional<Bench> bench) {
    List<Finding> findings = bench.map(b -> b.study().findings()).orElse(List.of());
    none.setText(bench.isPresent() ? "Nothing to object to." : "None yet.");
    none.setVisible(findings.isEmpty());
    none.setManaged(findings.isEmpty());
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
        rows.get(k).show(findings.get(k));
      }
    }
  }
}
