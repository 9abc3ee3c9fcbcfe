package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.Slider;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import steadycog.app.desk.Station;
import steadycog.format.demo.TernRock;

/** What those who use no mouse, or do not see the window, need at every station. */
class EveryoneTest extends InWindow {
  private static final int MOST_STEPS = 400;

  private List<Node> shown(Parent of) {
    List<Node> found = new ArrayList<>();
    for (Node child : of.getChildrenUnmodifiable()) {
      if (child.isVisible()) {
        found.add(child);
        if (child instanceof Parent inner) {
          found.addAll(shown(inner));
        }
      }
    }
    return found;
  }

  private static String name(Node node) {
    return node.getClass().getSimpleName() + " #" + node.getId() + " " + node.getStyleClass();
  }

  private static boolean isControl(Node node) {
    return node instanceof ButtonBase
        || node instanceof TextInputControl
        || node instanceof ComboBoxBase<?>
        || node instanceof Slider
        || node.getAccessibleRole() == AccessibleRole.BUTTON;
  }

  private static boolean isNamed(Node node) {
    String said = node.getAccessibleText() == null ? "" : node.getAccessibleText();
    String text =
        node instanceof Labeled labeled && labeled.getText() != null ? labeled.getText() : "";
    return !(said + text).isBlank();
  }

  private void open(Station station) {
    robot.interact(
        () -> {
          opened.desk().file().putDown(TernRock.job());
          opened.desk().showSheet(8);
          opened.desk().stationProperty().set(station);
        });
    settle();
  }

  @ParameterizedTest
  @EnumSource
  void everyControlHasANameForThoseWhoHearIt(Station station) {
    open(station);
    Set<String> nameless = new TreeSet<>();
    for (int sheet = 0; sheet < opened.desk().job().sheets().size(); sheet++) {
      int index = sheet;
      robot.interact(() -> opened.desk().showSheet(index));
      settle();
      shown(opened.window()).stream()
          .filter(node -> isControl(node) && !isNamed(node))
          .filter(node -> !(node.getParent() instanceof ScrollBar))
          .map(EveryoneTest::name)
          .forEach(nameless::add);
    }
    assertEquals(Set.of(), nameless);
  }

  /**
   * Tab leads through the whole window and comes round; nothing that can be pressed is left out.
   */
  @ParameterizedTest
  @EnumSource
  void tabLeadsRoundEveryStation(Station station) {
    open(station);
    Set<Node> visited = new LinkedHashSet<>();
    for (int step = 0; step < MOST_STEPS; step++) {
      robot.push(KeyCode.TAB);
      Node owner = opened.window().getScene().getFocusOwner();
      if (!visited.add(owner) && visited.iterator().next() == owner) {
        break;
      }
    }
    Set<String> missed = new TreeSet<>();
    shown(opened.window()).stream()
        .filter(node -> isControl(node) && node.isFocusTraversable() && !node.isDisabled())
        .filter(node -> !(node instanceof MenuButton) && isShown(node))
        .filter(node -> !visited.contains(node) && !isOfGroup(node, visited))
        .map(EveryoneTest::name)
        .forEach(missed::add);
    assertEquals(Set.of(), missed);
    assertTrue(visited.size() < MOST_STEPS, "it comes round");
  }

  private static boolean isOfGroup(Node node, Set<Node> visited) {
    return node instanceof ToggleButton one
        && one.getToggleGroup() != null
        && one.getToggleGroup().getToggles().stream().anyMatch(visited::contains);
  }
}
