package steadycog.cli;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Rows in columns for a terminal: the first columns to the left, numbers to the right. No line is
 * longer than {@link Lines#MOST}: words in the last column go on below, and of a table that is
 * wider still the columns stand in groups below each other, each behind the first column.
 */
final class TextTable {
  private static final String GAP = "  ";

  /** Room that words in the last column need to be read. */
  private static final int LEAST_WORDS = 24;

  private final List<String> heads;
  private final int leftColumns;
  private final List<List<String>> rows = new ArrayList<>();
  private final List<String> below = new ArrayList<>();

  TextTable(int leftColumns, String... heads) {
    this.heads = List.of(heads);
    this.leftColumns = leftColumns;
  }

  void add(String... cells) {
    if (cells.length != heads.size()) {
      throw new IllegalArgumentException(cells.length + " cells under " + heads.size() + " heads");
    }
    rows.add(List.of(cells));
    below.add("");
  }

  /** A row with lines of its own below it. */
  void add(List<String> under, String... cells) {
    add(cells);
    below.set(
        below.size() - 1,
        String.join("", under.stream().map(line -> Lines.INDENT + line + "\n").toList()));
  }

  boolean isEmpty() {
    return rows.isEmpty();
  }

  @Override
  public String toString() {
    int last = heads.size() - 1;
    List<Integer> all = IntStream.rangeClosed(0, last).filter(this::says).boxed().toList();
    if (width(all) <= Lines.MOST) {
      return block(all);
    }
    int room = Lines.MOST - width(all.stream().filter(c -> c < last).toList()) - GAP.length();
    boolean words = rows.stream().anyMatch(row -> row.get(last).contains(" "));
    return words && room >= LEAST_WORDS ? wrapped(all, room) : groups(all);
  }

  /** Whether anything stands in a column; the first one always does. */
  private boolean says(int column) {
    return column == 0
        || rows.isEmpty()
        || rows.stream()
            .anyMatch(row -> !row.get(column).isEmpty() && !row.get(column).equals("-"));
  }

  private String groups(List<Integer> columns) {
    StringBuilder text = new StringBuilder();
    List<Integer> group = new ArrayList<>(List.of(0));
    for (int c : columns.subList(1, columns.size())) {
      List<Integer> more = new ArrayList<>(group);
      more.add(c);
      if (group.size() > 1 && width(more) > Lines.MOST) {
        text.append(block(group)).append('\n');
        group = new ArrayList<>(List.of(0));
      }
      group.add(c);
    }
    return text.append(block(group)).toString();
  }

  /** With the words of the last column going on below. */
  private String wrapped(List<Integer> columns, int room) {
    TextTable table = new TextTable(heads.size(), heads.toArray(String[]::new));
    int last = heads.size() - 1;
    for (int r = 0; r < rows.size(); r++) {
      List<String> lines = Lines.wrapped(rows.get(r).get(last), room, "");
      for (int k = 0; k < lines.size(); k++) {
        List<String> row = new ArrayList<>();
        for (int c = 0; c < last; c++) {
          row.add(k > 0 ? "" : c < leftColumns ? rows.get(r).get(c) : right(r, c));
        }
        row.add(lines.get(k));
        table.add(row.toArray(String[]::new));
      }
      table.below.set(table.below.size() - 1, below.get(r));
    }
    return table.block(columns);
  }

  private String right(int row, int column) {
    return " ".repeat(width(column) - rows.get(row).get(column).length())
        + rows.get(row).get(column);
  }

  private String block(List<Integer> columns) {
    StringBuilder text = new StringBuilder();
    int[] widths = IntStream.range(0, heads.size()).map(this::width).toArray();
    line(text, columns, widths, heads);
    for (int r = 0; r < rows.size(); r++) {
      line(text, columns, widths, rows.get(r));
      text.append(columns.contains(heads.size() - 1) ? below.get(r) : "");
    }
    return text.toString();
  }

  /** Of the widest cell in characters. */
  private int width(int column) {
    return Math.max(
        heads.get(column).length(),
        rows.stream().mapToInt(row -> row.get(column).length()).max().orElse(0));
  }

  /** Of a whole line, at most: signs beyond ASCII count as many bytes as some tools count. */
  private int width(List<Integer> columns) {
    return columns.stream()
            .mapToInt(
                c ->
                    width(c)
                        + Math.max(
                            extra(heads.get(c)),
                            rows.stream().mapToInt(row -> extra(row.get(c))).max().orElse(0)))
            .sum()
        + GAP.length() * (columns.size() - 1);
  }

  private static int extra(String cell) {
    return cell.getBytes(StandardCharsets.UTF_8).length - cell.length();
  }

  private void line(StringBuilder text, List<Integer> columns, int[] widths, List<String> cells) {
    StringBuilder line = new StringBuilder();
    for (int c : columns) {
      String pad = " ".repeat(widths[c] - cells.get(c).length());
      line.append(c == columns.getFirst() ? "" : GAP);
      line.append(c < leftColumns ? cells.get(c) + pad : pad + cells.get(c));
    }
    text.append(line.toString().stripTrailing()).append('\n');
  }
}
