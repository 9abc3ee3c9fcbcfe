package steadycog.gearbox;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import steadycog.piece.Piece;
import steadycog.train.MemberId;

/**
 * Whether nothing is loose: every body rests, within a little play, on another in both directions
 * along the axes, that on a third and so on, to the layers that the bolts clamp. So every thrust
 * ends in the frame.
 */
final class Holding {
  /** More play than this along the axes is loose, mm. */
  private static final double PLAY = 1.2;

  private final List<Item> items;
  private final Meeting meeting;
  private final Set<MemberId> still;

  /**
   * @param still members that never turn
   */
  Holding(List<Item> items, Meeting meeting, Set<MemberId> still) {
    this.items = items;
    this.meeting = meeting;
    this.still = still;
  }

  /** What can slide, and which way. */
  List<String> loose() {
    List<String> all = new ArrayList<>();
    for (boolean up : new boolean[] {true, false}) {
      Set<Item> held = held(up);
      for (Item item : items) {
        if (!held.contains(item)) {
          all.add(
              item.says()
                  + " is loose: nothing stops it "
                  + (up ? "away from" : "towards")
                  + " the drive end");
        }
      }
    }
    return all;
  }

  private boolean isFrame(Item item) {
    return !item.component().isBought()
        && (item.component().member().equals(Piece.FRAME)
            || still.contains(item.component().member()));
  }

  private Set<Item> held(boolean up) {
    Set<Item> held = new HashSet<>();
    Deque<Item> open = new ArrayDeque<>();
    for (Item item : items) {
      if (isFrame(item) || isTiedToFrame(item)) {
        held.add(item);
        open.add(item);
      }
    }
    while (!open.isEmpty()) {
      Item by = open.remove();
      for (Item item : items) {
        boolean tied =
            item.component().isIn(by.component()) || by.component().isIn(item.component());
        if (!held.contains(item) && (tied || stops(item, by, up))) {
          held.add(item);
          open.add(item);
        }
      }
    }
    return held;
  }

  private boolean isTiedToFrame(Item item) {
    return items.stream()
        .anyMatch(other -> isFrame(other) && item.component().isIn(other.component()));
  }

  private boolean stops(Item item, Item by, boolean up) {
    OptionalDouble way = meeting.travel(item, by, up);
    return way.isPresent() && way.getAsDouble() <= PLAY;
  }
}
