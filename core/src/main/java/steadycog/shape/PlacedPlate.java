package steadycog.shape;

import java.util.List;
import java.util.Optional;
import steadycog.train.MemberId;

/**
 * A member of a drive without involute teeth where it stands in the face view: material between
 * closed lines, and round studs on it.
 *
 * @param copy which of several equal plates, from 0: the discs of a drive are one member
 * @param lines closed lines about the body's axis; material lies where an odd number of them and of
 *     {@code circles} goes round
 * @param circles the same for circles
 * @param studs pins that stand on the body; of a disc the output pins, which go round its drive's
 *     axis instead of its own
 * @param markRadius outer end of the mark, in modules
 */
public record PlacedPlate(
    MemberId id,
    Kind kind,
    int copy,
    int axis,
    int plane,
    double x,
    double y,
    Optional<Orbit> orbit,
    double bodyRadius,
    List<Outline> lines,
    List<Circle> circles,
    List<Circle> studs,
    double markRadius)
    implements Placed {

  /** What it is. */
  public enum Kind {
    /** A ring with pins inside. */
    PIN_RING,
    /** A disc with lobes, holes, and output pins through them. */
    DISC,
    /** A shaft with an eccentric on it. */
    ECCENTRIC,
    /** A rigid ring with short teeth inside. */
    CIRCULAR_SPLINE,
    /** The cam that presses a flexspline out of round. */
    GENERATOR,
    /** The gear on the cross shaft of a right-angle pair, its face to the eye. */
    CROWN,
    /** A side gear of a differential. */
    SIDE,
    /** The case that carries a differential's spiders. */
    CASE,
    /** A shaft without teeth. */
    SHAFT
  }

  /** A circle about a point of the body, in modules. */
  public record Circle(double x, double y, double radius) {}

  public PlacedPlate {
    lines = List.copyOf(lines);
    circles = List.copyOf(circles);
    studs = List.copyOf(studs);
  }
}
