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
import javafx.css.PseudoClass;
import javafx.geometry.HorizontalDirection;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.app.desk.BenchWork.Status;
import steadycog.app.desk.Station;
import steadycog.app.memory.Recovery;
import steadycog.format.demo.TernRock;
import steadycog.format.file.JobFiles;
import steadycog.format.file.Stamp;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.train.MemberId;

/** What is typed is taken, what is saved stays saved, and what others wrote is not written over. */
class SafeWorkTest extends InWindow {
  private static final PseudoClass BAD = PseudoClass.getPseudoClass("bad");
  private Path file;

  @BeforeEach
  void name() {
    file = folder.resolve("tern.cog.json");
  }

  private void openDemo() throws Exception {
    JobFiles.save(TernRock.job(), 0, file);
    robot.interact(() -> opened.window().keeper().open(file));
    settle();
  }

  @Test
  void whatSomeoneElseWroteIsShownAndBothAreKept() throws Exception {
    openDemo();
    Job theirs = TernRock.job().with(1, TernRock.job().sheets().get(1).noting("theirs\n"));
    JobFiles.save(theirs, 0, file);
    robot.interact(() -> opened.desk().trains().note("mine\n"));
    press(KeyCode.SHORTCUT, KeyCode.S);
    String lines = find(".question-lines", TextArea.class).getText();
    assertTrue(lines.contains("  + mine") && lines.contains("  \u2212 theirs"), lines);
    robot.clickOn("Cancel");
    settle();
    assertEquals(theirs, JobFiles.open(file), "nothing is written before it is settled");
    press(KeyCode.SHORTCUT, KeyCode.S);
    robot.clickOn("Keep both: save as tern (2).cog.json");
    settle();
    assertEquals(theirs, JobFiles.open(file));
    assertEquals(opened.desk().job(), JobFiles.open(folder.resolve("tern (2).cog.json")));
    assertFalse(opened.desk().file().isUnsaved());
    robot.interact(() -> opened.desk().trains().note("more\n"));
    press(KeyCode.SHORTCUT, KeyCode.S);
    assertTrue(robot.lookup("#question").tryQuery().isEmpty(), "its own file by now");
  }

  @Test
  void writingOverTheirsIsAnAnswerAndADeletedFileIsSimplyWritten() throws Exception {
    openDemo();
    Files.writeString(file, "{ no job");
    robot.interact(() -> opened.desk().trains().note("mine\n"));
    press(KeyCode.SHORTCUT, KeyCode.S);
    assertTrue(find(".question-lines", TextArea.class).getText().contains("no job any more"));
    robot.clickOn("Write over theirs");
    settle();
    assertEquals(opened.desk().job(), JobFiles.open(file));
    Files.delete(file);
    robot.interact(() -> opened.desk().trains().note("again\n"));
    press(KeyCode.SHORTCUT, KeyCode.S);
    assertEquals(opened.desk().job(), JobFiles.open(file));
  }

  @Test
  void anOfferStaysThroughOpeningAndSavingUntilItIsAnswered() throws Exception {
    JobFiles.save(TernRock.job(), 0, file);
    Path home = folder.resolve("home");
    Job lost = TernRock.job().with(0, TernRock.job().sheets().getFirst().noting("lost\n"));
    for (Job job : List.of(Job.empty(), lost)) {
      try (Recovery crashed = new Recovery(home)) {
        crashed.keep(job, Optional.of(file), Stamp.of(file));
      }
    }
    Stage[] stage = new Stage[1];
    robot.interact(
        () -> {
          stage[0] = new Stage();
          opened = SteadyCogApp.open(stage[0], dialogs, home);
          opened.window().keeper().open(file);
        });
    settle();
    assertTrue(opened.window().lookup("#offer").isVisible());
    robot.interact(() -> opened.desk().trains().note("in between\n"));
    robot.interact(() -> opened.window().keeper().save());
    robot.interact(() -> opened.window().tell("Something else"));
    settle();
    assertTrue(opened.window().lookup("#offer").getParent().isVisible());
    fireIn(opened.window(), "Bring it back");
    assertEquals(lost, opened.desk().job(), "the newest first");
    assertTrue(opened.desk().file().isUnsaved());
    assertTrue(opened.window().lookup("#offer").getParent().isVisible(), "and one more");
    fireIn(opened.window(), "Drop it");
    assertFalse(opened.window().lookup("#offer").getParent().isVisible());
    robot.interact(() -> stage[0].hide());
    try (Recovery next = new Recovery(home)) {
      assertEquals(List.of(lost), next.find().stream().map(Recovery.Lost::job).toList());
    }
  }

  private void fireIn(Node root, String words) {
    robot.interact(
        () ->
            robot
                .from(root)
                .lookup(
                    (Node n) ->
                        n instanceof javafx.scene.control.Button b && words.equals(b.getText()))
                .<javafx.scene.control.Button>query()
                .fire());
    settle();
  }

  @Test
  void openingAFileChangesNothingInIt() throws Exception {
    Path card = folder.resolve("winch.txt");
    Files.writeString(card, "parallel 18 ~ 72\r\ndrive A\r\ntake B");
    robot.interact(() -> opened.window().keeper().open(card));
    settle();
    assertFalse(opened.desk().file().isUnsaved());
    assertFalse(opened.desk().canUndo());
    assertEquals("4\u2009:\u20091", text("#ratio"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "LAY_OUT | #teeth | 31 | parallel 31 ~ 40",
        "LAY_OUT | #friction | 0.08 | friction 0.08",
        "LAY_OUT | #passes-0 | 97 % | efficiency A-B 0.97",
        "LAY_OUT | #motor-load | 3 Nm | take B 3 Nm",
        "LAY_OUT | #motor-typed | 0.4 Nm 900 rpm | motor 0.4 Nm 900 rpm",
        "CUT_SHEET | #sheet-module | module 2 mm | module 2 mm",
        "CUT_SHEET | #sheet-wheels-width-0 | 7 | width A 7 mm",
        "CUT_SHEET | #sheet-wheels-bore-1 | 5 | bore B 5 mm",
        "CUT_SHEET | #sheet-meshes-distance-0 | 30.5 mm | shift"
      })
  void leavingAFieldTakesIt(Station station, String id, String typed, String said) {
    field(station, id);
    robot.interact(() -> find(id, TextField.class).setText(typed));
    robot.interact(() -> opened.window().requestFocus());
    settle();
    assertTrue(card().contains(said), card());
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertFalse(card().contains(said), "one step: " + card());
  }

  @ParameterizedTest
  @CsvSource({
    "LAY_OUT, #teeth",
    "LAY_OUT, #friction",
    "LAY_OUT, #passes-0",
    "LAY_OUT, #motor-load",
    "LAY_OUT, #motor-typed",
    "CUT_SHEET, #sheet-module",
    "CUT_SHEET, #sheet-wheels-width-0",
    "CUT_SHEET, #sheet-wheels-bore-1",
    "CUT_SHEET, #sheet-meshes-distance-0",
    "CUT_SHEET, #gap-flank"
  })
  void whatCannotBeTakenStaysMarkedAndNothingChanges(Station station, String id) {
    field(station, id);
    String before = card();
    robot.interact(() -> find(id, TextField.class).setText("forty"));
    robot.interact(() -> opened.window().requestFocus());
    settle();
    assertEquals(before, card());
    TextField field = find(id, TextField.class);
    assertEquals("forty", field.getText());
    assertTrue(field.getPseudoClassStates().contains(BAD));
    boolean explained =
        List.of("#notice", "#sheet-problem").stream()
                .flatMap(words -> robot.lookup(words).queryAll().stream())
                .anyMatch(Node::isVisible)
            || says("Not a")
            || says("A share")
            || says("coefficient");
    assertTrue(explained, "why is said");
    if (find("#notice", Labeled.class).getParent().isVisible()) {
      assertTrue(text("#notice").startsWith("Train 1, not changed: "), text("#notice"));
    }
    robot.interact(() -> opened.desk().trains().add());
    robot.interact(() -> opened.desk().undo());
    settle();
    assertFalse(
        find(id, TextField.class).getPseudoClassStates().contains(BAD), "not for another train");
  }

  private void field(Station station, String id) {
    putDown("parallel 20 ~ 40\ndrive A\ntake B\n");
    robot.interact(
        () -> {
          opened.desk().stationProperty().set(station);
          opened.desk().select(Optional.of(new MemberId("", "A")));
        });
    settle();
    robot.interact(() -> find(id, TextField.class).requestFocus());
    settle();
  }

  @Test
  void anotherWheelChosenWhileTypingGetsItsOwnTeeth() {
    putDown("parallel 20 ~ 40\ndrive A\ntake B\n");
    clickWheel("A");
    robot.clickOn("#teeth").push(KeyCode.SHORTCUT, KeyCode.A).write("25");
    clickWheel("B");
    assertTrue(card().startsWith("parallel 25 ~ 40"), card());
    assertEquals("40", value("#teeth"));
  }

  @Test
  void scrollingSidewaysTakesNoToothAway() {
    putDown("parallel 20 ~ 40\n");
    clickWheel("A");
    robot.moveTo(robot.lookup("#wheel-A").<Node>query()).scroll(3, HorizontalDirection.RIGHT);
    settle();
    assertTrue(card().startsWith("parallel 20 ~ 40"), card());
  }

  @Test
  void aLargeTrainIsWorkedOutAsideAndCanBeStopped() throws Exception {
    String wheels = "parallel 20" + " ~ 21 ~ 22".repeat(60);
    robot.interact(() -> opened.desk().train().type(wheels + "\n"));
    assertTrue(opened.desk().work().isWorking());
    assertTrue(opened.desk().bench().isEmpty(), "no other train stands there meanwhile");
    robot.interact(() -> opened.desk().work().stop());
    assertEquals("Stopped", text("#work-title"));
    robot.interact(() -> opened.desk().train().type(wheels + " ~ 23\n"));
    robot.interact(() -> opened.desk().train().type(wheels + " ~ 24\n"));
    waitUntil(() -> opened.desk().bench().isPresent());
    settle();
    assertEquals(new Status.Done(), opened.desk().work().statusProperty().get());
    assertEquals(
        opened.desk().sheet().card().orElseThrow(), opened.desk().bench().orElseThrow().card());
    assertTrue(card().endsWith("~ 24"), "the last that was typed");
    focusTable();
    robot.interact(() -> opened.desk().select(Optional.of(new MemberId("", "B"))));
    press(KeyCode.I);
    waitUntil(() -> opened.desk().bench().isPresent());
    assertEquals("C", opened.desk().selection().orElseThrow().name());
  }

  @Test
  void aNewJobIsAskedForAndTheOldOneIsNotTouched() throws Exception {
    openDemo();
    robot.interact(() -> opened.desk().trains().add());
    robot.interact(() -> opened.desk().train().type("parallel 9 ~ 18\n"));
    when(dialogs.askSave(any()))
        .thenReturn(Optional.of(folder.resolve("none").resolve("x.cog.json")));
    press(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.S);
    assertTrue(text("#notice").contains("does not exist"), text("#notice"));
    assertEquals(TernRock.job(), JobFiles.open(file));
    assertEquals(List.of("tern.cog.json"), names());
  }

  private List<String> names() throws Exception {
    try (var files = Files.list(folder)) {
      return files.map(f -> f.getFileName().toString()).sorted().toList();
    }
  }

  @Test
  void twoTrainsOfOneNameAreTwo() {
    Job job =
        new Job(
            "",
            List.of(sheet("Winch", "parallel 20 ~ 40\n"), sheet("Winch", "parallel 20 ~ 60\n")));
    robot.interact(() -> opened.desk().file().putDown(job));
    robot.interact(() -> opened.desk().select(Optional.of(new MemberId("", "A"))));
    robot.interact(() -> opened.desk().crank().turn(3));
    robot.interact(() -> opened.desk().trains().rename("Other"));
    assertEquals(3, opened.desk().crank().inputTurns().intValue(), "a name is not a train");
    assertTrue(opened.desk().selection().isPresent());
    robot.interact(() -> opened.desk().undo());
    robot.interact(() -> opened.desk().showSheet(1));
    assertEquals(0, opened.desk().crank().inputTurns().intValue());
    assertTrue(opened.desk().selection().isEmpty());
  }

  private static Sheet sheet(String name, String card) {
    return Sheet.empty(name).typed(card);
  }
}
