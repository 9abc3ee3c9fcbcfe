package steadycog.shape;

import steadycog.train.MemberId;
import steadycog.train.Teeth;

/**
 * A wheel where it stands in the face view, marks at twelve o'clock and teeth in mesh.
 *
 * @param axis wheels of one number share an axis
 * @param plane wheels of one number lie side by side; higher ones nearer to the eye
 * @param x of the axis, in modules
 * @param y of the axis, in modules, up
 * @param phase angle of a tooth's (of a ring: a space's) centre-line, radians
 * @param bodyRadius of the whole wheel, a ring's rim included, in modules
 */
public record PlacedWheel(
    MemberId id,
    Teeth teeth,
    int axis,
    int plane,
    double x,
    double y,
    double phase,
    double bodyRadius) {

  /** A wheel with its first tooth pointing to the right. */
  static PlacedWheel of(MemberId id, Teeth teeth, int axis, int plane, double x, double y) {
    return new PlacedWheel(id, teeth, axis, plane, x, y, 0, GearOutline.bodyRadius(teeth));
  }

  public double distanceTo(PlacedWheel other) {
    return Math.hypot(x - other.x, y - other.y);
  }

  PlacedWheel withPhase(double turned) {
    return new PlacedWheel(id, teeth, axis, plane, x, y, turned, bodyRadius);
  }

  PlacedWheel at(double newX, double newY) {
    return new PlacedWheel(id, teeth, axis, plane, newX, newY, phase, bodyRadius);
  }
}
