package steadycog.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
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
 * @param period turns after which the input was read as starting again; 0 where it was not
 */
@SuppressWarnings("ArrayRecordComponent") // Never compared.
record Tracks(
    double[] input,
    double[] output,
    List<Stretch> stretches,
    List<String> remarks,
    boolean countable,
    double period) {
  /** A pause so many times longer than usual is a gap. */
  private static final double GAP = 6.5;

  /** Of a period from row to row; more could as well be less in the other sense. */
  private static final double MOST_STEP = 1.0 / 3;

  /** No shaft turns so much of a period one way in a row and the other way in the next. */
  private static final double FLIP = 0.25;

  /** Turns; less is no spike. */
  private static final double LEAST_SPIKE = 0.02;

  /** Ranges that a rising angle cannot have fallen back by. */
  private static final double SAWTOOTH = 1.5;

  /** Of a ratio. */
  private static final double OFF = 0.005;

  /** Of a period a row; what turns less cannot well have gone round. */
  private static final double SLOW = 0.08;

  private static final int MOST_ROUNDS = 20;
  private static final int FEWEST = 20;
  private static final double OUTERMOST = 0.01;
  private static final double DEGREES = 360;
  private static final int SAMPLES = 20_000;

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
    double period = period(recording, Channel.INPUT, stretches);
    double[] input = unwrapped(recording, Channel.INPUT, period, stretches, remarks, countable);
    double[] output =
        unwrapped(
            recording,
            Channel.OUTPUT,
            period(recording, Channel.OUTPUT, stretches),
            stretches,
            remarks,
            countable);
    return Optional.of(new Tracks(input, output, stretches, remarks, countable[0], period));
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
      boolean cut = k > from && ((step > GAP * usual && usual > 0) || step < 0);
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

  /**
   * Rounds of the input that could be missing from every row: with them the ratio would be the
   * expected one, without them it is not. A recording that is too slow shows a wheel as a film
   * does.
   *
   * @param ratio as read
   * @param expected of the train
   */
  Optional<String> tooSlow(double ratio, double expected) {
    if (period == 0 || Math.abs(ratio / expected - 1) < OFF) {
      return Optional.empty();
    }
    double[] steps =
        stretches.stream()
            .flatMapToDouble(
                s -> IntStream.range(s.from + 1, s.to).mapToDouble(k -> input[k] - input[k - 1]))
            .sorted()
            .toArray();
    double step = steps.length == 0 ? 0 : steps[steps.length / 2];
    if (Math.abs(step) < SLOW * period) {
      return Optional.empty();
    }
    for (int rounds = -MOST_ROUNDS; rounds <= MOST_ROUNDS; rounds++) {
      double whole = step + rounds * period;
      if (rounds != 0 && Math.abs(ratio * whole / step / expected - 1) < OFF) {
        return Optional.of(
            "the input angle reads as "
                + text(step * DEGREES)
                + " degrees a row; were it "
                + text(whole * DEGREES)
                + ", the ratio would be that of the card. Recorded so slowly its turns cannot be"
                + " counted: record faster, or angles that go on");
      }
    }
    return Optional.empty();
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
      double period,
      List<Stretch> stretches,
      List<String> remarks,
      boolean[] countable) {
    double[] read = recording.column(channel).orElseThrow();
    Spikes spikes = Spikes.of(read, period, LEAST_SPIKE);
    remarks.addAll(spikes.remarks(channel.title(), recording.lines()));
    double[] raw = spikes.values();
    if (period == 0) {
      unknownPeriod(raw, channel, stretches, remarks, countable);
      return raw;
    }
    double[] whole = raw.clone();
    long times = 0;
    long far = 0;
    boolean flips = false;
    for (Stretch stretch : stretches) {
      double added = 0;
      double before = 0;
      for (int k = stretch.from + 1; k < stretch.to; k++) {
        double rounds = Math.rint((raw[k] - raw[k - 1]) / period);
        added -= rounds * period;
        times += rounds != 0 ? 1 : 0;
        whole[k] = raw[k] + added;
        double step = whole[k] - whole[k - 1];
        far += Math.abs(step) > MOST_STEP * period ? 1 : 0;
        flips |= step * before < 0 && Math.min(Math.abs(step), Math.abs(before)) > FLIP * period;
        before = step;
      }
    }
    remarks.add(
        "the "
            + channel.title()
            + " starts again after "
            + (period == 1 ? "each turn" : text(period) + " turns")
            + ": joined "
            + times
            + (times == 1 ? " time" : " times")
            + ", taken to move less than half of that from row to row");
    if (far > FEW * recording.rows() || flips) {
      countable[0] = false;
      remarks.add(
          "the "
              + channel.title()
              + " moves "
              + (flips ? "from turning one way to turning the other" : "more than a third of that")
              + " from row to row, and may as well turn further: its turns cannot be counted;"
              + " record faster, or angles that go on");
    }
    return whole;
  }

  /** Something that falls back again and again by neither a turn nor a counter's range. */
  private static void unknownPeriod(
      double[] raw,
      Channel channel,
      List<Stretch> stretches,
      List<String> remarks,
      boolean[] countable) {
    double range = range(raw);
    double sum = 0;
    int times = 0;
    for (Stretch stretch : stretches) {
      for (int k = stretch.from + 1; k < stretch.to; k++) {
        double jump = raw[k] - raw[k - 1];
        if (Math.abs(jump) > range / 2) {
          sum += jump;
          times++;
        }
      }
    }
    if (times >= 2 && Math.abs(sum) > SAWTOOTH * range) {
      countable[0] = false;
      double degrees = range * DEGREES;
      remarks.add(
          "the "
              + channel.title()
              + " starts again "
              + times
              + " times after about "
              + text(degrees)
              + " degrees, which is no turn, so its turns cannot be counted: is its unit right?"
              + (Math.abs(degrees - 2 * Math.PI) < 0.5
                  ? " It looks like rad"
                  : Math.abs(degrees - 1) < 0.1 ? " It looks like turn" : ""));
    }
  }

  /** The turns after which it starts again; 0 where it does not. */
  private static double period(Recording recording, Channel channel, List<Stretch> stretches) {
    double[] raw = recording.column(channel).orElseThrow();
    double range = usualRange(raw);
    List<Double> candidates = new ArrayList<>(List.of(1.0));
    Optional.ofNullable(recording.wraps().get(channel)).ifPresent(candidates::addFirst);
    for (double period : candidates) {
      if (period > 0 && range <= period * (1 + 1e-9) && jumps(raw, stretches, period)) {
        return period;
      }
    }
    return 0;
  }

  /** Without the few outermost values, which may be spikes. */
  static double usualRange(double[] values) {
    int every = Math.max(1, values.length / SAMPLES);
    double[] some =
        IntStream.range(0, values.length / every)
            .mapToDouble(k -> values[k * every])
            .filter(value -> !Double.isNaN(value))
            .sorted()
            .toArray();
    int ends = some.length < FEWEST ? 0 : (int) Math.ceil(OUTERMOST * some.length);
    return some.length == 0 ? Double.NEGATIVE_INFINITY : some[some.length - 1 - ends] - some[ends];
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
