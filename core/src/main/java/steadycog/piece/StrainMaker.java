package steadycog.piece;

import java.util.List;
import java.util.Optional;
import steadycog.number.Figures;
import steadycog.piece.Piece.Stand;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.shape.Outline;
import steadycog.shape.Placed;
import steadycog.shape.StrainGeometry;
import steadycog.train.MemberId;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/** Generator, flexspline and circular spline. */
final class StrainMaker extends Maker {

  StrainMaker(Train train, FaceLayout layout, double chord) {
    super(train, layout, chord);
  }

  List<Piece> of(StrainWave drive) {
    StrainGeometry geometry = new StrainGeometry(drive);
    Placed ring = placed(drive.circularId());
    Stand stand = new Stand(ring.x() * moduleMm, ring.y() * moduleMm, 0);
    double width = blank(drive.circularId()).widthMm();
    double inside = Drives.generatorDepth(geometry, geometry.boreDepth(moduleMm));
    Outline cam = geometry.inside(Math.PI / 2, 1, inside, generatorPoints(geometry));
    Region generator = new Region(List.of(cam.scaled(moduleMm)), List.of());
    add(
        drive.waveId(),
        name(drive.waveId()),
        "runs in the flexspline on a thin bearing",
        List.of(new Slab("", 0, width, generator.with(stated(drive.waveId())))),
        stand);
    flexspline(drive, geometry, stand, width);
    Outline teeth = geometry.circularTeeth(thinning(drive.circularId())).scaled(moduleMm);
    Region body =
        new Region(List.of(teeth), List.of()).with(Region.disc(geometry.circularBody() * moduleMm));
    add(
        drive.circularId(),
        name(drive.circularId()),
        "",
        List.of(new Slab("", 0, width, body)),
        stand);
    return all;
  }

  private int generatorPoints(StrainGeometry geometry) {
    return Math.max(180, Region.corners(geometry.circularRadius() * moduleMm, chord));
  }

  /** Straight flanks lean by 30 degrees: what is taken off them shows more along the pitch line. */
  private double thinning(MemberId member) {
    return blank(member).flankMm() / moduleMm / Math.cos(StrainGeometry.FLANK_ANGLE);
  }

  private void flexspline(StrainWave drive, StrainGeometry geometry, Stand stand, double width) {
    double thinning = thinning(drive.flexId());
    double depth = geometry.boreDepth(moduleMm);
    double bore = (geometry.flexRadius() - depth) * moduleMm;
    double wall = geometry.wall(moduleMm) * moduleMm;
    Region teeth =
        new Region(List.of(geometry.flexRound(thinning).scaled(moduleMm)), List.of())
            .with(Region.disc(bore));
    double tube = Math.max(width, bore);
    boolean cup = drive.sizes().mount() == StrainWave.Mount.CUP;
    Region closed =
        cup
            ? Region.disc(bore + wall).with(stated(drive.flexId()))
            : Region.disc(bore + wall + plate(drive.flexId())).with(Region.disc(bore));
    Region running =
        new Region(
            List.of(
                geometry.flexInMesh(Math.PI / 2, 1, thinning).scaled(moduleMm),
                geometry.inside(Math.PI / 2, 1, depth, generatorPoints(geometry)).scaled(moduleMm)),
            List.of());
    double floor = Math.max(wall, plate(drive.flexId()) / 2);
    all.add(
        new Piece(
            drive.flexId(),
            name(drive.flexId()),
            "as made, round; its wall of " + mm(wall) + " bends",
            List.of(
                new Slab(cup ? "bottom" : "flange", 0, floor, closed),
                new Slab(
                    "tube", floor, floor + tube, Region.disc(bore + wall).with(Region.disc(bore))),
                new Slab("teeth", floor + tube, floor + tube + width, teeth)),
            List.of(stand),
            Optional.empty(),
            List.of(running)));
  }

  private static String mm(double length) {
    return Figures.significant(length, 3) + " mm";
  }
}
