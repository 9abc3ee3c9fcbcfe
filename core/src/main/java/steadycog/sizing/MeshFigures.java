package steadycog.sizing;

import java.util.Optional;
import steadycog.piece.Blank;
import steadycog.shape.PairGeometry;
import steadycog.train.Helices;
import steadycog.train.Helix;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;

/**
 * How one pair of involute wheels runs, mm (ISO 21771).
 *
 * @param pair its geometry in the plane of rotation, in modules of that plane
 * @param moduleMm of that plane
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
    Winding winding,
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
    Winding winding = Winding.of(train, mesh);
    double flanks = flank(train, mesh.a()) + flank(train, mesh.b());
    return Optional.of(
        new MeshFigures(
            mesh,
            pair,
            module,
            winding,
            both * module / 2,
            pair.centreDistance() * module,
            pair.runs() ? pair.play() * module * winding.baseCosine() + 2 * flanks : Double.NaN,
            pair.tipClearance() * module));
  }

  private static double flank(Train train, MemberId wheel) {
    return Blank.flankMm(train, wheel);
  }

  /**
   * How the teeth of a pair wind.
   *
   * @param helix of the pinion
   * @param normalModule module at right angles to the teeth, mm
   * @param face that both have in common, of a herringbone one of its halves, mm
   * @param baseCosine cosine of the helix angle at the base cylinders
   */
  public record Winding(Helix helix, double normalModule, double face, double baseCosine) {
    static Winding of(Train train, Mesh mesh) {
      Helix helix = Helices.of(train, mesh.pinion());
      double face =
          helix.oneHand(Math.min(Blank.widthMm(train, mesh.a()), Blank.widthMm(train, mesh.b())));
      return new Winding(
          helix,
          Helices.normalModuleMm(train, mesh.a()),
          face,
          Helices.baseCosine(train, mesh.a()));
    }

    /** The narrowest face of a wheel that an overlap of 1 needs, mm. */
    public double faceNeeded() {
      double one = Math.PI * normalModule / Math.sin(helix.radians());
      return helix.isDouble() ? 2 * one + helix.grooveMm() : one;
    }

    /** Overlap ratio: the face over the axial pitch, b sin b / (pi mn) (ISO 21771). */
    public double overlap() {
      return helix.isStraight() ? 0 : face * Math.sin(helix.radians()) / (Math.PI * normalModule);
    }
  }

  /** Transverse contact ratio and overlap together. */
  public double totalContactRatio() {
    return contactRatio() + winding.overlap();
  }

  /** Play along the axes; not a number of straight teeth, which have any. */
  public double axialPlay() {
    return winding.helix.isStraight()
        ? Double.NaN
        : playAround()
            * pair.pinion()
            / 2
            / pair.pinionWorkingRadius()
            / Math.tan(winding.helix.radians());
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

  /** Play along the working pitch circles, in the plane of rotation. */
  public double playAround() {
    return play / winding.baseCosine / Math.cos(pair.working());
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
