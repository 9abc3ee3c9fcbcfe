package steadycog.cli;

import java.util.List;
import java.util.concurrent.Callable;
import java.util.function.Function;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import steadycog.format.csv.BoardCsv;
import steadycog.format.csv.EachTrain;
import steadycog.format.json.StudyJson;
import steadycog.job.Job;
import steadycog.job.TrainText;
import steadycog.motion.RatioBoard;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.study.ConfigurationBoard;

/** {@code board}: every drive, hold and take-off choice with its ratio. */
@Command(
    name = "board",
    mixinStandardHelpOptions = true,
    description = "Every drive, hold and take-off choice with its ratio and mode.")
final class BoardCommand implements Callable<Integer> {
  @Mixin CardInput input;

  @ArgGroup(exclusive = true)
  Output output = new Output();

  @Override
  public Integer call() {
    return input.with(this::print);
  }

  private int print(Job job) {
    input.requireText(output.isText());
    List<Board> boards =
        job.sheets().stream()
            .map(
                sheet ->
                    new Board(
                        sheet.name(), ConfigurationBoard.of(sheet.card().orElseThrow().train())))
            .toList();
    if (output.json) {
      input.print(StudyJson.eachTrain(each(boards, StudyJson::board)));
    } else if (output.csv) {
      input.print(EachTrain.of(each(boards, BoardCsv::write)));
    } else {
      String unit = input.asked().map(units -> units.torque().symbol()).orElse("unit");
      input.tell(
          Lines.headed(each(boards, BoardCommand::table), boards.size() > 1) + notes(boards, unit));
    }
    for (Board one : boards) {
      if (!one.board.whole()) {
        input.remark(
            (boards.size() > 1 ? one.train + ": " : "")
                + "too many shafts to list all: the first "
                + RatioBoard.MOST
                + " choices of drive, holds and take-off were tried");
      }
    }
    return Exit.DONE;
  }

  private record Board(String train, ConfigurationBoard board) {}

  private static List<TrainText> each(
      List<Board> boards, Function<ConfigurationBoard, String> write) {
    return boards.stream().map(one -> new TrainText(one.train, write.apply(one.board))).toList();
  }

  private static String notes(List<Board> boards, String unit) {
    boolean held =
        boards.stream()
            .flatMap(one -> one.board.rows().stream())
            .anyMatch(row -> row.reaction().isPresent());
    return (held
            ? "\nreaction: torque on the held member for 1 "
                + unit
                + " at the drive, without losses\n"
            : "")
        + "*: seldom worth its parts\n"
        + Shares.CAUTION;
  }

  private static String table(ConfigurationBoard board) {
    TextTable table =
        new TextTable(
            3,
            "drive",
            "hold",
            "take",
            "i = in/out",
            "exactly",
            "e = out/in",
            "reaction",
            "passes",
            "back",
            "edge",
            "mode");
    for (ConfigurationBoard.Row row : board.rows()) {
      Configuration one = row.configuration();
      table.add(
          one.drive().toString(),
          one.heldText().orElseGet(() -> lock(one)),
          one.take().toString(),
          Figures.plain(one.ratio().reduction()),
          Exact.text(one.ratio().reduction()),
          Figures.plain(one.ratio().trainValue()),
          row.reaction().map(Figures::plain).orElse("-"),
          Shares.forwards(row.eachWay()),
          Shares.backwards(row.eachWay().backwards()),
          Shares.edge(row.eachWay().backwards()),
          one.ratio().mode().word() + (row.seldom() ? " *" : ""));
    }
    return table.toString();
  }

  private static String lock(Configuration one) {
    return one.lock().map(lock -> "lock " + lock.a() + " = " + lock.b()).orElse("-");
  }
}
