package steadycog.format.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import steadycog.check.Finding;
import steadycog.cure.Advice;
import steadycog.cure.Cure;
import steadycog.cure.PutRight;
import steadycog.notation.Card;
import steadycog.notation.CardPrinter;
import steadycog.number.Ratio;

/** Findings and what cures them as JSON. */
public final class FindingJson {
  private FindingJson() {}

  static void addFindings(ObjectNode node, List<Advice> all) {
    ArrayNode list = node.putArray("findings");
    for (Advice advice : all) {
      ArrayNode cures = add(list, advice.finding(), advice.fix()).putArray("cures");
      advice.cures().forEach(cure -> addCure(cures.addObject(), cure));
    }
  }

  /** The same where no cures have been looked for. */
  static void addUncured(ObjectNode node, List<Finding> all) {
    ArrayNode list = node.putArray("findings");
    all.forEach(finding -> add(list, finding, finding.remedy()).putNull("cures"));
  }

  private static ObjectNode add(ArrayNode list, Finding finding, Optional<String> fix) {
    ObjectNode each = list.addObject();
    each.put("code", finding.code()).put("severity", finding.severity().word());
    ArrayNode members = each.putArray("members");
    finding.members().forEach(member -> members.add(member.toString()));
    each.put("message", finding.message());
    ObjectNode values = each.putObject("values");
    for (Map.Entry<String, String> value : finding.values().entrySet()) {
      JsonValues.putValue(values, value.getKey(), value.getValue());
    }
    return each.put("fix", fix.orElse(null));
  }

  static void addCure(ObjectNode node, Cure cure) {
    node.put("change", cure.change());
    node.put("card", CardPrinter.print(cure.train()));
    addConsequences(node, cure);
  }

  private static void addConsequences(ObjectNode node, Cure cure) {
    JsonValues.putExact(node, "ratio", cure.ratio().map(Ratio::reduction));
    JsonValues.putNumber(node, "ratioChange", cure.ratioChange());
    addCodes(node, "clears", cure.clears());
    addCodes(node, "brings", cure.brings());
  }

  /** The codes of findings, each once, and beside them whom each concerns. */
  private static void addCodes(ObjectNode node, String name, List<Finding.Key> keys) {
    ArrayNode codes = node.putArray(name);
    keys.stream().map(Finding.Key::code).distinct().forEach(codes::add);
    ArrayNode members = node.putArray(name + "Members");
    for (Finding.Key key : keys) {
      ObjectNode each = members.addObject().put("code", key.code());
      ArrayNode ids = each.putArray("members");
      key.members().forEach(member -> ids.add(member.toString()));
    }
  }

  /** What {@code cure --json} prints: of {@code card}, what was found to put it right. */
  public static String cure(Card card, PutRight.Outcome outcome) {
    ObjectNode root = JobJson.MAPPER.createObjectNode().put("sound", outcome.isSound());
    root.put("searched", outcome.searched());
    root.put("change", outcome.cure().map(Cure::change).orElse(null));
    root.put(
        "card",
        outcome.isSound()
            ? outcome.cure().map(cure -> card.revised(cure.train()).text()).orElse(card.text())
            : null);
    outcome.cure().ifPresent(cure -> addConsequences(root, cure));
    ArrayNode still = root.putArray("still");
    outcome.still().stream().map(Finding::code).distinct().forEach(still::add);
    ArrayNode left = root.putArray("left");
    outcome
        .left()
        .ifPresent(
            finding ->
                left.addObject()
                    .put("code", finding.code())
                    .put("message", finding.message())
                    .put("fix", finding.remedy().orElse(null)));
    return PrettyJson.write(root);
  }
}
