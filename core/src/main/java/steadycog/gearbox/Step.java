package steadycog.gearbox;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import steadycog.gearbox.Move.Way;

/**
 * One step of the instructions: a few moves from one side.
 *
 * @param number from 1
 * @param before what is in its place already
 * @param moves what goes in now, in order
 */
public record Step(int number, List<Move> before, List<Move> moves) {
  /** More moves than this in one picture are hard to follow. */
  private static final int MOST = 4;

  public Step {
    before = List.copyOf(before);
    moves = List.copyOf(moves);
  }

  /** The order of putting it together in steps; moves from one side are shared out evenly. */
  public static List<Step> all(List<Move> order) {
    List<Step> steps = new ArrayList<>();
    int from = 0;
    while (from < order.size()) {
      int to = from;
      while (to < order.size() && isBelow(order.get(to)) == isBelow(order.get(from))) {
        to++;
      }
      int parts = (to - from + MOST - 1) / MOST;
      for (int k = 0; k < parts; k++) {
        int first = from + (to - from) * k / parts;
        int last = from + (to - from) * (k + 1) / parts;
        steps.add(new Step(steps.size() + 1, order.subList(0, first), order.subList(first, last)));
      }
      from = to;
    }
    return steps;
  }

  private static boolean isBelow(Move move) {
    return move.way() == Way.FROM_THE_DRIVE_END;
  }

  /** Whether it is put in from the drive end, which lies below while it is put together. */
  public boolean isFromBelow() {
    return isBelow(moves.getFirst());
  }

  /** What goes in now. */
  public Set<Component> fresh() {
    Set<Component> fresh = new HashSet<>();
    moves.forEach(move -> fresh.add(move.component()));
    return fresh;
  }
}
