package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import steadycog.shape.EdgeLayout.EdgeCarrier;
import steadycog.shape.EdgeLayout.EdgeCup;
import steadycog.shape.EdgeLayout.EdgeShaft;
import steadycog.shape.EdgeLayout.EdgeWheel;
import steadycog.shape.EdgeLayout.Way;
import steadycog.shape.PlacedPlate.Kind;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Role;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/** Bodies and shafts of the side view, on axes whose heights are known. */
final class EdgeBodies {
  private static final double FACE = 0.34;
  private static final double OUTPUT_RIM = 1.2;

  /** Half the width of a hollow shaft, in modules. */
  private static final double BORE = 2.6;

  /** The same of one with another hollow shaft inside. */
  private static final double OUTER_BORE = 4.6;

  /** How far beside its planets a carrier's plate lies, and its pins reach past them, in planes. */
  private static final double PLATE = 0.27;

  private final Train train;
  private final FaceLayout face;
  private final Map<Integer, Double> heights;
  private final int firstPlane;

  EdgeBodies(Train train, FaceLayout face, Map<Integer, Double> heights) {
    this.train = train;
    this.face = face;
    this.heights = heights;
    firstPlane = face.bodies().stream().mapToInt(Placed::plane).min().orElse(0);
  }

  EdgeLayout layout() {
    List<PlacedWheel> once = face.wheels().stream().filter(w -> w.copy() == 0).toList();
    List<EdgeWheel> all = new ArrayList<>();
    once.forEach(wheel -> all.add(at(wheel, heights.get(wheel.axis()))));
    List<EdgeCarrier> carriers = new ArrayList<>();
    face.carriers().forEach(one -> carriers.add(carrier(one)));
    carriers.stream().filter(EdgeCarrier::bothSides).forEach(one -> addBelow(one, once, all));
    List<EdgeCup> cups = new ArrayList<>();
    for (Placed plate : face.plates()) {
      addPlate(plate, all, carriers, cups);
    }
    int last = face.bodies().stream().mapToInt(Placed::plane).max().orElse(0);
    return new EdgeLayout(all, carriers, cups, shafts(), last - firstPlane + 1);
  }

  private EdgeWheel at(PlacedWheel wheel, double height) {
    return at(wheel, height, 0);
  }

  private EdgeWheel at(PlacedWheel wheel, double height, int copy) {
    boolean ring = wheel.teeth().internal();
    int plane = wheel.plane() - firstPlane;
    return new EdgeWheel(
        wheel.id(),
        copy,
        plane,
        plane,
        FACE,
        height,
        wheel.bodyRadius(),
        ring ? wheel.tipRadius() : 0,
        ring ? 0 : wheel.rootRadius(),
        ring && inSet(wheel.axis()) ? bore(wheel) : 0,
        !ring ? Way.EITHER : inSet(wheel.axis()) && !isBehind(wheel) ? Way.LEFT : Way.RIGHT);
  }

  /** Whether a wheel lies in the second row of its set and is no part of a body in the first. */
  private boolean isBehind(PlacedWheel wheel) {
    return train.partOf(wheel.id()) instanceof Planetary set
        && set.rowOf(wheel.id()).orElse(0) > 0
        && set.body(wheel.id()).equals(wheel.id());
  }

  /** A member of a drive without involute teeth. */
  private void addPlate(
      Placed placed, List<EdgeWheel> all, List<EdgeCarrier> carriers, List<EdgeCup> cups) {
    int plane = placed.plane() - firstPlane;
    double height = heights.get(placed.axis());
    switch (placed) {
      case PlacedPlate plate -> {
        double wide = FACE / (plate.kind() == Kind.DISC ? copies(plate.id()) : 1);
        double at = plane + (plate.copy() - (copies(plate.id()) - 1) / 2.0) * wide;
        double off = plate.y() - plate.orbit().map(Placed.Orbit::y).orElse(plate.y());
        double aside = plate.x() - plate.orbit().map(Placed.Orbit::x).orElse(plate.x());
        boolean ring = plate.kind() == Kind.PIN_RING || plate.kind() == Kind.CIRCULAR_SPLINE;
        double inner = ring ? innermost(plate) : 0;
        // Shown as it stands a quarter turn on, where the eccentric lifts the first disc most.
        double lift = plate.kind() == Kind.DISC ? aside - off : 0;
        all.add(
            new EdgeWheel(
                plate.id(),
                plate.copy(),
                plane,
                at,
                wide,
                height + lift,
                plate.bodyRadius(),
                inner,
                0,
                ring ? BORE : 0,
                ring ? Way.LEFT : Way.EITHER));
        if (plate.kind() == Kind.DISC && plate.copy() == 0) {
          carriers.add(outputPins(plate, plane, height));
        }
      }
      case PlacedFlex flex -> {
        double bore = flex.geometry().flexRadius() - flex.boreDepth();
        double tip = flex.geometry().flexRadius();
        all.add(
            new EdgeWheel(flex.id(), 0, plane, plane, FACE, height, tip, bore, -1, 0, Way.EITHER));
        boolean hat = flex.geometry().part().sizes().mount() == StrainWave.Mount.HAT;
        cups.add(new EdgeCup(flex.id(), plane, height, (tip + bore) / 2, hat));
      }
      case PlacedWheel none -> throw new IllegalStateException("a wheel among plates: " + none);
      case PlacedCarrier none -> throw new IllegalStateException("a carrier among plates: " + none);
    }
  }

  private int copies(MemberId member) {
    return train.partOf(member).copies(member);
  }

  private static EdgeCarrier outputPins(PlacedPlate disc, int plane, double height) {
    PlacedPlate.Circle pin = disc.studs().getFirst();
    double circle = Math.hypot(pin.x(), pin.y());
    return new EdgeCarrier(
        disc.id(),
        plane,
        plane + PLATE,
        plane - PLATE,
        height,
        circle + OUTPUT_RIM * pin.radius(),
        circle,
        true);
  }

  /** The hollow of a ring: its pins' or teeth's innermost radius. */
  private static double innermost(PlacedPlate ring) {
    double least = ring.bodyRadius();
    for (PlacedPlate.Circle stud : ring.studs()) {
      least = Math.min(least, Math.hypot(stud.x(), stud.y()) - stud.radius());
    }
    for (Outline line : ring.lines()) {
      for (int k = 0; k < line.size(); k++) {
        least = Math.min(least, Math.hypot(line.x()[k], line.y()[k]));
      }
    }
    return least;
  }

  private boolean inSet(int axis) {
    return face.carriers().stream().anyMatch(carrier -> carrier.axis() == axis)
        || face.plates().stream().anyMatch(plate -> plate.axis() == axis);
  }

  private EdgeCarrier carrier(PlacedCarrier carrier) {
    double pin = carrier.pins().getFirst().radius();
    int plane = carrier.plane() - firstPlane;
    boolean stepped = isStepped(carrier);
    return new EdgeCarrier(
        carrier.id(),
        plane,
        stepped ? plane - PLATE : plane + PLATE,
        stepped ? plane + 1 + PLATE : plane - PLATE,
        heights.get(carrier.axis()),
        carrier.bodyRadius(),
        pin,
        carrier.planets() > 1);
  }

  /** The bore of a ring: at the drive end of two rows the carrier's shaft comes out as well. */
  private double bore(PlacedWheel ring) {
    boolean withCarrier =
        train.partOf(ring.id()) instanceof Planetary set && set.stepped() && !isBehind(ring);
    return withCarrier ? OUTER_BORE : BORE;
  }

  /** Between two rows of planets there is no room for a plate: it goes to the drive end. */
  private boolean isStepped(PlacedCarrier carrier) {
    return train.partOf(carrier.id()) instanceof Planetary set && set.stepped();
  }

  /** The planets of {@code carrier} once more on the other side of its axis. */
  private void addBelow(EdgeCarrier carrier, List<PlacedWheel> once, List<EdgeWheel> all) {
    for (PlacedWheel wheel : once) {
      if (wheel.orbit().filter(orbit -> orbit.carrier().equals(carrier.id())).isPresent()) {
        double height = 2 * carrier.height() - heights.get(wheel.axis());
        all.add(at(wheel, height, 1));
      }
    }
  }

  /** Every body that turns about an axis at rest, with the stretch of planes it needs. */
  private List<EdgeShaft> shafts() {
    Axes rigid = Axes.ofShafts(train);
    List<EdgeShaft> all = new ArrayList<>();
    for (int shaft = 0; shaft < rigid.count(); shaft++) {
      List<MemberId> members = rigid.wheelsOn(shaft).stream().map(Member::id).toList();
      List<Placed> bodies =
          face.bodies().stream()
              .filter(body -> members.contains(body.id()) && hasShaft(body))
              .toList();
      if (!bodies.isEmpty()) {
        all.add(shaft(members, bodies));
      }
    }
    return all;
  }

  /** Between two hollow shafts there is no room for a carrier's that nobody turns or holds. */
  private boolean hasRole(PlacedCarrier carrier) {
    boolean joined = train.joins().stream().anyMatch(join -> join.touches(carrier.id()));
    return joined || train.rolesInForce().of(carrier.id()) != Role.FREE;
  }

  /** Planets have a pin instead; further discs go with the first. */
  private boolean hasShaft(Placed body) {
    return switch (body) {
      case PlacedPlate plate -> plate.copy() == 0;
      case PlacedFlex flex -> true;
      case PlacedCarrier carrier -> !isStepped(carrier) || hasRole(carrier);
      case PlacedWheel wheel -> wheel.orbit().isEmpty();
    };
  }

  private EdgeShaft shaft(List<MemberId> members, List<Placed> bodies) {
    double from = Double.MAX_VALUE;
    double to = -Double.MAX_VALUE;
    Way way = Way.EITHER;
    double bore = 0;
    for (Placed body : bodies) {
      double plane = body.plane() - firstPlane;
      switch (body) {
        case PlacedCarrier carrier when isStepped(carrier) -> {
          from = Math.min(from, plane - 0.6);
          to = Math.max(to, plane - 0.27);
          way = Way.LEFT;
          bore = bodies.size() == 1 ? BORE : bore;
        }
        case PlacedCarrier carrier -> {
          from = Math.min(from, plane + 0.3);
          to = Math.max(to, plane + 0.75);
          way = Way.RIGHT;
        }
        case PlacedFlex flex -> {
          from = Math.min(from, plane + 0.42);
          to = Math.max(to, plane + 0.75);
          way = Way.RIGHT;
        }
        case PlacedPlate plate when plate.kind() == Kind.DISC -> {
          from = Math.min(from, plane + 0.3);
          to = Math.max(to, plane + 0.75);
          way = Way.RIGHT;
        }
        case PlacedPlate plate -> {
          boolean ring = plate.kind() == Kind.PIN_RING || plate.kind() == Kind.CIRCULAR_SPLINE;
          from = Math.min(from, plane - 0.5);
          to = Math.max(to, plane + (ring ? -0.2 : 0.17));
          way = way == Way.EITHER ? Way.LEFT : way;
          bore = ring && bodies.size() == 1 ? BORE : bore;
        }
        case PlacedWheel wheel when !inSet(wheel.axis()) -> {
          from = Math.min(from, plane - 0.45);
          to = Math.max(to, plane + 0.45);
        }
        case PlacedWheel wheel when isBehind(wheel) -> {
          boolean ring = wheel.teeth().internal();
          from = Math.min(from, plane + (ring ? 0.2 : -0.17));
          to = Math.max(to, plane + 0.5);
          way = way == Way.EITHER ? Way.RIGHT : way;
          bore = ring && bodies.size() == 1 ? BORE : bore;
        }
        case PlacedWheel wheel -> {
          boolean ring = wheel.teeth().internal();
          from = Math.min(from, plane - 0.5);
          to = Math.max(to, plane + (ring ? -0.2 : 0.17));
          way = way == Way.EITHER ? Way.LEFT : way;
          bore = ring && bodies.size() == 1 ? bore(wheel) : bore;
        }
      }
    }
    double height = heights.get(bodies.getFirst().axis());
    return new EdgeShaft(members, height, from, to, way, bore);
  }
}
