package steadycog.shape;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import steadycog.shape.PlacedPlate.Kind;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/**
 * A train seen from the side, its axes unfolded into the plane of the paper: meshing wheels touch,
 * wheels of one plane stand above one another, and the whole is folded to be as low as it can.
 *
 * @param wheels in the order of the card; of several planets one above its carrier's axis and one
 *     below
 * @param carriers in the order of the card
 * @param cups of flexsplines
 * @param shafts whatever turns about one axis as one body
 * @param planes how many planes there are; they are numbered from 0 at the drive end
 */
public record EdgeLayout(
    List<EdgeWheel> wheels,
    List<EdgeCarrier> carriers,
    List<EdgeCup> cups,
    List<EdgeShaft> shafts,
    int planes) {
  private static final double FACE = 0.34;
  private static final double OUTPUT_RIM = 1.2;

  /** Half the width of a hollow shaft, in modules. */
  private static final double BORE = 2.6;

  /**
   * A body of rotation in the side view.
   *
   * @param copy which of several equal ones; planets are shown above and below their carrier's axis
   * @param plane from 0
   * @param at where its middle lies, in planes
   * @param wide its width, in planes
   * @param height of the axis, in modules, up
   * @param outer radius of the whole body
   * @param inner radius of its hollow, 0 for a solid one
   * @param root radius of the roots of its teeth, 0 where there are none to show, -1 for a thin
   *     wall
   * @param bore of a ring's plate, through which another shaft passes; 0 where none does
   */
  public record EdgeWheel(
      MemberId id,
      int copy,
      int plane,
      double at,
      double wide,
      double height,
      double outer,
      double inner,
      double root,
      double bore) {

    double top() {
      return height + outer;
    }

    double bottom() {
      return height - outer;
    }

    /** Whether it is the thin wall of a flexspline, closed by its cup instead of a plate. */
    public boolean thin() {
      return isRing() && bore == 0 && root < 0;
    }

    /** Whether it is hollow, as a ring. */
    public boolean isRing() {
      return inner > 0;
    }
  }

  /**
   * The thin wall of a flexspline behind its teeth, and how it is closed.
   *
   * @param radius of the wall
   * @param hat whether the flange goes outwards
   */
  public record EdgeCup(MemberId id, int plane, double height, double radius, boolean hat) {}

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
    cups = List.copyOf(cups);
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
      this.meshes = train.involuteMeshes();
      this.face = face;
      face.wheels().forEach(wheel -> byId.putIfAbsent(wheel.id(), wheel));
      firstPlane = face.bodies().stream().mapToInt(Placed::plane).min().orElse(0);
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
      face.plates().forEach(plate -> heights.putIfAbsent(plate.axis(), plate.y()));
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
          ring && inSet(wheel.axis()) ? BORE : 0);
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
                  ring ? BORE : 0));
          if (plate.kind() == Kind.DISC && plate.copy() == 0) {
            carriers.add(outputPins(plate, plane, height));
          }
        }
        case PlacedFlex flex -> {
          double bore = flex.geometry().flexRadius() - flex.boreDepth();
          double tip = flex.geometry().flexRadius();
          all.add(new EdgeWheel(flex.id(), 0, plane, plane, FACE, height, tip, bore, -1, 0));
          boolean hat = flex.geometry().part().sizes().mount() == StrainWave.Mount.HAT;
          cups.add(new EdgeCup(flex.id(), plane, height, (tip + bore) / 2, hat));
        }
        case PlacedWheel none -> throw new IllegalStateException("a wheel among plates: " + none);
        case PlacedCarrier none ->
            throw new IllegalStateException("a carrier among plates: " + none);
      }
    }

    private int copies(MemberId member) {
      return train.partOf(member).copies(member);
    }

    private static EdgeCarrier outputPins(PlacedPlate disc, int plane, double height) {
      PlacedPlate.Circle pin = disc.studs().getFirst();
      double circle = Math.hypot(pin.x(), pin.y());
      return new EdgeCarrier(
          disc.id(), plane, height, circle + OUTPUT_RIM * pin.radius(), circle, true);
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

    /** Planets have a pin instead; further discs go with the first. */
    private static boolean hasShaft(Placed body) {
      return switch (body) {
        case PlacedPlate plate -> plate.copy() == 0;
        case PlacedFlex flex -> true;
        case PlacedCarrier carrier -> true;
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

    private int axisOf(EdgeWheel edge) {
      return byId.get(edge.id).axis();
    }

    private boolean clashing(EdgeWheel a, EdgeWheel b) {
      boolean meshing = meshes.stream().anyMatch(mesh -> mesh.touches(a.id) && mesh.touches(b.id));
      return axisOf(a) != axisOf(b)
          && a.plane == b.plane
          && !meshing
          && a.bottom() < b.top()
          && b.bottom() < a.top();
    }
  }
}
