package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.shape.BasicRack;
import steadycog.shape.Cut;
import steadycog.shape.PlanetGeometry;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Sizes;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * A rack cuts into the flank of a pinion with fewer than 2 k / sin² a teeth unless it is shifted
 * out (Shigley; ISO 21771).
 */
final class UndercutRule implements Rule {
  private static final int THOUSANDTHS = 1000;

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    Train train = subject.train();
    BasicRack rack = BasicRack.of(train.sizes().rackInForce());
    double least = rack.undercutFree();
    for (Member member : train.involuteWheels()) {
      Optional<Teeth> teeth = member.teeth().filter(t -> !t.internal() && t.count() < least);
      double needed = teeth.map(t -> rack.shiftAgainstUndercut(t.count())).orElse(0.0);
      if (teeth.isPresent() && Cut.of(train, member.id()).shift() < needed) {
        int count = teeth.get().count();
        int shift = (int) Math.ceil(needed * THOUSANDTHS);
        List<Cure> cures =
            new ArrayList<>(
                Cure.nearest(train, member.id(), other -> other >= least).stream().toList());
        shifted(train, member.id(), Exact.of(shift, THOUSANDTHS)).ifPresent(cures::add);
        found.add(
            Finding.of("undercut", Severity.WARNING, List.of(member.id()))
                .with("teeth", count)
                .with("least", PairRule.rounded(least, 1))
                .with("margin", PairRule.rounded(count - least, 1))
                .with("shift", PairRule.rounded((double) shift / THOUSANDTHS, 3))
                .curedBy(cures));
      }
    }
    return found;
  }

  /** The wheel shifted, where that can be chosen and a set goes together with it. */
  private static Optional<Cure> shifted(Train train, MemberId wheel, BigFraction shift) {
    Part part = train.partOf(wheel);
    if (!part.takesShift(wheel)) {
      return Optional.empty();
    }
    Sizes sizes = train.sizes();
    Train changed =
        train.withSizes(sizes.with(wheel, sizes.own(wheel).withShift(Optional.of(shift))));
    boolean fits =
        !(part instanceof Planetary set)
            || Recount.goesTogether(set)
                && PlanetGeometry.of(changed, set).reaches()
                && PlanetGeometry.of(changed, set).neighbourMargin() > 0;
    return fits
        ? Optional.of(new Cure("shift " + wheel + " " + Exact.plain(shift), changed))
        : Optional.empty();
  }
}
