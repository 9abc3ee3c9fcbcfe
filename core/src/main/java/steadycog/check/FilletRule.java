package steadycog.check;

import java.util.Optional;
import steadycog.number.Measured;
import steadycog.shape.Fillet;
import steadycog.shape.PairGeometry;
import steadycog.sizing.MeshFigures;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;

/**
 * Tips that work on the fillet of their mate take of the play what the fillet stands out from the
 * involute; where that is more than there is, they bind (Litvin &amp; Fuentes; ISO 21771).
 */
final class FilletRule extends PairRule {
  /** Less than this disappears in any play, modules. */
  private static final double FILM = 0.005;

  @Override
  Optional<Finding> check(Train train, Mesh mesh) {
    PairGeometry pair = PairGeometry.in(train, mesh);
    boolean judgedElsewhere =
        !pair.runs()
            || (mesh.internal()
                ? pair.gear() <= pair.pinion() || !pair.internalClear()
                : pair.interferenceMargin() < 0);
    if (judgedElsewhere) {
      return Optional.empty();
    }
    Fillet pinion = Fillet.onPinion(pair);
    Fillet gear = Fillet.onGear(pair);
    boolean small = pinion.margin() <= gear.margin();
    Fillet worse = small ? pinion : gear;
    return worse.margin() < 0
        ? Optional.of(finding(train, mesh, worse, small ? mesh.pinion() : mesh.gear()))
        : Optional.empty();
  }

  private static Finding finding(Train train, Mesh mesh, Fillet fillet, MemberId wheel) {
    Optional<MeshFigures> figures = MeshFigures.of(train, mesh);
    double play = figures.map(MeshFigures::play).orElse(0.0);
    double module = figures.map(MeshFigures::moduleMm).orElse(1.0);
    boolean stated = train.isSized() && play > FILM * module;
    boolean binds = stated && fillet.excess() * module > play;
    Finding finding =
        finding("fillet", binds ? Severity.WARNING : Severity.NOTE, mesh)
            .with("wheel", wheel)
            .with("mate", mesh.other(wheel))
            .with("margin", rounded(fillet.margin(), 3))
            .with("excess", PlanetaryRule.length(train, wheel, fillet.excess(), 3));
    if (fillet.excess() < FILM) {
      return finding.judged(Severity.OK).worded("hardly");
    }
    return stated
        ? finding.with("play", Measured.mm(play, 3)).worded(binds ? "binds" : "within")
        : finding;
  }
}
