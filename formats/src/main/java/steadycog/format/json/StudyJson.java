package steadycog.format.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import org.jspecify.annotations.Nullable;
import steadycog.cure.Advice;
import steadycog.job.TrainText;
import steadycog.motion.Motion;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.notation.CardPrinter;
import steadycog.number.AngularSpeed;
import steadycog.number.Mode;
import steadycog.number.Unit;
import steadycog.search.StateHunt;
import steadycog.search.StateHunt.FoundState;
import steadycog.search.StateHunt.FoundStates;
import steadycog.study.ConfigurationBoard;
import steadycog.study.NamedStudy;
import steadycog.study.ShiftTable;
import steadycog.study.Study;
import steadycog.study.TorqueWorking;
import steadycog.torque.MeshEfficiency;
import steadycog.torque.Torques;
import steadycog.train.Element;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.State;
import steadycog.train.Teeth;

/**
 * Results as JSON, for scripts. Exact numbers are strings ({@code "-7/2"}), rounded ones numbers; a
 * field that does not apply is null, never missing. Speeds are in the unit of the first drive.
 */
public final class StudyJson {
  private StudyJson() {}

  /**
   * What {@code solve --json} prints: the object of one train, or of several under "trains"; of a
   * train with states an object for each under "states", and what is to be said of them together.
   */
  public static String solve(List<NamedStudy> trains) {
    return solve(trains, true, Layout.PAGE);
  }

  /**
   * The same with or without a look for cures, which costs far more than all else.
   *
   * @param cures else they are null
   */
  public static String solve(List<NamedStudy> trains, boolean cures, Layout layout) {
    return layout.write(each(trains, named -> study(named, cures)));
  }

  /** What {@code check --json} prints: the findings alone, in the same frame. */
  public static String check(List<NamedStudy> trains, boolean cures, Layout layout) {
    return layout.write(
        each(trains, named -> findings(JobJson.MAPPER.createObjectNode(), named, cures)));
  }

  private static ObjectNode findings(ObjectNode node, NamedStudy named, boolean cures) {
    if (cures) {
      FindingJson.addFindings(node, named.advice());
    } else {
      FindingJson.addUncured(node, named.findings());
    }
    return node;
  }

  /**
   * The one object as it is, or those of several trains in one frame.
   *
   * @param objects JSON, one a train
   */
  public static String eachTrain(List<TrainText> objects) {
    if (objects.size() == 1) {
      return objects.getFirst().text();
    }
    ObjectNode root = JobJson.MAPPER.createObjectNode();
    ArrayNode list = root.putArray("trains");
    for (TrainText one : objects) {
      ObjectNode node = list.addObject().put("train", one.train());
      try {
        node.setAll((ObjectNode) JobJson.MAPPER.readTree(one.text()));
      } catch (JsonProcessingException impossible) {
        throw new IllegalArgumentException("no JSON of " + one.train(), impossible);
      }
    }
    return PrettyJson.write(root);
  }

  /** What {@code board --json} prints. */
  public static String board(ConfigurationBoard board) {
    ObjectNode root = JobJson.MAPPER.createObjectNode();
    ArrayNode list = root.putArray("configurations");
    for (ConfigurationBoard.Row row : board.rows()) {
      Configuration one = row.configuration();
      ObjectNode node = list.addObject().put("drive", one.drive().toString());
      node.put("hold", one.heldText().orElse(null));
      node.put("take", one.take().toString());
      node.put("lock", one.lock().map(lock -> lock.a() + " = " + lock.b()).orElse(null));
      JsonValues.putExact(node, "ratio", Optional.of(one.ratio().reduction()));
      JsonValues.putExact(node, "trainValue", Optional.of(one.ratio().trainValue()));
      node.put("mode", one.ratio().mode().word());
      JsonValues.putExact(node, "reactionTorque", row.reaction());
      node.put("seldomUseful", row.seldom());
      node.put("powerFlow", row.eachWay().verdict().word());
      JsonValues.putNumber(node, "efficiency", row.eachWay().efficiency());
      LoadingJson.addBackwards(node, Optional.of(row.eachWay().backwards()));
    }
    return PrettyJson.write(root);
  }

  private interface Content {
    ObjectNode of(NamedStudy study);
  }

  private static ObjectNode each(List<NamedStudy> trains, Content content) {
    if (trains.size() == 1) {
      return one(trains.getFirst(), content);
    }
    ObjectNode root = JobJson.MAPPER.createObjectNode();
    ArrayNode list = root.putArray("trains");
    for (NamedStudy train : trains) {
      ObjectNode node = list.addObject().put("train", train.name());
      node.setAll(one(train, content));
    }
    return root;
  }

  private static ObjectNode one(NamedStudy train, Content content) {
    return train
        .plan()
        .map(plan -> plan(plan, train.each(), content))
        .orElseGet(() -> content.of(train));
  }

  private static ObjectNode plan(ShiftTable plan, List<NamedStudy> named, Content content) {
    ObjectNode root = JobJson.MAPPER.createObjectNode();
    ArrayNode states = root.putArray("states");
    for (NamedStudy one : named) {
      ShiftTable.Row row = one.row().orElseThrow();
      ObjectNode node = states.addObject().put("state", row.state().name());
      ArrayNode engaged = node.putArray("engaged");
      for (int k = 0; k < plan.elements().size(); k++) {
        Element element = plan.elements().get(k);
        if (row.state().engaged().contains(element)) {
          ObjectNode on = engaged.addObject().put("element", element.toString());
          JsonValues.putNumber(on, "torqueNm", row.torques().get(k).map(BigFraction::doubleValue));
        }
      }
      JsonValues.putExact(node, "stepToNext", row.step());
      node.put("changesToNext", row.changes());
      node.put("fastest", row.fastest().map(fastest -> fastest.member().toString()).orElse(null));
      JsonValues.putExact(node, "fastestTimesInput", row.fastest().map(Motion.Fastest::times));
      node.put("overspeed", row.overspeed());
      node.setAll(content.of(one));
    }
    JsonValues.putExact(root, "spread", plan.spread());
    FindingJson.addFindings(root, plan.findings().stream().map(Advice::of).toList());
    return root;
  }

  /** What {@code plan --find --json} prints. */
  public static String found(FoundStates found, List<State> proposed) {
    ObjectNode root = JobJson.MAPPER.createObjectNode();
    ArrayNode states = root.putArray("found");
    for (FoundState state : found.states()) {
      ObjectNode node = states.addObject();
      JsonValues.putExact(node, "ratio", Optional.of(state.ratio().reduction()));
      node.put("mode", state.ratio().mode().word());
      ArrayNode ways = node.putArray("ways");
      for (StateHunt.Way way : state.ways()) {
        ObjectNode each = ways.addObject();
        ArrayNode engaged = each.putArray("engaged");
        way.engaged().forEach(element -> engaged.add(element.toString()));
        each.put("floats", way.floats());
        JsonValues.putExact(each, "fastestTimesInput", Optional.of(way.fastest()));
      }
    }
    ArrayNode lines = root.putArray("proposed");
    proposed.forEach(state -> lines.add(CardPrinter.print(state)));
    root.put("examined", found.examined());
    root.put("jammed", found.jammed());
    root.put("neutral", found.neutral());
    root.put("whole", found.whole());
    return PrettyJson.write(root);
  }

  private static ObjectNode study(NamedStudy named, boolean cures) {
    Study study = named.study();
    ObjectNode node = JobJson.MAPPER.createObjectNode();
    Motion motion = study.motion();
    node.put("freedoms", motion.freedoms());
    node.put("status", motion.status().name().toLowerCase(Locale.ROOT));
    JsonValues.putExact(node, "ratio", study.ratio().map(ratio -> ratio.reduction()));
    JsonValues.putExact(node, "trainValue", study.ratio().map(ratio -> ratio.trainValue()));
    node.put(
        "direction",
        study.ratio().map(ratio -> ratio.sameDirection() ? "same" : "opposite").orElse(null));
    node.put("mode", study.mode().map(Mode::word).orElse(null));
    node.put("torques", torquesWord(study.torques().status()));
    LoadingJson.addLosses(node, study);
    JsonValues.putNumber(node, "circulation", study.circulation());
    JsonValues.putNumber(node, "circulationWithLosses", study.circulationWithLosses());

    Unit unit = speedUnit(motion);
    node.put("speedUnit", unit.symbol());
    ArrayNode members = node.putArray("members");
    Optional<TorqueWorking> working = study.torqueWorking();
    study.train().members().stream()
        .filter(member -> body(study, member.id()).equals(member.id()))
        .forEach(member -> addMember(members, study, working, member, unit));
    addMeshes(node.putArray("meshes"), study);
    LoadingJson.addTwoInputs(node, study);
    LoadingJson.addFeedback(node, study);
    ArrayNode floating = node.putArray("floating");
    motion.floating().stream()
        .map(member -> body(study, member))
        .distinct()
        .forEach(member -> floating.add(member.toString()));
    ArrayNode conflict = node.putArray("conflict");
    motion.conflict().forEach(cause -> conflict.add(cause.toString()));
    return findings(node, named, cures);
  }

  private static Unit speedUnit(Motion motion) {
    return motion.mechanism().roles().drives().stream()
        .findFirst()
        .map(drive -> drive.statedSpeed().unit())
        .orElse(Unit.RPM);
  }

  private static @Nullable String torquesWord(Torques.Status status) {
    return status == Torques.Status.NONE ? null : status.name().toLowerCase(Locale.ROOT);
  }

  /** Every torque on the member and what puts it there; null where not all of them follow. */
  private static void addActing(ObjectNode node, Optional<TorqueWorking> working, MemberId id) {
    if (working.isEmpty()) {
      node.putNull("acting");
      return;
    }
    ArrayNode acting = node.putArray("acting");
    working.get().of(id).stream()
        .flatMap(balance -> balance.shares().stream())
        .forEach(
            share ->
                acting
                    .addObject()
                    .put("from", share.from())
                    .put("torqueNm", share.torque().doubleValue()));
  }

  private static void addMember(
      ArrayNode members, Study study, Optional<TorqueWorking> working, Member member, Unit unit) {
    MemberId id = member.id();
    ObjectNode node = members.addObject().put("name", id.toString());
    node.put("teeth", member.teeth().map(teeth -> teeth.count()).orElse(null));
    node.put("internal", member.teeth().map(teeth -> teeth.internal()).orElse(null));
    node.put("teethRow2", teethRow2(study, id).orElse(null));
    node.put("role", study.role(id).word());
    Optional<AngularSpeed> speed = study.motion().speed(id);
    JsonValues.putExact(node, "speed", speed.flatMap(known -> known.exactIn(unit)));
    JsonValues.putNumber(node, "speedRpm", speed.map(AngularSpeed::inRpm));
    JsonValues.putExact(node, "turnsPerInputTurn", study.motion().turnsPerInputTurn(id));
    JsonValues.putNumber(
        node, "torqueNm", study.torques().external(id).map(BigFraction::doubleValue));
    JsonValues.putNumber(
        node, "idealTorqueNm", study.loading().ideal().external(id).map(BigFraction::doubleValue));
    addActing(node, working, id);
    JsonValues.putNumber(node, "powerW", study.power(id));
    JsonValues.putExact(node, "toolPasses", study.toolPasses(id));
    JsonValues.putNumber(
        node, "carriedNm", study.torques().carried(id).map(BigFraction::doubleValue));
    Optional<AngularSpeed> relative = study.relativeToCarrier(id);
    JsonValues.putExact(node, "relativeToCarrier", relative.flatMap(known -> known.exactIn(unit)));
  }

  /** The member whose name a wheel's body goes by: both rows of a planet are one member. */
  private static MemberId body(Study study, MemberId wheel) {
    return study.train().partOf(wheel).body(wheel);
  }

  /** The teeth of a body's wheel in the second row, where it has one in the first as well. */
  private static Optional<Integer> teethRow2(Study study, MemberId id) {
    return study.train().members().stream()
        .filter(wheel -> !wheel.id().equals(id) && body(study, wheel.id()).equals(id))
        .findFirst()
        .flatMap(Member::teeth)
        .map(Teeth::count);
  }

  private static void addMeshes(ArrayNode meshes, Study study) {
    List<Mesh> all = study.train().meshes();
    for (int k = 0; k < all.size(); k++) {
      Mesh mesh = all.get(k);
      ObjectNode node = meshes.addObject();
      node.putArray("between")
          .add(body(study, mesh.a()).toString())
          .add(body(study, mesh.b()).toString());
      JsonValues.putExact(node, "teethPassed", study.teethPassed(mesh));
      JsonValues.putNumber(node, "powerW", study.meshPower(k));
      JsonValues.putNumber(node, "idealPowerW", study.idealMeshPower(k));
      MeshEfficiency efficiency = study.loading().flow().meshes().get(k);
      node.put("efficiency", efficiency.value().doubleValue());
      node.put("efficiencySource", efficiency.source().word());
      JsonValues.putNumber(node, "lossW", study.meshLoss(k));
    }
  }
}
