package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.shape.PlanetGeometry;
import steadycog.shape.PlanetPlaces;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;
import steadycog.train.Train;

/**
 * Planets go in wherever the teeth of sun and ring agree, every 1/(S + R) of a turn: N of them
 * equally spaced need (S + R)/N whole, for pairs (R - S)/N (Müller, <i>Epicyclic Drive Trains</i>).
 * The rules of thumb "R divisible by N" and "R - S divisible by N" are not the condition; their
 * outcome is given among the values so that nobody need wonder.
 */
final class AssemblyRule extends PlanetaryRule {

  @Override
  Optional<Finding> check(Train train, Planetary set, int row) {
    PlanetPlaces places = new PlanetPlaces(set);
    if (places.sum(row).isEmpty() || set.count() == 1) {
      return Optional.empty();
    }
    int sum = places.sum(row).getAsInt();
    boolean goes = places.assembles(row);
    Finding found =
        finding("assembly", goes ? Severity.OK : Severity.ERROR, set, row)
            .with("planets", set.count())
            .with("sum", set.paired() ? "R \u2212 S" : "S + R")
            .with("places", places.count().orElse(sum))
            .with("quotient", Exact.text(Exact.of(sum, set.count())))
            .with("ringDivisible", ring(set, row) % set.count() == 0 ? "passes" : "fails")
            .with(
                "differenceDivisible",
                (ring(set, row) - sun(set, row)) % set.count() == 0 ? "passes" : "fails");
    if (set.spacing() == Spacing.UNEVEN && places.count().orElse(0) > 0) {
      return Optional.of(found.with("positions", positions(set)).worded("uneven"));
    }
    return Optional.of(goes ? found.worded("fits") : failing(found, set, row));
  }

  private static Finding failing(Finding found, Planetary set, int row) {
    List<Integer> working = workingCounts(set);
    Finding full =
        found
            .with("misfits", misfits(set, row))
            .with("largest", working.isEmpty() ? "none" : Integer.toString(working.getLast()))
            .with("works", listed(working))
            .with(
                "positions",
                room(set) < set.count() ? "no places" : positions(set.spaced(Spacing.UNEVEN)));
    return working.isEmpty() ? full.worded("never") : full;
  }

  /** Places that planets made alike can have round the carrier. */
  private static int room(Planetary set) {
    return new PlanetPlaces(set.spaced(Spacing.UNEVEN)).count().orElse(0);
  }

  private static int ring(Planetary set, int row) {
    return set.rows().get(row).ring().orElseThrow().count();
  }

  private static int sun(Planetary set, int row) {
    return set.rows().get(row).sun().orElseThrow().count();
  }

  /** Numbers of planets from 2 that assemble evenly and stay clear of each other. */
  static List<Integer> workingCounts(Planetary set) {
    List<Integer> all = new ArrayList<>();
    for (int n = 2; n <= Planetary.MOST_PLANETS; n++) {
      Planetary other = set.withCount(n).spaced(Spacing.EQUAL);
      if (new PlanetPlaces(other).assembles() && new PlanetGeometry(other).neighbourMargin() > 0) {
        all.add(n);
      }
    }
    return all;
  }

  private static String listed(List<Integer> numbers) {
    return numbers.stream().map(String::valueOf).collect(Collectors.joining(", "));
  }

  /** By what part of a tooth each planet misses. */
  private static String misfits(Planetary set, int row) {
    PlanetPlaces places = new PlanetPlaces(set);
    List<String> all = new ArrayList<>();
    for (int k = 1; k < set.count(); k++) {
      BigFraction misfit = places.misfit(row, k);
      if (!Exact.isZero(misfit)) {
        all.add("planet " + (k + 1) + " by " + Exact.text(misfit.abs()) + " tooth");
      }
    }
    return String.join(", ", all);
  }

  /** The angles from the first planet at which all go in, degrees. */
  static String positions(Planetary set) {
    List<String> all = new ArrayList<>();
    for (int k = 0; k < set.count(); k++) {
      BigFraction degrees = new PlanetPlaces(set).turnsTo(k).multiply(360);
      all.add(PairRule.rounded(degrees.doubleValue(), 2) + "\u00b0");
    }
    return String.join(", ", all);
  }
}
