package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import org.junit.jupiter.api.Test;
import steadycog.app.desk.Station;

/** A shift plan made by hand in the real window, and one that is found. */
class ShiftWindowTest extends InWindow {
  private static final String SETS =
      """
      # Winch of the shutter
      a: planetary sun 24 planet 15 x3 ring 54
      b: planetary sun 30 planet 15 x3 ring 60
      join a.carrier = b.sun
      efficiency ideal
      drive a.sun 900 rpm; take b.carrier 3 Nm
      """;

  @Test
  void aPlanIsMadeByHandElementByElement() {
    ShiftPage page = ShiftPage.of(this, SETS);
    String before = card();
    page.brake("a.ring").brake("b.ring").clutch("a.sun", "a.ring");
    assertEquals(3, page.plan().elements().size());
    page.addState();
    String first = page.states().getFirst();
    page.toggle(first, 0).toggle(first, 1);
    assertTrue(page.engaged(first, 0) && page.engaged(first, 1) && !page.engaged(first, 2));
    assertTrue(card().startsWith("# Winch of the shutter"), card());
    assertTrue(card().contains("state " + first + ": hold a.ring; hold b.ring"), card());
    page.addState();
    String second = page.states().getLast();
    page.toggle(second, 1).toggle(second, 2);
    assertTrue(card().contains("lock a.ring = a.sun") || card().contains("lock a.sun = a.ring"));
    // The ring of b takes what the other shafts leave: 3 Nm less what its sun brings.
    assertEquals("2", page.shown(second, 1));
    assertTrue(says("direct") || says("down"));
    page.press("Move state " + second + " up");
    assertEquals(List.of(second, first), page.states());
    page.press("Move state " + second + " down");
    assertEquals(List.of(first, second), page.states());
    page.press("Take state " + first + " out");
    assertEquals(List.of(second), page.states());
    while (opened.desk().canUndo() && !card().equals(before)) {
      press(KeyCode.SHORTCUT, KeyCode.Z);
    }
    assertEquals(before, card(), "every step can be taken back");
  }

  @Test
  void aStateTakesAnotherNameUnlessItIsTakenOrNone() {
    ShiftPage page =
        ShiftPage.of(
            this, SETS + "brake a.ring; brake b.ring\nstate low: hold a.ring; hold b.ring\n");
    page.rename("low", "creep");
    assertEquals(List.of("creep"), page.states());
    assertTrue(card().contains("state creep: hold a.ring"), card());
    page.rename("creep", "two words");
    assertEquals(List.of("creep"), page.states(), "no name of a state");
  }

  @Test
  void anElementThatGoesIsReleasedInEveryState() {
    ShiftPage page =
        ShiftPage.of(
            this,
            SETS
                + """
                brake a.ring; brake b.ring; clutch a.sun = a.ring
                state low: hold a.ring; hold b.ring
                state high: hold b.ring; lock a.sun = a.ring
                """);
    page.press("Take brake b.ring off the train");
    assertFalse(card().contains("brake b.ring"), card());
    assertEquals(2, page.plan().elements().size());
    assertTrue(says("neutral") || says("at rest") || says("no ratio"), "nothing reacts any more");
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertTrue(card().contains("brake b.ring"), card());
  }

  @Test
  void aClutchNeedsTwoShafts() {
    ShiftPage page = ShiftPage.of(this, SETS);
    fire("#add-clutch");
    fire("#add-brake");
    assertTrue(page.plan().elements().isEmpty(), "nothing was chosen");
    page.clutch("a.sun", "a.sun");
    assertTrue(page.plan().elements().isEmpty(), "a shaft turns with itself anyway");
    ComboBox<?> offered = find("#brake-on", ComboBox.class);
    assertTrue(offered.getItems().size() >= 4, () -> offered.getItems().toString());
  }

  @Test
  void theLongestRowOfSingleSwapsIsProposed() throws Exception {
    ShiftPage page =
        ShiftPage.of(this, SETS + "brake a.ring; brake b.ring; clutch a.sun = a.ring\n");
    waitFor("#found-status", "ratios from");
    page.propose();
    assertTrue(page.states().size() >= 2, card());
    for (int k = 0; k + 1 < page.states().size(); k++) {
      assertEquals(
          1,
          steadycog.train.ShiftPlan.changes(
              page.plan().states().get(k).engaged(), page.plan().states().get(k + 1).engaged()));
    }
    assertTrue(says("Spread") || says("spread"), "what lies between the ends is said");
    Pane charts = find("#state-charts", Pane.class);
    assertFalse(charts.getChildren().isEmpty(), "the states are drawn");
    assertTrue(find("#plan-findings", Pane.class).getChildren().size() > 1);
  }

  @Test
  void theTableIsCopiedForASpreadsheet() {
    ShiftPage.of(this, SETS + "brake a.ring; brake b.ring\nstate low: hold a.ring; hold b.ring\n");
    Button copy =
        robot
            .lookup(
                (javafx.scene.Node node) ->
                    node instanceof Button b && "Copy as CSV".equals(b.getText()) && isShown(node))
            .queryButton();
    robot.interact(copy::fire);
    String[] text = {""};
    robot.interact(() -> text[0] = Clipboard.getSystemClipboard().getString());
    assertTrue(text[0].startsWith("state,"), text[0]);
    assertTrue(text[0].contains("\nlow,") || text[0].contains("\r\nlow,"), text[0]);
  }

  @Test
  void theStateInViewIsKeptFromStationToStation() {
    ShiftPage.of(
        this,
        SETS
            + """
            brake a.ring; brake b.ring; clutch a.sun = a.ring
            state low: hold a.ring; hold b.ring
            state high: hold b.ring; lock a.sun = a.ring
            """);
    robot.interact(() -> opened.desk().showState("high"));
    settle();
    for (Station station : Station.values()) {
      robot.interact(() -> opened.desk().stationProperty().set(station));
      settle();
      assertEquals("high", opened.desk().state().orElseThrow(), station::name);
    }
    robot.interact(() -> opened.desk().stationProperty().set(Station.LAY_OUT));
    settle();
    assertEquals("3\u2009:\u20091", text("#ratio"));
  }

  /** The flow of power in a state is seen before the train is put in it, by mouse and by keys. */
  @Test
  void aStateIsLookedAtBeforeItIsTaken() {
    ShiftPage.of(
        this,
        """
        planetary sun 24 planet 15 x3 ring 54
        drive sun 100 rpm 2 Nm
        take carrier
        brake ring
        clutch sun = ring
        state low: hold ring
        state direct: lock sun = ring
        """);
    assertEquals(0, shownFlows());
    robot.moveTo(robot.lookup(".state-name").nth(1).queryButton());
    assertTrue(shownFlows() > 0);
    assertTrue(says("state direct: its flow of power"));
    assertEquals("low", opened.desk().state().orElseThrow(), "only looked at");
    robot.moveTo("#file-menu");
    assertEquals(0, shownFlows());
    robot.interact(() -> robot.lookup(".state-name").nth(0).queryButton().requestFocus());
    assertTrue(says("state low: its flow of power"));
    robot.interact(() -> find("#file-menu", Node.class).requestFocus());
    assertTrue(says("state low: filled is engaged"));
  }

  private long shownFlows() {
    return robot.lookup(".power-flow").match(InWindow::isShown).queryAll().size();
  }
}
