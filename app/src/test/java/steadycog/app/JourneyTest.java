package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.when;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import steadycog.app.desk.Station;
import steadycog.check.Severity;
import steadycog.number.Exact;

/**
 * From an empty bench to a counted build, by the mouse alone and by keys alone. Every press, wheel
 * or chord is a step, and so is what is written in one go; more steps than there were once are a
 * fault.
 */
class JourneyTest extends InWindow {
  private static final int MOUSE_STEPS = 21;
  private static final int KEY_STEPS = 65;

  private int steps;

  private void click(String id) {
    steps++;
    Node node = robot.lookup(id).query();
    robot.interact(() -> reveal(node));
    robot.clickOn(node);
    settle();
  }

  /** Scrolling something into view is a step as well. */
  private void reveal(Node node) {
    for (Parent up = node.getParent(); up != null; up = up.getParent()) {
      if (up instanceof ScrollPane pane) {
        var seen = pane.localToScene(pane.getLayoutBounds());
        var at = node.localToScene(node.getLayoutBounds());
        if (!seen.contains(at)) {
          steps++;
          var all = pane.getContent().localToScene(pane.getContent().getLayoutBounds());
          pane.setVvalue(
              (at.getMinY() - all.getMinY()) / Math.max(1, all.getHeight() - seen.getHeight()));
          pane.layout();
        }
      }
    }
  }

  private void write(String words) {
    steps++;
    robot.write(words);
    settle();
  }

  private void key(KeyCode... keys) {
    steps++;
    press(keys);
  }

  private void act(String name) {
    key(KeyCode.SHORTCUT, KeyCode.K);
    write(name + "\n");
  }

  /** By keys alone one goes on from field to field, a step each. */
  private void tabTo(String id) {
    for (int k = 0; k < 200 && !find(id, Node.class).isFocused(); k++) {
      key(KeyCode.TAB);
    }
    assertTrue(find(id, Node.class).isFocused(), id + " by Tab");
  }

  private BigFraction ratio() {
    return opened.desk().bench().orElseThrow().study().ratio().orElseThrow().reduction();
  }

  /** What stands on the bench after each part of the way, whoever went it. */
  private void madeAndDriven() {
    assertEquals("7/2", Exact.text(ratio()));
  }

  private void broken() {
    assertTrue(isBroken(), "a ring that does not fit");
  }

  private void proposed() {
    waitUntil(() -> isShown(find("#put-right-take", Node.class)));
  }

  private void putRight() {
    assertFalse(isBroken());
  }

  private boolean isBroken() {
    return opened.desk().cures().advice().stream()
        .anyMatch(f -> f.finding().severity() == Severity.ERROR);
  }

  private void searched() {
    waitUntil(() -> !opened.window().stations().isSearching());
    settle();
  }

  private void brought() {
    assertEquals(2, opened.desk().job().sheets().size());
    assertEquals(Station.LAY_OUT, opened.desk().stationProperty().get());
  }

  private void sized() {
    assertTrue(card().contains("module"), card());
  }

  private void counted() {
    assertTrue(text("#turn-verdict").startsWith("Right: "), text("#turn-verdict"));
  }

  /** As the ratio on the bench says, in whole turns. */
  private String turns(boolean input) {
    return (input ? ratio().getNumerator() : ratio().getDenominator()).toString();
  }

  private Path piece() {
    Path written = folder.resolve("piece");
    when(dialogs.askExport(anyString(), anyString(), anyString())).thenReturn(Optional.of(written));
    return written;
  }

  @Test
  void byTheMouseAlone() {
    Path written = piece();
    click("#kind-Planetary");
    madeAndDriven();
    click("#run");
    click("#run");
    assertTrue(opened.desk().crank().inputTurns().signum() != 0, "it has turned");
    click("#row-sun");
    click("#teeth");
    write("25\n");
    broken();
    click("#put-right");
    proposed();
    click("#put-right-take");
    putRight();
    click("#station-3");
    searched();
    click("#bring");
    brought();
    click("#station-5");
    click("#sheet-wheels-module-0");
    write("1\n");
    sized();
    click("#write-file");
    waitUntil(() -> Files.exists(written));
    click("#station-6");
    click("#add-build");
    click("#add-turns");
    click("#add-reading");
    write(turns(true));
    click("#turns-output-0");
    write(turns(false) + "\n");
    counted();
    assertTrue(steps <= MOUSE_STEPS, steps + " steps");
  }

  @Test
  void byKeysAlone() {
    Path written = piece();
    key(KeyCode.SHORTCUT, KeyCode.L);
    write("planetary sun 24 planet 18 x4 ring 60; drive sun; hold ring; take carrier");
    madeAndDriven();
    key(KeyCode.ESCAPE);
    key(KeyCode.PERIOD);
    assertTrue(opened.desk().crank().inputTurns().signum() != 0, "it has turned");
    key(KeyCode.RIGHT);
    key(KeyCode.PLUS);
    broken();
    key(KeyCode.SHORTCUT, KeyCode.ENTER);
    proposed();
    key(KeyCode.SHORTCUT, KeyCode.ENTER);
    putRight();
    key(KeyCode.SHORTCUT, KeyCode.DIGIT3);
    searched();
    tabTo("#bring");
    key(KeyCode.SPACE);
    brought();
    key(KeyCode.SHORTCUT, KeyCode.DIGIT5);
    tabTo("#sheet-module");
    write("module 1 mm\n");
    sized();
    act("pieces for the shop");
    waitUntil(() -> Files.exists(written));
    key(KeyCode.SHORTCUT, KeyCode.DIGIT6);
    tabTo("#add-build");
    key(KeyCode.SPACE);
    tabTo("#add-turns");
    key(KeyCode.SPACE);
    tabTo("#add-reading");
    key(KeyCode.SPACE);
    assertTrue(find("#turns-input-0", Node.class).isFocused(), "where one writes next");
    write(turns(true));
    key(KeyCode.TAB);
    write(turns(false) + "\n");
    counted();
    assertTrue(steps <= KEY_STEPS, steps + " steps");
  }
}
