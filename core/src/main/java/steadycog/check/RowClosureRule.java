package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.shape.PlanetGeometry;
import steadycog.train.Mesh;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * Both rows of a planet run at one centre distance: S1 + P1 = R1 - P1 = R2 - P2 and so on at one
 * module. Teeth too many or too few are taken up by profile shift at another working angle, shared
 * by the rows; or a row is made in a module of its own (Müller, <i>Epicyclic Drive Trains</i>; ISO
 * 21771).
 */
final class RowClosureRule extends TwoRowRule {
  private static final int EASY = 1;
  private static final int MOST = 3;

  @Override
  Optional<Finding> check(Train train, Planetary set) {
    PlanetGeometry geometry = PlanetGeometry.of(train, set);
    int off = geometry.distortion();
    Finding found =
        finding("row-closure", severity(off, geometry.reaches()), set)
            .with("distortion", off)
            .with("teethOff", off == 1 ? "1 tooth" : off + " teeth")
            .with("distance", PlanetaryRule.length(train, geometry.innerRadius()))
            .with("rows", rows(set, geometry));
    if (off == 0) {
      return Optional.of(found.worded("fits"));
    }
    if (takenUp(geometry)) {
      return Optional.of(found.judged(Severity.OK).worded("taken-up"));
    }
    return Optional.of(
        geometry.reaches()
            ? found.with("modules", modules(set, geometry)).worded("stretched")
            : found.worded("apart"));
  }

  /**
   * Whether the designer has put the planets where every pair of teeth is an ordinary shifted one.
   */
  private static boolean takenUp(PlanetGeometry geometry) {
    return geometry.distanceStated()
        && geometry.reaches()
        && geometry.leastWorkingAngle() >= PlanetGeometry.FLATTEST_WORKING;
  }

  private static Severity severity(int off, boolean reaches) {
    if (!reaches || off > MOST) {
      return Severity.ERROR;
    }
    return off > EASY ? Severity.WARNING : off > 0 ? Severity.NOTE : Severity.OK;
  }

  /**
   * {@code sun with planet 28.3°, shift +0.61 and +0.61}: every pair's working angle and shifts.
   */
  private static String rows(Planetary set, PlanetGeometry geometry) {
    List<String> all = new ArrayList<>();
    for (Mesh mesh : set.meshes()) {
      double angle = Math.toDegrees(geometry.workingAngle(mesh));
      String how =
          Double.isNaN(angle)
              ? " at no angle, whatever the shift"
              : " at "
                  + PairRule.rounded(angle, 1)
                  + "\u00b0, shifts "
                  + shift(geometry.shift(mesh.a()))
                  + " and "
                  + shift(geometry.shift(mesh.b()));
      all.add(mesh.a() + " in " + mesh.b() + how);
    }
    return String.join("; ", all);
  }

  private static String shift(double shift) {
    String size = PairRule.rounded(Math.abs(shift), 2);
    return size.equals("0.00") ? size : (shift < 0 ? "\u2212" : "+") + size;
  }

  /** The module at which each row would close without any shift, as a multiple of the set's. */
  private static String modules(Planetary set, PlanetGeometry geometry) {
    List<String> all = new ArrayList<>();
    for (int row = 0; row < set.rows().size(); row++) {
      List<String> each =
          set.meshes(row).stream()
              .map(mesh -> PairRule.rounded(geometry.closingModule(mesh), 3))
              .distinct()
              .toList();
      all.add("row " + (row + 1) + " at " + String.join(" and ", each));
    }
    return String.join(", ", all);
  }
}
