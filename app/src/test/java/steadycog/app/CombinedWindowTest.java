package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.Test;
import steadycog.app.desk.Station;
import steadycog.train.MemberId;
import steadycog.train.ShiftPlan;

/** Sets put together, shift plans, two inputs and differentials, in the real window. */
class CombinedWindowTest extends InWindow {
  private static final String TWO_SETS =
      """
      a: planetary sun 24 planet 18 x3 ring 60
      b: planetary sun 24 planet 18 x3 ring 60
      join a.sun = b.sun; join a.carrier = b.ring
      drive a.ring 900 rpm 2 Nm; take a.carrier
      brake a.sun; brake b.carrier; clutch a.ring = a.sun
      """;

  private ShiftPlan plan() {
    return opened.desk().bench().orElseThrow().card().train().shifts();
  }

  @Test
  void aShiftPlanIsFoundTickedClickedAndTakenBack() throws Exception {
    putDown(TWO_SETS);
    press(KeyCode.SHORTCUT, KeyCode.DIGIT4);
    waitFor("#found-status", "3 ratios");
    for (int k = 0; k < 3; k++) {
      CheckBox box = find("#found-" + k, CheckBox.class);
      robot.interact(() -> box.setSelected(true));
    }
    robot.clickOn("#take-states");
    settle();
    assertEquals(List.of("1", "2", "3"), plan().states().stream().map(s -> s.name()).toList());
    assertTrue(card().contains("state 1: hold b.carrier"), card());
    // Release the brake of state 1: neutral, said in its row and among the findings.
    ToggleButton brake = find("#element-1-1", ToggleButton.class);
    assertTrue(brake.isSelected());
    robot.interact(brake::fire);
    settle();
    waitUntil(() -> !find("#element-1-1", ToggleButton.class).isSelected());
    assertTrue(opened.desk().bench().orElseThrow().study().ratio().isEmpty());
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertTrue(card().contains("state 1: hold b.carrier"), card());
    robot.interact(() -> opened.desk().stationProperty().set(Station.LAY_OUT));
    settle();
    robot.interact(find("#state-2", ToggleButton.class)::fire);
    settle();
    assertEquals("1.4\u2009:\u20091", text("#ratio"));
    // Roles given in a state are the state's.
    robot.interact(() -> opened.desk().train().hold(new MemberId("b", "planet")));
    settle();
    assertTrue(card().contains("state 2: hold a.sun; hold b.planet"), card());
  }

  @Test
  void whatAStateForbidsIsRefusedWithAReasonAndNothingIsLost() {
    putDown(TWO_SETS + "state low: hold b.carrier\nstate mid: hold a.sun\n");
    String before = card();
    robot.interact(() -> opened.desk().train().take(new MemberId("a", "sun")));
    settle();
    assertTrue(text("#notice").contains("in state mid a.sun has two roles"), text("#notice"));
    assertEquals(before, card());
  }

  @Test
  void setsAreAddedJoinedAndTakenAwayOnTheDrawing() {
    type("planetary sun 24 planet 15 x3 ring 54\nhold ring; drive sun; take carrier");
    press(KeyCode.ESCAPE);
    MenuItem set =
        find("#add-part", MenuButton.class).getItems().stream()
            .filter(item -> "part-set".equals(item.getId()))
            .findFirst()
            .orElseThrow();
    robot.interact(set::fire);
    settle();
    assertTrue(card().contains("main: planetary"), card());
    assertEquals(Optional.of(new MemberId("set", "sun")), opened.desk().selection());
    focusTable();
    press(KeyCode.J);
    robot.interact(() -> opened.desk().select(Optional.of(new MemberId("main", "carrier"))));
    settle();
    assertTrue(card().contains("join set.sun = main.carrier"), card());
    robot.interact(() -> opened.desk().select(Optional.of(new MemberId("main", "ring"))));
    focusTable();
    press(KeyCode.M);
    assertTrue(card().contains("rim: parallel") && card().contains("join main.ring = rim.A"));
    assertFalse(
        opened.desk().bench().orElseThrow().study().findings().stream()
            .anyMatch(finding -> finding.code().equals("clash")));
    robot.interact(() -> opened.desk().train().removePart(new MemberId("rim", "A")));
    settle();
    assertFalse(card().contains("rim"), card());
  }

  @Test
  void aSecondInputHoldsTheOutputWhileTheDrawingTurns() throws Exception {
    putDown(
        "planetary sun 30 planet 24 x3 ring 78\n"
            + "drive ring 36 rpm 0.3 Nm; drive sun 0 rpm; take carrier");
    TextField wanted = find("#wanted-output", TextField.class);
    robot.interact(() -> wanted.setText("3x"));
    settle();
    assertTrue(
        robot.lookup("#regulation .bad-word").queryLabeled().getText().contains("no number"));
    robot.interact(() -> wanted.setText("31"));
    waitFor("#run-verdict", "stays at 31");
    robot.interact(() -> find("#set-second", Button.class).fire());
    settle();
    assertTrue(card().contains("drive sun 18 rpm"), card());
    TextField limit = find("#second-limit", TextField.class);
    robot.interact(() -> limit.setText("5"));
    waitFor("#run-verdict", "leaves 31");
    robot.interact(() -> opened.desk().simulation().toggle());
    for (int k = 0; k < 30; k++) {
      robot.interact(() -> opened.desk().simulation().advance(0.05));
    }
    List<Double> turned =
        opened.desk().crank().positionProperty().get().stream().map(Number::doubleValue).toList();
    assertTrue(turned.getFirst() > 0 && turned.getLast() != 0, turned.toString());
    robot.interact(() -> opened.desk().simulation().advance(60));
    assertFalse(opened.desk().simulation().runningProperty().get(), "it ends by itself");
  }

  @Test
  void theSidesOfADifferentialGoRoundABend() throws Exception {
    putDown("differential side 16 spider 10\ndrive case 100 rpm 4 Nm; take right");
    waitFor("#bend-sides", "left 90, right 110");
    robot.interact(() -> find("#bend-radius", TextField.class).setText("0"));
    waitFor("#bend-sides", "write a length");
    robot.interact(() -> find("#bend-radius", TextField.class).setText("3"));
    waitFor("#bend-sides", "left 80, right 120");
    robot.interact(() -> find("#drive-bend", Button.class).fire());
    settle();
    assertTrue(card().contains("drive left 80 rpm"), card());
    assertEquals("120", cell("right", 3));
    Node spider = robot.lookup("#wheel-case-2").query();
    robot.interact(() -> opened.desk().crank().turn(1));
    assertTrue(spider.isVisible());
    robot.clickOn(spider, MouseButton.PRIMARY);
    assertEquals(Optional.of(new MemberId("", "case")), opened.desk().selection());
  }
}
