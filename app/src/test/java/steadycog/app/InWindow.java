package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.Mockito.mock;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.fxmisc.richtext.StyleClassedTextArea;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;
import steadycog.app.SteadyCogApp.Opened;
import steadycog.format.demo.TernRock;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.search.Wanted;

/** The real window, driven by keys and mouse on the platform without a display. */
@Tag("slow")
abstract class InWindow {
  private static final double FIRST_WIDTH = 1280;
  private static final double FIRST_HEIGHT = 800;

  @TempDir Path folder;
  @TempDir Path memory;
  final FxRobot robot = new Hands();
  final FileDialogs dialogs = mock(FileDialogs.class);
  Opened opened;

  @BeforeEach
  void openWindow() throws TimeoutException {
    FxToolkit.registerPrimaryStage();
    FxToolkit.setupStage(
        stage -> {
          Uncaught.watch();
          // There is one stage for all tests, and the last one may have made it smaller.
          stage.setWidth(FIRST_WIDTH);
          stage.setHeight(FIRST_HEIGHT);
          opened = SteadyCogApp.open(stage, dialogs, memory);
          // Two looks at one picture are alike.
          stand(true);
        });
    settle();
  }

  /** Lets pictures stand still that would turn by themselves. */
  void stand(boolean still) {
    var preferences = opened.desk().preferencesProperty();
    preferences.set(preferences.get().standingStill(still));
  }

  @AfterEach
  void closeWindow() throws TimeoutException {
    FxToolkit.cleanupStages();
  }

  /** Lets what has been asked of the interface's thread be done. */
  static void pulse() {
    Hands.rest();
  }

  /**
   * Lets everything come to rest that follows an edit, the cures that are looked for aside as well:
   * nodes are looked up from the test's thread, and none may come or go meanwhile.
   */
  void settle() {
    pulse();
    waitUntil(() -> opened.desk().cures().isDone() && opened.desk().glances().isDone());
  }

  /** The demo, with searches among so few teeth that they are over at once. */
  static Job demo() {
    Job job = TernRock.job();
    for (int k = 0; k < job.sheets().size(); k++) {
      Sheet sheet = job.sheets().get(k);
      job = job.with(k, sheet.wanting(sheet.wanted().with(Wanted.Field.TEETH, "12..30")));
    }
    return job;
  }

  <N extends Node> N find(String id, Class<N> kind) {
    return robot.lookup(id).queryAs(kind);
  }

  String text(String id) {
    return find(id, Labeled.class).getText();
  }

  String cell(String member, int column) {
    Node row = robot.lookup("#row-" + member).query();
    return ((Labeled) ((Parent) row).getChildrenUnmodifiable().get(column)).getText();
  }

  /** Puts a job with this one train on the desk, as if it had been pasted. */
  void putDown(String card) {
    robot.interact(
        () -> {
          opened.desk().file().putDown(Job.empty());
          opened.desk().train().type(card);
        });
    settle();
  }

  String card() {
    return find("#train-line", StyleClassedTextArea.class).getText();
  }

  void waitFor(String id, String words) {
    waitUntil(() -> text(id).contains(words));
    settle();
  }

  static void waitUntil(Callable<Boolean> holds) {
    assertTrue(comesAbout(holds), "it did not come about");
    pulse();
  }

  /**
   * Waits for what follows an edit or is worked out aside. It is asked on the window's thread, so
   * that nothing comes or goes in the middle of the question.
   */
  static boolean comesAbout(Callable<Boolean> holds) {
    try {
      WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> WaitForAsyncUtils.asyncFx(holds).get());
      return true;
    } catch (TimeoutException late) {
      return false;
    }
  }

  void type(String card) {
    robot.clickOn("#train-line").write(card);
    settle();
  }

  /** Types over a field and takes it with Enter, wherever it is scrolled to. */
  void enter(String id, String words) {
    TextField field = find(id, TextField.class);
    robot.interact(
        () -> {
          field.setText(words);
          field.fireEvent(new ActionEvent());
        });
    settle();
  }

  /** Clicks a button, wherever it is scrolled to. */
  void fire(String id) {
    robot.interact(find(id, ButtonBase.class)::fire);
    settle();
  }

  String value(String id) {
    return find(id, TextField.class).getText();
  }

  /** Whether any label that is shown has those words. */
  boolean says(String words) {
    return robot
        .lookup(
            (Node node) ->
                node instanceof Labeled l
                    && String.valueOf(l.getText()).contains(words)
                    && isShown(node))
        .tryQuery()
        .isPresent();
  }

  static boolean isShown(Node node) {
    return node.isVisible() && (node.getParent() == null || isShown(node.getParent()));
  }

  void press(KeyCode... keys) {
    robot.push(keys);
    settle();
  }

  void focusTable() {
    robot.interact(() -> find("#gear-table", Node.class).requestFocus());
  }

  void clickWheel(String name) {
    robot.clickOn("#row-" + name);
    settle();
  }
}
