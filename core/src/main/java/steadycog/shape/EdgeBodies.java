package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import steadycog.shape.EdgeLayout.EdgeCarrier;
import steadycog.shape.EdgeLayout.EdgeCone;
import steadycog.shape.EdgeLayout.EdgeCup;
import steadycog.shape.EdgeLayout.EdgePoint;
import steadycog.shape.EdgeLayout.EdgeShaft;
import steadycog.shape.EdgeLayout.EdgeWheel;
import steadycog.shape.EdgeLayout.Way;
import steadycog.shape.PlacedPlate.Kind;
import steadycog.train.Bevel;
import steadycog.train.Differential;
import steadycog.train.Element;
import steadycog.train.Join;
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

  /** How far from its plane a bevel gear lies, and how wide it and a case are, in planes. */
  private static final double BESIDE = 0.26;

  private static final double BEVEL_WIDE = 0.14;
  private static final double CASE_WIDE = 0.86;

  /** Where a shaft is taken hold of, in planes from its wheel, and its radius there. */
  private static final double BESIDE_SHAFT = 0.42;

  private static final double SHAFT = 1.2;

  private final Train train;
  private final FaceLayout face;
  private final Map<Integer, Double> heights;
  private final Axes lines;
  private final int firstPlane;
  private final List<EdgeWheel> wheels = new ArrayList<>();
  private final List<EdgeCarrier> carriers = new ArrayList<>();
  private final List<EdgeCup> cups = new ArrayList<>();
  private final List<EdgeCone> cones = new ArrayList<>();
  private List<Element> elements = List.of();

  EdgeBodies(Train train, FaceLayout face, Map<Integer, Double> heights) {
    this.train = train;
    this.face = face;
    this.heights = heights;
    lines = Axes.of(train);
    firstPlane = face.bodies().stream().mapToInt(Placed::plane).min().orElse(0);
  }

  EdgeLayout layout(List<Element> shown) {
    elements = shown;
    List<PlacedWheel> once = face.wheels().stream().filter(w -> w.copy() == 0).toList();
    once.forEach(wheel -> wheels.add(at(wheel, height(wheel.id()), 0)));
    face.carriers().forEach(one -> carriers.add(carrier(one)));
    carriers.stream().filter(EdgeCarrier::bothSides).forEach(one -> addBelow(one, once));
    face.plates().forEach(this::addPlate);
    int last = face.bodies().stream().mapToInt(Placed::plane).max().orElse(0);
    EdgeTies ties = new EdgeTies(train, this::access, lines, wheels, cones);
    return new EdgeLayout(
        wheels,
        carriers,
        cups,
        cones,
        shafts(),
        ties.links(),
        ties.elements(elements),
        last - firstPlane + 1);
  }

  private double height(MemberId member) {
    return heights.get(lines.of(member));
  }

  private int plane(Placed placed) {
    return placed.plane() - firstPlane;
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
        ring ? wheel.tipRadius() : wheel.hollow(),
        ring ? 0 : wheel.rootRadius(),
        ring && inSet(wheel.id()) ? bore(wheel) : 0,
        !ring || isLoose(wheel)
            ? Way.EITHER
            : inSet(wheel.id()) && !isBehind(wheel.id()) ? Way.LEFT : Way.RIGHT);
  }

  /**
   * Whether a ring among several sets needs no shaft: nothing drives it or takes it off, and it is
   * held by its brake, if at all.
   */
  private boolean isLoose(Placed body) {
    boolean several = train.parts().stream().filter(part -> !part.inLine().isEmpty()).count() > 1;
    Role role = train.rolesInForce().of(body.id());
    boolean braked = elements.contains(new Element.Brake(body.id()));
    boolean shafted = role == Role.DRIVE || role == Role.TAKE || role == Role.HOLD && !braked;
    return several && isRing(body) && inSet(body.id()) && !shafted;
  }

  /** Whether a wheel lies in the second row of its set and is no part of a body in the first. */
  private boolean isBehind(MemberId wheel) {
    return train.partOf(wheel) instanceof Planetary set
        && set.rowOf(wheel).orElse(0) > 0
        && set.body(wheel).equals(wheel);
  }

  /** A member of a drive without involute teeth. */
  private void addPlate(Placed placed) {
    int plane = plane(placed);
    double height = height(placed.id());
    switch (placed) {
      case PlacedPlate plate when isBevel(plate.kind()) -> addBevel(plate, plane, height);
      case PlacedPlate plate -> {
        double wide = FACE / (plate.kind() == Kind.DISC ? copies(plate.id()) : 1);
        double at = plane + (plate.copy() - (copies(plate.id()) - 1) / 2.0) * wide;
        double off = plate.y() - plate.orbit().map(Placed.Orbit::y).orElse(plate.y());
        double aside = plate.x() - plate.orbit().map(Placed.Orbit::x).orElse(plate.x());
        boolean ring = plate.kind() == Kind.PIN_RING || plate.kind() == Kind.CIRCULAR_SPLINE;
        double inner = ring ? innermost(plate) : 0;
        // Shown as it stands a quarter turn on, where the eccentric lifts the first disc most.
        double lift = plate.kind() == Kind.DISC ? aside - off : 0;
        wheels.add(
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
        wheels.add(
            new EdgeWheel(flex.id(), 0, plane, plane, FACE, height, tip, bore, -1, 0, Way.EITHER));
        boolean hat = flex.geometry().part().sizes().mount() == StrainWave.Mount.HAT;
        cups.add(new EdgeCup(flex.id(), plane, height, (tip + bore) / 2, hat));
      }
      case PlacedCone cone -> addCone(cone, plane, height);
      case PlacedWheel none -> throw new IllegalStateException("a wheel among plates: " + none);
      case PlacedCarrier none -> throw new IllegalStateException("a carrier among plates: " + none);
    }
  }

  private static boolean isBevel(Kind kind) {
    return kind == Kind.CROWN || kind == Kind.SIDE || kind == Kind.CASE;
  }

  /** Crowns and sides as discs beside what meshes with them, the case as a drum round the sides. */
  private void addBevel(PlacedPlate plate, int plane, double height) {
    boolean drum = plate.kind() == Kind.CASE;
    double inner = drum ? plate.circles().getLast().radius() : 0;
    double wide = drum ? CASE_WIDE : BEVEL_WIDE;
    double at = plane + (drum ? 0 : bevelSide(plate.id()) * BESIDE);
    wheels.add(
        new EdgeWheel(
            plate.id(),
            0,
            plane,
            at,
            wide,
            height,
            plate.bodyRadius(),
            inner,
            drum ? 0 : plate.bodyRadius() - 2,
            drum ? BORE : 0,
            drum ? Way.RIGHT : Way.EITHER));
  }

  /** On which side of its plane a bevel gear lies: -1 left, +1 right. */
  private int bevelSide(MemberId id) {
    return switch (train.partOf(id)) {
      case Bevel pair -> pair.side() == Bevel.Side.RIGHT ? 1 : -1;
      case Differential sides -> id.equals(sides.leftId()) ? -1 : 1;
      default -> throw new IllegalStateException("no bevel gear: " + id);
    };
  }

  /** A pinion above its crown; spiders above and below the axis. */
  private void addCone(PlacedCone cone, int plane, double height) {
    double outer = cone.length() / 2 + middleOf(cone);
    double inner = outer - cone.length();
    if (train.partOf(cone.id()) instanceof Bevel pair) {
      double middle = height(pair.crownId());
      cones.add(
          new EdgeCone(
              cone.id(),
              0,
              plane,
              middle + outer,
              middle + inner,
              cone.large(),
              cone.small(),
              Math.max(height, middle + outer + cone.shaft())));
    } else if (cone.copy() <= 2) {
      int way = cone.copy() == 1 ? 1 : -1;
      cones.add(
          new EdgeCone(
              cone.id(),
              cone.copy(),
              plane,
              height + way * outer,
              height + way * inner,
              cone.large(),
              cone.small(),
              height + way * (outer + cone.shaft())));
    }
  }

  /** How far the middle of a cone's teeth is from the axis that it points to. */
  private double middleOf(PlacedCone cone) {
    MemberId about = train.partOf(cone.id()) instanceof Bevel pair ? pair.crownId() : cone.id();
    Placed axis =
        face.plates().stream()
            .filter(plate -> plate.id().equals(about) && plate instanceof PlacedPlate)
            .findFirst()
            .orElseThrow();
    return Math.hypot(cone.x() - axis.x(), cone.y() - axis.y());
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

  /** Whether a set or drive is on the member's line. */
  private boolean inSet(MemberId member) {
    int line = lines.of(member);
    return face.carriers().stream().anyMatch(carrier -> lines.of(carrier.id()) == line)
        || face.plates().stream().anyMatch(plate -> lines.of(plate.id()) == line);
  }

  /** Where {@code member} can be taken hold of, by a brake, a clutch or a link. */
  private EdgePoint access(MemberId member) {
    for (EdgeCarrier carrier : carriers) {
      if (carrier.id().equals(member)) {
        return new EdgePoint(carrier.plateAt(), carrier.height(), carrier.reach());
      }
    }
    for (EdgeCup cup : cups) {
      if (cup.id().equals(member)) {
        return new EdgePoint(cup.plane() + BESIDE_SHAFT, cup.height(), cup.radius());
      }
    }
    Optional<EdgeWheel> wheel =
        wheels.stream().filter(w -> w.id().equals(member) && w.copy() == 0).findFirst();
    if (wheel.isEmpty()) {
      return new EdgePoint(0, height(member), SHAFT);
    }
    EdgeWheel body = wheel.get();
    if (body.isRing()) {
      return new EdgePoint(body.at(), body.height(), body.outer());
    }
    boolean right = body.at() > body.plane() || isBehind(member) || !inSet(member);
    return new EdgePoint(
        body.plane() + (right ? BESIDE_SHAFT : -BESIDE_SHAFT), body.height(), SHAFT);
  }

  private EdgeCarrier carrier(PlacedCarrier carrier) {
    double pin = carrier.pins().getFirst().radius();
    int plane = plane(carrier);
    boolean stepped = isStepped(carrier);
    boolean left = stepped || facesLeft(carrier);
    return new EdgeCarrier(
        carrier.id(),
        plane,
        left ? plane - PLATE : plane + PLATE,
        stepped ? plane + 1 + PLATE : left ? plane + PLATE : plane - PLATE,
        height(carrier.id()),
        carrier.bodyRadius(),
        pin,
        carrier.planets() > 1);
  }

  /** Whether all that a carrier is joined to lies before it: its plate goes to that side. */
  private boolean facesLeft(PlacedCarrier carrier) {
    List<Integer> others = new ArrayList<>();
    for (Join join : train.joins()) {
      if (join.touches(carrier.id())) {
        MemberId other = join.other(carrier.id());
        face.bodies().stream()
            .filter(body -> body.id().equals(other))
            .findFirst()
            .ifPresent(body -> others.add(body.plane()));
      }
    }
    return !others.isEmpty() && others.stream().allMatch(plane -> plane < carrier.plane());
  }

  /** The bore of a ring: at the drive end of two rows the carrier's shaft comes out as well. */
  private double bore(PlacedWheel ring) {
    boolean withCarrier =
        train.partOf(ring.id()) instanceof Planetary set && set.stepped() && !isBehind(ring.id());
    return withCarrier ? OUTER_BORE : BORE;
  }

  /** Between two rows of planets there is no room for a plate: it goes to the drive end. */
  private boolean isStepped(PlacedCarrier carrier) {
    return train.partOf(carrier.id()) instanceof Planetary set && set.stepped();
  }

  /** The planets of {@code carrier} once more on the other side of its axis. */
  private void addBelow(EdgeCarrier carrier, List<PlacedWheel> once) {
    for (PlacedWheel wheel : once) {
      if (wheel.orbit().filter(orbit -> orbit.carrier().equals(carrier.id())).isPresent()) {
        double height = 2 * carrier.height() - height(wheel.id());
        wheels.add(at(wheel, height, 1));
      }
    }
  }

  /** Every body that turns about an axis at rest, with the stretch of planes it needs. */
  private List<EdgeShaft> shafts() {
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
      case PlacedCarrier carrier -> !isStepped(carrier) || hasRole(carrier);
      case PlacedWheel wheel -> wheel.orbit().isEmpty() && !isLoose(wheel);
    };
  }

  private EdgeShaft shaft(List<MemberId> members, List<Placed> bodies) {
    double from = Double.MAX_VALUE;
    double to = -Double.MAX_VALUE;
    Way way = Way.EITHER;
    double bore = 0;
    boolean several = bodies.stream().map(body -> body.id().part()).distinct().count() > 1;
    for (Placed body : bodies) {
      double plane = plane(body);
      if (several && isRing(body)) {
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
          to = Math.max(to, plane - CASE_WIDE / 2);
          way = way == Way.EITHER ? Way.LEFT : way;
          bore = BORE;
        }
        case PlacedPlate plate when isBevel(plate.kind()) -> {
          boolean right = bevelSide(plate.id()) > 0;
          from = Math.min(from, plane + (right ? BESIDE : -0.5));
          to = Math.max(to, plane + (right ? 0.5 : -BESIDE));
          way = right ? Way.RIGHT : Way.LEFT;
        }
        case PlacedCarrier carrier when !isStepped(carrier) && facesLeft(carrier) -> {
          from = Math.min(from, plane - 0.75);
          to = Math.max(to, plane - 0.3);
          way = way == Way.EITHER ? Way.LEFT : way;
        }
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
        case PlacedWheel wheel when !inSet(wheel.id()) -> {
          from = Math.min(from, plane - 0.45);
          to = Math.max(to, plane + 0.45);
        }
        case PlacedWheel wheel when isBehind(wheel.id()) -> {
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
    if (from > to) {
      // Nothing but rings, joined by a drum.
      double plane = plane(bodies.getFirst());
      return new EdgeShaft(members, height(members.getFirst()), plane, plane, way, 0);
    }
    return new EdgeShaft(members, height(members.getFirst()), from, to, way, bore);
  }

  private static boolean isRing(Placed body) {
    return switch (body) {
      case PlacedWheel wheel -> wheel.teeth().internal() || wheel.hollow() > 0;
      case PlacedPlate plate ->
          plate.kind() == Kind.PIN_RING || plate.kind() == Kind.CIRCULAR_SPLINE;
      case PlacedCarrier none -> false;
      case PlacedFlex none -> false;
      case PlacedCone none -> false;
    };
  }
}
