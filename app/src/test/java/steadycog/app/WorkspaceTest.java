package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.when;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.Consumer;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import steadycog.RandomCards;
import steadycog.app.desk.Preferences;
import steadycog.app.desk.Station;
import steadycog.format.demo.TernRock;
import steadycog.notation.Card;
import steadycog.study.Study;
import steadycog.train.MemberId;

/** The bench as a place to work: how large things are drawn, and that nothing is cut off. */
class WorkspaceTest extends InWindow {
  private static final int FILTER_WHEEL = 2;
  private static final double[][] SIZES = {{1000, 700}, {1280, 800}, {1600, 1000}};
  private static final double[] TEXTS = {
    Preferences.SMALLEST_TEXT, Preferences.NORMAL_TEXT, Preferences.LARGEST_TEXT
  };

  private void layOut(int train, double width, double height, double text) {
    opened.desk().preferencesProperty().set(opened.desk().preferences().sized(text));
    opened.desk().showSheet(train);
    for (int pass = 0; pass < 3; pass++) {
      opened.window().resize(width, height);
      opened.window().applyCss();
      opened.window().layout();
    }
  }

  private void forDemo(Consumer<Integer> check) {
    robot.interact(() -> opened.desk().file().putDown(TernRock.job()));
    settle();
    for (int k = 0; k < TernRock.job().sheets().size(); k++) {
      int train = k;
      robot.interact(() -> check.accept(train));
      settle();
    }
  }

  private Bounds at(Node node) {
    return node.localToScene(node.getLayoutBounds());
  }

  @Test
  void theDrawingIsTheHero() {
    robot.interact(() -> opened.desk().file().putDown(TernRock.job()));
    settle();
    robot.interact(
        () -> {
          for (double text : TEXTS) {
            layOut(FILTER_WHEEL, 1000, 700, text);
            assertTrue(ring() >= 330, ring() + " across at 1000, text " + text);
          }
          layOut(FILTER_WHEEL, 1280, 800, Preferences.NORMAL_TEXT);
          assertTrue(ring() >= 420, ring() + " across");
          Bounds face = at(find("#face-view", Node.class));
          assertTrue(face.getWidth() * face.getHeight() >= 0.45 * 1280 * 800, "of the window");
        });
  }

  private double ring() {
    return find("#wheel-ring .wheel-body", Node.class).getLayoutBounds().getWidth();
  }

  /** Ratio, every member of up to six, and the worst finding, without scrolling. */
  @Test
  void whatMattersIsInSight() {
    forDemo(
        train -> {
          layOut(train, 1280, 800, Preferences.NORMAL_TEXT);
          Bounds window = at(opened.window());
          List<MemberId> members =
              opened.desk().bench().orElseThrow().card().train().members().stream()
                  .map(member -> member.id())
                  .toList();
          List<Node> wanted = new ArrayList<>();
          wanted.add(find("#ratio", Node.class));
          wanted.add(find("#worst-finding", Node.class));
          if (members.size() <= 6) {
            members.forEach(
                id -> wanted.add(robot.lookup(n -> ("row-" + id).equals(n.getId())).query()));
          }
          for (Node node : wanted) {
            Bounds seen = at(node);
            for (Node up = node.getParent(); up != null; up = up.getParent()) {
              if (up instanceof ScrollPane || up == opened.window()) {
                Bounds round = at(up);
                assertTrue(
                    round.getMinY() - 1 <= seen.getMinY() && seen.getMaxY() <= round.getMaxY() + 1,
                    train + ": " + node + " " + seen + " in " + up + " " + round);
              }
            }
            assertTrue(window.contains(seen), train + ": " + node);
          }
        });
  }

  @Test
  void noNameLiesOnWhatItNames() {
    forDemo(
        train -> {
          for (double[] size : SIZES) {
            for (double text : TEXTS) {
              layOut(train, size[0], size[1], text);
              namesAreClear("train " + train + " at " + size[0] + ", text " + text);
            }
          }
        });
    Random random = new Random(11);
    for (int done = 0; done < 40; ) {
      Card card = RandomCards.next(random);
      // Teeth of impossible shapes reach anywhere.
      if (Study.of(card.train()).findings().stream().noneMatch(f -> f.severity().isError())) {
        putDown(card.text());
        robot.interact(() -> namesAreClear(card.text()));
        done++;
      }
    }
  }

  /** In the face view by the circles of the bodies, in the side view by every shape there is. */
  private void namesAreClear(String where) {
    List<Bounds> names = new ArrayList<>();
    for (Node name : shown("#face-view .wheel-tag-back")) {
      Bounds box = inner(at(name));
      names.forEach(other -> assertFalse(other.intersects(box), where + ": two names meet"));
      names.add(box);
      List<Node> bodies = shown("#face-view .wheel-ink");
      double under =
          bodies.stream()
              .filter(ink -> isOnWeb(box, ink))
              .mapToDouble(WorkspaceTest::depth)
              .min()
              .orElse(Double.MAX_VALUE);
      for (Node ink : bodies) {
        assertTrue(
            depth(ink) > under || isOnWeb(box, ink) || isOutside(box, ink),
            () -> where + ": " + words(name) + " on " + body(ink).getId());
      }
    }
    List<Bounds> beside = new ArrayList<>();
    for (Node name : shown("#edge-view .edge-name")) {
      Bounds box = inner(at(name));
      beside.forEach(other -> assertFalse(other.intersects(box), where + ": two names meet"));
      beside.add(box);
      for (String drawn : new String[] {".edge-body", ".edge-shaft", ".edge-bearing"}) {
        for (Node shape : shown("#edge-view " + drawn)) {
          assertFalse(at(shape).intersects(box), () -> where + ": " + words(name) + " on " + shape);
        }
      }
    }
  }

  /** How far from the eye the body lies whose ink that is. */
  private static double depth(Node ink) {
    return body(ink).getViewOrder();
  }

  private static Node body(Node ink) {
    Node body = ink;
    while (!body.getStyleClass().contains("wheel")) {
      body = body.getParent();
    }
    return body;
  }

  /** Whether it is nearer to the middle of a wheel than the roots of any teeth. */
  private static boolean isOnWeb(Bounds box, Node ink) {
    double[] away = away(box, ink);
    return Math.hypot(away[0] + box.getWidth() / 2, away[1] + box.getHeight() / 2)
        < 0.93 * radius(ink);
  }

  private static boolean isOutside(Bounds box, Node ink) {
    double[] away = away(box, ink);
    double dx = Math.max(0, away[0] - box.getWidth() / 2);
    double dy = Math.max(0, away[1] - box.getHeight() / 2);
    return Math.hypot(dx, dy) > radius(ink) - 2;
  }

  private static double radius(Node ink) {
    return Math.min(ink.getLayoutBounds().getWidth(), ink.getLayoutBounds().getHeight()) / 2;
  }

  private static double[] away(Bounds box, Node ink) {
    Bounds body = ink.getLayoutBounds();
    Point2D middle = ink.localToScene(body.getCenterX(), body.getCenterY());
    return new double[] {
      Math.abs(middle.getX() - box.getCenterX()), Math.abs(middle.getY() - box.getCenterY())
    };
  }

  private static Bounds inner(Bounds box) {
    return new BoundingBox(
        box.getMinX() + 1, box.getMinY() + 1, box.getWidth() - 2, box.getHeight() - 2);
  }

  private List<Node> shown(String where) {
    return robot.lookup(where).match(InWindow::isShown).queryAll().stream().toList();
  }

  private static String words(Node node) {
    return node instanceof Text text
        ? text.getText()
        : ((Parent) node)
            .getChildrenUnmodifiable().stream()
                .filter(Text.class::isInstance)
                .map(Text.class::cast)
                .map(Text::getText)
                .toList()
                .toString();
  }

  @Test
  void anEmptyBenchIsADoorToEverything() {
    assertTrue(find("#first-steps", Node.class).isVisible());
    fire("#door-gears");
    assertEquals(Station.CUT_SHEET, opened.desk().stationProperty().get());
    assertTrue(find("#id-teeth", Node.class).isFocused());
    press(KeyCode.SHORTCUT, KeyCode.DIGIT1);
    fire("#door-ratio");
    assertTrue(find("#want-target", Node.class).isFocused());
    press(KeyCode.SHORTCUT, KeyCode.DIGIT1);
    Path file = folder.resolve("failed.cog.json");
    assertEquals(0, robot.lookup("#was").match(Node::isVisible).queryAll().size());
    fire("#kind-Planetary");
    assertEquals("3.5\u2009:\u20091", text("#ratio"));
    assertFalse(find("#first-steps", Node.class).isVisible());
    when(dialogs.askSave(any())).thenReturn(Optional.of(file));
    press(KeyCode.SHORTCUT, KeyCode.S);
    robot.interact(() -> opened.desk().file().startNew());
    settle();
    when(dialogs.askOpen()).thenReturn(Optional.of(file));
    fire("#door-box");
    assertEquals(Station.BENCH_BOOK, opened.desk().stationProperty().get());
    assertEquals("3.5\u2009:\u20091", text("#ratio"));
  }

  @Test
  void everyTrainOfTheJobTellsWhatItGivesAndWhetherItIsSound() {
    robot.interact(() -> opened.desk().file().putDown(TernRock.job()));
    settle();
    assertTrue(spoken(1).contains("128\u2009:\u20091, Sound"), spoken(1));
    assertTrue(spoken(7).contains("85\u2009:\u20091, 2 findings"), spoken(7));
    assertTrue(spoken(9).contains("3 states"), spoken(9));
    robot.interact(() -> find("#train-2", Node.class).requestFocus());
    robot.interact(() -> opened.desk().showSheet(1));
    press(KeyCode.ALT, KeyCode.UP);
    assertEquals("Mirror-cover winch", opened.desk().job().sheets().getFirst().name());
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertEquals("Dome rotator", opened.desk().job().sheets().getFirst().name());
    double wide = find("#job-rail", Node.class).getLayoutBounds().getWidth();
    press(KeyCode.SHORTCUT, KeyCode.B);
    assertTrue(find("#job-rail", Node.class).getLayoutBounds().getWidth() < wide / 2);
    robot.interact(() -> opened.desk().train().type("planetary sun 2x\n"));
    settle();
    assertTrue(spoken(2).contains("cannot be read"), spoken(2));
  }

  private String spoken(int train) {
    return find("#train-" + train, Node.class).getAccessibleText();
  }

  @Test
  void anythingIsDoneByItsName() throws Exception {
    putDown("planetary sun 24 planet 15 x3 ring 54\ndrive sun\nhold ring\ntake carrier\n");
    press(KeyCode.SHORTCUT, KeyCode.K);
    robot.write("cut sh");
    settle();
    press(KeyCode.DOWN, KeyCode.UP);
    press(KeyCode.ENTER);
    assertTrue(robot.lookup("#act-finder").tryQuery().isEmpty());
    press(KeyCode.SHORTCUT, KeyCode.K);
    robot.write("drive & hold\n");
    settle();
    assertEquals(Station.DRIVE_AND_HOLD, opened.desk().stationProperty().get());
    Path picture = folder.resolve("set.png");
    when(dialogs.askExport(any(), any(), eq(".png"))).thenReturn(Optional.of(picture));
    press(KeyCode.SHORTCUT, KeyCode.K);
    robot.write("picture\n");
    robot.clickOn("Pixels");
    settle();
    assertTrue(Files.size(picture) > 1000);
    press(KeyCode.SHORTCUT, KeyCode.K);
    robot.write("no such thing");
    assertTrue(says("Nothing of that name"));
    press(KeyCode.ESCAPE);
    MenuButton menu = find("#file-menu", MenuButton.class);
    robot.interact(menu::show);
    assertTrue(menu.getItems().stream().anyMatch(item -> item.getText().startsWith("Report")));
    robot.interact(menu::hide);
  }

  @Test
  void anEditIsToldForAWhileByWhatWasBefore() {
    putDown("planetary sun 24 planet 15 x3 ring 54\ndrive sun\nhold ring\ntake carrier\n");
    assertFalse(find("#was", Node.class).isVisible());
    robot.interact(
        () ->
            opened
                .desk()
                .train()
                .type(
                    "planetary sun 24 planet 18 x3 ring 61\ndrive sun\nhold ring\ntake carrier\n"));
    settle();
    assertTrue(text("#was").startsWith("was 3.25\u2009:\u20091\n"), text("#was"));
    assertTrue(text("#was").endsWith("2 new, 2 gone"), text("#was"));
    press(KeyCode.SHORTCUT, KeyCode.Z);
    assertFalse(find("#was", Node.class).isVisible(), "it is as it was");
  }

  @Test
  void theCardFoldsToOneLineAndOpensWhereItIsWrittenOn() {
    putDown("# a note\nparallel 18 ~ 72\ndrive A 60 rpm\n");
    fire("#fold-card");
    assertEquals("parallel 18 ~ 72; drive A 60 rpm", text("#card-line"));
    assertFalse(
        find("#train-line", Node.class).isVisible() && isShown(find("#train-line", Node.class)));
    press(KeyCode.SHORTCUT, KeyCode.L);
    assertTrue(find("#train-line", Node.class).isFocused());
    press(KeyCode.SHORTCUT, KeyCode.DIGIT3);
    assertTrue(isShown(find("#card-line", Node.class)), "one line over every other station");
    press(KeyCode.SHORTCUT, KeyCode.L);
    assertTrue(isShown(find("#train-line", Node.class)));
  }

  /** Tab goes on, Esc goes back to the station; what was typed and not taken is put back. */
  @Test
  void everyFieldIsLeftByKey() {
    putDown("parallel 18 ~ 72\ndrive A 60 rpm\n");
    robot.interact(() -> find("#train-line", Node.class).requestFocus());
    press(KeyCode.TAB);
    assertFalse(find("#train-line", Node.class).isFocused());
    assertEquals("parallel 18 ~ 72\ndrive A 60 rpm", card(), "no tab is typed");
    for (String[] field :
        new String[][] {
          {"DIGIT1", "#train-line"},
          {"DIGIT3", "#want-target"},
          {"DIGIT5", "#id-teeth"},
          {"DIGIT3", "#train-line"}
        }) {
      press(KeyCode.SHORTCUT, KeyCode.valueOf(field[0]));
      press(KeyCode.SHORTCUT, KeyCode.L);
      robot.interact(() -> find(field[1], Node.class).requestFocus());
      assertTrue(find(field[1], Node.class).isFocused(), field[1]);
      press(KeyCode.ESCAPE);
      assertFalse(find(field[1], Node.class).isFocused(), field[1]);
    }
    press(KeyCode.SHORTCUT, KeyCode.DIGIT1);
    focusTable();
    press(KeyCode.RIGHT);
    robot.interact(() -> find("#teeth", Node.class).requestFocus());
    robot.write("99");
    press(KeyCode.ESCAPE);
    assertEquals("18", value("#teeth"));
    assertTrue(card().startsWith("parallel 18 ~ 72"), card());
  }

  @Test
  void theWindowComesBackAsItWasLeft() throws Exception {
    robot.interact(
        () -> {
          opened.stage().setWidth(1100);
          opened.desk().file().putDown(TernRock.job());
        });
    Path file = folder.resolve("job.cog.json");
    when(dialogs.askSave(any())).thenReturn(Optional.of(file));
    press(KeyCode.SHORTCUT, KeyCode.S);
    press(KeyCode.SHORTCUT, KeyCode.B);
    press(KeyCode.SHORTCUT, KeyCode.DIGIT5);
    robot.interact(() -> opened.desk().showSheet(3));
    robot.interact(() -> opened.stage().hide());
    robot.interact(() -> opened = SteadyCogApp.open(new Stage(), dialogs, memory));
    settle();
    assertEquals(1100, opened.stage().getWidth(), 1);
    assertEquals(Station.LAY_OUT, opened.desk().stationProperty().get(), "an empty bench");
    waitUntil(() -> robot.lookup("#recent-jobs .button").tryQuery().isPresent());
    robot.clickOn("Tern Rock fitting-out");
    settle();
    assertEquals(Station.CUT_SHEET, opened.desk().stationProperty().get());
    assertEquals(3, opened.desk().pageProperty().get().index(), "the train that was in view");
    assertTrue(opened.window().railFolded().isPresent());
    robot.interact(() -> opened.stage().hide());
  }
}
