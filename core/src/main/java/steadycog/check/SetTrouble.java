package steadycog.check;

import java.util.Optional;
import steadycog.shape.Cut;
import steadycog.shape.PairGeometry;
import steadycog.shape.PlanetGeometry;
import steadycog.shape.PlanetPlaces;
import steadycog.train.Mesh;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** Whether a planetary set goes together, by its counts alone and quickly. */
final class SetTrouble {
  /** Two rows are distorted by no more, in teeth; see {@link RowClosureRule}. */
  private static final int MOST_DISTORTION = 3;

  /** So many pairs of teeth should be in touch; see {@link ContactRatioRule}. */
  private static final double LEAST_CONTACT = 1.2;

  private SetTrouble() {}

  /** The code of the first rule that keeps a set from going together unshifted. */
  static Optional<String> of(Planetary set) {
    PlanetGeometry geometry = new PlanetGeometry(set);
    return geometry.stretch().orElse(0) == 0 ? of(set, geometry) : Optional.of("pitch-fit");
  }

  /** The same for a set as {@code train} sizes it, whose ring may be shifted to fit. */
  static Optional<String> of(Train train, Planetary set) {
    return of(set, PlanetGeometry.of(train, set));
  }

  private static Optional<String> of(Planetary set, PlanetGeometry geometry) {
    PlanetPlaces places = new PlanetPlaces(set);
    if (!fits(set, geometry)) {
      return Optional.of(set.stepped() ? "row-closure" : "pitch-fit");
    }
    if (!places.assembles()) {
      return Optional.of(places.identical() ? "assembly" : "indexing");
    }
    if (geometry.neighbourMargin() <= 0) {
      return Optional.of("neighbour");
    }
    for (Mesh mesh : set.meshes()) {
      if (!meshes(PairGeometry.in(geometry, mesh))) {
        return Optional.of(mesh.internal() ? "internal-interference" : "interference");
      }
    }
    return Optional.empty();
  }

  /** Two rows are let off by a few teeth, but not both alike: that turns nothing. */
  private static boolean fits(Planetary set, PlanetGeometry geometry) {
    if (set.stepped()) {
      return new PlanetPlaces(set).index().orElse(0) != 0
          && geometry.distortion() <= MOST_DISTORTION
          && geometry.reaches();
    }
    return Math.abs(geometry.stretch().orElse(0)) <= MOST_DISTORTION
        && geometry.reaches()
        && set.row().virtualSun().orElse(1) > 0
        && (!set.paired() || geometry.pairMargin() >= 0);
  }

  private static boolean meshes(PairGeometry pair) {
    return pair.internal()
        ? pair.gear() > pair.pinion() && pair.trochoidMargin() >= 0
        : pair.interferenceMargin() >= 0;
  }

  /**
   * Whether nothing about the teeth of a set that goes together asks for a change: no flank is
   * undercut, no ring reaches below a base circle.
   */
  static boolean clean(Train train, Planetary set) {
    PlanetGeometry geometry = PlanetGeometry.of(train, set);
    for (Mesh mesh : set.meshes()) {
      PairGeometry pair = PairGeometry.in(geometry, mesh);
      boolean good =
          pair.contactRatio() >= LEAST_CONTACT
              && (!pair.internal() || pair.internalClear())
              && whole(pair.pinion(), pair.pinionCut())
              && (pair.internal() || whole(pair.gear(), pair.gearCut()));
      if (!good) {
        return false;
      }
    }
    return true;
  }

  private static boolean whole(double teeth, Cut cut) {
    return cut.shift() >= cut.rack().shiftAgainstUndercut(teeth) - UndercutRule.HARMLESS;
  }
}
