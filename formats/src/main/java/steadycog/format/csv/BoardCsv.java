package steadycog.format.csv;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.study.ConfigurationBoard;

/** The ratio board, a line a configuration; the column titles name both ratios. */
public final class BoardCsv {
  private static final List<String> TITLES =
      Stream.of(
              List.of("drive", "hold", "take", "lock"),
              Csv.exactly("reduction ratio i = in/out"),
              List.of(
                  "train value e = out/in",
                  "direction",
                  "mode",
                  "reaction torque per drive torque",
                  "seldom useful",
                  "efficiency",
                  "pushed back",
                  "efficiency backwards",
                  "losses at the edge, times these"))
          .flatMap(List::stream)
          .toList();

  private BoardCsv() {}

  public static String write(ConfigurationBoard board) {
    return Csv.write(TITLES, board.rows().stream().map(BoardCsv::line).toList());
  }

  private static List<String> line(ConfigurationBoard.Row row) {
    Configuration one = row.configuration();
    List<String> line =
        new ArrayList<>(
            List.of(
                one.drive().toString(),
                one.heldText().orElse(""),
                one.take().toString(),
                one.lock().map(lock -> lock.a() + " = " + lock.b()).orElse("")));
    line.addAll(Csv.exact(Optional.of(one.ratio().reduction())));
    line.addAll(
        List.of(
            Csv.number(one.ratio().trainValue().doubleValue()),
            one.ratio().sameDirection() ? "same" : "opposite",
            one.ratio().mode().word(),
            Csv.number(row.reaction().map(BigFraction::doubleValue)),
            Boolean.toString(row.seldom()),
            Csv.number(row.eachWay().efficiency()),
            Csv.pushedBack(Optional.of(row.eachWay().backwards())),
            Csv.number(row.eachWay().backwards().efficiency()),
            Csv.edge(Optional.of(row.eachWay().backwards()))));
    return line;
  }
}
