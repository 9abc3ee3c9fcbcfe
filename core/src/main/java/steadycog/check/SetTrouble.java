package steadycog.check;

import java.util.Optional;
import steadycog.shape.PairGeometry;
import steadycog.shape.PlanetGeometry;
import steadycog.shape.PlanetPlaces;
import steadycog.train.Mesh;
import steadycog.train.Planetary;

/** Whether a planetary set goes together, by its counts alone and quickly. */
final class SetTrouble {
  /** Two rows are distorted by no more, in teeth; see {@link RowClosureRule}. */
  private static final int MOST_DISTORTION = 3;

  private SetTrouble() {}

  /** The code of the first rule that keeps a set from going together. */
  static Optional<String> of(Planetary set) {
    PlanetGeometry geometry = new PlanetGeometry(set);
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
      if (!meshes(set, mesh)) {
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
    return geometry.stretch().orElse(0) == 0
        && geometry.virtualSun(0).orElse(1) > 0
        && (!set.paired() || geometry.pairMargin() >= 0);
  }

  private static boolean meshes(Planetary set, Mesh mesh) {
    PairGeometry pair = PairGeometry.in(set, mesh);
    return mesh.internal()
        ? pair.gear().count() > pair.pinion().count() && pair.trochoidMargin() >= 0
        : pair.interferenceMargin() >= 0;
  }
}
