package steadycog.format.json;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import steadycog.notation.Card;
import steadycog.study.NamedStudy;
import steadycog.study.Study;

class StudyJsonTest {
  private static final List<String> FIELDS =
      List.of(
          "status",
          "ratio",
          "trainValue",
          "direction",
          "mode",
          "torques",
          "efficiency",
          "backDrivable",
          "backEfficiency",
          "circulation",
          "members",
          "meshes",
          "floating",
          "conflict",
          "findings");

  private static JsonNode solve(String card) throws Exception {
    Study study = Study.of(Card.read(card).train());
    return JobJson.MAPPER.readTree(
        StudyJson.solve(List.of(new NamedStudy("x", study, Optional.empty()))));
  }

  @Test
  void theDomeRotatorAsScriptsReadIt() throws Exception {
    JsonNode node =
        solve("parallel 18 ~ 72 = 20 ~ 80 = 17 ~ 136\ndrive A 1500 rpm 0.4 Nm\ntake F\n");
    assertEquals("-128", node.get("ratio").asText());
    assertEquals("-1/128", node.get("trainValue").asText());
    assertEquals("opposite", node.get("direction").asText());
    assertEquals("reverse-underdrive", node.get("mode").asText());
    assertEquals("determined", node.get("torques").asText());
    JsonNode last = node.get("members").get(5);
    assertEquals("-375/32", last.get("speed").asText());
    assertEquals(51.2, last.get("idealTorqueNm").asDouble(), 1e-12);
    assertEquals(51.2 * Math.pow(0.985, 3), last.get("torqueNm").asDouble(), 1e-12);
    double sum = 0;
    for (JsonNode member : node.get("members")) {
      sum += member.get("powerW").asDouble();
    }
    assertEquals(node.get("lossW").asDouble(), sum, 1e-12);
    assertEquals(Math.pow(0.985, 3), node.get("efficiency").asDouble(), 1e-12);
    assertTrue(node.get("backDrivable").asBoolean());
    assertEquals("18", node.get("meshes").get(0).get("teethPassed").asText());
    JsonNode third = node.get("meshes").get(2);
    assertEquals("assumed", third.get("efficiencySource").asText());
    assertEquals(
        -node.get("members").get(5).get("powerW").asDouble(),
        third.get("powerW").asDouble() * third.get("efficiency").asDouble(),
        1e-9);
  }

  @Test
  void everyFieldIsThereWhateverTheTrainDoes() throws Exception {
    for (String card :
        List.of(
            "parallel 20 ~ 40",
            "parallel 20 ~ 40\ndrive A\nhold B",
            "parallel 20",
            "p: parallel 20 ~ 40\nq: parallel 20 ~ 30\ndrive p.A 2 rad/s\ndrive q.A\ntake q.B")) {
      JsonNode node = solve(card);
      List<String> names = new ArrayList<>();
      node.fieldNames().forEachRemaining(names::add);
      assertTrue(names.containsAll(FIELDS), card + " " + names);
      for (JsonNode member : node.get("members")) {
        assertTrue(member.has("speed") && member.has("torqueNm") && member.has("powerW"));
        assertTrue(member.get("relativeToCarrier").isNull());
      }
    }
    assertEquals("jammed", solve("parallel 20 ~ 40\ndrive A\nhold B").get("status").asText());
    assertEquals(
        "hold B", solve("parallel 20 ~ 40\ndrive A\nhold B").get("conflict").get(1).asText());
  }
}
