package steadycog.piece;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Geometry;

/** How many bodies a stack of slabs makes: areas that lie on each other hold together. */
final class Bodies {
  /** Areas that share less than this only touch, mm². */
  private static final double TOUCH = 1e-6;

  /** Slabs this near lie on each other, mm. */
  private static final double NEAR = 1e-9;

  private record Area(Slab slab, Geometry shape) {}

  private Bodies() {}

  static int count(List<Slab> slabs, double chord) {
    Map<Region, Geometry> known = new HashMap<>();
    List<Area> areas = new ArrayList<>();
    for (Slab slab : slabs) {
      Geometry whole = known.computeIfAbsent(slab.region(), region -> region.area(chord));
      for (int k = 0; k < whole.getNumGeometries(); k++) {
        if (whole.getGeometryN(k).getArea() > TOUCH) {
          areas.add(new Area(slab, whole.getGeometryN(k)));
        }
      }
    }
    int[] group = new int[areas.size()];
    int bodies = 0;
    for (int k = 0; k < group.length; k++) {
      group[k] = k;
      bodies++;
      for (int j = 0; j < k; j++) {
        if (group[j] != group[k] && areTied(areas.get(j), areas.get(k))) {
          int gone = group[j];
          for (int i = 0; i <= k; i++) {
            group[i] = group[i] == gone ? group[k] : group[i];
          }
          bodies--;
        }
      }
    }
    return bodies;
  }

  private static boolean areTied(Area one, Area other) {
    boolean adjacent =
        Math.abs(one.slab.to() - other.slab.from()) < NEAR
            || Math.abs(other.slab.to() - one.slab.from()) < NEAR;
    return adjacent
        && one.shape.getEnvelopeInternal().intersects(other.shape.getEnvelopeInternal())
        && one.shape.intersection(other.shape).getArea() > TOUCH;
  }
}
