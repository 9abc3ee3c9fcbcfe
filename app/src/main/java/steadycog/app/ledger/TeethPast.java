package steadycog.app.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.motion.TurnCount;
import steadycog.number.Exact;
import steadycog.train.Mesh;

/** How many teeth have gone past at every mesh since the marks stood at twelve o'clock. */
final class TeethPast extends VBox {
  private final Desk desk;
  private final FlowPane chips = Look.styled(new FlowPane(), "count-chips");
  private final List<Label> counters = new ArrayList<>();
  private List<String> shown = List.of();
  private List<Mesh> meshes = List.of();

  TeethPast(Desk desk) {
    this.desk = desk;
    getStyleClass().addAll("panel", "working");
    setId("teeth-past");
    Label title = Look.label("Teeth past", "caption");
    title.setTooltip(new Tooltip("Counted at every mesh as the crank is turned, as by hand"));
    getChildren().addAll(title, chips);
    desk.benchProperty().addListener(o -> rebuild());
    desk.crank().countedProperty().addListener(o -> count());
    rebuild();
  }

  private void rebuild() {
    meshes = desk.bench().map(b -> b.card().train().meshes()).orElse(List.of());
    List<String> names = meshes.stream().map(Sign::mesh).toList();
    if (!names.equals(shown)) {
      shown = names;
      chips.getChildren().clear();
      counters.clear();
      names.forEach(this::add);
    }
    Look.show(this, !meshes.isEmpty());
    count();
  }

  private void add(String name) {
    Label value = new Label();
    value.setMinWidth(46);
    counters.add(value);
    chips.getChildren().add(new HBox(5, Look.label(name, "soft"), value));
  }

  private void count() {
    Optional<TurnCount> count = desk.crank().count();
    for (int k = 0; k < meshes.size(); k++) {
      Mesh mesh = meshes.get(k);
      counters
          .get(k)
          .setText(count.flatMap(c -> c.teethPassed(mesh)).map(TeethPast::words).orElse(Sign.DASH));
    }
  }

  private static String words(BigFraction count) {
    return Exact.decimal(count, Exact.isWhole(count) ? 0 : 1).toPlainString();
  }
}
