package steadycog.format.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import steadycog.rating.Case;
import steadycog.rating.RatedMesh;
import steadycog.rating.RatedTooth;
import steadycog.rating.Rating;
import steadycog.study.WhatIf;
import steadycog.train.Duty.Term;

/** A rating with all its factors, in {@code sheet --json}. */
final class RatingJson {
  private RatingJson() {}

  static void add(ObjectNode node, Rating rating, WhatIf whatIf) {
    for (Term term : Term.values()) {
      node.put(term.word(), rating.duty().value(term));
    }
    node.put("mounting", rating.duty().mountingInForce().word());
    node.put("crowned", rating.duty().crowned());
    ArrayNode teeth = node.putArray("teeth");
    for (RatedMesh mesh : rating.meshes()) {
      for (RatedTooth tooth : mesh.teeth()) {
        add(teeth.addObject(), mesh, tooth);
      }
    }
    ArrayNode more = node.putArray("tenthMoreOf");
    whatIf
        .changes()
        .forEach(change -> more.addObject().put("of", change.input()).put("times", change.times()));
    ArrayNode unrated = node.putArray("unrated");
    rating
        .unrated()
        .forEach(mesh -> unrated.addArray().add(mesh.a().toString()).add(mesh.b().toString()));
  }

  private static void add(ObjectNode node, RatedMesh mesh, RatedTooth tooth) {
    node.put("wheel", tooth.wheel().toString());
    node.putArray("mesh").add(mesh.mesh().a().toString()).add(mesh.mesh().b().toString());
    node.put("faceMm", mesh.face()).put("elasticRootMpa", mesh.elastic());
    node.put("source", tooth.source()).put("bothWays", tooth.bothWays());
    node.put("allowedBendingMpa", tooth.allowedBending());
    node.put("allowedContactMpa", tooth.allowedContact());
    node.put("hardnessRatioFactor", tooth.hardness());
    node.put("bendingFactor", tooth.bendingFactor());
    node.put("contactFactor", tooth.contactFactor());
    node.put("bendingDecides", tooth.bendingDecides().state());
    node.put("contactDecides", tooth.contactDecides().state());
    ArrayNode cases = node.putArray("cases");
    for (Case one : tooth.cases()) {
      ObjectNode each = cases.addObject().put("state", one.state()).put("share", one.share());
      each.put("forceN", one.force()).put("speedMPerS", one.speed());
      each.put("cycles", one.cycles());
      each.put("bendingMpa", one.bending()).put("contactMpa", one.contact());
      each.put("Ko", one.mesh().overload()).put("Kv", one.mesh().dynamic());
      each.put("Ks", one.tooth().size()).put("Km", one.mesh().distribution());
      each.put("KB", one.tooth().rim()).put("KR", one.mesh().reliability());
      each.put("J", one.tooth().bending()).put("I", one.mesh().pitting());
      each.put("Y", one.tooth().form()).put("Kf", one.tooth().concentration());
      each.put("mN", one.mesh().sharing());
    }
  }
}
