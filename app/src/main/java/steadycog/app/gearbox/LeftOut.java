package steadycog.app.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.gearbox.Component;
import steadycog.train.Train;

/** Leaves pieces out that are chosen in the bill of a gearbox, and puts them back. */
final class LeftOut extends FlowPane {
  private final Desk desk;
  private final Button leave = Look.styled(new Button("Leave out"), "chip");
  private List<Component> chosen = List.of();

  LeftOut(Desk desk) {
    super(6, 4);
    this.desk = desk;
    leave.setId("box-leave");
    leave.setTooltip(
        new Tooltip("Does without the pieces chosen in drawing or bill; the card says so"));
    leave.setOnAction(
        e ->
            change(
                left ->
                    Stream.concat(left.stream(), chosen.stream().map(Component::name))
                        .distinct()
                        .toList()));
    choose(List.of());
  }

  /** What it would leave out. */
  void choose(List<Component> components) {
    chosen = components;
    leave.setDisable(chosen.isEmpty());
  }

  /** Shows what the card leaves out, each to be put back. */
  void show(Train train) {
    List<Node> nodes = new ArrayList<>(List.of(leave));
    for (String name : train.sizes().housing().leftOut()) {
      Button back = Look.styled(new Button("put back " + name), "chip");
      back.setId("box-back-" + name.replace(' ', '-'));
      back.setOnAction(
          e -> change(left -> left.stream().filter(one -> !one.equals(name)).toList()));
      nodes.add(back);
    }
    getChildren().setAll(nodes);
  }

  private void change(UnaryOperator<List<String>> change) {
    desk.train().wish(box -> box.without(change.apply(box.leftOut())));
  }
}
