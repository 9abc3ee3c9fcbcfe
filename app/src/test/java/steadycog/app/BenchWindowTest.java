package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextArea;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import steadycog.app.desk.RigWork;
import steadycog.bench.BenchBook;
import steadycog.bench.LoadTest;
import steadycog.bench.Outcome;
import steadycog.bench.TurnTest;
import steadycog.format.demo.TernRock;
import steadycog.number.Exact;

/** The bench book in the real window: built, counted, loaded, compared, reported. */
class BenchWindowTest extends InWindow {
  private static final String SET =
      """
      planetary sun 24 planet 15 x3 ring 54
      module 1 mm; material pla; width 8 mm
      drive sun 200 rpm 100 Nmm; hold ring; take carrier
      """;

  private void bench(String card) {
    putDown(card);
    focusTable();
    press(KeyCode.SHORTCUT, KeyCode.DIGIT6);
  }

  private BenchBook book() {
    return opened.desk().sheet().book();
  }

  private TurnTest turns() {
    return (TurnTest) book().builds().getFirst().tests().getFirst();
  }

  private LoadTest load() {
    return (LoadTest) book().builds().getLast().tests().getLast();
  }

  private void choose(String menu, int item) {
    robot.interact(() -> find(menu, MenuButton.class).getItems().get(item).fire());
    settle();
  }

  private void until(Callable<Boolean> so) throws Exception {
    waitUntil(so);
    settle();
  }

  private void untilStill() throws Exception {
    until(() -> opened.desk().rig().stateProperty().get() == RigWork.State.IDLE);
  }

  @Test
  void aBuildKeepsItsCardWhateverBecomesOfTheTrain() {
    bench("");
    assertTrue(find("#add-build", Node.class).isDisabled());
    assertTrue(says("Put a train on the bench first; what you build"));
    bench(SET);
    fire("#add-build");
    enter("#build-name", "First print");
    enter("#build-date", "3 May");
    assertTrue(text("#build-said").contains("expected year-month-day"));
    enter("#build-date", "2031-05-03");
    robot.interact(() -> find("#build-changed", TextArea.class).setText("all new"));
    when(dialogs.askAny(any())).thenReturn(List.of(folder.resolve("gone.png")));
    fire("#attach");
    settle();
    assertTrue(says("not found there"));
    assertFalse(says("has changed since this was built"));
    robot.interact(() -> opened.desk().train().type(SET.replace("ring 54", "ring 57")));
    settle();
    assertEquals(SET, book().builds().getFirst().card().text());
    fire("#put-back");
    assertEquals(SET, opened.desk().sheet().text());
    assertEquals("all new", book().builds().getFirst().changed());
    while (opened.desk().canUndo()) {
      press(KeyCode.SHORTCUT, KeyCode.Z);
    }
    assertTrue(book().isEmpty(), "every step of the book can be undone");
  }

  @Test
  void typedCountsAreJudgedAndWhatCannotBeReadStays() {
    bench(SET);
    fire("#add-build");
    fire("#add-turns");
    assertEquals("Nothing counted yet.", text("#turn-verdict"));
    fire("#add-reading");
    enter("#turns-input-0", "79");
    enter("#turns-output-0", "2x");
    assertTrue(text("#turn-said").contains("expected a number such as 85"));
    assertEquals("2x", value("#turns-output-0"));
    enter("#turns-output-0", "24");
    assertEquals(Exact.of(24, 1), turns().readings().getFirst().output());
    // Such a set would not go together, so that one reading is not believed.
    assertTrue(text("#turn-verdict").startsWith("Cannot tell yet"), text("#turn-verdict"));
    assertTrue(text("#turn-verdict").contains("ring 55 instead of 54"), text("#turn-verdict"));
    enter("#turns-output-0", "24");
    enter("#turns-degrees-0", "110");
    assertTrue(text("#turn-verdict").startsWith("Right"), text("#turn-verdict"));
    enter("#turns-output-0", "-35");
    enter("#turns-degrees-0", "40");
    assertEquals(Exact.of(-316, 9), turns().readings().getFirst().output());
    assertTrue(text("#turn-verdict").contains("carrier held, ring out"), text("#turn-verdict"));
  }

  /** What is typed into one test and not taken never ends up in another. */
  @Test
  void whatIsNotTakenBelongsToItsTestAlone() throws Exception {
    bench(SET);
    fire("#add-build");
    for (int k = 0; k < 2; k++) {
      fire("#add-turns");
      fire("#add-reading");
      enter("#turns-input-0", "10" + k);
    }
    robot.clickOn("#turns-input-0").write("7");
    robot.interact(() -> opened.desk().book().open(0, 0));
    until(() -> value("#turns-input-0").equals("100"));
    robot.interact(() -> opened.desk().book().open(0, 1));
    until(() -> value("#turns-input-0").equals("101"));
    assertEquals(Exact.of(100, 1), turns().readings().getFirst().input());
  }

  @Test
  void theRigCountsPausesAndStops() throws Exception {
    bench(SET);
    fire("#add-build");
    fire("#add-turns");
    choose("#rig-pace", 2);
    choose("#rig-fault", 1);
    enter("#rig-seed", "2");
    fire("#rig-start");
    untilStill();
    assertEquals(3, turns().readings().size());
    assertTrue(text("#turn-verdict").contains("miscount such as"), text("#turn-verdict"));
    fire("#rig-inside");
    String inside = text("#rig-said").replace("Inside: it has ", "").replace(".", "");
    assertTrue(says(inside + "   i = "), inside);

    choose("#rig-fault", 0);
    choose("#rig-pace", 0);
    fire("#add-load");
    fire("#rig-start");
    assertTrue(text("#rig-said").contains("shield up"), "not without care");
    robot.interact(() -> find("#rig-clear", CheckBox.class).setSelected(true));
    fire("#rig-start");
    assertTrue(text("#rig-said").contains("Plan some steps first"));
    enter("#plan-steps", "4");
    enter("#plan-top", "0.4 Nm");
    assertEquals(4, load().steps().size());
    choose("#rig-pace", 1);
    fire("#rig-start");
    until(() -> !load().steps().getFirst().read().isEmpty());
    fire("#rig-pause");
    LoadTest held = load();
    assertEquals("Go on", text("#rig-start"));
    // As slow as a real rig, so that it is still under way when it is stopped.
    choose("#rig-pace", 0);
    fire("#rig-start");
    until(() -> !load().equals(held));
    press(KeyCode.ESCAPE);
    assertTrue(text("#rig-said").contains("What was logged stays"));
    assertFalse(load().steps().getFirst().read().isEmpty());
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertTrue(load().steps().getFirst().read().isEmpty(), "a run is one step to undo");
  }

  @Test
  void stepsAreTypedAndWorkedOut() {
    bench(SET);
    fire("#add-build");
    fire("#add-load");
    choose("#load-way", 0);
    enter("#load-length", "200 mm");
    enter("#motor-constant", "50");
    fire("#add-step");
    enter("#steps-load-0", "12 N");
    enter("#steps-current-0", "17,2");
    assertTrue(text("#load-said").contains("decimal point"), text("#load-said"));
    enter("#steps-current-0", "17.2");
    choose("#steps-outcome-0", Outcome.HELD.ordinal());
    assertTrue(
        text("#load-summary").startsWith("Held 2.4 Nm. Efficiency 85.9"), text("#load-summary"));
    choose("#load-way", 2);
    assertEquals("2.4 Nm", load().steps().getFirst().load().toString());
  }

  @Test
  void recordingsAreReadAsideOrRefused() throws Exception {
    bench(SET);
    fire("#add-build");
    Path file = folder.resolve("log.csv");
    StringBuilder text = new StringBuilder("time [s],input [deg],output [deg]\n");
    for (int k = 0; k < 4000; k++) {
      text.append(k / 100.0).append(',').append(k * 13 % 360).append(',');
      text.append(k * 4 % 360).append('\n');
    }
    Files.writeString(file, text.insert(300, "\nbroken\n"));
    when(dialogs.askRead(any(), any())).thenReturn(Optional.of(file));
    fire("#read-recording");
    until(() -> find("#keep-turns", Node.class).isVisible());
    assertTrue(says("rows skipped"), "bad rows are told");
    assertTrue(says("i = in/out = 3.25"));
    fire("#keep-turns");
    assertTrue(text("#turn-verdict").startsWith("Right"), text("#turn-verdict"));

    Files.writeString(file, "only words\nhere\n");
    fire("#read-recording");
    until(() -> text("#recording-said").contains("only one column"));
    assertEquals(1, book().builds().getFirst().tests().size());
  }

  @Test
  void demoBuildsAreComparedAndReported() throws Exception {
    robot.interact(
        () -> {
          opened.desk().file().putDown(TernRock.job());
          opened.desk().showSheet(6);
        });
    focusTable();
    press(KeyCode.SHORTCUT, KeyCode.DIGIT6);
    fire("#bench-compare");
    assertTrue(says("It holds 1.8"));
    fire("#bench-report");
    assertTrue(says("Play at ring2"), "the report is read before it is written");
    robot.interact(() -> find("#section-cut-sheet", CheckBox.class).fire());
    settle();
    assertFalse(says("Play at ring2"));
    robot.interact(() -> find("#section-gearbox", CheckBox.class).fire());
    settle();
    assertTrue(says("Built, proven and drawn step by step when the file is written"));
    robot.interact(() -> find("#section-gearbox", CheckBox.class).fire());
    Path page = folder.resolve("focuser.html");
    when(dialogs.askExport(any(), any(), any())).thenReturn(Optional.of(page));
    fire("#report-html");
    until(() -> text("#report-said").contains("written"));
    assertTrue(Files.readString(page).contains("teeth of planet broken off"));
    enter("#settled-0", "runs cool at this duty");
    assertTrue(says("Settled: runs cool at this duty"));
  }

  @Test
  void answersAreHiddenUntilTheyAreStated() {
    putDown(SET);
    focusTable();
    press(KeyCode.SHORTCUT, KeyCode.DIGIT2);
    assertFalse(says("state its ratio"));
    robot.interact(() -> find("#predict-first", CheckBox.class).fire());
    settle();
    fire("#cell-carrier-ring");
    assertEquals("24", card().substring(14, 16), "a hidden cell changes nothing");
    enter("#predicted-ratio", "3.25");
    assertTrue(text("#prediction-verdict").contains("Which way"));
    robot.interact(() -> find("#predicted-same", ToggleButton.class).setSelected(true));
    fire("#reveal");
    assertTrue(text("#prediction-verdict").contains("upside down"), text("#prediction-verdict"));
    fire("#cell-sun-ring");
    enter("#predicted-ratio", "13/4");
    fire("#reveal");
    assertTrue(text("#prediction-verdict").startsWith("Right: i = 13/4"));
    assertEquals(2, book().guesses().size());
    assertTrue(says("1 of 2 right so far"));
    robot.interact(() -> find("#predict-first", CheckBox.class).fire());
    settle();
    fire("#cell-ring-sun");
    assertTrue(card().contains("drive ring"), card());
  }
}
