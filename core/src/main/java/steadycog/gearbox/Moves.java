package steadycog.gearbox;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;
import steadycog.gearbox.Component.Fastening;
import steadycog.gearbox.Item.Layer;
import steadycog.gearbox.Move.Way;
import steadycog.number.Pace;

/**
 * The order in which pieces go in: the whole is taken apart, one body after the other along a
 * straight line on which it meets nothing that is still there, and that is read backwards. What can
 * be taken off the far end goes first, so that the whole is built up from the drive end.
 *
 * @param moves of putting it together, in order; of the rest none where it is stuck
 * @param stuck what cannot be taken off, with what is in the way
 */
record Moves(List<Move> moves, List<String> stuck) {
  /** Beyond its own width a body that is moved across the axes goes so far, mm. */
  private static final double CLEAR = 0.5;

  private record Step(Item item, Way way) {}

  /** Cost: bodies cubed in the worst case, and once the overlay of all pairs. */
  static Moves of(List<Item> items, Meeting meeting, Pace pace) {
    Set<Item> left = new LinkedHashSet<>(items);
    List<Step> steps = new ArrayList<>();
    boolean moved = true;
    while (moved && !left.isEmpty()) {
      moved = false;
      for (Way way : Way.values()) {
        List<Item> free = free(left, way, meeting, pace);
        if (!free.isEmpty()) {
          pace.at((double) steps.size() / items.size());
          // Copies of one component come off together.
          String name = free.getFirst().component().name();
          for (Item item : free) {
            if (item.isOf(name)) {
              steps.add(new Step(item, way));
              left.remove(item);
            }
          }
          moved = true;
          break;
        }
      }
    }
    return new Moves(grouped(steps), stuck(left, meeting));
  }

  private static List<Item> free(Set<Item> left, Way way, Meeting meeting, Pace pace) {
    return left.stream()
        .sorted(
            way == Way.FROM_THE_DRIVE_END
                ? Comparator.comparingDouble(Item::from)
                : Comparator.comparingDouble(Item::to).reversed())
        .filter(
            item -> {
              pace.at(0);
              return left.stream().noneMatch(other -> isBlocking(item, other, way, meeting));
            })
        .toList();
  }

  /** Whether a body is in the way of taking another off: it leaves as it came, backwards. */
  private static boolean isBlocking(Item item, Item other, Way way, Meeting meeting) {
    return !other.equals(item) && (isTied(item, other) || meets(item, other, way, meeting));
  }

  private static List<Item> blockers(Item item, Set<Item> left, Way way, Meeting meeting) {
    return left.stream().filter(other -> isBlocking(item, other, way, meeting)).toList();
  }

  /** A screw or pressed pin in a body keeps it where it is. */
  private static boolean isTied(Item item, Item other) {
    return other.component().fastening().filter(Fastening::keeps).isPresent()
        && other.component().isIn(item.component());
  }

  private static boolean meets(Item item, Item other, Way way, Meeting meeting) {
    return switch (way) {
      case FROM_THE_FAR_END -> meeting.travel(item, other, true).isPresent();
      case FROM_THE_DRIVE_END -> meeting.travel(item, other, false).isPresent();
      case FROM_THE_SIDE -> sideways(item, other);
    };
  }

  /** Out of its seat away from the axis, and then away along it. */
  private static boolean sideways(Item item, Item other) {
    Layer own = item.layers().getFirst();
    if (!item.isBar()) {
      return true;
    }
    double x = own.area().getCentroid().getX() - item.stand().x();
    double y = own.area().getCentroid().getY() - item.stand().y();
    double away = Math.hypot(x, y);
    Envelope box = own.box();
    double out = Math.hypot(box.getWidth(), box.getHeight()) + CLEAR;
    Geometry there =
        AffineTransformation.translationInstance(out * x / away, out * y / away)
            .transform(own.area());
    Geometry swept = own.area().union(there).convexHull();
    return other.layers().stream()
        .anyMatch(
            its ->
                its.from() >= own.to() - Meeting.LEVEL
                    ? Meeting.meet(there, its.area())
                    : its.to() > own.from() + Meeting.LEVEL && Meeting.meet(swept, its.area()));
  }

  private static List<Move> grouped(List<Step> steps) {
    List<Move> moves = new ArrayList<>();
    Collections.reverse(steps);
    int k = 0;
    while (k < steps.size()) {
      Step first = steps.get(k);
      List<Integer> copies = new ArrayList<>();
      while (k < steps.size()
          && steps.get(k).item.component().equals(first.item.component())
          && steps.get(k).way == first.way) {
        copies.add(steps.get(k).item.copy());
        k++;
      }
      copies.sort(null);
      moves.add(new Move(first.item.component(), copies, first.way));
    }
    return List.copyOf(moves);
  }

  private static List<String> stuck(Set<Item> left, Meeting meeting) {
    Optional<String> least =
        left.stream()
            .map(
                item -> {
                  List<Item> up = blockers(item, left, Way.FROM_THE_FAR_END, meeting);
                  List<Item> down = blockers(item, left, Way.FROM_THE_DRIVE_END, meeting);
                  List<Item> fewest = up.size() <= down.size() ? up : down;
                  return new Stuck(item, fewest);
                })
            .min(Comparator.comparingInt(stuck -> stuck.by.size()))
            .map(Stuck::says);
    return least.stream().toList();
  }

  private record Stuck(Item item, List<Item> by) {
    String says() {
      return item.says()
          + " cannot be put in: "
          + by.stream().map(Item::says).distinct().limit(3).collect(Collectors.joining(", "))
          + (by.size() == 1 ? " is" : " are")
          + " in the way";
    }
  }
}
