package steadycog.app.ledger;

import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import steadycog.app.look.Look;

/** A small table of figures in a panel of the ledger. */
final class PanelTable extends GridPane {
  private int next;

  PanelTable() {
    super(14, 2);
  }

  /** A head over a column of figures, with what it means. */
  static Label head(String text, String help) {
    Label label = Look.label(text, "ledger-head");
    if (!help.isEmpty()) {
      label.setTooltip(new Tooltip(help));
    }
    GridPane.setHalignment(label, HPos.RIGHT);
    return label;
  }

  static Label figure(String text) {
    Label label = new Label(text);
    label.setMinWidth(USE_PREF_SIZE);
    GridPane.setHalignment(label, HPos.RIGHT);
    return label;
  }

  /** Takes all rows away. */
  void clear() {
    getChildren().clear();
    next = 0;
  }

  /** The next row: a name to the left, figures to the right. */
  void row(Label name, Label... figures) {
    name.setMinWidth(USE_PREF_SIZE);
    add(name, 0, next);
    for (int k = 0; k < figures.length; k++) {
      add(figures[k], k + 1, next);
    }
    next++;
  }
}
