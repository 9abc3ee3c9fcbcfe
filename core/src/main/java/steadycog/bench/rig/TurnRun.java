package steadycog.bench.rig;

import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.bench.TurnTest;
import steadycog.bench.TurnTest.Reading;

/**
 * Counts turns: takes the play up, notes both encoders, turns the input so far, lets it come to
 * rest, notes them again; each time further, so that what slips, jumps or was miscounted differs.
 */
public final class TurnRun extends Run {
  /** The output is braked with so much of what it bears, to keep it on one flank. */
  private static final double DRAG = 1e-6;

  private static final double SETTLE = 0.6;

  private final double turns;
  private final int repeats;
  private final double speed;
  private TurnTest test;
  private Phase phase = Phase.TAKING_UP;
  private double until = -1;
  private long fromInput;
  private long fromOutput;
  private double share;

  private enum Phase {
    TAKING_UP,
    TURNING,
    SETTLING,
    DONE
  }

  /**
   * A run on {@code rig}.
   *
   * @param empty the test to fill
   * @param turns of the input for the first reading, twice as many for the second, and so on;
   *     negative turns it backwards
   * @param repeats readings
   * @param speed of the input, rpm, above 0
   */
  public TurnRun(Rig rig, TurnTest empty, double turns, int repeats, double speed) {
    super(rig);
    if (!(Math.abs(turns) > 0) || repeats < 1 || !(speed > 0)) {
      throw new IllegalArgumentException("turn it at least a little, once, at a speed above 0");
    }
    this.test = empty;
    this.turns = turns;
    this.repeats = repeats;
    this.speed = speed;
    rig.command().load(DRAG);
    rig.command().drive(Math.signum(turns) * speed);
  }

  @Override
  public TurnTest test() {
    return test;
  }

  @Override
  boolean finished() {
    return phase == Phase.DONE;
  }

  @Override
  public double progress() {
    double done = test.readings().size();
    double whole = repeats * (repeats + 1) / 2.0;
    return Math.min(1, (done * (done + 1) / 2 + Math.min(1, share) * (done + 1)) / whole);
  }

  @Override
  public String doing() {
    return switch (phase) {
      case TAKING_UP -> "Taking up the play";
      case TURNING, SETTLING ->
          "Counting, reading " + (test.readings().size() + 1) + " of " + repeats;
      case DONE -> "Counted";
    };
  }

  @Override
  void take(RigReading reading) {
    if (until < 0) {
      until = reading.time() + SETTLE;
    }
    switch (phase) {
      case TAKING_UP -> {
        if (reading.time() >= until) {
          start(reading);
        }
      }
      case TURNING -> {
        double aim = turns * (test.readings().size() + 1) * rig.inputCounts();
        share = Math.abs((reading.inputCounts() - fromInput) / aim);
        if (share >= 1) {
          rig.command().drive(0);
          until = reading.time() + SETTLE;
          phase = Phase.SETTLING;
        }
      }
      case SETTLING -> {
        if (reading.time() >= until) {
          test =
              test.adding(
                  new Reading(
                      turned(reading.inputCounts() - fromInput, rig.inputCounts()),
                      turned(reading.outputCounts() - fromOutput, rig.outputCounts())));
          share = 0;
          if (test.readings().size() == repeats) {
            phase = Phase.DONE;
          } else {
            start(reading);
          }
        }
      }
      case DONE -> {}
    }
  }

  private void start(RigReading reading) {
    fromInput = reading.inputCounts();
    fromOutput = reading.outputCounts();
    rig.command().drive(Math.signum(turns) * speed);
    phase = Phase.TURNING;
  }

  private static BigFraction turned(long counts, int whole) {
    return BigFraction.of(Math.toIntExact(counts), whole);
  }
}
