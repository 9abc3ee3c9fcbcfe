package steadycog.sizing;

import java.util.Optional;
import steadycog.piece.Blank;
import steadycog.shape.PairGeometry;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;

/**
 * How one pair of involute wheels runs, mm (ISO 21771).
 *
 * @param pair its geometry in modules
 * @param standard centre distance without shift
 * @param distance centre distance at which it runs
 * @param play between flanks, at right angles to them: by centre distance, clearance and offsets;
 *     negative where they bind; not a number where the axes stand too near for any flank to lie on
 *     another
 * @param tipClearance least room between tips and roots
 */
public record MeshFigures(
    Mesh mesh,
    PairGeometry pair,
    double moduleMm,
    double standard,
    double distance,
    double play,
    double tipClearance) {
  /** Flanks that overlap by less than this only touch: less than any process leaves, mm. */
  private static final double FILM_MM = 0.002;

  static final double ARC_MINUTES = 60 * 180 / Math.PI;

  /** The figures of a mesh; empty for contact of other kinds, and where no such pair can run. */
  public static Optional<MeshFigures> of(Train train, Mesh mesh) {
    if (!train.partOf(mesh.a()).involute()) {
      return Optional.empty();
    }
    PairGeometry pair = PairGeometry.in(train, mesh);
    int sign = mesh.internal() ? -1 : 1;
    double both = pair.gear() + sign * pair.pinion();
    if (both <= 0) {
      return Optional.empty();
    }
    double module = train.moduleMm(mesh.a());
    double flanks = flank(train, mesh.a()) + flank(train, mesh.b());
    return Optional.of(
        new MeshFigures(
            mesh,
            pair,
            module,
            both * module / 2,
            pair.centreDistance() * module,
            pair.runs() ? pair.play() * module + 2 * flanks : Double.NaN,
            pair.tipClearance() * module));
  }

  private static double flank(Train train, MemberId wheel) {
    return Blank.flankMm(train, wheel);
  }

  /** Whether the teeth as made would have to be in one place; false where no such pair runs. */
  public boolean overlaps() {
    return play < -FILM_MM;
  }

  /** Working pressure angle, degrees. */
  public double workingAngle() {
    return Math.toDegrees(pair.working());
  }

  public double contactRatio() {
    return pair.contactRatio();
  }

  /** Play along the working pitch circles. */
  public double playAround() {
    return play / Math.cos(pair.working());
  }

  /** How far {@code wheel} can be turned while its mate stands, arc minutes. */
  public double playAt(MemberId wheel) {
    return playAround() / workingRadius(wheel) * ARC_MINUTES;
  }

  /** Radius of the working pitch circle of {@code wheel}, one of the two. */
  public double workingRadius(MemberId wheel) {
    double radius =
        wheel.equals(mesh.pinion()) ? pair.pinionWorkingRadius() : pair.gearWorkingRadius();
    return radius * moduleMm;
  }
}
