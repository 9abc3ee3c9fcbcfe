package steadycog.shape;

import java.util.Optional;
import steadycog.train.MemberId;
import steadycog.train.Teeth;

/**
 * A wheel where it stands in the face view, marks at twelve o'clock and teeth in mesh.
 *
 * @param copy which of several equal wheels, from 0: planets are one member
 * @param cut profile shift and tips
 * @param bodyRadius of the whole wheel, a ring's rim included
 * @param hollow radius of what an external wheel goes round as a rim; 0 for any other
 * @param scale its own module over that of the train: lengths here are in modules of the train
 * @param phase angle of a tooth's (of a ring: a space's) centre-line, radians
 */
public record PlacedWheel(
    MemberId id,
    int copy,
    Teeth teeth,
    Cut cut,
    int axis,
    int plane,
    double x,
    double y,
    double phase,
    Optional<Orbit> orbit,
    double bodyRadius,
    double hollow,
    double scale)
    implements Placed {

  /** A wheel with its first tooth pointing to the right. */
  static PlacedWheel of(MemberId id, Teeth teeth, Cut cut, int axis, int plane, double scale) {
    return new PlacedWheel(
        id,
        0,
        teeth,
        cut,
        axis,
        plane,
        0,
        0,
        0,
        Optional.empty(),
        scale * GearOutline.bodyRadius(teeth, cut),
        0,
        scale);
  }

  /** Radius of the pitch circle. */
  public double pitchRadius() {
    return scale * teeth.count() / 2.0;
  }

  public double distanceTo(Placed other) {
    double dx = x - other.x();
    double dy = y - other.y();
    return Math.sqrt(dx * dx + dy * dy);
  }

  /** The toothed outline about the wheel's own axis, its reference to the right, in modules. */
  public Outline outline(Detail detail, double thinning) {
    return GearOutline.of(teeth, cut, detail, thinning).scaled(scale);
  }

  /** Radius of the tooth tips: of an internal wheel the innermost. */
  public double tipRadius() {
    return scale * GearOutline.tipRadius(teeth, cut);
  }

  public double rootRadius() {
    return scale * GearOutline.rootRadius(teeth, cut);
  }

  PlacedWheel withPhase(double turned) {
    return new PlacedWheel(
        id, copy, teeth, cut, axis, plane, x, y, turned, orbit, bodyRadius, hollow, scale);
  }

  /** The same wheel as a rim round a body of that radius. */
  PlacedWheel round(double radius) {
    return new PlacedWheel(
        id, copy, teeth, cut, axis, plane, x, y, phase, orbit, bodyRadius, radius, scale);
  }

  PlacedWheel at(double newX, double newY) {
    return new PlacedWheel(
        id, copy, teeth, cut, axis, plane, newX, newY, phase, orbit, bodyRadius, hollow, scale);
  }

  /** Copy {@code number} of this wheel, carried round the axis of {@code about}. */
  PlacedWheel carried(int number, Orbit about, Polar axisAt) {
    return new PlacedWheel(
        id,
        number,
        teeth,
        cut,
        axis,
        plane,
        about.x() + axisAt.x(),
        about.y() + axisAt.y(),
        phase,
        Optional.of(about),
        bodyRadius,
        hollow,
        scale);
  }
}
