package steadycog.format.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import steadycog.rating.Case;
import steadycog.rating.FlexWall;
import steadycog.rating.RatedMesh;
import steadycog.rating.RatedShaft;
import steadycog.rating.RatedTooth;
import steadycog.rating.Rating;
import steadycog.rating.ShaftRating;
import steadycog.study.WhatIf;
import steadycog.train.BallBearing;
import steadycog.train.Duty.Term;
import steadycog.train.MemberId;

/** A rating with all its factors, in {@code sheet --json}. */
final class RatingJson {
  private RatingJson() {}

  static void add(ObjectNode node, Rating rating, ShaftRating shafts, WhatIf whatIf) {
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
    ArrayNode all = node.putArray("shafts");
    shafts.shafts().forEach(shaft -> add(all.addObject(), shaft));
    ArrayNode walls = node.putArray("flexsplines");
    for (FlexWall wall : shafts.walls()) {
      ObjectNode each = walls.addObject().put("flex", wall.flex().toString());
      each.put("stressMpa", wall.stress()).put("allowedMpa", wall.allowed());
      each.put("allowedStated", wall.stated()).put("cycles", wall.cycles());
    }
    ArrayNode others = node.putArray("unratedShafts");
    shafts.unrated().forEach(member -> others.add(member.toString()));
    ArrayNode unrated = node.putArray("unrated");
    rating
        .unrated()
        .forEach(mesh -> unrated.addArray().add(mesh.a().toString()).add(mesh.b().toString()));
  }

  static void add(ObjectNode node, RatedShaft shaft) {
    node.put("of", shaft.member().toString()).put("pin", shaft.pin());
    ArrayNode wheels = node.putArray("wheels");
    shaft.wheels().forEach(wheel -> wheels.add(wheel.toString()));
    node.put("firstBearingMm", shaft.held().first());
    node.put("secondBearingMm", shaft.held().second());
    node.put("bearingsStated", shaft.held().stated());
    node.put("firstBearingN", shaft.onFirst()).put("secondBearingN", shaft.onSecond());
    node.put("thrustN", shaft.thrust()).put("decides", shaft.worst().state());
    node.put("worstAt", shaft.worst().wheel().map(MemberId::toString).orElse(null));
    node.put("bendingNmm", shaft.worst().bending()).put("torqueNmm", shaft.worst().torque());
    node.put("factorWanted", shaft.wanted()).put("leastMm", shaft.least());
    node.put("diameterMm", shaft.made().map(RatedShaft.Made::diameter).orElse(null));
    node.put("diameterStated", shaft.made().map(RatedShaft.Made::stated).orElse(null));
    node.put("factor", shaft.made().map(RatedShaft.Made::factor).orElse(null));
    node.put("bearing", shaft.bearing().map(BallBearing::name).orElse(null));
    node.put("bearingStated", shaft.bearingStated());
    if (shaft.life().isPresent()) {
      RatedShaft.Life life = shaft.life().get();
      ObjectNode bearing = node.putObject("bearingLife");
      bearing.put("ratingN", life.rating()).put("loadN", life.load()).put("rpm", life.rpm());
      bearing.put("hours", life.hours()).put("wanted", life.wanted());
    } else {
      node.putNull("bearingLife");
    }
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
