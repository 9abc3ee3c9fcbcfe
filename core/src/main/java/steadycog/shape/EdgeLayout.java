package steadycog.shape;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;

/**
 * A train seen from the side, its axes unfolded into the plane of the paper: meshing wheels touch,
 * wheels of one plane stand above one another, and the whole is folded to be as low as it can.
 *
 * @param wheels in the order of the card; of several planets one above its carrier's axis and one
 *     below
 * @param carriers in the order of the card
 * @param shafts whatever turns about one axis as one body
 * @param planes how many planes there are; they are numbered from 0 at the drive end
 */
public record EdgeLayout(
    List<EdgeWheel> wheels, List<EdgeCarrier> carriers, List<EdgeShaft> shafts, int planes) {
  /** Half the width of a hollow shaft, in modules. */
  private static final double BORE = 2.6;

  /**
   * A wheel in the side view.
   *
   * @param plane from 0
   * @param height of the axis, in modules, up
   * @param below whether it is a second planet, drawn below its carrier's axis
   * @param bore of a ring's plate, through which another shaft passes; 0 where none does
   */
  public record EdgeWheel(PlacedWheel wheel, int plane, double height, boolean below, double bore) {

    double top() {
      return height + wheel.bodyRadius();
    }

    double bottom() {
      return height - wheel.bodyRadius();
    }
  }

  /**
   * A carrier in the side view: a plate behind its planets.
   *
   * @param height of the axis, in modules, up
   * @param reach of the plate from the axis
   * @param pinHeight of the pins from the axis
   * @param bothSides whether it reaches to both sides of the axis, carrying several planets
   */
  public record EdgeCarrier(
      MemberId id, int plane, double height, double reach, double pinHeight, boolean bothSides) {}

  /** To which end a shaft goes where it is driven, held or taken off. */
  public enum Way {
    LEFT,
    RIGHT,
    /** Wherever its role belongs. */
    EITHER
  }

  /**
   * A shaft in the side view.
   *
   * @param members in the order of the card
   * @param from the plane at which it begins
   * @param to the plane at which it ends
   * @param bore half the width of a hollow shaft, in modules; 0 for a solid one
   */
  public record EdgeShaft(
      List<MemberId> members, double height, double from, double to, Way way, double bore) {}

  public EdgeLayout {
    wheels = List.copyOf(wheels);
    carriers = List.copyOf(carriers);
    shafts = List.copyOf(shafts);
  }

  /** Unfolds the axes one after the other, each up or down; quadratic in the number of wheels. */
  public static EdgeLayout of(Train train, FaceLayout face) {
    return new Unfolding(train, face).unfold();
  }

  /** Least and greatest height of any body. */
  public double[] range() {
    double low = wheels.stream().mapToDouble(EdgeWheel::bottom).min().orElse(0);
    double high = wheels.stream().mapToDouble(EdgeWheel::top).max().orElse(0);
    return new double[] {low, high};
  }

  private static final class Unfolding {
    private static final double CLASH_COST = 10_000;

    private final Train train;
    private final List<Mesh> meshes;
    private final FaceLayout face;
    private final Map<MemberId, PlacedWheel> byId = new HashMap<>();
    private final Map<Integer, Double> heights = new HashMap<>();
    private final int firstPlane;

    Unfolding(Train train, FaceLayout face) {
      this.train = train;
      this.meshes = train.meshes();
      this.face = face;
      face.wheels().forEach(wheel -> byId.putIfAbsent(wheel.id(), wheel));
      firstPlane = face.wheels().stream().mapToInt(PlacedWheel::plane).min().orElse(0);
    }

    EdgeLayout unfold() {
      List<PlacedWheel> once = face.wheels().stream().filter(w -> w.copy() == 0).toList();
      for (PlacedWheel wheel : once) {
        heights.putIfAbsent(wheel.axis(), 0.0);
        Optional<Mesh> next = meshes.stream().filter(this::reaches).findFirst();
        while (next.isPresent()) {
          unfoldAcross(next.get());
          next = meshes.stream().filter(this::reaches).findFirst();
        }
      }
      List<EdgeWheel> all = new ArrayList<>();
      once.forEach(wheel -> all.add(at(wheel, heights.get(wheel.axis()))));
      List<EdgeCarrier> carriers = face.carriers().stream().map(this::carrier).toList();
      carriers.stream().filter(EdgeCarrier::bothSides).forEach(one -> addBelow(one, once, all));
      int last = face.wheels().stream().mapToInt(PlacedWheel::plane).max().orElse(0);
      return new EdgeLayout(all, carriers, shafts(), last - firstPlane + 1);
    }

    private EdgeWheel at(PlacedWheel wheel, double height) {
      boolean hollow = wheel.teeth().internal() && inSet(wheel.axis());
      return new EdgeWheel(wheel, wheel.plane() - firstPlane, height, false, hollow ? BORE : 0);
    }

    private boolean inSet(int axis) {
      return face.carriers().stream().anyMatch(carrier -> carrier.axis() == axis);
    }

    private EdgeCarrier carrier(PlacedCarrier carrier) {
      double pin = carrier.pins().getFirst().radius();
      return new EdgeCarrier(
          carrier.id(),
          carrier.plane() - firstPlane,
          heights.get(carrier.axis()),
          carrier.bodyRadius(),
          pin,
          carrier.planets() > 1);
    }

    /** The planets of {@code carrier} once more on the other side of its axis. */
    private void addBelow(EdgeCarrier carrier, List<PlacedWheel> once, List<EdgeWheel> all) {
      for (PlacedWheel wheel : once) {
        if (wheel.orbit().filter(orbit -> orbit.carrier().equals(carrier.id())).isPresent()) {
          double height = 2 * carrier.height() - heights.get(wheel.axis());
          all.add(new EdgeWheel(wheel, wheel.plane() - firstPlane, height, true, 0));
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
                .filter(body -> members.contains(body.id()) && body.orbit().isEmpty())
                .toList();
        if (!bodies.isEmpty()) {
          all.add(shaft(members, bodies));
        }
      }
      return all;
    }

    private EdgeShaft shaft(List<MemberId> members, List<Placed> bodies) {
      double from = Double.MAX_VALUE;
      double to = -Double.MAX_VALUE;
      Way way = Way.EITHER;
      double bore = 0;
      for (Placed body : bodies) {
        double plane = body.plane() - firstPlane;
        switch (body) {
          case PlacedCarrier carrier -> {
            from = Math.min(from, plane + 0.3);
            to = Math.max(to, plane + 0.75);
            way = Way.RIGHT;
          }
          case PlacedWheel wheel when !inSet(wheel.axis()) -> {
            from = Math.min(from, plane - 0.45);
            to = Math.max(to, plane + 0.45);
          }
          case PlacedWheel wheel -> {
            boolean ring = wheel.teeth().internal();
            from = Math.min(from, plane - 0.5);
            to = Math.max(to, plane + (ring ? -0.2 : 0.17));
            way = way == Way.EITHER ? Way.LEFT : way;
            bore = ring && bodies.size() == 1 ? BORE : bore;
          }
        }
      }
      double height = heights.get(bodies.getFirst().axis());
      return new EdgeShaft(members, height, from, to, way, bore);
    }

    private boolean known(MemberId id) {
      return heights.containsKey(byId.get(id).axis());
    }

    private boolean reaches(Mesh mesh) {
      return known(mesh.a()) != known(mesh.b());
    }

    private void unfoldAcross(Mesh mesh) {
      PlacedWheel from = byId.get(known(mesh.a()) ? mesh.a() : mesh.b());
      PlacedWheel to = byId.get(known(mesh.a()) ? mesh.b() : mesh.a());
      if (mesh.carrier().isPresent()) {
        heights.put(to.axis(), heights.get(from.axis()) - fromMiddle(from) + fromMiddle(to));
        return;
      }
      double distance = FaceLayout.centreDistance(mesh);
      double down = heights.get(from.axis()) - distance;
      double up = heights.get(from.axis()) + distance;
      heights.put(to.axis(), cost(to.axis(), down) <= cost(to.axis(), up) ? down : up);
    }

    /** Planets are unfolded upwards from their carrier's axis. */
    private static double fromMiddle(PlacedWheel wheel) {
      return wheel.orbit().map(o -> Math.hypot(wheel.x() - o.x(), wheel.y() - o.y())).orElse(0.0);
    }

    /** How high the whole becomes, and whether wheels of one plane would lie over each other. */
    private double cost(int axis, double height) {
      double low = Double.MAX_VALUE;
      double high = -Double.MAX_VALUE;
      double cost = 0;
      List<EdgeWheel> fresh = on(axis, height);
      List<EdgeWheel> placed = new ArrayList<>(fresh);
      heights.forEach((other, known) -> placed.addAll(on(other, known)));
      for (EdgeWheel wheel : placed) {
        low = Math.min(low, wheel.bottom());
        high = Math.max(high, wheel.top());
        for (EdgeWheel own : fresh) {
          cost += clashing(own, wheel) ? CLASH_COST : 0;
        }
      }
      return cost + high - low;
    }

    private List<EdgeWheel> on(int axis, double height) {
      return face.wheels().stream()
          .filter(wheel -> wheel.axis() == axis && wheel.copy() == 0)
          .map(wheel -> at(wheel, height))
          .toList();
    }

    private boolean clashing(EdgeWheel a, EdgeWheel b) {
      boolean meshing =
          meshes.stream()
              .anyMatch(mesh -> mesh.touches(a.wheel.id()) && mesh.touches(b.wheel.id()));
      return a.wheel.axis() != b.wheel.axis()
          && a.plane == b.plane
          && !meshing
          && a.bottom() < b.top()
          && b.bottom() < a.top();
    }
  }
}
