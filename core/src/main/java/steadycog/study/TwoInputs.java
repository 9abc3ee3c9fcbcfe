package steadycog.study;

import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.FeedbackPath;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Drive;
import steadycog.train.MemberId;
import steadycog.train.Roles;

/**
 * The output of a train with two drives: w_out = a w_1 + b w_2, a straight line over either speed.
 * By the same numbers, ideally, the drives hold the output's torque: T_1 = -a T_out, T_2 = -b T_out
 * (principle of virtual power; Müller, <i>Epicyclic Drive Trains</i>).
 *
 * @param a turns of the output for one turn of the first drive while the second stands
 * @param b turns of the output for one turn of the second drive while the first stands
 * @param torque on the output from outside in N m; negative where it resists counter-clockwise
 *     motion. Empty where torques do not follow
 */
public record TwoInputs(
    Drive first,
    Drive second,
    MemberId output,
    BigFraction a,
    BigFraction b,
    Optional<BigFraction> torque) {

  /** The line of a train with two drives and an output that follows; empty for any other. */
  static Optional<TwoInputs> of(Study study) {
    Roles roles = study.motion().mechanism().roles();
    if (roles.drives().size() != 2 || roles.take().isEmpty()) {
      return Optional.empty();
    }
    MemberId output = roles.take().get().member();
    Optional<List<BigFraction>> shares =
        study.motion().perDrive().get(study.motion().mechanism().indexOf(output));
    return shares.map(
        both ->
            new TwoInputs(
                roles.drives().getFirst(),
                roles.drives().getLast(),
                output,
                both.get(0),
                both.get(1),
                study.loading().ideal().external(output)));
  }

  /** The inputs that {@code path} ties: the second drive turns as it is geared. */
  static TwoInputs of(FeedbackPath path, Study study) {
    Drive first = study.motion().mechanism().roles().drives().getFirst();
    Quantity speed = first.statedSpeed();
    Quantity geared = new Quantity(speed.value().multiply(path.gearing()), speed.unit());
    return new TwoInputs(
        first,
        new Drive(path.second(), Optional.of(geared), Optional.empty()),
        path.output(),
        path.a(),
        path.b(),
        study.loading().ideal().external(path.output()));
  }

  /**
   * The speed of the second drive at which the output stops, as a multiple of the first drive's;
   * beyond it the output is reversed. Empty where the second drive does not reach the output.
   */
  public Optional<BigFraction> stop() {
    return Exact.isZero(b) ? Optional.empty() : Optional.of(a.negate().divide(b));
  }

  /** Whether all turn as one where both drives turn alike, as in one coaxial set: a + b = 1. */
  public boolean direct() {
    return a.add(b).compareTo(BigFraction.ONE) == 0;
  }

  /** The output's speed in the unit of {@code firstSpeed} and {@code secondSpeed}. */
  public double output(double firstSpeed, double secondSpeed) {
    return a.doubleValue() * firstSpeed + b.doubleValue() * secondSpeed;
  }

  /** The second drive's speed for a wanted output; empty where it does not reach the output. */
  public Optional<Double> secondFor(double wanted, double firstSpeed) {
    return Exact.isZero(b)
        ? Optional.empty()
        : Optional.of((wanted - a.doubleValue() * firstSpeed) / b.doubleValue());
  }

  /**
   * Powers at a pair of speeds while the output's torque stays as it is.
   *
   * @param first W that the first drive puts in; negative where it brakes
   * @param second W that the second drive puts in; negative where it brakes
   * @param output W that the driven machine gets; negative where it drives
   */
  public record Powers(double first, double second, double output) {

    /** W that go in at one drive and come out at the other, 0 where neither brakes. */
    public double circulating() {
      return first * second < 0 ? Math.min(Math.abs(first), Math.abs(second)) : 0;
    }
  }

  /** The powers at two speeds in {@code unit}; empty where torques do not follow. */
  public Optional<Powers> powers(double firstSpeed, double secondSpeed, Unit unit) {
    double radPerS = unit.inBase() * Math.PI / 30;
    return torque.map(
        known -> {
          double held = known.doubleValue();
          return new Powers(
              -a.doubleValue() * held * firstSpeed * radPerS,
              -b.doubleValue() * held * secondSpeed * radPerS,
              -held * output(firstSpeed, secondSpeed) * radPerS);
        });
  }

  /** Torques of the first and second drive from outside in N m; empty where they do not follow. */
  public Optional<List<BigFraction>> torques() {
    return torque.map(held -> List.of(a.multiply(held).negate(), b.multiply(held).negate()));
  }
}
