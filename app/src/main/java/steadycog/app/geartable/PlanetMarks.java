package steadycog.app.geartable;

import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Bench;
import steadycog.shape.PlacedWheel;
import steadycog.shape.PlanetGeometry;
import steadycog.shape.PlanetPlaces;
import steadycog.train.Planetary;

/** What is marked on planets: that one does not go in, and how its rows are turned. */
final class PlanetMarks {
  private PlanetMarks() {}

  /** Whether it is a planet that does not go in where it stands, or runs into the next one. */
  static boolean isMisfit(Bench bench, BodyView view) {
    return view.placed() instanceof PlacedWheel wheel
        && wheel.orbit().isPresent()
        && bench
            .card()
            .train()
            .partOf(wheel.id(), Planetary.class)
            .filter(set -> isMisfit(bench, set, wheel))
            .isPresent();
  }

  private static boolean isMisfit(Bench bench, Planetary set, PlacedWheel planet) {
    int row = set.row(planet.id());
    return new PlanetPlaces(set).misfit(row, planet.copy()).signum() != 0
        || PlanetGeometry.of(bench.card().train(), set).neighbourMargin(row) < 0;
  }

  /** How far a planet's second row is turned against its first compared with the first planet. */
  static Optional<BigFraction> clocking(Bench bench, PlacedWheel wheel) {
    return bench
        .card()
        .train()
        .partOf(wheel.id(), Planetary.class)
        .filter(set -> set.stepped() && set.isPlanet(wheel.id()))
        .map(set -> new PlanetPlaces(set).clocking(wheel.copy()))
        .filter(teeth -> teeth.signum() != 0);
  }
}
