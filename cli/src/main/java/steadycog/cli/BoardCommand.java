package steadycog.cli;

import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import steadycog.format.csv.BoardCsv;
import steadycog.format.json.StudyJson;
import steadycog.job.Sheet;
import steadycog.motion.RatioBoard;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.number.Exact;
import steadycog.study.ConfigurationBoard;

/** {@code board}: every drive, hold and take-off choice with its ratio. */
@Command(
    name = "board",
    mixinStandardHelpOptions = true,
    description = "Every drive, hold and take-off choice with its ratio and mode.")
final class BoardCommand implements Callable<Integer> {
  @Spec CommandSpec spec;
  @Mixin CardInput input;

  @Option(names = "--json", description = "print JSON")
  boolean json;

  @Option(names = "--csv", description = "print comma-separated values")
  boolean csv;

  @Override
  public Integer call() {
    return input.withOne(this::print);
  }

  private int print(Sheet sheet) {
    ConfigurationBoard board = ConfigurationBoard.of(sheet.card().orElseThrow().train());
    input.print(json ? StudyJson.board(board) : csv ? BoardCsv.write(board) : table(board));
    if (!board.whole()) {
      spec.commandLine()
          .getErr()
          .println(
              "too many shafts to list all: the first "
                  + RatioBoard.MOST
                  + " choices of drive, holds and take-off were tried");
    }
    return Exit.DONE;
  }

  private static String table(ConfigurationBoard board) {
    TextTable table =
        new TextTable(
            3,
            "drive",
            "hold",
            "take",
            "i = in/out",
            "e = out/in",
            "reaction",
            "comes out",
            "pushed back",
            "edge",
            "mode");
    for (ConfigurationBoard.Row row : board.rows()) {
      Configuration one = row.configuration();
      table.add(
          one.drive().toString(),
          one.heldText().orElseGet(() -> lock(one)),
          one.take().toString(),
          Exact.text(one.ratio().reduction()),
          Exact.text(one.ratio().trainValue()),
          row.reaction().map(Exact::text).orElse("-"),
          Shares.forwards(row.eachWay()),
          Shares.backwards(row.eachWay().backwards()),
          Shares.edge(row.eachWay().backwards()),
          one.ratio().mode().word() + (row.seldom() ? ", seldom worth its parts" : ""));
    }
    boolean held = board.rows().stream().anyMatch(row -> row.reaction().isPresent());
    return table
        + (held
            ? "\nreaction: torque on the held member for 1 unit at the drive, without losses\n"
            : "")
        + Shares.CAUTION;
  }

  private static String lock(Configuration one) {
    return one.lock().map(lock -> "lock " + lock.a() + " = " + lock.b()).orElse("-");
  }
}
