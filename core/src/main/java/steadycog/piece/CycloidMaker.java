package steadycog.piece;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region.Round;
import steadycog.shape.CycloidGeometry;
import steadycog.shape.FaceLayout;
import steadycog.shape.Outline;
import steadycog.shape.Placed;
import steadycog.shape.Polar;
import steadycog.train.Cycloidal;
import steadycog.train.MemberId;
import steadycog.train.Train;

/** Discs, pins, eccentric and output of a cycloidal drive. */
final class CycloidMaker extends Maker {

  /** A pin through split cams, as a share of the wall that is left for it. */
  private static final double DOWEL = 0.4;

  CycloidMaker(Train train, FaceLayout layout, Levels levels, double chord) {
    super(train, layout, levels, chord);
  }

  List<Piece> of(Cycloidal drive) {
    CycloidGeometry geometry = new CycloidGeometry(drive);
    Placed ring = placed(drive.ringId());
    double x = ring.x() * moduleMm;
    double y = ring.y() * moduleMm;
    double base = levels.from(ring.plane());
    Stand middle = Stand.at(x, y, base, 0);
    double width = width(drive.discId());
    int discs = drive.sizes().discs();
    eccentric(drive, geometry, middle);
    for (int k = 0; k < discs; k++) {
      double off = geometry.eccentricity();
      double angle = geometry.discAngle(k);
      boolean several = discs > 1;
      add(
          drive.discId(),
          name(drive.discId()) + (several ? " " + (k + 1) : ""),
          several ? "of " + discs + (k == 0 ? "" : ", lobes turned against its holes") : "",
          List.of(new Slab("", 0, width, disc(drive, geometry, k))),
          new Stand(
              x + off * Math.cos(angle),
              y + off * Math.sin(angle),
              base + k * width,
              0,
              Optional.of(new Piece.Orbit(drive.eccentricId(), x, y))),
          looped(geometry));
    }
    output(drive, geometry, Stand.at(x, y, base - plate(drive.ringId()), 0));
    add(
        drive.ringId(),
        ringName(drive.ringId()),
        drive.pins() + " pins in one with it",
        ring(
            drive.ringId(),
            "",
            opening(geometry),
            geometry.wallRadius(),
            geometry.ringRadius(),
            0,
            0,
            discs * width),
        middle);
    return all;
  }

  /** From K = 1 on the path of a pin has loops: whatever is left inside them is no disc. */
  private static Optional<String> looped(CycloidGeometry geometry) {
    return geometry.shortening() < 1
        ? Optional.empty()
        : Optional.of(
            String.format(
                Locale.ROOT,
                "with K = e Z / Rp = %.3f the path of a pin has loops, and K must be below 1",
                geometry.shortening()));
  }

  private Region disc(Cycloidal drive, CycloidGeometry geometry, int k) {
    double off = Blank.flankMm(train, drive.discId());
    Outline lobes = geometry.disc(chord, off).placed(geometry.discPhase(k), 0, 0);
    List<Round> holes = new ArrayList<>();
    holes.add(new Round(0, 0, geometry.boreRadius() + room / 2));
    for (Polar pin : geometry.outputPins()) {
      holes.add(round(pin, 1, geometry.holeRadius() + room / 2));
    }
    return new Region(List.of(lobes), List.of()).minus(new Region(List.of(), holes), chord);
  }

  /** What the pins leave open inside the wall. */
  private Region opening(CycloidGeometry geometry) {
    List<Geometry> pins = new ArrayList<>();
    for (Polar pin : geometry.pins()) {
      pins.add(Region.polygon(round(pin, 1, geometry.pinRadius()).outline(chord)));
    }
    Geometry wall = Region.polygon(geometry.wall(chord));
    return Region.of(Region.overlay(wall, UnaryUnionOp.union(pins), OverlayNG.DIFFERENCE));
  }

  /** A cam a disc, on a hole for the shaft: in one piece where discs can be put over it so. */
  private void eccentric(Cycloidal drive, CycloidGeometry geometry, Stand stand) {
    double off = geometry.eccentricity();
    double width = width(drive.discId());
    double cam = geometry.boreRadius();
    Region hole = stated(drive.eccentricId());
    if (hole.isEmpty()) {
      hole = Region.disc(geometry.usualShaft() / 2);
    }
    MemberId id = drive.eccentricId();
    List<Slab> slabs = new ArrayList<>();
    int discs = drive.sizes().discs();
    for (int k = 0; k < discs; k++) {
      double angle = geometry.discAngle(k);
      Round round = new Round(off * Math.cos(angle), off * Math.sin(angle), cam);
      Region body = bored(new Region(List.of(), List.of(round)), hole);
      if (geometry.camsInOnePiece()) {
        String name = discs > 1 ? "cam " + (k + 1) : "";
        slabs.add(new Slab(name, k * width, (k + 1) * width, body));
      } else {
        Stand here = Stand.at(stand.x(), stand.y(), stand.z() + k * width, 0);
        String name = name(id) + " cam " + (k + 1);
        List<Slab> split =
            List.of(new Slab("", 0, width, body.minus(dowel(geometry, hole.bounds()[2]), chord)));
        add(
            id,
            name,
            "of " + discs + ", put in with its disc; a pin holds them together",
            split,
            here);
      }
    }
    if (!slabs.isEmpty()) {
      add(id, name(id), "", slabs, stand);
    }
  }

  /** The hole of the pin that keeps split cams from turning on each other. */
  private static Region dowel(CycloidGeometry geometry, double inner) {
    double outer = geometry.boreRadius() - geometry.eccentricity();
    double radius = DOWEL * Math.max(0, outer - inner) / 2;
    return radius <= 0
        ? Region.none()
        : new Region(List.of(), List.of(new Round(-(inner + outer) / 2, 0, radius)));
  }

  /** The plate whose pins go through the discs. */
  private void output(Cycloidal drive, CycloidGeometry geometry, Stand stand) {
    double height = drive.sizes().discs() * width(drive.discId());
    double radius = geometry.outputPlateRadius();
    List<Round> pins = new ArrayList<>();
    for (Polar pin : geometry.outputPins()) {
      pins.add(round(pin, 1, geometry.outputPinRadius()));
    }
    add(
        drive.discId(),
        name(drive.discId()) + " output",
        "its pins go through the holes",
        List.of(
            new Slab("plate", 0, plate(drive.ringId()), Region.disc(radius)),
            new Slab(
                "pins",
                plate(drive.ringId()),
                plate(drive.ringId()) + height,
                new Region(List.of(), pins))),
        stand);
  }
}
