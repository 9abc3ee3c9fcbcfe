package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import org.fxmisc.richtext.StyleClassedTextArea;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;
import steadycog.train.MemberId;

/** The card as an editor: words offered and explained, coloured, and tied to the bench. */
class CardEditorTest extends InWindow {
  private static final String SET = "planetary sun 24 planet 15 x3 ring 54\n";

  private StyleClassedTextArea area() {
    return find("#train-line", StyleClassedTextArea.class);
  }

  private boolean offers(String word) {
    pulse();
    return robot.lookup(".offer-word").queryAllAs(Label.class).stream()
        .anyMatch(label -> label.getText().equals(word));
  }

  /** How the letter at {@code place} of the first {@code word} looks. */
  private Collection<String> styles(String word) {
    return area().getStyleOfChar(card().indexOf(word));
  }

  @Test
  void aBegunWordIsOfferedTakenByTabAndExplained() {
    type(SET + "ho");
    assertTrue(offers("hold"), "the statement");
    press(KeyCode.TAB);
    assertTrue(card().endsWith("\nhold"), card());
    assertFalse(offers("hold"), "taken");
    robot.write(" r");
    assertTrue(offers("ring"), "the member");
    press(KeyCode.TAB);
    assertTrue(text("#card-message").startsWith("ring: Ring"), text("#card-message"));
    robot.push(KeyCode.ENTER);
    robot.write("drive sun 60 r");
    assertTrue(offers("rad/s"), "the unit");
    press(KeyCode.DOWN);
    press(KeyCode.ENTER);
    settle();
    assertTrue(card().endsWith("hold ring\ndrive sun 60 rpm"), card());
    assertEquals(List.of(), opened.desk().problemsProperty().get());
  }

  @Test
  void whoTypesOnIsNotHeldUp() {
    type(SET + "hold r");
    assertTrue(offers("ring"), "offered");
    robot.push(KeyCode.ENTER);
    assertTrue(card().endsWith("hold r\n"), "Enter is a new line unless a word was chosen");
    assertFalse(offers("ring"), "for another place");
    robot.push(KeyCode.BACK_SPACE);
    robot.write("i");
    press(KeyCode.ESCAPE);
    assertFalse(offers("ring"), "put away");
    assertTrue(area().isFocused(), "but still in the card");
    press(KeyCode.ESCAPE);
    assertFalse(area().isFocused(), "the next one leaves it");
  }

  @Test
  void allThatFitsIsShownWhenAskedFor() {
    type(SET);
    assertFalse(offers("drive"), "nothing begun, nothing shown");
    press(KeyCode.CONTROL, KeyCode.SPACE);
    assertTrue(offers("drive"), "the first of all statements");
    press(KeyCode.UP);
    press(KeyCode.ENTER);
    settle();
    assertTrue(card().endsWith("shaft"), "upwards begins at the last: " + card());
  }

  @Test
  void wordsLookLikeWhatTheyAre() {
    type(SET + "drive sun; hold ring; take carrier # by hand\nholdx");
    assertEquals(List.of("statement"), List.copyOf(styles("planetary")));
    assertEquals(List.of("drive"), List.copyOf(styles("sun")));
    assertEquals(List.of("hold"), List.copyOf(styles("ring")));
    assertEquals(List.of("take"), List.copyOf(styles("carrier")));
    assertEquals(List.of("remark"), List.copyOf(styles("# by")));
    assertEquals(List.of("bad-place"), List.copyOf(styles("holdx")));
    robot.interact(() -> opened.desk().select(Optional.of(new MemberId("", "ring"))));
    assertEquals(List.of("hold", "chosen"), List.copyOf(styles("ring")));
  }

  @Test
  void aClickWithCtrlChoosesTheMember() {
    type(SET + "drive sun; hold ring; take carrier");
    int from = card().indexOf("ring 54");
    Bounds word =
        WaitForAsyncUtils.waitForAsyncFx(
            1000, () -> area().getCharacterBoundsOnScreen(from, from + 4).orElseThrow());
    robot.interact(
        () -> {
          Point2D at = area().screenToLocal(word.getCenterX(), word.getCenterY());
          area().fireEvent(clickWithControl(area().localToScene(at)));
        });
    settle();
    assertEquals("ring", opened.desk().selection().orElseThrow().name());
    robot.interact(() -> opened.desk().select(Optional.of(new MemberId("", "carrier"))));
    press(KeyCode.SHORTCUT, KeyCode.G);
    assertTrue(area().isFocused(), "and back to the card");
    assertEquals(card().indexOf("carrier") + "carrier".length(), area().getCaretPosition());
  }

  private static MouseEvent clickWithControl(Point2D at) {
    return new MouseEvent(
        MouseEvent.MOUSE_CLICKED,
        at.getX(),
        at.getY(),
        at.getX(),
        at.getY(),
        MouseButton.PRIMARY,
        1,
        false,
        true,
        false,
        false,
        true,
        false,
        false,
        true,
        false,
        true,
        null);
  }
}
