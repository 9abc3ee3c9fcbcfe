package steadycog.shape;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import steadycog.train.Join;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** Puts shafts down one after the other, each at its centre distance from one already there. */
final class Placing {
  private static final int DIRECTIONS = 24;
  private static final double DESK_ASPECT = 1.5;
  private static final double CLEARANCE = 0.5;
  private static final double CLASH_COST = 10_000;
  private static final double HIDDEN_SHAFT_COST = 30;
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
  private final Set<Join> mates = new HashSet<>();
  private final Shafts shafts;
  private final Map<MemberId, Integer> planes;
  private final Manner manner;
  private final Map<Integer, double[]> centres = new HashMap<>();
  private final Map<Integer, List<PlacedWheel>> templates = new HashMap<>();
  private final List<PlacedWheel> placed = new ArrayList<>();
  private double[] placedBox = FaceLayout.NO_BOX;

  Placing(Train train, Shafts shafts, Map<MemberId, Integer> planes, Manner manner) {
    this.train = train;
    this.meshes = train.meshes();
    meshes.forEach(mesh -> mates.add(new Join(mesh.a(), mesh.b())));
    this.shafts = shafts;
    this.planes = planes;
    this.manner = manner;
  }

  /** Every wheel in the order of the card; phases still zero. */
  List<PlacedWheel> place(MemberId first) {
    put(shafts.of(first), 0, 0);
    while (centres.size() < shafts.count()) {
      Optional<Mesh> next = meshes.stream().filter(this::reaches).findFirst();
      if (next.isPresent()) {
        placeAcross(next.get());
      } else {
        placeApart();
      }
    }
    Map<MemberId, PlacedWheel> byId = new HashMap<>();
    placed.forEach(wheel -> byId.put(wheel.id(), wheel));
    return train.members().stream().map(member -> byId.get(member.id())).toList();
  }

  /** Pairs of wheels in one plane, not meshing with each other, whose bodies overlap. */
  int clashes() {
    int count = 0;
    for (int a = 0; a < placed.size(); a++) {
      for (int b = a + 1; b < placed.size(); b++) {
        if (placed.get(a).shaft() != placed.get(b).shaft()
            && overlap(placed.get(a), placed.get(b)) > 0) {
          count++;
        }
      }
    }
    return count;
  }

  private boolean reaches(Mesh mesh) {
    return centres.containsKey(shafts.of(mesh.a())) != centres.containsKey(shafts.of(mesh.b()));
  }

  private void placeAcross(Mesh mesh) {
    boolean fromA = centres.containsKey(shafts.of(mesh.a()));
    int from = shafts.of(fromA ? mesh.a() : mesh.b());
    int shaft = shafts.of(fromA ? mesh.b() : mesh.a());
    double distance = FaceLayout.centreDistance(mesh);
    double[] start = centres.get(from);
    double best = Double.MAX_VALUE;
    double[] choice = {start[0] + distance, start[1]};
    int directions = manner == Manner.STRAIGHT ? 1 : DIRECTIONS;
    for (int k = 0; k < directions; k++) {
      double angle = 2 * Math.PI * k / DIRECTIONS;
      double x = start[0] + distance * Math.cos(angle);
      double y = start[1] + distance * Math.sin(angle);
      double cost = cost(shaft, x, y) - 0.05 * Math.cos(angle) + 0.02 * Math.sin(angle);
      if (cost < best) {
        best = cost;
        choice = new double[] {x, y};
      }
    }
    put(shaft, choice[0], choice[1]);
  }

  /** A train in several pieces: the next piece goes to the right of what stands. */
  private void placeApart() {
    int shaft = 0;
    while (centres.containsKey(shaft)) {
      shaft++;
    }
    double[] box = placedBox;
    double radius =
        wheels(shaft, 0, 0).stream().mapToDouble(PlacedWheel::bodyRadius).max().orElse(0);
    put(shaft, box[2] + radius + 4 * CLEARANCE, 0);
  }

  private void put(int shaft, double x, double y) {
    centres.put(shaft, new double[] {x, y});
    placed.addAll(wheels(shaft, x, y));
    placedBox = FaceLayout.bounds(placed, FaceLayout.NO_BOX);
  }

  private List<PlacedWheel> wheels(int shaft, double x, double y) {
    return templates.computeIfAbsent(shaft, this::template).stream()
        .map(wheel -> wheel.at(x, y))
        .toList();
  }

  private List<PlacedWheel> template(int shaft) {
    return shafts.wheelsOn(shaft).stream()
        .map(m -> PlacedWheel.of(m.id(), teeth(m), shaft, planes.get(m.id()), 0, 0))
        .toList();
  }

  private static Teeth teeth(Member member) {
    return member.teeth().orElseThrow();
  }

  private double cost(int shaft, double x, double y) {
    List<PlacedWheel> next = wheels(shaft, x, y);
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
    boolean hidesShaft = distance < Math.max(a.bodyRadius(), b.bodyRadius());
    return COVER_COST * depth + (hidesShaft ? HIDDEN_SHAFT_COST : 0);
  }

  /** How far two wheels of one plane run into each other, in modules; meshing pairs do not. */
  private double overlap(PlacedWheel a, PlacedWheel b) {
    if (a.plane() != b.plane() || meshing(a.id(), b.id())) {
      return 0;
    }
    double distance = a.distanceTo(b);
    double outside = a.bodyRadius() + b.bodyRadius() + CLEARANCE - distance;
    double insideA = a.teeth().internal() ? distance + b.bodyRadius() - tip(a) : outside;
    double insideB = b.teeth().internal() ? distance + a.bodyRadius() - tip(b) : outside;
    return Math.min(outside, Math.min(insideA, insideB));
  }

  private static double tip(PlacedWheel ring) {
    return GearOutline.tipRadius(ring.teeth());
  }

  private boolean meshing(MemberId a, MemberId b) {
    return mates.contains(new Join(a, b)) || mates.contains(new Join(b, a));
  }
}
