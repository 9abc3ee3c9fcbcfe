package steadycog.app.geartable;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Tooltip;
import steadycog.app.desk.Desk;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Teeth;

/** Puts another part beside what is on the bench, to be joined, or takes one away. */
public final class PartMenu extends MenuButton {
  private static final int NOMINAL = 80;

  public PartMenu(Desk desk) {
    super("+ part");
    setId("add-part");
    setTooltip(
        new Tooltip("Another set, drive or pair on the bench; join it member to member with J"));
    setFocusTraversable(false);
    setMinWidth(USE_PREF_SIZE);
    getStyleClass().add("chip-menu");
    parts()
        .forEach(
            (name, part) -> {
              MenuItem item = new MenuItem(name);
              item.setId("part-" + part.name());
              item.setOnAction(e -> desk.train().addPart(part));
              getItems().add(item);
            });
    MenuItem away = new MenuItem("Take this part away");
    away.setId("remove-part");
    away.setOnAction(e -> desk.selection().ifPresent(desk.train()::removePart));
    getItems().addAll(new SeparatorMenuItem(), away);
    desk.selectionProperty().addListener((o, old, now) -> name(away, desk, now));
    desk.benchProperty().addListener(o -> name(away, desk, desk.selection()));
    name(away, desk, desk.selection());
  }

  private static void name(MenuItem away, Desk desk, Optional<MemberId> chosen) {
    boolean several =
        desk.bench().filter(bench -> bench.card().train().parts().size() > 1).isPresent();
    away.setDisable(!several || chosen.isEmpty());
    away.setText(
        chosen
            .filter(id -> several)
            .map(id -> "Take " + id.part() + " away")
            .orElse("Take the chosen part away"));
  }

  private static Map<String, Part> parts() {
    Map<String, Part> all = new LinkedHashMap<>();
    all.put("Planetary set", Planetary.of("set", 24, 18, 3, 60));
    all.put(
        "Pair of wheels",
        new Parallel(
            "pair", List.of(Teeth.external(20), Teeth.external(40)), List.of(Parallel.Link.MESH)));
    all.put("Right-angle pair", new Bevel("turn", 11, 43, Bevel.Side.RIGHT, Optional.empty()));
    all.put("Differential", new Differential("axle", 16, 10, Differential.USUAL_SPIDERS));
    all.put("Cycloidal drive", new Cycloidal("cycloid", 29, 30, Cycloidal.Sizes.USUAL));
    all.put("Strain wave drive", StrainWave.nominal("wave", NOMINAL, 2, StrainWave.Sizes.USUAL));
    all.put("Plain shaft", new Shaft("in"));
    return all;
  }
}
