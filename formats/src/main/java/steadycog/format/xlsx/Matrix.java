package steadycog.format.xlsx;

import java.util.List;
import java.util.Map;
import org.dhatim.fastexcel.Worksheet;

/** Equations on a sheet, a row each and as many as unknowns, and below them their inverse. */
final class Matrix {
  private final Worksheet sheet;
  private final int top;
  private final List<String> unknowns;

  /**
   * Begins one.
   *
   * @param top row of its heads, from 0
   * @param title over its rows
   * @param unknowns their names
   */
  Matrix(Worksheet sheet, int top, String title, List<String> unknowns) {
    this.sheet = sheet;
    this.top = top;
    this.unknowns = List.copyOf(unknowns);
    sheet.value(top, 0, title);
    for (int k = 0; k < size(); k++) {
      sheet.value(top, 1 + k, unknowns.get(k));
    }
    sheet.range(top, 0, top, 1 + size()).style().bold().set();
  }

  private int size() {
    return unknowns.size();
  }

  /** The row in which an equation stands, from 0. */
  int row(int equation) {
    return top + 1 + equation;
  }

  /**
   * Writes an equation.
   *
   * @param terms by the number of the unknown: what it is multiplied by, as a formula; 0 for others
   */
  void equation(int equation, String name, Map<Integer, String> terms) {
    int row = row(equation);
    sheet.value(row, 0, name);
    for (int k = 0; k < size(); k++) {
      String term = terms.get(k);
      if (term == null) {
        sheet.value(row, 1 + k, 0);
      } else {
        sheet.formula(row, 1 + k, term);
      }
    }
  }

  /** Writes the inverse, once all equations stand. */
  void invert() {
    sheet.value(inverseRow(-1), 0, "The inverse");
    sheet.style(inverseRow(-1), 0).bold().set();
    String all = Books.range(row(0), 1, row(size() - 1), size());
    for (int k = 0; k < size(); k++) {
      sheet.value(inverseRow(k), 0, unknowns.get(k));
      for (int e = 0; e < size(); e++) {
        sheet.formula(
            inverseRow(k), 1 + e, "INDEX(MINVERSE(" + all + ")," + (k + 1) + "," + (e + 1) + ")");
      }
    }
  }

  private int inverseRow(int unknown) {
    return row(size()) + 2 + unknown;
  }

  /** The cell that says what an unknown gets of the right-hand side of an equation. */
  String inverse(int unknown, int equation) {
    return Books.cell(sheet, inverseRow(unknown), 1 + equation);
  }

  /** The first free row below, one left empty. */
  int end() {
    return inverseRow(size()) + 1;
  }
}
