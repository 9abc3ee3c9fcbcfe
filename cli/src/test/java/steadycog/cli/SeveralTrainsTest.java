package steadycog.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.format.demo.TernRock;
import steadycog.format.file.JobFiles;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;

/** Of a job of several trains every command says what it says of each alone. */
class SeveralTrainsTest extends Shell {
  private static final List<String> NAMES =
      List.of("Mirror-cover winch", "Azimuth axis", "Shutter winch");

  private Path job;

  @BeforeEach
  void saveAJob() throws IOException {
    List<Sheet> sheets =
        TernRock.job().sheets().stream().filter(s -> NAMES.contains(s.name())).toList();
    job = folder.resolve("three.cog.json");
    JobFiles.save(new Job("Three", sheets), 0, job);
  }

  private String told(String command, String... more) {
    List<String> all = new ArrayList<>(List.of(command.split(" ")));
    all.add(1, job.toString());
    all.addAll(List.of(more));
    assertTrue(run("", all.toArray(String[]::new)) < 2, err::toString);
    return out.toString();
  }

  @ParameterizedTest
  @ValueSource(strings = {"solve", "check", "board", "cure"})
  void jsonOfAllIsThatOfEachInAFrame(String command) throws IOException {
    told(command, "--json");
    JsonNode all = json().get("trains");
    assertEquals(NAMES.size(), all.size());
    for (JsonNode framed : all) {
      String name = framed.get("train").asText();
      told(command, "--train", name, "--json");
      ObjectNode own = ((ObjectNode) framed).deepCopy();
      own.remove("train");
      assertEquals(json(), own, name);
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"solve", "check", "board", "plan --find"})
  void textOfAllHasThatOfEachUnderItsName(String command) {
    String all = told(command);
    for (String name : NAMES) {
      assertTrue(all.contains("== " + name), name);
      String own = told(command, "--train", name);
      String last =
          own.lines()
              .filter(l -> l.startsWith("reduction") || l.contains(" : "))
              .findFirst()
              .orElse("");
      assertTrue(all.contains(last), last);
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"board", "sheet"})
  void tablesOfAllNameTheTrainOfEveryLine(String command) {
    String all = told(command, "--csv");
    long lines = all.lines().count() - 1;
    long each = 0;
    for (String name : NAMES) {
      each += told(command, "--train", name, "--csv").lines().count() - 1;
      assertTrue(all.contains("\n" + name + ","), name);
    }
    assertEquals(each, lines);
  }

  /** Names need not differ: what is told of one does not take the place of the other. */
  @ParameterizedTest
  @ValueSource(strings = {"solve", "check", "board", "cure"})
  void twoTrainsOfOneNameAreBothTold(String command) throws Exception {
    List<Sheet> twins = new ArrayList<>();
    for (String card : List.of("parallel 20 ~ 40\n", "parallel 20 ~ 50\n")) {
      twins.add(Sheet.of("Twin", Card.read(card)));
    }
    JobFiles.save(new Job("Twins", twins), 0, job);
    String text = told(command);
    assertTrue(text.contains("Twin"), text);
    told(command, "--json");
    assertEquals(2, json().get("trains").size());
    if (command.equals("board")) {
      assertEquals(1 + 2 * 2, told(command, "--csv").lines().count());
      assertEquals(2, text.split("== Twin ==", -1).length - 1);
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"solve", "board", "check", "cure", "plan", "sheet", "bench"})
  void aTrainThatIsNotThereIsRefusedWithTheNamesThatAre(String command) {
    assertEquals(2, run("", command, job.toString(), "--train", "Tender"));
    assertEquals("", out.toString());
    NAMES.forEach(name -> assertTrue(err.toString().contains(name), err::toString));
  }
}
