package steadycog.piece;

/** Sides of outlines. */
public final class Side {
  private Side() {}

  /** The square of the distance of x, y from the side between two points, for asking often. */
  public static double squaredDistance(
      double x, double y, double ax, double ay, double bx, double by) {
    double dx = bx - ax;
    double dy = by - ay;
    double along = (x - ax) * dx + (y - ay) * dy;
    double length = dx * dx + dy * dy;
    double share = along <= 0 ? 0 : along >= length ? 1 : along / length;
    double px = ax + share * dx - x;
    double py = ay + share * dy - y;
    return px * px + py * py;
  }
}
