package steadycog.shape;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BiPredicate;
import steadycog.shape.FaceLayout.Clash;
import steadycog.train.MemberId;

/** Wheels that stand where a shaft of others passes. */
final class ShaftClashes {
  private final List<PlacedWheel> placed;
  private final BiPredicate<MemberId, MemberId> meshing;

  /**
   * Looks at wheels where they stand.
   *
   * @param meshing whether two wheels mesh
   */
  ShaftClashes(List<PlacedWheel> placed, BiPredicate<MemberId, MemberId> meshing) {
    this.placed = placed;
    this.meshing = meshing;
  }

  List<Clash> all() {
    List<Clash> found = new ArrayList<>();
    Map<Integer, List<PlacedWheel>> shafts = shafts();
    placed.forEach(wheel -> addShaftClashes(wheel, shafts, found));
    return found;
  }

  /** Shafts that pass through the plane of {@code wheel}, having wheels on both sides of it. */
  private void addShaftClashes(
      PlacedWheel wheel, Map<Integer, List<PlacedWheel>> shafts, List<Clash> found) {
    shafts.forEach(
        (axis, shaft) -> {
          boolean before = shaft.getFirst().plane() < wheel.plane();
          boolean behind = shaft.getLast().plane() > wheel.plane();
          if (axis != wheel.axis() && before && behind && touchesNone(wheel, shaft)) {
            double depth = bodyOverShaft(wheel, shaft.getFirst());
            if (depth > 0) {
              found.add(new Clash(wheel.id(), shaft.getFirst().id(), depth, true));
            }
          }
        });
  }

  /** The wheels on every axis, by their planes. */
  private Map<Integer, List<PlacedWheel>> shafts() {
    Map<Integer, List<PlacedWheel>> shafts = new TreeMap<>();
    placed.forEach(
        wheel -> shafts.computeIfAbsent(wheel.axis(), none -> new ArrayList<>()).add(wheel));
    shafts.values().forEach(shaft -> shaft.sort(Comparator.comparingInt(PlacedWheel::plane)));
    return shafts;
  }

  private boolean touchesNone(PlacedWheel wheel, List<PlacedWheel> shaft) {
    return shaft.stream().noneMatch(other -> meshing.test(wheel.id(), other.id()));
  }

  /** How far a shaft stands in a wheel's body; a ring leaves room inside. */
  private static double bodyOverShaft(PlacedWheel wheel, PlacedWheel onShaft) {
    double distance = wheel.distanceTo(onShaft);
    double outside = wheel.bodyRadius() + Placing.SHAFT_RADIUS - distance;
    return Placing.hollow(wheel) > 0
        ? Math.min(outside, distance + Placing.SHAFT_RADIUS - Placing.hollow(wheel))
        : outside;
  }
}
