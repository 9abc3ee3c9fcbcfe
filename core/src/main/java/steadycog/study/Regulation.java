package steadycog.study;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A run of a train with two inputs: the first follows a made-up course, the second is controlled so
 * that the output keeps its speed. Beside it what the same train does with the second input geared
 * from the first instead: then the output follows the first input, whatever the gearing.
 *
 * @param line of the train
 * @param course of the first input
 * @param speed of the first input about which the course runs
 * @param wanted speed of the output
 * @param fastest speed of which the second input is capable, in either direction; empty where it is
 *     ideal
 */
public record Regulation(
    TwoInputs line, Course course, double speed, double wanted, Optional<Double> fastest) {
  /** Length of the course, s. */
  public static final double SECONDS = 20;

  /** How the first input's speed runs: made up, not measured. */
  public enum Course {
    /** Rises from a half to one and a half. */
    RAMP("ramp") {
      @Override
      public double factor(double seconds) {
        return 0.5 + Math.clamp(seconds / SECONDS, 0, 1);
      }
    },
    /** Swings by a third about one. */
    SWELL("swell") {
      @Override
      public double factor(double seconds) {
        return 1 + Math.sin(2 * Math.PI * seconds / 8) / 3;
      }
    },
    /** Two short gusts on an even pace. */
    GUSTS("gusts") {
      @Override
      public double factor(double seconds) {
        return 1 + gust(seconds - 5) * 0.7 - gust(seconds - 13) * 0.6;
      }

      private static double gust(double seconds) {
        return Math.exp(-seconds * seconds);
      }
    };

    private final String word;

    Course(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }

    /** The first input's speed over its stated one, after so many seconds. */
    public abstract double factor(double seconds);
  }

  /**
   * One moment of the run; speeds in the unit of {@code speed}.
   *
   * @param seconds since the start
   * @param second what the second input does, within its limit
   * @param output with that
   * @param geared the output with a second input geared from the first, right at the stated speed
   */
  public record Moment(double seconds, double first, double second, double output, double geared) {}

  /** The run at {@code seconds}; the second input stands where it cannot reach the output. */
  public Moment at(double seconds) {
    double first = speed * course.factor(seconds);
    double ideal = line.secondFor(wanted, first).orElse(0.0);
    double second = fastest.map(most -> Math.clamp(ideal, -most, most)).orElse(ideal);
    return new Moment(seconds, first, second, line.output(first, second), gearedRatio() * first);
  }

  /** Output over first input where the second is geared so that it is right at {@code speed}. */
  public double gearedRatio() {
    return speed == 0 ? 0 : wanted / speed;
  }

  /** The whole run in {@code steps} equal steps. */
  public List<Moment> run(int steps) {
    List<Moment> moments = new ArrayList<>();
    for (int k = 0; k <= steps; k++) {
      moments.add(at(SECONDS * k / steps));
    }
    return List.copyOf(moments);
  }

  /** The gearing w_2 / w_1 that would give {@code wanted} at {@code speed}; 0 where none does. */
  public double gearing() {
    return speed == 0 ? 0 : line.secondFor(wanted, speed).orElse(0.0) / speed;
  }

  /** Largest share by which the output leaves its wanted speed in the run, within the limit. */
  public double worst(int steps) {
    return run(steps).stream()
        .mapToDouble(moment -> Math.abs(moment.output - wanted))
        .max()
        .orElse(0);
  }
}
