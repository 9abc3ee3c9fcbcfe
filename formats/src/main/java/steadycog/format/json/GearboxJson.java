package steadycog.format.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import steadycog.cure.Cure;
import steadycog.gearbox.Bill;
import steadycog.gearbox.Build;
import steadycog.gearbox.Build.Whole;
import steadycog.gearbox.Move;
import steadycog.gearbox.Support;

/** Gearboxes as JSON: lengths in mm, masses in grams. */
public final class GearboxJson {
  private GearboxJson() {}

  /**
   * What {@code gearbox --json} prints of one train.
   *
   * @param found what would let it go together
   */
  public static String write(Build build, List<Cure> found) {
    ObjectNode node = JobJson.MAPPER.createObjectNode();
    node.put("why", build.why().isEmpty() ? null : build.why());
    ArrayNode bill = node.putArray("bill");
    ArrayNode leftOut = node.putArray("leftOut");
    ArrayNode supports = node.putArray("supports");
    ArrayNode shafts = node.putArray("shafts");
    ArrayNode order = node.putArray("order");
    ArrayNode problems = node.putArray("problems");
    build
        .box()
        .ifPresent(
            whole -> {
              whole.bill().lines().forEach(line -> add(bill.addObject(), line));
              whole.gearbox().housing().leftOut().forEach(leftOut::add);
              whole.gearbox().supports().forEach(one -> add(supports.addObject(), one));
              whole.gearbox().shafts().forEach(one -> RatingJson.add(shafts.addObject(), one));
              whole.proof().order().forEach(move -> add(order.addObject(), move, whole));
              whole.proof().problems().forEach(problems::add);
            });
    ArrayNode cures = node.putArray("cures");
    found.forEach(cure -> FindingJson.addCure(cures.addObject(), cure));
    node.put("goesTogether", build.goesTogether());
    return PrettyJson.write(node);
  }

  private static void add(ObjectNode node, Bill.Line line) {
    node.put("number", line.number()).put("count", line.count()).put("piece", line.name());
    node.put("size", line.size()).put("bought", line.isBought());
    node.put("material", line.material().map(material -> material.word()).orElse(null));
    JsonValues.putNumber(node, "massG", line.grams());
  }

  private static void add(ObjectNode node, Support support) {
    node.put("member", support.member().toString()).put("in", support.in().toString());
    node.put("fromMm", support.from()).put("toMm", support.to());
    node.put("radiusMm", support.radius()).put("bearing", support.bearing());
  }

  private static void add(ObjectNode node, Move move, Whole whole) {
    node.put("number", whole.bill().of(move.component()).number());
    node.put("piece", move.component().name()).put("count", move.copies().size());
    node.put("way", move.way().says());
  }
}
