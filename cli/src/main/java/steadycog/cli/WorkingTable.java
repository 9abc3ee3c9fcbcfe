package steadycog.cli;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Known;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.study.Arrangements;
import steadycog.study.Creep;
import steadycog.study.EpicyclicWorking;
import steadycog.study.NamedStudy;
import steadycog.study.Study;
import steadycog.study.TorqueWorking;
import steadycog.study.Working;
import steadycog.train.MemberId;
import steadycog.train.Part;

/** How ratio and torques come about, for a terminal. */
final class WorkingTable {
  private static final String NONE = "-";

  private WorkingTable() {}

  static String of(List<NamedStudy> plans, Optional<Units> chosen) {
    StringBuilder text = new StringBuilder();
    for (NamedStudy train : plans.stream().flatMap(plan -> plan.each().stream()).toList()) {
      text.append("\nworking of ").append(train.name()).append("\n\n");
      Study study = train.study();
      study.working().ifPresent(working -> text.append(ratio(working)).append('\n'));
      study.epicyclicWorking().ifPresent(three -> text.append(schools(three)).append('\n'));
      study.train().parts().forEach(part -> drive(part, text));
      text.append(
          study
              .torqueWorking()
              .map(working -> torques(working, chosen.orElseGet(() -> study.train().units())))
              .orElse("not all torques follow: no working of them\n"));
    }
    return text.toString();
  }

  private static String ratio(Working working) {
    TextTable table = new TextTable(1, "ratio", "driven / driver", "so far");
    for (Working.Step step : working.steps()) {
      table.add(step.driver() + " ~ " + step.driven(), step.quotient(), Exact.text(step.running()));
    }
    return table.toString();
  }

  /** The turns for one of the input by relative motion, turn table and pitch-line speeds. */
  private static String schools(EpicyclicWorking three) {
    EpicyclicWorking.RelativeMotion relative = three.relative();
    String willis =
        "relative motion: ("
            + relative.last()
            + " - "
            + relative.carrier()
            + ") / ("
            + relative.first()
            + " - "
            + relative.carrier()
            + ") = "
            + Exact.text(relative.basic())
            + "\n\n";
    TextTable table =
        new TextTable(
            1,
            "turns for one of the input",
            "relative motion",
            "with carrier",
            "carrier stands",
            "turn table",
            "pitch lines");
    for (MemberId id : relative.turns().keySet()) {
      table.add(
          id.toString(),
          Exact.text(Known.in(relative.turns(), id)),
          Exact.text(three.table().withCarrier()),
          Exact.text(Known.in(three.table().apart(), id)),
          Exact.text(Known.in(three.table().turns(), id)),
          Exact.text(Known.in(three.pitchLine().turns(), id)));
    }
    TextTable points = new TextTable(1, "pitch line", "radius modules", "speed = radius x turns");
    for (EpicyclicWorking.PitchLine.Point point : three.pitchLine().points()) {
      points.add(point.member().toString(), Exact.text(point.radius()), Exact.text(point.speed()));
    }
    return willis
        + table
        + (three.agrees() ? "all three agree exactly\n\n" : "they do not agree\n\n")
        + points;
  }

  /** Both ways to mount a drive, and what can be counted on it. */
  private static void drive(Part part, StringBuilder text) {
    Creep.of(part)
        .ifPresent(
            creep -> {
              TextTable ways = new TextTable(2, "held", "taken off", "i = in/out", "way");
              for (Arrangements.Arrangement one : Arrangements.of(part)) {
                ways.add(
                    one.hold().toString(),
                    one.take().toString(),
                    Exact.text(one.ratio().reduction()),
                    one.ratio().sameDirection() ? "same" : "opposite");
              }
              text.append(ways).append(creep.words()).append("\n\n");
            });
  }

  private static String torques(TorqueWorking working, Units units) {
    Unit unit = units.torque();
    String in = " " + unit.symbol();
    TextTable meshes =
        new TextTable(
            1,
            "mesh, driver first",
            "on driver" + in,
            "times",
            "on driven" + in,
            "on carrier" + in);
    for (TorqueWorking.Step step : working.steps()) {
      meshes.add(
          step.driver() + " ~ " + step.driven(),
          number(step.gives(), unit),
          step.factor().replace('\u00d7', 'x'),
          number(step.gets(), unit),
          step.toCarrier().map(torque -> number(torque, unit)).orElse(NONE));
    }
    TextTable members = new TextTable(2, "member", "torques on it," + in + ": they sum to 0");
    for (TorqueWorking.Balance balance : working.balances()) {
      members.add(
          balance.member().toString(),
          balance.shares().isEmpty()
              ? "none"
              : balance.shares().stream()
                  .map(share -> number(share.torque(), unit) + " (" + share.from() + ")")
                  .collect(Collectors.joining(" ")));
    }
    return meshes + "\n" + members;
  }

  private static String number(BigFraction torque, Unit unit) {
    return Figures.plain(unit.fromBase(torque.doubleValue()));
  }
}
