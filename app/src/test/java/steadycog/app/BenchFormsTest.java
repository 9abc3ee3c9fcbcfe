package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import steadycog.bench.LoadTest;
import steadycog.bench.Outcome;
import steadycog.bench.TurnTest;

/** The forms of the bench book: every field takes what is right, says what is not, and keeps it. */
class BenchFormsTest extends InWindow {
  private static final String SET =
      """
      planetary sun 24 planet 15 x3 ring 54
      module 1 mm; material pla; width 8 mm
      drive sun 200 rpm 100 Nmm; hold ring; take carrier
      """;

  private Path file(String name, String text) throws Exception {
    Path path = folder.resolve(name);
    Files.writeString(path, text);
    when(dialogs.askRead(any(), any())).thenReturn(Optional.of(path));
    return path;
  }

  private LoadTest load(BenchPage page) {
    return (LoadTest) page.book().builds().getLast().tests().getLast();
  }

  private TurnTest turns(BenchPage page) {
    return (TurnTest) page.book().builds().getLast().tests().getLast();
  }

  @Test
  void howWellAnOutputIsReadDecidesWhatAReadingSays() {
    BenchPage page = BenchPage.of(this, SET).build().turns();
    page.reading(0, "13", "4");
    assertTrue(page.verdict().startsWith("Right"), page.verdict());
    enter("#turns-degrees-0", "2");
    enter("#turn-tolerance", "0.5");
    assertFalse(page.verdict().startsWith("Right"), page.verdict());
    enter("#turn-tolerance", "5");
    assertTrue(page.verdict().startsWith("Right"), page.verdict());
    enter("#turn-tolerance", "none");
    assertEquals(5, turns(page).tolerance(), 1e-9, "what is no number changes nothing");
    enter("#test-notes", "marks of tape");
    assertEquals("marks of tape", turns(page).head().notes());
  }

  @Test
  void aTestIsWrittenTypedInElsewhereAndReadBack() throws Exception {
    BenchPage page = BenchPage.of(this, SET).build().turns();
    page.reading(0, "13", "4").reading(1, "26", "8");
    Path out = folder.resolve("turns.csv");
    when(dialogs.askExport(any(), any(), any())).thenReturn(Optional.of(out));
    fire("#test-write");
    waitUntil(() -> Files.exists(out) && Files.size(out) > 0);
    String written = Files.readString(out);
    assertTrue(written.contains("13") && written.contains("26"), written);
    when(dialogs.askRead(any(), any())).thenReturn(Optional.of(out));
    Files.writeString(out, written.stripTrailing() + "\n");
    fire("#test-read");
    waitUntil(() -> turns(page).readings().size() == 2);
    file("words.csv", "nothing of it\nis a reading\n");
    fire("#test-read");
    waitUntil(() -> !page.said("#bench-said").isEmpty());
    assertEquals(2, turns(page).readings().size(), "what cannot be read takes nothing away");
  }

  /** What Enter has taken stays taken when the field is left, though the keys were in it. */
  @Test
  void whatEnterTookIsNotTakenBack() {
    BenchPage page = BenchPage.of(this, SET).build().turns();
    fire("#add-reading");
    robot.write("13\n\t4\n\t");
    settle();
    assertEquals(List.of("13", "4"), List.of(value("#turns-input-0"), value("#turns-output-0")));
    assertTrue(page.verdict().startsWith("Right"), page.verdict());
    robot.clickOn("#turns-output-0").write("5\n");
    settle();
    assertEquals("5", value("#turns-output-0"), "typed over");
  }

  @Test
  void whatCannotBeSoIsDoubtedBesideItsStep() {
    BenchPage page = BenchPage.of(this, SET).build().load();
    page.choose("#load-way", "torque meter");
    enter("#motor-constant", "17.63");
    enter("#motor-idle", "0.09");
    fire("#add-step");
    page.step(0, "load", "2 Nm").step(0, "current", "0.2");
    page.choose("#steps-outcome-0", Outcome.HELD.word());
    assertTrue(page.shows("#load-doubts"), "more would come out than goes in");
    assertFalse(page.said("#load-doubts").isEmpty());
    page.step(0, "load", "0.02 Nm");
    assertEquals("0.02 Nm", load(page).steps().getFirst().load().toString());
  }

  @Test
  void aPlanKeepsWhatWasTriedAndGivesWayOtherwise() {
    BenchPage page = BenchPage.of(this, SET).build().load();
    enter("#plan-steps", "4");
    enter("#plan-top", "0.8 Nm");
    assertEquals(4, load(page).steps().size());
    page.choose("#steps-outcome-0", Outcome.HELD.word());
    enter("#plan-steps", "2");
    fire("#plan-load");
    assertEquals(3, load(page).steps().size(), "the one that was held, and two new ones");
    enter("#plan-top", "none");
    assertFalse(page.said("#load-said").isEmpty());
    assertEquals(3, load(page).steps().size());
    enter("#plan-top", "0.8 Nm");
    enter("#plan-steps", "0");
    fire("#plan-load");
    assertTrue(page.said("#load-said").contains("at least one step"), page.said("#load-said"));
  }

  @Test
  void columnsOfARecordingAreChosenByHand() throws Exception {
    BenchPage page = BenchPage.of(this, SET).build();
    StringBuilder text = new StringBuilder("t,motor,load\n");
    for (int k = 0; k < 400; k++) {
      text.append(k / 10.0).append(',').append(k * 13 % 360).append(',').append(k * 4 % 360);
      text.append('\n');
    }
    file("log.csv", text.toString());
    fire("#read-recording");
    waitUntil(() -> page.said("#recording-said").contains("Choose above"));
    assertFalse(page.shows("#keep-turns"), "nothing is taken before it is said what it is");
    assertTrue(
        page.texts("#channel-input").contains("motor"), page.texts("#channel-input")::toString);
    page.choose("#channel-input", "motor").choose("#channel-output", "load");
    enterUnit("#unit-input", "deg");
    enterUnit("#unit-output", "deg");
    fire("#recording-read");
    waitUntil(() -> page.shows("#keep-turns"));
    assertTrue(says("i = in/out = 3.25"));
    fire("#keep-turns");
    assertTrue(page.verdict().startsWith("Right"), page.verdict());
  }

  private void enterUnit(String id, String unit) {
    robot.interact(() -> find(id, TextField.class).setText(unit));
    settle();
  }

  @Test
  void anyTwoLoadedBuildsAreCompared() {
    BenchPage page = BenchPage.demo(this).look("compare");
    assertTrue(says("Build B against Build A"));
    assertEquals(List.of("Build A", "Build B"), page.texts("#compare-older"));
    page.choose("#compare-newer", "Build A").choose("#compare-older", "Build B");
    assertTrue(says("Build A against Build B"));
    assertTrue(says("torque out, Nm"));
    BenchPage alone = BenchPage.of(this, SET).build().look("compare");
    assertTrue(says("Two builds with load tests are needed"));
    assertFalse(alone.shows("#compare-newer"));
  }

  @Test
  void theReportOfTheWholeJobHasEveryTrain() throws Exception {
    BenchPage.demo(this).look("report");
    robot.interact(() -> find("#report-whole", CheckBox.class).setSelected(true));
    Path page = folder.resolve("job.html");
    when(dialogs.askExport(any(), any(), any())).thenReturn(Optional.of(page));
    fire("#report-html");
    waitUntil(() -> text("#report-said").contains("written"));
    String html = Files.readString(page);
    opened
        .desk()
        .job()
        .sheets()
        .forEach(sheet -> assertTrue(html.contains(sheet.name()), sheet.name()));
    Path paper = folder.resolve("job.pdf");
    robot.interact(() -> find("#report-whole", CheckBox.class).setSelected(false));
    when(dialogs.askExport(any(), any(), any())).thenReturn(Optional.of(paper));
    fire("#report-pdf");
    waitUntil(() -> text("#report-said").contains("job.pdf"));
    assertTrue(Files.readString(paper, StandardCharsets.ISO_8859_1).startsWith("%PDF"));
  }

  @Test
  void theSupplyOfTheRigIsLimitedAndItsReadingsKept() throws Exception {
    BenchPage page = BenchPage.of(this, SET).build().load();
    enter("#rig-seed", "one");
    fire("#rig-start");
    robot.interact(() -> find("#rig-clear", CheckBox.class).setSelected(true));
    fire("#rig-start");
    assertTrue(page.said("#rig-said").contains("whole number"), page.said("#rig-said"));
    enter("#rig-seed", "3");
    enter("#rig-limit", "much");
    assertFalse(page.said("#rig-said").isEmpty());
    enter("#rig-limit", "0.4");
    enter("#plan-steps", "3");
    enter("#plan-top", "0.3 Nm");
    page.choose("#rig-pace", "\u00d7 60");
    robot.interact(() -> find("#rig-clear", CheckBox.class).setSelected(true));
    page.run();
    assertTrue(load(page).steps().stream().anyMatch(step -> !step.read().isEmpty()));
    Path out = folder.resolve("readings.csv");
    when(dialogs.askExport(any(), any(), any())).thenReturn(Optional.of(out));
    fire("#rig-save");
    waitUntil(() -> Files.exists(out) && Files.size(out) > 200);
    assertTrue(Files.readString(out).lines().count() > 10);
  }

  @Test
  void leavesOfTheBookAreOpenedAndTakenOutOneByOne() {
    BenchPage page = BenchPage.demo(this);
    robot.clickOn("#leaf-1");
    settle();
    assertTrue(page.shows("#build-panel"));
    robot.clickOn("#leaf-0-1");
    settle();
    assertTrue(page.shows("#turn-panel"));
    page.open(0, 2);
    assertTrue(page.shows("#load-panel"));
    assertTrue(page.summary().startsWith("Held 0.5884 Nm"), page.summary());
    int before = page.book().builds().getFirst().tests().size();
    robot.interact(() -> opened.desk().book().removeTest(0, 2));
    settle();
    assertEquals(before - 1, page.book().builds().getFirst().tests().size());
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertEquals(before, page.book().builds().getFirst().tests().size());
  }
}
