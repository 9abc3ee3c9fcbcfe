package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.shape.PlanetGeometry;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** Planets that all mesh in step are noisier than those that follow each other (Müller). */
final class PhasingRule extends PlanetaryRule {

  @Override
  Optional<Finding> check(Train train, Planetary set, PlanetGeometry geometry) {
    if (set.count() == 1 || geometry.places().isEmpty() || !geometry.assembles()) {
      return Optional.empty();
    }
    int sun = set.sun().orElseThrow().count();
    int ring = set.ring().orElseThrow().count();
    List<String> atSun = phases(geometry, set.count(), sun);
    List<String> atRing = phases(geometry, set.count(), ring);
    boolean inStep = atSun.stream().allMatch("0"::equals) && atRing.stream().allMatch("0"::equals);
    return Optional.of(
        finding("phasing", inStep ? Severity.NOTE : Severity.OK, set)
            .with("atSun", String.join(", ", atSun))
            .with("atRing", String.join(", ", atRing))
            .worded(inStep ? "in-step" : "sequenced"));
  }

  /** How far each planet's mesh is behind the first planet's, in teeth below one. */
  private static List<String> phases(PlanetGeometry geometry, int planets, int teeth) {
    List<String> all = new ArrayList<>();
    for (int k = 0; k < planets; k++) {
      BigFraction passed = geometry.turnsTo(k).multiply(teeth);
      all.add(Exact.text(passed.subtract(BigFraction.of(Exact.floor(passed)))));
    }
    return all;
  }
}
