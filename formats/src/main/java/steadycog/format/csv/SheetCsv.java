package steadycog.format.csv;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import steadycog.number.Units;
import steadycog.sizing.SheetTable;
import steadycog.study.NamedStudy;

/** Cut sheets as lines: one a value, named by train, table, item and quantity. */
public final class SheetCsv {
  private static final List<String> TITLES =
      List.of("train", "table", "of", "quantity", "value", "unit", "words", "assumed");

  private SheetCsv() {}

  /**
   * The cut sheets of all trains, a value a line.
   *
   * @param units in which each train is shown
   */
  public static String write(List<NamedStudy> trains, Function<NamedStudy, Units> units) {
    List<List<String>> lines = new ArrayList<>();
    for (NamedStudy train : trains) {
      for (SheetTable table : train.tables(units.apply(train))) {
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
      Value value = Value.of(cell.text().replace('\u2212', '-'), row.unit());
      lines.add(
          List.of(
              train,
              table.title(),
              table.columns().get(column),
              row.label(),
              value.number,
              value.unit,
              value.words,
              cell.text().isEmpty() ? "" : Boolean.toString(cell.assumed())));
    }
  }

  /** A cell taken apart into a number, its unit, and what else it says. */
  private record Value(String number, String unit, String words) {
    private static final Pattern NUMBER =
        Pattern.compile("([-+]?\\d+(?:\\.\\d+)?)(?: (mm|in|cm))?(?: (.*)|(i))?");

    static Value of(String text, String unit) {
      Matcher number = NUMBER.matcher(text);
      if (!number.matches()) {
        return new Value("", text.isEmpty() ? unit : "", text);
      }
      String own = number.group(2) == null ? unit : number.group(2);
      return new Value(number.group(1), own, words(number));
    }

    private static String words(Matcher number) {
      return number.group(4) != null ? "internal" : number.group(3) == null ? "" : number.group(3);
    }
  }
}
