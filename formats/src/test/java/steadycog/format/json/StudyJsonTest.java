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

  /** The contract's example: the handbook's set of 85 and what is offered for its rows. */
  @Test
  void everyFindingCarriesCuresAsScriptsExpectThem() throws Exception {
    JsonNode node =
        solve("planetary sun 12/- planet 18=18 x3 ring 48/51\ndrive sun\nhold ring1\ntake ring2\n");
    for (JsonNode finding : node.get("findings")) {
      assertTrue(finding.get("cures").isArray(), finding.toString());
      for (JsonNode cure : finding.get("cures")) {
        List<String> names = new ArrayList<>();
        cure.fieldNames().forEachRemaining(names::add);
        assertEquals(
            List.of(
                "change",
                "card",
                "ratio",
                "ratioChange",
                "clears",
                "clearsMembers",
                "brings",
                "bringsMembers"),
            names);
        double now = Card.read(cure.get("card").asText()).train().parts().isEmpty() ? 0 : 1;
        assertEquals(1, now);
        assertTrue(cure.get("ratio").isTextual() && cure.get("ratioChange").isNumber());
      }
    }
    assertEquals("85", node.at("/findings/0/cures/0/ratio").asText());
    assertEquals(0, node.at("/findings/0/cures/0/ratioChange").asDouble());
  }

  @Test
  void curesOfAStateKeepAllStates() throws Exception {
    Card card =
        Card.read(
            """
            planetary sun 17 planet 17 x4 ring 51
            drive sun
            state low: hold ring; take carrier
            state back: hold carrier; take ring
            """);
    JsonNode node =
        JobJson.MAPPER.readTree(
            StudyJson.check(List.of(NamedStudy.of("x", card.train())), true, Layout.PAGE));
    assertEquals(2, node.get("states").size());
    for (JsonNode state : node.get("states")) {
      JsonNode cure = state.at("/findings/0/cures/0");
      Card cured = Card.read(cure.get("card").asText());
      assertEquals(2, cured.train().shifts().states().size(), cure.toString());
      assertEquals(card.train().roles(), cured.train().roles());
    }
    assertEquals("4", node.at("/states/0/findings/0/cures/0/ratio").asText());
    assertEquals("-3", node.at("/states/1/findings/0/cures/0/ratio").asText());
  }

  @Test
  void aTrainWithoutARatioHasCuresWithoutOne() throws Exception {
    JsonNode node = solve("planetary sun 17 planet 17 x4 ring 51\n");
    for (JsonNode finding : node.get("findings")) {
      for (JsonNode cure : finding.get("cures")) {
        boolean roles = cure.get("change").asText().startsWith("drive");
        assertEquals(roles, cure.get("ratio").isTextual(), cure.toString());
        assertTrue(cure.get("ratioChange").isNull());
      }
    }
  }
}
