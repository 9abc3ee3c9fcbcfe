package steadycog.rating;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import steadycog.train.MemberId;

/**
 * A shaft on two bearings, or a pin held where both are one: forces across it in two planes,
 * moments and torques. Lengths along it mm, forces N, moments and torques N mm.
 *
 * @param loads what acts on it, the bearings aside
 * @param first where it is held; the bearing nearer to the drive end
 * @param second where else; as {@code first} of a pin held at one end
 */
record Beam(List<Load> loads, double first, double second) {

  /**
   * @param wheel what presses or turns it; empty of what comes from outside
   * @param tiltX moment, as x times z
   * @param torque about the axis
   */
  record Load(
      Optional<MemberId> wheel,
      double z,
      double x,
      double y,
      double tiltX,
      double tiltY,
      double torque) {}

  /**
   * What the material bears in one place.
   *
   * @param wheel that sits there; empty of a bearing
   * @param z where, from the drive end
   * @param torque of the larger of both sides
   */
  record Section(Optional<MemberId> wheel, double z, double bending, double torque) {}

  Beam {
    loads = List.copyOf(loads);
  }

  /** All that presses it across, N: what the bearing of a planet bears, however its pin is held. */
  double across() {
    return Math.hypot(
        loads.stream().mapToDouble(Load::x).sum(), loads.stream().mapToDouble(Load::y).sum());
  }

  /**
   * What the bearings press it with, in its two planes: x of the first, y of it, x and y of the
   * second. A pin held at one end has a moment there beside, and no second.
   */
  double[] reactions() {
    double x = loads.stream().mapToDouble(Load::x).sum();
    double y = loads.stream().mapToDouble(Load::y).sum();
    double[] about = aboutFirst();
    double span = second - first;
    double xs = span == 0 ? 0 : -about[0] / span;
    double ys = span == 0 ? 0 : -about[1] / span;
    return new double[] {-x - xs, -y - ys, xs, ys};
  }

  private double[] aboutFirst() {
    double[] sum = new double[2];
    for (Load load : loads) {
      sum[0] += load.x * (load.z - first) + load.tiltX;
      sum[1] += load.y * (load.z - first) + load.tiltY;
    }
    return sum;
  }

  /** What bends and twists it at all loads and bearings, from the drive end on. */
  List<Section> sections() {
    double[] held = reactions();
    List<Load> all = new ArrayList<>(loads);
    boolean oneEnd = first == second;
    double[] clamped = oneEnd ? aboutFirst() : new double[2];
    all.add(new Load(Optional.empty(), first, held[0], held[1], -clamped[0], -clamped[1], 0));
    if (!oneEnd) {
      all.add(new Load(Optional.empty(), second, held[2], held[3], 0, 0, 0));
    }
    all.sort(Comparator.comparingDouble(Load::z));
    List<Section> sections = new ArrayList<>();
    for (Load at : all) {
      double[] before = left(all, at.z, false);
      double[] behind = left(all, at.z, true);
      sections.add(
          new Section(
              at.wheel,
              at.z,
              Math.max(Math.hypot(before[0], before[1]), Math.hypot(behind[0], behind[1])),
              Math.max(Math.abs(before[2]), Math.abs(behind[2]))));
    }
    return sections;
  }

  /** Moments and torque of all that acts between the drive end and {@code z}. */
  private static double[] left(List<Load> all, double z, boolean with) {
    double[] sum = new double[3];
    for (Load load : all) {
      if (load.z < z || (with && load.z == z)) {
        sum[0] += load.x * (load.z - z) + load.tiltX;
        sum[1] += load.y * (load.z - z) + load.tiltY;
        sum[2] += load.torque;
      }
    }
    return sum;
  }

  /** Force across it on the bearing nearer to the drive end, N. */
  double onFirst() {
    double[] held = reactions();
    return Math.hypot(held[0], held[1]);
  }

  /** The same on the other; 0 of a pin held at one end. */
  double onSecond() {
    double[] held = reactions();
    return Math.hypot(held[2], held[3]);
  }

  /** What shears a pin where it is held, N. */
  double shear() {
    return Math.max(onFirst(), onSecond());
  }
}
