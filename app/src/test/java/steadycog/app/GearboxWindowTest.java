package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.when;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Slider;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import org.junit.jupiter.api.Test;
import steadycog.gearbox.Build;

/** A whole gearbox in the window: built aside, drawn, chosen, wished otherwise, written. */
class GearboxWindowTest extends InWindow {
  private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
  private static final String FILTER =
      """
      planetary sun 24 planet 15 x3 ring 54
      module 0.8 mm; width 5 mm; shift planet 0.2; clearance laser
      bore sun 6 mm flat 5.5 mm; bore planet 4 mm; bore carrier 8 mm hex
      drive sun; hold ring; take carrier
      """;

  private void gearbox(String card) {
    putDown(card);
    focusTable();
    press(KeyCode.SHORTCUT, KeyCode.DIGIT5);
    fire("#cut-gearbox");
    built();
  }

  private void built() {
    waitUntil(() -> !text("#gearbox-verdict").startsWith("Building"));
    settle();
  }

  private List<Integer> picture() {
    WritableImage[] image = new WritableImage[1];
    robot.interact(() -> image[0] = find("#gearbox-view", Node.class).snapshot(null, null));
    PixelReader pixels = image[0].getPixelReader();
    return IntStream.range(0, (int) (image[0].getWidth() * image[0].getHeight()))
        .filter(k -> k % 7 == 0)
        .mapToObj(k -> pixels.getArgb(k % (int) image[0].getWidth(), k / (int) image[0].getWidth()))
        .toList();
  }

  private void slide(String id, double value) {
    robot.interact(() -> find(id, Slider.class).setValue(value));
    settle();
  }

  @Test
  void isBuiltDrawnAndLitUpLineByLine() {
    gearbox(FILTER);
    assertEquals(Build.PROVEN, text("#gearbox-verdict"));
    assertEquals("front plate", text("#bill-1"));
    List<Integer> apart = picture();
    assertTrue(apart.stream().distinct().count() > 20, "faces, walls and lines");
    robot.interact(() -> find("#bill-1", Labeled.class).requestFocus());
    press(KeyCode.ENTER);
    assertTrue(find("#bill-1", Node.class).getPseudoClassStates().contains(CHOSEN));
    assertFalse(find("#bill-2", Node.class).getPseudoClassStates().contains(CHOSEN));
    List<Integer> lit = picture();
    assertNotEquals(apart, lit);
    slide("#gearbox-apart", 0);
    List<Integer> closed = picture();
    assertNotEquals(lit, closed);
    slide("#gearbox-crank", 0.3);
    assertNotEquals(closed, picture(), "the input turns");
    slide("#gearbox-crank", 0);
    Bounds view = find("#gearbox-view", Node.class).getBoundsInLocal();
    Set<String> met = new HashSet<>();
    for (double x = 0.3; x < 0.75; x += 0.1) {
      click(x * view.getWidth(), view.getHeight() / 2);
      met.addAll(chosen());
    }
    assertTrue(met.contains("front plate") && met.size() > 1, met.toString());
    click(2, 2);
    assertEquals(List.of(), chosen(), "beside the box nothing is chosen");
  }

  private List<String> chosen() {
    return robot.lookup("#gearbox-bill .label").queryAll().stream()
        .filter(row -> String.valueOf(row.getId()).startsWith("bill-"))
        .filter(row -> row.getPseudoClassStates().contains(CHOSEN))
        .map(row -> ((Labeled) row).getText())
        .toList();
  }

  private void click(double x, double y) {
    Node node = find("#gearbox-view", Node.class);
    robot.interact(() -> node.getOnMouseClicked().handle(at(x, y)));
  }

  private static MouseEvent at(double x, double y) {
    return new MouseEvent(
        MouseEvent.MOUSE_CLICKED,
        x,
        y,
        x,
        y,
        MouseButton.PRIMARY,
        1,
        false,
        false,
        false,
        false,
        true,
        false,
        false,
        false,
        false,
        true,
        null);
  }

  @Test
  void wishesGoOnTheCardAndAreTakenBack() {
    gearbox(FILTER);
    enter("#box-wall", "5 mm");
    built();
    assertTrue(card().contains("housing wall 5 mm"), card());
    enter("#box-bolts", "6 x M4");
    built();
    assertTrue(card().contains("housing wall 5 mm bolts 6 x M4"), card());
    assertTrue(says("M4 \u00d7 "));
    enter("#box-motor", "42 mm");
    built();
    assertTrue(card().contains("motor face 42 mm"), card());
    assertTrue(says("motor plate"));
    String before = card();
    enter("#box-bolts", "some");
    assertEquals(before, card());
    assertTrue(text("#box-problem").contains("4 x M3"), text("#box-problem"));
    enter("#box-wall", "thick");
    assertTrue(text("#box-problem").contains("3 mm"));
    enter("#box-motor", "40 mm");
    assertTrue(text("#box-problem").contains("35 mm, 42 mm, 57 mm"));
    robot.interact(() -> opened.desk().undo());
    built();
    assertFalse(card().contains("motor"), card());
  }

  @Test
  void bearingsThatDoNotLastAreSaid() {
    gearbox("parallel 18 ~ 54; module 2 mm; bore 8 mm; drive A 1500 rpm 20 Nm; take B");
    assertTrue(text("#gearbox-weak").startsWith("Too weak for the load: shafts of A, B"));
    List<String> borne =
        find("#gearbox-loads", Parent.class).getChildrenUnmodifiable().stream()
            .map(cell -> ((Labeled) cell).getText())
            .toList();
    assertTrue(borne.containsAll(List.of("L10 life, h", "608")), borne::toString);
    robot.interact(() -> opened.desk().train().type(FILTER));
    settle();
    built();
    assertFalse(find("#gearbox-weak", Node.class).isVisible(), "planets press nothing across");
  }

  @Test
  void piecesAreLeftOutAndPutBack() {
    gearbox(FILTER);
    assertTrue(find("#box-leave", Node.class).isDisabled(), "nothing is chosen");
    String before = card();
    int line = lines().indexOf("dowel pin") + 1;
    robot.interact(() -> find("#bill-" + line, Labeled.class).requestFocus());
    press(KeyCode.ENTER);
    fire("#box-leave");
    built();
    assertTrue(card().contains("leave out dowel pin"), card());
    assertEquals(Build.PROVEN, text("#gearbox-verdict"));
    assertFalse(lines().contains("dowel pin"), "not in the bill");
    fire("#box-back-dowel-pin");
    built();
    assertEquals(before.strip(), card().strip());
    enter("#box-seats", "0.15 mm");
    built();
    assertTrue(card().contains("seat 0.15 mm"), card());
    enter("#box-seats", "tight");
    assertTrue(text("#box-problem").contains("0.1 mm"));
    enter("#box-seats", "9 mm");
    assertTrue(text("#box-problem").contains("0 to 5 mm"), text("#box-problem"));
  }

  /** The names in the bill. */
  private List<String> lines() {
    return IntStream.rangeClosed(1, 99)
        .mapToObj(k -> "#bill-" + k)
        .takeWhile(id -> robot.lookup(id).tryQuery().isPresent())
        .map(this::text)
        .toList();
  }

  @Test
  void saysWhyNoneIsMadeAndWhatIsWrong() {
    gearbox("bevel 11 ~ 43; module 2 mm");
    assertTrue(text("#gearbox-verdict").contains("No gearbox is made"));
    waitFor("#gearbox-cures", "No single change");
    robot.interact(() -> opened.desk().train().type(FILTER + "bearing sun 6806"));
    settle();
    built();
    waitUntil(() -> text("#gearbox-verdict").startsWith("It does not go together"));
    waitFor("#gearbox-cures", "It goes together with");
    fire("#box-cure-1");
    built();
    assertEquals(Build.PROVEN, text("#gearbox-verdict"));
    assertFalse(card().contains("6806"), card());
    fire("#cut-teeth");
    assertTrue(find("#sheet-wheels", Node.class).isVisible());
  }

  @Test
  void filesAreWritten() throws Exception {
    gearbox(FILTER);
    for (String ending : List.of("3mf", "stl", "dxf", "svg", "pdf", "csv")) {
      Path file = written(ending, "box." + ending, "box." + ending);
      assertTrue(Files.size(file) > 500, ending);
    }
    assertTrue(Files.readString(folder.resolve("box.csv")).contains("planet pin"));
    written("fits-3mf", "fits.3mf", "fits.3mf written");
  }

  @Test
  void platesOfAnySizeAreFilled() throws Exception {
    gearbox(FILTER);
    enter("#box-plate", "small");
    assertTrue(text("#box-plate-problem").contains("220 x 220"));
    enter("#box-plate", "150x120");
    assertEquals(150, opened.desk().preferences().plate().width());
    written("plates-3mf", "p.3mf", "p-plate-1.3mf, p-plate-2.3mf");
    assertTrue(Files.size(folder.resolve("p-plate-2.3mf")) > 500);
    written("plates-3mf", "p.3mf", "p-plate-2.3mf (in place of the last)");
    written("plates-dxf", "s.dxf", "not cut from one sheet, so left out: front plate");
    assertTrue(Files.exists(folder.resolve("s-5mm.dxf")));
    enter("#box-plate", "30x30");
    written("plates-3mf", "no.3mf", "no.3mf was not written: front plate is");
  }

  /** Chooses a line of the menu, gives it a name, and waits for what is said. */
  private Path written(String which, String name, String said) {
    Path file = folder.resolve(name);
    when(dialogs.askExport(any(), any(), eq(name.substring(name.indexOf('.')))))
        .thenReturn(Optional.of(file));
    MenuItem item =
        find("#gearbox-write", MenuButton.class).getItems().stream()
            .filter(one -> ("gearbox-write-" + which).equals(one.getId()))
            .findFirst()
            .orElseThrow();
    robot.interact(item::fire);
    waitFor("#gearbox-said", said);
    return file;
  }
}
