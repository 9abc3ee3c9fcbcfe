package steadycog.sizing;

import java.util.List;

/**
 * A table of the cut sheet as people read it: the same words on the screen, on paper and in text.
 *
 * @param title what it is about
 * @param columns one a wheel, mesh or shaft
 * @param rows one a quantity
 */
public record SheetTable(String title, List<String> columns, List<Row> rows) {

  /** What a row of the wheels' table is, for those who change it. */
  public enum Field {
    /** The size of its teeth, and of all that mesh with them. */
    MODULE,
    /** How its teeth wind, and all that mesh with them. */
    HELIX,
    SHIFT,
    BORE,
    WIDTH,
    OFFSET,
    MATERIAL,
    DISTANCE,
    /** Follows from others. */
    FOLLOWS
  }

  /**
   * A quantity.
   *
   * @param label its name
   * @param unit of all cells, or empty
   * @param field what it is
   * @param cells one a column
   */
  public record Row(String label, String unit, Field field, List<Cell> cells) {
    public Row {
      cells = List.copyOf(cells);
    }

    /** Label and unit: {@code tip diameter, mm}. */
    public String head() {
      return unit.isEmpty() ? label : label + ", " + unit;
    }
  }

  /**
   * A value.
   *
   * @param text empty where it does not apply
   * @param assumed whether the card leaves it to usual proportions
   * @param alarm whether it must not be so
   */
  public record Cell(String text, boolean assumed, boolean alarm) {
    public static final Cell NONE = new Cell("", false, false);

    public static Cell of(String text) {
      return new Cell(text, false, false);
    }

    /** As paper shows it: what is assumed in brackets. */
    public String plain() {
      return assumed && !text.isEmpty() ? "(" + text + ")" : text;
    }
  }

  public SheetTable {
    columns = List.copyOf(columns);
    rows = List.copyOf(rows);
  }

  /** Whether any value is assumed. */
  public boolean assumes() {
    return rows.stream().flatMap(row -> row.cells.stream()).anyMatch(Cell::assumed);
  }
}
