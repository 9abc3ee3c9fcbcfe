package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.shape.PlanetPlaces;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Row;
import steadycog.train.Train;

/** Planets that all mesh in step are noisier than those that follow each other (Müller). */
final class PhasingRule extends PlanetaryRule {

  @Override
  Optional<Finding> check(Train train, Planetary set, int row) {
    PlanetPlaces places = new PlanetPlaces(set);
    if (set.count() == 1 || places.sum(row).isEmpty() || !places.assembles(row)) {
      return Optional.empty();
    }
    Row here = set.rows().get(row);
    List<String> atSun = phases(places, set.count(), here.sun().orElseThrow().count());
    List<String> atRing = phases(places, set.count(), here.ring().orElseThrow().count());
    boolean inStep = atSun.stream().allMatch("0"::equals) && atRing.stream().allMatch("0"::equals);
    return Optional.of(
        finding("phasing", inStep ? Severity.NOTE : Severity.OK, set, row)
            .with("atSun", String.join(", ", atSun))
            .with("atRing", String.join(", ", atRing))
            .worded(inStep ? "in-step" : "sequenced"));
  }

  /** How far each planet's mesh is behind the first planet's, in teeth below one. */
  private static List<String> phases(PlanetPlaces places, int planets, int teeth) {
    List<String> all = new ArrayList<>();
    for (int k = 0; k < planets; k++) {
      BigFraction passed = places.turnsTo(k).multiply(teeth);
      all.add(Exact.text(passed.subtract(BigFraction.of(Exact.floor(passed)))));
    }
    return all;
  }
}
