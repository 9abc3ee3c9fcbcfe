package steadycog.motion;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import steadycog.number.Exact;

class LinearSystemTest {

  private static BigFraction[][] random(Random random, int rows, int columns) {
    BigFraction[][] matrix = new BigFraction[rows][columns];
    for (BigFraction[] row : matrix) {
      for (int c = 0; c < columns; c++) {
        row[c] =
            random.nextInt(3) == 0
                ? Exact.of(random.nextInt(-9, 10), random.nextInt(1, 9))
                : BigFraction.ZERO;
      }
    }
    return matrix;
  }

  /**
   * Every solution found, put back into the equations, meets them; the system itself is untouched.
   */
  @Test
  void solutionsMeetEveryEquation() {
    Random random = new Random(71);
    int consistent = 0;
    int inconsistent = 0;
    for (int run = 0; run < 400; run++) {
      int unknowns = 1 + random.nextInt(7);
      BigFraction[][] rows = random(random, 1 + random.nextInt(8), unknowns + 1);
      BigFraction[][] before = copy(rows);
      LinearSystem system = new LinearSystem(rows, unknowns);
      for (int r = 0; r < rows.length; r++) {
        assertEquals(List.of(before[r]), List.of(rows[r]));
      }
      if (!system.consistent(0)) {
        inconsistent++;
        continue;
      }
      consistent++;
      for (BigFraction[] row : rows) {
        BigFraction sum = BigFraction.ZERO;
        for (int c = 0; c < unknowns; c++) {
          sum = sum.add(row[c].multiply(system.basicValue(c, 0)));
        }
        assertTrue(Exact.isZero(sum.subtract(row[unknowns])));
      }
    }
    assertTrue(consistent > 50 && inconsistent > 50, consistent + " and " + inconsistent);
  }

  /** A settled unknown keeps its value whatever the others do; an unsettled one can be moved. */
  @Test
  void settledMeansThatAnotherValueContradicts() {
    Random random = new Random(72);
    for (int run = 0; run < 300; run++) {
      int unknowns = 2 + random.nextInt(5);
      BigFraction[][] rows = random(random, 1 + random.nextInt(5), unknowns + 1);
      LinearSystem system = new LinearSystem(rows, unknowns);
      if (!system.consistent(0)) {
        continue;
      }
      for (int c = 0; c < unknowns; c++) {
        BigFraction other = system.basicValue(c, 0).add(BigFraction.ONE);
        LinearSystem moved = new LinearSystem(with(rows, unknowns, c, other), unknowns);
        assertEquals(!system.settled(c), moved.consistent(0));
        assertEquals(
            system.settled(c) ? Optional.of(system.basicValue(c, 0)) : Optional.empty(),
            system.value(c, 0));
      }
    }
  }

  @Test
  void dependentEquationsDoNotRaiseTheRank() {
    BigFraction two = BigFraction.of(2);
    BigFraction[][] rows = {
      {BigFraction.ONE, two, BigFraction.ONE},
      {two, BigFraction.of(4), two},
      {BigFraction.ZERO, BigFraction.ZERO, BigFraction.ZERO}
    };
    LinearSystem system = new LinearSystem(rows, 2);
    assertEquals(1, system.rank());
    assertTrue(system.consistent(0));
    assertFalse(system.settled(0));
  }

  private static BigFraction[][] copy(BigFraction[][] rows) {
    BigFraction[][] copy = new BigFraction[rows.length][];
    for (int r = 0; r < rows.length; r++) {
      copy[r] = rows[r].clone();
    }
    return copy;
  }

  private static BigFraction[][] with(
      BigFraction[][] rows, int unknowns, int unknown, BigFraction value) {
    BigFraction[][] more = new BigFraction[rows.length + 1][];
    System.arraycopy(rows, 0, more, 0, rows.length);
    more[rows.length] = MotionSolver.zeros(unknowns + 1);
    more[rows.length][unknown] = BigFraction.ONE;
    more[rows.length][unknowns] = value;
    return more;
  }
}
