package steadycog.format.table;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import steadycog.format.json.UnreadableException;

/**
 * Tooth counts from a spreadsheet, {@code .csv} or the first sheet of an {@code .xlsx}. What a
 * column holds is told by its head, the first row that has heads which say how wheels mesh: a train
 * a row (sun, planet, ring; lobes; flex, circular; A, B, C; or its card), or a train of which each
 * row is a stage (driver, driven), or the wheels that there are (teeth, pieces).
 */
public final class CountTable {
  /** How the names of tables end. */
  public static final List<String> ENDINGS = List.of(".csv", TableRow.WORKBOOK);

  /** Of a job that is opened; scripts take more, a card a row. */
  public static final int MOST_TRAINS = 500;

  private static final int MOST_BEFORE_HEADS = 20;
  private static final String NAME = "name";
  private static final String CARD = "card";
  private static final String DRIVER = "driver";
  private static final String DRIVEN = "driven";
  private static final String TEETH = "teeth";
  private static final String PIECES = "pieces";

  /** Of these a bare number is in millimetres, as most people write it, by comma or point. */
  private static final Set<String> LENGTHS = Set.of("module", "width");

  /** Heads that are words of the card, put behind the counts. */
  private static final List<String> STATEMENTS =
      List.of("module", "width", "material", "clearance", "drive", "hold", "take");

  /** What people call columns beside the card's own words. */
  private static final Map<String, String> ALSO =
      Map.ofEntries(
          Map.entry("train", NAME),
          Map.entry("planets", "count"),
          Map.entry("number of planets", "count"),
          Map.entry("number of teeth", TEETH),
          Map.entry("tooth count", TEETH),
          Map.entry("z", TEETH),
          Map.entry("number", PIECES),
          Map.entry("quantity", PIECES),
          Map.entry("in", "drive"),
          Map.entry("out", "take"));

  private static final List<String> WAYS =
      List.of(
          "sun, planet, ring (and planets)",
          "lobes",
          "flex, circular",
          "A, B, C, D",
          "driver, driven",
          "card");

  private final List<String> heads;
  private final List<TableRow> rows;

  private CountTable(List<String> heads, List<TableRow> rows) {
    this.heads = heads;
    this.rows = rows;
  }

  /**
   * One train.
   *
   * @param row at which it stands in the file, from 1
   * @param name as the table has it, else the file's with its number
   * @param card in one line
   */
  public record Line(int row, String name, String card) {}

  /** Whether {@code file} is named as a table. */
  public static boolean isTable(Path file) {
    String name = file.toString().toLowerCase(Locale.ROOT);
    return ENDINGS.stream().anyMatch(name::endsWith);
  }

  /**
   * The trains of a table.
   *
   * @param called the name of trains without one
   * @throws UnreadableException if nothing in it says how wheels mesh, with the row
   */
  public static List<Line> trains(Path file, String called)
      throws IOException, UnreadableException {
    CountTable table = of(TableRow.of(file));
    if (table.has(DRIVER) && table.has(DRIVEN)) {
      return List.of(table.stages(called));
    }
    List<Line> lines = new ArrayList<>();
    for (TableRow row : table.rows) {
      String name = table.cell(row, NAME);
      lines.add(
          new Line(
              row.number(),
              name.isEmpty() ? called + " " + (lines.size() + 1) : name,
              table.card(row)));
    }
    return lines;
  }

  /**
   * The wheels that there are, as {@code 24x1, 36x2, 72ix1}; a table of one column needs no head.
   *
   * @throws UnreadableException if it has no column of teeth, or a cell is no number, with the row
   */
  public static String stock(Path file) throws IOException, UnreadableException {
    List<TableRow> all = TableRow.of(file);
    int head = 0;
    while (head < all.size() && !heads(all.get(head)).contains(TEETH)) {
      head++;
    }
    boolean bare =
        head == all.size() && !all.isEmpty() && all.stream().allMatch(CountTable::isCount);
    if (head == all.size() && !bare) {
      throw new UnreadableException(
          1, 1, "no stock list: a column teeth is needed, and may be one pieces; 72i is a ring");
    }
    CountTable table =
        bare
            ? new CountTable(List.of(TEETH), all)
            : new CountTable(heads(all.get(head)), all.subList(head + 1, all.size()));
    List<String> wheels = new ArrayList<>();
    for (TableRow row : table.rows) {
      String teeth = table.cell(row, TEETH);
      String pieces = table.cell(row, PIECES);
      if (!teeth.matches("\\d+i?") || !pieces.matches("\\d*")) {
        throw new UnreadableException(
            row.number(),
            1,
            "'" + (teeth + " " + pieces).strip() + "': expected a tooth count, and how many");
      }
      if (!pieces.equals("0")) {
        wheels.add(teeth + "x" + (pieces.isEmpty() ? "1" : pieces));
      }
    }
    if (wheels.isEmpty()) {
      throw new UnreadableException(1, 1, "no wheel is in stock");
    }
    return String.join(", ", wheels);
  }

  private static boolean isCount(TableRow row) {
    return row.cells().getFirst().matches("\\d+i?");
  }

  private static CountTable of(List<TableRow> all) throws UnreadableException {
    for (int k = 0; k < Math.min(all.size(), MOST_BEFORE_HEADS); k++) {
      CountTable table = new CountTable(heads(all.get(k)), all.subList(k + 1, all.size()));
      if (table.says()) {
        Set<String> seen = new HashSet<>();
        for (String head : table.heads) {
          if (!head.isEmpty() && !seen.add(head)) {
            throw new UnreadableException(
                all.get(k).number(), 1, "two columns are called " + head + ": rename one");
          }
        }
        if (table.rows.isEmpty()) {
          throw new UnreadableException(all.get(k).number(), 1, "no row below the heads");
        }
        return table;
      }
    }
    throw new UnreadableException(
        1, 1, "no row of heads says how wheels mesh: expected one of " + String.join("; ", WAYS));
  }

  private static List<String> heads(TableRow row) {
    return row.cells().stream()
        .map(cell -> isWheel(cell) ? cell : cell.toLowerCase(Locale.ROOT))
        .map(cell -> ALSO.getOrDefault(cell, cell))
        .toList();
  }

  /** {@code A} to {@code Z}: wheels of a chain. */
  private static boolean isWheel(String head) {
    return head.length() == 1 && head.charAt(0) >= 'A' && head.charAt(0) <= 'Z';
  }

  private boolean has(String head) {
    return heads.contains(head);
  }

  private boolean says() {
    return has(CARD)
        || (has("planet") && (has("sun") || has("ring")))
        || has("lobes")
        || has("nominal")
        || (has("flex") && has("circular"))
        || (has(DRIVER) && has(DRIVEN))
        || (has("A") && has("B"));
  }

  private String cell(TableRow row, String head) {
    int at = heads.indexOf(head);
    return at < 0 || at >= row.cells().size() ? "" : row.cells().get(at);
  }

  private Line stages(String called) {
    String chain =
        rows.stream()
            .map(row -> cell(row, DRIVER) + " ~ " + cell(row, DRIVEN))
            .collect(Collectors.joining(" = "));
    return new Line(
        rows.getFirst().number(),
        called,
        "parallel " + chain + rest(rows.getFirst(), DRIVER, DRIVEN));
  }

  private String card(TableRow row) {
    if (!cell(row, CARD).isEmpty()) {
      return cell(row, CARD).replaceAll("\\s*\n\\s*", "; ") + rest(row, CARD);
    } else if (has("planet")) {
      String count = cell(row, "count");
      return "planetary"
          + word(row, "sun")
          + word(row, "planet")
          + (count.isEmpty() ? "" : " " + (count.startsWith("x") ? "" : "x") + count)
          + word(row, "ring")
          + rest(row, "sun", "planet", "count", "ring");
    } else if (has("lobes")) {
      return "cycloidal" + words(row, "lobes", "pins", "discs");
    } else if (has("nominal") || has("flex")) {
      return "strainwave" + words(row, "nominal", "flex", "circular", "lobes");
    }
    return chain(row);
  }

  private String words(TableRow row, String... heads) {
    StringBuilder text = new StringBuilder();
    for (String head : heads) {
      text.append(word(row, head));
    }
    return text + rest(row, heads);
  }

  /** A then B, C then D: two by two on one shaft. */
  private String chain(TableRow row) {
    StringBuilder text = new StringBuilder("parallel");
    List<String> wheels = heads.stream().filter(CountTable::isWheel).sorted().toList();
    List<String> counted = wheels.stream().filter(head -> !cell(row, head).isEmpty()).toList();
    for (int k = 0; k < counted.size(); k++) {
      text.append(k == 0 ? " " : k % 2 == 1 ? " ~ " : " = ").append(cell(row, counted.get(k)));
    }
    return text + rest(row, wheels.toArray(String[]::new));
  }

  private String word(TableRow row, String head) {
    String cell = cell(row, head);
    return cell.isEmpty() ? "" : " " + head + " " + cell;
  }

  /** Statements of the card, and whatever else stands in the row as a comment: nothing is lost. */
  private String rest(TableRow row, String... said) {
    StringBuilder text = new StringBuilder();
    List<String> notes = new ArrayList<>();
    for (String head : STATEMENTS) {
      String cell = cell(row, head);
      if (!cell.isEmpty()) {
        boolean bare = LENGTHS.contains(head) && cell.matches("[\\d.,]+");
        text.append("; ").append(head).append(' ');
        text.append(bare ? cell.replace(',', '.') + " mm" : cell);
      }
    }
    Set<String> used = new HashSet<>(STATEMENTS);
    used.addAll(List.of(said));
    used.add(NAME);
    for (int k = 0; k < Math.min(heads.size(), row.cells().size()); k++) {
      String head = heads.get(k);
      String cell = row.cells().get(k);
      if (!used.contains(head) && !cell.isEmpty()) {
        notes.add((head.isEmpty() ? cell : head + ": " + cell).replaceAll("\\s+", " "));
      }
    }
    return text + (notes.isEmpty() ? "" : " # " + String.join(", ", notes));
  }
}
