package steadycog.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Set;
import java.util.zip.ZipFile;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** Whole gearboxes from the command line. */
class GearboxCommandTest extends Shell {
  private static final String FILTER =
      """
      planetary sun 24 planet 15 x3 ring 54
      module 0.8 mm; width 5 mm; shift planet 0.2; clearance laser; material acetal
      bore sun 6 mm flat 5.5 mm; bore planet 4 mm; bore carrier 8 mm hex
      drive sun 60 rpm 0.05 Nm; hold ring; take carrier
      """;

  @Test
  void tableJsonAndCsvTellOfTheSameBill() throws Exception {
    assertEquals(0, run(FILTER, "gearbox", "-", "--json"));
    JsonNode box = json();
    assertTrue(box.get("goesTogether").asBoolean());
    assertTrue(box.get("problems").isEmpty() && box.get("why").isNull());
    assertEquals(0, run(FILTER, "gearbox", "-"));
    String text = out.toString();
    assertEquals(0, run(FILTER, "gearbox", "-", "--csv"));
    String[] lines = out.toString().split("\r\n");
    assertEquals(1 + box.get("bill").size(), lines.length);
    int pieces = 0;
    for (int k = 0; k < box.get("bill").size(); k++) {
      JsonNode line = box.get("bill").get(k);
      assertEquals(k + 1, line.get("number").asInt());
      pieces += line.get("count").asInt();
      String piece = line.get("piece").asText();
      assertTrue(text.contains(piece) && lines[k + 1].contains(piece), piece);
      assertEquals(line.get("bought").asBoolean(), line.get("massG").isNull(), piece);
      assertEquals(line.get("bought").asBoolean(), lines[k + 1].contains(",bought,"), piece);
    }
    int moved = 0;
    Set<String> ways = new HashSet<>();
    for (JsonNode move : box.get("order")) {
      moved += move.get("count").asInt();
      ways.add(move.get("way").asText());
      String says = move.get("piece").asText() + " (" + move.get("number") + ")";
      assertTrue(text.contains(says), says);
    }
    assertEquals(pieces, moved);
    assertTrue(ways.contains("from the far end") && ways.contains("from the drive end"));
    assertTrue(text.contains("Proved on its solids"), text);
  }

  /** The cause comes before what it does to the gearbox, and is told once by check. */
  @Test
  void errorsOfTheTrainComeFirst() throws Exception {
    String uneven =
        "planetary sun 29/- planet 26=23 x3 ring 81/78; drive sun; hold ring1; take ring2";
    assertEquals(1, run(uneven, "gearbox", "-"));
    String text = out.toString();
    int cause = text.indexOf("error 3 planets do not go in");
    assertTrue(cause > 0 && cause < text.indexOf("are in one place"), text);
    assertEquals(1, run(uneven, "check", "-", "--assembly"));
    assertEquals(1, out.toString().split("3 planets do not go in", -1).length - 1, out::toString);
  }

  @Test
  void whatDoesNotGoTogetherIsAnError() throws Exception {
    String tight = FILTER + "bearing sun 6806\n";
    assertEquals(1, run(tight, "gearbox", "-"));
    assertTrue(out.toString().contains("error "), out::toString);
    assertEquals(1, run(tight, "check", "-", "--assembly", "--json"));
    JsonNode found = json().get("findings");
    int at = found.findValuesAsText("code").indexOf("gearbox");
    assertEquals("bearing sun as usual.", found.get(at).get("fix").asText());
    String card = found.get(at).get("cures").get(0).get("card").asText();
    assertEquals(0, run(card, "gearbox", "-"), card);
    assertEquals(0, run(tight, "check", "-"));
    assertFalse(out.toString().contains("gearbox"), "only for those who ask");
    assertEquals(1, run("bevel 11 ~ 43", "gearbox", "-"));
    assertTrue(out.toString().contains("No gearbox is made of this train"), out::toString);
    assertEquals(0, run("bevel 20 ~ 43\nmodule 2 mm", "check", "-", "--assembly"));
    assertTrue(out.toString().contains("note gearbox-none"), out::toString);
    assertEquals(0, run(FILTER, "check", "-", "--assembly"));
    assertFalse(out.toString().contains("gearbox"), out::toString);
  }

  /** All that is made is in the file by its name, and the drawing has the numbers of the bill. */
  @Test
  void piecesAndDrawingAreWritten() throws Exception {
    Path card = Files.writeString(folder.resolve("box.txt"), FILTER);
    Path solids = folder.resolve("box.3mf");
    assertEquals(0, export(card, solids, "--gearbox"), err::toString);
    assertEquals(0, run(FILTER, "gearbox", "-", "--json"));
    JsonNode bill = json().get("bill");
    try (ZipFile zip = new ZipFile(solids.toFile())) {
      String model =
          new String(
              zip.getInputStream(zip.getEntry("3D/3dmodel.model")).readAllBytes(),
              StandardCharsets.UTF_8);
      int items = 0;
      for (JsonNode line : bill) {
        if (!line.get("bought").asBoolean()) {
          assertTrue(model.contains("name=\"" + line.get("piece").asText()), line::toString);
          items += line.get("count").asInt();
        }
      }
      assertEquals(items, model.split("<item ").length - 1);
    }
    Path lines = folder.resolve("box.dxf");
    assertEquals(0, export(card, lines, "--gearbox"), err::toString);
    assertTrue(Files.readString(lines).contains("front plate"), "named in the drawing for cutters");
    Path drawing = folder.resolve("box.svg");
    assertEquals(0, export(card, drawing, "--gearbox"), err::toString);
    String svg = Files.readString(drawing);
    for (JsonNode line : bill) {
      assertTrue(svg.contains("aria-label=\"" + line.get("number").asText() + "\""));
    }
    Path page = folder.resolve("box.pdf");
    assertEquals(0, export(card, page, "--gearbox"), err::toString);
    try (PDDocument document = Loader.loadPDF(page.toFile())) {
      assertEquals("Gearbox, box", document.getDocumentInformation().getTitle());
      String words = new PDFTextStripper().getText(document);
      assertTrue(words.contains("Step 1") && words.contains("When it is together"), words);
      assertTrue(words.contains("Pinch points"), words);
    }
    Path site = folder.resolve("box.html");
    assertEquals(0, export(card, site, "--gearbox"), err::toString);
    String html = Files.readString(site);
    assertEquals(html.split("<h4>Step").length + 1, html.split("<svg").length, "one of the whole");
    assertEquals(2, export(card, site, "--gearbox", "--sections", "job"));
    Path bevel = Files.writeString(folder.resolve("bevel.txt"), "bevel 11 ~ 43; module 2 mm");
    assertEquals(2, export(bevel, folder.resolve("no.pdf"), "--gearbox"));
    assertEquals(2, export(bevel, folder.resolve("no.3mf"), "--gearbox"));
    assertTrue(err.toString().contains("no gearbox is made of this train"), err::toString);
    assertEquals(2, export(card, folder.resolve("no.csv"), "--gearbox"));
    assertEquals(2, export(card, folder.resolve("no.pdf"), "--gearbox", "--coupon"));
    assertEquals(0, export(card, folder.resolve("fits.stl"), "--gearbox", "--coupon", "--each"));
    assertTrue(Files.exists(folder.resolve("fits-gauge-19-mm.stl")), "of its bearings");
    assertEquals(0, export(card, folder.resolve("fits.svg"), "--gearbox", "--coupon"));
    assertTrue(Files.readString(folder.resolve("fits.svg")).contains("gauge-19-mm"));
  }

  @Test
  void whatIsLeftOutIsToldOf() throws Exception {
    String card = FILTER.stripTrailing() + "\nleave out dowel pin\n";
    assertEquals(0, run(card, "gearbox", "-"));
    assertTrue(out.toString().contains("Left out, as the card has it: dowel pin."), out::toString);
    assertTrue(out.toString().contains("bearings and pins are 0.04 mm wider"), out::toString);
    assertEquals(0, run(card, "gearbox", "-", "--json"));
    assertEquals("dowel pin", json().get("leftOut").get(0).asText());
    assertEquals(1, run(FILTER.stripTrailing() + "\nleave out dowl pin\n", "gearbox", "-"));
    assertTrue(out.toString().contains("no piece is called so"), out::toString);
    assertTrue(out.toString().contains("It goes together with: put back dowl pin."), out::toString);
    assertEquals(1, run(FILTER.stripTrailing() + "\nleave out nut\n", "gearbox", "-", "--json"));
    JsonNode cure = json().get("cures").get(0);
    assertEquals("put back nut", cure.get("change").asText());
    assertFalse(cure.get("card").asText().contains("leave out"), cure::toString);
  }

  @Test
  void platesAreFilledAFileEach() throws Exception {
    Path card = Files.writeString(folder.resolve("box.txt"), FILTER);
    assertEquals(0, export(card, folder.resolve("p.3mf"), "--gearbox", "--plate", "150 x 120"));
    int items = 0;
    int plates = 0;
    for (; Files.exists(folder.resolve("p-plate-" + (plates + 1) + ".3mf")); plates++) {
      try (ZipFile file =
          new ZipFile(folder.resolve("p-plate-" + (plates + 1) + ".3mf").toFile())) {
        byte[] model = file.getInputStream(file.getEntry("3D/3dmodel.model")).readAllBytes();
        items += new String(model, StandardCharsets.UTF_8).split("<item ").length - 1;
      }
    }
    assertTrue(plates > 1, "more than one plate");
    assertEquals(plates, err.toString().lines().count(), err::toString);
    assertEquals(0, run(FILTER, "gearbox", "-", "--json"));
    int made = 0;
    for (JsonNode line : json().get("bill")) {
      made += line.get("bought").asBoolean() ? 0 : line.get("count").asInt();
    }
    assertEquals(made, items);
    assertEquals(0, export(card, folder.resolve("s.dxf"), "--gearbox", "--plate", "600x300"));
    assertTrue(Files.exists(folder.resolve("s-5mm.dxf")), err::toString);
    assertTrue(err.toString().contains("not cut from one sheet, so left out: front plate"));
    assertEquals(0, export(card, folder.resolve("one.stl"), "--plate", "600x300"));
    assertTrue(Files.exists(folder.resolve("one.stl")), "one plate needs no number");
    for (String size : new String[] {"20x20", "220", "0x0", "axb"}) {
      assertEquals(2, export(card, folder.resolve("no.stl"), "--plate", size), size);
      assertEquals(1, err.toString().lines().count(), err::toString);
    }
    assertEquals(2, export(card, folder.resolve("no.stl"), "--plate", "220x220", "--each"));
    assertEquals(2, export(card, folder.resolve("no.pdf"), "--plate", "220x220"));
  }

  /** All trains of the demo: each is told of, and what is made of it goes together. */
  @Test
  void everyTrainOfTheDemoIsToldOf() throws Exception {
    String demo = demo();
    assertEquals(1, run("", "gearbox", demo, "--json"));
    JsonNode trains = json().get("trains");
    int made = 0;
    for (JsonNode train : trains) {
      boolean whole = !train.get("bill").isEmpty();
      made += whole ? 1 : 0;
      assertEquals(whole, train.get("goesTogether").asBoolean(), train.get("train").asText());
      assertEquals(whole, train.get("why").isNull());
      assertTrue(train.get("problems").isEmpty(), train.get("problems")::toString);
      for (JsonNode support : train.get("supports")) {
        assertTrue(support.get("toMm").asDouble() > support.get("fromMm").asDouble());
      }
    }
    assertTrue(made >= 6, made + " of the demo's trains become gearboxes");
    assertEquals(0, run("", "gearbox", demo, "--train", "Focuser"));
    assertTrue(out.toString().lines().allMatch(line -> line.length() <= 100));
    assertEquals(2, run("", "gearbox", demo, "--units", "in"));
    assertTrue(err.toString().contains("in mm"), err::toString);
  }

  private int export(Path card, Path to, String... more) throws Exception {
    String[] all = new String[4 + more.length];
    System.arraycopy(new String[] {"export", card.toString(), "--to", to.toString()}, 0, all, 0, 4);
    System.arraycopy(more, 0, all, 4, more.length);
    return run("", all);
  }
}
