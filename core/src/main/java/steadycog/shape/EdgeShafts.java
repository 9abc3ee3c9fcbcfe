package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import steadycog.shape.EdgeLayout.EdgeShaft;
import steadycog.shape.EdgeLayout.Way;
import steadycog.shape.PlacedPlate.Kind;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Role;
import steadycog.train.Train;

/** The shafts of the side view: whatever turns as one about an axis at rest. */
final class EdgeShafts {
  /** How far from its plane a bevel gear's shaft begins, in planes. */
  private static final double BESIDE = 0.26;

  private static final double CASE_END = 0.43;

  private final Train train;
  private final FaceLayout face;
  private final EdgeFacts facts;

  EdgeShafts(Train train, FaceLayout face, EdgeFacts facts) {
    this.train = train;
    this.face = face;
    this.facts = facts;
  }

  /** Every body that turns about an axis at rest, with the stretch of planes it needs. */
  List<EdgeShaft> all() {
    Axes rigid = Axes.ofShafts(train);
    List<EdgeShaft> all = new ArrayList<>();
    for (int shaft = 0; shaft < rigid.count(); shaft++) {
      List<MemberId> members = rigid.on(shaft).stream().map(Member::id).toList();
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
      case PlacedCone cone -> false;
      case PlacedCarrier carrier -> !facts.isStepped(carrier) || hasRole(carrier);
      case PlacedWheel wheel -> wheel.orbit().isEmpty() && !facts.isLoose(wheel);
    };
  }

  private EdgeShaft shaft(List<MemberId> members, List<Placed> bodies) {
    double from = Double.MAX_VALUE;
    double to = -Double.MAX_VALUE;
    Way way = Way.EITHER;
    double bore = 0;
    boolean several = bodies.stream().map(body -> body.id().part()).distinct().count() > 1;
    for (Placed body : bodies) {
      double plane = facts.plane(body);
      if (several && EdgeFacts.isRing(body)) {
        continue;
      }
      switch (body) {
        case PlacedCone none -> throw new IllegalStateException("a cone has no shaft: " + none);
        case PlacedPlate plate when plate.kind() == Kind.SHAFT -> {
          from = Math.min(from, plane - 0.3);
          to = Math.max(to, plane + 0.3);
        }
        case PlacedPlate plate when plate.kind() == Kind.CASE -> {
          from = Math.min(from, plane - 0.6);
          to = Math.max(to, plane - CASE_END);
          way = way == Way.EITHER ? Way.LEFT : way;
          bore = EdgeFacts.BORE;
        }
        case PlacedPlate plate when EdgeFacts.isBevel(plate.kind()) -> {
          boolean right = facts.bevelSide(plate.id()) > 0;
          from = Math.min(from, plane + (right ? BESIDE : -0.5));
          to = Math.max(to, plane + (right ? 0.5 : -BESIDE));
          way = right ? Way.RIGHT : Way.LEFT;
        }
        case PlacedCarrier carrier when !facts.isStepped(carrier) && facts.facesLeft(carrier) -> {
          from = Math.min(from, plane - 0.75);
          to = Math.max(to, plane - 0.3);
          way = way == Way.EITHER ? Way.LEFT : way;
        }
        case PlacedCarrier carrier when facts.isStepped(carrier) -> {
          from = Math.min(from, plane - 0.6);
          to = Math.max(to, plane - 0.27);
          way = Way.LEFT;
          bore = bodies.size() == 1 ? EdgeFacts.BORE : bore;
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
          bore = ring && bodies.size() == 1 ? EdgeFacts.BORE : bore;
        }
        case PlacedWheel wheel when !facts.inSet(wheel.id()) -> {
          from = Math.min(from, plane - 0.45);
          to = Math.max(to, plane + 0.45);
        }
        case PlacedWheel wheel when facts.isBehind(wheel.id()) -> {
          boolean ring = wheel.teeth().internal();
          from = Math.min(from, plane + (ring ? 0.2 : -0.17));
          to = Math.max(to, plane + 0.5);
          way = way == Way.EITHER ? Way.RIGHT : way;
          bore = ring && bodies.size() == 1 ? EdgeFacts.BORE : bore;
        }
        case PlacedWheel wheel -> {
          boolean ring = wheel.teeth().internal();
          from = Math.min(from, plane - 0.5);
          to = Math.max(to, plane + (ring ? -0.2 : 0.17));
          way = way == Way.EITHER ? Way.LEFT : way;
          bore = ring && bodies.size() == 1 ? facts.bore(wheel) : bore;
        }
      }
    }
    if (from > to) {
      // Nothing but rings, joined by a drum.
      double plane = facts.plane(bodies.getFirst());
      return new EdgeShaft(members, facts.height(members.getFirst()), plane, plane, way, 0);
    }
    return new EdgeShaft(members, facts.height(members.getFirst()), from, to, way, bore);
  }
}
