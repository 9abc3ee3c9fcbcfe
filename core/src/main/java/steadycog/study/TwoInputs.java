package steadycog.study;

import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.train.Drive;
import steadycog.train.MemberId;
import steadycog.train.Roles;

/**
 * The output of a train with two drives: w_out = a w_1 + b w_2, a straight line over either speed.
 *
 * @param a turns of the output for one turn of the first drive while the second stands
 * @param b turns of the output for one turn of the second drive while the first stands
 */
public record TwoInputs(Drive first, Drive second, MemberId output, BigFraction a, BigFraction b) {

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
                both.get(1)));
  }

  /**
   * The speed of the second drive at which the output stops, as a multiple of the first drive's;
   * beyond it the output is reversed. Empty where the second drive does not reach the output.
   */
  public Optional<BigFraction> stop() {
    return Exact.isZero(b) ? Optional.empty() : Optional.of(a.negate().divide(b));
  }

  /** The output's speed in the unit of {@code first} and {@code second}. */
  public double output(double firstSpeed, double secondSpeed) {
    return a.doubleValue() * firstSpeed + b.doubleValue() * secondSpeed;
  }
}
