package steadycog.format.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import java.util.Optional;
import steadycog.motion.FeedbackPath;
import steadycog.study.MotorPoint;
import steadycog.study.Study;
import steadycog.study.TwoInputs;
import steadycog.torque.Backwards;

/** What a train does with power, as JSON. */
final class LoadingJson {
  private LoadingJson() {}

  static void addLosses(ObjectNode node, Study study) {
    node.put("powerFlow", study.loading().flow().verdict().word());
    JsonValues.putNumber(node, "efficiency", study.efficiency());
    JsonValues.putNumber(node, "lossW", study.loss());
    addBackwards(node, study.loading().backwards());
    addMotor(node, study);
  }

  static void addMotor(ObjectNode node, Study study) {
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
    JsonValues.putNumber(motor, "startNm", at.toStart());
    JsonValues.putNumber(motor, "startReserve", at.startReserve());
  }

  static void addBackwards(ObjectNode node, Optional<Backwards> backwards) {
    node.put("backDrivable", backwards.flatMap(Backwards::drivable).orElse(null));
    JsonValues.putNumber(node, "backEfficiency", backwards.flatMap(Backwards::efficiency));
    Optional<Backwards.Tipping> tipping = backwards.flatMap(Backwards::tipping);
    if (tipping.isEmpty()) {
      node.putNull("tipping");
      return;
    }
    ObjectNode point = node.putObject("tipping");
    JsonValues.putNumber(point, "lossFactor", backwards.flatMap(Backwards::lossFactor));
    ArrayNode shares = point.putArray("meshEfficiencies");
    tipping.get().shares().forEach(shares::add);
  }

  static void addTwoInputs(ObjectNode node, Study study) {
    Optional<TwoInputs> line = study.twoInputs();
    if (line.isEmpty()) {
      node.putNull("twoInputs");
      return;
    }
    ObjectNode inputs = node.putObject("twoInputs");
    JsonValues.putExact(inputs, "a", line.map(TwoInputs::a));
    JsonValues.putExact(inputs, "b", line.map(TwoInputs::b));
    JsonValues.putExact(inputs, "stopsAtSecondOverFirst", line.flatMap(TwoInputs::stop));
    inputs.put("direct", line.get().direct());
  }

  static void addFeedback(ObjectNode node, Study study) {
    Optional<FeedbackPath> path = study.feedback();
    if (path.isEmpty()) {
      node.putNull("feedback");
      return;
    }
    ObjectNode feedback = node.putObject("feedback");
    feedback.put("through", path.get().path().name());
    feedback.put("from", path.get().input().toString());
    feedback.put("to", path.get().second().toString());
    JsonValues.putExact(feedback, "gearing", path.map(FeedbackPath::gearing));
    JsonValues.putExact(feedback, "outputPerInput", path.map(FeedbackPath::outputPerInput));
  }
}
