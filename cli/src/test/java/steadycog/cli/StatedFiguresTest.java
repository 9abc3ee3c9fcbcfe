package steadycog.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import steadycog.format.demo.TernRock;
import steadycog.job.Job;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.train.Losses.Practice;
import steadycog.train.MeshKind;
import steadycog.train.Planetary;
import steadycog.train.Teeth;

/** Figures that documents state in prose are those that the program gives. */
class StatedFiguresTest extends Shell {
  private static final String FOCUSER =
      "planetary sun 20/- planet 25=23 x3 ring 70/68\ndrive sun; hold ring1; take ring2\n";

  /** The phrase stands in the document, with what was worked out in the places of {@code %s}. */
  private static void states(String document, String phrase, Object... figures) throws IOException {
    Path file = document.equals("README.md") ? Path.of("..") : Path.of("..", "docs");
    String text = Files.readString(file.resolve(document)).replaceAll("\\s+", " ");
    String said = String.format(Locale.ROOT, phrase, figures);
    assertTrue(text.contains(said), () -> document + " does not say: " + said);
  }

  private JsonNode solved(String card) throws IOException {
    assertTrue(run(card, "solve", "-", "--json") < 2, err::toString);
    return json();
  }

  private String ratio(String card) throws IOException {
    return Figures.plain(Exact.parse(solved(card).get("ratio").asText()).abs());
  }

  private double percent(String card, String share) throws IOException {
    return 100 * solved(card).get(share).asDouble();
  }

  @Test
  void ratiosInProse() throws IOException {
    states(
        "guide.md",
        "`parallel 20 ~ 33 ~ 50` is %s : 1 with an idler, `parallel 20 ~ 33 = 25 ~ 50` is %s : 1.",
        ratio("parallel 20 ~ 33 ~ 50"),
        ratio("parallel 20 ~ 33 = 25 ~ 50"));
    states("README.md", "%s : 1 in one set.", ratio(FOCUSER));
    states("guide.md", "a set that slows %s : 1", ratio(FOCUSER));
    String wave = "strainwave nominal 100\ndrive wave; hold %s; take %s\n";
    assertEquals("opposite", solved(wave.formatted("circular", "flex")).get("direction").asText());
    states(
        "guide.md",
        "%s the other way with the circular spline held, %s the same way with the flexspline held",
        ratio(wave.formatted("circular", "flex")),
        ratio(wave.formatted("flex", "circular")));
  }

  @Test
  void whatGoesRoundInProse() throws IOException {
    double times = solved(FOCUSER).get("circulation").asDouble();
    assertEquals(20, times, 4, "some twenty");
    states("guide.md", "some twenty times the input may pass each mesh");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          sun 12/- planet 18=18 x3 ring 48/51 | 0.98 0.99 | 74.04 | true
          sun 12/- planet 18=18 x3 ring 48/51 | 0.95 0.97 | 48.17 | false\
          """)
  void lossesOfTwoRowsInProse(String set, String losses, String percent, boolean turnsBack)
      throws IOException {
    String[] each = losses.split(" ");
    String card =
        "planetary %s\nefficiency external %s internal %s\ndrive sun; hold ring1; take ring2\n"
            .formatted(set, each[0], each[1]);
    assertEquals(percent, Figures.fixed(percent(card, "efficiency"), 2));
    assertEquals(turnsBack, solved(card).get("backDrivable").asBoolean());
    states(
        "methods.md",
        "at %s/%s/%s %s%s %% and %s",
        each[0],
        each[1],
        each[1],
        turnsBack ? "gives " : "",
        percent,
        turnsBack ? "turns back" : "holds itself");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          cycloidal 14/15 at 0.97 | cycloidal lobes 14 pins 15; efficiency cycloidal 0.97; \
          drive eccentric; hold ring; take disc | 0
          strain wave 160/162 at 0.9975 | strainwave flex 160 circular 162; \
          efficiency strainwave 0.9975; drive wave; hold circular; take flex | 2\
          """)
  void lossesOfDrivesInProse(String drive, String card, int decimals) throws IOException {
    states(
        "methods.md",
        drive + " %s and %s %%",
        Figures.fixed(percent(card, "efficiency"), 1),
        Figures.fixed(percent(card, "backEfficiency"), decimals));
  }

  @ParameterizedTest
  @EnumSource(
      value = Practice.class,
      names = {"OILED", "PRINTED"})
  void usualLossesInProse(Practice practice) throws IOException {
    Object[] usual =
        Arrays.stream(MeshKind.values()).map(k -> Exact.plain(practice.usual(k))).toArray();
    states(
        "methods.md",
        practice == Practice.OILED
            ? "cut and oiled external %s, internal %s, bevel %s, pins %s, strain-wave zone %s"
            : "printed and dry %s, %s, %s, %s, %s",
        usual);
  }

  @Test
  void everyPracticeAndMaterialIsListed() throws IOException {
    for (Practice practice : Practice.values()) {
      states("format.md", "`" + practice.word() + "`");
    }
    assertEquals(2, run("parallel 9 ~ 9; material wood\n", "check", "-"));
    String expected = err.toString().replaceAll("(?s).*expected [^a-z]*(a material: )?", "");
    for (String material : expected.strip().split("[,:]? (or )?")) {
      states("format.md", "`" + material + "`");
    }
  }

  /** The statements that a card may hold are those that the reader asks for. */
  @Test
  void everyStatementIsListed() throws IOException {
    assertEquals(2, run("parallel 9 ~ 9; polish A\n", "check", "-"));
    String[] known = err.toString().strip().replaceAll(".*\\) or ", "").split(", | or ");
    assertTrue(known.length > 20, () -> err.toString());
    String format = Files.readString(Path.of("..", "docs", "format.md"));
    String grammar =
        format.lines().filter(l -> l.startsWith("    ")).collect(Collectors.joining("\n"));
    for (String verb : known) {
      assertTrue(
          (grammar + format.substring(format.indexOf("* Losses:")))
              .matches("(?s).*(\n    |[|] |[`])" + verb + "\\b.*"),
          verb);
    }
  }

  @Test
  void limitsInProse() throws IOException {
    states("format.md", "Teeth: 1 to %s", Teeth.MOST);
    states("format.md", "1 to %s planets", Planetary.MOST_PLANETS);
    states("format.md", "\"version\": %s", saved().get("version"));
    assertEquals(2, run("parallel 9 ~ %d\n".formatted(Teeth.MOST + 1), "check", "-"));
    assertEquals(2, run("planetary sun 20 planet 20 x13 ring 60\n", "check", "-"));
    String chain = "parallel 20" + " ~ 20".repeat(500);
    assertEquals(2, run(chain + "\n", "check", "-"));
    states("format.md", "up to %s wheels a part", 500);
  }

  private JsonNode saved() throws IOException {
    return new ObjectMapper().readTree(Files.readString(Path.of(demo())));
  }

  /** The first count of the demo's first build is off by one tooth, as the guide says. */
  @Test
  void theMiscountOfTheDemo() throws IOException {
    String job = demo();
    assertTrue(run("", "bench", job, "--train", "Focuser", "--json") < 2, err::toString);
    JsonNode first = json().get("trains").get(0).get("builds").get(0);
    JsonNode count = first.get("tests").get(0);
    assertEquals("miscount", count.get("verdict").asText());
    String is =
        count.get("words").asText().replaceAll("(?s).*( is what .*?instead of \\d+).*", "$1");
    states("guide.md", "the first count of %s%s.", first.get("name").asText(), is);
  }

  /** A pinion of a right-angle pair is judged by its virtual count, and the shift named cures. */
  @Test
  void theUndercutOfABevel() throws IOException {
    String card = "turn: bevel 11 ~ 43\nmodule 1 mm\n";
    double virtual = 11 / Math.cos(Math.atan2(11, 43));
    states("guide.md", "undercut as %s would be", Figures.fixed(virtual, 1));
    run(card, "check", "-");
    assertTrue(out.toString().contains("undercut"), out::toString);
    states("guide.md", "`shift turn.pinion 0.34` cures it");
    run(card + "shift turn.pinion 0.34\n", "check", "-");
    assertTrue(!out.toString().matches("(?s).*(error|warning|note) +undercut.*"), out::toString);
  }

  /** A job keeps every train of the scenario, as many as the documents speak of. */
  @Test
  void theDemoHoldsWhatIsSaidOfIt() throws IOException {
    Job demo = TernRock.job();
    assertTrue(demo.sheets().size() >= 10);
    states("format.md", "\"title\": \"%s\"", demo.title());
  }
}
