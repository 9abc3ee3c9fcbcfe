package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import steadycog.app.desk.Station;
import steadycog.app.memory.PreferenceFile;

/** The window for those who look on, and the guide in it. */
class LargeViewTest extends InWindow {
  private static final String SET =
      "planetary sun 24 planet 15 x3 ring 54; drive sun; hold ring; take carrier";

  private double drawn() {
    return find("#face-view", Node.class).getBoundsInParent().getWidth();
  }

  @Test
  void presentingLeavesTheDrawingAndTheRatio() throws Exception {
    putDown(SET);
    press(KeyCode.SHORTCUT, KeyCode.DIGIT5);
    double before = opened.desk().preferences().shownSize();
    press(KeyCode.F11);
    assertEquals(Station.LAY_OUT, opened.desk().stationProperty().get());
    assertTrue(opened.desk().preferences().shownSize() > 1.4 * before);
    assertTrue(drawn() > 0.9 * opened.window().getWidth());
    assertEquals("3.25\u2009:\u20091", text("#ratio"));
    assertTrue(isShown(find("#ratio", Node.class)));
    for (String away : Set.of("#job-title", "#row-sun")) {
      assertFalse(isShown(find(away, Node.class)), away);
    }
    new PreferenceFile(folder).save(opened.desk().preferences());
    assertEquals(before, new PreferenceFile(folder).load().shownSize(), "never kept");
    press(KeyCode.ESCAPE);
    assertEquals(before, opened.desk().preferences().shownSize());
    assertTrue(isShown(find("#row-sun", Node.class)));
  }

  @Test
  void theGuideOpensWhereItFitsFindsAndLetsTry() {
    putDown(SET);
    press(KeyCode.SHORTCUT, KeyCode.DIGIT3);
    press(KeyCode.F1);
    Label chapter = title("7. Find teeth");
    waitUntil(
        () -> {
          double top =
              chapter.localToScene(0, 0).getY() - opened.window().localToScene(0, 0).getY();
          return top > 0 && top < opened.window().getHeight() / 3;
        });
    robot.interact(() -> find("#guide-wish", TextField.class).setText("cycloidal disc lobes"));
    assertTrue(isShown(title("6. Cycloidal and strain wave drives")));
    assertFalse(isShown(title("13. Keep it")));
    int trains = opened.desk().job().sheets().size();
    Button take =
        robot
            .lookup(
                (Node node) ->
                    node instanceof Button b && b.getText().equals("Try it") && isShown(b))
            .queryButton();
    robot.interact(take::fire);
    settle();
    assertEquals(trains + 1, opened.desk().job().sheets().size());
    assertTrue(opened.desk().bench().isPresent(), "what it shows is a train");
    press(KeyCode.F1);
    assertTrue(robot.lookup("#guide").tryQuery().isEmpty());
  }

  @Test
  void theProgramTellsItsVersionAndWhatIsInside() {
    MenuItem about =
        find("#view-menu", MenuButton.class).getItems().stream()
            .filter(item -> "about".equals(item.getId()))
            .findFirst()
            .orElseThrow();
    robot.interact(about::fire);
    settle();
    assertTrue(isShown(title("About Steady Cog")));
    robot.interact(() -> find("#guide-wish", TextField.class).setText("pdfbox apache"));
    assertTrue(isShown(title("Licences of what is inside")));
    assertFalse(isShown(title("1. Count and type")));
    robot.interact(about::fire);
    assertEquals(1, robot.lookup("#guide").queryAll().size());
  }

  @Test
  void twoTrainsStandSideBySideWithWhatDiffersMarked() {
    putDown(SET);
    robot.interact(
        () -> {
          opened.desk().trains().duplicate();
          opened.desk().train().type(SET.replace("ring 54", "ring 55") + "\n");
          opened.desk().showSheet(0);
        });
    settle();
    robot.interact(() -> opened.window().compare());
    pulse();
    List<String> differing =
        robot.lookup("#compare-trains .differs").queryAllAs(Label.class).stream()
            .map(Label::getText)
            .toList();
    assertTrue(
        differing.containsAll(List.of("3.25\u2009:\u20091", "93", "94")), differing::toString);
    assertFalse(differing.contains("3"), "as many wheels in both");
    robot.interact(() -> find("#compare-right", ComboBox.class).getSelectionModel().select(0));
    assertTrue(robot.lookup("#compare-trains .differs").queryAll().isEmpty(), "the same train");
    press(KeyCode.D);
    press(KeyCode.ESCAPE);
    assertTrue(robot.lookup("#compare-trains").tryQuery().isEmpty());
    assertTrue(card().startsWith(SET.substring(0, 20)), "no key went through it");
  }

  private Label title(String words) {
    return robot
        .lookup((Node node) -> node instanceof Label label && label.getText().equals(words))
        .queryAs(Label.class);
  }
}
