package steadycog.app.desk;

import java.math.BigInteger;
import java.util.Optional;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Motion;
import steadycog.motion.TurnCount;
import steadycog.number.Exact;
import steadycog.train.Drive;
import steadycog.train.Member;
import steadycog.train.MemberId;

/**
 * The crank on the driven member. Its position is an exact number of turns, counter-clockwise
 * positive, so that every counter stays exact however long it is turned.
 */
public final class Crank {
  /** Dragging and running move in steps of a hundredth of a degree. */
  private static final int STEPS_PER_TURN = 36_000;

  private static final double FASTEST_TURNS_PER_SECOND = 0.35;

  /** Seconds between two looks at the counters while the crank runs. */
  private static final double COUNT_EVERY = 0.12;

  private static final BigFraction BARE_STEP = Exact.of(1, 36);

  private final ReadOnlyObjectWrapper<BigFraction> inputTurns =
      new ReadOnlyObjectWrapper<>(BigFraction.ZERO);
  private final ReadOnlyObjectWrapper<BigFraction> counted =
      new ReadOnlyObjectWrapper<>(BigFraction.ZERO);
  private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper();
  private final Desk desk;
  private double uncounted;

  Crank(Desk desk) {
    this.desk = desk;
    inputTurns.addListener(
        (o, old, now) -> {
          if (!running.get()) {
            counted.set(now);
          }
        });
    running.addListener((o, was, is) -> counted.set(inputTurns.get()));
  }

  public ReadOnlyObjectProperty<BigFraction> inputTurnsProperty() {
    return inputTurns.getReadOnlyProperty();
  }

  /**
   * The position as counters show it: the same, but while the crank runs only now and then, since
   * nobody reads figures at every frame.
   */
  public ReadOnlyObjectProperty<BigFraction> countedProperty() {
    return counted.getReadOnlyProperty();
  }

  public BigFraction inputTurns() {
    return inputTurns.get();
  }

  public ReadOnlyBooleanProperty runningProperty() {
    return running.getReadOnlyProperty();
  }

  /** What is counted at the position that counters show; empty while nothing is on the bench. */
  public Optional<TurnCount> count() {
    return desk.bench().map(bench -> new TurnCount(bench.study().motion(), counted.get()));
  }

  /** Whether there is something to turn. */
  public boolean isFree() {
    return desk.bench().filter(bench -> drive(bench).isPresent() && !isStuck(bench)).isPresent();
  }

  private static boolean isStuck(Bench bench) {
    return bench.study().motion().status() == Motion.Status.JAMMED;
  }

  private static Optional<Drive> drive(Bench bench) {
    return bench.study().motion().mechanism().roles().drives().stream().findFirst();
  }

  /** Turns by whole turns, the way the drive turns for +1, against it for -1. */
  public void turn(int turns) {
    move(BigFraction.of(turns));
  }

  /** Turns by teeth of the driven wheel, the way the drive turns for +1. */
  public void tooth(int teeth) {
    move(toothStep().multiply(teeth));
  }

  private BigFraction toothStep() {
    return desk.bench()
        .flatMap(
            bench ->
                drive(bench)
                    .flatMap(drive -> teeth(bench, drive.member()))
                    .map(count -> Exact.of(1, count)))
        .orElse(BARE_STEP);
  }

  private static Optional<Integer> teeth(Bench bench, MemberId member) {
    return bench.card().train().members().stream()
        .filter(candidate -> candidate.id().equals(member))
        .findFirst()
        .flatMap(Member::teeth)
        .map(teeth -> teeth.count());
  }

  private void move(BigFraction turns) {
    if (isFree()) {
      inputTurns.set(inputTurns.get().add(turns.multiply(way())));
    }
  }

  private int way() {
    return desk.bench()
        .flatMap(Crank::drive)
        .map(drive -> drive.angularSpeed().signum() < 0 ? -1 : 1)
        .orElse(1);
  }

  /** Turns by a dragged angle in turns, counter-clockwise positive. */
  public void drag(double turns) {
    if (isFree()) {
      inputTurns.set(
          inputTurns.get().add(Exact.of(Math.round(turns * STEPS_PER_TURN), STEPS_PER_TURN)));
    }
  }

  /** Lets the crank turn by itself, or stops it. */
  public void toggleRunning() {
    running.set(!running.get() && isFree());
  }

  /** Moves a running crank on: slowly enough that the fastest member can be followed by eye. */
  public void advance(double seconds) {
    if (!isFree()) {
      running.set(false);
      return;
    }
    double fastest = 1;
    Motion motion = desk.bench().orElseThrow().study().motion();
    for (MemberId member : motion.mechanism().bodies()) {
      double pace =
          motion.turnsPerInputTurn(member).map(turns -> Math.abs(turns.doubleValue())).orElse(0.0);
      fastest = Math.max(fastest, pace);
    }
    drag(way() * seconds * FASTEST_TURNS_PER_SECOND / fastest);
    uncounted += seconds;
    if (uncounted > COUNT_EVERY) {
      uncounted = 0;
      counted.set(inputTurns.get());
    }
  }

  /** Back to the marks at twelve o'clock. */
  public void reset() {
    running.set(false);
    inputTurns.set(BigFraction.ZERO);
  }

  /** Whole input turns after which all marks stand as they started; empty if nothing turns. */
  public Optional<BigInteger> lineUp() {
    return desk.bench()
        .filter(bench -> isFree())
        .map(bench -> TurnCount.lineUp(bench.study().motion()));
  }

  /** Input turns still to go to the next time all marks line up, never negative. */
  public Optional<BigFraction> toNextLineUp() {
    return lineUp()
        .map(
            period -> {
              BigFraction turned = counted.get().multiply(way());
              BigFraction periods = turned.divide(BigFraction.of(period));
              BigInteger next = Exact.floor(periods).add(BigInteger.ONE);
              return BigFraction.of(next.multiply(period)).subtract(turned);
            });
  }
}
