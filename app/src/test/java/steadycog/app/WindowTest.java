package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.geometry.VerticalDirection;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.Slider;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.shape.Polygon;
import org.fxmisc.richtext.StyleClassedTextArea;
import org.junit.jupiter.api.Test;
import steadycog.app.desk.Station;
import steadycog.format.demo.TernRock;
import steadycog.format.file.JobFiles;
import steadycog.number.Unit;
import steadycog.search.Candidate;
import steadycog.search.Kind;
import steadycog.search.Wanted;
import steadycog.train.MemberId;

/** The real window, driven by keys and mouse on the platform without a display. */
class WindowTest extends InWindow {
  @Test
  void aDesignerTypesATrainDrivesItTurnsTheCrankSavesAndComesBack() throws Exception {
    type("parallel 18 ~ 72 = 20 ~ 80 = 17 ~ 136");
    assertEquals("128\u2009:\u20091", text("#ratio"));
    press(KeyCode.ESCAPE);
    // Roles by key on the gear table: choose F, then drive it; the old drive becomes the take-off.
    press(KeyCode.LEFT);
    press(KeyCode.D);
    assertEquals("1\u2009:\u2009128", text("#ratio"));
    assertTrue(
        find("#train-line", StyleClassedTextArea.class).getText().contains("drive F\ntake A"));
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertEquals("128\u2009:\u20091", text("#ratio"));
    type("\ndrive A 1500 rpm 0.4 Nm\ntake F");
    assertEquals("\u221211.719", cell("F", 3));
    assertEquals("48.93", cell("F", 5));
    assertEquals("\u221260.047", cell("F", 6));
    press(KeyCode.ESCAPE);
    press(KeyCode.PERIOD);
    assertEquals("20.0\u00b0", text("#input-turns"));
    robot.write(">");
    settle();
    assertEquals("1\u00a0t 20.0\u00b0", text("#input-turns"));
    assertEquals("\u221295.0\u00b0", cell("C", 2));
    assertEquals("marks every 128 turns", text("#line-up"));

    Path file = folder.resolve("dome.cog.json");
    when(dialogs.askSave(any())).thenReturn(Optional.of(file));
    press(KeyCode.SHORTCUT, KeyCode.S);
    assertEquals(opened.desk().job(), JobFiles.open(file));
    press(KeyCode.SHORTCUT, KeyCode.N);
    assertEquals("\u2013", text("#ratio"));
    when(dialogs.askOpen()).thenReturn(Optional.of(file));
    press(KeyCode.SHORTCUT, KeyCode.O);
    assertEquals("128\u2009:\u20091", text("#ratio"));
    assertEquals("48.93", cell("F", 5));
  }

  @Test
  void rolesByPointingAndAJamIsNamed() {
    type("parallel 20 ~ 33 ~ 50");
    Node wheel = robot.lookup("#wheel-B").query();
    robot.clickOn(wheel, MouseButton.PRIMARY);
    settle();
    assertEquals("B", opened.desk().selection().orElseThrow().name());
    robot.clickOn("#role-H");
    settle();
    assertEquals("Jammed", text("#ratio"));
    shows("#findings", "A ~ B; hold B; drive A contradict");
    robot.clickOn("#role-F");
    settle();
    assertEquals("2.5\u2009:\u20091", text("#ratio"));
    shows("#findings", "B is an idler");
    robot.clickOn("#role-L");
    clickWheel("C");
    assertTrue(opened.desk().sheet().text().contains("lock B = C"), "two clicks lock a clutch");
    assertEquals("Jammed", text("#ratio"));
  }

  /** Waits for words on a panel that follows the drawing. */
  private void shows(String id, String words) {
    boolean said = comesAbout(() -> allText(id).contains(words));
    assertTrue(said, () -> "“" + words + "” in: " + allText(id));
  }

  private String allText(String id) {
    StringBuilder all = new StringBuilder();
    robot
        .from(robot.lookup(id).<Node>query())
        .lookup(".label")
        .queryAllAs(Labeled.class)
        .forEach(label -> all.append(label.getText()).append('\n'));
    return all.toString();
  }

  @Test
  void aMistypedCardKeepsItsTextAndTheLastTrain() {
    type("parallel 18 ~ 72\nfly A");
    assertEquals("4\u2009:\u20091", text("#ratio"));
    assertEquals(
        "parallel 18 ~ 72\nfly A", find("#train-line", StyleClassedTextArea.class).getText());
    assertTrue(text("#card-message").startsWith("Line 2, column 1: found 'fly'"));
    for (int k = 0; k < "fly A".length(); k++) {
      robot.push(KeyCode.BACK_SPACE);
    }
    robot.write("hold B");
    settle();
    assertTrue(text("#card-message").startsWith("B: Wheel"), text("#card-message"));
  }

  @Test
  void draggingTheCrankTurnsTheWheels() {
    type("parallel 20 ~ 40");
    Node crank = robot.lookup("#crank").query();
    Bounds at = crank.localToScreen(crank.getBoundsInLocal());
    double x = at.getCenterX();
    double y = at.getCenterY();
    robot.moveTo(x, y - 18).press(MouseButton.PRIMARY).moveTo(x - 18, y).moveTo(x, y + 18);
    robot.release(MouseButton.PRIMARY);
    settle();
    assertEquals(0.5, opened.desk().crank().inputTurns().doubleValue(), 0.02);
    assertTrue(cell("B", 2).startsWith("\u2212"), cell("B", 2));
    robot.clickOn("#run");
    settle();
    assertTrue(opened.desk().crank().runningProperty().get());
    robot.clickOn("#run");
    settle();
    assertFalse(opened.desk().crank().runningProperty().get());
  }

  @Test
  void unsavedWorkIsAskedForAndABrokenFileIsRefused() throws Exception {
    robot.interact(() -> opened.desk().file().putDown(TernRock.job()));
    type("# changed\n");
    press(KeyCode.SHORTCUT, KeyCode.N);
    assertTrue(robot.lookup("#question").tryQuery().isPresent());
    robot.clickOn("Cancel");
    settle();
    assertTrue(opened.desk().file().isUnsaved());
    assertEquals("Tern Rock fitting-out", opened.desk().job().title());
    press(KeyCode.SHORTCUT, KeyCode.N);
    Path file = folder.resolve("kept.cog.json");
    when(dialogs.askSave("Tern Rock fitting-out")).thenReturn(Optional.of(file));
    robot.clickOn(robot.from(robot.lookup("#question").<Node>query()).lookup("Save").<Node>query());
    settle();
    verify(dialogs).askSave("Tern Rock fitting-out");
    assertTrue(JobFiles.open(file).sheets().getFirst().text().contains("# changed"));
    assertEquals("New job", JobKeeper.titleOf(opened.desk()));

    type("parallel 18 ~ 72");
    Path broken = folder.resolve("broken.cog.json");
    Files.writeString(broken, "{\n  \"format\": \"steady-cog-job\",\n  \"version\": 99\n}\n");
    when(dialogs.askOpen()).thenReturn(Optional.of(broken));
    press(KeyCode.SHORTCUT, KeyCode.O);
    robot.clickOn("Do not save");
    settle();
    assertTrue(text("#notice").startsWith("broken.cog.json:3:14: made by a newer"));
    assertEquals("4\u2009:\u20091", text("#ratio"), "the open job is untouched");
  }

  @Test
  void trainsOfAJobAreSwitchedByTabAndKey() {
    robot.interact(() -> opened.desk().file().putDown(TernRock.job()));
    settle();
    assertEquals("128\u2009:\u20091", text("#ratio"));
    robot.clickOn("Mirror-cover winch");
    settle();
    assertEquals("3.5\u2009:\u20091", text("#ratio"));
    press(KeyCode.SHORTCUT, KeyCode.PAGE_UP);
    assertEquals("128\u2009:\u20091", text("#ratio"));
    assertEquals(6, robot.lookup(".wheel").match(InWindow::isShown).queryAll().size());
  }

  @Test
  void trainsAreAddedCopiedNamedNotedAndRemoved() {
    type("parallel 18 ~ 72");
    assertFalse(find("#train-notes", Node.class).isVisible(), "folded away while empty");
    robot.clickOn("#show-notes").write("spare wheels on shelf 3");
    settle();
    robot.interact(() -> opened.desk().trains().duplicate());
    settle();
    robot.doubleClickOn("Train 1 2");
    robot.write("Variant\n");
    settle();
    assertEquals("Variant", opened.desk().sheet().name());
    assertEquals("spare wheels on shelf 3\n", opened.desk().sheet().notes());
    robot.interact(() -> opened.desk().trains().add());
    settle();
    assertEquals("\u2013", text("#ratio"));
    robot.interact(() -> opened.desk().trains().remove());
    press(KeyCode.SHORTCUT, KeyCode.Z);
    press(KeyCode.SHORTCUT, KeyCode.Z);
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertEquals(2, opened.desk().job().sheets().size());
    assertEquals("Train 1 2", opened.desk().sheet().name());
  }

  @Test
  void aCureIsOneClickAndUndoable() {
    type("parallel 14 ~ 30");
    shows("#findings", "reach past the involute");
    robot.clickOn("shift A 0.1");
    settle();
    assertEquals("parallel 14 ~ 30\nshift A 0.1\n", opened.desk().sheet().text());
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertEquals("parallel 14 ~ 30\n", opened.desk().sheet().text());
  }

  @Test
  void oneKeyShowsTheLeastChangeThatPutsItRightAndTheNextMakesIt() throws Exception {
    putDown("planetary sun 24 planet 18 x3 ring 61\ndrive sun\nhold ring\ntake carrier\n");
    focusTable();
    press(KeyCode.SHORTCUT, KeyCode.ENTER);
    waitFor("#put-right-change", "ring 61 \u2192 60, shift planet 0.1");
    assertTrue(
        says(
            "Ratio 3.5417\u2009:\u20091 \u2192 3.5\u2009:\u20091. Still noted: phasing, hunting."));
    assertTrue(card().contains("ring 61"), "shown, not made");
    press(KeyCode.SHORTCUT, KeyCode.ENTER);
    assertTrue(card().contains("ring 60"), card());
    assertFalse(find("#put-right", Node.class).isVisible(), "nothing is left to put right");
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertTrue(card().contains("ring 61") && !card().contains("shift"), "one step to undo");
    fire("#put-right");
    waitFor("#put-right-change", "ring 61");
    fire("#put-right-leave");
    assertFalse(find("#put-right-take", Node.class).getParent().getParent().isVisible());
  }

  @Test
  void aRuleThatCannotBeMetIsNamed() throws Exception {
    putDown("parallel 5 ~ 6i\n");
    fire("#put-right");
    waitFor("#put-right-change", "No change within reach");
    assertTrue(text("#put-right-does").startsWith("A has 5 teeth"), text("#put-right-does"));
    assertFalse(find("#put-right-take", Node.class).isVisible());
  }

  @Test
  void aCureInOneStateLeavesTheOthersAsTheyAre() {
    putDown(
        """
        planetary sun 17 planet 17 x4 ring 51
        drive sun
        state low: hold ring; take carrier
        state back: hold carrier; take ring
        """);
    robot.clickOn("shift planet 0.2");
    settle();
    assertTrue(card().contains("state back: hold carrier; take ring"), card());
    assertTrue(card().contains("shift planet 0.2"), card());
  }

  @Test
  void preferencesChangeEveryFigureAtOnce() {
    type("parallel 20 ~ 40\ndrive A 60 rpm 2 Nm\ntake B");
    robot.interact(
        () ->
            opened
                .desk()
                .preferencesProperty()
                .set(opened.desk().preferences().leading(true).in(Unit.RAD_PER_S).in(Unit.LBF_IN)));
    settle();
    assertEquals("e = 1\u2009:\u20092", text("#ratio"));
    assertEquals("6.2832", cell("A", 3));
    assertEquals("17.701", cell("A", 5));
    shows("#working", "e = (\u221220/40) = \u22121/2");
  }

  @Test
  void wheelsAreBuiltDraggedZoomedAndTakenOutOnTheDrawing() {
    type("parallel 20 ~ 40\ndrive A\ntake B");
    press(KeyCode.ESCAPE);
    clickWheel("B");
    clickWheel("A");
    focusTable();
    press(KeyCode.I);
    assertEquals("parallel 20 ~ 24 ~ 40\ndrive A\ntake C\n", opened.desk().sheet().text());
    assertEquals("B", opened.desk().selection().orElseThrow().name());
    press(KeyCode.ADD);
    robot.clickOn("#teeth").push(KeyCode.SHORTCUT, KeyCode.A).write("31\n");
    settle();
    assertTrue(opened.desk().sheet().text().startsWith("parallel 20 ~ 31 ~ 40\n"));

    Node wheel = robot.lookup("#wheel-C").query();
    Bounds at = wheel.localToScreen(wheel.getBoundsInLocal());
    robot.moveTo(at.getCenterX(), at.getCenterY()).press(MouseButton.PRIMARY);
    robot.moveBy(-40, -60).moveBy(-40, -60).release(MouseButton.PRIMARY);
    settle();
    String placed = opened.desk().sheet().text();
    assertTrue(placed.contains("place C "), placed);
    double x = robot.lookup("#wheel-C").query().getTranslateX();
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertFalse(opened.desk().sheet().text().contains("place"), "a whole drag is one step");

    robot.moveTo("#gear-table").scroll(3, VerticalDirection.UP);
    settle();
    assertTrue(robot.lookup("#wheel-C").query().getTranslateX() != x);
    clickWheel("B");
    focusTable();
    press(KeyCode.DELETE);
    assertEquals("parallel 20 ~ 40\ndrive A\ntake B\n", opened.desk().sheet().text());
  }

  @Test
  void keysAreShownAndTheSideViewGivesWayInALowWindow() {
    type("parallel 20 ~ 40");
    press(KeyCode.ESCAPE);
    robot.write("?");
    settle();
    assertTrue(robot.lookup("#key-map").tryQuery().isPresent());
    press(KeyCode.ESCAPE);
    assertTrue(robot.lookup("#key-map").tryQuery().isEmpty());
    Node edge = find("#edge-view", Node.class);
    assertTrue(edge.isVisible());
    focusTable();
    press(KeyCode.E);
    assertFalse(edge.isVisible());
    press(KeyCode.E);
    assertTrue(edge.isVisible());
  }

  @Test
  void theTwoViewsAndTheLedgerChooseTogether() {
    type("parallel 20 ~ 40 = 15 ~ 45");
    clickWheel("C");
    assertTrue(isChosen("#wheel-C"));
    assertTrue(isChosen("#row-C"));
    assertEquals("15", find("#teeth", TextField.class).getText());
    robot.clickOn(robot.lookup(".edge-wheel").nth(3).<Node>query());
    settle();
    assertTrue(isChosen("#wheel-D"));
    assertFalse(isChosen("#wheel-C"));
    press(KeyCode.ESCAPE);
    assertTrue(opened.desk().selection().isEmpty());
  }

  private boolean isChosen(String id) {
    return robot.lookup(id).query().getPseudoClassStates().stream()
        .anyMatch(state -> state.getPseudoClassName().equals("selected"));
  }

  @Test
  void aVariantOfTheSameRatioIsTriedBesideTheTrain() {
    type("parallel 18 ~ 216\ndrive A 60 rpm 3 Nm\ntake B");
    robot.interact(
        () -> {
          var rooms = opened.desk().bench().orElseThrow().study().rooms();
          opened.desk().trains().tryVariant("compound", rooms.get(2).train());
        });
    settle();
    assertEquals("Train 1, compound", opened.desk().sheet().name());
    assertEquals("12\u2009:\u20091", text("#ratio"));
    assertTrue(opened.desk().sheet().text().contains("drive A 60 rpm 3 Nm"));
    assertEquals(2, opened.desk().job().sheets().size());
  }

  @Test
  void theRatioBoardPutsASetInAnyConfiguration() {
    type("planetary sun 24 planet 15 x3 ring 54\ndrive sun 60 rpm 2 Nm\nhold ring\ntake carrier");
    assertEquals("3.25\u2009:\u20091", text("#ratio"));
    press(KeyCode.SHORTCUT, KeyCode.DIGIT2);
    assertFalse(find("#edge-view", Node.class).isVisible());
    assertTrue(isCurrent("#cell-sun-ring"));
    robot.clickOn("#cell-ring-carrier");
    settle();
    assertEquals(
        "planetary sun 24 planet 15 x3 ring 54\ndrive ring 60 rpm 2 Nm\nhold carrier\ntake sun\n",
        opened.desk().sheet().text());
    assertEquals("1\u2009:\u20092.25", text("#ratio"));
    assertTrue(isCurrent("#cell-ring-carrier"));
    assertFalse(isCurrent("#cell-sun-ring"));
    robot.clickOn("#cell-lock-sun-ring");
    settle();
    assertTrue(opened.desk().sheet().text().contains("lock sun = ring"));
    assertEquals("1\u2009:\u20091", text("#ratio"));
    robot.clickOn("Copy as CSV");
    robot.interact(
        () ->
            assertTrue(
                Clipboard.getSystemClipboard()
                    .getString()
                    .contains("sun,ring,carrier,,3.25,13,4,0.307692307692")));
    press(KeyCode.SHORTCUT, KeyCode.Z);
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertEquals("3.25\u2009:\u20091", text("#ratio"));
    press(KeyCode.SHORTCUT, KeyCode.DIGIT1);
    assertTrue(find("#edge-view", Node.class).isVisible());
  }

  private boolean isCurrent(String id) {
    return robot.lookup(id).query().getPseudoClassStates().stream()
        .anyMatch(state -> state.getPseudoClassName().equals("current"));
  }

  @Test
  void planetsGoRoundWithTheirCarrierAndAreCountedByKeys() {
    type("planetary sun 30 planet 20 x4 ring 70\ndrive sun\nhold ring\ntake carrier");
    press(KeyCode.ESCAPE);
    Node planet = robot.lookup("#wheel-planet").query();
    Node sun = robot.lookup("#wheel-sun").query();
    double radius = distance(planet, sun);
    double x = planet.getTranslateX();
    robot.interact(() -> opened.desk().crank().drag(1.25));
    settle();
    assertTrue(Math.abs(planet.getTranslateX() - x) > 20, "3/8 of a turn further round");
    assertEquals(radius, distance(planet, sun), 1e-6);
    clickWheel("planet");
    focusTable();
    press(KeyCode.O);
    assertTrue(opened.desk().sheet().text().startsWith("planetary sun 30 planet 20 x3 ring 70"));
    assertTrue(isStuck("#wheel-planet-2"), "it does not go in there");
    assertFalse(isStuck("#wheel-planet"));
    shows("#findings", "3 planets do not go in equally spaced");
    robot.clickOn("planets x3 \u2192 x4");
    settle();
    assertFalse(isStuck("#wheel-planet-2"));
    assertTrue(robot.lookup("#wheel-planet-4").tryQuery().isPresent());
  }

  private static double distance(Node a, Node b) {
    return Math.hypot(a.getTranslateX() - b.getTranslateX(), a.getTranslateY() - b.getTranslateY());
  }

  private boolean isStuck(String id) {
    return robot.lookup(id).query().getPseudoClassStates().stream()
        .anyMatch(state -> state.getPseudoClassName().equals("stuck"));
  }

  @Test
  void theSecondInputIsSetBySliderAndTheOutputFollows() {
    type("planetary sun 24 planet 15 x3 ring 54\ndrive sun 9 rpm\ndrive ring 4 rpm\ntake carrier");
    assertEquals("Carrier 5.5385 rpm", text("#ratio"));
    shows("#two-inputs", "carrier = 4/13 \u00d7 sun + 9/13 \u00d7 ring");
    shows("#two-inputs", "stops at ring \u22124 rpm");
    Slider slider = find("#second-speed", Slider.class);
    robot.interact(() -> slider.setValue(-4));
    settle();
    assertTrue(opened.desk().sheet().text().contains("drive ring -4 rpm"));
    assertEquals("Carrier 0 rpm", text("#ratio"));
  }

  @Test
  void theWorkingOfASetAgreesInThreeWays() {
    type("planetary sun 24 planet 15 x3 ring 54\ndrive sun\nhold ring\ntake carrier");
    shows("#epicyclic-working", "All three agree with the solver exactly.");
    shows("#epicyclic-working", "(ring \u2212 carrier) / (sun \u2212 carrier) = \u22124/9");
    shows("#planets", "\u22124/5");
    shows("#planets", "\u221272/65");
  }

  @Test
  void aDiscWobblesWithItsEccentricAndDiscsAreAddedByKey() {
    type("cycloidal lobes 14 pins 15\ndrive eccentric 300 rpm\nhold ring\ntake disc");
    assertEquals("14\u2009:\u20091", text("#ratio"));
    shows("#drive", "disc held, ring out");
    press(KeyCode.ESCAPE);
    Node disc = robot.lookup("#wheel-disc").query();
    Node ring = robot.lookup("#wheel-ring").query();
    double off = distance(disc, ring);
    double x = disc.getTranslateX();
    assertTrue(off > 1);
    robot.interact(() -> opened.desk().crank().drag(0.5));
    assertEquals(off, distance(disc, ring), 1e-6);
    assertEquals(2 * off, Math.abs(disc.getTranslateX() - x), 1e-6, "on the other side");
    clickWheel("disc");
    focusTable();
    press(KeyCode.P);
    assertTrue(opened.desk().sheet().text().startsWith("cycloidal lobes 14 pins 15 discs 2"));
    assertTrue(robot.lookup("#wheel-disc-2").tryQuery().isPresent());
    press(KeyCode.ADD);
    assertTrue(opened.desk().sheet().text().startsWith("cycloidal lobes 15 pins 16"));
  }

  @Test
  void aNominalRatioIsShownForBothMountingsAndTheBendIsExaggerated() {
    type("strainwave nominal 80\ndrive wave 800 rpm\nhold circular\ntake flex");
    assertEquals("80\u2009:\u20091", text("#ratio"));
    shows("#drive", "\u221280  opposite");
    shows("#drive", "81  same");
    shows("#drive", "the flexspline is 2 teeth behind: 1/80 of a turn");
    shows("#kinds", "cycloidal");
    Polygon teeth = robot.lookup(".flex-teeth").queryAs(Polygon.class);
    double round = teeth.getBoundsInLocal().getHeight() - teeth.getBoundsInLocal().getWidth();
    robot.interact(() -> find("#exaggeration", Slider.class).setValue(5));
    double bent = teeth.getBoundsInLocal().getHeight() - teeth.getBoundsInLocal().getWidth();
    assertEquals(5, bent / round, 0.5, "five times as far out of round");
    robot.interact(() -> find("#exaggeration", Slider.class).setValue(1));
    press(KeyCode.SHORTCUT, KeyCode.DIGIT2);
    robot.clickOn("#cell-wave-flex");
    settle();
    assertEquals("81\u2009:\u20091", text("#ratio"));
    assertTrue(opened.desk().sheet().text().contains("strainwave nominal 80"), "as it was typed");
  }

  @Test
  void theBoardOfAChainIsDriveAgainstTakeOffAndTooManyShaftsAreRefused() {
    type("parallel 20 ~ 33 = 25 ~ 50\ndrive A\ntake D");
    press(KeyCode.SHORTCUT, KeyCode.DIGIT2);
    assertTrue(isCurrent("#cell-A-D"));
    robot.clickOn("#cell-D-B");
    settle();
    assertTrue(opened.desk().sheet().text().contains("drive D\ntake B"));
    robot.interact(
        () ->
            opened.desk().train().type("parallel 20" + " ~ 21".repeat(7) + "\ndrive A\ntake H\n"));
    settle();
    assertTrue(robot.lookup(".board-cell").queryAll().isEmpty());
    shows("#ratio-board", "8 shafts make too large a board to read");
  }

  @Test
  void lengthsFollowTheUnitAndTheModuleTypedInTheRoomPanel() {
    type("parallel 20 ~ 40\ndrive A\ntake B");
    shows("#room", "Room for the same ratio, in modules");
    robot.interact(
        () -> {
          TextField module = find("#module", TextField.class);
          module.setText("2 mm");
          module.fireEvent(new javafx.event.ActionEvent());
        });
    settle();
    assertTrue(opened.desk().sheet().text().contains("module 2 mm"));
    shows("#room", "in mm");
    robot.interact(
        () -> opened.desk().preferencesProperty().set(opened.desk().preferences().in(Unit.IN)));
    shows("#room", "in in");
    robot.interact(
        () -> {
          TextField module = find("#module", TextField.class);
          module.setText("large");
          module.fireEvent(new javafx.event.ActionEvent());
          assertEquals("large", module.getText(), "what cannot be read stays, marked");
          assertTrue(module.getPseudoClassStates().contains(PseudoClass.getPseudoClass("bad")));
        });
  }

  @Test
  void teethAreFoundComparedAndBroughtToTheBench() throws Exception {
    type("parallel 18 ~ 72");
    press(KeyCode.SHORTCUT, KeyCode.DIGIT3);
    robot.clickOn("#want-target").write("85");
    robot.clickOn("#kind-planetary").clickOn("#kind-parallel").clickOn("#kind-strainwave");
    TableView<?> table = find("#candidates", TableView.class);
    waitUntil(() -> text("#find-status").contains("proven of"));
    assertFalse(table.getItems().isEmpty());
    assertEquals("two-row,cycloidal", opened.desk().sheet().wanted().text(Wanted.Field.KIND));
    robot.interact(() -> table.getSelectionModel().select(1));
    robot.clickOn("#keep");
    robot.interact(() -> table.getSelectionModel().select(0));
    robot.clickOn("#keep");
    assertTrue(robot.lookup("#compare .differs").queryAll().size() >= 2, "what differs is marked");
    robot.clickOn("#narrow").write("cycloidal");
    settle();
    assertTrue(table.getItems().stream().allMatch(c -> ((Candidate) c).kind() == Kind.CYCLOIDAL));
    robot.clickOn("#bring");
    settle();
    assertEquals(Station.LAY_OUT, opened.desk().stationProperty().get());
    assertEquals("85\u2009:\u20091", text("#ratio"));
    assertEquals(2, opened.desk().job().sheets().size());
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertEquals(1, opened.desk().job().sheets().size());
  }

  @Test
  void whatCannotBeLookedForIsSaidBeneathItsField() throws Exception {
    press(KeyCode.SHORTCUT, KeyCode.DIGIT3);
    robot.clickOn("#want-target").write("-3");
    waitUntil(() -> text("#bad-target").contains("a target has no sign"));
    robot.clickOn("#want-target").push(KeyCode.SHORTCUT, KeyCode.A).write("3.5");
    // The word goes, and what stood below it moves up: only then is there a place to click.
    waitUntil(() -> !find("#bad-target", Node.class).isVisible());
    settle();
    robot.clickOn("#about-teeth").clickOn("#want-teeth").write("9..2");
    waitUntil(() -> text("#bad-teeth").contains("smaller number first"));
    assertEquals("9..2", find("#want-teeth", TextField.class).getText(), "nothing is lost");
    robot.clickOn("#look-near");
    settle();
    assertTrue(robot.lookup("#wanted .bad-word").queryAll().size() > 0);
  }

  @Test
  void aSecondRowIsBuiltOnTheDrawingAndTakenAwayAgain() {
    type("planetary sun 24 planet 15 x3 ring 54\nhold ring; drive sun; take carrier");
    press(KeyCode.ESCAPE);
    focusTable();
    clickWheel("sun");
    robot.clickOn("#role-W");
    settle();
    String card = find("#train-line", StyleClassedTextArea.class).getText();
    assertTrue(card.contains("sun 24/-") && card.contains("hold ring1"), card);
    clickWheel("ring2");
    focusTable();
    press(KeyCode.DELETE);
    assertTrue(
        find("#train-line", StyleClassedTextArea.class)
            .getText()
            .startsWith("planetary sun 24 planet 15 x3"),
        find("#train-line", StyleClassedTextArea.class).getText());
    assertEquals("3.25\u2009:\u20091", text("#ratio"));
  }

  @Test
  void aToolOnAPlanetIsCountedByItsEdges() {
    putDown(
        """
        planetary sun 24 planet 15 x3 ring 54
        drive sun
        hold ring
        take carrier
        tool planet 12
        """);
    waitUntil(() -> says("An edge of the 12 on a planet passes 48/5\u00a0times an input turn"));
    assertTrue(says("all 3 together 144/5"));
  }

  @Test
  void aLoadThatComesDownIsNoError() {
    putDown(
        """
        planetary sun 12/- planet 18=18 x3 ring 48/51
        efficiency external 0.95 internal 0.97
        drive sun 60 rpm
        hold ring1
        take ring2 -85 Nm
        """);
    waitUntil(() -> says("the drive has to help"));
    shows("#findings", "must push 0.00508 Nm to lower it");
    assertTrue(
        opened.desk().bench().orElseThrow().study().findings().stream()
            .noneMatch(finding -> finding.severity().isError()));
  }

  @Test
  void theCrownIsTurnedRoundByOneButton() {
    putDown("bevel 11 ~ 43\n");
    robot.interact(() -> opened.desk().select(Optional.of(new MemberId("", "crown"))));
    settle();
    fire("#role-turn-crown");
    assertTrue(card().contains("crown left"), card());
    fire("#role-turn-crown");
    assertFalse(card().contains("left"), card());
  }

  @Test
  void theRatioOfACureFollowsTheSchoolThatLeads() {
    putDown("parallel 17 ~ 51\ndrive A\ntake B\n");
    assertTrue(says("A 17 \u2192 18, B 51 \u2192 53  (\u22122.9444\u2009:\u20091)"));
    robot.interact(
        () -> {
          var desk = opened.desk();
          desk.preferencesProperty().set(desk.preferences().leading(true));
        });
    waitUntil(() -> says("(e = \u22121\u2009:\u20092.9444)"));
  }
}
