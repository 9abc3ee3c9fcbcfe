package steadycog.shape;

import java.util.Optional;
import steadycog.train.MemberId;

/** A member where it stands in the face view, marks at twelve o'clock. */
public sealed interface Placed
    permits PlacedWheel, PlacedCarrier, PlacedPlate, PlacedFlex, PlacedCone {

  MemberId id();

  /** Which of several equal bodies of one member, from 0. */
  default int copy() {
    return 0;
  }

  /** Members with one number share an axis. */
  int axis();

  /** Members with one number lie side by side; higher ones nearer to the eye. */
  int plane();

  /** Of the axis, in modules. */
  double x();

  /** Of the axis, in modules, up. */
  double y();

  /** Radius of all that turns with it, in modules. */
  double bodyRadius();

  /** The carrier that takes this axis round with it; empty for an axis that stands still. */
  Optional<Orbit> orbit();

  /** Where the middle stands about which it is taken round, or its own axis, in modules. */
  default double middleX() {
    return orbit().map(Orbit::x).orElse(x());
  }

  default double middleY() {
    return orbit().map(Orbit::y).orElse(y());
  }

  /** Radius about its middle of all that it sweeps, in modules. */
  default double sweptRadius() {
    return Math.hypot(x() - middleX(), y() - middleY()) + bodyRadius();
  }

  /** An axis taken round by a carrier whose own axis is at x, y, in modules. */
  record Orbit(MemberId carrier, double x, double y) {}
}
