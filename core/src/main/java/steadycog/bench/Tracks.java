package steadycog.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import steadycog.bench.Recording.Channel;
import steadycog.number.Figures;

/**
 * Both angles of a recording as they went on: cut where there are gaps, and joined where they
 * started again after a whole turn.
 *
 * @param input turns, one a row
 * @param output turns, one a row
 * @param stretches rows between gaps
 * @param remarks what was found and done, in words
 * @param countable whether turns can be counted: false where the angle moves so far from row to row
 *     that it may have gone round
 */
record Tracks(
    double[] input,
    double[] output,
    List<Stretch> stretches,
    List<String> remarks,
    boolean countable) {
  /** A pause so many times longer than usual is a gap. */
  private static final double GAP = 6.5;

  /** Of a turn from row to row; more could as well be less in the other sense. */
  private static final double MOST_STEP = 0.4;

  private static final double FEW = 0.001;
  private static final int MOST_GAPS_TOLD = 5;

  /** Rows {@code from} up to but not including {@code to}. */
  record Stretch(int from, int to) {
    int length() {
      return to - from;
    }
  }

  /** Empty without both angles. */
  static Optional<Tracks> of(Recording recording) {
    if (!recording.has(Channel.INPUT) || !recording.has(Channel.OUTPUT) || recording.rows() < 2) {
      return Optional.empty();
    }
    List<String> remarks = new ArrayList<>();
    List<Stretch> stretches = stretches(recording, remarks);
    boolean[] countable = {true};
    double[] input = unwrapped(recording, Channel.INPUT, stretches, remarks, countable);
    double[] output = unwrapped(recording, Channel.OUTPUT, stretches, remarks, countable);
    return Optional.of(new Tracks(input, output, stretches, remarks, countable[0]));
  }

  /** Cuts where time jumps, goes back, or either angle is missing. */
  static List<Stretch> stretches(Recording recording, List<String> remarks) {
    Optional<double[]> time = recording.column(Channel.TIME);
    double usual = time.map(Tracks::usualStep).orElse(0.0);
    List<double[]> angles =
        List.of(Channel.INPUT, Channel.OUTPUT).stream()
            .flatMap(channel -> recording.column(channel).stream())
            .toList();
    List<Stretch> all = new ArrayList<>();
    int from = 0;
    int gaps = 0;
    for (int k = 0; k < recording.rows(); k++) {
      int row = k;
      boolean missing = angles.stream().anyMatch(angle -> Double.isNaN(angle[row]));
      double step = k > 0 && time.isPresent() ? time.get()[k] - time.get()[k - 1] : usual;
      boolean cut = k > from && (step > GAP * usual && usual > 0 || step < 0);
      if (cut && gaps++ < MOST_GAPS_TOLD) {
        remarks.add(
            (step < 0 ? "time runs back at line " : "a gap of " + text(step) + " s at line ")
                + recording.lines()[k]
                + ": turns are counted on both sides of it, not across");
      }
      if (cut || missing) {
        add(all, from, k);
        from = missing ? k + 1 : k;
      }
    }
    add(all, from, recording.rows());
    if (gaps > MOST_GAPS_TOLD) {
      remarks.add((gaps - MOST_GAPS_TOLD) + " more gaps");
    }
    return all;
  }

  private static void add(List<Stretch> all, int from, int to) {
    if (to - from >= 2) {
      all.add(new Stretch(from, to));
    }
  }

  /** The median of the steps that go forward. */
  private static double usualStep(double[] time) {
    double[] steps = new double[time.length - 1];
    int n = 0;
    for (int k = 1; k < time.length; k++) {
      double step = time[k] - time[k - 1];
      if (step > 0) {
        steps[n++] = step;
      }
    }
    double[] forward = Arrays.copyOf(steps, n);
    Arrays.sort(forward);
    return n == 0 ? 0 : forward[n / 2];
  }

  private static double[] unwrapped(
      Recording recording,
      Channel channel,
      List<Stretch> stretches,
      List<String> remarks,
      boolean[] countable) {
    double[] raw = recording.column(channel).orElseThrow();
    double period = period(recording, channel, raw, stretches);
    if (period == 0) {
      return raw;
    }
    double[] whole = raw.clone();
    long times = 0;
    long far = 0;
    for (Stretch stretch : stretches) {
      double added = 0;
      for (int k = stretch.from + 1; k < stretch.to; k++) {
        double rounds = Math.rint((raw[k] - raw[k - 1]) / period);
        added -= rounds * period;
        times += rounds != 0 ? 1 : 0;
        whole[k] = raw[k] + added;
        far += Math.abs(whole[k] - whole[k - 1]) > MOST_STEP * period ? 1 : 0;
      }
    }
    remarks.add(
        "the "
            + channel.title()
            + " starts again after "
            + (period == 1 ? "each turn" : text(period) + " turns")
            + ": joined "
            + times
            + (times == 1 ? " time" : " times"));
    if (far > FEW * recording.rows()) {
      countable[0] = false;
      remarks.add(
          "the "
              + channel.title()
              + " moves more than "
              + text(MOST_STEP * period)
              + " turns from row to row, so its turns cannot be counted: record faster, or angles"
              + " that go on");
    }
    return whole;
  }

  /** The turns after which it starts again; 0 where it does not. */
  private static double period(
      Recording recording, Channel channel, double[] raw, List<Stretch> stretches) {
    double range = range(raw);
    List<Double> candidates = new ArrayList<>(List.of(1.0));
    Optional.ofNullable(recording.wraps().get(channel)).ifPresent(candidates::addFirst);
    for (double period : candidates) {
      if (period > 0 && range <= period * (1 + 1e-9) && jumps(raw, stretches, period)) {
        return period;
      }
    }
    return 0;
  }

  /**
   * The greatest value less the least, leaving out what is missing; minus infinity where all is.
   */
  static double range(double[] values) {
    DoubleSummaryStatistics all =
        Arrays.stream(values).filter(value -> !Double.isNaN(value)).summaryStatistics();
    return all.getCount() == 0 ? Double.NEGATIVE_INFINITY : all.getMax() - all.getMin();
  }

  private static boolean jumps(double[] raw, List<Stretch> stretches, double period) {
    for (Stretch stretch : stretches) {
      for (int k = stretch.from + 1; k < stretch.to; k++) {
        if (Math.abs(raw[k] - raw[k - 1]) > period / 2) {
          return true;
        }
      }
    }
    return false;
  }

  private static String text(double value) {
    return Figures.significant(value, 3);
  }
}
