package steadycog.cli;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.format.demo.TernRock;
import steadycog.format.file.JobFiles;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;

/** What is asked of a card on the command line is answered: cures, units, working, tools, loads. */
class CureCommandTest extends Shell {
  private static final String FOCUSER =
      """
      planetary sun 12/- planet 18=18 x3 ring 48/51 # two rows
      drive sun 1500 rpm
      hold ring1; take ring2
      """;

  @Test
  void theCuredCardGoesToStandardOutputAndWhatChangedToStandardError() throws Exception {
    assertEquals(0, run(FOCUSER, "cure", "-"));
    String cured = out.toString();
    assertTrue(cured.startsWith("planetary sun 12/- planet 18=18 x3 ring 48/51 # two rows\n"));
    assertTrue(err.toString().startsWith("module 1 mm, distance sun-planet 15.75 mm, shift"));
    assertTrue(err.toString().contains("ratio kept, 85 : 1; still noted: "), err.toString());
    assertEquals(1, err.toString().lines().count());
    assertEquals(0, run(cured, "solve", "-", "--json"));
    assertEquals("85", json().get("ratio").asText());
    for (JsonNode finding : json().get("findings")) {
      assertTrue(!finding.get("severity").asText().matches("warning|error"), finding.toString());
    }
    assertEquals(0, run(cured, "cure", "-"));
    assertEquals(cured, out.toString(), "a sound card is printed as it is");
    assertTrue(err.toString().startsWith("nothing to put right"), err.toString());
  }

  @Test
  void whereNothingIsWithinReachItSaysWhichRuleAndPrintsNoCard() throws Exception {
    assertEquals(1, run("parallel 9 ~ 25i\n", "cure", "-", "--keep", "teeth"));
    assertEquals("", out.toString());
    assertTrue(err.toString().startsWith("no change within reach: few-teeth: A has 9 teeth"));
    assertEquals(1, run("parallel 9 ~ 25i\n", "cure", "-", "--keep", "teeth", "--json"));
    assertFalse(json().get("sound").asBoolean());
    assertTrue(json().get("card").isNull() && json().get("change").isNull());
    assertEquals("few-teeth", json().at("/left/0/code").asText());
    assertEquals(0, run("parallel 9 ~ 25i\n", "cure", "-", "--keep", "ratio", "--json"));
    assertEquals("25/9", json().get("ratio").asText());
    assertEquals(0.0, json().get("ratioChange").asDouble());
    assertEquals(2, run("parallel 9 ~ 25i\n", "cure", "-", "--keep", "colour"));
    assertEquals(2, run("parallel 9 ~\n", "cure", "-"));
    assertEquals("", out.toString());
  }

  @Test
  void oneTrainOfAJobIsCuredByItsName() throws Exception {
    Path job = folder.resolve("tern.cog.json");
    Card set = Card.read("planetary sun 24 planet 15 x3 ring 54\nhold ring\ntake carrier\n");
    List<Sheet> sheets = new ArrayList<>(List.of(Sheet.of("Filter wheel", set)));
    TernRock.job().sheets().stream()
        .filter(sheet -> List.of("Dome rotator", "Focuser").contains(sheet.name()))
        .forEach(sheets::add);
    JobFiles.save(new Job("Tern Rock", sheets), 0, job);
    assertEquals(1, run("", "cure", job.toString()), "the fault on purpose stays");
    assertTrue(err.toString().contains("Dome rotator: nothing to put right"), err.toString());
    assertTrue(out.toString().contains("# Filter wheel\n"), out.toString());
    byte[] before = Files.readAllBytes(job);
    assertEquals(0, run("", "cure", job.toString(), "--train", "Filter wheel"));
    assertTrue(out.toString().contains("shift planet 0.2\n"), out.toString());
    assertArrayEquals(before, Files.readAllBytes(job), "the file itself stays as it was");
    assertEquals(1, run("", "cure", job.toString(), "--train", "Focuser"));
    assertTrue(err.toString().startsWith("no change within reach: more-heat: With the stated"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"check", "solve"})
  void everyFindingCarriesItsCures(String command) throws Exception {
    run(FOCUSER, command, "-", "--json");
    JsonNode findings = json().get("findings");
    int cures = 0;
    for (JsonNode finding : findings) {
      for (JsonNode cure : finding.get("cures")) {
        cures++;
        assertTrue(cure.get("clears").toString().contains(finding.get("code").asText()));
        assertEquals(
            finding.get("members"),
            member(cure.get("clearsMembers"), finding.get("code").asText(), finding));
        assertTrue(cure.get("brings").isArray());
        String card = cure.get("card").asText();
        assertTrue(run(card, "solve", "-", "--json") < 2, card);
        assertEquals(cure.get("ratio"), json().get("ratio"), card);
      }
    }
    assertTrue(cures >= 6, cures + " cures");
  }

  private static JsonNode member(JsonNode cleared, String code, JsonNode finding) {
    for (JsonNode one : cleared) {
      if (one.get("code").asText().equals(code)
          && one.get("members").equals(finding.get("members"))) {
        return one.get("members");
      }
    }
    throw new AssertionError(code + " is not among " + cleared);
  }

  @Test
  void theFixNamesTheNewRatioWhereItChanges() throws Exception {
    assertEquals(0, run("parallel 17 ~ 51; drive A; take B\n", "check", "-"));
    assertTrue(out.toString().contains("note hunting: "), out.toString());
    assertTrue(
        out.toString().contains("A 17 -> 18, B 51 -> 53, then \u22122.9444 : 1."), out.toString());
    assertEquals(0, run("parallel 15 ~ 40; drive A; take B\n", "check", "-"));
    assertTrue(out.toString().contains("shift A 0.13.\n"), out.toString());
  }

  private static final String INCHES =
      """
      planetary sun 24 planet 15 x3 ring 54
      dp 16
      drive sun 1500 rpm 7 lbf-in
      hold ring
      take carrier
      tool planet 12
      efficiency ideal
      """;

  @Test
  void tablesSpeakTheCardsUnitsOrThoseAskedFor() {
    assertEquals(0, run(INCHES, "solve", "-"));
    assertTrue(out.toString().contains("torque lbf-in"), out.toString());
    assertTrue(out.toString().matches("(?s).*carrier  take .* -22\\.75 .*"), out.toString());
    assertTrue(out.toString().contains("(0.172 in) thick"), out.toString());
    assertEquals(0, run(INCHES, "solve", "-", "--units", "rad/s,Nmm,hp"));
    assertTrue(out.toString().contains("rad/s") && out.toString().contains("power hp"));
    assertTrue(out.toString().contains("790.8"), "7 lbf-in in N mm: " + out);
    assertEquals(0, run(INCHES, "sheet", "-"));
    assertTrue(out.toString().contains("pitch diameter, in"), out.toString());
    assertEquals(2, run(INCHES, "solve", "-", "--units", "furlong"));
    assertTrue(err.toString().contains("--units furlong: expected units as rpm"), err.toString());
    assertEquals("", out.toString());
  }

  @Test
  void aToolOnAPlanetPassesByItsTurnsInSpace() throws Exception {
    assertEquals(0, run(INCHES, "solve", "-", "--json"));
    for (JsonNode member : json().get("members")) {
      boolean planet = member.get("name").asText().equals("planet");
      // 4/5 of a turn, 12 edges, three planets.
      assertEquals(planet ? "144/5" : "null", member.get("toolPasses").asText());
    }
    assertEquals(0, run(INCHES, "solve", "-"));
    assertTrue(out.toString().contains("planet      12    x3                   28.8    144/5"));
    for (String bad : new String[] {"tool planet 0", "tool planet 1.5", "tool 12", "tool planet"}) {
      assertEquals(2, run("planetary sun 24 planet 15 x3 ring 54\n" + bad + "\n", "solve", "-"));
      assertTrue(err.toString().startsWith("<stdin>:2:"), err.toString());
    }
  }

  @Test
  void theThreeSchoolsAgreeOnTheCommandLineToo() {
    assertEquals(0, run(INCHES, "solve", "-", "--working"));
    String text = out.toString();
    assertTrue(text.contains("relative motion: (ring - carrier) / (sun - carrier) = -4/9"), text);
    assertTrue(text.contains("all three agree exactly"), text);
    assertTrue(text.matches("(?s).*planet +-4/5 +4/13 +-72/65 +-4/5 +-4/5.*"), text);
    assertTrue(text.matches("(?s).*carrier +39/2 +6\\b.*"), text);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "strainwave nominal 80; drive wave; hold circular; take flex"
            + " | circular  flex              -80  opposite | the flexspline is 2 teeth behind",
        "cycloidal lobes 29 pins 30; drive eccentric; hold ring; take disc"
            + " | ring  disc              -29  opposite | the disc is one lobe behind"
      })
  void theOtherDrivesTellHowTheirTeethCreep(String card, String way, String creep) {
    assertEquals(0, run(card, "solve", "-", "--working"));
    assertTrue(out.toString().contains(way), out.toString());
    assertTrue(out.toString().contains(creep), out.toString());
  }

  @Test
  void aPowerIsALoadButNoDriveWithoutASpeed() throws Exception {
    String set = "planetary sun 24 planet 15 x3 ring 54\nefficiency ideal\nhold ring\n";
    assertEquals(0, run(set + "drive sun 1300 rpm\ntake carrier 50 W\n", "solve", "-", "--json"));
    JsonNode carrier = json().get("members").get(3);
    assertEquals(-50, carrier.get("powerW").asDouble(), 1e-9);
    assertEquals(400, carrier.get("speedRpm").asDouble(), 1e-9);
    assertEquals(2, run(set + "drive sun 50 W\ntake carrier\n", "solve", "-"));
    assertTrue(
        err.toString()
            .startsWith("<stdin>:4:11: 50 W without a speed: its torque needs one, as drive sun"),
        err.toString());
    assertEquals(2, run(set + "drive sun 5 rpm\ntake carrier 3 mm\n", "solve", "-"));
  }

  @Test
  void aLoadThatComesDownIsAProperUse() throws Exception {
    String down =
        """
        planetary sun 12/- planet 18=18 x3 ring 48/51
        efficiency external 0.95 internal 0.97
        drive sun 60 rpm
        hold ring1
        take ring2 -85 Nm
        """;
    assertEquals(0, run(down, "solve", "-", "--json"));
    assertEquals("lowers", json().get("powerFlow").asText());
    assertEquals(0.0051, json().at("/members/0/torqueNm").asDouble(), 5e-5);
    assertEquals(0, run(down, "check", "-"));
    assertTrue(out.toString().contains("must push 0.00508 Nm to"));
    assertTrue(out.toString().contains("note lowering: "), out.toString());
  }

  @Test
  void whatFloatsAreMembersOfTheTable() throws Exception {
    assertEquals(0, run(FOCUSER.replace("hold ring1; ", ""), "solve", "-", "--json"));
    Set<String> names = new HashSet<>();
    json().get("members").forEach(member -> names.add(member.get("name").asText()));
    assertTrue(json().get("floating").size() > 0);
    json().get("floating").forEach(one -> assertTrue(names.contains(one.asText()), one.asText()));
  }
}
