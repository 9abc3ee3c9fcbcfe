package steadycog.cli;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Finding;
import steadycog.cure.Advice;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Ratio;
import steadycog.number.Unit;
import steadycog.number.Units;
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
  private static final String NONE = "-";

  private StudyTable() {}

  static String solve(List<NamedStudy> plans, Optional<Units> chosen) {
    List<NamedStudy> trains = each(plans);
    StringBuilder text = new StringBuilder();
    for (NamedStudy train : trains) {
      text.append(heading(trains, train));
      text.append(headline(train.study())).append('\n');
      Units units = chosen.orElseGet(() -> train.study().train().units());
      text.append(losses(train.study(), units));
      text.append(members(train.study(), units)).append('\n');
      text.append(tools(train.study()));
      TextTable meshes = meshes(train.study(), units);
      text.append(meshes.isEmpty() ? "" : meshes + "\n");
      train.study().findings().forEach(finding -> text.append(line(finding.in(units))));
    }
    plans.forEach(
        train ->
            train.plan().ifPresent(plan -> text.append('\n').append(PlanTable.of(plan, chosen))));
    return text.toString();
  }

  /** Every train, those with states once a state. */
  private static List<NamedStudy> each(List<NamedStudy> trains) {
    return trains.stream().flatMap(train -> train.each().stream()).toList();
  }

  static String check(List<NamedStudy> plans, Optional<Units> chosen) {
    List<NamedStudy> trains = each(plans);
    StringBuilder text = new StringBuilder();
    plans.stream()
        .flatMap(train -> train.plan().stream())
        .flatMap(plan -> plan.findings().stream())
        .forEach(finding -> text.append(line(finding.in(chosen.orElse(Units.USUAL)))));
    for (NamedStudy train : trains) {
      text.append(heading(trains, train));
      String found = findings(train, chosen.orElseGet(() -> train.study().train().units()));
      text.append(found.isEmpty() ? "nothing found\n" : found);
    }
    return text.toString();
  }

  @SuppressWarnings("ReferenceEquality") // Two trains of a job may be alike.
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
  private static String losses(Study study, Units units) {
    Verdict verdict = study.loading().flow().verdict();
    if (verdict == Verdict.NONE) {
      return "";
    }
    StringBuilder text = new StringBuilder("comes out   ");
    text.append(Shares.forwards(verdict, study.efficiency()));
    study.loss().ifPresent(lost -> text.append("   lost ").append(in(lost, units.power())));
    study
        .circulation()
        .ifPresent(share -> text.append("   circulating ").append(number(share)).append(" x"));
    study.loading().backwards().ifPresent(back -> text.append("\npushed back ").append(back(back)));
    study
        .motorPoint()
        .ifPresent(point -> text.append("\nmotor       ").append(motor(point, units)));
    return text.append("\n\n").toString();
  }

  private static String back(Backwards back) {
    String tips =
        back.lossFactor()
            .map(factor -> "   tips over at " + number(factor) + " x these losses")
            .orElse("");
    return Shares.backwards(back) + tips;
  }

  private static String motor(MotorPoint point, Units units) {
    return point.verdict().name().toLowerCase(Locale.ROOT).replace('_', ' ')
        + ": takes "
        + in(point.needed(), units.torque())
        + " of "
        + in(point.motor().stall().inBase(), units.torque())
        + ", turns "
        + in(Unit.RPM.toBase(point.speed()), units.speed())
        + ", output "
        + in(Unit.RPM.toBase(point.output()), units.speed())
        + ", to start "
        + point.toStart().map(torque -> in(torque, units.torque())).orElse("more than any torque");
  }

  private static String number(double value) {
    return Figures.plain(value);
  }

  /** A value in SI units shown in another: {@code 7.08 lbf-in}. */
  private static String in(double value, Unit unit) {
    return number(unit.fromBase(value)) + " " + unit.symbol();
  }

  /** How often the edges of tools come by; nothing where there are none. */
  private static String tools(Study study) {
    TextTable table =
        new TextTable(1, "tool on", "edges", "each", "passes per input turn", "exactly");
    for (Member member : study.train().members()) {
      MemberId id = member.id();
      study
          .toolPasses(id)
          .ifPresent(
              passes ->
                  table.add(
                      id.toString(),
                      study.train().sizes().own(id).tool().orElseThrow().toString(),
                      "x" + study.train().partOf(id).copies(id),
                      Figures.plain(passes),
                      Exact.text(passes)));
    }
    return table.isEmpty() ? "" : table + "\n";
  }

  private static TextTable members(Study study, Units units) {
    TextTable table =
        new TextTable(
            2,
            "member",
            "role",
            "teeth",
            "turns",
            "exactly",
            units.speed().symbol(),
            "torque " + units.torque().symbol(),
            "ideal " + units.torque().symbol(),
            "carries " + units.torque().symbol(),
            "power " + units.power().symbol());
    for (Member member : study.train().members()) {
      MemberId id = member.id();
      table.add(
          id.toString(),
          study.role(id).word(),
          member.teeth().map(Object::toString).orElse(NONE),
          study.motion().turnsPerInputTurn(id).map(Figures::plain).orElse(NONE),
          study.motion().turnsPerInputTurn(id).map(Exact::text).orElse(NONE),
          number(study.motion().speed(id).map(speed -> speed.in(units.speed()))),
          torque(study.torques().external(id), units),
          torque(study.loading().ideal().external(id), units),
          torque(study.torques().carried(id), units),
          number(study.power(id).map(units.power()::fromBase)));
    }
    return table;
  }

  private static String torque(Optional<BigFraction> newtonMetres, Units units) {
    return number(newtonMetres.map(t -> units.torque().fromBase(t.doubleValue())));
  }

  private static TextTable meshes(Study study, Units units) {
    String power = units.power().symbol();
    TextTable table =
        new TextTable(
            1,
            "mesh",
            "teeth past",
            "exactly",
            "power " + power,
            "passes",
            "lost " + power,
            "from");
    List<Mesh> all = study.train().meshes();
    for (int k = 0; k < all.size(); k++) {
      table.add(
          all.get(k).a() + " ~ " + all.get(k).b(),
          study.teethPassed(all.get(k)).map(Figures::plain).orElse(NONE),
          study.teethPassed(all.get(k)).map(Exact::text).orElse(NONE),
          number(study.meshPower(k).map(units.power()::fromBase)),
          Shares.percent(study.loading().flow().meshes().get(k).value().doubleValue()),
          number(study.meshLoss(k).map(units.power()::fromBase)),
          study.loading().flow().meshes().get(k).says());
    }
    return table;
  }

  private static String findings(NamedStudy train, Units units) {
    StringBuilder text = new StringBuilder();
    train
        .advice()
        .forEach(
            advice -> text.append(line(new Advice(advice.finding().in(units), advice.cures()))));
    return text.toString();
  }

  /** {@code -3.25 : 1}. */
  static String signed(Ratio ratio) {
    return (ratio.sameDirection() ? "" : "-") + ratio.reductionText();
  }

  static String line(Finding finding) {
    return line(Advice.of(finding));
  }

  private static String line(Advice advice) {
    Finding finding = advice.finding();
    return finding.severity().word()
        + " "
        + finding.code()
        + ": "
        + finding.message()
        + advice.fix().map(fix -> " " + fix).orElse("")
        + "\n";
  }

  private static String number(Optional<Double> value) {
    return value.map(known -> Figures.plain(known)).orElse(NONE);
  }
}
