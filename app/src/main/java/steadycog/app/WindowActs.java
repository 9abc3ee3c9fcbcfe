package steadycog.app;

import javafx.scene.input.KeyCode;
import steadycog.app.Acts.Group;
import steadycog.app.desk.Desk;
import steadycog.app.desk.Preferences;
import steadycog.app.desk.Station;
import steadycog.app.rail.JobRail;
import steadycog.app.trainline.TrainLine;

/** The acts of the window. */
final class WindowActs {
  private final Desk desk;
  private final JobKeeper keeper;
  private final JobRail rail;
  private final TrainLine line;
  private final MainWindow window;

  WindowActs(Desk desk, JobKeeper keeper, JobRail rail, TrainLine line, MainWindow window) {
    this.desk = desk;
    this.keeper = keeper;
    this.rail = rail;
    this.line = line;
    this.window = window;
  }

  /** All that can be done by name, and most of it by a key. */
  Acts all() {
    Acts all = new Acts();
    all.key(Group.FILE, "New job", "N", keeper::startNew, KeyCode.N)
        .key(Group.FILE, "Open \u2026", "O", keeper::open, KeyCode.O)
        .key(Group.FILE, "Save", "S", keeper::save, KeyCode.S)
        .shifted(Group.FILE, "Save as \u2026", "S", keeper::saveAs, KeyCode.S)
        .add(Group.FILE, "Picture of the drawing \u2026", "", window::writePicture)
        .add(Group.FILE, "Workbook that computes \u2026", "", window::writeWorkbook)
        .add(
            Group.FILE,
            "Pieces for the shop \u2026",
            "",
            () -> window.stations().press("#write-file"))
        .add(
            Group.FILE,
            "Print the cut sheet \u2026",
            "",
            () -> window.stations().press("#print-sheet"))
        .add(Group.FILE, "Report \u2026", "", window::showReport)
        .key(Group.EDIT, "Undo", "Z", desk::undo, KeyCode.Z)
        .shifted(Group.EDIT, "Redo", "Z", desk::redo, KeyCode.Z)
        .key(Group.EDIT, "Redo", "Y", desk::redo, KeyCode.Y)
        .key(Group.EDIT, "Put it right", "Enter", desk.cures()::putRight, KeyCode.ENTER)
        .key(Group.GO, "The card", "L", line::startTyping, KeyCode.L)
        .key(Group.TRAINS, "Next train", "Page Down", () -> showNext(1), KeyCode.PAGE_DOWN)
        .key(Group.TRAINS, "Train before", "Page Up", () -> showNext(-1), KeyCode.PAGE_UP)
        .add(Group.TRAINS, "New train", "", desk.trains()::add)
        .add(Group.TRAINS, "Try a variant: copy this train", "", desk.trains()::duplicate)
        .add(Group.TRAINS, "Rename this train", "F2", rail::rename)
        .add(Group.TRAINS, "Move this train up", "", () -> desk.trains().move(-1))
        .add(Group.TRAINS, "Move this train down", "", () -> desk.trains().move(1))
        .add(Group.TRAINS, "Compare with another train", "", window::compare)
        .add(Group.TRAINS, "Remove this train", "", desk.trains()::remove)
        .add(Group.MEMBER, "Drive", "D", () -> desk.selection().ifPresent(desk.train()::drive))
        .add(Group.MEMBER, "Hold", "H", () -> desk.selection().ifPresent(desk.train()::hold))
        .add(Group.MEMBER, "Take off", "T", () -> desk.selection().ifPresent(desk.train()::take))
        .key(
            Group.MEMBER,
            "To its word on the card",
            "G",
            () -> desk.selection().ifPresent(line::goTo),
            KeyCode.G)
        .add(Group.MEMBER, "Leave free", "F", () -> desk.selection().ifPresent(desk.train()::free))
        .add(Group.VIEW, "Run or stop the crank", "space", desk.crank()::toggleRunning)
        .add(Group.VIEW, "Back to the marks", "0", desk.crank()::reset)
        .key(Group.VIEW, "Light or dark", "D", this::changeLight, KeyCode.D)
        .key(Group.VIEW, "Fold or show the trains", "B", window::toggleRail, KeyCode.B)
        .key(
            Group.VIEW,
            "Larger text",
            "plus",
            () -> resizeText(1),
            KeyCode.PLUS,
            KeyCode.EQUALS,
            KeyCode.ADD)
        .key(
            Group.VIEW,
            "Smaller text",
            "minus",
            () -> resizeText(-1),
            KeyCode.MINUS,
            KeyCode.SUBTRACT)
        .key(Group.VIEW, "Do anything by its name", "K", window::findAct, KeyCode.K)
        .add(Group.VIEW, "Present: drawing and ratio, large", "F11", window::togglePresenting)
        .add(Group.VIEW, "The guide", "F1", window::toggleGuide)
        .add(Group.VIEW, "All keys", "?", window::showKeys)
        .add(Group.VIEW, "About Steady Cog, and licences", "", window::about);
    for (Station station : Station.values()) {
      String number = String.valueOf(station.ordinal() + 1);
      all.key(
          Group.GO,
          station.title(),
          number,
          () -> desk.stationProperty().set(station),
          KeyCode.valueOf("DIGIT" + number),
          KeyCode.valueOf("NUMPAD" + number));
    }
    return all;
  }

  private void resizeText(int steps) {
    Preferences now = desk.preferences();
    desk.preferencesProperty().set(now.sized(now.textSize() + 1.5 * steps));
  }

  private void showNext(int step) {
    int count = desk.job().sheets().size();
    desk.showSheet(Math.floorMod(desk.pageProperty().get().index() + step, count));
  }

  private void changeLight() {
    Preferences now = desk.preferences();
    desk.preferencesProperty().set(now.inDark(!now.dark()));
  }
}
