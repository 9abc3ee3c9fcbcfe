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
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import steadycog.app.desk.Station;
import steadycog.job.Sheet;
import steadycog.search.Candidate;
import steadycog.search.Rank;
import steadycog.search.Wanted.Field;
import steadycog.study.SizeChoices.Choice;
import steadycog.train.Teeth;

/** Every field of what is wanted, in the order in which a designer fills it in. */
class FindFormTest extends InWindow {
  @SuppressWarnings("unchecked")
  private List<Candidate> listed() {
    return List.copyOf(((TableView<Candidate>) find("#candidates", TableView.class)).getItems());
  }

  private void find(String card) {
    putDown(card);
    press(KeyCode.SHORTCUT, KeyCode.DIGIT3);
    only("parallel");
    proven();
  }

  /** One kind of train only, so that a search is soon over. */
  private void only(String kind) {
    robot.interact(
        () -> opened.desk().trains().want(opened.desk().sheet().wanted().with(Field.KIND, kind)));
  }

  private void proven() {
    waitUntil(
        () ->
            !opened.window().stations().isSearching()
                && text("#find-status").contains("proven of"));
    settle();
  }

  private void write(Field field, String words) {
    robot.interact(() -> find("#want-" + field.key(), TextField.class).setText(words));
    settle();
  }

  @ParameterizedTest
  @CsvSource({
    "TARGET, seven",
    "TOLERANCE, near",
    "TEETH, 90..20",
    "STAGES, -1",
    "TARGET, 0",
  })
  void whatCannotBeReadIsSaidBesideItsFieldAndKept(Field field, String words) {
    find("parallel 20 ~ 65; drive A; take B");
    write(field, words);
    waitUntil(() -> isShown(find("#bad-" + field.key(), Node.class)));
    assertFalse(find("#bad-" + field.key(), Labeled.class).getText().isEmpty());
    assertEquals(words, find("#want-" + field.key(), TextField.class).getText());
    write(field, "");
    waitUntil(() -> !isShown(find("#bad-" + field.key(), Node.class)));
    proven();
    assertFalse(listed().isEmpty());
  }

  @Test
  void countsStayWithinWhatIsSaidAndSameTeethAreKept() {
    find("parallel 20 ~ 65; drive A; take B");
    write(Field.TARGET, "4");
    write(Field.TEETH, "18..40");
    write(Field.STAGES, "2");
    proven();
    List<Candidate> all = listed();
    assertFalse(all.isEmpty());
    for (Candidate candidate : all) {
      assertTrue(
          candidate.train().involuteWheels().stream()
              .flatMap(wheel -> wheel.teeth().stream())
              .mapToInt(Teeth::count)
              .allMatch(count -> count >= 18 && count <= 40),
          candidate::card);
      assertTrue(candidate.stages() <= 2, candidate::card);
      assertTrue(Math.abs(candidate.error()) <= 0.01 + 1e-9, candidate::card);
    }
  }

  @ParameterizedTest
  @EnumSource
  void everyRankListsItsBestFirst(Rank rank) {
    find("parallel 20 ~ 65; drive A; take B");
    write(Field.TARGET, "13/4");
    write(Field.TEETH, "14..60");
    proven();
    assertFalse(isShown(find("#rank-load", Node.class)), "nothing is to be borne");
    if (rank == Rank.LOAD) {
      write(Field.LOAD, "900 rpm 1 Nm 200 h");
      proven();
    }
    fire("#rank-" + rank.word());
    waitUntil(() -> !opened.window().stations().isSearching());
    settle();
    assertTrue(find("#rank-" + rank.word(), ToggleButton.class).isSelected());
    List<Candidate> all = listed();
    assertTrue(all.size() > 1, all::toString);
    double before = Double.NEGATIVE_INFINITY;
    for (Candidate candidate : all) {
      double now =
          switch (rank) {
            case ERROR -> Math.abs(candidate.error());
            case SIZE -> candidate.size();
            case STAGES -> candidate.stages();
            case EFFICIENCY -> -candidate.eachWay().efficiency().orElse(0.0);
            case DIAMETER -> candidate.diameter();
            case LOAD -> candidate.sized().map(Choice::mass).orElse(Double.MAX_VALUE);
          };
      assertTrue(now >= before - 1e-12, () -> rank + ": " + candidate.card());
      before = now;
    }
    fire("#rank-" + rank.word());
    assertTrue(find("#rank-" + rank.word(), ToggleButton.class).isSelected());
  }

  @Test
  void theOutputTurnsAsAsked() {
    find("parallel 20 ~ 65; drive A; take B");
    write(Field.TARGET, "3");
    for (String way : List.of("same", "opposite")) {
      fire("#turns-" + way);
      proven();
      assertFalse(listed().isEmpty(), way);
      listed()
          .forEach(
              candidate ->
                  assertEquals(
                      way.equals("same"), candidate.ratio().sameDirection(), candidate::card));
    }
    fire("#turns-any");
    assertEquals("", opened.desk().sheet().wanted().text(Field.DIRECTION));
  }

  @Test
  void aCandidateIsChosenComparedLetGoAndBroughtToTheBench() {
    find("parallel 20 ~ 65; drive A; take B");
    write(Field.TARGET, "5");
    proven();
    TableView<?> table = find("#candidates", TableView.class);
    robot.interact(() -> table.getSelectionModel().select(0));
    settle();
    assertFalse(find("#bring", Button.class).isDisabled());
    Candidate first = listed().getFirst();
    fire("#keep");
    robot.interact(() -> table.getSelectionModel().select(1));
    settle();
    fire("#keep");
    assertTrue(find("#compare", Node.class).isVisible());
    Button drop =
        robot
            .lookup(
                (Node node) ->
                    node instanceof Button b
                        && String.valueOf(b.getAccessibleText()).startsWith("Let "))
            .queryButton();
    robot.interact(drop::fire);
    settle();
    robot.interact(() -> table.getSelectionModel().select(0));
    settle();
    int before = opened.desk().job().sheets().size();
    fire("#bring");
    assertEquals(before + 1, opened.desk().job().sheets().size());
    assertEquals(Station.LAY_OUT, opened.desk().stationProperty().get());
    assertEquals(first.ratio(), opened.desk().bench().orElseThrow().study().ratio().orElseThrow());
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertEquals(before, opened.desk().job().sheets().size());
  }

  @Test
  void theListIsNarrowedByWordsAndCopiedWhole() {
    find("parallel 20 ~ 65; drive A; take B");
    write(Field.TARGET, "6");
    proven();
    int all = listed().size();
    robot.interact(() -> find("#narrow", TextField.class).setText("opposite"));
    settle();
    assertTrue(listed().size() <= all);
    robot.interact(() -> find("#narrow", TextField.class).setText("no such words"));
    settle();
    assertEquals(0, listed().size());
    Button copy =
        robot
            .lookup(
                (Node node) ->
                    node instanceof Button b && "Copy as CSV".equals(b.getText()) && isShown(b))
            .queryButton();
    robot.interact(copy::fire);
    String[] text = {""};
    robot.interact(() -> text[0] = Clipboard.getSystemClipboard().getString());
    assertEquals(all + 1, text[0].lines().count(), "all of them, and their heads");
  }

  @Test
  void aChoiceIsTickedAndTakenBack() {
    find("parallel 20 ~ 65; drive A; take B");
    for (Field field : Field.values()) {
      if (field.isChoice()) {
        CheckBox box = find("#want-" + field.key(), CheckBox.class);
        robot.interact(box::fire);
        settle();
        assertEquals("yes", opened.desk().sheet().wanted().text(field));
        robot.interact(box::fire);
        settle();
        assertEquals("", opened.desk().sheet().wanted().text(field));
      }
    }
  }

  @Test
  void aTrainNearbyReachesTheTargetWithFewChanges() {
    find("parallel 20 ~ 65; drive A; take B");
    write(Field.TARGET, "3.2");
    fire("#look-near");
    waitUntil(() -> !opened.window().stations().isSearching() && !listed().isEmpty());
    assertEquals(3.2, Math.abs(listed().getFirst().ratio().reduction().doubleValue()), 0.01 * 3.2);
  }

  @Test
  void limitsAreFoldedBySubjectAndTakenAwayByTheirChips() {
    find("parallel 20 ~ 65; drive A; take B");
    assertFalse(isShown(find("#want-teeth", Node.class)), "the rare out of sight");
    assertTrue(isShown(find("#want-target", Node.class)), "the daily in sight");
    fire("#about-teeth");
    assertTrue(isShown(find("#want-teeth", Node.class)));
    write(Field.TEETH, "18..40");
    proven();
    fire("#about-teeth");
    assertEquals("Teeth 18..40  \u00d7", find("#limit-teeth", Button.class).getText());
    fire("#limit-teeth");
    assertEquals("", opened.desk().sheet().wanted().text(Field.TEETH));
    assertTrue(robot.lookup("#limit-teeth").tryQuery().isEmpty());
    write(Field.TEETH, "90..20");
    waitUntil(() -> isShown(find("#bad-teeth", Node.class)));
    assertTrue(isShown(find("#want-teeth", Node.class)), "opened for what is wrong in it");
  }

  @Test
  void thePictureStandsStillForThoseWhoWantThat() {
    find("parallel 20 ~ 65; drive A; take B");
    robot.interact(() -> stand(false));
    String before = mark();
    waitUntil(() -> !mark().equals(before));
    robot.interact(() -> stand(true));
    String stilled = mark();
    boolean[] drawn = {false};
    robot.interact(() -> Picture.whenDrawn(() -> drawn[0] = true));
    waitUntil(() -> drawn[0]);
    assertEquals(stilled, mark(), "some frames later");
  }

  /** How the first wheel of the chosen candidate is turned. */
  private String mark() {
    Node mark = robot.lookup("#find-station .preview .wheel-mark").query();
    return mark.getLocalToSceneTransform().toString();
  }

  @Test
  void wheelsThatAreOwnedComeFromATable() throws Exception {
    find("parallel 20 ~ 60; drive A; take B");
    Path table = folder.resolve("own.csv");
    Files.writeString(table, "teeth,pieces\n20,1\n60,1\n30,2\n");
    when(dialogs.askRead(any(), any())).thenReturn(Optional.of(table));
    robot.interact(find("#stock-table", Button.class)::fire);
    proven();
    assertEquals("20x1, 60x1, 30x2", find("#want-stock", TextField.class).getText());
    assertTrue(listed().stream().allMatch(one -> one.card().matches("parallel [2360 ~=]+.*")));
    Files.writeString(table, "teeth,pieces\nfew,1\n");
    robot.interact(find("#stock-table", Button.class)::fire);
    settle();
    assertTrue(text("#bad-stock").startsWith("own.csv:2:1: 'few 1'"), text("#bad-stock"));
    assertEquals("20x1, 60x1, 30x2", find("#want-stock", TextField.class).getText());
  }

  /** A table makes a job of its own, which is saved as a job and not over the table. */
  @Test
  void aTableOfCountsOpensAsTrains() throws Exception {
    Path table = folder.resolve("sets.csv");
    Files.writeString(table, "name,sun,planet,ring\nlight,24,15,54\nstout,24,18,60\n");
    robot.interact(() -> opened.window().keeper().open(table));
    settle();
    assertEquals(
        List.of("light", "stout"), opened.desk().job().sheets().stream().map(Sheet::name).toList());
    assertEquals(Optional.empty(), opened.desk().file().pathProperty().get());
    Files.writeString(table, "name,sun,planet,ring\nlight,24,x,54\n");
    robot.interact(() -> opened.window().keeper().open(table));
    settle();
    assertEquals(2, opened.desk().job().sheets().size(), "what is open stays");
  }
}
