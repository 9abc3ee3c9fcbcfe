package steadycog.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Many cards in one call, a line of JSON each. */
class ManyCardsTest extends Shell {
  private static final ObjectMapper MAPPER = new ObjectMapper();
  private static final String SOUND = "parallel 20 ~ 43\nmodule 1 mm\ndrive A 100 rpm\ntake B\n";
  private static final String BAD = "planetary sun 24 planet 15 x3 ring 55\nhold ring\n";
  private static final String BROKEN = "# first line\nparallel 20 ~ 4x\n";

  private List<JsonNode> lines() throws IOException {
    List<JsonNode> all = new ArrayList<>();
    for (String line : out.toString().split("\n")) {
      all.add(MAPPER.readTree(line));
    }
    return all;
  }

  /** What is said of each is what is said of it alone, in the order given. */
  @ParameterizedTest
  @ValueSource(strings = {"solve", "check"})
  void everyLineHoldsWhatTheCommandSaysOfThatCardAlone(String command) throws IOException {
    Path sub = Files.createDirectories(folder.resolve("cards/sub"));
    Path a = Files.writeString(folder.resolve("cards/a.txt"), SOUND);
    Path b = Files.writeString(folder.resolve("cards/b.TXT"), BAD);
    Path c = sub.resolve("c.cog.json");
    Files.writeString(folder.resolve("cards/notes.md"), "no card");
    assertEquals(0, run(SOUND, "export", "-", "--to", c.toString()), err::toString);
    Path stream = Files.writeString(folder.resolve("s"), BAD + " ---\n---\n" + SOUND + "-----\n");
    int code =
        run(
            "",
            command,
            a.toString(),
            folder.resolve("cards").toString(),
            stream.toString(),
            "--lines",
            "--cures");
    assertEquals(1, code, err::toString);
    List<JsonNode> lines = lines();
    List<String> cards = List.of(SOUND, SOUND, BAD, SOUND, BAD, SOUND);
    assertEquals(
        List.of(a, a, b, c, stream, stream).toString(),
        lines.stream().map(line -> line.get("source").asText()).toList().toString());
    for (int k = 0; k < cards.size(); k++) {
      assertEquals(run(cards.get(k), command, "-", "--json"), lines.get(k).get("exit").asInt());
      assertEquals(json(), lines.get(k).get("result"));
      assertEquals(k == 5 ? 2 : 1, lines.get(k).get("card").asInt());
      assertTrue(lines.get(k).get("error").isNull());
    }
    run(BAD, command, "-", "--lines");
    JsonNode plain = lines().getFirst().get("result");
    run(BAD, command, "-", "--lines", "--cures");
    JsonNode cured = lines().getFirst().get("result");
    assertEquals(cured.get("findings").size(), plain.get("findings").size());
    for (JsonNode finding : plain.get("findings")) {
      assertTrue(finding.get("cures").isNull(), "not looked for");
    }
    for (JsonNode result : List.of(plain, cured)) {
      result.get("findings").forEach(one -> ((ObjectNode) one).remove(List.of("cures", "fix")));
    }
    assertEquals(cured, plain);
  }

  /** One that cannot be read says so in its place, and the rest are answered. */
  @Test
  void whatCannotBeReadStopsNothing() throws IOException {
    Path none = folder.resolve("none.txt");
    Path empty = Files.createDirectories(folder.resolve("empty"));
    int code =
        run(SOUND + "---\n" + BROKEN, "solve", "-", none.toString(), empty.toString(), "--lines");
    assertEquals(2, code);
    List<JsonNode> lines = lines();
    assertEquals(3, lines.size());
    assertEquals("43/20", lines.get(0).at("/result/ratio").asText().replace("-", ""));
    JsonNode error = lines.get(1).get("error");
    assertEquals(SOUND.lines().count() + 3, error.get("line").asInt(), "in the whole stream");
    assertTrue(error.get("message").asText().contains("4x") && error.get("column").asInt() > 1);
    assertEquals(2, lines.get(1).get("exit").asInt());
    assertTrue(lines.get(1).get("result").isNull());
    assertTrue(lines.get(2).at("/error/message").asText().contains("cannot be read"));
    assertEquals("", err.toString());
  }

  @Test
  void searchesNearManyCards() throws IOException {
    Path cards = Files.writeString(folder.resolve("c.txt"), SOUND + "---\n" + BROKEN);
    String[] find = {"find", "--target", "2", "--near", cards.toString(), "--near", "-", "--lines"};
    assertEquals(2, run(SOUND, find));
    List<JsonNode> lines = lines();
    assertEquals(3, lines.size());
    assertEquals(0, run(SOUND, "find", "--target", "2", "--near", "-", "--json"));
    assertEquals(json(), lines.get(0).get("result"));
    assertEquals(json(), lines.get(2).get("result"));
    assertEquals(2, lines.get(1).get("exit").asInt());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "solve - x.txt",
        "solve - --lines --json",
        "solve - --lines --units in",
        "solve - --lines --working",
        "check - --cures",
        "find --target 2 --near - --near -",
        "find --target 2 --lines",
        "find --target 2 --near - --lines --json"
      })
  void whatDoesNotGoTogetherIsRefusedInOneLine(String line) {
    assertEquals(2, run(SOUND, line.split(" ")), line);
    assertEquals("", out.toString());
    assertEquals(1, err.toString().lines().count(), err::toString);
  }

  /** A row that cannot be read leaves the others as they are. */
  @Test
  void everyRowOfATableIsJudgedAsItsCard() throws IOException {
    Path table = folder.resolve("t.csv");
    Files.writeString(
        table, "sun,planet,ring,hold\n24,15,54,ring\n24,15,60,ring\nx,15,54,\n24,15,x,\n");
    assertEquals(2, run("", "check", table.toString(), "--lines"));
    List<JsonNode> lines = lines();
    assertEquals(
        List.of(0, 1, 2, 2), lines.stream().map(line -> line.get("exit").asInt()).toList());
    assertEquals(5, lines.get(3).at("/error/line").asInt());
    assertTrue(lines.get(1).get("result").toString().contains("\"pitch-fit\""));
    Files.writeString(table, "sun,planet,ring\n24,15,54\n24,15,60\n");
    assertEquals(1, run("", "check", table.toString()));
    assertTrue(out.toString().contains("== t 2 =="), out.toString());
  }
}
