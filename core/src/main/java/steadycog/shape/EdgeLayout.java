package steadycog.shape;

import java.util.List;
import steadycog.train.Element;
import steadycog.train.MemberId;
import steadycog.train.Role;
import steadycog.train.Train;

/**
 * A train seen from the side, its axes unfolded into the plane of the paper: meshing wheels touch,
 * wheels of one plane stand above one another, and the whole is folded to be as low as it can.
 *
 * @param wheels in the order of the card; of several planets one above its carrier's axis and one
 *     below
 * @param carriers in the order of the card
 * @param cups of flexsplines
 * @param cones bevel gears on shafts at right angles to the others
 * @param shafts whatever turns about one axis as one body
 * @param links between members that are joined at a distance from their axis
 * @param elements brakes above, clutches below
 * @param planes how many planes there are; they are numbered from 0 at the drive end
 */
public record EdgeLayout(
    List<EdgeWheel> wheels,
    List<EdgeCarrier> carriers,
    List<EdgeCup> cups,
    List<EdgeCone> cones,
    List<EdgeShaft> shafts,
    List<EdgeLink> links,
    List<EdgeElement> elements,
    int planes) {

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
   * @param hung on which side of a ring its plate is, {@code EITHER} for what has none
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
      double bore,
      Way hung) {

    public double top() {
      return height + outer;
    }

    public double bottom() {
      return height - outer;
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
   * A carrier in the side view: a plate beside its planets.
   *
   * @param plateAt where the plate lies, in planes
   * @param pinTo where the pins end, in planes
   * @param height of the axis, in modules, up
   * @param reach of the plate from the axis
   * @param pinHeight of the pins from the axis
   * @param bothSides whether it reaches to both sides of the axis, carrying several planets
   */
  public record EdgeCarrier(
      MemberId id,
      int plane,
      double plateAt,
      double pinTo,
      double height,
      double reach,
      double pinHeight,
      boolean bothSides) {}

  /**
   * A bevel gear whose axis stands upright in the side view.
   *
   * @param at where its axis lies, in planes
   * @param height of its large end, in modules, up
   * @param toward height of its small end
   * @param large radius at the large end
   * @param small radius at the small end
   * @param shaftTo height to which its shaft goes
   */
  public record EdgeCone(
      MemberId id,
      int copy,
      double at,
      double height,
      double toward,
      double large,
      double small,
      double shaftTo) {}

  /**
   * A point of a member that others can be tied to.
   *
   * @param at in planes
   * @param height of the member's axis, in modules, up
   * @param radius from the axis
   */
  public record EdgePoint(double at, double height, double radius) {}

  /**
   * A drum that joins two members outside of whatever lies between them.
   *
   * @param radius of the drum
   */
  public record EdgeLink(MemberId a, EdgePoint from, MemberId b, EdgePoint to, double radius) {}

  /**
   * A brake or clutch.
   *
   * @param ends where it takes hold of its one or two members
   * @param level height of the housing that a brake reaches up to, or at which a clutch is drawn
   */
  public record EdgeElement(Element element, List<EdgePoint> ends, double level) {
    public EdgeElement {
      ends = List.copyOf(ends);
    }
  }

  /** To which end a shaft goes where it is driven, held or taken off. */
  public enum Way {
    LEFT,
    RIGHT,
    /** Wherever its role belongs: driven from the left, the rest to the right. */
    EITHER;

    /** Whether a shaft with {@code role} goes to the left. */
    public boolean toLeft(Role role) {
      return switch (this) {
        case LEFT -> true;
        case RIGHT -> false;
        case EITHER -> role == Role.DRIVE;
      };
    }
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
    cones = List.copyOf(cones);
    shafts = List.copyOf(shafts);
    links = List.copyOf(links);
    elements = List.copyOf(elements);
  }

  /**
   * Unfolds the axes one after the other, each up or down; quadratic in the number of wheels.
   *
   * @param elements brakes and clutches to be shown
   */
  public static EdgeLayout of(Train train, FaceLayout face, List<Element> elements) {
    EdgeFacts facts = new EdgeFacts(train, face, EdgeFolding.heights(train, face), elements);
    return new EdgeBodies(train, face, facts).layout(elements);
  }

  /**
   * Whether nothing stands before the end of a shaft, so that it can go on to the wall: no other
   * shaft on its axis, no body in its way. A shaft that belongs to one side stays at it.
   *
   * @param right at which end
   */
  public boolean isFree(EdgeShaft shaft, boolean right) {
    double end = right ? shaft.to : shaft.from;
    return shaft.way == Way.EITHER
        && shaft.bore == 0
        && cones.isEmpty()
        && shafts.stream().filter(other -> other.height == shaft.height).count() == 1
        && wheels.stream()
            .filter(wheel -> !shaft.members.contains(wheel.id))
            .noneMatch(
                wheel ->
                    right == wheel.at > end
                        && shaft.height < wheel.top()
                        && shaft.height > wheel.bottom())
        && carriers.stream()
            .noneMatch(
                carrier ->
                    right == carrier.plateAt > end
                        && Math.abs(shaft.height - carrier.height) < carrier.reach);
  }

  /** Least and greatest height of anything. */
  public double[] range() {
    double[] range = bodies(wheels, cones);
    for (EdgeLink link : links) {
      widen(range, link.from.height + link.radius);
      widen(range, link.from.height - link.radius);
    }
    elements.forEach(element -> widen(range, element.level));
    return range;
  }

  /** Least and greatest height of bodies. */
  static double[] bodies(List<EdgeWheel> wheels, List<EdgeCone> cones) {
    double[] range = {Double.MAX_VALUE, -Double.MAX_VALUE};
    for (EdgeWheel wheel : wheels) {
      widen(range, wheel.bottom());
      widen(range, wheel.top());
    }
    for (EdgeCone cone : cones) {
      widen(range, cone.height);
      widen(range, cone.shaftTo);
    }
    return range;
  }

  private static void widen(double[] range, double height) {
    range[0] = Math.min(range[0], height);
    range[1] = Math.max(range[1], height);
  }
}
