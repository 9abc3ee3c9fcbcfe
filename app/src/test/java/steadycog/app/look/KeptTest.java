package steadycog.app.look;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotSame;
import static org.junit.jupiter.api.Assertions.assertSame;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/** What a panel shows is what it was asked to show, whatever stood there before. */
class KeptTest {
  private static final String[] STYLES = {"soft", "caption"};

  @BeforeAll
  static void toolkit() throws TimeoutException {
    FxToolkit.registerPrimaryStage();
  }

  private static void onScreen(Runnable test) {
    WaitForAsyncUtils.waitForAsyncFx(10_000, test);
  }

  /** Nodes as panels make them: words, heads with tooltips, signs, buttons, tables of them. */
  private static Node some(Random random, int depth) {
    String words = "w" + random.nextInt(5);
    return switch (random.nextInt(depth > 0 ? 6 : 4)) {
      case 0 -> Look.label(words, STYLES[random.nextInt(2)]);
      case 1 -> {
        Label told = new Label(words);
        told.setWrapText(random.nextBoolean());
        told.setTooltip(random.nextBoolean() ? new Tooltip("about " + words) : null);
        yield told;
      }
      case 2 -> Look.styled(new Button(words, sign(random)), "cure");
      case 3 -> sign(random);
      case 4 -> new HBox(2, row(random, depth - 1).toArray(new Node[0]));
      default -> {
        GridPane grid = new GridPane();
        grid.addRow(random.nextInt(2), row(random, depth - 1).toArray(new Node[0]));
        yield grid;
      }
    };
  }

  private static Region sign(Random random) {
    return Look.styled(new Region(), STYLES[random.nextInt(2)]);
  }

  private static List<Node> row(Random random, int depth) {
    List<Node> all = new ArrayList<>();
    for (int k = random.nextInt(4); k > 0; k--) {
      all.add(some(random, depth));
    }
    return all;
  }

  private static String told(Node node) {
    String own =
        node.getClass().getSimpleName()
            + node.getStyleClass()
            + GridPane.getRowIndex(node)
            + GridPane.getColumnIndex(node);
    return switch (node) {
      case Labeled words ->
          own
              + words.getText()
              + words.isWrapText()
              + (words.getTooltip() == null ? "" : words.getTooltip().getText())
              + (words.getGraphic() == null ? "" : told(words.getGraphic()));
      case Pane pane -> own + told(pane.getChildren());
      default -> own;
    };
  }

  private static String told(List<Node> nodes) {
    return nodes.stream().map(KeptTest::told).collect(Collectors.joining(", ", "(", ")"));
  }

  @Test
  void showsWhatIsWantedWhateverStoodThere() {
    onScreen(
        () -> {
          Random random = new Random(9);
          VBox panel = new VBox();
          for (int round = 0; round < 2000; round++) {
            List<Node> wanted = row(random, 2);
            String expected = told(wanted);
            Kept.show(panel, wanted);
            assertEquals(expected, told(panel.getChildren()));
          }
        });
  }

  /** That is all it is for: new figures in the labels there are. */
  @Test
  void otherFiguresStandInTheSameLabels() {
    onScreen(
        () -> {
          VBox panel = new VBox();
          List<String> pressed = new ArrayList<>();
          Supplier<List<Node>> figures =
              () -> {
                String now = "round " + pressed.size();
                Button button = new Button(now);
                button.setOnAction(press -> pressed.add(now));
                GridPane table = new GridPane();
                table.addRow(0, new Label("A"), new Label(now));
                return List.of(button, table);
              };
          Kept.show(panel, figures.get());
          List<Node> stood = List.copyOf(panel.getChildren());
          Node figure = ((GridPane) stood.get(1)).getChildren().get(1);
          ((Button) stood.getFirst()).fire();
          Kept.show(panel, figures.get());
          ((Button) stood.getFirst()).fire();
          assertEquals(List.of("round 0", "round 1"), pressed);
          assertEquals(stood, panel.getChildren());
          assertSame(figure, ((GridPane) panel.getChildren().get(1)).getChildren().get(1));
          assertEquals("round 1", ((Label) figure).getText());
          Kept.show(panel, List.of(Look.label("round 2", "soft")));
          assertNotSame(stood.getFirst(), panel.getChildren().getFirst());
        });
  }
}
