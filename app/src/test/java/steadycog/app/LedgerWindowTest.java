package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import steadycog.app.desk.Preferences;
import steadycog.app.desk.Station;
import steadycog.number.Unit;
import steadycog.study.Regulation.Course;
import steadycog.train.MemberId;

/** The panels beside the drawing: each shows what its train asks for, and takes what is typed. */
class LedgerWindowTest extends InWindow {
  private static final String CORRECTION =
      "planetary sun 30 planet 24 x3 ring 78\n"
          + "drive ring 36 rpm 0.3 Nm; drive sun 12 rpm; take carrier";

  private void write(String id, String words) {
    robot.interact(() -> find(id, TextField.class).setText(words));
    settle();
  }

  @Test
  void theSecondInputIsSlidAndItsPowersFollow() {
    putDown(CORRECTION);
    String before = text("#input-powers");
    Slider slider = find("#second-speed", Slider.class);
    assertEquals(12, slider.getValue(), 1e-9);
    robot.interact(() -> slider.setValue(18));
    settle();
    assertTrue(card().contains("drive sun 18 rpm"), card());
    // 36 rpm times 78/108 and 18 rpm times 30/108.
    assertEquals("31", cell("carrier", 3));
    assertTrue(says("carrier = 13/18 \u00d7 ring + 5/18 \u00d7 sun"));
    robot.interact(() -> slider.setValue(-93.6));
    settle();
    assertEquals("0", cell("carrier", 3), "it stops where the two cancel");
    assertNotEquals(before, text("#input-powers"));
  }

  @ParameterizedTest
  @EnumSource
  void aCourseIsChosenAndRunUntilItIsStopped(Course course) {
    putDown(CORRECTION);
    ToggleButton chip = find("#course-" + course.word(), ToggleButton.class);
    robot.interact(chip::fire);
    settle();
    assertTrue(chip.isSelected());
    robot.interact(chip::fire);
    assertTrue(chip.isSelected(), "pressed again it is still what runs");
    fire("#run-simulation");
    assertEquals("Stop", find("#run-simulation", Button.class).getText());
    robot.interact(() -> opened.desk().simulation().advance(0.5));
    assertTrue(opened.desk().simulation().secondsProperty().get() > 0);
    fire("#run-simulation");
    assertEquals("Run", find("#run-simulation", Button.class).getText());
  }

  @Test
  void everyKindShowsItsOwnPanelsAndNoOthers() {
    assertPanels("parallel 20 ~ 40", "#working", "#differential", "#drive", "#planets");
    assertPanels(
        "planetary sun 24 planet 15 x3 ring 54; hold ring; drive sun; take carrier",
        "#planets",
        "#differential",
        "#drive",
        "#two-inputs");
    assertPanels(
        "cycloidal lobes 10 pins 11; drive eccentric; hold ring; take disc",
        "#drive",
        "#differential",
        "#planets",
        "#two-inputs");
    assertPanels(
        "strainwave flex 200 circular 202; drive wave; hold circular; take flex",
        "#drive",
        "#differential",
        "#planets",
        "#two-inputs");
    assertPanels(
        "differential side 16 spider 10; drive case; take right",
        "#differential",
        "#drive",
        "#planets",
        "#two-inputs");
    assertPanels(CORRECTION, "#two-inputs", "#differential", "#drive", "#working");
  }

  private void assertPanels(String card, String shown, String... hidden) {
    putDown(card);
    waitUntil(() -> isShown(find(shown, Node.class)));
    for (String other : hidden) {
      assertFalse(isShown(find(other, Node.class)), card + ": " + other);
    }
  }

  @Test
  void aBendNeedsANumberAndADrivenCase() {
    putDown("differential side 16 spider 10\nhold left; drive right 20 rpm; take case");
    waitUntil(() -> isShown(find("#differential", Node.class)));
    write("#track", "wide");
    assertTrue(text("#bend-sides").contains("track"), text("#bend-sides"));
    assertTrue(find("#drive-bend", Button.class).isDisabled());
    write("#track", "2");
    write("#bend-radius", "-4");
    // The case turns at 10 rpm; to the right the right side has the smaller circle.
    assertEquals("left 12.5, right 7.5 rpm while the case keeps 10", text("#bend-sides"));
  }

  @Test
  void theHeadlineSaysWhatComesOutAndLeadsToTheLosses() {
    putDown(
        "planetary sun 24 planet 15 x3 ring 54\ndrive sun 60 rpm 2 Nm; hold ring; take carrier");
    assertEquals("Gears down, output turns the same way", text("#ratio-sentence"));
    assertTrue(text("#headline-losses").contains("%"), text("#headline-losses"));
    fire("#more-losses");
    assertTrue(isShown(find("#losses", Node.class)));
    assertFalse(text("#loss-sum").isEmpty());
    robot.interact(find("#practice-greased", ToggleButton.class)::fire);
    settle();
    assertTrue(card().contains("efficiency greased"), card());
    write("#friction", "");
    enter("#friction", "0.08");
    assertTrue(card().contains("friction 0.08"), card());
  }

  @Test
  void everyTorqueOfAMemberIsSaidWithWhatPutsItThere() {
    putDown(
        "planetary sun 24 planet 15 x3 ring 54\ndrive sun 60 rpm 2 Nm; hold ring; take carrier");
    robot.interact(() -> opened.desk().select(Optional.of(new MemberId("", "carrier"))));
    settle();
    assertTrue(robot.lookup("#torque-working").tryQuery().isPresent());
    assertTrue(says("6.5") || says("6.4") || says("6.3"), "1 + 54/24 times 2 Nm, less the losses");
  }

  @Test
  void speedsAreShownInTheUnitInView() {
    putDown("parallel 20 ~ 40\ndrive A 120 rpm; take B");
    assertEquals("120", cell("A", 3));
    Unit radians = Unit.of("rad/s").orElseThrow();
    robot.interact(() -> opened.desk().preferencesProperty().set(Preferences.USUAL.in(radians)));
    settle();
    assertEquals("12.566", cell("A", 3));
    assertEquals("\u22126.2832", cell("B", 3));
  }

  @Test
  void membersAreWalkedByKeysRoundAndRound() {
    putDown("planetary sun 24 planet 15 x3 ring 54\ndrive sun; hold ring; take carrier");
    focusTable();
    StringBuilder walked = new StringBuilder();
    for (int k = 0; k < 5; k++) {
      press(KeyCode.RIGHT);
      walked.append(opened.desk().selection().map(MemberId::toString).orElse("-")).append(' ');
    }
    String[] names = walked.toString().split(" ");
    assertEquals(
        4, java.util.Set.of(names[0], names[1], names[2], names[3]).size(), walked::toString);
    assertEquals(names[0], names[4]);
    press(KeyCode.LEFT);
    assertEquals(names[3], opened.desk().selection().orElseThrow().toString());
  }

  @Test
  void whatIsChosenStaysChosenWhenItIsPressedAgain() {
    putDown(
        "planetary sun 24 planet 15 x3 ring 54; module 1 mm\ndrive sun; hold ring; take carrier");
    int pressed = 0;
    for (Station station : Station.values()) {
      robot.interact(() -> opened.desk().stationProperty().set(station));
      settle();
      for (Node node : robot.lookup(".toggle-button").queryAll()) {
        if (node instanceof ToggleButton chip
            && chip.getToggleGroup() != null
            && chip.isSelected()
            && isShown(chip)) {
          robot.interact(chip::fire);
          settle();
          assertTrue(chip.isSelected() || !isShown(chip), station + ": " + chip.getText());
          pressed++;
        }
      }
    }
    assertTrue(pressed > 15, "chips were pressed: " + pressed);
  }
}
