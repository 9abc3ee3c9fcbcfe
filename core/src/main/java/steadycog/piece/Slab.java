package steadycog.piece;

import java.util.List;
import steadycog.shape.Outline;

/**
 * A region with thickness.
 *
 * @param name what it is, as {@code row 2}; empty where the piece has but one
 * @param from along the axis, mm
 * @param to along the axis, mm, above {@code from}
 * @param region as it lies at the foot of its windings, straight lines everywhere
 * @param windings which of its lines wind round the axis; none of straight teeth
 */
public record Slab(String name, double from, double to, Region region, List<Winding> windings) {

  /**
   * A toothed line that winds round the axis.
   *
   * @param line one of the region's
   * @param foot height at which it lies as it is there, mm
   * @param turn per mm of height, radians, right-handed positive
   * @param apex height over the foot from which it winds back, mm; of plain teeth infinite
   */
  public record Winding(Outline line, double foot, double turn, double apex) {

    /** By what the line is turned at a height, radians. */
    public double at(double z) {
      double height = z - foot;
      return turn * (height > apex ? 2 * apex - height : height);
    }
  }

  public Slab {
    windings = List.copyOf(windings);
    if (to <= from) {
      throw new IllegalArgumentException("slab " + name + ": from " + from + " to " + to);
    }
  }

  /** One whose lines go straight up. */
  public Slab(String name, double from, double to, Region region) {
    this(name, from, to, region, List.of());
  }

  /** A line of its region as it lies at a height. */
  Outline at(Outline line, double z) {
    for (Winding winding : windings) {
      if (winding.line.equals(line)) {
        return line.placed(winding.at(z), 0, 0);
      }
    }
    return line;
  }
}
