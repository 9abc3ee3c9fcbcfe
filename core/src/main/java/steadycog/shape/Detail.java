package steadycog.shape;

import java.util.List;
import steadycog.shape.ToothProfile.Point;
import steadycog.train.Teeth;

/**
 * How finely an outline is drawn.
 *
 * @param flank points along one involute flank, at least 2
 * @param fillet points along one root fillet, at least 1
 * @param tip points inside the arc between the two sides of a tooth
 * @param root points inside the arc between one tooth and the next
 */
public record Detail(int flank, int fillet, int tip, int root) {
  public static final Detail FINE = new Detail(9, 6, 1, 0);
  public static final Detail MEDIUM = new Detail(4, 3, 1, 0);
  public static final Detail COARSE = new Detail(2, 1, 1, 0);

  private static final int MOST_FLANK = 129;
  private static final int MOST_FILLET = 48;
  private static final int MOST_LAND = 64;

  /**
   * The detail at which no chord of a wheel's outline leaves the true line by more than {@code
   * chord}, in modules, as far as {@value #MOST_FLANK} points a flank allow.
   */
  public static Detail within(Teeth teeth, Cut cut, double chord) {
    return within(teeth.count(), teeth.internal(), cut, chord);
  }

  /** The same of a count that need not be whole. */
  static Detail within(double count, boolean internal, Cut cut, double chord) {
    int flank = 3;
    int fillet = 3;
    while (flank < MOST_FLANK && flankSag(count, internal, cut, flank) > chord) {
      flank = 2 * flank - 1;
    }
    while (fillet < MOST_FILLET && filletSag(count, internal, cut, fillet) > chord) {
      fillet *= 2;
    }
    List<Point> side = GearOutline.side(count, internal, cut, new Detail(flank, fillet, 0, 0), 0);
    double pitch = Math.PI / count;
    Point outer = side.getLast();
    Point inner = side.getFirst();
    return new Detail(
        flank,
        fillet,
        land(outer.radius(), outer.angle(), chord),
        land(inner.radius(), pitch - inner.angle(), chord));
  }

  /** Points inside an arc of twice {@code half} at {@code radius}. */
  private static int land(double radius, double half, double chord) {
    for (int points = 0; points < MOST_LAND; points++) {
      if (radius * (1 - Math.cos(Math.abs(half) / (points + 1))) <= chord) {
        return points;
      }
    }
    return MOST_LAND;
  }

  private static double flankSag(double count, boolean internal, Cut cut, int flank) {
    return sag(
        GearOutline.side(count, internal, cut, new Detail(flank, 1, 0, 0), 0),
        GearOutline.side(count, internal, cut, new Detail(2 * flank - 1, 1, 0, 0), 0));
  }

  private static double filletSag(double count, boolean internal, Cut cut, int fillet) {
    return sag(
        GearOutline.side(count, internal, cut, new Detail(2, fillet, 0, 0), 0),
        GearOutline.side(count, internal, cut, new Detail(2, 2 * fillet, 0, 0), 0));
  }

  /** The largest distance of a point of {@code fine} from the line through {@code coarse}. */
  private static double sag(List<Point> coarse, List<Point> fine) {
    double most = 0;
    for (Point point : fine) {
      double least = Double.MAX_VALUE;
      for (int k = 1; k < coarse.size(); k++) {
        least = Math.min(least, point.distanceTo(coarse.get(k - 1), coarse.get(k)));
      }
      most = Math.max(most, least);
    }
    return most;
  }
}
