package steadycog.check;

import java.util.Optional;
import steadycog.number.Figures;
import steadycog.piece.Blank;
import steadycog.shape.Drives;
import steadycog.train.Member;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * Planets held at one end tilt when their rows lie further apart than a planet is wide: a second
 * carrier plate holds the other end (Niemann & Winter II).
 */
final class TallPlanetRule extends TwoRowRule {
  @Override
  Optional<Finding> check(Train train, Planetary set) {
    double offset = offset(train, set);
    int least = set.rows().stream().mapToInt(row -> row.inner().count()).min().orElseThrow();
    return Optional.of(
        finding("tall-planet", least < offset ? Severity.NOTE : Severity.OK, set)
            .with("diameter", least)
            .with("offset", Figures.significant(offset, 3))
            .with("margin", Figures.significant(least - offset, 3))
            .worded(least < offset ? "tilts" : "steady"));
  }

  /** From the middle of one row to that of the other, in modules. */
  private static double offset(Train train, Planetary set) {
    double widths = 0;
    for (Member member : train.members()) {
      if (set.isPlanet(member.id())) {
        widths += Blank.widthMm(train, member.id());
      }
    }
    return widths / 2 / Drives.moduleMm(train) + Blank.ROW_GAP;
  }
}
