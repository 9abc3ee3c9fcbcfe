package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import steadycog.shape.Axes;
import steadycog.shape.PlanetGeometry;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * Two sets on one carrier: their pins are one and the same, stand apart, or run into each other.
 */
final class SharedCarrierRule implements Rule {
  /** A pin and the wall round it, in modules. */
  private static final double PIN = 3;

  private static final double SAME = 1e-6;

  @Override
  public List<Finding> check(Subject subject) {
    Train train = subject.train();
    Axes shafts = Axes.ofShafts(train);
    List<Planetary> sets = train.parts(Planetary.class);
    List<Finding> found = new ArrayList<>();
    for (int a = 0; a < sets.size(); a++) {
      for (int b = a + 1; b < sets.size(); b++) {
        if (shafts.of(sets.get(a).carrierId()) == shafts.of(sets.get(b).carrierId())) {
          found.add(finding(train, sets.get(a), sets.get(b)));
        }
      }
    }
    return found;
  }

  private static Finding finding(Train train, Planetary one, Planetary two) {
    double first = PlanetGeometry.of(train, one).innerRadius();
    double second = PlanetGeometry.of(train, two).innerRadius();
    double apart = Math.abs(first - second);
    boolean alike = one.count() == two.count();
    Finding finding =
        Finding.of("shared-carrier", Severity.NOTE, List.of(one.carrierId(), two.carrierId()))
            .with("first", one.name())
            .with("second", two.name())
            .with("pinsFirst", PairRule.rounded(first, 2))
            .with("pinsSecond", PairRule.rounded(second, 2));
    if (apart < SAME && alike) {
      return finding.worded("same").judged(Severity.OK);
    }
    if (apart >= PIN) {
      return finding.worded("apart");
    }
    return finding.judged(Severity.WARNING).with("apart", PairRule.rounded(apart, 2));
  }
}
