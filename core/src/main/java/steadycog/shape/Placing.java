package steadycog.shape;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import steadycog.number.Known;
import steadycog.number.Pace;
import steadycog.shape.FaceLayout.Clash;
import steadycog.shape.Placed.Orbit;
import steadycog.train.Bevel;
import steadycog.train.Join;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Part;
import steadycog.train.Place;
import steadycog.train.Planetary;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** Puts axes down one after the other, each at its centre distance from one already there. */
final class Placing {
  private static final int DIRECTIONS = 24;
  private static final double DESK_ASPECT = 1.5;
  private static final double CLEARANCE = 0.5;

  /** No shaft is thinner than this when nothing is said about it, in modules. */
  static final double SHAFT_RADIUS = 1.5;

  /** Between pieces of a train that nothing ties, in modules. */
  private static final double PIECE_GAP = 4;

  /** The same for each module of height, so that names have room. */
  private static final double PIECE_GAP_SHARE = 0.12;

  /** Pieces are laid out as wide as the view above a side view. */
  private static final double WIDE_ASPECT = 2.6;

  private static final double CLASH_COST = 10_000;
  private static final double HIDDEN_AXIS_COST = 30;
  private static final double COVER_COST = 0.6;

  /** How a direction is chosen. */
  enum Manner {
    /** Whatever keeps the box smallest. */
    COMPACT,
    /** Always to the right: never in its own way. */
    STRAIGHT
  }

  private final Train train;
  private final List<Mesh> meshes;
  private final Map<MemberId, MemberId> rims;
  private final Set<Join> mates = new HashSet<>();
  private final Axes axes;
  private final Map<MemberId, Integer> planes;
  private final Manner manner;
  private final Map<Integer, double[]> centres = new HashMap<>();
  private final Map<Integer, List<PlacedWheel>> templates = new HashMap<>();
  private final List<PlacedWheel> placed = new ArrayList<>();
  private double[] placedBox = FaceLayout.NO_BOX;

  private final List<double[]> pieces = new ArrayList<>();
  private int pieceFrom;
  private double[] pieceDrives = FaceLayout.NO_BOX;

  Placing(Train train, Axes axes, Map<MemberId, Integer> planes, Manner manner) {
    this.train = train;
    this.meshes = train.meshes();
    meshes.forEach(mesh -> mates.add(new Join(mesh.a(), mesh.b())));
    rims = Rims.of(train);
    rims.forEach((wheel, ring) -> mates.add(new Join(wheel, ring)));
    this.axes = axes;
    this.planes = planes;
    this.manner = manner;
  }

  /** Every wheel in the order of the card; phases still zero. */
  List<PlacedWheel> place(MemberId first, Pace pace) {
    put(axes.of(first), 0, 0);
    while (centres.size() < axes.count()) {
      pace.at((double) centres.size() / axes.count());
      Optional<Mesh> next = meshes.stream().filter(this::reaches).findFirst();
      if (next.isPresent()) {
        placeAcross(next.get());
      } else {
        placeApart();
      }
    }
    Map<MemberId, PlacedWheel> byId = new HashMap<>();
    placed.forEach(wheel -> byId.put(wheel.id(), wheel));
    return train.members().stream()
        .map(Member::id)
        .filter(byId::containsKey)
        .map(byId::get)
        .toList();
  }

  /** Wheels of one plane that run into each other, and wheels that stand where a shaft passes. */
  List<Clash> clashes() {
    List<Clash> found = new ArrayList<>();
    for (int a = 0; a < placed.size(); a++) {
      for (int b = a + 1; b < placed.size(); b++) {
        PlacedWheel one = placed.get(a);
        PlacedWheel two = placed.get(b);
        double depth = overlap(one, two) - CLEARANCE;
        if (depth > 0) {
          found.add(new Clash(one.id(), two.id(), depth, false));
        }
      }
    }
    found.addAll(new ShaftClashes(placed, this::meshing).all());
    return List.copyOf(found);
  }

  private boolean reaches(Mesh mesh) {
    return centres.containsKey(axes.of(mesh.a())) != centres.containsKey(axes.of(mesh.b()))
        && Stand.of(train, mesh) != Stand.TOGETHER;
  }

  private void placeAcross(Mesh mesh) {
    switch (Stand.of(train, mesh)) {
      case CARRIED -> placeOnCarrier(mesh);
      case ACROSS -> placeAtRightAngle(mesh);
      case APART -> placeApart(mesh);
      case TOGETHER -> throw new IllegalStateException("one axis: " + mesh);
    }
  }

  private void placeApart(Mesh mesh) {
    boolean fromA = centres.containsKey(axes.of(mesh.a()));
    int from = axes.of(fromA ? mesh.a() : mesh.b());
    int axis = axes.of(fromA ? mesh.b() : mesh.a());
    double[] start = Known.in(centres, from);
    double distance = scale(mesh.a()) * Math.abs(PairGeometry.in(train, mesh).centreDistance());
    Optional<Double> wanted = wantedDirection(mesh, fromA);
    if (wanted.isPresent()) {
      double angle = wanted.get();
      put(axis, start[0] + distance * Math.cos(angle), start[1] + distance * Math.sin(angle));
      return;
    }
    double best = Double.MAX_VALUE;
    double[] choice = {start[0] + distance, start[1]};
    int directions = manner == Manner.STRAIGHT ? 1 : DIRECTIONS;
    for (int k = 0; k < directions; k++) {
      double angle = 2 * Math.PI * k / DIRECTIONS;
      double x = start[0] + distance * Math.cos(angle);
      double y = start[1] + distance * Math.sin(angle);
      double cost = cost(axis, x, y) - 0.05 * Math.cos(angle) + 0.02 * Math.sin(angle);
      if (cost < best) {
        best = cost;
        choice = new double[] {x, y};
      }
    }
    put(axis, choice[0], choice[1]);
  }

  /** The pinion to the left of the crown, clear of it with all else that is on its shaft. */
  private void placeAtRightAngle(Mesh mesh) {
    Bevel pair = train.partOf(mesh.a(), Bevel.class).orElseThrow();
    boolean fromA = centres.containsKey(axes.of(mesh.a()));
    int axis = axes.of(fromA ? mesh.b() : mesh.a());
    double[] start = Known.in(centres, axes.of(fromA ? mesh.a() : mesh.b()));
    int pinion = axes.of(pair.pinionId());
    double others = 0;
    for (PlacedWheel wheel : wheels(pinion, 0, 0)) {
      others = Math.max(others, wheel.bodyRadius());
    }
    for (Part part : train.parts()) {
      boolean here = part != pair && axes.of(part.members().getFirst().id()) == pinion;
      others = Math.max(others, here ? Drives.radius(train, part) : 0);
    }
    double gap = Bevels.pinionReach(pair) + (others > 0 ? others + 4 * CLEARANCE : 0);
    put(axis, start[0] + (axis == pinion ? -gap : gap), start[1]);
  }

  /** From a planet to its set's middle, or from the middle to a planet. */
  private void placeOnCarrier(Mesh mesh) {
    boolean fromA = centres.containsKey(axes.of(mesh.a()));
    MemberId known = fromA ? mesh.a() : mesh.b();
    MemberId next = fromA ? mesh.b() : mesh.a();
    double[] start = Known.in(centres, axes.of(known));
    Polar from = fromMiddle(known);
    Polar to = fromMiddle(next);
    put(axes.of(next), start[0] - from.x() + to.x(), start[1] - from.y() + to.y());
  }

  /** Where a member of a planetary set stands about the carrier's axis. */
  private Polar fromMiddle(MemberId member) {
    return planetSet(member)
        .map(set -> PlanetGeometry.of(train, set).axis(member, 0))
        .orElse(new Polar(0, 0));
  }

  /** The set in which {@code member} is a planet. */
  private Optional<Planetary> planetSet(MemberId member) {
    return train.partOf(member, Planetary.class).filter(set -> set.isPlanet(member));
  }

  /** The direction in which its designer placed the new shaft, in radians, where that is said. */
  private Optional<Double> wantedDirection(Mesh mesh, boolean fromA) {
    for (Place place : train.places()) {
      boolean ofB = place.member().equals(mesh.b());
      boolean ofA = place.member().equals(mesh.a()) && !isFollower(mesh.a());
      if (ofB || ofA) {
        double direction = Math.toRadians(place.degrees().doubleValue());
        return Optional.of(ofB == fromA ? direction : direction + Math.PI);
      }
    }
    return Optional.empty();
  }

  /** Whether the wheel meshes with one before it on the card. */
  private boolean isFollower(MemberId member) {
    return meshes.stream().anyMatch(mesh -> mesh.b().equals(member));
  }

  /** A train in several pieces: the next piece goes where the whole stays most like the desk. */
  private void placeApart() {
    pieces.add(FaceLayout.bounds(placed.subList(pieceFrom, placed.size()), pieceDrives));
    pieceFrom = placed.size();
    pieceDrives = FaceLayout.NO_BOX;
    int axis = 0;
    while (centres.containsKey(axis)) {
      axis++;
    }
    double[] own = around(axis, 0, 0, FaceLayout.bounds(wheels(axis, 0, 0), FaceLayout.NO_BOX));
    double[] box = placedBox;
    double[] last = pieces.getLast();
    double level = (last[1] + last[3]) / 2;
    double gap = PIECE_GAP + PIECE_GAP_SHARE * (own[3] - own[1]);
    double[][] places = {
      {last[2] - own[0] + gap, level},
      {box[2] - own[0] + gap, (box[1] + box[3]) / 2},
      {box[0] - own[0], box[1] - own[3] - gap}
    };
    double best = Double.MAX_VALUE;
    double[] choice = places[1];
    for (double[] place : places) {
      double[] there = {own[0] + place[0], own[1] + place[1], own[2] + place[0], own[3] + place[1]};
      double cost = pieces.stream().anyMatch(piece -> overlap(piece, there)) ? CLASH_COST : 0;
      cost +=
          Math.max(
              (Math.max(box[2], there[2]) - Math.min(box[0], there[0])) / WIDE_ASPECT,
              Math.max(box[3], there[3]) - Math.min(box[1], there[1]));
      if (cost < best) {
        best = cost;
        choice = place;
      }
    }
    put(axis, choice[0], choice[1]);
  }

  private static boolean overlap(double[] a, double[] b) {
    return a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3];
  }

  private void put(int axis, double x, double y) {
    centres.put(axis, new double[] {x, y});
    List<PlacedWheel> fresh = wheels(axis, x, y);
    placed.addAll(fresh);
    pieceDrives = around(axis, x, y, pieceDrives);
    placedBox = FaceLayout.bounds(fresh, around(axis, x, y, placedBox));
  }

  /** The box round {@code box} and the drives and sets on an axis that is put at x, y. */
  private double[] around(int axis, double x, double y, double[] box) {
    double radius = Drives.radius(train, axes, axis);
    return radius == 0
        ? box
        : new double[] {
          Math.min(box[0], x - radius),
          Math.min(box[1], y - radius),
          Math.max(box[2], x + radius),
          Math.max(box[3], y + radius)
        };
  }

  /** Where an axis stands. */
  double[] centre(int axis) {
    return Known.in(centres, axis);
  }

  private List<PlacedWheel> wheels(int axis, double x, double y) {
    return templates.computeIfAbsent(axis, this::template).stream()
        .map(wheel -> orbiting(wheel.at(x, y)))
        .toList();
  }

  private PlacedWheel orbiting(PlacedWheel wheel) {
    return planetSet(wheel.id()).map(set -> onItsPin(set, wheel)).orElse(wheel);
  }

  private PlacedWheel onItsPin(Planetary set, PlacedWheel wheel) {
    Polar pin = PlanetGeometry.of(train, set).axis(wheel.id(), 0);
    Orbit about = new Orbit(set.carrierId(), wheel.x() - pin.x(), wheel.y() - pin.y());
    return wheel.carried(0, about, pin);
  }

  private List<PlacedWheel> template(int axis) {
    return axes.on(axis).stream()
        .filter(member -> member.teeth().isPresent() && train.partOf(member.id()).involute())
        .map(member -> wheel(member, axis))
        .toList();
  }

  private PlacedWheel wheel(Member member, int axis) {
    MemberId id = member.id();
    PlacedWheel wheel =
        PlacedWheel.of(id, teeth(member), Cut.of(train, id), axis, Known.in(planes, id), scale(id));
    return rims.containsKey(id)
        ? wheel.round(Rims.hollow(train, rims.get(id)).orElseThrow())
        : wheel;
  }

  /** A wheel's module over that of the train. */
  private double scale(MemberId wheel) {
    return train.moduleMm(wheel) / train.moduleMm();
  }

  private static Teeth teeth(Member member) {
    return member.teeth().orElseThrow();
  }

  private double cost(int axis, double x, double y) {
    List<PlacedWheel> next = wheels(axis, x, y);
    double cost = 0;
    for (PlacedWheel wheel : next) {
      for (PlacedWheel other : placed) {
        double overlap = overlap(wheel, other);
        cost += overlap > 0 ? CLASH_COST + 100 * overlap : 0;
        cost += coverCost(wheel, other);
      }
    }
    double[] box = FaceLayout.bounds(next, placedBox);
    return cost + Math.max((box[2] - box[0]) / DESK_ASPECT, box[3] - box[1]);
  }

  /** What it costs the eye that wheels of different planes lie over each other. */
  private static double coverCost(PlacedWheel a, PlacedWheel b) {
    double distance = a.distanceTo(b);
    double depth = a.bodyRadius() + b.bodyRadius() - distance;
    if (a.plane() == b.plane() || depth <= 0) {
      return 0;
    }
    boolean hidesAxis = distance < Math.max(a.bodyRadius(), b.bodyRadius());
    return COVER_COST * depth + (hidesAxis ? HIDDEN_AXIS_COST : 0);
  }

  /** How far two wheels of one plane run into each other, in modules; meshing pairs do not. */
  private double overlap(PlacedWheel a, PlacedWheel b) {
    if (a.plane() != b.plane()) {
      return 0;
    }
    double distance = a.distanceTo(b);
    double outside = a.bodyRadius() + b.bodyRadius() + CLEARANCE - distance;
    if (outside <= 0 || meshing(a.id(), b.id())) {
      return Math.min(outside, 0);
    }
    double insideA = hollow(a) > 0 ? distance + b.bodyRadius() - hollow(a) : outside;
    double insideB = hollow(b) > 0 ? distance + a.bodyRadius() - hollow(b) : outside;
    return Math.min(outside, Math.min(insideA, insideB));
  }

  /** Radius of the room inside a ring or rim; 0 for what has none. */
  static double hollow(PlacedWheel wheel) {
    return wheel.teeth().internal() ? wheel.tipRadius() : wheel.hollow();
  }

  private boolean meshing(MemberId a, MemberId b) {
    return mates.contains(new Join(a, b)) || mates.contains(new Join(b, a));
  }
}
