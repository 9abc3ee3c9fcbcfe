package steadycog.check;

import java.util.Optional;
import steadycog.shape.PlanetGeometry;
import steadycog.shape.PlanetPlaces;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * Sun, planets and ring of one module meet at one centre distance when R = S + 2 P. A ring that is
 * off by d teeth can be brought to the planets by profile shift, at a strain of d/(S + R) (Müller,
 * <i>Epicyclic Drive Trains</i>). Paired planets need their triangle to close.
 */
final class PitchFitRule extends PlanetaryRule {
  private static final int EASY = 1;
  private static final int MOST = 3;

  /** So much shift is left to a ring that is taken up by the shifts of the others, modules. */
  private static final double ORDINARY = 0.3;

  @Override
  Optional<Finding> check(Train train, Planetary set, int row) {
    PlanetGeometry geometry = PlanetGeometry.of(train, set);
    if (set.paired()) {
      return pairs(set, geometry);
    }
    if (geometry.stretch().isEmpty()) {
      return Optional.empty();
    }
    int off = geometry.stretch().getAsInt();
    int fitting = set.row().ring().orElseThrow().count() - off;
    if (off == 0) {
      return Optional.of(
          finding("pitch-fit", Severity.OK, set, 0)
              .with("ringTeeth", fitting)
              .with("stretch", 0)
              .worded("fits"));
    }
    boolean reaches = geometry.reaches();
    Finding found =
        finding("pitch-fit", severity(Math.abs(off), reaches), set, 0)
            .with("stretch", off)
            .with("teethOff", Math.abs(off) == 1 ? "1 tooth" : Math.abs(off) + " teeth")
            .with("tooLarge", off > 0 ? "too large" : "too small")
            .with("needed", fitting)
            .with("strain", strain(set, off));
    Finding shifted = found.with("shift", PairRule.rounded(geometry.shift(set.ringId(0)), 3));
    if (reaches && takenUp(train, set, geometry)) {
      return Optional.of(shifted.judged(Severity.OK).worded("taken-up"));
    }
    return Optional.of(
        reaches
            ? shifted
                .with("workingAngle", degrees(geometry.workingAngle(set.meshes().getLast())))
                .worded("stretched")
            : found.worded("apart"));
  }

  /** Whether stated shifts of sun and planets leave the ring no more than an ordinary one. */
  private static boolean takenUp(Train train, Planetary set, PlanetGeometry geometry) {
    boolean stated =
        geometry.distanceStated()
            || set.wheels().stream().anyMatch(w -> train.sizes().shift(w.id()).isPresent());
    return stated && Math.abs(geometry.shift(set.ringId(0))) <= ORDINARY;
  }

  private static Severity severity(int off, boolean reaches) {
    if (!reaches || off > MOST) {
      return Severity.ERROR;
    }
    return off > EASY ? Severity.WARNING : Severity.NOTE;
  }

  /** The distortion against all teeth that share it. */
  private static String strain(Planetary set, int off) {
    int teeth = new PlanetPlaces(set).sum(0).orElseThrow();
    return PairRule.rounded(100.0 * Math.abs(off) / teeth, 2) + " %";
  }

  private static String degrees(double radians) {
    return PairRule.rounded(Math.toDegrees(radians), 2) + "\u00b0";
  }

  private static Optional<Finding> pairs(Planetary set, PlanetGeometry geometry) {
    double margin = geometry.pairMargin();
    Finding found =
        finding("pitch-fit", margin < 0 ? Severity.ERROR : Severity.OK, set, 0)
            .with("margin", PairRule.rounded(margin, 2));
    return Optional.of(
        margin < 0
            ? found.with("excess", PairRule.rounded(-margin, 2)).worded("pair")
            : found.worded("pair-fits"));
  }
}
