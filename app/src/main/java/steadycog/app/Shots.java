package steadycog.app;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.ToggleButton;
import steadycog.app.SteadyCogApp.Opened;
import steadycog.app.desk.PowerShown;
import steadycog.app.desk.Preferences;
import steadycog.app.desk.Station;
import steadycog.app.gearbox.GearboxPanel;
import steadycog.format.demo.TernRock;
import steadycog.format.file.Trouble;
import steadycog.job.Job;
import steadycog.train.MemberId;

/** Takes the pictures of the main views for the documentation, from the demo job. */
final class Shots {
  private static final int FILTER_WHEEL = 2;
  private static final int AZIMUTH = 4;
  private static final int ALTITUDE = 5;
  private static final int FOCUSER = 6;
  private static final int SKY = 7;
  private static final int SHUTTER = 8;
  private static final int TROLLEY = 10;
  private static final int ROTATOR = 11;
  private static final double EXAGGERATED = 6;

  /** Sets a view up that comes to rest before more is done to it. */
  private static final String NO_PICTURE = "";

  private final Path folder;
  private final PrintWriter out;
  private int exit;

  Shots(Path folder, PrintWriter out) {
    this.folder = folder;
    this.out = out;
  }

  /** Takes all pictures and returns the exit code: 0, or 2 if the folder cannot be written. */
  int take() {
    try {
      Path memory = Files.createTempDirectory("steady-cog-shots");
      memory.toFile().deleteOnExit();
      SteadyCogApp.run(memory, opened -> take(opened, SteadyCogApp::end));
      return exit;
    } catch (IOException failed) {
      out.println("no temporary folder: " + Trouble.words(failed));
      return 2;
    }
  }

  /** Takes all pictures of a window that has just been opened, then runs {@code then}. */
  void take(Opened opened, Runnable then) {
    // A picture that turns is another one every time.
    Preferences now = opened.desk().preferences();
    opened.desk().preferencesProperty().set(now.standingStill(true));
    next(opened, new ArrayDeque<>(all().entrySet()), then);
  }

  /** Sets one view up, lets the window come to rest, takes its picture, and goes on to the next. */
  private void next(
      Opened opened, Deque<Map.Entry<String, Consumer<Opened>>> shots, Runnable then) {
    if (shots.isEmpty()) {
      out.flush();
      then.run();
      return;
    }
    Map.Entry<String, Consumer<Opened>> shot = shots.remove();
    shot.getValue().accept(opened);
    whenStill(
        opened,
        () -> {
          try {
            if (!shot.getKey().equals(NO_PICTURE)) {
              take(opened, shot.getKey());
            }
          } catch (IOException failed) {
            out.println(folder + ": cannot be written: " + Trouble.words(failed));
            exit = 2;
            shots.clear();
          }
          next(opened, shots, then);
        });
  }

  private void take(Opened opened, String name) throws IOException {
    Files.createDirectories(folder);
    Path file = folder.resolve(name + ".png");
    Picture.write(opened.stage().getScene().snapshot(null), file);
    out.println(file);
  }

  /** Runs {@code action} once nothing is being looked for and the window has come to rest. */
  private static void whenStill(Opened opened, Runnable action) {
    Picture.whenDrawn(
        () -> {
          if (opened.window().stations().isSearching()
              || !opened.desk().cures().isProven()
              || !opened.desk().glances().isDone()
              || isBuilding(opened)) {
            whenStill(opened, action);
          } else {
            Picture.whenDrawn(action);
          }
        });
  }

  private static boolean isBuilding(Opened opened) {
    return opened.window().lookup("#gearbox-panel") instanceof GearboxPanel panel
        && panel.isBuilding();
  }

  private static Map<String, Consumer<Opened>> all() {
    Map<String, Consumer<Opened>> shots = new LinkedHashMap<>();
    shots.put("first-steps", opened -> {});
    shots.put("compound-train", Shots::domeRotator);
    shots.put("mistyped-card", Shots::mistyped);
    shots.put("planetary-set", Shots::filterWheel);
    shots.put("ratio-board", Shots::ratioBoard);
    shots.put("does-not-assemble", Shots::misfit);
    shots.put("cycloidal-drive", opened -> drive(opened, AZIMUTH, 40));
    shots.put("strain-wave-drive", Shots::altitude);
    shots.put("two-rows", Shots::focuser);
    shots.put("find-teeth", Shots::findTeeth);
    shots.put("joined-sets", opened -> shutter(opened, Station.LAY_OUT));
    shots.put("shift-plan", opened -> shutter(opened, Station.SHIFT_PLAN));
    shots.put("differential", Shots::trolley);
    shots.put("cut-sheet", Shots::cutSheet);
    shots.put("gearbox", Shots::gearbox);
    shots.put("bench-book", Shots::benchBook);
    shots.put("compare-builds", opened -> opened.window().stations().showBench("compare"));
    shots.put("dark", Shots::dark);
    shots.put(NO_PICTURE, Shots::power);
    shots.put("power", opened -> opened.window().showLosses());
    return shots;
  }

  private static void domeRotator(Opened opened) {
    opened.desk().file().putDown(TernRock.job());
    opened.desk().crank().turn(3);
    opened.desk().crank().tooth(5);
  }

  private static void cutSheet(Opened opened) {
    opened.desk().stationProperty().set(Station.CUT_SHEET);
    opened.desk().file().putDown(TernRock.job());
    opened.desk().showSheet(FOCUSER);
    opened.desk().select(Optional.of(new MemberId("", "ring1")));
  }

  private static void benchBook(Opened opened) {
    opened.desk().stationProperty().set(Station.BENCH_BOOK);
    opened.desk().file().putDown(TernRock.job());
    opened.desk().showSheet(FOCUSER);
    opened.desk().book().open(0, 2);
  }

  private static void power(Opened opened) {
    opened.desk().preferencesProperty().set(Preferences.USUAL.standingStill(true));
    opened.desk().stationProperty().set(Station.LAY_OUT);
    opened.desk().file().putDown(TernRock.job());
    opened.desk().showSheet(FOCUSER);
    opened.desk().powerProperty().set(PowerShown.REAL);
  }

  private static void mistyped(Opened opened) {
    domeRotator(opened);
    opened.desk().train().type(opened.desk().sheet().text().replace("~ 80", "~ 8o"));
  }

  private static void filterWheel(Opened opened) {
    opened.desk().file().putDown(TernRock.job());
    opened.desk().showSheet(FILTER_WHEEL);
    opened.desk().crank().tooth(10);
    opened.desk().select(Optional.of(new MemberId("", "ring")));
  }

  private static void ratioBoard(Opened opened) {
    filterWheel(opened);
    opened.desk().select(Optional.empty());
    opened.desk().stationProperty().set(Station.DRIVE_AND_HOLD);
  }

  private static void gearbox(Opened opened) {
    opened.desk().showSheet(FILTER_WHEEL);
    ((ToggleButton) opened.window().lookup("#cut-gearbox")).setSelected(true);
  }

  private static void misfit(Opened opened) {
    opened.desk().stationProperty().set(Station.LAY_OUT);
    typed(
        opened,
        """
        # Counted in a hurry: three planets do not go in.
        planetary sun 30 planet 20 x3 ring 70
        drive sun 60 rpm; hold ring; take carrier
        """);
  }

  private static void drive(Opened opened, int sheet, int tenths) {
    opened.desk().file().putDown(TernRock.job());
    opened.desk().showSheet(sheet);
    opened.desk().crank().drag(tenths / 100.0);
  }

  /** Out of round by six times, or nothing would be seen of it. */
  private static void altitude(Opened opened) {
    drive(opened, ALTITUDE, 8);
    opened.desk().exaggerationProperty().set(EXAGGERATED);
  }

  private static void focuser(Opened opened) {
    drive(opened, FOCUSER, 35);
    opened.desk().exaggerationProperty().set(1);
  }

  private static void findTeeth(Opened opened) {
    opened.desk().file().putDown(TernRock.job());
    opened.desk().showSheet(SKY);
    opened.desk().stationProperty().set(Station.FIND_TEETH);
  }

  private static void shutter(Opened opened, Station station) {
    opened.desk().stationProperty().set(station);
    opened.desk().file().putDown(TernRock.job());
    opened.desk().showSheet(SHUTTER);
    opened.desk().showState("low");
    opened.desk().crank().drag(0.1);
  }

  private static void trolley(Opened opened) {
    opened.desk().stationProperty().set(Station.LAY_OUT);
    drive(opened, TROLLEY, 3);
  }

  private static void dark(Opened opened) {
    opened.desk().stationProperty().set(Station.LAY_OUT);
    drive(opened, ROTATOR, 30);
    opened.desk().preferencesProperty().set(Preferences.USUAL.standingStill(true).inDark(true));
  }

  private static void typed(Opened opened, String card) {
    opened.desk().file().putDown(Job.empty());
    opened.desk().train().type(card);
  }
}
