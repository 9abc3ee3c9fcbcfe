package steadycog.shape;

import java.util.List;
import java.util.OptionalInt;
import steadycog.train.Clearance.Gap;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.PlanetRow;
import steadycog.train.Planetary;
import steadycog.train.Sizes;

/** The profile shifts that bring the wheels of a planetary set to its axes. */
final class PlanetShifts {
  private final PlanetGeometry geometry;
  private final Planetary part;
  private final List<List<Mesh>> rows;
  private final Sizes sizes;

  PlanetShifts(PlanetGeometry geometry, Planetary part, List<List<Mesh>> rows, Sizes sizes) {
    this.geometry = geometry;
    this.part = part;
    this.rows = rows;
    this.sizes = sizes;
  }

  /** Sum (of an internal pair difference) of profile shifts that the working angle asks for. */
  double of(Mesh mesh) {
    double angle = geometry.rack(mesh).pressureAngle();
    double turns = BasicRack.involute(geometry.workingAngle(mesh)) - BasicRack.involute(angle);
    return mesh.span() * turns / (2 * Math.tan(angle));
  }

  /** Sun and planet of a row share what their pair asks for; planets cut in one are alike. */
  double planet(int row) {
    MemberId planet = part.planetIds(row).getFirst();
    if (!part.stepped() || sizes.shift(planet).isPresent()) {
      return geometry.statedShift(planet);
    }
    int from = part.rows().get(row).sun().isPresent() ? row : 1 - row;
    PlanetRow sunny = part.rows().get(from);
    boolean alike = sunny.inner().equals(part.rows().get(row).inner());
    if (alike && sizes.shift(part.planetIds(1 - row).getFirst()).isPresent()) {
      return geometry.statedShift(part.planetIds(1 - row).getFirst());
    }
    return sunny.sun().isPresent() && alike ? finite(of(rows.get(from).getFirst()) / 2) : 0;
  }

  /**
   * The profile shift of a wheel, in modules, outwards positive; zero where it needs none and where
   * none would do.
   */
  double shift(MemberId wheel) {
    OptionalInt row = part.rowOf(wheel);
    if (row.isEmpty() || part.paired()) {
      return 0;
    }
    double own = planet(row.getAsInt());
    if (part.isPlanet(wheel)) {
      return own;
    }
    if (part.takesShift(wheel)) {
      return geometry.statedShift(wheel);
    }
    Mesh mesh =
        rows.get(row.getAsInt()).stream().filter(m -> m.touches(wheel)).findFirst().orElseThrow();
    return finite(mesh.internal() ? of(mesh) + own : of(mesh) - own);
  }

  /**
   * What is taken off the tips of a row's sun and planets, in modules, so that shifted teeth keep
   * their clearance (ISO 21771, tip alteration).
   */
  double shortening(int row) {
    if (part.paired() || part.rows().get(row).sun().isEmpty()) {
      return 0;
    }
    Mesh mesh = rows.get(row).getFirst();
    if (Double.isNaN(geometry.workingAngle(mesh))) {
      return 0;
    }
    double sum = shift(part.sunId(row)) + planet(row);
    return Math.max(0, finite(sum - (geometry.tight(mesh) - mesh.span() / 2.0)));
  }

  private static double finite(double shift) {
    return Double.isNaN(shift) ? 0 : shift;
  }

  Cut cut(MemberId wheel) {
    OptionalInt row = part.rowOf(wheel);
    if (row.isEmpty()) {
      return Cut.STANDARD;
    }
    double shortening = part.ringIds().contains(wheel) ? 0 : shortening(row.getAsInt());
    double tipGap = sizes.clearance().mm(Gap.TIP) / geometry.moduleMm(row.getAsInt());
    return new Cut(geometry.rack(row.getAsInt()), shift(wheel), shortening + tipGap);
  }
}
