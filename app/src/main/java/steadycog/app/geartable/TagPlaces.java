package steadycog.app.geartable;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleBiFunction;
import java.util.function.ToDoubleFunction;

/**
 * Finds places for the names of members by the rule of a drawing office: on the web of a wheel
 * where it hides nothing, else outside of all that is drawn, with a leader. Pixels throughout.
 */
final class TagPlaces {
  private static final int ANGLES = 24;
  private static final int RAYS = 48;
  private static final double STEP = 7;
  private static final double GAP = 3;

  /** A rectangle about its centre. */
  record Box(double x, double y, double width, double height) {
    boolean meets(Box other) {
      return into(other) > 0;
    }

    boolean meets(Disc disc) {
      return into(disc) > 0;
    }

    /** How far it has to move at least to be clear of another, whichever way; none is below 0. */
    double into(Box other) {
      return Math.min(
          (width + other.width) / 2 + GAP - Math.abs(x - other.x),
          (height + other.height) / 2 + GAP - Math.abs(y - other.y));
    }

    /** The same of a disc. */
    double into(Disc disc) {
      double dx = Math.max(0, Math.abs(disc.x - x) - width / 2);
      double dy = Math.max(0, Math.abs(disc.y - y) - height / 2);
      return disc.radius + GAP - Math.sqrt(dx * dx + dy * dy);
    }

    /** How far it has to move at least to be clear of all of them. */
    <T> double into(List<T> all, ToDoubleBiFunction<Box, T> into) {
      double most = 0;
      for (T one : all) {
        double here = into.applyAsDouble(this, one);
        // Not so of what is nowhere, as empty groups are.
        most = here > most ? here : most;
      }
      return most;
    }

    /** Whether all of it lies in a disc. */
    boolean isIn(Disc disc) {
      double dx = Math.abs(disc.x - x) + width / 2;
      double dy = Math.abs(disc.y - y) + height / 2;
      return Math.hypot(dx, dy) < disc.radius - GAP;
    }

    boolean isIn(Box room) {
      return Math.abs(x - room.x) <= (room.width - width) / 2
          && Math.abs(y - room.y) <= (room.height - height) / 2;
    }

    /** Where a straight line from the middle to {@code end} leaves it. */
    Point rimTowards(Point end) {
      double dx = end.x - x;
      double dy = end.y - y;
      double share =
          Math.min(
              width / 2 / Math.max(1e-6, Math.abs(dx)), height / 2 / Math.max(1e-6, Math.abs(dy)));
      return new Point(x + dx * Math.min(1, share), y + dy * Math.min(1, share));
    }

    /** Whether the straight line from a to b goes through it. */
    boolean isCrossedBy(double ax, double ay, double bx, double by) {
      double from = 0;
      double to = 1;
      double[] start = {ax - x, ay - y};
      double[] way = {bx - ax, by - ay};
      double[] half = {width / 2 + GAP, height / 2 + GAP};
      for (int k = 0; k < 2; k++) {
        if (way[k] == 0) {
          if (Math.abs(start[k]) > half[k]) {
            return false;
          }
        } else {
          double first = (-half[k] - start[k]) / way[k];
          double second = (half[k] - start[k]) / way[k];
          from = Math.max(from, Math.min(first, second));
          to = Math.min(to, Math.max(first, second));
        }
      }
      return from < to;
    }
  }

  /** A body, or what of one is in the way. */
  record Disc(double x, double y, double radius) {}

  /** A point of a body that a leader may end on. */
  record Point(double x, double y) {}

  private record Leader(Box box, Point end) {}

  private final Box room;
  private final ToDoubleFunction<Box> intoDrawn;
  private final List<Box> taken = new ArrayList<>();
  private final List<Leader> leaders = new ArrayList<>();

  /**
   * Places in {@code room}.
   *
   * @param intoDrawn how far a box has to move at least, whichever way, to be clear of all that is
   *     drawn, or is taken there by the crank; 0 where it is clear
   */
  TagPlaces(Box room, ToDoubleFunction<Box> intoDrawn) {
    this.room = room;
    this.intoDrawn = intoDrawn;
  }

  /** Something stands there already. */
  void take(Box box) {
    taken.add(box);
  }

  /**
   * A place on a wheel.
   *
   * @param web all within the roots of its teeth
   * @param innermost radius below which it is covered, or its shaft goes through
   * @param front what is drawn over it
   */
  Optional<Box> onWeb(Disc web, double innermost, List<Disc> front, Box size) {
    Disc shaft = new Disc(web.x, web.y, innermost);
    double middle = (innermost + web.radius) / 2;
    for (int k = 0; k < ANGLES; k++) {
      // First below the shaft: there the mark does not stand.
      int aside = (k % 2 == 0 ? 1 : -1) * ((k + 1) / 2);
      double angle = Math.PI / 2 + 2 * Math.PI * aside / ANGLES;
      Box box =
          new Box(
              web.x + middle * Math.cos(angle),
              web.y + middle * Math.sin(angle),
              size.width,
              size.height);
      if (box.isIn(web)
          && !box.meets(shaft)
          && box.isIn(room)
          && front.stream().noneMatch(box::meets)
          && isFree(box)) {
        taken.add(box);
        return Optional.of(box);
      }
    }
    return Optional.empty();
  }

  /** The nearest place to one of {@code ends} that is clear of all that is drawn. */
  Optional<Box> outside(List<Point> ends, Box size) {
    Leader best = null;
    double nearest = Double.MAX_VALUE;
    for (Point end : ends) {
      for (int ray = 0; ray < RAYS; ray++) {
        double dx = Math.cos(2 * Math.PI * ray / RAYS);
        double dy = Math.sin(2 * Math.PI * ray / RAYS);
        double most = Math.min(nearest, room.width + room.height);
        for (double r = STEP; r < most; r += STEP) {
          Box box = new Box(end.x + r * dx, end.y + r * dy, size.width, size.height);
          if (!isWithinReach(box)) {
            break;
          }
          double into = intoDrawn.applyAsDouble(box);
          if (into > 0) {
            // No step before that is clear.
            r += STEP * (Math.ceil(into / STEP) - 1);
            continue;
          }
          Leader leader = new Leader(box, end);
          if (box.isIn(room) && isFree(leader)) {
            nearest = r;
            best = leader;
            break;
          }
        }
      }
    }
    if (best == null) {
      return Optional.empty();
    }
    taken.add(best.box);
    leaders.add(best);
    return Optional.of(best.box);
  }

  private boolean isWithinReach(Box box) {
    return Math.abs(box.x - room.x) <= room.width / 2
        && Math.abs(box.y - room.y) <= room.height / 2;
  }

  private boolean isFree(Box box) {
    return taken.stream().noneMatch(box::meets)
        && leaders.stream().noneMatch(l -> box.isCrossedBy(l.box.x, l.box.y, l.end.x, l.end.y));
  }

  private boolean isFree(Leader leader) {
    Box box = leader.box;
    return isFree(box)
        && taken.stream()
            .noneMatch(other -> other.isCrossedBy(box.x, box.y, leader.end.x, leader.end.y));
  }

  /** The end among {@code ends} that is nearest to {@code box}. */
  static Point nearest(List<Point> ends, Box box) {
    Point best = ends.getFirst();
    for (Point end : ends) {
      if (Math.hypot(end.x - box.x, end.y - box.y) < Math.hypot(best.x - box.x, best.y - box.y)) {
        best = end;
      }
    }
    return best;
  }
}
