package steadycog.app.cut;

import java.util.List;
import java.util.stream.Stream;
import javafx.geometry.VPos;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import steadycog.app.look.Look;
import steadycog.number.Units;
import steadycog.rating.RatingTables;
import steadycog.rating.ShaftRatingTable;
import steadycog.sizing.SheetTable;
import steadycog.study.Ratings;
import steadycog.study.WhatIf;
import steadycog.train.Train;

/** A rating line by line where the card asks for one: what to change first, teeth, shafts. */
final class RatingPanel extends VBox {
  private final WhatIfBars whatIf = new WhatIfBars();
  private final List<SheetGrid> grids =
      Stream.of("sheet-bending", "sheet-contact", "sheet-shafts")
          .map(id -> new SheetGrid(id, new SheetGrid.Hand() {}))
          .toList();

  RatingPanel() {
    super(10);
    FlowPane teeth = new FlowPane(36, 10, grids.get(0), grids.get(1));
    teeth.setRowValignment(VPos.TOP);
    FlowPane rest = new FlowPane(36, 10, grids.get(2), whatIf);
    rest.setRowValignment(VPos.TOP);
    getChildren().addAll(teeth, rest);
  }

  void show(Train train, Units units) {
    boolean asked = train.sizes().duty().asksRating();
    List<SheetTable> rated = asked ? new RatingTables(Ratings.of(train), units).all() : List.of();
    Look.show(this, !rated.isEmpty());
    if (rated.isEmpty()) {
      return;
    }
    whatIf.show(WhatIf.of(train));
    SheetTable shafts = new ShaftRatingTable(Ratings.shafts(train), units).table();
    List<SheetTable> all = List.of(rated.getFirst(), rated.getLast(), shafts);
    for (int k = 0; k < all.size(); k++) {
      grids.get(k).show(all.get(k), all.get(k).columns(), -1);
    }
  }
}
