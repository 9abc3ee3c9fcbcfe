package steadycog.cli;

import java.util.ArrayList;
import java.util.List;

/** Rows in columns for a terminal: the first columns to the left, numbers to the right. */
final class TextTable {
  private static final String GAP = "  ";

  private final List<String> heads;
  private final int leftColumns;
  private final List<List<String>> rows = new ArrayList<>();

  TextTable(int leftColumns, String... heads) {
    this.heads = List.of(heads);
    this.leftColumns = leftColumns;
  }

  void add(String... cells) {
    if (cells.length != heads.size()) {
      throw new IllegalArgumentException(cells.length + " cells under " + heads.size() + " heads");
    }
    rows.add(List.of(cells));
  }

  boolean isEmpty() {
    return rows.isEmpty();
  }

  @Override
  public String toString() {
    int[] widths = new int[heads.size()];
    widen(widths, heads);
    rows.forEach(row -> widen(widths, row));
    StringBuilder text = new StringBuilder();
    line(text, widths, heads);
    rows.forEach(row -> line(text, widths, row));
    return text.toString();
  }

  private static void widen(int[] widths, List<String> cells) {
    for (int c = 0; c < widths.length; c++) {
      widths[c] = Math.max(widths[c], cells.get(c).length());
    }
  }

  private void line(StringBuilder text, int[] widths, List<String> cells) {
    StringBuilder line = new StringBuilder();
    for (int c = 0; c < widths.length; c++) {
      String pad = " ".repeat(widths[c] - cells.get(c).length());
      line.append(c == 0 ? "" : GAP);
      line.append(c < leftColumns ? cells.get(c) + pad : pad + cells.get(c));
    }
    text.append(line.toString().stripTrailing()).append('\n');
  }
}
