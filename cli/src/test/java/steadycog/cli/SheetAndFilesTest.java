package steadycog.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sheets, proofs and files by the command line. */
class SheetAndFilesTest extends Shell {
  private static final String JAMS =
      "planetary sun 25 planet 15 x3 ring 57; clearance printed; drive sun; hold ring; take"
          + " carrier";
  private static final String RUNS =
      "planetary sun 24 planet 18 x3 ring 60; clearance printed; drive sun; hold ring; take"
          + " carrier; tolerance centre +0.02 -0.02 mm thickness +0 -0.03 mm";

  @Test
  void checkPutsThePiecesTogether() throws IOException {
    assertEquals(1, run(JAMS, "check", "-", "--json"));
    JsonNode collision = finding("collision");
    assertEquals("error", collision.get("severity").asText());
    assertEquals("[\"planet\",\"ring\"]", collision.get("members").toString());
    assertTrue(collision.get("cures").isEmpty());
    assertEquals(0, run(RUNS, "check", "-", "--json"));
    assertTrue(finding("collision").isMissingNode());
    assertEquals("ok", finding("least-play").get("severity").asText());
  }

  private JsonNode finding(String code) throws IOException {
    for (JsonNode each : json().get("findings")) {
      if (each.get("code").asText().equals(code)) {
        return each;
      }
    }
    return json().path("none");
  }

  /** Nothing is written that cannot be put in place, unless it is asked for. */
  @Test
  void whatCollidesIsWrittenOnlyWhenAskedFor() throws IOException {
    Path card = Files.writeString(folder.resolve("jams.txt"), JAMS);
    Path out = folder.resolve("out.svg");
    assertEquals(2, run("", "export", card.toString(), "--to", out.toString()));
    assertTrue(err.toString().contains("The planet and the ring run into each other by"));
    assertFalse(Files.exists(out));
    assertEquals(2, run("", "export", card.toString(), "--to", out.toString(), "--only", "ring"));
    assertEquals(1, run("", "export", card.toString(), "--to", out.toString(), "--anyway"));
    assertTrue(Files.size(out) > 10_000);
    assertEquals(1, run("", "export", card.toString(), "--to", out.toString(), "--coupon"));
  }

  /** Files and sheets say that bevel teeth are not exact, and by how much. */
  @Test
  void bevelGearsAreMadeAndSaySo() throws IOException {
    Path card =
        Files.writeString(
            folder.resolve("trolley.txt"), "bevel 11 ~ 43; shift pinion 0.34; clearance printed");
    for (String ending : new String[] {"svg", "dxf", "stl", "3mf"}) {
      Path out = folder.resolve("trolley." + ending);
      assertEquals(0, run("", "export", card.toString(), "--to", out.toString()), ending);
      assertTrue(Files.size(out) > 10_000, ending);
    }
    assertTrue(
        Files.readString(folder.resolve("trolley.svg")).contains("(Tredgold), within 0.002"));
    assertEquals(0, run("", "sheet", card.toString()));
    assertTrue(out.toString().contains("within 0.002 modules of exact ones"));
    assertEquals(0, run("", "sheet", card.toString(), "--json"));
    assertTrue(json().get("pieces").get(1).get("remark").asText().contains("Tredgold"));
    assertEquals(1, run("bevel 11 ~ 43", "check", "-", "--json"));
    assertTrue(finding("interference").get("fix").asText().startsWith("shift pinion 0.34"));
  }

  @Test
  void rowsInTwoModulesAreFoundWhereTheyAreAskedFor() throws IOException {
    String[] find = {"find", "--target", "40", "--kind", "two-row", "--teeth", "12..30", "--json"};
    assertEquals(0, run("", find));
    assertFalse(json().get("candidates").toString().contains("module"));
    String[] both = Arrays.copyOf(find, find.length + 3);
    System.arraycopy(new String[] {"--two-modules", "--distortion", "0"}, 0, both, find.length, 3);
    assertEquals(0, run("", both));
    JsonNode first = json().get("candidates").get(0);
    assertTrue(first.get("card").asText().contains("module planet2"), first.toString());
    assertEquals(0, first.get("distortion").asInt());
    assertEquals(0, run(first.get("card").asText().replace("; ", "\n"), "check", "-"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          cycloidal lobes 14 pins 15 circle 100 mm; bore eccentric 70 mm | eccentric cannot be made
          parallel 20 ~ 40; module 1 mm; bore A 18 mm | A cannot be made: its bore breaks out of it
          """)
  void brokenBoresAreRefusedByName(String card, String said) throws IOException {
    Path file = Files.writeString(folder.resolve("broken.txt"), card);
    Path out = folder.resolve("out.stl");
    assertEquals(2, run("", "export", file.toString(), "--to", out.toString(), "--anyway"));
    assertTrue(err.toString().contains(said), err.toString());
    assertFalse(Files.exists(out));
  }

  @Test
  void sheetsTellPlayByItsPartsAndBands() throws IOException {
    assertEquals(0, run(RUNS, "sheet", "-", "--json"));
    JsonNode sheet = json();
    double sum = 0;
    for (JsonNode share : sheet.get("lostMotionShares")) {
      sum += share.get("arcMin").asDouble();
    }
    assertEquals(sheet.get("lostMotionArcMin").asDouble(), sum, 1e-9);
    JsonNode band = sheet.get("lostMotionBandArcMin");
    assertTrue(band.get("least").asDouble() < band.get("likelyLeast").asDouble());
    assertTrue(band.get("likelyMost").asDouble() < band.get("most").asDouble());
    assertEquals(0, run(RUNS, "sheet", "-"));
    assertTrue(out.toString().contains("by its tolerances likely"));
    assertTrue(out.toString().contains("planet on its pin"));
  }

  @Test
  void sheetsOfDrivesHoldEveryLength() throws IOException {
    String card =
        "cycloidal lobes 29 pins 30 discs 3; clearance printed; drive eccentric; take disc";
    assertEquals(0, run(card, "sheet", "-", "--json"));
    JsonNode drive = json().get("drives").get(0);
    assertEquals("96.000", drive.get("ring").get("circle of the pins").asText());
    assertEquals(3, drive.get("disc").get("how many are made").asInt());
    assertEquals("3 cams", drive.get("eccentric").get("how many are made").asText());
    assertEquals(34, json().get("box").get("lengthMm").asDouble(), 1e-9);
  }

  @Test
  void twoSpansTellTheAngle() throws IOException {
    // Module 2, 30 teeth, 14.5 degrees: base pitch 6.083.
    assertEquals(
        0,
        run(
            "",
            "identify",
            "--teeth",
            "30",
            "--od",
            "64",
            "--span",
            "15.54",
            "--over",
            "3",
            "--next-span",
            "21.62",
            "--json"));
    assertEquals(14.5, json().get("guesses").get(0).get("pressureAngle").asDouble());
    assertEquals(0, run("", "identify", "--teeth", "24", "--od", "55.08", "--lead", "440.91"));
    assertTrue(
        out.toString().matches("(?s).*helix.*module 2 mm +2 +24 +20\\.0 +(20\\.00|19\\.99).*"),
        out::toString);
    assertEquals(2, run("", "identify", "--teeth", "24", "--od", "55.08", "--helical"));
    assertTrue(err.toString().contains("the lead"), err::toString);
    assertEquals(2, run("", "identify", "--teeth", "30", "--next-span", "21.6", "--od", "64"));
    assertTrue(err.toString().contains("needs the first span"));
  }
}
