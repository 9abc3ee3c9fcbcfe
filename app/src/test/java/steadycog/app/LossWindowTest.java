package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import steadycog.train.MemberId;

/** What comes out, what holds, and what a motor does with it, in the real window. */
class LossWindowTest extends InWindow {
  private static final String FOCUSER =
      """
      # Focuser
      planetary sun 12/- planet 18=18 x3 ring 48/51
      drive sun 3000 rpm 0.01 Nm; hold ring1; take ring2
      """;

  @Test
  void lossesAreChosenTypedAndTakenBack() throws Exception {
    putDown(FOCUSER);
    waitFor("#headline-losses", "out, pushed back");
    String oiled = text("#headline-losses");
    robot.interact(find("#practice-printed", ToggleButton.class)::fire);
    waitFor("#headline-losses", "35.4");
    assertTrue(card().contains("# Focuser"), card());
    assertTrue(card().contains("efficiency printed"), card());
    waitFor("#pushed-back", "holds itself; it tips over at 95.8");
    assertTrue(cell("ring2", 5).startsWith("\u22120.3010"), cell("ring2", 5));
    enter("#passes-0", "98");
    assertTrue(card().contains("efficiency printed sun-planet 0.98"), card());
    enter("#passes-0", "a lot");
    assertTrue(card().contains("efficiency printed sun-planet 0.98"), "kept: " + card());
    assertTrue(
        robot
            .lookup(".bad-word")
            .lookup((Node node) -> node instanceof Labeled l && l.getText().contains("98.5"))
            .tryQuery()
            .isPresent());
    enter("#friction", "0.06");
    assertTrue(card().contains("friction 0.06"), card());
    press(KeyCode.SHORTCUT, KeyCode.Z);
    press(KeyCode.SHORTCUT, KeyCode.Z);
    press(KeyCode.SHORTCUT, KeyCode.Z);
    waitFor("#headline-losses", oiled);
    assertFalse(card().contains("efficiency"), card());
  }

  @Test
  void aMotorIsTakenFromTheShelfLoadedAndRun() throws Exception {
    putDown(FOCUSER);
    ComboBox<?> shelf = find("#motor-shelf", ComboBox.class);
    robot.interact(() -> shelf.getSelectionModel().select(3));
    settle();
    assertTrue(card().contains("motor 40 Nmm 6500 rpm"), card());
    enter("#motor-load", "9 Nm");
    assertTrue(card().contains("take ring2 9 Nm"), card());
    waitFor("#motor-verdict", "Stalls.");
    enter("#motor-load", "0.4 Nm");
    waitFor("#motor-verdict", "Runs at");
    robot.interact(find("#motor-run", Button.class)::fire);
    settle();
    double rpm =
        opened
            .desk()
            .bench()
            .orElseThrow()
            .study()
            .motion()
            .speed(new MemberId("", "sun"))
            .orElseThrow()
            .inRpm();
    assertTrue(rpm > 5000 && rpm < 6500, "near no-load speed: " + rpm);
    enter("#motor-typed", "strong");
    assertTrue(card().contains("motor 40 Nmm 6500 rpm"), "kept: " + card());
  }

  @Test
  void thePowerIsDrawnOverTheSideView() throws Exception {
    putDown(FOCUSER);
    focusTable();
    assertEquals(0, robot.lookup(".power-flow").queryAll().size());
    press(KeyCode.V);
    int ideal = robot.lookup(".power-flow").queryAll().size();
    assertTrue(ideal > 6, "stretches of power: " + ideal);
    assertEquals(0, robot.lookup(".power-heat").queryAll().size());
    press(KeyCode.V);
    assertEquals(3, robot.lookup(".power-heat").queryAll().size(), "a spot a mesh");
    assertTrue(find("#power-real", ToggleButton.class).isSelected());
    press(KeyCode.V);
    assertEquals(0, robot.lookup(".power-flow").queryAll().size());
  }
}
