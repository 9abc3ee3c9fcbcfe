package steadycog.app.cut;

import java.util.List;
import java.util.stream.Stream;
import javafx.geometry.VPos;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.number.Units;
import steadycog.rating.RatedMesh;
import steadycog.rating.RatedTooth;
import steadycog.rating.Rating;
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
      Stream.of("sheet-bending", "sheet-contact", "sheet-shafts", "sheet-walls")
          .map(id -> new SheetGrid(id, new SheetGrid.Hand() {}))
          .toList();

  RatingPanel() {
    super(10);
    FlowPane teeth = new FlowPane(36, 10, grids.get(0), grids.get(1));
    teeth.setRowValignment(VPos.TOP);
    FlowPane rest = new FlowPane(36, 10, grids.get(2), grids.get(3), whatIf);
    rest.setRowValignment(VPos.TOP);
    getChildren().addAll(teeth, rest);
  }

  private static String name(RatedMesh mesh, RatedTooth tooth) {
    return Sign.shortName(tooth.wheel())
        + " on "
        + Sign.shortName(mesh.mesh().other(tooth.wheel()));
  }

  void show(Train train, Units units) {
    boolean asked = train.sizes().duty().asksRating();
    Look.show(this, asked);
    if (!asked) {
      return;
    }
    Rating rating = Ratings.of(train);
    RatingTables teeth = new RatingTables(rating, units);
    List<String> names =
        rating.meshes().stream()
            .flatMap(mesh -> mesh.teeth().stream().map(tooth -> name(mesh, tooth)))
            .toList();
    grids.get(0).show(teeth.bending(), names, -1);
    grids.get(1).show(teeth.contact(), names, -1);
    ShaftRatingTable shafts = new ShaftRatingTable(Ratings.shafts(train), units);
    grids
        .get(2)
        .show(
            shafts.table(),
            shafts.rating().shafts().stream()
                .map(shaft -> shaft.name(Sign.shortName(shaft.member())))
                .toList(),
            -1);
    SheetTable walls = shafts.walls();
    grids.get(3).show(walls, walls.columns(), -1);
    whatIf.show(WhatIf.of(train));
  }
}
