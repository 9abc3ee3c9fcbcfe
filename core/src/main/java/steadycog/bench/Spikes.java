package steadycog.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Readings that jump away and back within a few rows, as a bad contact makes them.
 *
 * @param values with every spike put on the line between its neighbours
 * @param rows in which they stood
 */
@SuppressWarnings("ArrayRecordComponent") // Never compared.
record Spikes(double[] values, List<Integer> rows) {
  private static final int WIDEST = 3;
  private static final int AROUND = 7;

  /** Of the usual change of a change from row to row. */
  private static final double FAR = 12;

  /** With more of them than this the readings are rough, not spiked. */
  private static final double MANY = 0.02;

  private static final int SAMPLES = 20_000;

  /**
   * Finds and flattens spikes. Cost: linear in the rows.
   *
   * @param period after which the readings start again; 0 where they do not
   * @param least what is no spike in any case, in the units of the readings
   */
  static Spikes of(double[] raw, double period, double least) {
    double most = Math.max(least, FAR * usualBend(raw, period));
    double[] values = raw.clone();
    List<Integer> rows = new ArrayList<>();
    for (int k = 2; k < values.length - 1; k++) {
      double step = turn(values[k] - values[k - 1], period);
      double before = turn(values[k - 1] - values[k - 2], period);
      if (!(Math.abs(turn(step - before, period)) > most)) {
        continue;
      }
      double usual = localStep(values, k, period);
      int width = width(values, k, usual, most, period);
      for (int j = 0; j < width; j++) {
        double whole = turn(values[k + width] - values[k - 1] - (width + 1) * usual, period);
        double share = (j + 1.0) / (width + 1);
        values[k + j] = values[k - 1] + (j + 1) * usual + share * whole;
        rows.add(k + j);
      }
    }
    return rows.size() > MANY * raw.length + 1
        ? new Spikes(raw, List.of())
        : new Spikes(values, rows);
  }

  /** Rows from {@code k} on that lie far off, behind which it goes on as before; 0 for none. */
  private static int width(double[] values, int k, double usual, double most, double period) {
    for (int w = 1; w <= WIDEST && k + w < values.length; w++) {
      double off = turn(values[k + w - 1] - values[k - 1] - w * usual, period);
      if (!(Math.abs(off) > most)) {
        return 0;
      }
      double back = turn(values[k + w] - values[k - 1] - (w + 1) * usual, period);
      if (Math.abs(back) <= most / 2) {
        return goesOn(values, k + w, usual, most, period) ? w : 0;
      }
    }
    return 0;
  }

  /** Whether the step behind a row is the usual one: else it is where the movement changes. */
  private static boolean goesOn(double[] values, int k, double usual, double most, double period) {
    return k + 1 >= values.length
        || Math.abs(turn(values[k + 1] - values[k] - usual, period)) <= most;
  }

  /** The median step around a row. */
  private static double localStep(double[] values, int k, double period) {
    double[] steps = new double[2 * AROUND];
    int n = 0;
    for (int m = Math.max(1, k - AROUND); m < Math.min(values.length, k + AROUND); m++) {
      double step = turn(values[m] - values[m - 1], period);
      if (!Double.isNaN(step)) {
        steps[n++] = step;
      }
    }
    Arrays.sort(steps, 0, n);
    return n == 0 ? 0 : steps[n / 2];
  }

  /** The median of how much one step differs from the one before. */
  private static double usualBend(double[] raw, double period) {
    int every = Math.max(1, raw.length / SAMPLES);
    double[] bends = new double[raw.length / every + 1];
    int n = 0;
    for (int k = 2; k < raw.length; k += every) {
      double bend = turn(raw[k] - 2 * raw[k - 1] + raw[k - 2], period);
      if (!Double.isNaN(bend)) {
        bends[n++] = Math.abs(bend);
      }
    }
    Arrays.sort(bends, 0, n);
    return n == 0 ? 0 : bends[n / 2];
  }

  /** A difference by the shorter way round. */
  static double turn(double difference, double period) {
    return period == 0 ? difference : difference - Math.rint(difference / period) * period;
  }

  /** How many and where, in words; empty where there are none. */
  List<String> remarks(String title, int[] lines) {
    if (rows.isEmpty()) {
      return List.of();
    }
    int shown = Math.min(WIDEST, rows.size());
    StringBuilder where = new StringBuilder();
    for (int k = 0; k < shown; k++) {
      where.append(k == 0 ? "" : ", ").append(lines[rows.get(k)]);
    }
    return List.of(
        rows.size()
            + (rows.size() == 1 ? " spike" : " spikes")
            + " of the "
            + title
            + " set aside, at line "
            + where
            + (rows.size() > shown ? " \u2026" : ""));
  }
}
