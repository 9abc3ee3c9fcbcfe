package steadycog.format.pdf;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import steadycog.report.Block;

/** Tables on paper. */
final class PaperTable {
  /** Of the width of a table, for its first column. */
  private static final float LEAST_FIRST = 0.16F;

  private static final float MOST_FIRST = 0.46F;

  private final Paper paper;
  private final Tags tags;

  PaperTable(Paper paper, Tags tags) {
    this.paper = paper;
    this.tags = tags;
  }

  /**
   * A table: the first column to the left, the others to the right; too many columns go into
   * further tables below.
   */
  void draw(Block.Table table) throws IOException {
    List<String> heads = table.heads();
    int most = table.most();
    paper.need(4 * Paper.ROW + 3);
    tags.in(
        "Caption",
        () -> paper.line(table.caption(), Typefaces.ITALIC, Paper.BODY - 1, Paper.FAINT));
    for (int from = 1; from < heads.size(); from += most) {
      int to = Math.min(heads.size(), from + most);
      List<Integer> columns = new ArrayList<>(List.of(0));
      for (int c = from; c < to; c++) {
        columns.add(c);
      }
      part(heads, table.rows(), columns, most);
      paper.space(6);
    }
  }

  private void part(List<String> heads, List<List<String>> rows, List<Integer> columns, int most)
      throws IOException {
    float widest = 0;
    for (List<String> row : rows) {
      widest =
          Math.max(widest, paper.measure(row.getFirst(), Typefaces.REGULAR, Paper.BODY - 0.5F) + 8);
    }
    float first = Math.clamp(widest, Paper.width() * LEAST_FIRST, Paper.width() * MOST_FIRST);
    float other = (Paper.width() - first) / Math.max(3, Math.min(most, columns.size() - 1));
    paper.space(3);
    paper.need(3 * Paper.ROW);
    tags.start("Table");
    tags.in("TR", () -> heads(heads, columns, first, other));
    for (List<String> row : rows) {
      if (paper.left() < Paper.ROW) {
        paper.turn();
        paper.artifact(() -> heads(heads, columns, first, other));
      }
      tags.in("TR", () -> row(row, columns, first, other));
    }
    tags.end();
  }

  /** The heads of a table, in several lines where they are long. */
  private void heads(List<String> heads, List<Integer> columns, float first, float other)
      throws IOException {
    float size = Paper.BODY - 0.5F;
    float top = paper.at();
    List<List<String>> all = new ArrayList<>();
    int most = 1;
    for (int c : columns) {
      float room = c == 0 ? first : other - 6;
      all.add(paper.broken(heads.get(c), Typefaces.BOLD, size, room));
      most = Math.max(most, all.getLast().size());
    }
    float right = Paper.MARGIN + first;
    for (int k = 0; k < columns.size(); k++) {
      List<String> lines = all.get(k);
      float room = k == 0 ? first : other;
      float edge = right + k * other;
      float[] colour = k == 0 ? Paper.FAINT : Paper.INK;
      float highest = top - (most - lines.size() + 1) * size * Paper.LINE;
      boolean left = k == 0;
      tags.head(
          "Column",
          () -> {
            for (int line = 0; line < lines.size(); line++) {
              String word = lines.get(line);
              float fitting = fitting(word, Typefaces.BOLD, room);
              float x = left ? Paper.MARGIN : edge - paper.measure(word, Typefaces.BOLD, fitting);
              float base = highest - line * size * Paper.LINE + size * 0.3F;
              paper.put(word, x, base, Typefaces.BOLD, fitting, colour);
            }
          });
    }
    paper.goTo(top - most * size * Paper.LINE);
    paper.rule();
  }

  /** The size of type in which a cell fits its column. */
  private float fitting(String text, Typefaces face, float room) throws IOException {
    float size = Paper.BODY - 0.5F;
    return Math.min(size, size * (room - 4) / Math.max(1, paper.measure(text, face, size)));
  }

  private void row(List<String> cells, List<Integer> columns, float first, float other)
      throws IOException {
    float size = Paper.BODY - 0.5F;
    paper.need(size * Paper.LINE);
    paper.space(size * Paper.LINE);
    float y = paper.at();
    float right = Paper.MARGIN + first;
    for (int c : columns) {
      String text = cells.get(c);
      float fitting = fitting(text, Typefaces.REGULAR, c == 0 ? first : other);
      right += c == 0 ? 0 : other;
      float x = c == 0 ? Paper.MARGIN : right - paper.measure(text, Typefaces.REGULAR, fitting);
      Tags.Writing cell =
          () -> paper.put(text, x, y + size * 0.3F, Typefaces.REGULAR, fitting, Paper.INK);
      if (c == 0) {
        tags.head("Row", cell);
      } else {
        tags.in("TD", cell);
      }
    }
  }
}
