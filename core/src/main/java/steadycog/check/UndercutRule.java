package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.shape.BasicRack;
import steadycog.shape.Cut;
import steadycog.train.Member;
import steadycog.train.Teeth;

/**
 * A rack cuts into the flank of a pinion with fewer than 2 k / sin² a teeth (Shigley; ISO 21771).
 */
final class UndercutRule implements Rule {
  private static final double SINE_SQUARED =
      Math.pow(Math.sin(BasicRack.ISO_53_A.pressureAngle()), 2);
  private static final double LEAST = 2 * BasicRack.ISO_53_A.addendum() / SINE_SQUARED;

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (Member member : subject.train().involuteWheels()) {
      Optional<Teeth> teeth = member.teeth().filter(t -> !t.internal() && t.count() < LEAST);
      if (teeth.filter(t -> shift(subject, member) < needed(t.count())).isPresent()) {
        int count = teeth.get().count();
        double shift = needed(count);
        found.add(
            Finding.of("undercut", Severity.WARNING, List.of(member.id()))
                .with("teeth", count)
                .with("least", PairRule.rounded(LEAST, 1))
                .with("margin", PairRule.rounded(count - LEAST, 1))
                .with("shift", PairRule.rounded(Math.ceil(shift * 1000) / 1000, 3))
                .curedBy(Cure.nearest(subject.train(), member.id(), other -> other >= LEAST)));
      }
    }
    return found;
  }

  /** The profile shift that a wheel has. */
  private static double shift(Subject subject, Member member) {
    return Cut.of(subject.train(), member.id()).shift();
  }

  /** The profile shift from which on the rack leaves the flank whole, in modules. */
  private static double needed(int count) {
    return BasicRack.ISO_53_A.addendum() - count * SINE_SQUARED / 2;
  }
}
