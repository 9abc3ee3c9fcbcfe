package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.shape.PlanetPlaces;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;
import steadycog.train.Train;

/**
 * Planets with two rows of teeth are alike exactly when R2 P1 - R1 P2 (a sun counts as -R) is
 * divisible by N gcd(P1, P2); else the rows of each must be turned against each other by what its
 * place asks for, and N different parts be kept in order (Müller, <i>Epicyclic Drive Trains</i>).
 */
final class IndexingRule extends TwoRowRule {

  @Override
  Optional<Finding> check(Train train, Planetary set) {
    if (set.count() == 1) {
      return Optional.empty();
    }
    PlanetPlaces places = new PlanetPlaces(set);
    boolean alike = places.identical();
    boolean clocked = set.spacing() == Spacing.CLOCKED;
    Finding found =
        finding("indexing", severity(alike, clocked), set)
            .with("planets", set.count())
            .with("identicalPlanets", alike ? "yes" : "no")
            .with("index", places.index().orElseThrow())
            .with("quotient", Exact.text(Exact.of(places.index().orElseThrow(), set.count())));
    if (set.spacing() == Spacing.UNEVEN && places.count().orElse(0) > 0) {
      return Optional.of(
          found
              .with("places", places.count().getAsInt())
              .with("positions", AssemblyRule.positions(set))
              .worded("uneven"));
    }
    if (alike) {
      return Optional.of(found.worded("alike"));
    }
    Finding listed = found.with("clocking", clocking(set, places));
    return Optional.of(clocked ? listed.recoded("clocked-planets") : listed);
  }

  private static Severity severity(boolean alike, boolean clocked) {
    return alike ? Severity.OK : clocked ? Severity.NOTE : Severity.ERROR;
  }

  private static String clocking(Planetary set, PlanetPlaces places) {
    List<String> all = new ArrayList<>();
    for (int k = 1; k < set.count(); k++) {
      BigFraction teeth = places.clocking(k);
      all.add("planet " + (k + 1) + ": " + Exact.text(teeth) + " tooth");
    }
    return String.join(", ", all);
  }
}
