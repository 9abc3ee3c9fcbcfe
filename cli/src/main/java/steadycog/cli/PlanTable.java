package steadycog.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Finding;
import steadycog.motion.Motion;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Mode;
import steadycog.number.Ratio;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.study.ShiftTable;
import steadycog.train.Element;

/** A shift plan laid out for a terminal. */
final class PlanTable {
  private static final String NONE = "-";

  private PlanTable() {}

  static String of(ShiftTable plan, Optional<Units> chosen) {
    Unit unit = chosen.orElseGet(() -> plan.rows().getFirst().study().train().units()).torque();
    List<String> heads = new ArrayList<>(List.of("state"));
    plan.elements().stream().map(Element::toString).forEach(heads::add);
    heads.addAll(
        List.of(
            "i = in/out",
            "mode",
            "step",
            "swaps",
            "fastest",
            "circulates",
            "passes",
            "back",
            "edge"));
    TextTable table = new TextTable(1, heads.toArray(String[]::new));
    for (ShiftTable.Row row : plan.rows()) {
      List<String> cells = new ArrayList<>(List.of(row.state().name()));
      for (int k = 0; k < plan.elements().size(); k++) {
        boolean on = row.state().engaged().contains(plan.elements().get(k));
        cells.add(on ? row.torques().get(k).map(torque -> torque(torque, unit)).orElse("on") : "");
      }
      boolean last = row.equals(plan.rows().getLast());
      cells.add(row.study().ratio().map(Ratio::reduction).map(Exact::text).orElse(NONE));
      cells.add(row.jammed() ? "jammed" : row.study().mode().map(Mode::word).orElse("no ratio"));
      cells.add(row.step().map(Exact::text).orElse(NONE));
      cells.add(last ? NONE : Integer.toString(row.changes()));
      cells.add(row.fastest().map(PlanTable::fastest).orElse(NONE));
      cells.add(number(row.study().circulation()));
      cells.add(Shares.forwards(row.study().loading().flow().verdict(), row.study().efficiency()));
      cells.add(row.study().loading().backwards().map(Shares::backwards).orElse(NONE));
      cells.add(row.study().loading().backwards().map(Shares::edge).orElse(NONE));
      table.add(cells.toArray(String[]::new));
    }
    StringBuilder text = new StringBuilder(table.toString());
    plan.spread()
        .ifPresent(spread -> text.append("spread ").append(Exact.text(spread)).append('\n'));
    text.append("engaged elements show the torque that they take in ")
        .append(unit.symbol())
        .append(", with losses\n");
    text.append(Shares.CAUTION);
    for (Finding finding : plan.findings()) {
      text.append(StudyTable.line(finding));
    }
    return text.toString();
  }

  private static String torque(BigFraction torque, Unit unit) {
    return Figures.plain(unit.fromBase(torque.doubleValue()));
  }

  private static String fastest(Motion.Fastest fastest) {
    return fastest.member() + " " + times(fastest.times());
  }

  static String times(BigFraction times) {
    return Figures.plain(times.doubleValue()) + "x";
  }

  private static String number(Optional<Double> value) {
    return value.map(known -> Figures.plain(known)).orElse(NONE);
  }
}
