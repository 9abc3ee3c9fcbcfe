package steadycog.cli;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import steadycog.format.csv.SheetCsv;
import steadycog.format.json.CutSheetJson;
import steadycog.job.Job;
import steadycog.number.Unit;
import steadycog.report.Cautions;
import steadycog.report.Units;
import steadycog.sizing.SheetTable;
import steadycog.sizing.SheetTables;
import steadycog.study.NamedStudy;

/** {@code sheet}: sizes, play and strength. */
@Command(
    name = "sheet",
    mixinStandardHelpOptions = true,
    description =
        "The cut sheet: sizes of every wheel, centre distances, play, room, and a first look at"
            + " strength. In brackets: usual proportions where the card says nothing.")
final class SheetCommand implements Callable<Integer> {
  @Mixin CardInput input;

  @Option(names = "--json", description = "print JSON")
  boolean json;

  @Option(names = "--csv", description = "print comma-separated values")
  boolean csv;

  @Option(names = "--inch", description = "lengths in inches, also where the card is not in inches")
  boolean inch;

  @Override
  public Integer call() {
    return input.with(this::print);
  }

  private int print(Job job) {
    List<NamedStudy> trains = CardInput.studies(job);
    Unit length = inch ? Unit.IN : Unit.MM;
    input.print(
        json ? CutSheetJson.write(trains) : csv ? SheetCsv.write(trains, length) : text(trains));
    return CardInput.exitCode(trains);
  }

  private String text(List<NamedStudy> trains) {
    StringBuilder text = new StringBuilder();
    for (NamedStudy train : trains) {
      text.append(text.isEmpty() ? "" : "\n");
      if (trains.size() > 1) {
        text.append(train.name()).append("\n\n");
      }
      Unit length = inch ? Unit.IN : Units.of(train.study().train()).length();
      SheetTables tables = new SheetTables(train.study().train(), train.cutSheet(), length);
      text.append("Teeth: ").append(tables.pitch()).append('\n');
      text.append("Clearance: ").append(SheetTables.clearance(train.study().train())).append('\n');
      tables.summary().forEach(line -> text.append(line).append('\n'));
      tables.all().forEach(table -> text.append('\n').append(table(table)));
    }
    return text.append('\n').append(Cautions.SCREENING).append('\n').toString();
  }

  private static String table(SheetTable table) {
    List<String> heads = new ArrayList<>(List.of(table.title()));
    heads.addAll(table.columns());
    TextTable text = new TextTable(1, heads.toArray(String[]::new));
    for (SheetTable.Row row : table.rows()) {
      List<String> cells = new ArrayList<>(Collections.singletonList(row.head()));
      row.cells().stream().map(SheetTable.Cell::plain).forEach(cells::add);
      text.add(cells.toArray(String[]::new));
    }
    return text.toString();
  }
}
