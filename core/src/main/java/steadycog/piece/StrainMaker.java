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
import steadycog.train.StrainWave;
import steadycog.train.Train;

/** Generator, flexspline and circular spline. */
final class StrainMaker extends Maker {

  StrainMaker(Train train, FaceLayout layout, Levels levels, double chord) {
    super(train, layout, levels, chord);
  }

  List<Piece> of(StrainWave drive) {
    StrainGeometry geometry = new StrainGeometry(drive);
    Placed ring = placed(drive.circularId());
    Flexing flexing = Flexing.of(train, drive.flexId());
    double base = levels.from(ring.plane());
    Stand stand = Stand.at(ring.x() * moduleMm, ring.y() * moduleMm, base, 0);
    double width = width(drive.circularId());
    double m = train.moduleMm(drive.flexId());
    double inside = Drives.generatorDepth(geometry, geometry.boreDepth(m));
    Region generator = flexing.inside(inside, chord);
    add(
        drive.waveId(),
        name(drive.waveId()),
        "runs in the flexspline on a thin bearing",
        List.of(new Slab("", 0, width, bored(generator, stated(drive.waveId())))),
        stand);
    flexspline(drive, geometry, stand, width);
    Outline teeth =
        geometry
            .circularTeeth(Blank.thinning(train, drive.circularId(), StrainGeometry.FLANK_ANGLE))
            .scaled(m);
    add(
        drive.circularId(),
        ringName(drive.circularId()),
        "",
        ring(
            drive.circularId(),
            "",
            new Region(List.of(teeth), List.of()),
            geometry.circularRoot() * m,
            geometry.circularBody() * m,
            0,
            0,
            width),
        stand);
    return all;
  }

  private void flexspline(StrainWave drive, StrainGeometry geometry, Stand stand, double width) {
    double thinning = Blank.thinning(train, drive.flexId(), StrainGeometry.FLANK_ANGLE);
    FlexTube made = FlexTube.of(train, drive);
    Region inside = Region.disc(made.bore());
    Region outside = Region.disc(made.bore() + made.wall());
    Region teeth =
        inside.within(
            new Region(
                List.of(geometry.flexRound(thinning).scaled(train.moduleMm(drive.flexId()))),
                List.of()));
    boolean cup = drive.sizes().mount() == StrainWave.Mount.CUP;
    Region closed =
        cup
            ? bored(outside, stated(drive.flexId()))
            : inside.within(Region.disc(made.bore() + made.wall() + made.flange()));
    double floor = made.floor();
    double neck = made.below();
    add(
        new Piece(
            drive.flexId(),
            name(drive.flexId()),
            "as made, round; its wall of " + mm(made.wall()) + " bends",
            List.of(
                new Slab(cup ? "bottom" : "flange", 0, floor, closed),
                new Slab("tube", floor, neck, inside.within(outside)),
                new Slab(Piece.TEETH, neck, neck + width, teeth)),
            List.of(Stand.at(stand.x(), stand.y(), stand.z() - neck, 0)),
            Optional.empty(),
            List.of(Flexing.of(train, drive.flexId()).bent(0, 0, chord)),
            Optional.empty()));
  }

  private static String mm(double length) {
    return Figures.significant(length, 3) + " mm";
  }
}
