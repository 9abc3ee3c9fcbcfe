package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.when;

import java.awt.image.BufferedImage;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.w3c.dom.Document;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import steadycog.app.geartable.GearTable;
import steadycog.format.demo.TernRock;

/** The drawing as a file: in lines, and in pixels. */
class PictureTest extends InWindow {
  private static final int DEMO_TRAINS = 11;

  private static List<String> all(Document svg, String tag, String attribute) {
    NodeList found = svg.getElementsByTagName(tag);
    List<String> texts = new ArrayList<>();
    for (int k = 0; k < found.getLength(); k++) {
      texts.add(
          found.item(k).getAttributes().getNamedItem(attribute) == null
              ? ""
              : found.item(k).getAttributes().getNamedItem(attribute).getNodeValue());
    }
    return texts;
  }

  private static Document read(String svg) throws Exception {
    return DocumentBuilderFactory.newInstance()
        .newDocumentBuilder()
        .parse(new InputSource(new StringReader(svg)));
  }

  /** Every train of the demo: well-formed, every figure a number, the names as on the screen. */
  @Test
  void inLinesItSaysWhatTheScreenSays() throws Exception {
    robot.interact(() -> opened.desk().file().putDown(TernRock.job()));
    GearTable table = find("#gear-table", GearTable.class);
    for (int train = 0; train < DEMO_TRAINS; train++) {
      int index = train;
      robot.interact(() -> opened.desk().showSheet(index));
      settle();
      String[] svg = {"", ""};
      robot.interact(
          () ->
              svg[0] =
                  table.bare(
                      () -> {
                        svg[1] = find("#face-scale", Label.class).getText();
                        return VectorPicture.of(table, "drawing");
                      }));
      Document read = read(svg[0]);
      assertFalse(svg[0].contains("NaN") || svg[0].contains("Infinity"), "train " + train);
      assertEquals(
          table.getWidth(), Double.parseDouble(read.getDocumentElement().getAttribute("width")), 1);
      List<String> outlines = all(read, "path", "d");
      assertEquals(List.of(), outlines.stream().filter(d -> !d.matches("(?s)M[^N]*")).toList());
      List<String> said = all(read, "path", "aria-label");
      assertTrue(said.contains(svg[1]), () -> svg[1] + " in " + said);
      assertTrue(said.stream().noneMatch(words -> words.contains("tooth ,")), "no buttons");
      assertTrue(
          outlines.size()
              > 3 * opened.desk().bench().orElseThrow().card().train().members().size());
    }
    assertTrue(find("#run", Region.class).isVisible(), "the buttons are back");
  }

  @ParameterizedTest
  @ValueSource(strings = {"Lines (SVG)", "Pixels", "Many pixels"})
  void itIsAskedForAndWritten(String how) throws Exception {
    putDown("planetary sun 24 planet 15 x3 ring 54; drive sun; hold ring; take carrier");
    Path file = folder.resolve(how.startsWith("Lines") ? "set.svg" : "set.png");
    when(dialogs.askExport(anyString(), anyString(), anyString())).thenReturn(Optional.of(file));
    robot.interact(() -> opened.window().writePicture());
    robot.clickOn(how);
    settle();
    if (how.startsWith("Lines")) {
      assertTrue(all(read(Files.readString(file)), "path", "aria-label").contains("sun"));
    } else {
      BufferedImage picture = ImageIO.read(file.toFile());
      double times = picture.getWidth() / find("#gear-table", Region.class).getWidth();
      assertEquals(how.startsWith("Many") ? 5 : 2, times, 0.05);
    }
  }
}
