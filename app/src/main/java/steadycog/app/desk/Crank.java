package steadycog.app.desk;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
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
import steadycog.train.Roles;

/**
 * The crank on the driven member. Its position is an exact number of turns of each drive,
 * counter-clockwise positive, so that every counter stays exact however long it is turned, also
 * where a second drive changes its speed on the way.
 */
public final class Crank {
  /** Dragging and running move in steps of a hundredth of a degree. */
  private static final int STEPS_PER_TURN = 36_000;

  /** The share of a turn to which two drives are kept in step where no fraction says it. */
  private static final long FINE = 1_000_000_000;

  private static final double FASTEST_TURNS_PER_SECOND = 0.35;

  /** Seconds between two looks at the counters while the crank runs. */
  private static final double COUNT_EVERY = 0.12;

  private static final BigFraction BARE_STEP = Exact.of(1, 36);

  /** Turns of the first and of a second drive. */
  private static final List<BigFraction> MARKS =
      Collections.nCopies(Roles.MOST_DRIVES, BigFraction.ZERO);

  private final ReadOnlyObjectWrapper<List<BigFraction>> position =
      new ReadOnlyObjectWrapper<>(MARKS);
  private final ReadOnlyObjectWrapper<List<BigFraction>> counted =
      new ReadOnlyObjectWrapper<>(MARKS);
  private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper();
  private final Desk desk;
  private double uncounted;

  Crank(Desk desk) {
    this.desk = desk;
    position.addListener(
        (o, old, now) -> {
          if (!running.get()) {
            counted.set(now);
          }
        });
    running.addListener((o, was, is) -> counted.set(position.get()));
  }

  /** Turns that each drive has made; a train with one drive uses the first alone. */
  public ReadOnlyObjectProperty<List<BigFraction>> positionProperty() {
    return position.getReadOnlyProperty();
  }

  /**
   * The position as counters show it: the same, but while the crank runs only now and then, since
   * nobody reads figures at every frame.
   */
  public ReadOnlyObjectProperty<List<BigFraction>> countedProperty() {
    return counted.getReadOnlyProperty();
  }

  /** Turns of the drive that the crank is on. */
  public BigFraction inputTurns() {
    return position.get().get(reference());
  }

  /** The same as counters show it. */
  public BigFraction countedTurns() {
    return counted.get().get(reference());
  }

  /** Turns of {@code member} at the very position; empty where it floats. */
  public Optional<Double> turned(Motion motion, MemberId member) {
    return drives(motion) == 0
        ? Optional.empty()
        : motion.turns(member, position.get()).map(BigFraction::doubleValue);
  }

  private static int drives(Motion motion) {
    return motion.mechanism().roles().drives().size();
  }

  /** The drive that the crank turns: the first that moves. */
  private int reference() {
    return desk.bench()
        .map(bench -> bench.study().motion().mechanism().roles().drives())
        .filter(drives -> drives.size() > 1 && drives.getFirst().angularSpeed().isZero())
        .map(drives -> 1)
        .orElse(0);
  }

  public ReadOnlyBooleanProperty runningProperty() {
    return running.getReadOnlyProperty();
  }

  /** What is counted at the position that counters show; empty while nothing is on the bench. */
  public Optional<TurnCount> count() {
    return desk.bench().map(bench -> count(bench.study().motion()));
  }

  private TurnCount count(Motion motion) {
    return new TurnCount(motion, counted.get().subList(0, drives(motion)));
  }

  /** Whether there is something to turn. */
  public boolean isFree() {
    return desk.bench().filter(bench -> drive(bench).isPresent() && !isStuck(bench)).isPresent();
  }

  private static boolean isStuck(Bench bench) {
    return bench.study().motion().status() == Motion.Status.JAMMED;
  }

  private Optional<Drive> drive(Bench bench) {
    return bench.study().motion().mechanism().roles().drives().stream()
        .skip(reference())
        .findFirst();
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
      turnBy(turns.multiply(way()));
    }
  }

  /** Turns the reference drive, others along with it. */
  private void turnBy(BigFraction turns) {
    Motion motion = desk.bench().orElseThrow().study().motion();
    List<BigFraction> next = new ArrayList<>(position.get());
    List<BigFraction> pace = pace(motion);
    for (int k = 0; k < pace.size(); k++) {
      next.set(k, next.get(k).add(turns.multiply(pace.get(k))));
    }
    position.set(List.copyOf(next));
  }

  /**
   * Turns of each drive while the reference makes one: exactly, but where that would need pi, as
   * with one drive in rad/s and one in rpm, to a thousand-millionth of a turn.
   */
  private List<BigFraction> pace(Motion motion) {
    List<Drive> drives = motion.mechanism().roles().drives();
    return motion
        .pace(reference())
        .orElseGet(
            () -> {
              double base = drives.get(reference()).angularSpeed().inRpm();
              return drives.stream()
                  .map(drive -> drive.angularSpeed().inRpm() / base)
                  .map(turns -> Double.isFinite(turns) ? Math.round(turns * FINE) : 0)
                  .map(steps -> Exact.of(steps, FINE))
                  .toList();
            });
  }

  /** Turns each drive by so many turns, as a simulation asks for. */
  public void turnEach(List<Double> turns) {
    List<BigFraction> next = new ArrayList<>(position.get());
    for (int k = 0; k < turns.size(); k++) {
      long steps = Math.round(turns.get(k) * STEPS_PER_TURN);
      next.set(k, next.get(k).add(Exact.of(steps, STEPS_PER_TURN)));
    }
    position.set(List.copyOf(next));
  }

  private int way() {
    return desk.bench()
        .flatMap(this::drive)
        .map(drive -> drive.angularSpeed().signum() < 0 ? -1 : 1)
        .orElse(1);
  }

  /** Turns by a dragged angle in turns, counter-clockwise positive. */
  public void drag(double turns) {
    if (isFree()) {
      turnBy(Exact.of(Math.round(turns * STEPS_PER_TURN), STEPS_PER_TURN));
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
    List<BigFraction> pace = pace(motion);
    for (MemberId member : motion.mechanism().bodies()) {
      double turns = motion.turns(member, pace).map(BigFraction::doubleValue).orElse(0.0);
      fastest = Math.max(fastest, Math.abs(turns));
    }
    drag(way() * seconds * FASTEST_TURNS_PER_SECOND / fastest);
    uncounted += seconds;
    if (uncounted > COUNT_EVERY) {
      uncounted = 0;
      counted.set(position.get());
    }
  }

  /** Puts each drive where it had made so many turns. */
  void moveTo(List<BigFraction> turns) {
    position.set(List.copyOf(turns));
  }

  /** Back to the marks at twelve o'clock. */
  public void reset() {
    running.set(false);
    position.set(MARKS);
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
              BigFraction turned = countedTurns().multiply(way());
              BigFraction periods = turned.divide(BigFraction.of(period));
              BigInteger next = Exact.floor(periods).add(BigInteger.ONE);
              return BigFraction.of(next.multiply(period)).subtract(turned);
            });
  }
}
