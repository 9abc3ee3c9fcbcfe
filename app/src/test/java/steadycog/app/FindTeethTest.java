package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import steadycog.check.Severity;
import steadycog.search.Candidate;
import steadycog.search.Kind;
import steadycog.search.Wanted.Field;

/** The station that finds teeth, as people use it. */
class FindTeethTest extends InWindow {

  @SuppressWarnings("unchecked")
  private List<Candidate> listed() {
    return ((TableView<Candidate>) find("#candidates", TableView.class)).getItems();
  }

  private void want(Field field, String text) {
    robot.interact(
        () -> opened.desk().trains().want(opened.desk().sheet().wanted().with(field, text)));
  }

  private void awaitStatus(String words) {
    waitUntil(() -> text("#find-status").contains(words));
  }

  private void look(String card, Kind kind) {
    type(card);
    want(Field.KIND, kind.word());
    press(KeyCode.SHORTCUT, KeyCode.DIGIT3);
    awaitStatus("proven of");
  }

  @Test
  void eachTrainLooksForItsOwnRatioUntilATargetIsSaid() {
    look("parallel 20 ~ 65\ndrive A\ntake B", Kind.PARALLEL);
    assertEquals("3.25, as on the bench", find("#want-target", TextField.class).getPromptText());
    assertEquals(0, listed().getFirst().error());
    assertEquals(3.25, Math.abs(listed().getFirst().ratio().reduction().doubleValue()));
    want(Field.TARGET, "7");
    waitUntil(
        () -> !listed().isEmpty() && listed().getFirst().ratio().reduction().abs().intValue() == 7);
    robot.interact(() -> opened.desk().trains().add());
    settle();
    assertEquals("", find("#want-target", TextField.class).getText());
    robot.interact(() -> opened.desk().showSheet(0));
    settle();
    assertEquals("7", find("#want-target", TextField.class).getText());
  }

  @Test
  void rowsInTwoModulesAreFoundAndPutOnTheBench() {
    want(Field.TEETH, "12..30");
    want(Field.TARGET, "40");
    look("planetary sun 24 planet 15 x3 ring 54", Kind.TWO_ROW);
    robot.interact(() -> find("#want-two-modules", CheckBox.class).fire());
    waitUntil(() -> listed().stream().anyMatch(c -> c.train().hasOwnPitches()));
    awaitStatus("proven of");
    assertTrue(listed().stream().allMatch(c -> c.distortion() == 0 || !c.train().hasOwnPitches()));
    assertTrue(says("  m 1"), "both modules stand behind the counts");
  }

  @Test
  void theHeadOfAColumnAsksForTheBestByIt() {
    look("parallel 20 ~ 65\ndrive A\ntake B", Kind.PLANETARY);
    TableView<?> table = find("#candidates", TableView.class);
    TableColumn<?, ?> out =
        table.getColumns().stream()
            .filter(c -> "column-out".equals(c.getId()))
            .findFirst()
            .orElseThrow();
    robot.interact(() -> sortBy(table, out));
    awaitStatus("the most efficient first, within 1%");
    assertEquals("efficiency", opened.desk().sheet().wanted().text(Field.RANK));
    double before = 1;
    for (Candidate candidate : listed()) {
      double share = candidate.eachWay().efficiency().orElseThrow();
      assertTrue(share <= before + 1e-9);
      before = share;
      assertTrue(candidate.worst() != Severity.ERROR);
    }
    robot.clickOn("#rank-error");
    awaitStatus("the nearest first");
    assertTrue(table.getSortOrder().isEmpty(), "not left in the order of before");
  }

  @SuppressWarnings({"unchecked", "rawtypes"})
  private static void sortBy(TableView table, TableColumn column) {
    table.getSortOrder().setAll(column);
  }

  @Test
  void anEmptyListOffersWhatToLoosen() {
    type("parallel 20 ~ 65\ndrive A\ntake B");
    want(Field.KIND, "parallel");
    want(Field.TEETH, "20..40");
    want(Field.TOLERANCE, "0.1%");
    want(Field.STAGES, "1");
    press(KeyCode.SHORTCUT, KeyCode.DIGIT3);
    waitUntil(() -> robot.lookup("#loosen-teeth").tryQuery().isPresent());
    assertTrue(find("#loosen-teeth", Button.class).getText().startsWith("teeth 20..65"));
    robot.clickOn("#loosen-teeth");
    awaitStatus("proven of");
    assertFalse(listed().isEmpty());
  }
}
