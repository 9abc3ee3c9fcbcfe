package steadycog.motion;

import java.util.Arrays;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;

/**
 * Linear equations over the rationals with several right-hand sides, brought to reduced row echelon
 * form (Gauss-Jordan). Cost: rows x columns x rank at worst; chains stay near linear since zeros
 * are skipped.
 */
public final class LinearSystem {
  private final int unknowns;
  private final BigFraction[][] rows;
  private final int[] pivotRow;
  private int rank;

  /**
   * Reduces the system. {@code coefficients[r]} holds the unknowns' coefficients of equation r
   * followed by its right-hand sides; the array is left as it was.
   *
   * @param unknowns how many leading entries of each row are coefficients
   */
  public LinearSystem(BigFraction[][] coefficients, int unknowns) {
    this.unknowns = unknowns;
    this.rows = new BigFraction[coefficients.length][];
    for (int r = 0; r < rows.length; r++) {
      rows[r] = coefficients[r].clone();
    }
    this.pivotRow = new int[unknowns];
    Arrays.fill(pivotRow, -1);
    reduce();
  }

  /** How many equations are independent. */
  public int rank() {
    return rank;
  }

  /** Whether right-hand side {@code side} can be met. */
  public boolean consistent(int side) {
    for (int r = rank; r < rows.length; r++) {
      if (!Exact.isZero(rows[r][unknowns + side])) {
        return false;
      }
    }
    return true;
  }

  /** The left-over right-hand sides of one dependent equation, index 0 to {@link #spare}. */
  BigFraction residue(int spare, int side) {
    return rows[rank + spare][unknowns + side];
  }

  /** How many equations depend on the others. */
  int spare() {
    return rows.length - rank;
  }

  /** Whether the equations settle {@code unknown}. */
  public boolean settled(int unknown) {
    if (pivotRow[unknown] < 0) {
      return false;
    }
    BigFraction[] row = rows[pivotRow[unknown]];
    for (int c = 0; c < unknowns; c++) {
      if (c != unknown && !Exact.isZero(row[c])) {
        return false;
      }
    }
    return true;
  }

  /** The value of {@code unknown}, or empty unless it is settled. */
  public Optional<BigFraction> value(int unknown, int side) {
    return settled(unknown) ? Optional.of(basicValue(unknown, side)) : Optional.empty();
  }

  /** The value of {@code unknown} in the solution whose unsettled unknowns are zero. */
  BigFraction basicValue(int unknown, int side) {
    int row = pivotRow[unknown];
    return row < 0 ? BigFraction.ZERO : rows[row][unknowns + side];
  }

  /** Forwards to echelon form, then backwards: a chain costs a few operations a link. */
  private void reduce() {
    int[] pivotColumn = new int[Math.min(rows.length, unknowns)];
    for (int column = 0; column < unknowns && rank < rows.length; column++) {
      int pivot = findPivot(column);
      if (pivot >= 0) {
        BigFraction[] row = rows[pivot];
        rows[pivot] = rows[rank];
        rows[rank] = row;
        scale(row, column);
        eliminate(column, row, rank + 1, rows.length);
        pivotColumn[rank] = column;
        pivotRow[column] = rank++;
      }
    }
    for (int r = rank - 1; r > 0; r--) {
      eliminate(pivotColumn[r], rows[r], 0, r);
    }
  }

  private void eliminate(int column, BigFraction[] pivot, int from, int to) {
    for (int r = from; r < to; r++) {
      if (!Exact.isZero(rows[r][column])) {
        subtract(rows[r], pivot, column);
      }
    }
  }

  /** The equation with the fewest terms among those that have the unknown: least is filled in. */
  private int findPivot(int column) {
    int best = -1;
    int fewest = Integer.MAX_VALUE;
    for (int r = rank; r < rows.length; r++) {
      if (!Exact.isZero(rows[r][column])) {
        int terms = terms(rows[r], column);
        if (terms < fewest) {
          fewest = terms;
          best = r;
        }
      }
    }
    return best;
  }

  private static int terms(BigFraction[] row, int from) {
    int terms = 0;
    for (int c = from; c < row.length; c++) {
      terms += Exact.isZero(row[c]) ? 0 : 1;
    }
    return terms;
  }

  private static void scale(BigFraction[] row, int column) {
    BigFraction factor = row[column].reciprocal();
    for (int c = column; c < row.length; c++) {
      if (!Exact.isZero(row[c])) {
        row[c] = row[c].multiply(factor);
      }
    }
  }

  private static void subtract(BigFraction[] target, BigFraction[] pivot, int column) {
    BigFraction factor = target[column];
    for (int c = column; c < target.length; c++) {
      if (!Exact.isZero(pivot[c])) {
        target[c] = target[c].subtract(pivot[c].multiply(factor));
      }
    }
  }
}
