package steadycog.gearbox;

import steadycog.piece.Piece.Stand;
import steadycog.piece.Pieces;
import steadycog.piece.Slab;
import steadycog.train.MemberId;

/**
 * One place at which a body that turns is carried.
 *
 * @param member that turns
 * @param in what carries it, {@link steadycog.piece.Piece#FRAME} what stands still
 * @param x of its axis, mm
 * @param y of its axis, mm
 * @param from along the axis, mm
 * @param to along the axis, mm
 * @param radius of what turns in it, mm
 * @param bearing its designation; of a plain bush {@code plain}
 */
public record Support(
    MemberId member,
    MemberId in,
    double x,
    double y,
    double from,
    double to,
    double radius,
    String bearing) {
  static final String PLAIN = "plain";

  /** What carries is no farther from what turns in it, mm. */
  private static final double NEAR = 1;

  /** Whether that is the body which carries it: its material is there, close round the axis. */
  boolean isCarriedBy(Component body) {
    return body.member().equals(in)
        && body.piece().stands().stream()
            .anyMatch(
                stand -> body.piece().slabsInTrain().stream().anyMatch(slab -> meets(slab, stand)));
  }

  private boolean meets(Slab slab, Stand stand) {
    return Math.min(stand.z() + slab.to(), to) - Math.max(stand.z() + slab.from(), from)
            > Meeting.LEVEL
        && slab.region()
            .placed(stand.angle(), stand.x(), stand.y())
            .area(Pieces.USUAL_CHORD)
            .intersects(Shell.disc(x, y, radius + NEAR));
  }

  public boolean isPlain() {
    return bearing.equals(PLAIN);
  }
}
