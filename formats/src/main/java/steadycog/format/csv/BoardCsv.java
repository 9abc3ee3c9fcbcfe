package steadycog.format.csv;

import java.util.List;
import java.util.Optional;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.number.Exact;
import steadycog.study.ConfigurationBoard;

/** The ratio board, a line a configuration; the column titles name both ratios. */
public final class BoardCsv {
  private static final List<String> TITLES =
      List.of(
          "drive",
          "hold",
          "take",
          "lock",
          "reduction ratio i = in/out",
          "train value e = out/in",
          "direction",
          "mode",
          "reaction torque per drive torque",
          "seldom useful",
          "efficiency",
          "pushed back",
          "efficiency backwards",
          "losses at the edge, times these");

  private BoardCsv() {}

  public static String write(ConfigurationBoard board) {
    return Csv.write(TITLES, board.rows().stream().map(BoardCsv::line).toList());
  }

  private static List<String> line(ConfigurationBoard.Row row) {
    Configuration one = row.configuration();
    return List.of(
        one.drive().toString(),
        one.heldText().orElse(""),
        one.take().toString(),
        one.lock().map(lock -> lock.a() + " = " + lock.b()).orElse(""),
        Exact.text(one.ratio().reduction()),
        Exact.text(one.ratio().trainValue()),
        one.ratio().sameDirection() ? "same" : "opposite",
        one.ratio().mode().word(),
        row.reaction().map(Exact::text).orElse(""),
        Boolean.toString(row.seldom()),
        Csv.number(row.eachWay().efficiency()),
        Csv.pushedBack(Optional.of(row.eachWay().backwards())),
        Csv.number(row.eachWay().backwards().efficiency()),
        Csv.edge(Optional.of(row.eachWay().backwards())));
  }
}
