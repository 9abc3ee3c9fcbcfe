package steadycog.bench.rig;

import java.util.Optional;
import steadycog.bench.LoadStep;
import steadycog.bench.LoadTest;
import steadycog.bench.Measure;
import steadycog.bench.Outcome;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/**
 * Raises the load step by step: rocks the output to read the play, loads it, waits, reads for a
 * while, until the last step or until something gives way. Every step stands in the test from its
 * first reading on.
 */
public final class LoadRun extends Run {
  private static final double ROCK = 0.4;
  private static final double SETTLE = 0.8;

  /** A step is read for so long, s. */
  private static final double HOLD = 2.5;

  /** What has been read of a step is put into the test so often, s. */
  private static final double LOG = 0.25;

  /** Rocked by so much of the load. */
  private static final double LIGHT = 0.03;

  private static final double STANDS = 0.05;
  private static final double GONE = 0.2;
  private static final double KEEPS_UP = 0.97;

  /** Of a torque, and of everything else that is logged. */
  private static final int DIGITS = 4;

  private static final int READ = 3;

  private final double speed;
  private LoadTest test;
  private int step = -1;
  private Phase phase = Phase.DONE;
  private double until;
  private double nextLog;
  private long rocked;
  private double play;
  private Sum sum = new Sum();

  /** Turns of the output for one of the input, as the first step had them. */
  private Optional<Double> usual = Optional.empty();

  private enum Phase {
    ROCK_BACK,
    ROCK_ON,
    SETTLE,
    READ,
    DONE
  }

  /** Readings of a step added up. */
  private static final class Sum {
    int n;
    double torque;
    double current;
    double voltage;
    double temperature;
    double noise;
    private double began;
    private double ended;
    private long inputBegan;
    private long inputEnded;
    private long outputBegan;
    private long outputEnded;

    void add(RigReading reading) {
      if (n == 0) {
        began = reading.time();
        inputBegan = reading.inputCounts();
        outputBegan = reading.outputCounts();
      }
      ended = reading.time();
      inputEnded = reading.inputCounts();
      outputEnded = reading.outputCounts();
      n++;
      torque += reading.torque();
      current += reading.current();
      voltage += reading.voltage();
      temperature += reading.temperature();
      noise += reading.noise();
    }

    double seconds() {
      return ended - began;
    }

    long input() {
      return inputEnded - inputBegan;
    }

    long output() {
      return outputEnded - outputBegan;
    }
  }

  /**
   * A run on {@code rig}.
   *
   * @param planned the steps to try; its rigging is a torque meter
   * @param speed of the input, rpm, with its sign, not 0
   */
  public LoadRun(Rig rig, LoadTest planned, double speed) {
    super(rig);
    this.speed = speed;
    test =
        planned.on(
            planned.rigging().turnedBy(Optional.of(rig.torqueConstant()), rig.idleCurrent()));
    if (!planned.steps().isEmpty()) {
      next();
    }
  }

  @Override
  public LoadTest test() {
    return test;
  }

  @Override
  boolean finished() {
    return phase == Phase.DONE;
  }

  @Override
  public double progress() {
    return test.steps().isEmpty() ? 1 : Math.min(1, (double) step / test.steps().size());
  }

  @Override
  public String doing() {
    String at = "Step " + (step + 1) + " of " + test.steps().size() + ": ";
    return switch (phase) {
      case ROCK_BACK, ROCK_ON -> at + "reading the play";
      case SETTLE -> at + "raising the load to " + load(step);
      case READ -> at + "holding " + load(step);
      case DONE -> "Load off";
    };
  }

  private Quantity load(int index) {
    return test.steps().get(index).load();
  }

  private double torque() {
    return test.rigging().torque(load(step));
  }

  private void next() {
    step++;
    if (step >= test.steps().size()) {
      phase = Phase.DONE;
      return;
    }
    phase = Phase.ROCK_BACK;
    until = -1;
    rig.command().drive(0);
    rig.command().load(-LIGHT * torque());
  }

  @Override
  void take(RigReading reading) {
    if (until < 0) {
      until = reading.time() + ROCK;
    }
    switch (phase) {
      case ROCK_BACK -> {
        if (reading.time() >= until) {
          rocked = reading.outputCounts();
          rig.command().load(LIGHT * torque());
          move(Phase.ROCK_ON, reading.time() + ROCK);
        }
      }
      case ROCK_ON -> {
        if (reading.time() >= until) {
          play = 360.0 * 60 * Math.abs(reading.outputCounts() - rocked) / rig.outputCounts();
          rig.command().load(torque());
          rig.command().drive(speed);
          move(Phase.SETTLE, reading.time() + SETTLE);
        }
      }
      case SETTLE -> {
        if (reading.time() >= until) {
          sum = new Sum();
          nextLog = 0;
          move(Phase.READ, reading.time() + HOLD);
        }
      }
      case READ -> {
        sum.add(reading);
        if (reading.time() >= until) {
          end();
        } else if (sum.seconds() >= nextLog) {
          nextLog += LOG;
          log(Outcome.NOT_TRIED, "under way");
        }
      }
      case DONE -> {}
    }
  }

  private void move(Phase to, double when) {
    phase = to;
    until = when;
  }

  private double inputTurns() {
    return (double) sum.input() / rig.inputCounts();
  }

  private double outputTurns() {
    return (double) sum.output() / rig.outputCounts();
  }

  private void end() {
    Outcome outcome = outcome();
    if (outcome == Outcome.HELD) {
      log(outcome, "");
      if (usual.isEmpty()) {
        usual = Optional.of(outputTurns() / inputTurns());
      }
      next();
      return;
    }
    rig.stop();
    log(outcome, outcome == Outcome.STALLED ? stalled() : rig.inspect().orElse(""));
    phase = Phase.DONE;
    step = test.steps().size();
  }

  private String stalled() {
    return "the motor stood still at " + Figures.significant(sum.current / sum.n, 3) + " A";
  }

  /** By the encoders: whether the input turned, and the output with it as it did at first. */
  private Outcome outcome() {
    double should = speed / 60 * sum.seconds();
    if (Math.abs(inputTurns()) < STANDS * Math.abs(should)) {
      return Outcome.STALLED;
    }
    if (usual.isEmpty()) {
      return outputTurns() == 0 ? Outcome.BROKE : Outcome.HELD;
    }
    double kept = outputTurns() / inputTurns() / usual.get();
    return kept < GONE ? Outcome.BROKE : kept < KEEPS_UP ? Outcome.SLIPPED : Outcome.HELD;
  }

  /** Puts what has been read of the step into the test. */
  private void log(Outcome outcome, String where) {
    double minutes = sum.seconds() / 60;
    LoadStep now =
        test.steps()
            .get(step)
            .with(Measure.CURRENT, rounded(sum.current / sum.n, Unit.A))
            .with(Measure.VOLTAGE, rounded(sum.voltage / sum.n, Unit.V))
            .with(
                Measure.SPEED,
                minutes > 0
                    ? rounded(Math.abs(inputTurns() / minutes), Unit.RPM)
                    : Optional.empty())
            .with(Measure.TEMPERATURE, rounded(sum.temperature / sum.n, Unit.CELSIUS))
            .with(Measure.NOISE, rounded(sum.noise / sum.n, Unit.DECIBEL))
            .with(Measure.BACKLASH, rounded(play, Unit.ARC_MINUTE))
            .ended(outcome)
            .at(where);
    boolean metered = outcome == Outcome.HELD;
    test =
        test.with(
            step,
            metered ? now.under(rounded(sum.torque / sum.n, Unit.NM).orElse(now.load())) : now);
  }

  private static Optional<Quantity> rounded(double value, Unit unit) {
    return Double.isFinite(value)
        ? Optional.of(
            Quantity.of(Figures.significant(value, unit == Unit.NM ? DIGITS : READ), unit))
        : Optional.empty();
  }

  @Override
  void onStop() {
    if (step >= 0 && step < test.steps().size() && phase == Phase.READ && sum.n > 0) {
      log(Outcome.NOT_TRIED, "stopped by hand");
    }
  }
}
