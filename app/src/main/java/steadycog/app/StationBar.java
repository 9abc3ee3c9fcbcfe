package steadycog.app;

import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import steadycog.app.desk.Desk;
import steadycog.app.desk.Station;
import steadycog.app.look.Look;
import steadycog.app.look.OneOf;

/** The stations in working order; one of them is always chosen. */
final class StationBar extends HBox {

  StationBar(Desk desk) {
    getStyleClass().add("stations");
    setMinWidth(USE_PREF_SIZE);
    OneOf group = new OneOf();
    for (Station station : Station.values()) {
      ToggleButton button = Look.styled(new ToggleButton(station.title()), "station");
      button.setId("station-" + (station.ordinal() + 1));
      button.setTooltip(new Tooltip(station.title() + " (Ctrl+" + (station.ordinal() + 1) + ")"));
      button.setToggleGroup(group);
      button.setOnAction(e -> desk.stationProperty().set(station));
      desk.stationProperty().subscribe(now -> button.setSelected(now == station));
      getChildren().add(button);
    }
  }
}
