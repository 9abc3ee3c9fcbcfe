package steadycog.gearbox;

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

  public boolean isPlain() {
    return bearing.equals(PLAIN);
  }
}
