package steadycog.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import steadycog.bench.Recording.Channel;
import steadycog.bench.Tracks.Stretch;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/** Stretches of a recording in which the torque stays where it is, each a step of a load test. */
final class Plateaus {
  /** Of the whole range of torque: less than this is no new step. */
  private static final double SAME = 0.04;

  /** So many rows in a row must leave a step to begin another. */
  private static final int LEAVING = 5;

  /** Of the largest torque: less is no load. */
  private static final double LEAST = 0.06;

  private static final double SHORTEST = 0.004;
  private static final int DIGITS = 4;
  private static final double KEEPS_UP = 0.97;
  private static final double GONE = 0.2;
  private static final double STANDS = 0.02;

  private Plateaus() {}

  static List<LoadStep> of(Recording recording, Optional<Tracks> tracks, List<String> remarks) {
    Optional<double[]> torque =
        recording.column(Channel.TORQUE).map(t -> cleared(recording, t, remarks));
    if (torque.isEmpty()) {
      return List.of();
    }
    List<LoadStep> steps = new ArrayList<>();
    double most = Arrays.stream(torque.get()).filter(Double::isFinite).max().orElse(0);
    double fastest = 0;
    Optional<Double> usual = Optional.empty();
    for (Stretch flat : flats(torque.get(), most)) {
      double load = mean(torque.get(), flat);
      if (!(load > LEAST * most) || steps.size() == LoadTest.MOST_STEPS) {
        continue;
      }
      LoadStep step =
          LoadStep.planned(Quantity.of(Figures.significant(load, DIGITS), Unit.NM))
              .ended(Outcome.HELD);
      step = reading(recording, flat, step, Channel.CURRENT, Measure.CURRENT, Unit.A);
      step = reading(recording, flat, step, Channel.VOLTAGE, Measure.VOLTAGE, Unit.V);
      step = reading(recording, flat, step, Channel.TORQUE_IN, Measure.TORQUE_IN, Unit.NM);
      step = reading(recording, flat, step, Channel.TEMPERATURE, Measure.TEMPERATURE, Unit.CELSIUS);
      step = reading(recording, flat, step, Channel.NOISE, Measure.NOISE, Unit.DECIBEL);
      double in = tracks.map(t -> turned(t, t.input(), flat)).orElse(0.0);
      double out = tracks.map(t -> turned(t, t.output(), flat)).orElse(0.0);
      Optional<Double> seconds =
          recording.column(Channel.TIME).map(t -> last(t, flat) - t[flat.from()]);
      if (seconds.filter(s -> s > 0).isPresent() && tracks.isPresent()) {
        double rpm = Math.abs(in) / seconds.get() * 60;
        fastest = Math.max(fastest, rpm);
        step = step.with(Measure.SPEED, quantity(rpm, Unit.RPM));
        step = step.ended(outcome(rpm, fastest, in, out, usual));
        if (step.outcome() == Outcome.HELD && usual.isEmpty() && in != 0 && out != 0) {
          usual = Optional.of(out / in);
        }
      }
      steps.add(step);
    }
    return steps;
  }

  /** Without spikes, and positive where most of it was read as negative. */
  private static double[] cleared(Recording recording, double[] read, List<String> remarks) {
    Spikes spikes = Spikes.of(read, 0, SAME * Math.max(Tracks.usualRange(read), 0));
    remarks.addAll(spikes.remarks(Channel.TORQUE.title(), recording.lines()));
    double[] torque = spikes.values();
    DoubleSummaryStatistics all =
        Arrays.stream(torque).filter(Double::isFinite).summaryStatistics();
    if (all.getCount() > 0 && -all.getMin() > all.getMax()) {
      remarks.add("the torque out is read as negative: its size is taken");
      return Arrays.stream(torque).map(t -> -t).toArray();
    }
    return torque;
  }

  private static Outcome outcome(
      double rpm, double fastest, double in, double out, Optional<Double> usual) {
    if (rpm <= STANDS * fastest) {
      return Outcome.STALLED;
    }
    double kept = usual.map(i -> out / in / i).orElse(1.0);
    return kept < GONE ? Outcome.BROKE : kept < KEEPS_UP ? Outcome.SLIPPED : Outcome.HELD;
  }

  private static LoadStep reading(
      Recording recording,
      Stretch flat,
      LoadStep step,
      Channel channel,
      Measure measure,
      Unit unit) {
    Optional<Double> value = recording.column(channel).map(all -> mean(all, flat));
    return value
        .filter(Double::isFinite)
        .map(v -> step.with(measure, quantity(v, unit)))
        .orElse(step);
  }

  private static Optional<Quantity> quantity(double value, Unit unit) {
    return Optional.of(Quantity.of(Figures.significant(value, DIGITS), unit));
  }

  /** Turns made within a flat; across gaps nothing is counted. */
  private static double turned(Tracks tracks, double[] angle, Stretch flat) {
    double sum = 0;
    for (Stretch s : tracks.stretches()) {
      int from = Math.max(s.from(), flat.from());
      int to = Math.min(s.to(), flat.to());
      if (to - from >= 2) {
        sum += angle[to - 1] - angle[from];
      }
    }
    return sum;
  }

  private static double last(double[] values, Stretch flat) {
    return values[flat.to() - 1];
  }

  private static double mean(double[] values, Stretch s) {
    double sum = 0;
    int n = 0;
    for (int k = s.from(); k < s.to(); k++) {
      if (!Double.isNaN(values[k])) {
        sum += values[k];
        n++;
      }
    }
    return n == 0 ? Double.NaN : sum / n;
  }

  private static List<Stretch> flats(double[] torque, double most) {
    double same = Math.max(SAME * Math.max(Tracks.range(torque), 0), 1e-3 * Math.abs(most));
    int shortest = (int) Math.max(LEAVING, SHORTEST * torque.length);
    List<Stretch> all = new ArrayList<>();
    int from = 0;
    double sum = 0;
    int n = 0;
    int away = 0;
    for (int k = 0; k < torque.length; k++) {
      double value = torque[k];
      boolean off = Double.isNaN(value) || (n > 0 && Math.abs(value - sum / n) > same);
      if (!off) {
        away = 0;
        sum += value;
        n++;
        continue;
      }
      away++;
      if (away >= LEAVING || n < LEAVING) {
        int to = k - away + 1;
        if (n >= shortest) {
          all.add(new Stretch(from, to));
        }
        from = to;
        sum = 0;
        n = 0;
        for (int m = Math.max(to, k - away + 1); m <= k; m++) {
          if (!Double.isNaN(torque[m]) && (n == 0 || Math.abs(torque[m] - sum / n) <= same)) {
            sum += torque[m];
            n++;
          }
        }
        away = 0;
      }
    }
    if (n >= shortest) {
      all.add(new Stretch(from, torque.length));
    }
    return all;
  }
}
