package steadycog.cli;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import steadycog.format.csv.SheetCsv;
import steadycog.format.json.CutSheetJson;
import steadycog.job.Job;
import steadycog.job.TrainText;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.report.Cautions;
import steadycog.sizing.SheetSummary;
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

  @ArgGroup(exclusive = true)
  Output output = new Output();

  @Option(names = "--inch", description = "lengths in inches, the same as --units in")
  boolean inch;

  @Override
  public Integer call() {
    return input.with(this::print);
  }

  private int print(Job job) {
    input.requires("--units", !output.json, "JSON is in mm: leave it out");
    input.requires("--inch", !output.json, "JSON is in mm: leave it out");
    List<NamedStudy> trains = CardInput.studies(job);
    if (output.json) {
      input.print(CutSheetJson.write(trains));
    } else if (output.csv) {
      input.print(SheetCsv.write(trains, this::units));
    } else {
      input.tell(text(trains));
    }
    return CardInput.exitCode(trains);
  }

  private Units units(NamedStudy train) {
    Units units = input.units(train.study().train());
    return inch ? units.with(Unit.IN) : units;
  }

  private String text(List<NamedStudy> trains) {
    List<TrainText> texts =
        trains.stream().map(train -> new TrainText(train.name(), text(train))).toList();
    return Lines.headed(texts, trains.size() > 1) + "\n" + Cautions.SCREENING + "\n";
  }

  private String text(NamedStudy train) {
    StringBuilder text = new StringBuilder();
    Units units = units(train);
    SheetTables tables = new SheetTables(train.study().train(), train.cutSheet(), units);
    SheetSummary above = tables.summary();
    text.append("Teeth: ").append(above.pitch()).append('\n');
    text.append("Clearance: ").append(above.clearance()).append('\n');
    above.lines(true).forEach(line -> text.append(line).append('\n'));
    train.tables(tables, units).forEach(table -> text.append('\n').append(table(table)));
    return text.toString();
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
