package steadycog.app.geartable;

import java.util.ArrayList;
import java.util.List;

/** Finds a place on each wheel where its tag hides nothing and nothing hides it. */
final class TagPlaces {
  private static final int ANGLES = 24;
  private static final double GAP = 4;

  /** A disc in pixels; tags and wheels alike. */
  record Disc(double x, double y, double radius) {
    double clearance(double px, double py) {
      return Math.hypot(px - x, py - y) - radius;
    }
  }

  private final List<Disc> taken = new ArrayList<>();

  /**
   * The best centre for a tag.
   *
   * @param own the wheel
   * @param innermost radius below which the wheel is covered or hollow
   * @param outermost radius up to which it is solid
   * @param front discs drawn over this wheel
   */
  Disc place(Disc own, double innermost, double outermost, List<Disc> front, double tagRadius) {
    List<Disc> candidates = new ArrayList<>();
    if (innermost == 0) {
      candidates.add(new Disc(own.x, own.y, tagRadius));
    }
    double room = outermost - innermost;
    double middle = innermost + room / 2;
    for (int k = 0; k < ANGLES; k++) {
      double angle = 2 * Math.PI * k / ANGLES + Math.PI / 4;
      candidates.add(
          new Disc(own.x + middle * Math.cos(angle), own.y + middle * Math.sin(angle), tagRadius));
    }
    Disc best = candidates.getFirst();
    double most = -Double.MAX_VALUE;
    for (Disc candidate : candidates) {
      double clearance = Math.min(GAP, clearance(candidate, front));
      if (clearance > most) {
        most = clearance;
        best = candidate;
      }
    }
    taken.add(best);
    return best;
  }

  /** A tag in the middle of {@code own}, whatever it covers. */
  Disc take(Disc own, double tagRadius) {
    Disc place = new Disc(own.x, own.y, tagRadius);
    taken.add(place);
    return place;
  }

  private double clearance(Disc tag, List<Disc> front) {
    double least = Double.MAX_VALUE;
    for (Disc disc : front) {
      least = Math.min(least, disc.clearance(tag.x, tag.y) - tag.radius);
    }
    for (Disc disc : taken) {
      least = Math.min(least, disc.clearance(tag.x, tag.y) - tag.radius);
    }
    return least;
  }
}
