package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;

/**
 * The planes of a train between its plates, from the drive end up. Gap 0 lies before the first
 * plane and is the front plate's, the last gap the rear plate's; a gap between two planes has a
 * plate where a shaft ends there, because a wheel of the next plane is in its way.
 */
final class Storeys {
  /** Between a plate and the wheels beside it, mm. */
  static final double AIR = 2;

  private final List<Double> heights;
  private final double gap;
  private final double[] thick;

  /**
   * @param heights of the planes, mm
   * @param gap between planes without a plate, mm
   */
  Storeys(List<Double> heights, double gap) {
    this.heights = List.copyOf(heights);
    this.gap = gap;
    thick = new double[heights.size() + 1];
  }

  int planes() {
    return heights.size();
  }

  /** A plate at a gap at least so thick. */
  void plate(int at, double least) {
    thick[at] = Math.max(thick[at], least);
  }

  boolean hasPlate(int at) {
    return thick[at] > 0;
  }

  /** The gaps with plates, the front plate's first. */
  List<Integer> plates() {
    List<Integer> all = new ArrayList<>();
    for (int k = 0; k < thick.length; k++) {
      if (hasPlate(k)) {
        all.add(k);
      }
    }
    return all;
  }

  /** Where the wheels of a plane begin. */
  double from(int plane) {
    double z = 0;
    for (int k = 0; k < plane; k++) {
      z += heights.get(k) + (hasPlate(k + 1) ? 2 * AIR + thick[k + 1] : gap);
    }
    return z;
  }

  /** Lower face of the plate at a gap. */
  double low(int at) {
    return at == 0 ? -AIR - thick[0] : from(at - 1) + heights.get(at - 1) + AIR;
  }

  /** Upper face of the plate at a gap. */
  double high(int at) {
    return low(at) + thick[at];
  }
}
