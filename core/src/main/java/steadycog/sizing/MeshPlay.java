package steadycog.sizing;

import java.util.List;
import java.util.Optional;
import steadycog.piece.Blank;
import steadycog.shape.TipPath;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Sizes;
import steadycog.train.Tolerance;
import steadycog.train.Tolerance.Limits;
import steadycog.train.Train;

/**
 * The play of a mesh as its teeth are made, mm.
 *
 * @param lost what tips take of it that work on fillets, at right angles to the flanks; 0 where
 *     none do
 * @param around along the working pitch circles, with what tolerances make of it: two tan aw times
 *     the deviation of the centre distance, less those of both tooth thicknesses
 */
public record MeshPlay(MeshFigures figures, double lost, Band around) {

  /** Cost: some thousand points of outlines where the pair has play. */
  public static MeshPlay of(Train train, MeshFigures figures) {
    double lost = lost(train, figures);
    double nominal =
        figures.playAround()
            - lost / figures.winding().baseCosine() / Math.cos(figures.pair().working());
    Mesh mesh = figures.mesh();
    MemberId a = train.partOf(mesh.a()).body(mesh.a());
    MemberId b = train.partOf(mesh.b()).body(mesh.b());
    Sizes sizes = train.sizes();
    Limits centre = sizes.tolerance(a, b, Tolerance.Of.CENTRE);
    Limits thick = sizes.tolerance(a, b, Tolerance.Of.THICKNESS);
    int apart = mesh.internal() ? -1 : 1;
    Band band =
        Band.of(nominal)
            .with(
                centre.aboveMm(), centre.belowMm(), apart * 2 * Math.tan(figures.pair().working()))
            .with(thick.aboveMm(), thick.belowMm(), -1)
            .with(thick.aboveMm(), thick.belowMm(), -1);
    return new MeshPlay(figures, lost, band);
  }

  private static double lost(Train train, MeshFigures figures) {
    if (!figures.pair().runs() || !(figures.play() > 0)) {
      return 0;
    }
    Mesh mesh = figures.mesh();
    double angle =
        TipPath.play(
            figures.pair(),
            Blank.thinning(train, mesh.pinion(), angleOf(figures)),
            Blank.thinning(train, mesh.gear(), angleOf(figures)));
    double base =
        figures.pair().pinion()
            / 2
            * Math.cos(angleOf(figures))
            * figures.moduleMm()
            * figures.winding().baseCosine();
    return Math.max(0, figures.play() - Math.max(0, angle * base));
  }

  private static double angleOf(MeshFigures figures) {
    return figures.pair().pinionCut().rack().pressureAngle();
  }

  /** At right angles to the flanks. */
  public double play() {
    return figures.play() - lost;
  }

  /** How far {@code wheel} can be turned while its mate stands, arc minutes. */
  public double minutes(MemberId wheel) {
    return minutesBand(wheel).nominal();
  }

  Band minutesBand(MemberId wheel) {
    return around.times(MeshFigures.ARC_MINUTES / figures.workingRadius(wheel));
  }

  static Optional<MeshPlay> of(List<MeshPlay> all, Mesh mesh) {
    return all.stream().filter(one -> one.figures.mesh().equals(mesh)).findFirst();
  }
}
