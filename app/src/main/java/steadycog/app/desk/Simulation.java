package steadycog.app.desk;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import javafx.beans.property.SimpleObjectProperty;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Motion;
import steadycog.number.Unit;
import steadycog.study.Regulation;
import steadycog.study.Regulation.Course;
import steadycog.study.Regulation.Moment;
import steadycog.study.Study;
import steadycog.study.TwoInputs;
import steadycog.train.MemberId;

/**
 * A run in which the first input follows a made-up course and the second is controlled to hold the
 * output, while the train on the bench turns along, slowly enough to be followed by eye.
 */
public final class Simulation {
  private static final double TURNS_PER_SECOND = 0.35;

  private final Desk desk;

  /** What {@link #line} was worked out for: it is asked at every frame. */
  private Optional<Study> known = Optional.empty();

  private Optional<TwoInputs> line = Optional.empty();
  private final ObjectProperty<Course> course = new SimpleObjectProperty<>(Course.SWELL);
  private final ObjectProperty<Optional<Double>> wanted =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Optional<Double>> limit =
      new SimpleObjectProperty<>(Optional.empty());
  private final ReadOnlyDoubleWrapper seconds = new ReadOnlyDoubleWrapper();
  private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper();

  Simulation(Desk desk) {
    this.desk = desk;
  }

  /** How the first input runs. */
  public ObjectProperty<Course> courseProperty() {
    return course;
  }

  /** The output's wanted speed in rpm; empty for what it has now. */
  public ObjectProperty<Optional<Double>> wantedProperty() {
    return wanted;
  }

  /** The fastest that the second input can turn, in rpm; empty where it is ideal. */
  public ObjectProperty<Optional<Double>> limitProperty() {
    return limit;
  }

  /** How far the run has come. */
  public ReadOnlyDoubleProperty secondsProperty() {
    return seconds.getReadOnlyProperty();
  }

  public ReadOnlyBooleanProperty runningProperty() {
    return running.getReadOnlyProperty();
  }

  /** The line of the train in view: of its two inputs, or of those that a feedback path ties. */
  @SuppressWarnings("ReferenceEquality") // The same study, not one that is alike.
  private Optional<TwoInputs> line() {
    Optional<Study> now = desk.bench().map(Bench::study);
    if (now.orElse(null) != known.orElse(null)) {
      known = now;
      line = now.flatMap(Study::inputsToRegulate);
    }
    return line;
  }

  /** The run of the train in view, all speeds in rpm; empty without two inputs. */
  public Optional<Regulation> regulation() {
    return line().map(this::regulation);
  }

  private Regulation regulation(TwoInputs line) {
    double speed = line.first().angularSpeed().inRpm();
    double now = line.output(speed, line.second().angularSpeed().inRpm());
    return new Regulation(line, course.get(), speed, wanted.get().orElse(now), limit.get());
  }

  /** Whether the second input of the train in view is geared from the first: there is one drive. */
  public boolean isGeared() {
    return line().isPresent()
        && desk.bench().orElseThrow().study().motion().mechanism().roles().drives().size() == 1;
  }

  /** Starts the run from its beginning, or stops it. */
  public void toggle() {
    boolean start = !running.get() && regulation().isPresent();
    seconds.set(0);
    running.set(start);
  }

  /** Moves the run on; the train turns along. It ends by itself. */
  public void advance(double step) {
    Optional<Regulation> regulation = regulation();
    double now = seconds.get() + step;
    if (regulation.isEmpty() || now > Regulation.SECONDS) {
      running.set(false);
      return;
    }
    Moment moment = regulation.get().at(now);
    seconds.set(now);
    double pace = TURNS_PER_SECOND * step / fastest(regulation.get());
    desk.crank()
        .turnEach(
            isGeared()
                ? List.of(moment.first() * pace)
                : List.of(moment.first() * pace, moment.second() * pace));
  }

  /** Speed in rpm of the fastest member at the stated speeds. */
  private double fastest(Regulation regulation) {
    Motion motion = desk.bench().orElseThrow().study().motion();
    double most = Math.abs(regulation.speed());
    for (MemberId member : motion.mechanism().bodies()) {
      most = Math.max(most, motion.speed(member).map(s -> Math.abs(s.in(Unit.RPM))).orElse(0.0));
    }
    return Math.max(most, 1e-9);
  }

  /** The second drive's speed for the wanted output, as a fraction of a thousandth of an rpm. */
  public Optional<BigFraction> secondForWanted() {
    return regulation()
        .flatMap(run -> run.line().secondFor(run.wanted(), run.speed()))
        .map(rpm -> BigFraction.of(Math.toIntExact(Math.round(rpm * 1000)), 1000));
  }
}
