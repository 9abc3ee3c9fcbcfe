package steadycog.shape;

import java.util.List;
import steadycog.train.MemberId;
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

    double top() {
      return height + outer;
    }

    double bottom() {
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
    return new EdgeBodies(train, face, EdgeFolding.heights(train, face)).layout();
  }

  /** Least and greatest height of any body. */
  public double[] range() {
    double low = wheels.stream().mapToDouble(EdgeWheel::bottom).min().orElse(0);
    double high = wheels.stream().mapToDouble(EdgeWheel::top).max().orElse(0);
    return new double[] {low, high};
  }
}
