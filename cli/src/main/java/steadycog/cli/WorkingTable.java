package steadycog.cli;

import java.util.List;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.study.NamedStudy;
import steadycog.study.Study;
import steadycog.study.TorqueWorking;
import steadycog.study.Working;

/** How ratio and torques come about, for a terminal. */
final class WorkingTable {
  private static final int DIGITS = 6;
  private static final String NONE = "-";

  private WorkingTable() {}

  static String of(List<NamedStudy> plans) {
    StringBuilder text = new StringBuilder();
    for (NamedStudy train : plans.stream().flatMap(plan -> plan.each().stream()).toList()) {
      text.append("\nworking of ").append(train.name()).append("\n\n");
      Study study = train.study();
      study.working().ifPresent(working -> text.append(ratio(working)).append('\n'));
      text.append(
          study
              .torqueWorking()
              .map(WorkingTable::torques)
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

  private static String torques(TorqueWorking working) {
    TextTable meshes =
        new TextTable(
            1, "mesh, driver first", "on driver Nm", "times", "on driven Nm", "on carrier Nm");
    for (TorqueWorking.Step step : working.steps()) {
      meshes.add(
          step.driver() + " ~ " + step.driven(),
          number(step.gives()),
          step.factor().replace('\u00d7', 'x'),
          number(step.gets()),
          step.toCarrier().map(WorkingTable::number).orElse(NONE));
    }
    TextTable members = new TextTable(2, "member", "torques on it, Nm: they sum to 0");
    for (TorqueWorking.Balance balance : working.balances()) {
      members.add(
          balance.member().toString(),
          balance.shares().isEmpty()
              ? "none"
              : balance.shares().stream()
                  .map(share -> number(share.torque()) + " (" + share.from() + ")")
                  .collect(Collectors.joining(" ")));
    }
    return meshes + "\n" + members;
  }

  private static String number(BigFraction torque) {
    return Figures.significant(torque.doubleValue(), DIGITS);
  }
}
