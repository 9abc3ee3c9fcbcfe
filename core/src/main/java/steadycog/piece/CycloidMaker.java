package steadycog.piece;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region.Round;
import steadycog.shape.CycloidGeometry;
import steadycog.shape.FaceLayout;
import steadycog.shape.Outline;
import steadycog.shape.Placed;
import steadycog.shape.PlanetGeometry.Polar;
import steadycog.train.Cycloidal;
import steadycog.train.Train;

/** Discs, pins, eccentric and output of a cycloidal drive. */
final class CycloidMaker extends Maker {
  private static final double FLANGE_RIM = 1.6;
  private static final int FEWEST_LOBE_POINTS = 24;
  private static final int MOST_LOBE_POINTS = 400;

  CycloidMaker(Train train, FaceLayout layout, double chord) {
    super(train, layout, chord);
  }

  List<Piece> of(Cycloidal drive) {
    CycloidGeometry geometry = new CycloidGeometry(drive);
    Placed ring = placed(drive.ringId());
    double x = ring.x() * moduleMm;
    double y = ring.y() * moduleMm;
    double width = blank(drive.discId()).widthMm();
    int discs = drive.sizes().discs();
    eccentric(drive, geometry, new Stand(x, y, 0));
    for (int k = 0; k < discs; k++) {
      double off = geometry.eccentricity();
      double angle = geometry.discAngle(k);
      boolean several = discs > 1;
      add(
          drive.discId(),
          name(drive.discId()) + (several ? " " + (k + 1) : ""),
          several ? "of " + discs + (k == 0 ? "" : ", lobes turned against its holes") : "",
          List.of(new Slab("", 0, width, disc(drive, geometry, k))),
          new Stand(x + off * Math.cos(angle), y + off * Math.sin(angle), 0),
          looped(geometry));
    }
    output(drive, geometry, new Stand(x, y, 0));
    double outer = ring.bodyRadius() * moduleMm;
    add(
        drive.ringId(),
        name(drive.ringId()),
        drive.pins() + " pins in one with it",
        List.of(new Slab("", 0, discs * width, pinRing(geometry, outer))),
        new Stand(x, y, 0));
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
    double around = 2 * Math.PI * geometry.circleRadius() / drive.lobes();
    double bend = Math.max(0.1, 0.3 * geometry.pinRadius());
    int points =
        Math.clamp(
            (int) Math.ceil(around / Math.sqrt(8 * bend * chord)),
            FEWEST_LOBE_POINTS,
            MOST_LOBE_POINTS);
    Outline lobes =
        geometry.disc(points, blank(drive.discId()).flankMm()).placed(geometry.discPhase(k), 0, 0);
    List<Round> holes = new ArrayList<>();
    holes.add(new Round(0, 0, geometry.boreRadius() + room / 2));
    for (Polar pin : geometry.outputPins()) {
      holes.add(round(pin, 1, geometry.holeRadius() + room / 2));
    }
    return new Region(List.of(lobes), holes);
  }

  private Region pinRing(CycloidGeometry geometry, double outer) {
    Geometry room = Region.disc(geometry.circleRadius()).area(chord);
    Geometry body = Region.overlay(Region.disc(outer).area(chord), room, OverlayNG.DIFFERENCE);
    for (Polar pin : geometry.pins()) {
      Round round = round(pin, 1, geometry.pinRadius());
      body = Region.overlay(body, Region.polygon(round.outline(chord)), OverlayNG.UNION);
    }
    return Region.of(body);
  }

  /** A cam a disc, on a hole for the shaft. */
  private void eccentric(Cycloidal drive, CycloidGeometry geometry, Stand stand) {
    double off = geometry.eccentricity();
    double width = blank(drive.discId()).widthMm();
    double cam = geometry.boreRadius();
    Region hole =
        train.size(drive.eccentricId()).bore().isPresent()
            ? stated(drive.eccentricId())
            : Region.disc(Math.max(0.5, (cam - off) / 2));
    List<Slab> slabs = new ArrayList<>();
    int discs = drive.sizes().discs();
    for (int k = 0; k < discs; k++) {
      double angle = geometry.discAngle(k);
      Round round = new Round(off * Math.cos(angle), off * Math.sin(angle), cam);
      slabs.add(
          new Slab(
              discs > 1 ? "cam " + (k + 1) : "",
              k * width,
              (k + 1) * width,
              new Region(List.of(), List.of(round)).with(hole)));
    }
    add(drive.eccentricId(), name(drive.eccentricId()), "", slabs, stand);
  }

  /** The plate whose pins go through the discs. */
  private void output(Cycloidal drive, CycloidGeometry geometry, Stand stand) {
    double height = drive.sizes().discs() * blank(drive.discId()).widthMm();
    double radius = geometry.outputCircleRadius() + FLANGE_RIM * geometry.outputPinRadius();
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
