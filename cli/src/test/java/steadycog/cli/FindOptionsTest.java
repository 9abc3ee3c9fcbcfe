package steadycog.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.search.Wanted.Field;

/** Options of {@code find} are the fields of what is wanted: each is there and named when wrong. */
class FindOptionsTest extends Shell {
  @ParameterizedTest
  @CsvSource({
    "--stages, 9",
    "--teeth, 2..3",
    "--planets, 0",
    "--per-stage, 0.1",
    "--diameter, 1",
    "--tolerance, wide",
    "--kind, wooden",
    "--rank, beauty",
    "--helix, 8..30",
    "--helix, 60",
    "--distance, far",
    "--target, none",
  })
  void aWrongOptionIsNamedInOneLine(String option, String value) {
    assertEquals(2, run("", "find", "--target", "13/4", option, value));
    assertEquals("", out.toString());
    assertEquals(1, err.toString().lines().count(), err::toString);
    assertTrue(
        err.toString().startsWith("find: " + option + ": ") || err.toString().contains(option),
        err::toString);
  }

  @Test
  void everyFieldIsAnOptionOfTheHelp() {
    assertEquals(0, run("", "find", "--help"));
    for (Field field : Field.values()) {
      if (field != Field.DIRECTION) {
        assertTrue(out.toString().contains("--" + field.key()), field.key());
      }
    }
  }

  @Test
  void everyFormTellsTheSameCandidates() throws Exception {
    List<String> ask = List.of("find", "--target", "13/4", "--kind", "parallel", "--top", "5");
    assertEquals(0, run("", with(ask, "--csv")));
    List<String> lines = out.toString().lines().toList();
    assertEquals(0, run("", with(ask, "--json")));
    JsonNode found = json().get("candidates");
    assertEquals(lines.size() - 1, found.size());
    for (int k = 0; k < found.size(); k++) {
      String card = found.get(k).get("card").asText().strip().lines().findFirst().orElseThrow();
      assertTrue(lines.get(k + 1).contains(card), lines.get(k + 1) + " has " + card);
    }
    assertEquals(0, run("", with(ask)));
    long rows = out.toString().lines().filter(line -> line.contains("parallel")).count();
    assertEquals(found.size(), rows);
  }

  @Test
  void aDistanceIsClosedByAHelixThatTheTableShows() throws Exception {
    List<String> ask =
        List.of(
            "find",
            "--target=3.2",
            "--kind=parallel",
            "--stages=1",
            "--distance=64 mm at 1.5 mm",
            "--top=2");
    assertEquals(0, run("", with(ask)));
    assertTrue(out.toString().contains("helix A 10.1417934 deg"), out::toString);
    assertTrue(out.toString().lines().findFirst().orElseThrow().contains("helix deg"));
    assertEquals(0, run("", with(ask, "--json")));
    assertEquals(10.1417934, json().at("/candidates/0/helixDegrees").asDouble());
    String card = json().at("/candidates/0/card").asText();
    assertEquals(2, run(card, "find", "--near", "-", "--helix", "20"));
    assertTrue(err.toString().contains("--helix: near a train"), err::toString);
  }

  private static String[] with(List<String> ask, String... more) {
    return java.util.stream.Stream.concat(ask.stream(), java.util.Arrays.stream(more))
        .toArray(String[]::new);
  }

  @Test
  void stockMayStandInATable() throws Exception {
    Path table = folder.resolve("own.csv");
    Files.writeString(table, "teeth,pieces\n24,1\n36,2\n72,1\n");
    String[] asked = {"find", "--target", "3", "--kind", "parallel", "--stock", "24, 36x2, 72"};
    assertEquals(0, run("", asked), err::toString);
    String listed = out.toString();
    asked[6] = table.toString();
    assertEquals(0, run("", asked), err::toString);
    assertEquals(listed, out.toString());
    Files.writeString(table, "teeth,pieces\n24,none\n");
    assertEquals(2, run("", asked));
    assertTrue(err.toString().contains("own.csv:2:1: '24 none'"), err.toString());
    asked[6] = folder.resolve("no.xlsx").toString();
    assertEquals(2, run("", asked));
    assertTrue(err.toString().contains("no such file"), err.toString());
  }

  @Test
  void candidatesGoIntoAWorkbookThatIsReadAsATable() throws Exception {
    Path book = folder.resolve("found.xlsx");
    String[] asked = {"find", "--target", "13/4", "--kind", "planetary", "--top", "5", "--to", ""};
    asked[8] = book.toString();
    assertEquals(0, run("", asked), err::toString);
    assertEquals("", out.toString());
    assertEquals(0, run("", "solve", book.toString(), "--json"), err::toString);
    assertEquals(5, json().get("trains").size());
    json()
        .get("trains")
        .forEach(one -> assertTrue(one.get("ratio").asText().matches("-?13/4"), one::toString));
    asked[8] = folder.resolve("found.pdf").toString();
    assertEquals(2, run("", asked));
    assertTrue(err.toString().contains(".xlsx"), err.toString());
    for (String other : List.of("--json", "--csv", "--lines", "--near=none.txt")) {
      String[] both = {"find", "--target", "13/4", "--to", book.toString(), other};
      assertEquals(2, run("", both), other);
      assertTrue(err.toString().contains("in place of all else"), err.toString());
    }
    asked[8] = folder.resolve("none/found.xlsx").toString();
    assertEquals(2, run("", asked));
    assertTrue(err.toString().contains("cannot be written"), err.toString());
  }
}
