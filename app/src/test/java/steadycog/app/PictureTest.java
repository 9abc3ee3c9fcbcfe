package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotNull;
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
import java.util.zip.ZipFile;
import javafx.scene.control.Label;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.Region;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.w3c.dom.Document;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import steadycog.app.geartable.GearTable;
import steadycog.format.demo.TernRock;
import steadycog.format.picture.LinePicture;
import steadycog.format.picture.PicturePdf;
import steadycog.format.picture.PictureSvg;

/** The drawing as a file: in lines, and in pixels. */
class PictureTest extends InWindow {
  private static final int DEMO_TRAINS = 11;
  private static final int BLOCK = 8;

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
      byte[][] pdf = {{}};
      robot.interact(
          () ->
              svg[0] =
                  table.bare(
                      () -> {
                        svg[1] = find("#face-scale", Label.class).getText();
                        LinePicture picture = VectorPicture.of(table, "drawing");
                        pdf[0] = PicturePdf.write(picture);
                        return PictureSvg.write(picture);
                      }));
      Document read = read(svg[0]);
      assertAlike(pdf[0], table, "train " + train);
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

  /** The page, drawn by somebody else, looks as the drawing does in the window. */
  private void assertAlike(byte[] pdf, GearTable table, String train) throws Exception {
    WritableImage[] seen = {null};
    robot.interact(() -> seen[0] = table.drawing(1));
    Path file = folder.resolve("seen.png");
    Picture.write(seen[0], file);
    BufferedImage window = ImageIO.read(file.toFile());
    BufferedImage page;
    try (PDDocument read = Loader.loadPDF(pdf)) {
      page = new PDFRenderer(read).renderImageWithDPI(0, 96);
    }
    assertEquals(window.getWidth(), page.getWidth(), 1);
    assertEquals(window.getHeight(), page.getHeight(), 1);
    // Thin lines are blurred otherwise by another hand, which a mean over some points levels out.
    int blocks = 0;
    int different = 0;
    for (int x = 0; x + BLOCK < window.getWidth(); x += BLOCK) {
      for (int y = 0; y + BLOCK < window.getHeight(); y += BLOCK) {
        blocks++;
        different += Math.abs(light(window, x, y) - light(page, x, y)) > 16 ? 1 : 0;
      }
    }
    assertTrue(different < blocks / 200, train + ": " + different + " of " + blocks + " differ");
  }

  /** Of a block of points, 0 to 255. */
  private static double light(BufferedImage picture, int x, int y) {
    double sum = 0;
    for (int rgb : picture.getRGB(x, y, BLOCK, BLOCK, null, 0, BLOCK)) {
      sum += ((rgb >> 16 & 0xff) + (rgb >> 8 & 0xff) + (rgb & 0xff)) / 3.0;
    }
    return sum / (BLOCK * BLOCK);
  }

  @ParameterizedTest
  @ValueSource(strings = {"Lines (SVG)", "Page (PDF)", "Pixels", "Many pixels"})
  void itIsAskedForAndWritten(String how) throws Exception {
    putDown("planetary sun 24 planet 15 x3 ring 54; drive sun; hold ring; take carrier");
    Path file = folder.resolve(how);
    when(dialogs.askExport(anyString(), anyString(), anyString())).thenReturn(Optional.of(file));
    robot.interact(() -> opened.window().writePicture());
    robot.clickOn(how);
    settle();
    if (how.startsWith("Lines")) {
      assertTrue(all(read(Files.readString(file)), "path", "aria-label").contains("sun"));
    } else if (how.startsWith("Page")) {
      assertAlike(Files.readAllBytes(file), find("#gear-table", GearTable.class), how);
    } else {
      BufferedImage picture = ImageIO.read(file.toFile());
      double times = picture.getWidth() / find("#gear-table", Region.class).getWidth();
      assertEquals(how.startsWith("Many") ? 5 : 2, times, 0.05);
    }
  }

  @Test
  void theJobIsWrittenAsAWorkbookThatComputes() throws Exception {
    Path file = folder.resolve("set.xlsx");
    when(dialogs.askExport(anyString(), anyString(), anyString())).thenReturn(Optional.of(file));
    robot.interact(() -> opened.window().writeWorkbook());
    assertFalse(Files.exists(file), "nothing to compute yet");
    putDown("planetary sun 24 planet 15 x3 ring 54; drive sun; hold ring; take carrier");
    robot.interact(() -> opened.window().writeWorkbook());
    waitUntil(() -> says("set.xlsx"));
    try (ZipFile zip = new ZipFile(file.toFile())) {
      assertNotNull(zip.getEntry("xl/worksheets/sheet1.xml"));
    }
  }
}
