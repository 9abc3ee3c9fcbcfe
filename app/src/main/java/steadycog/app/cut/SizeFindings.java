package steadycog.app.cut;

import java.util.List;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.ledger.FindingRow;
import steadycog.app.look.Look;
import steadycog.cure.Advice;

/** What was found about sizes, with what puts it right. */
final class SizeFindings extends VBox {
  /** Findings that sizes bring about or cure. */
  private static final List<String> CODES =
      List.of(
          "collision",
          "unmade",
          "least-play",
          "binding",
          "bore-wall",
          "shaft-steps",
          "output-holes",
          "ring-wall",
          "threading",
          "fillet",
          "planet-room",
          "ring-rim",
          "tooth-strength",
          "rating",
          "shaft-strength",
          "bearing-life",
          "undercut",
          "bevel-face",
          "one-module",
          "row-closure",
          "contact-ratio",
          "interference",
          "internal-interference",
          "reverted-closure",
          "tall-planet");

  private final Desk desk;

  SizeFindings(Desk desk) {
    super(4);
    this.desk = desk;
  }

  void show() {
    getChildren().clear();
    for (Advice advice : desk.cures().advice()) {
      if (CODES.contains(advice.finding().code())) {
        FindingRow row = new FindingRow(desk);
        row.show(advice, desk.cures().isDone());
        getChildren().add(row);
      }
    }
    if (!getChildren().isEmpty()) {
      getChildren().addFirst(Look.label("Findings about sizes", "caption"));
    }
  }
}
