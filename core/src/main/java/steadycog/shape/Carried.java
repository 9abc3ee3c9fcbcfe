package steadycog.shape;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import steadycog.number.Known;
import steadycog.shape.Placed.Orbit;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * The carriers of a train, and all planets but the first of each set.
 *
 * @param first every wheel once, as it was given
 * @param copies the further planets, each turned so that it meshes with what is nearer to the sun;
 *     where the set does not assemble its teeth run into the ring's, as they would
 */
record Carried(List<PlacedWheel> first, List<PlacedWheel> copies, List<PlacedCarrier> carriers) {
  /** The plate reaches past the pins by this share of the planet. */
  private static final double PLATE_SHARE = 0.62;

  static Carried of(
      Train train, List<PlacedWheel> first, Axes axes, Map<MemberId, Integer> planes) {
    Map<MemberId, PlacedWheel> known = new HashMap<>();
    first.forEach(wheel -> known.put(wheel.id(), wheel));
    List<PlacedWheel> copies = new ArrayList<>();
    List<PlacedCarrier> carriers = new ArrayList<>();
    for (Planetary set : train.parts(Planetary.class)) {
      for (int k = 1; k < set.count(); k++) {
        addCopy(train, set, k, known, copies);
      }
      Orbit middle = Known.in(known, set.planetIds().getFirst()).orbit().orElseThrow();
      MemberId id = set.carrierId();
      carriers.add(
          carrier(train, set, axes.of(id), Known.in(planes, id)).at(middle.x(), middle.y()));
    }
    return new Carried(List.copyOf(first), List.copyOf(copies), List.copyOf(carriers));
  }

  private static void addCopy(
      Train train,
      Planetary set,
      int k,
      Map<MemberId, PlacedWheel> first,
      List<PlacedWheel> copies) {
    PlanetGeometry geometry = PlanetGeometry.of(train, set);
    Map<MemberId, PlacedWheel> here = new HashMap<>(first);
    for (int row = 0; row < set.rows().size(); row++) {
      boolean sun = set.rows().get(row).sun().isPresent();
      // From the ring inwards where there is no sun to start from.
      for (Mesh mesh : sun ? set.meshes(row) : set.meshes(row).reversed()) {
        MemberId planet = sun ? mesh.b() : mesh.a();
        if (set.isPlanet(planet)) {
          PlacedWheel base = Known.in(first, planet);
          PlacedWheel moved = base.carried(k, base.orbit().orElseThrow(), geometry.axis(planet, k));
          PlacedWheel copy = Phases.meshing(Known.in(here, mesh.other(planet)), moved);
          here.put(planet, copy);
          copies.add(copy);
        }
      }
    }
  }

  private static PlacedCarrier carrier(Train train, Planetary set, int axis, int plane) {
    PlanetGeometry geometry = PlanetGeometry.of(train, set);
    List<Polar> pins = new ArrayList<>();
    for (int k = 0; k < set.count(); k++) {
      pins.addAll(geometry.axes(k));
    }
    double planet = 0;
    for (int row = 0; row < set.rows().size(); row++) {
      double scale = train.moduleMm(set.planetIds(row).getFirst()) / train.moduleMm();
      planet = Math.max(planet, scale * set.rows().get(row).outer().count() / 2.0);
    }
    double plate = Math.max(geometry.innerRadius(), geometry.outerRadius()) + PLATE_SHARE * planet;
    return new PlacedCarrier(set.carrierId(), axis, plane, 0, 0, set.count(), pins, plate);
  }
}
