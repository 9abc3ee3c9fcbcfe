package steadycog.format.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import steadycog.notation.Card;
import steadycog.study.SizeChoices;
import steadycog.study.SizeChoices.Choice;

/** What {@code size --json} prints; every choice's card is whole. */
public final class SizeJson {
  private SizeJson() {}

  public static String write(SizeChoices found, Card card) {
    ObjectNode root = JobJson.MAPPER.createObjectNode();
    ArrayNode list = root.putArray("choices");
    found.choices().forEach(choice -> add(list.addObject(), choice, card));
    if (found.nearest().isPresent()) {
      add(root.putObject("nearest"), found.nearest().get(), card);
    } else {
      root.putNull("nearest");
    }
    return PrettyJson.write(root);
  }

  private static void add(ObjectNode node, Choice choice, Card card) {
    node.put("card", card.revised(choice.train()).text());
    node.put("pitch", choice.pitch().statement());
    node.put("moduleMm", choice.pitch().moduleMm().doubleValue());
    node.put("faceMm", choice.face());
    node.put("diameterMm", choice.diameter());
    node.put("distanceMm", choice.distance());
    node.put("massKg", choice.mass());
    node.put("bending", choice.bending());
    node.put("contact", choice.contact());
    node.put("weakest", choice.weakest().tooth().wheel().toString());
    node.put("by", choice.weakest().contact() ? "contact" : "bending");
    node.put("margin", choice.weakest().margin() - 1);
  }
}
