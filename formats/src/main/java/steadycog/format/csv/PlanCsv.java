package steadycog.format.csv;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Motion;
import steadycog.number.Exact;
import steadycog.number.Mode;
import steadycog.number.Ratio;
import steadycog.study.ShiftTable;
import steadycog.torque.Backwards;
import steadycog.train.Element;

/** A shift plan, a line a state; an element that is engaged shows the torque that it takes. */
public final class PlanCsv {
  private PlanCsv() {}

  public static String write(ShiftTable plan) {
    List<String> titles = new ArrayList<>(List.of("state"));
    plan.elements().stream().map(element -> element + ", Nm").forEach(titles::add);
    titles.addAll(
        List.of(
            "status",
            "reduction ratio i = in/out",
            "train value e = out/in",
            "mode",
            "step to next",
            "elements changed to next",
            "fastest member",
            "its speed over the input",
            "circulating power over input",
            "efficiency",
            "pushed back",
            "efficiency backwards",
            "losses at the edge, times these"));
    List<List<String>> lines = new ArrayList<>();
    plan.rows().forEach(row -> lines.add(line(plan, row)));
    return Csv.write(titles, lines);
  }

  private static List<String> line(ShiftTable plan, ShiftTable.Row row) {
    List<String> line = new ArrayList<>(List.of(row.state().name()));
    for (int k = 0; k < plan.elements().size(); k++) {
      line.add(torque(plan.elements().get(k), row, row.torques().get(k)));
    }
    Optional<Ratio> ratio = row.study().ratio();
    line.add(row.study().motion().status().name().toLowerCase(Locale.ROOT));
    line.add(exact(ratio.map(Ratio::reduction)));
    line.add(exact(ratio.map(Ratio::trainValue)));
    line.add(row.study().mode().map(Mode::word).orElse(""));
    line.add(exact(row.step()));
    line.add(Integer.toString(row.changes()));
    line.add(row.fastest().map(one -> one.member().toString()).orElse(""));
    line.add(exact(row.fastest().map(Motion.Fastest::times)));
    line.add(Csv.number(row.study().circulation()));
    line.add(Csv.number(row.study().efficiency()));
    line.add(Csv.pushedBack(row.study().loading().backwards()));
    line.add(Csv.number(row.study().loading().backwards().flatMap(Backwards::efficiency)));
    line.add(Csv.edge(row.study().loading().backwards()));
    return line;
  }

  private static String torque(Element element, ShiftTable.Row row, Optional<BigFraction> torque) {
    return row.state().engaged().contains(element)
        ? torque.map(value -> Double.toString(value.doubleValue())).orElse("on")
        : "";
  }

  private static String exact(Optional<BigFraction> value) {
    return value.map(Exact::text).orElse("");
  }
}
