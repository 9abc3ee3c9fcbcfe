package steadycog.app;

import java.util.List;
import javafx.scene.control.Labeled;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCode;
import steadycog.app.desk.RigWork;
import steadycog.bench.BenchBook;
import steadycog.format.demo.TernRock;

/** The bench book as those use it who have a build in front of them. */
final class BenchPage {
  private static final int FOCUSER = 6;

  private final InWindow window;

  private BenchPage(InWindow window) {
    this.window = window;
    window.focusTable();
    window.press(KeyCode.SHORTCUT, KeyCode.DIGIT6);
  }

  /** The book of a train that nobody has built yet. */
  static BenchPage of(InWindow window, String card) {
    window.putDown(card);
    return new BenchPage(window);
  }

  /** The book of the focuser, built and tested twice. */
  static BenchPage demo(InWindow window) {
    window.robot.interact(
        () -> {
          window.opened.desk().file().putDown(TernRock.job());
          window.opened.desk().showSheet(FOCUSER);
        });
    window.settle();
    return new BenchPage(window);
  }

  BenchBook book() {
    return window.opened.desk().sheet().book();
  }

  BenchPage build() {
    window.fire("#add-build");
    return this;
  }

  BenchPage turns() {
    window.fire("#add-turns");
    return this;
  }

  BenchPage load() {
    window.fire("#add-load");
    return this;
  }

  BenchPage reading(int row, String input, String output) {
    window.fire("#add-reading");
    window.enter("#turns-input-" + row, input);
    window.enter("#turns-output-" + row, output);
    return this;
  }

  BenchPage step(int row, String column, String words) {
    window.enter("#steps-" + column + "-" + row, words);
    return this;
  }

  BenchPage open(int build, int test) {
    window.robot.interact(() -> window.opened.desk().book().open(build, test));
    window.settle();
    return this;
  }

  BenchPage look(String view) {
    window.fire("#bench-" + view);
    return this;
  }

  /** Chooses from a menu by the words of its item. */
  BenchPage choose(String menu, String words) {
    MenuItem item =
        items(menu).stream()
            .filter(one -> words.equals(one.getText()))
            .findFirst()
            .orElseThrow(() -> new AssertionError(words + " in " + texts(menu)));
    window.robot.interact(item::fire);
    window.settle();
    return this;
  }

  private List<MenuItem> items(String menu) {
    return window.find(menu, MenuButton.class).getItems();
  }

  List<String> texts(String menu) {
    return items(menu).stream().map(MenuItem::getText).toList();
  }

  String verdict() {
    return window.text("#turn-verdict");
  }

  String summary() {
    return window.text("#load-summary");
  }

  /** Starts the rig and waits until it stands still again. */
  BenchPage run() {
    window.fire("#rig-start");
    InWindow.waitUntil(
        () -> window.opened.desk().rig().stateProperty().get() == RigWork.State.IDLE);
    window.settle();
    return this;
  }

  boolean shows(String id) {
    return window.robot.lookup(id).tryQuery().filter(InWindow::isShown).isPresent();
  }

  String said(String id) {
    return window.find(id, Labeled.class).getText();
  }
}
