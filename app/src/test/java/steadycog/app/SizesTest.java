package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.control.TableCell;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.app.desk.Preferences;
import steadycog.app.desk.Station;

/** Every station with every demo train, from the smallest window to a very large one. */
class SizesTest extends InWindow {
  private static final double LEAST_WIDTH = 1000;
  private static final double LEAST_HEIGHT = 700;
  private static final double[][] SIZES = {{960, 640}, {1000, 700}, {1600, 1000}, {3840, 2160}};

  @ParameterizedTest
  @ValueSource(doubles = {Preferences.SMALLEST_TEXT, 13.5, Preferences.LARGEST_TEXT})
  @Timeout(value = 10, unit = TimeUnit.MINUTES)
  void everyStationIsLaidOutAtEverySize(double text) {
    int trains = demo().sheets().size();
    robot.interact(
        () -> {
          opened.desk().file().putDown(demo());
          opened.desk().preferencesProperty().set(opened.desk().preferences().sized(text));
        });
    for (int index = 0; index < trains; index++) {
      int shown = index;
      robot.interact(() -> opened.desk().showSheet(shown));
      for (Station station : Station.values()) {
        robot.interact(
            () -> {
              opened.desk().stationProperty().set(station);
              // Every other size with one train, those between with the next.
              for (int k = (shown + station.ordinal()) % 2; k < SIZES.length; k += 2) {
                double[] size = SIZES[k];
                opened.window().resize(size[0], size[1]);
                opened.window().applyCss();
                opened.window().layout();
                assertEquals(
                    List.of(), lost(opened.window()), station + " " + shown + " at " + size[0]);
              }
            });
        settle();
        waitUntil(() -> !opened.window().stations().isSearching());
        robot.interact(
            () -> {
              opened.window().resize(LEAST_WIDTH, LEAST_HEIGHT);
              opened.window().applyCss();
              opened.window().layout();
              assertEquals(List.of(), shortened(opened.window()), station + " " + shown);
            });
        Uncaught.check(station + " " + index);
      }
    }
  }

  /** A drawing that has hardly any height left once froze the window for good. */
  @Test
  @Timeout(value = 2, unit = TimeUnit.MINUTES)
  void noHeightHangsTheDrawing() {
    robot.interact(() -> opened.desk().file().putDown(demo()));
    robot.interact(
        () -> {
          Node table = opened.window().lookup("#gear-table");
          for (int index = 0; index < demo().sheets().size(); index++) {
            opened.desk().showSheet(index);
            for (int height = 0; height < 300; height++) {
              table.resize(700, height);
              ((Parent) table).layout();
            }
            for (int width = 0; width < 300; width += 3) {
              table.resize(width, 500);
              ((Parent) table).layout();
            }
          }
        });
    Uncaught.check("narrow and low");
    assertTrue(opened.desk().bench().isPresent());
  }

  /** Nodes that stand at no number. */
  private static List<String> lost(Node node) {
    List<String> found = new ArrayList<>();
    if (node.isVisible()) {
      var at = node.getBoundsInParent();
      if (!Double.isFinite(at.getMinX() + at.getMinY() + at.getWidth() + at.getHeight())) {
        found.add(node.toString());
      }
      if (node instanceof Parent parent) {
        parent.getChildrenUnmodifiable().forEach(child -> found.addAll(lost(child)));
      }
    }
    return found;
  }

  /**
   * Labels whose figures are not shown as they are: they would end in dots. The wheels of a chosen
   * candidate are written out beside its table.
   */
  private static List<String> shortened(Node node) {
    List<String> found = new ArrayList<>();
    if (!node.isVisible()) {
      return found;
    }
    if (node instanceof Labeled label
        && !label.isWrapText()
        && !label.getStyleClass().contains("card-folded")
        && label.getText() != null
        && (node instanceof TableCell || label.getText().chars().anyMatch(Character::isDigit))
        && label.getGraphic() == null
        && label.lookup(".text") instanceof Text drawn
        && !drawn.getText().equals(label.getText())) {
      found.add(label.getText() + " is shown as " + drawn.getText());
    }
    if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(child -> found.addAll(shortened(child)));
    }
    return found;
  }
}
