package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.shape.PlanetPlaces;
import steadycog.train.PlanetRow;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** Planets that all mesh in step are noisier than those that follow each other (Müller). */
final class PhasingRule extends PlanetaryRule {

  @Override
  Optional<Finding> check(Train train, Planetary set, int row) {
    PlanetPlaces places = new PlanetPlaces(set);
    if (set.count() == 1 || !places.assembles(row)) {
      return Optional.empty();
    }
    PlanetRow here = set.rows().get(row);
    Optional<List<String>> atSun =
        here.sun().map(teeth -> phases(places, set.count(), teeth.count()));
    Optional<List<String>> atRing =
        here.ring().map(teeth -> phases(places, set.count(), teeth.count()));
    boolean inStep =
        Stream.of(atSun, atRing)
            .flatMap(Optional::stream)
            .flatMap(List::stream)
            .allMatch("0"::equals);
    List<String> said = new ArrayList<>();
    atSun.ifPresent(all -> said.add(String.join(", ", all) + " tooth at the sun"));
    atRing.ifPresent(all -> said.add(String.join(", ", all) + " tooth at the ring"));
    return Optional.of(
        finding("phasing", inStep ? Severity.NOTE : Severity.OK, set, row)
            .with("atSun", atSun.map(all -> String.join(", ", all)).orElse("no sun"))
            .with("atRing", atRing.map(all -> String.join(", ", all)).orElse("no ring"))
            .with("phases", String.join("; ", said))
            .with("where", where(set, here, row))
            .worded(inStep ? "in-step" : "sequenced"));
  }

  private static String where(Planetary set, PlanetRow row, int number) {
    String wheels =
        row.sun().isEmpty() ? "the ring" : row.ring().isEmpty() ? "the sun" : "sun and ring";
    return wheels + (set.stepped() ? " of row " + (number + 1) : "");
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
