package steadycog.piece;

import java.util.List;
import java.util.Optional;
import steadycog.shape.Outline;

/**
 * A region with thickness.
 *
 * @param name what it is, as {@code row 2}; empty where the piece has but one
 * @param from along the axis, mm
 * @param to along the axis, mm, above {@code from}
 * @param region as it lies in the plane of its windings, straight lines everywhere
 * @param windings which of its lines wind round the axis; none of straight teeth
 */
public record Slab(String name, double from, double to, Region region, List<Winding> windings) {

  /**
   * A toothed line that winds round the axis.
   *
   * @param line one of the region's
   * @param plane height at which it lies as it is there, the middle of all faces that mesh, mm
   * @param turn per mm of height, radians, right-handed positive
   * @param doubled whether it winds back from its plane on, as that of a herringbone
   */
  public record Winding(Outline line, double plane, double turn, boolean doubled) {

    /** The same of a slab that begins {@code z} lower. */
    Winding lowered(double z) {
      return new Winding(line, plane - z, turn, doubled);
    }

    /** By what the line is turned at a height, radians. */
    public double at(double z) {
      double height = z - plane;
      return turn * (doubled ? -Math.abs(height) : height);
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

  /** What is left of it between two heights, counted from the lower one; empty if nothing. */
  Optional<Slab> between(double low, double high) {
    double foot = Math.max(from, low);
    double top = Math.min(to, high);
    return foot < top ? Optional.of(cut(foot, top).lowered(low)) : Optional.empty();
  }

  /** The same so much lower, teeth that wind with it. */
  public Slab lowered(double by) {
    return new Slab(
        name,
        from - by,
        to - by,
        region,
        windings.stream().map(winding -> winding.lowered(by)).toList());
  }

  /** The same between two heights inside it. */
  public Slab cut(double low, double high) {
    return new Slab(name, low, high, region, windings);
  }

  /** The same over another region that has its winding lines. */
  public Slab over(Region changed) {
    return new Slab(name, from, to, changed, windings);
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
