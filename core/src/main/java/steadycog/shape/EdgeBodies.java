package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.shape.EdgeLayout.EdgeCarrier;
import steadycog.shape.EdgeLayout.EdgeCone;
import steadycog.shape.EdgeLayout.EdgeCup;
import steadycog.shape.EdgeLayout.EdgePoint;
import steadycog.shape.EdgeLayout.EdgeWheel;
import steadycog.shape.EdgeLayout.Way;
import steadycog.shape.PlacedPlate.Kind;
import steadycog.train.Bevel;
import steadycog.train.Element;
import steadycog.train.MemberId;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/** Bodies and shafts of the side view, on axes whose heights are known. */
final class EdgeBodies {
  private static final double FACE = 0.34;
  private static final double OUTPUT_RIM = 1.2;

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
  private final EdgeFacts facts;
  private final List<EdgeWheel> wheels = new ArrayList<>();
  private final List<EdgeCarrier> carriers = new ArrayList<>();
  private final List<EdgeCup> cups = new ArrayList<>();
  private final List<EdgeCone> cones = new ArrayList<>();

  EdgeBodies(Train train, FaceLayout face, EdgeFacts facts) {
    this.train = train;
    this.face = face;
    this.facts = facts;
  }

  EdgeLayout layout(List<Element> elements) {
    List<PlacedWheel> once = face.wheels().stream().filter(w -> w.copy() == 0).toList();
    once.forEach(wheel -> wheels.add(at(wheel, facts.height(wheel.id()), 0)));
    face.carriers().forEach(one -> carriers.add(carrier(one)));
    carriers.stream().filter(EdgeCarrier::bothSides).forEach(one -> addBelow(one, once));
    face.plates().forEach(this::addPlate);
    int last = face.bodies().stream().mapToInt(facts::plane).max().orElse(0);
    EdgeTies ties = new EdgeTies(train, this::access, facts.lines(), wheels, cones);
    return new EdgeLayout(
        wheels,
        carriers,
        cups,
        cones,
        new EdgeShafts(train, face, facts).all(),
        ties.links(),
        ties.elements(elements),
        last + 1);
  }

  private EdgeWheel at(PlacedWheel wheel, double height, int copy) {
    boolean ring = wheel.teeth().internal();
    int plane = facts.plane(wheel);
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
        ring && facts.inSet(wheel.id()) ? facts.bore(wheel) : 0,
        !ring || facts.isLoose(wheel)
            ? Way.EITHER
            : facts.inSet(wheel.id()) && !facts.isBehind(wheel.id()) ? Way.LEFT : Way.RIGHT);
  }

  /** A member of a drive without involute teeth. */
  private void addPlate(Placed placed) {
    int plane = facts.plane(placed);
    double height = facts.height(placed.id());
    switch (placed) {
      case PlacedPlate plate when EdgeFacts.isBevel(plate.kind()) -> addBevel(plate, plane, height);
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
                ring ? EdgeFacts.BORE : 0,
                ring ? Way.LEFT : Way.EITHER));
        if (plate.kind() == Kind.DISC && plate.copy() == 0) {
          carriers.add(outputPins(plate, plane, height));
        }
      }
      case PlacedFlex flex -> {
        double bore = flex.scale() * (flex.geometry().flexRadius() - flex.boreDepth());
        double tip = flex.scale() * flex.geometry().flexRadius();
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

  /** Crowns and sides as discs beside what meshes with them, the case as a drum round the sides. */
  private void addBevel(PlacedPlate plate, int plane, double height) {
    boolean drum = plate.kind() == Kind.CASE;
    double inner = drum ? plate.circles().getLast().radius() : 0;
    double wide = drum ? CASE_WIDE : BEVEL_WIDE;
    double at = plane + (drum ? 0 : facts.bevelSide(plate.id()) * BESIDE);
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
            drum ? EdgeFacts.BORE : 0,
            drum ? Way.RIGHT : Way.EITHER));
  }

  /** A pinion above its crown; spiders above and below the axis. */
  private void addCone(PlacedCone cone, int plane, double height) {
    double outer = cone.length() / 2 + middleOf(cone);
    double inner = outer - cone.length();
    Optional<Bevel> pair = train.partOf(cone.id(), Bevel.class);
    if (pair.isPresent()) {
      double middle = facts.height(pair.get().crownId());
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
    MemberId about = train.partOf(cone.id(), Bevel.class).map(Bevel::crownId).orElse(cone.id());
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
      return new EdgePoint(0, facts.height(member), SHAFT);
    }
    EdgeWheel body = wheel.get();
    if (body.isRing()) {
      return new EdgePoint(body.at(), body.height(), body.outer());
    }
    boolean right = body.at() > body.plane() || facts.isBehind(member) || !facts.inSet(member);
    return new EdgePoint(
        body.plane() + (right ? BESIDE_SHAFT : -BESIDE_SHAFT), body.height(), SHAFT);
  }

  private EdgeCarrier carrier(PlacedCarrier carrier) {
    double pin = carrier.pins().getFirst().radius();
    int plane = facts.plane(carrier);
    boolean stepped = facts.isStepped(carrier);
    boolean left = stepped || facts.facesLeft(carrier);
    return new EdgeCarrier(
        carrier.id(),
        plane,
        left ? plane - PLATE : plane + PLATE,
        stepped ? plane + 1 + PLATE : left ? plane + PLATE : plane - PLATE,
        facts.height(carrier.id()),
        carrier.bodyRadius(),
        pin,
        carrier.planets() > 1);
  }

  /** The planets of {@code carrier} once more on the other side of its axis. */
  private void addBelow(EdgeCarrier carrier, List<PlacedWheel> once) {
    for (PlacedWheel wheel : once) {
      if (wheel.orbit().filter(orbit -> orbit.carrier().equals(carrier.id())).isPresent()) {
        double height = 2 * carrier.height() - facts.height(wheel.id());
        wheels.add(at(wheel, height, 1));
      }
    }
  }
}
