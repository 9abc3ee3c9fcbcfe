package steadycog.app.cut;

import java.util.List;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import steadycog.app.look.Look;
import steadycog.number.Figures;
import steadycog.study.WhatIf;

/** What to change first: a bar for each thing, to the right where a tenth more of it helps. */
final class WhatIfBars extends VBox {
  private static final double HALF = 90;
  private static final double DEEP = 12;
  private static final double THIN = 3;

  private final GridPane grid = Look.styled(new GridPane(), "sheet-grid");
  private List<WhatIf.Change> shown = List.of();

  WhatIfBars() {
    super(3);
    setId("sheet-what-if");
    getChildren()
        .addAll(
            Look.label("What to change first: the worst factor with a tenth more of", "caption"),
            grid);
  }

  void show(WhatIf whatIf) {
    Look.show(this, !whatIf.changes().isEmpty());
    if (whatIf.changes().equals(shown)) {
      return;
    }
    shown = whatIf.changes();
    grid.getChildren().clear();
    double most =
        shown.stream().mapToDouble(one -> Math.abs(Math.log(one.times()))).max().orElse(1);
    for (int row = 0; row < shown.size(); row++) {
      WhatIf.Change change = shown.get(row);
      Label figure = Look.figure(percent(change.times()), "sheet-figure");
      GridPane.setHalignment(figure, HPos.RIGHT);
      grid.add(Look.label(change.input(), "sheet-name"), 0, row);
      grid.add(bar(Math.log(change.times()) / most), 1, row);
      grid.add(figure, 2, row);
    }
  }

  private static String percent(double times) {
    String size = Figures.fixed(Math.abs(times - 1) * 100, 1);
    return (times > 1 ? "+" : "\u2212") + size + "\u2009%";
  }

  /** From the middle out; {@code share} -1 to 1 of the longest. */
  private static Pane bar(double share) {
    double wide = Math.max(1, Math.abs(share) * HALF);
    double x = share > 0 ? HALF : HALF - wide;
    Rectangle bar = new Rectangle(x, THIN, wide, DEEP);
    Look.styled(bar, share > 0 ? "gain" : "loss");
    Pane pane = new Pane(bar, Look.styled(new Line(HALF, 0, HALF, DEEP + 2 * THIN), "plot-axis"));
    pane.setMinSize(2 * HALF, DEEP + 2 * THIN);
    pane.setMaxSize(2 * HALF, DEEP + 2 * THIN);
    return pane;
  }
}
