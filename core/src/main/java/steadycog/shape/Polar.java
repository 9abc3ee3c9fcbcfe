package steadycog.shape;

/** A point about the carrier's axis: radius in modules, angle in radians from the right. */
public record Polar(double radius, double angle) {
  double x() {
    return radius * Math.cos(angle);
  }

  double y() {
    return radius * Math.sin(angle);
  }
}
