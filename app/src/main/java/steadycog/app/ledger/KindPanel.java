package steadycog.app.ledger;

import java.util.List;
import java.util.Locale;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.EachWayWords;
import steadycog.app.look.Kept;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.number.Figures;
import steadycog.study.KindChoice;
import steadycog.study.Study;

/** Other kinds of gear for the same ratio, side by side. */
final class KindPanel extends VBox {
  private static final double PERCENT = 100;

  private final Desk desk;

  KindPanel(Desk desk) {
    this.desk = desk;
    getStyleClass().addAll("panel", "working");
    setId("kinds");
    Later later = Later.whenQuiet(this::show);
    desk.benchProperty().addListener(o -> later.ask());
    show();
  }

  private void show() {
    List<KindChoice> kinds = desk.bench().map(Bench::study).map(Study::kinds).orElse(List.of());
    Look.show(this, !kinds.isEmpty());
    Kept.show(this, kinds.isEmpty() ? List.of() : lines(kinds));
  }

  private List<Node> lines(List<KindChoice> kinds) {
    PanelTable table = new PanelTable();
    table.row(
        new Label(""),
        PanelTable.head("i", "The nearest ratio of this kind"),
        PanelTable.head("off", "Its ratio against the train\u2019s"),
        PanelTable.head("out", "Share of the power that comes out, with the losses of this train"),
        PanelTable.head("back", "The same pushed at the take-off; holds: it holds itself"),
        PanelTable.head("parts", "Toothed or lobed pieces, pin rings and carriers"),
        PanelTable.head(
            "\u00d8", "Diameter in modules; of a cycloidal drive with pins two modules thick"),
        PanelTable.head("backlash", "As a class: teeth with play, pins, bent teeth"));
    for (KindChoice one : kinds) {
      Button look = Look.styled(new Button("try it"), "cure");
      look.setTooltip(new Tooltip("Put it on the bench as a train of its own"));
      look.setOnAction(e -> desk.trains().tryVariant(words(one.kind()), one.train()));
      Label cell = new Label("");
      cell.setGraphic(look);
      table.row(
          new Label(words(one.kind())),
          PanelTable.figure(Sign.number(one.ratio().reduction().doubleValue())),
          PanelTable.figure(percent(one.error())),
          PanelTable.figure(EachWayWords.forwards(one.eachWay())),
          PanelTable.figure(EachWayWords.backwards(one.eachWay().backwards())),
          PanelTable.figure(Integer.toString(one.parts())),
          PanelTable.figure(Figures.significant(one.diameter(), 3)),
          PanelTable.figure(one.kind().backlash()),
          cell);
    }
    return List.of(
        Look.label("Which kind? The same ratio, input and output in line", "caption"), table);
  }

  private static String percent(double share) {
    return share == 0
        ? "0"
        : Figures.typeset(String.format(Locale.ROOT, "%+.2f", PERCENT * share)) + Sign.THIN + "%";
  }

  private static String words(KindChoice.Kind kind) {
    return switch (kind) {
      case PLANETARY -> "planetary";
      case TWO_PLANETARY -> "two planetary";
      case CYCLOIDAL -> "cycloidal";
      case STRAIN_WAVE -> "strain wave";
    };
  }
}
