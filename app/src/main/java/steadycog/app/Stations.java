package steadycog.app;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import steadycog.app.bench.BenchStation;
import steadycog.app.cut.CutStation;
import steadycog.app.desk.Desk;
import steadycog.app.desk.Station;
import steadycog.app.find.FindStation;
import steadycog.app.look.Look;
import steadycog.app.shift.ShiftStation;

/** The stations, one in view; those without the gear table are made when first gone to. */
final class Stations extends StackPane {
  private final Desk desk;
  private final FileDialogs dialogs;
  private final HBox table;
  private final Map<Station, HBox> made = new EnumMap<>(Station.class);

  /** {@code table} is where lay out and drive & hold are worked at. */
  Stations(Desk desk, FileDialogs dialogs, HBox table) {
    this.desk = desk;
    this.dialogs = dialogs;
    this.table = table;
    setMinHeight(0);
    getChildren().add(table);
  }

  /** Brings a station into view, laid out at once, so that the first click finds all in place. */
  void show(Station station) {
    if (!made.containsKey(station)) {
      make(station)
          .ifPresent(
              fresh -> {
                made.put(station, fresh);
                getChildren().add(fresh);
                if (getScene() != null) {
                  getScene().getRoot().applyCss();
                  getScene().getRoot().layout();
                }
              });
    }
    made.forEach((one, shown) -> Look.show(shown, one == station));
    // What was changed out of sight may still be as high as it was at another width.
    Optional.ofNullable(made.get(station)).ifPresent(Look::layOutAnew);
    if (station == Station.CUT_SHEET || station == Station.BENCH_BOOK) {
      // Or the first field would be typed over by the next key.
      at(station).requestFocus();
    }
    Look.show(table, isTable());
  }

  private Optional<HBox> make(Station station) {
    return switch (station) {
      case LAY_OUT, DRIVE_AND_HOLD -> Optional.empty();
      case FIND_TEETH -> Optional.of(new FindStation(desk, dialogs));
      case SHIFT_PLAN -> Optional.of(new ShiftStation(desk));
      case CUT_SHEET -> Optional.of(new CutStation(desk, dialogs));
      case BENCH_BOOK -> Optional.of(new BenchStation(desk, dialogs));
    };
  }

  /** Whether the gear table is in view. */
  boolean isTable() {
    return !made.containsKey(desk.stationProperty().get());
  }

  private HBox at(Station station) {
    return Objects.requireNonNull(made.get(station), station.title());
  }

  /** The keys go to what is in view, not to a field of it. */
  void takeKeys() {
    Node home = isTable() ? table.getChildren().getFirst() : at(desk.stationProperty().get());
    home.requestFocus();
  }

  /** Goes to a station, and with the keys to one of its fields. */
  void goTo(Station station, String field) {
    desk.stationProperty().set(station);
    Node wanted = at(station).lookup(field);
    if (wanted != null) {
      wanted.requestFocus();
    }
  }

  /** Goes to the cut sheet and presses a button there. */
  void press(String button) {
    desk.stationProperty().set(Station.CUT_SHEET);
    if (at(Station.CUT_SHEET).lookup(button) instanceof ButtonBase one) {
      one.fire();
    }
  }

  /** Opens a view of the bench book. */
  void showBench(String view) {
    if (made.get(Station.BENCH_BOOK) instanceof BenchStation bench) {
      bench.lookAt(view);
    }
  }

  /** Whether teeth or states are being looked for. */
  boolean isSearching() {
    return (made.get(Station.FIND_TEETH) instanceof FindStation find && find.isSearching())
        || (made.get(Station.SHIFT_PLAN) instanceof ShiftStation shift && shift.isSearching());
  }
}
