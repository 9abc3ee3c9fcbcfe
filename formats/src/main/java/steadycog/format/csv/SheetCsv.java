package steadycog.format.csv;

import java.util.ArrayList;
import java.util.List;
import steadycog.number.Unit;
import steadycog.sizing.SheetTable;
import steadycog.sizing.SheetTables;
import steadycog.study.NamedStudy;

/** Cut sheets as lines: one a value, named by train, table, item and quantity. */
public final class SheetCsv {
  private static final List<String> TITLES =
      List.of("train", "table", "of", "quantity", "unit", "value", "assumed");

  private SheetCsv() {}

  /**
   * @param length unit of lengths, mm or in
   */
  public static String write(List<NamedStudy> trains, Unit length) {
    List<List<String>> lines = new ArrayList<>();
    for (NamedStudy train : trains) {
      SheetTables tables = new SheetTables(train.study().train(), train.cutSheet(), length);
      for (SheetTable table : tables.all()) {
        for (int column = 0; column < table.columns().size(); column++) {
          addColumn(lines, train.name(), table, column);
        }
      }
    }
    return Csv.write(TITLES, lines);
  }

  private static void addColumn(
      List<List<String>> lines, String train, SheetTable table, int column) {
    for (SheetTable.Row row : table.rows()) {
      SheetTable.Cell cell = row.cells().get(column);
      lines.add(
          List.of(
              train,
              table.title(),
              table.columns().get(column),
              row.label(),
              row.unit(),
              cell.text().replace('\u2212', '-'),
              cell.text().isEmpty() ? "" : Boolean.toString(cell.assumed())));
    }
  }
}
