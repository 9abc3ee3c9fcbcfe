package steadycog.torque;

import java.util.stream.IntStream;

/**
 * Linear equations in doubles, brought to reduced row echelon form with the largest pivot of each
 * column; for the many small systems of trying directions. Entries are tooth counts times
 * efficiencies, so that anything below {@value #ZERO} of the largest is rounding.
 */
final class Elimination {
  private static final double ZERO = 1e-11;

  private final double[][] rows;
  private final int unknowns;
  private final int[] pivotRow;
  private final double zero;
  private int rank;

  /** Reduces {@code rows} in place: {@code unknowns} coefficients each and a right-hand side. */
  Elimination(double[][] rows, int unknowns) {
    this.rows = rows;
    this.unknowns = unknowns;
    this.pivotRow = new int[unknowns];
    double largest = 0;
    for (double[] row : rows) {
      for (double entry : row) {
        largest = Math.max(largest, Math.abs(entry));
      }
    }
    zero = largest * ZERO;
    reduce();
  }

  private void reduce() {
    for (int column = 0; column < unknowns; column++) {
      int pivot = largestIn(column);
      pivotRow[column] = pivot;
      if (pivot >= 0) {
        double[] row = rows[pivot];
        rows[pivot] = rows[rank];
        rows[rank] = row;
        pivotRow[column] = rank;
        double factor = 1 / row[column];
        for (int c = column; c <= unknowns; c++) {
          row[c] *= factor;
        }
        int[] terms = terms(row, column);
        for (int r = 0; r < rows.length; r++) {
          if (r != rank && rows[r][column] != 0) {
            subtract(rows[r], row, column, terms);
          }
        }
        rank++;
      }
    }
  }

  private int largestIn(int column) {
    int best = -1;
    double most = zero;
    for (int r = rank; r < rows.length; r++) {
      if (Math.abs(rows[r][column]) > most) {
        most = Math.abs(rows[r][column]);
        best = r;
      }
    }
    return best;
  }

  /** Where a row has something: chains have two terms an equation, however long they are. */
  private int[] terms(double[] row, int from) {
    return IntStream.rangeClosed(from, unknowns).filter(c -> row[c] != 0).toArray();
  }

  private static void subtract(double[] target, double[] pivot, int column, int[] terms) {
    double factor = target[column];
    for (int c : terms) {
      target[c] -= factor * pivot[c];
    }
    target[column] = 0;
  }

  /** Whether some values meet all equations. */
  boolean consistent() {
    for (int r = rank; r < rows.length; r++) {
      if (Math.abs(rows[r][unknowns]) > zero) {
        return false;
      }
    }
    return true;
  }

  /** Whether the equations settle {@code unknown}. */
  boolean settled(int unknown) {
    if (pivotRow[unknown] < 0) {
      return false;
    }
    double[] row = rows[pivotRow[unknown]];
    for (int c = 0; c < unknowns; c++) {
      if (c != unknown && Math.abs(row[c]) > ZERO) {
        return false;
      }
    }
    return true;
  }

  /** The value of {@code unknown} where unsettled ones are zero. */
  double value(int unknown) {
    return pivotRow[unknown] < 0 ? 0 : rows[pivotRow[unknown]][unknowns];
  }
}
