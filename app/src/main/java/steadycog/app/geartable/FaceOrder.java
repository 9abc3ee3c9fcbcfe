package steadycog.app.geartable;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import steadycog.app.desk.Bench;
import steadycog.shape.Placed;
import steadycog.shape.PlacedCarrier;
import steadycog.shape.PlacedCone;
import steadycog.shape.PlacedFlex;
import steadycog.shape.PlacedPlate;
import steadycog.shape.PlacedWheel;
import steadycog.train.MemberId;
import steadycog.train.Part;

/** What lies before what in the face view. */
final class FaceOrder {
  private FaceOrder() {}

  /**
   * Small wheels are drawn over large ones whatever their plane, so that every mesh is seen; a
   * ring, being hollow, comes right behind the wheel inside it, a carrier behind all. Of two rows
   * of planets the one that is not looked at lies behind the other.
   */
  static List<Placed> backToFront(Bench bench, Optional<MemberId> chosen) {
    return bench.study().layout().bodies().stream()
        .sorted(
            Comparator.comparing((Placed body) -> !(body instanceof PlacedCarrier))
                .thenComparing(body -> !isBehind(bench, body, chosen))
                .thenComparing(Comparator.comparingDouble(body -> -sizeToEye(bench, body))))
        .toList();
  }

  /** Whether it lies in the row of its set that is not looked at: the second unless chosen. */
  static boolean isBehind(Bench bench, Placed body, Optional<MemberId> chosen) {
    Part part = bench.card().train().partOf(body.id());
    return body instanceof PlacedWheel
        && part.rowCount() > 1
        && part.row(body.id()) != chosen.map(part::row).orElse(0);
  }

  private static double sizeToEye(Bench bench, Placed body) {
    return switch (body) {
      case PlacedCarrier carrier -> Double.MAX_VALUE;
      case PlacedFlex flex -> flex.bodyRadius();
      case PlacedCone cone when cone.over() -> cone.small() / 2;
      case PlacedCone cone -> Double.MAX_VALUE / 2;
      case PlacedPlate plate ->
          switch (plate.kind()) {
            case PIN_RING, CIRCULAR_SPLINE -> Double.MAX_VALUE;
            case DISC -> plate.bodyRadius() + plate.copy();
            case ECCENTRIC, GENERATOR -> plate.bodyRadius() / 2;
            // The face of a crown or side lies behind what meshes with it.
            case CROWN, SIDE -> plate.bodyRadius();
            case CASE -> plate.bodyRadius() + 1;
            case SHAFT -> 0;
          };
      case PlacedWheel wheel when wheel.teeth().internal() -> largestInside(bench, wheel);
      case PlacedWheel wheel when wheel.hollow() > 0 -> Double.MAX_VALUE / 4;
      case PlacedWheel wheel -> wheel.bodyRadius();
    };
  }

  /** Just more than the largest wheel inside a ring in its plane, so that none is hidden. */
  private static double largestInside(Bench bench, PlacedWheel ring) {
    double largest = 0;
    for (PlacedWheel other : bench.study().layout().wheels()) {
      boolean inside = other.distanceTo(ring) < ring.tipRadius();
      if (inside && other.plane() == ring.plane() && !other.teeth().internal()) {
        largest = Math.max(largest, other.bodyRadius());
      }
    }
    return Math.nextUp(largest);
  }
}
