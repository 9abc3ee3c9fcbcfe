package steadycog.format.csv;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Motion;
import steadycog.number.Mode;
import steadycog.number.Ratio;
import steadycog.number.Units;
import steadycog.study.ShiftTable;
import steadycog.torque.Backwards;
import steadycog.train.Element;

/** A shift plan, a line a state; an element that is engaged shows the torque that it takes. */
public final class PlanCsv {
  private PlanCsv() {}

  public static String write(ShiftTable plan) {
    return write(plan, Units.USUAL);
  }

  /** The same with torques in other units. */
  public static String write(ShiftTable plan, Units units) {
    List<String> titles = new ArrayList<>(List.of("state"));
    plan.elements().stream()
        .map(element -> element + ", " + units.torque().symbol())
        .forEach(titles::add);
    titles.add("status");
    titles.addAll(Csv.exactly("reduction ratio i = in/out"));
    titles.addAll(
        List.of(
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
    plan.rows().forEach(row -> lines.add(line(plan, row, units)));
    return Csv.write(titles, lines);
  }

  private static List<String> line(ShiftTable plan, ShiftTable.Row row, Units units) {
    List<String> line = new ArrayList<>(List.of(row.state().name()));
    for (int k = 0; k < plan.elements().size(); k++) {
      line.add(torque(plan.elements().get(k), row, row.torques().get(k), units));
    }
    Optional<Ratio> ratio = row.study().ratio();
    line.add(row.study().motion().status().name().toLowerCase(Locale.ROOT));
    line.addAll(Csv.exact(ratio.map(Ratio::reduction)));
    line.add(number(ratio.map(Ratio::trainValue)));
    line.add(row.study().mode().map(Mode::word).orElse(""));
    line.add(number(row.step()));
    line.add(Integer.toString(row.changes()));
    line.add(row.fastest().map(one -> one.member().toString()).orElse(""));
    line.add(number(row.fastest().map(Motion.Fastest::times)));
    line.add(Csv.number(row.study().circulation()));
    line.add(Csv.number(row.study().efficiency()));
    line.add(Csv.pushedBack(row.study().loading().backwards()));
    line.add(Csv.number(row.study().loading().backwards().flatMap(Backwards::efficiency)));
    line.add(Csv.edge(row.study().loading().backwards()));
    return line;
  }

  private static String torque(
      Element element, ShiftTable.Row row, Optional<BigFraction> torque, Units units) {
    return row.state().engaged().contains(element)
        ? torque.map(value -> Csv.number(units.torque().fromBase(value.doubleValue()))).orElse("on")
        : "";
  }

  private static String number(Optional<BigFraction> value) {
    return Csv.number(value.map(BigFraction::doubleValue));
  }
}
