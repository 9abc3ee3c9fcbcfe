package steadycog.bench;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SpikesTest {
  private static final int ROWS = 600;
  private static final double LEAST = 0.02;

  /** An angle that starts, runs evenly, and stops, with some noise; perhaps starting again. */
  private static double[] angle(Random random, boolean wraps) {
    double step = random.nextDouble(-0.3, 0.3);
    double[] values = new double[ROWS];
    double at = random.nextDouble(-2, 2);
    for (int k = 0; k < ROWS; k++) {
      at += k < 60 || k > 540 ? 0 : step * Math.min(1, (k - 60) / 40.0);
      double noisy = at + 0.0005 * random.nextGaussian();
      values[k] = wraps ? noisy - Math.floor(noisy) : noisy;
    }
    return values;
  }

  /** Planted spikes are found, all of them and nothing else, and flattened to what was there. */
  @ParameterizedTest
  @ValueSource(booleans = {false, true})
  void whatWasPlantedIsFoundAndNothingElse(boolean wraps) {
    Random random = new Random(41);
    for (int round = 0; round < 200; round++) {
      double[] clean = angle(random, wraps);
      double period = wraps ? 1 : 0;
      assertEquals(List.of(), Spikes.of(clean, period, LEAST).rows(), "a clean one has none");
      double[] spiked = clean.clone();
      TreeSet<Integer> planted = new TreeSet<>();
      while (planted.size() < 6) {
        int row = random.nextInt(120, 520);
        if (planted.subSet(row - 12, row + 12).isEmpty()) {
          planted.add(row);
          spiked[row] += (random.nextBoolean() ? 1 : -1) * random.nextDouble(0.12, 0.4);
        }
      }
      Spikes found = Spikes.of(spiked, period, LEAST);
      assertEquals(new ArrayList<>(planted), found.rows(), () -> "wraps " + wraps);
      for (int row : planted) {
        assertEquals(0, Spikes.turn(found.values()[row] - clean[row], period), 0.02);
      }
    }
  }

  @Test
  void stepsAndRampsAndRoughReadingsAreNoSpikes() {
    double[] steps =
        IntStream.range(0, 400).mapToDouble(k -> Math.floorDiv(k, 50) * 0.25).toArray();
    double[] ramp = IntStream.range(0, 400).mapToDouble(k -> 0.003 * k * k).toArray();
    Random random = new Random(6);
    double[] rough = random.doubles(400, -1, 1).toArray();
    double[] still = new double[400];
    for (double[] each : List.of(steps, ramp, rough, still)) {
      assertArrayEquals(each, Spikes.of(each, 0, LEAST).values());
    }
  }

  @Test
  void theyAreSaidWithTheirLines() {
    double[] one = new double[50];
    one[20] = 5;
    Spikes found = Spikes.of(one, 0, LEAST);
    int[] lines = IntStream.range(2, 52).toArray();
    assertEquals(
        List.of("1 spike of the torque out set aside, at line 22"),
        found.remarks("torque out", lines));
    assertTrue(Spikes.of(new double[50], 0, LEAST).remarks("torque out", lines).isEmpty());
    assertEquals(0, found.values()[20], 1e-12);
  }
}
