package steadycog.app;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Supplier;
import steadycog.app.desk.Desk;
import steadycog.app.desk.Station;
import steadycog.app.geartable.Doors;

/** Ways in from an empty bench. */
record WaysIn(Desk desk, JobKeeper keeper, Supplier<Stations> stations) implements Doors.Ways {
  @Override
  public void gearsInHand() {
    stations.get().goTo(Station.CUT_SHEET, "#id-teeth");
  }

  @Override
  public void ratioInMind() {
    stations.get().goTo(Station.FIND_TEETH, "#want-target");
  }

  @Override
  public void boxThatFailed() {
    keeper.open();
    if (desk.bench().isPresent()) {
      desk.stationProperty().set(Station.BENCH_BOOK);
    }
  }

  @Override
  public List<Path> recent() {
    return keeper.recentFiles();
  }

  @Override
  public void open(Path recent) {
    keeper.openRecent(recent);
  }
}
