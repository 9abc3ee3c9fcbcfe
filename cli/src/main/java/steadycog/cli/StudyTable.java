package steadycog.cli;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import steadycog.check.Finding;
import steadycog.number.AngularSpeed;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Ratio;
import steadycog.study.MotorPoint;
import steadycog.study.NamedStudy;
import steadycog.study.Study;
import steadycog.torque.Backwards;
import steadycog.torque.PowerFlow.Verdict;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;

/** Results laid out for a terminal. */
final class StudyTable {
  private static final int DIGITS = 6;
  private static final String NONE = "-";

  private StudyTable() {}

  static String solve(List<NamedStudy> plans) {
    List<NamedStudy> trains = each(plans);
    StringBuilder text = new StringBuilder();
    for (NamedStudy train : trains) {
      text.append(heading(trains, train));
      text.append(headline(train.study())).append('\n');
      text.append(losses(train.study()));
      text.append(members(train.study())).append('\n');
      TextTable meshes = meshes(train.study());
      text.append(meshes.isEmpty() ? "" : meshes + "\n");
      text.append(findings(train.study()));
    }
    plans.forEach(
        train -> train.plan().ifPresent(plan -> text.append('\n').append(PlanTable.of(plan))));
    return text.toString();
  }

  /** Every train, those with states once a state. */
  private static List<NamedStudy> each(List<NamedStudy> trains) {
    return trains.stream().flatMap(train -> train.each().stream()).toList();
  }

  static String check(List<NamedStudy> plans) {
    List<NamedStudy> trains = each(plans);
    StringBuilder text = new StringBuilder();
    plans.stream()
        .flatMap(train -> train.plan().stream())
        .flatMap(plan -> plan.findings().stream())
        .forEach(finding -> text.append(line(finding)));
    for (NamedStudy train : trains) {
      text.append(heading(trains, train));
      String found = findings(train.study());
      text.append(found.isEmpty() ? "nothing found\n" : found);
    }
    return text.toString();
  }

  private static String heading(List<NamedStudy> trains, NamedStudy train) {
    String first = train == trains.getFirst() ? "" : "\n";
    return trains.size() == 1 ? "" : first + "== " + train.name() + " ==\n";
  }

  private static String headline(Study study) {
    Optional<Ratio> ratio = study.ratio();
    if (ratio.isEmpty()) {
      String mode = study.mode().map(m -> ", " + m.word()).orElse("");
      return "no ratio: " + study.motion().status().name().toLowerCase(Locale.ROOT) + mode + "\n";
    }
    Ratio known = ratio.get();
    return "reduction ratio i = in/out   "
        + known.reductionText()
        + "   exactly "
        + Exact.text(known.reduction())
        + "\ntrain value     e = out/in   "
        + known.trainValueText()
        + "   exactly "
        + Exact.text(known.trainValue())
        + "\noutput turns the "
        + (known.sameDirection() ? "same" : "opposite")
        + " way: "
        + known.mode().word()
        + "\n";
  }

  /** What comes out, what it does pushed back, and where a motor runs. */
  private static String losses(Study study) {
    Verdict verdict = study.loading().flow().verdict();
    if (verdict == Verdict.NONE) {
      return "";
    }
    StringBuilder text = new StringBuilder("comes out   ");
    text.append(Shares.forwards(verdict, study.efficiency()));
    study.loss().ifPresent(lost -> text.append("   lost ").append(number(lost)).append(" W"));
    study
        .circulation()
        .ifPresent(share -> text.append("   circulating ").append(number(share)).append(" x"));
    study.loading().backwards().ifPresent(back -> text.append("\npushed back ").append(back(back)));
    study.motorPoint().ifPresent(point -> text.append("\nmotor       ").append(motor(point)));
    return text.append("\n\n").toString();
  }

  private static String back(Backwards back) {
    String tips =
        back.lossFactor()
            .map(factor -> "   tips over at " + number(factor) + " x these losses")
            .orElse("");
    return Shares.backwards(back) + tips;
  }

  private static String motor(MotorPoint point) {
    return point.verdict().name().toLowerCase(Locale.ROOT).replace('_', ' ')
        + ": takes "
        + number(point.needed())
        + " Nm of "
        + number(point.motor().stall().inBase())
        + ", turns "
        + number(point.speed())
        + " rpm, output "
        + number(point.output())
        + " rpm, to start "
        + point.toStart().map(torque -> number(torque) + " Nm").orElse("more than any torque");
  }

  private static String number(double value) {
    return Figures.significant(value, 4);
  }

  private static TextTable members(Study study) {
    TextTable table =
        new TextTable(
            2,
            "member",
            "role",
            "teeth",
            "turns",
            "rpm",
            "torque Nm",
            "ideal Nm",
            "carries Nm",
            "power W");
    for (Member member : study.train().members()) {
      MemberId id = member.id();
      table.add(
          id.toString(),
          study.role(id).word(),
          member.teeth().map(Object::toString).orElse(NONE),
          study.motion().turnsPerInputTurn(id).map(Exact::text).orElse(NONE),
          number(study.motion().speed(id).map(AngularSpeed::inRpm)),
          number(study.torques().external(id).map(t -> t.doubleValue())),
          number(study.loading().ideal().external(id).map(t -> t.doubleValue())),
          number(study.torques().carried(id).map(t -> t.doubleValue())),
          number(study.power(id)));
    }
    return table;
  }

  private static TextTable meshes(Study study) {
    TextTable table =
        new TextTable(
            1, "mesh", "teeth past per input turn", "power W", "passes", "lost W", "from");
    List<Mesh> all = study.train().meshes();
    for (int k = 0; k < all.size(); k++) {
      table.add(
          all.get(k).a() + " ~ " + all.get(k).b(),
          study.teethPassed(all.get(k)).map(Exact::text).orElse(NONE),
          number(study.meshPower(k)),
          Shares.percent(study.loading().flow().meshes().get(k).value().doubleValue()),
          number(study.meshLoss(k)),
          study.loading().flow().meshes().get(k).says());
    }
    return table;
  }

  private static String findings(Study study) {
    StringBuilder text = new StringBuilder();
    study.findings().forEach(finding -> text.append(line(finding)));
    return text.toString();
  }

  static String line(Finding finding) {
    return finding.severity().word()
        + " "
        + finding.code()
        + ": "
        + finding.message()
        + finding.remedy().map(remedy -> " " + remedy).orElse("")
        + "\n";
  }

  private static String number(Optional<Double> value) {
    return value.map(known -> Figures.significant(known, DIGITS)).orElse(NONE);
  }
}
