package steadycog.format.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import org.jspecify.annotations.Nullable;
import steadycog.check.Finding;
import steadycog.cure.Advice;
import steadycog.cure.Cure;
import steadycog.cure.PutRight;
import steadycog.job.TrainText;
import steadycog.motion.FeedbackPath;
import steadycog.motion.Motion;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.notation.Card;
import steadycog.notation.CardPrinter;
import steadycog.number.AngularSpeed;
import steadycog.number.Exact;
import steadycog.number.Mode;
import steadycog.number.Ratio;
import steadycog.number.Unit;
import steadycog.search.StateHunt;
import steadycog.search.StateHunt.FoundState;
import steadycog.search.StateHunt.FoundStates;
import steadycog.study.ConfigurationBoard;
import steadycog.study.MotorPoint;
import steadycog.study.NamedStudy;
import steadycog.study.ShiftTable;
import steadycog.study.Study;
import steadycog.study.TorqueWorking;
import steadycog.study.TwoInputs;
import steadycog.torque.Backwards;
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
    return PrettyJson.write(each(trains, StudyJson::study));
  }

  /** What {@code check --json} prints: the findings alone, in the same frame. */
  public static String check(List<NamedStudy> trains) {
    return PrettyJson.write(each(trains, StudyJson::findingsAlone));
  }

  private static ObjectNode findingsAlone(NamedStudy named) {
    ObjectNode node = JobJson.MAPPER.createObjectNode();
    addFindings(node, named.advice());
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
      putExact(node, "ratio", Optional.of(one.ratio().reduction()));
      putExact(node, "trainValue", Optional.of(one.ratio().trainValue()));
      node.put("mode", one.ratio().mode().word());
      putExact(node, "reactionTorque", row.reaction());
      node.put("seldomUseful", row.seldom());
      node.put("powerFlow", row.eachWay().verdict().word());
      putNumber(node, "efficiency", row.eachWay().efficiency());
      addBackwards(node, Optional.of(row.eachWay().backwards()));
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
          putNumber(on, "torqueNm", row.torques().get(k).map(BigFraction::doubleValue));
        }
      }
      putExact(node, "stepToNext", row.step());
      node.put("changesToNext", row.changes());
      node.put("fastest", row.fastest().map(fastest -> fastest.member().toString()).orElse(null));
      putExact(node, "fastestTimesInput", row.fastest().map(Motion.Fastest::times));
      node.put("overspeed", row.overspeed());
      node.setAll(content.of(one));
    }
    putExact(root, "spread", plan.spread());
    addFindings(root, plan.findings().stream().map(Advice::of).toList());
    return root;
  }

  /** What {@code plan --find --json} prints. */
  public static String found(FoundStates found, List<State> proposed) {
    ObjectNode root = JobJson.MAPPER.createObjectNode();
    ArrayNode states = root.putArray("found");
    for (FoundState state : found.states()) {
      ObjectNode node = states.addObject();
      putExact(node, "ratio", Optional.of(state.ratio().reduction()));
      node.put("mode", state.ratio().mode().word());
      ArrayNode ways = node.putArray("ways");
      for (StateHunt.Way way : state.ways()) {
        ObjectNode each = ways.addObject();
        ArrayNode engaged = each.putArray("engaged");
        way.engaged().forEach(element -> engaged.add(element.toString()));
        each.put("floats", way.floats());
        putExact(each, "fastestTimesInput", Optional.of(way.fastest()));
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

  private static ObjectNode study(NamedStudy named) {
    Study study = named.study();
    ObjectNode node = JobJson.MAPPER.createObjectNode();
    Motion motion = study.motion();
    node.put("freedoms", motion.freedoms());
    node.put("status", motion.status().name().toLowerCase(Locale.ROOT));
    putExact(node, "ratio", study.ratio().map(ratio -> ratio.reduction()));
    putExact(node, "trainValue", study.ratio().map(ratio -> ratio.trainValue()));
    node.put(
        "direction",
        study.ratio().map(ratio -> ratio.sameDirection() ? "same" : "opposite").orElse(null));
    node.put("mode", study.mode().map(Mode::word).orElse(null));
    node.put("torques", torquesWord(study.torques().status()));
    addLosses(node, study);
    putNumber(node, "circulation", study.circulation());
    putNumber(node, "circulationWithLosses", study.circulationWithLosses());

    Unit unit = speedUnit(motion);
    node.put("speedUnit", unit.symbol());
    ArrayNode members = node.putArray("members");
    Optional<TorqueWorking> working = study.torqueWorking();
    study.train().members().stream()
        .filter(member -> body(study, member.id()).equals(member.id()))
        .forEach(member -> addMember(members, study, working, member, unit));
    addMeshes(node.putArray("meshes"), study);
    addTwoInputs(node, study);
    addFeedback(node, study);
    ArrayNode floating = node.putArray("floating");
    motion.floating().stream()
        .map(member -> body(study, member))
        .distinct()
        .forEach(member -> floating.add(member.toString()));
    ArrayNode conflict = node.putArray("conflict");
    motion.conflict().forEach(cause -> conflict.add(cause.toString()));
    addFindings(node, named.advice());
    return node;
  }

  private static void addLosses(ObjectNode node, Study study) {
    node.put("powerFlow", study.loading().flow().verdict().word());
    putNumber(node, "efficiency", study.efficiency());
    putNumber(node, "lossW", study.loss());
    addBackwards(node, study.loading().backwards());
    addMotor(node, study);
  }

  private static void addMotor(ObjectNode node, Study study) {
    Optional<MotorPoint> point = study.motorPoint();
    if (point.isEmpty()) {
      node.putNull("motor");
      return;
    }
    MotorPoint at = point.get();
    ObjectNode motor = node.putObject("motor");
    motor.put("verdict", at.verdict().name().toLowerCase(Locale.ROOT));
    motor.put("stallNm", at.motor().stall().inBase());
    motor.put("noLoadRpm", at.motor().free().inBase());
    motor.put("neededNm", at.needed());
    motor.put("speedRpm", at.speed());
    motor.put("outputRpm", at.output() + 0.0);
    motor.put("powerW", at.power());
    motor.put("outputW", at.out());
    motor.put("lossW", at.lost());
    motor.put("reserve", at.reserve());
    putNumber(motor, "startNm", at.toStart());
    putNumber(motor, "startReserve", at.startReserve());
  }

  static void addBackwards(ObjectNode node, Optional<Backwards> backwards) {
    node.put("backDrivable", backwards.flatMap(Backwards::drivable).orElse(null));
    putNumber(node, "backEfficiency", backwards.flatMap(Backwards::efficiency));
    Optional<Backwards.Tipping> tipping = backwards.flatMap(Backwards::tipping);
    if (tipping.isEmpty()) {
      node.putNull("tipping");
      return;
    }
    ObjectNode point = node.putObject("tipping");
    putNumber(point, "lossFactor", backwards.flatMap(Backwards::lossFactor));
    ArrayNode shares = point.putArray("meshEfficiencies");
    tipping.get().shares().forEach(shares::add);
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
    putExact(node, "speed", speed.flatMap(known -> known.exactIn(unit)));
    putNumber(node, "speedRpm", speed.map(AngularSpeed::inRpm));
    putExact(node, "turnsPerInputTurn", study.motion().turnsPerInputTurn(id));
    putNumber(node, "torqueNm", study.torques().external(id).map(BigFraction::doubleValue));
    putNumber(
        node, "idealTorqueNm", study.loading().ideal().external(id).map(BigFraction::doubleValue));
    addActing(node, working, id);
    putNumber(node, "powerW", study.power(id));
    putExact(node, "toolPasses", study.toolPasses(id));
    putNumber(node, "carriedNm", study.torques().carried(id).map(BigFraction::doubleValue));
    Optional<AngularSpeed> relative = study.relativeToCarrier(id);
    putExact(node, "relativeToCarrier", relative.flatMap(known -> known.exactIn(unit)));
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
      putExact(node, "teethPassed", study.teethPassed(mesh));
      putNumber(node, "powerW", study.meshPower(k));
      putNumber(node, "idealPowerW", study.idealMeshPower(k));
      MeshEfficiency efficiency = study.loading().flow().meshes().get(k);
      node.put("efficiency", efficiency.value().doubleValue());
      node.put("efficiencySource", efficiency.source().word());
      putNumber(node, "lossW", study.meshLoss(k));
    }
  }

  private static void addTwoInputs(ObjectNode node, Study study) {
    Optional<TwoInputs> line = study.twoInputs();
    if (line.isEmpty()) {
      node.putNull("twoInputs");
      return;
    }
    ObjectNode inputs = node.putObject("twoInputs");
    putExact(inputs, "a", line.map(TwoInputs::a));
    putExact(inputs, "b", line.map(TwoInputs::b));
    putExact(inputs, "stopsAtSecondOverFirst", line.flatMap(TwoInputs::stop));
    inputs.put("direct", line.get().direct());
  }

  private static void addFeedback(ObjectNode node, Study study) {
    Optional<FeedbackPath> path = study.feedback();
    if (path.isEmpty()) {
      node.putNull("feedback");
      return;
    }
    ObjectNode feedback = node.putObject("feedback");
    feedback.put("through", path.get().path().name());
    feedback.put("from", path.get().input().toString());
    feedback.put("to", path.get().second().toString());
    putExact(feedback, "gearing", path.map(FeedbackPath::gearing));
    putExact(feedback, "outputPerInput", path.map(FeedbackPath::outputPerInput));
  }

  private static void addFindings(ObjectNode node, List<Advice> all) {
    ArrayNode list = node.putArray("findings");
    for (Advice advice : all) {
      Finding finding = advice.finding();
      ObjectNode each = list.addObject();
      each.put("code", finding.code()).put("severity", finding.severity().word());
      ArrayNode members = each.putArray("members");
      finding.members().forEach(member -> members.add(member.toString()));
      each.put("message", finding.message());
      ObjectNode values = each.putObject("values");
      for (Map.Entry<String, String> value : finding.values().entrySet()) {
        putValue(values, value.getKey(), value.getValue());
      }
      each.put("fix", advice.fix().orElse(null));
      ArrayNode cures = each.putArray("cures");
      advice.cures().forEach(cure -> addCure(cures.addObject(), cure));
    }
  }

  private static void addCure(ObjectNode node, Cure cure) {
    node.put("change", cure.change());
    node.put("card", CardPrinter.print(cure.train()));
    addConsequences(node, cure);
  }

  private static void addConsequences(ObjectNode node, Cure cure) {
    putExact(node, "ratio", cure.ratio().map(Ratio::reduction));
    putNumber(node, "ratioChange", cure.ratioChange());
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

  static void putValue(ObjectNode node, String name, String value) {
    if (value.matches("-?\\d{1,9}")) {
      node.put(name, Integer.parseInt(value));
    } else {
      node.put(name, value);
    }
  }

  private static void putExact(ObjectNode node, String name, Optional<BigFraction> number) {
    node.put(name, number.map(Exact::text).orElse(null));
  }

  /** Adding zero turns a negative zero into a plain one. */
  static void putNumber(ObjectNode node, String name, Optional<Double> number) {
    node.put(name, number.map(value -> value + 0.0).orElse(null));
  }
}
