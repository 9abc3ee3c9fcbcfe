package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.when;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.shape.SVGPath;
import org.junit.jupiter.api.Test;
import steadycog.study.Ratings;
import steadycog.train.Train;

/** The cut sheet in the real window: sizes typed over, files written, a gear in hand identified. */
class CutWindowTest extends InWindow {
  private static final String PAIR =
      """
      # Winch
      parallel 16 ~ 40
      module 2 mm
      drive A 90 rpm 6 Nm; take B
      """;

  private void cutSheet(String card) {
    putDown(card);
    focusTable();
    press(KeyCode.SHORTCUT, KeyCode.DIGIT5);
  }

  @Test
  void sizesAreTypedOverAndTakenBack() {
    cutSheet(PAIR);
    assertEquals("56.000", value("#sheet-meshes-distance-0"));
    enter("#sheet-wheels-shift-0", "0.3");
    assertTrue(card().contains("shift A 0.3"), card());
    assertTrue(card().contains("# Winch"), card());
    assertEquals("56.578", value("#sheet-meshes-distance-0"));
    // A distance typed over is reached by shifts, on the pinion first.
    enter("#sheet-meshes-distance-0", "56.5 mm");
    assertTrue(card().contains("shift A 0.25817"), card());
    assertEquals("56.500", value("#sheet-meshes-distance-0"));
    // Or the axes are put there as they are.
    robot.interact(() -> find("#cut-station .check-box", CheckBox.class).setSelected(false));
    enter("#sheet-wheels-shift-0", "");
    enter("#sheet-meshes-distance-0", "55 mm");
    assertTrue(card().contains("distance A-B 55 mm"), card());
    assertTrue(says("they overlap by"));
    assertTrue(says("bind at 55.000 mm"));
    enter("#sheet-wheels-bore-0", "8 mm key");
    assertTrue(card().contains("bore A 8 mm key"), card());
    String before = card();
    enter("#sheet-wheels-bore-0", "eight");
    assertEquals(before, card());
    assertTrue(text("#sheet-problem").contains("8 mm key"), text("#sheet-problem"));
    assertEquals("eight", value("#sheet-wheels-bore-0"), "what is not understood stays, marked");
    enter("#sheet-wheels-material-1", "brass bending 70 MPa");
    assertTrue(card().contains("material B brass bending 70 MPa"), card());
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertFalse(card().contains("brass"), card());
  }

  @Test
  void modulesOfTheirOwnAndBevelTeethAreTypedOver() {
    cutSheet("parallel 20 ~ 40 = 18 ~ 30; module 1 mm");
    enter("#sheet-wheels-module-2", "1.25");
    assertTrue(card().contains("module C 1.25 mm"), card());
    assertEquals("1.25", value("#sheet-wheels-module-3"), "they mesh");
    assertEquals("1", value("#sheet-wheels-module-1"));
    enter("#sheet-wheels-module-3", "dp 16");
    assertTrue(card().contains("dp D 16") && !card().contains("1.25"), card());
    enter("#sheet-wheels-module-0", "small");
    assertTrue(text("#sheet-problem").contains("1.25 mm"), text("#sheet-problem"));
    enter("#sheet-wheels-module-2", "");
    assertFalse(card().contains("16"), card());
    cutSheet("bevel 11 ~ 43; module 2 mm");
    assertTrue(says("Tredgold"));
    enter("#sheet-drive-shift-0", "0.34");
    enter("#sheet-drive-width-1", "6 mm");
    enter("#sheet-drive-bore-0", "5");
    assertTrue(card().contains("shift pinion 0.34"), card());
    assertTrue(card().contains("width crown 6 mm"), card());
    assertTrue(card().contains("bore pinion 5 mm"), card());
    assertEquals("6.000", value("#sheet-drive-width-0"), "both are as wide as the narrower");
    assertTrue(robot.lookup("#sheet-drive-shift-1").tryQuery().isEmpty(), "it follows");
  }

  @Test
  void roomForTheProcessAndAFitAreChosen() {
    cutSheet(PAIR);
    fire("#process-printed");
    assertTrue(card().contains("clearance printed"), card());
    assertEquals("0.08", value("#gap-flank"));
    enter("#gap-flank", "0.05");
    assertTrue(card().contains("clearance printed flank 0.05 mm"), card());
    enter("#sheet-wheels-offset-1", "0.07");
    assertTrue(card().contains("offset B 0.02 mm"), card());
    assertTrue(says("as made: play 0.240 mm"));
    enter("#sheet-fit", "70 mm");
    assertTrue(card().contains("module 1 mm"), card());
    enter("#sheet-fit", "0.1 mm");
    assertTrue(text("#sheet-problem").contains("No standard teeth"), text("#sheet-problem"));
    enter("#sheet-angle", "25 stub");
    assertTrue(card().contains("angle 25 stub"), card());
    robot.interact(() -> find("#sheet-wheels .sheet-head", Labeled.class).requestFocus());
    press(KeyCode.ENTER);
    assertEquals("A", opened.desk().selection().orElseThrow().toString());
    fire("#process-none");
    assertFalse(card().contains("clearance"), card());
    assertFalse(find("#mesh-view .mesh-first", SVGPath.class).getContent().isEmpty());
  }

  @Test
  void teethAreWoundOnTheSheet() {
    cutSheet(PAIR);
    enter("#sheet-helix", "20");
    assertTrue(card().contains("helix 20 deg"), card());
    assertEquals("20", value("#sheet-wheels-helix-1"));
    assertTrue(says("shoulder, turning back"));
    enter("#sheet-wheels-helix-1", "15 double");
    assertTrue(card().contains("helix B 15 deg double left"), card());
    enter("#sheet-wheels-helix-0", "10");
    assertTrue(card().contains("helix A 10 deg double right"), card());
    assertFalse(card().contains("helix B"), "a mate follows: " + card());
    enter("#sheet-wheels-helix-0", "");
    assertFalse(card().contains("helix A"), card());
    enter("#sheet-helix", "50");
    assertTrue(text("#sheet-problem").contains("0 to 45"), text("#sheet-problem"));
    assertTrue(card().contains("helix 20 deg"), "what was there stays: " + card());
    enter("#sheet-helix", "");
    assertFalse(card().contains("helix"), card());
  }

  @Test
  void teethAreSizedForALife() {
    cutSheet("parallel 20 ~ 60; module 1 mm; drive A 900 rpm 12 Nm; take B");
    assertFalse(isShown(find("#sheet-bending", Node.class)));
    enter("#rate-life", "800");
    assertTrue(card().contains("rating life 800 h"), card());
    assertTrue(says("Rating, bending, 800 h, 1.5 wanted"));
    assertTrue(says("shaft of A") && says("least diameter, mm"));
    assertTrue(isShown(find("#sheet-what-if .gain", Node.class)), "a wider face helps");
    enter("#rate-life", "long");
    assertTrue(text("#size-words").contains("usual 10000"), text("#size-words"));
    enter("#rate-life", "800");
    fire("#size-it");
    waitUntil(() -> !find("#size-it", Button.class).isDisabled());
    assertTrue(isShown(find("#size-picture .chart-dot", Node.class)));
    fire("#size-panel .cure");
    assertTrue(card().contains("width") && card().contains("hardness 180 HB"), card());
    Train sized = opened.desk().bench().orElseThrow().card().train();
    assertTrue(Ratings.of(sized).weakest().orElseThrow().margin() >= 1, card());
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertTrue(card().contains("module 1 mm") && !card().contains("hardness"), card());
    enter("#size-within", "wide");
    fire("#size-it");
    assertTrue(text("#size-words").contains("a length such as"), text("#size-words"));
    enter("#size-within", "20 mm");
    fire("#size-it");
    waitUntil(() -> !find("#size-it", Button.class).isDisabled());
    assertTrue(text("#size-words").contains("Nothing holds"), text("#size-words"));
    assertTrue(find("#size-panel .cure", Button.class).isVisible());
    enter("#size-within", "");
    enter("#size-apart", "200 mm");
    fire("#size-it");
    waitUntil(() -> !find("#size-it", Button.class).isDisabled());
    assertFalse(isShown(find("#size-words", Node.class)), text("#size-words"));
    enter("#sheet-wheels-width-0", "9 mm");
    assertFalse(find("#size-panel .scroll-pane", Node.class).isVisible(), "sizes of another train");
    enter("#rate-life", "");
    assertFalse(card().contains("rating"), card());
  }

  @Test
  void partsOfTheirOwnModulesAreSizedOneByOne() {
    cutSheet(
        "fore: parallel 20 ~ 60\nrear: parallel 18 ~ 50\njoin fore.B = rear.A\nmodule fore 1 mm;"
            + " module rear 2 mm; drive fore.A 900 rpm 2 Nm; take rear.B; rating life 800 h");
    ComboBox<?> part = find("#size-part", ComboBox.class);
    assertEquals(List.of("fore", "rear"), part.getItems());
    robot.interact(() -> part.getSelectionModel().selectLast());
    fire("#size-it");
    waitUntil(() -> !find("#size-it", Button.class).isDisabled());
    fire("#size-panel .cure");
    assertTrue(card().contains("module fore 1 mm"), card());
    assertFalse(card().contains("module rear 2 mm"), card());
    cutSheet("parallel 20 ~ 60; module 1 mm");
    assertFalse(isShown(part));
  }

  @Test
  void piecesThatCollideAreWrittenOnlyWhenAskedFor() throws Exception {
    cutSheet("planetary sun 25 planet 15 x3 ring 57; module 1 mm; clearance printed");
    waitUntil(() -> opened.desk().cures().isProven());
    settle();
    assertTrue(says("run into each other by"));
    Path lines = folder.resolve("jams.dxf");
    when(dialogs.askExport(any(), any(), eq(".dxf"))).thenReturn(Optional.of(lines));
    fire("#write-file");
    waitFor("#file-said", "run into each other");
    assertFalse(Files.exists(lines));
    robot.interact(() -> find("#file-anyway", CheckBox.class).setSelected(true));
    fire("#write-file");
    waitFor("#file-said", "jams.dxf written");
  }

  @Test
  void drivesShowEveryLengthAndWhatAddsToTheirPlay() {
    cutSheet(
        "cycloidal lobes 29 pins 30 discs 3; clearance printed; drive eccentric; hold ring; take"
            + " disc");
    assertTrue(says("circle of the pins"));
    assertTrue(says("over two of its pins"));
    assertTrue(says("disc on the output pins"));
  }

  @Test
  void filesAreWrittenAsideAndSaidSo() throws Exception {
    cutSheet("planetary sun 12/- planet 18=18 x3 clocked ring 48/50; module 1 mm");
    Path solids = folder.resolve("set.stl");
    when(dialogs.askExport(any(), any(), eq(".stl"))).thenReturn(Optional.of(solids));
    fire("#file-stl");
    fire("#write-file");
    waitFor("#file-said", "set.stl written");
    assertTrue(Files.size(solids) > 100_000);
    Path sheet = folder.resolve("set.pdf");
    when(dialogs.askExport(any(), any(), eq(".pdf"))).thenReturn(Optional.of(sheet));
    fire("#file-pdf");
    fire("#write-file");
    waitFor("#file-said", "set.pdf written");
    assertTrue(Files.readString(sheet, StandardCharsets.ISO_8859_1).startsWith("%PDF"));
    when(dialogs.askExport(any(), any(), eq(".dxf")))
        .thenReturn(Optional.of(folder.resolve("none/set.dxf")));
    fire("#file-dxf");
    fire("#write-file");
    waitFor("#file-said", "cannot be written");
    enter("#chord", "soft");
    fire("#write-file");
    waitFor("#file-said", "Within what?");
  }

  @Test
  void aGearInHandIsIdentified() {
    focusTable();
    press(KeyCode.SHORTCUT, KeyCode.DIGIT5);
    enter("#id-teeth", "23");
    enter("#id-tip", "26");
    enter("#id-span", "7.72");
    assertTrue(text("#id-words").contains("Did you miscount?"), text("#id-words"));
    assertTrue(says("module 1 mm"));
    enter("#id-teeth", "24");
    assertEquals("", text("#id-words"));
    assertFalse(
        find("#process-printed", ToggleButton.class)
            .getParent()
            .getParent()
            .getParent()
            .isVisible());
  }

  @Test
  void spansAndAMateTellPressureAngleAndModule() {
    cutSheet("parallel 20 ~ 40");
    enter("#id-teeth", "24");
    enter("#id-tip", "39");
    // Over three and four teeth of module 1.5 mm: one base pitch apart, 1.5 pi cos 20 degrees.
    enter("#id-span", "11.574");
    enter("#id-over", "3");
    enter("#id-next", "16.002");
    assertTrue(says("module 1.5 mm"));
    enter("#id-distance", "45 mm");
    enter("#id-mate", "36");
    assertTrue(says("module 1.5 mm"));
    Button use =
        robot
            .lookup((Node node) -> node instanceof Button b && "use".equals(b.getText()))
            .queryButton();
    robot.interact(use::fire);
    settle();
    assertTrue(card().contains("module 1.5 mm"), card());
    enter("#id-tip", "1000");
    assertTrue(
        text("#id-words").contains("No standard size") || text("#id-words").contains("miscount"),
        text("#id-words"));
    enter("#id-teeth", "");
    assertTrue(text("#id-words").startsWith("Count its teeth"), text("#id-words"));
  }

  @Test
  void aHelicalGearInHandGivesItsHelixToTheTrain() {
    cutSheet("parallel 24 ~ 60");
    enter("#id-teeth", "24");
    enter("#id-tip", "55.08");
    robot.interact(() -> find("#id-helical", CheckBox.class).fire());
    assertTrue(text("#id-words").contains("the lead"), text("#id-words"));
    enter("#id-lead", "440.91");
    assertTrue(says("module 2 mm, helix 20.0\u00b0"));
    fire("#identify .cure");
    assertTrue(card().contains("module 2 mm") && card().contains("helix 20 deg"), card());
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertFalse(card().contains("module") || card().contains("helix"), card());
  }

  @Test
  void onePieceIsChosenAndTheCouponIsCutByItself() throws Exception {
    cutSheet("planetary sun 24 planet 15 x3 ring 54; module 1 mm; clearance printed");
    MenuButton which = find("#which-piece", MenuButton.class);
    assertTrue(which.getItems().size() >= 5, () -> which.getItems().toString());
    Path out = folder.resolve("one.svg");
    when(dialogs.askExport(any(), any(), eq(".svg"))).thenReturn(Optional.of(out));
    fire("#file-svg");
    robot.interact(() -> which.getItems().get(1).fire());
    settle();
    String piece = which.getText();
    fire("#write-file");
    waitFor("#file-said", "one.svg written");
    long single = Files.size(out);
    robot.interact(() -> which.getItems().getFirst().fire());
    settle();
    fire("#write-file");
    waitUntil(() -> Files.size(out) > single);
    assertFalse(piece.isEmpty());
    robot.interact(() -> which.getItems().getLast().fire());
    settle();
    fire("#write-file");
    waitUntil(() -> Files.exists(out) && text("#file-said").contains("written"));
    Path table = folder.resolve("sheet.csv");
    when(dialogs.askExport(any(), any(), eq(".csv"))).thenReturn(Optional.of(table));
    fire("#file-csv");
    assertTrue(which.isDisabled(), "a table has no pieces");
    fire("#write-file");
    waitFor("#file-said", "sheet.csv written");
    assertTrue(Files.readString(table).startsWith("train,table,of,quantity"));
  }

  @Test
  void howThePlanetsShareIsTypedOverAndShownOnlyForThem() {
    cutSheet("planetary sun 24 planet 15 x3 ring 54; module 1 mm; width 8 mm; material steel");
    enter("#sheet-sharing", "1.3");
    assertTrue(card().contains("sharing 1.3"), card());
    enter("#sheet-sharing", "9");
    assertFalse(card().contains("sharing 9"), card());
    assertFalse(text("#sheet-problem").isEmpty());
    cutSheet(PAIR);
    assertFalse(isShown(find("#sheet-sharing", Node.class)), "a pair has nothing to share");
    enter("#sheet-module", "dp 16");
    assertTrue(card().contains("dp 16"), card());
    enter("#sheet-module", "thick");
    assertTrue(card().contains("dp 16"), card());
  }

  @Test
  void everyTableOfALoadedTrainIsThere() {
    cutSheet(
        "planetary sun 24 planet 15 x3 ring 54; module 1 mm; width 8 mm; material steel;"
            + " clearance printed; drive sun 60 rpm 2 Nm; hold ring; take carrier");
    for (String table : List.of("#sheet-strength", "#sheet-lost", "#sheet-bearings")) {
      assertTrue(isShown(find(table, Node.class)), table);
    }
    assertTrue(says("pin of planet"), "sun and carrier are pressed from all sides alike");
    cutSheet("parallel 20 ~ 40");
    assertFalse(says("pin of"), "nothing is carried");
  }
}
