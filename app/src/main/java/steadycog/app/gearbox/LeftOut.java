package steadycog.app.gearbox;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.gearbox.Component;
import steadycog.train.Housing;
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
                train -> {
                  List<String> names = new ArrayList<>(stated(train));
                  chosen.stream()
                      .map(Component::name)
                      .filter(name -> !names.contains(name))
                      .forEach(names::add);
                  return names;
                }));
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
    for (String name : stated(train)) {
      Button back = Look.styled(new Button("put back " + name), "chip");
      back.setId("box-back-" + name.replace(' ', '-'));
      back.setOnAction(
          e -> change(now -> stated(now).stream().filter(one -> !one.equals(name)).toList()));
      nodes.add(back);
    }
    getChildren().setAll(nodes);
  }

  private static List<String> stated(Train train) {
    return train.sizes().housing().leftOut();
  }

  private interface Change {
    List<String> of(Train train);
  }

  private void change(Change change) {
    desk.train()
        .resize(
            train -> {
              Housing said = train.sizes().housing();
              return train.withSizes(train.sizes().withHousing(said.without(change.of(train))));
            });
  }
}
