package steadycog.piece;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import org.locationtech.jts.geom.Geometry;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region.Round;
import steadycog.shape.CycloidGeometry;
import steadycog.shape.Detail;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.shape.Outline;
import steadycog.shape.Placed;
import steadycog.shape.PlacedCarrier;
import steadycog.shape.PlacedWheel;
import steadycog.shape.PlanetGeometry.Polar;
import steadycog.shape.PlanetPlaces;
import steadycog.shape.StrainGeometry;
import steadycog.train.Bevel;
import steadycog.train.Clearance.Gap;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/**
 * The pieces of a train.
 *
 * @param all in the order of the card
 * @param left what is not made here, with the reason
 */
public record Pieces(List<Piece> all, List<String> left) {
  /** How far a straight piece of an outline may leave the true line where nothing is said, mm. */
  public static final double USUAL_CHORD = 0.005;

  public static final double FINEST_CHORD = 0.0002;
  public static final double COARSEST_CHORD = 0.5;

  public Pieces {
    all = List.copyOf(all);
    left = List.copyOf(left);
  }

  /**
   * Makes every piece. Cost: points of all outlines.
   *
   * @param layout of {@code train}
   * @param chord how far a straight piece of an outline may leave the true line, mm
   */
  public static Pieces of(Train train, FaceLayout layout, double chord) {
    return new Maker(train, layout, chord).make();
  }

  /**
   * The toothed line of a wheel as it is made, about its own axis, a tooth (of a ring a space) to
   * the right, in mm: with what clearance and offsets take off its flanks.
   */
  public static Outline teeth(Train train, PlacedWheel wheel, double chord) {
    double module = Drives.moduleMm(train);
    Member member =
        train.members().stream().filter(m -> m.id().equals(wheel.id())).findFirst().orElseThrow();
    Detail detail = Detail.within(wheel.teeth(), wheel.cut(), chord / module);
    double normal = Blank.of(train, member).flankMm() / module;
    double thinning = normal / Math.cos(wheel.cut().rack().pressureAngle());
    return wheel.outline(detail, thinning).scaled(module);
  }

  /** Those of {@code member}'s body; all if it is empty. */
  public List<Piece> of(Optional<MemberId> member) {
    return member
        .map(id -> all.stream().filter(piece -> piece.member().equals(id)).toList())
        .orElse(all);
  }

  private static final class Maker {
    /** Thickness of plates in modules, at least {@value #LEAST_PLATE} mm. */
    private static final double PLATE = 4;

    private static final double LEAST_PLATE = 2;
    private static final double FLANGE_RIM = 1.6;
    private static final double SAME = 1e-6;
    private static final int FEWEST_LOBE_POINTS = 24;
    private static final int MOST_LOBE_POINTS = 400;

    private final Train train;
    private final FaceLayout layout;
    private final double chord;
    private final double moduleMm;
    private final double room;
    private final List<Piece> all = new ArrayList<>();
    private final List<String> left = new ArrayList<>();

    Maker(Train train, FaceLayout layout, double chord) {
      this.train = train;
      this.layout = layout;
      this.chord = Math.clamp(chord, FINEST_CHORD, COARSEST_CHORD);
      this.moduleMm = Drives.moduleMm(train);
      this.room = train.sizes().clearance().mm(Gap.BORE);
    }

    Pieces make() {
      for (Part part : train.parts()) {
        switch (part) {
          case Parallel chain -> chain.members().forEach(wheel -> central(List.of(wheel.id())));
          case Planetary set -> add(set);
          case Cycloidal drive -> add(drive);
          case StrainWave drive -> add(drive);
          case Bevel pair -> leave(pair, "bevel gears are cut on their own machines");
          case Differential sides -> leave(sides, "bevel gears are cut on their own machines");
          case Shaft shaft -> leave(shaft, "a plain shaft");
        }
      }
      return new Pieces(all, left);
    }

    private void leave(Part part, String reason) {
      part.members().forEach(member -> left.add(member.id() + ": " + reason));
    }

    private Blank blank(MemberId id) {
      Member member =
          train.members().stream().filter(m -> m.id().equals(id)).findFirst().orElseThrow();
      return Blank.of(train, member);
    }

    private PlacedWheel wheel(MemberId id, int copy) {
      return layout.wheels().stream()
          .filter(wheel -> wheel.id().equals(id) && wheel.copy() == copy)
          .findFirst()
          .orElseThrow();
    }

    private double plate() {
      return Math.max(LEAST_PLATE, PLATE * moduleMm);
    }

    private static String name(MemberId member) {
      return member.toString().replace('_', ' ');
    }

    // Involute wheels.

    private void add(Planetary set) {
      for (MemberId body : bodies(set)) {
        List<MemberId> rows =
            set.wheels().stream()
                .map(Member::id)
                .filter(wheel -> set.body(wheel).equals(body))
                .toList();
        if (set.isPlanet(body)) {
          planets(set, rows);
        } else {
          central(rows);
        }
      }
      carrier(set);
    }

    private static List<MemberId> bodies(Planetary set) {
      return set.wheels().stream().map(wheel -> set.body(wheel.id())).distinct().toList();
    }

    private void central(List<MemberId> rows) {
      List<PlacedWheel> wheels = rows.stream().map(row -> wheel(row, 0)).toList();
      MemberId body = rows.getFirst();
      all.add(
          new Piece(
              body, name(body), "", stack(wheels), List.of(stand(wheels.getFirst())), List.of()));
    }

    private Stand stand(PlacedWheel wheel) {
      return new Stand(wheel.x() * moduleMm, wheel.y() * moduleMm, wheel.phase());
    }

    /** Planets that are cut alike become one piece; of others each its own. */
    private void planets(Planetary set, List<MemberId> rows) {
      List<List<PlacedWheel>> firsts = new ArrayList<>();
      List<List<Stand>> stands = new ArrayList<>();
      List<List<Integer>> copies = new ArrayList<>();
      for (int k = 0; k < set.count(); k++) {
        int copy = k;
        List<PlacedWheel> here = rows.stream().map(row -> wheel(row, copy)).toList();
        int group = 0;
        Optional<Stand> stand = Optional.empty();
        while (group < firsts.size() && stand.isEmpty()) {
          stand = alike(firsts.get(group), here);
          group += stand.isEmpty() ? 1 : 0;
        }
        if (stand.isEmpty()) {
          firsts.add(here);
          stands.add(new ArrayList<>());
          copies.add(new ArrayList<>());
        }
        stands.get(group).add(stand.orElseGet(() -> stand(here.getFirst())));
        copies.get(group).add(k);
      }
      for (int group = 0; group < firsts.size(); group++) {
        boolean one = firsts.size() == 1;
        MemberId id = rows.getFirst();
        all.add(
            new Piece(
                id,
                one ? name(id) : name(id) + " " + (copies.get(group).getFirst() + 1),
                one ? allAlike(set) : clocked(set, copies.get(group)),
                stack(firsts.get(group)),
                stands.get(group),
                List.of()));
      }
    }

    private static String allAlike(Planetary set) {
      return set.count() == 1 ? "" : set.count() + " alike";
    }

    private static String clocked(Planetary set, List<Integer> copies) {
      String which = String.join(" and ", copies.stream().map(k -> String.valueOf(k + 1)).toList());
      BigFraction teeth = new PlanetPlaces(set).clocking(copies.getFirst());
      return which
          + " of "
          + set.count()
          + (Exact.isZero(teeth)
              ? ", not clocked"
              : ", clocked by " + Exact.text(teeth) + " tooth");
    }

    /** Where {@code here} stands as a copy of {@code first}; empty if its rows are clocked else. */
    private Optional<Stand> alike(List<PlacedWheel> first, List<PlacedWheel> here) {
      PlacedWheel row1 = here.getFirst();
      double tooth = 2 * Math.PI / row1.teeth().count();
      if (here.size() == 1) {
        return Optional.of(stand(row1));
      }
      double clocking = first.getLast().phase() - first.getFirst().phase();
      double tooth2 = 2 * Math.PI / here.getLast().teeth().count();
      for (int j = 0; j < row1.teeth().count(); j++) {
        double angle = row1.phase() + j * tooth;
        double off = Math.IEEEremainder(angle + clocking - here.getLast().phase(), tooth2);
        if (Math.abs(off) < SAME) {
          return Optional.of(new Stand(row1.x() * moduleMm, row1.y() * moduleMm, angle));
        }
      }
      return Optional.empty();
    }

    /**
     * Rows of one body above each other, the first with a tooth (of a ring a space) to the right.
     */
    private List<Slab> stack(List<PlacedWheel> rows) {
      List<Slab> slabs = new ArrayList<>();
      double height = 0;
      double outside = rows.stream().mapToDouble(PlacedWheel::bodyRadius).max().orElseThrow();
      boolean several = rows.size() > 1;
      for (PlacedWheel row : rows) {
        if (height > 0) {
          double top = height + Blank.ROW_GAP * moduleMm;
          slabs.add(new Slab("neck", height, top, neck(rows, outside)));
          height = top;
        }
        double top = height + blank(row.id()).widthMm();
        double turned = row.phase() - rows.getFirst().phase();
        String name = several ? "row " + (rows.indexOf(row) + 1) : "";
        slabs.add(new Slab(name, height, top, body(row, turned, outside)));
        height = top;
      }
      return slabs;
    }

    private Region neck(List<PlacedWheel> rows, double outside) {
      boolean internal = rows.getFirst().teeth().internal();
      double[] roots = rows.stream().mapToDouble(PlacedWheel::rootRadius).sorted().toArray();
      return internal
          ? Region.disc(outside * moduleMm).with(Region.disc(roots[roots.length - 1] * moduleMm))
          : Region.disc(roots[0] * moduleMm).with(hole(rows.getFirst()));
    }

    private Region body(PlacedWheel wheel, double turned, double outside) {
      Region teeth =
          new Region(List.of(Pieces.teeth(train, wheel, chord)), List.of()).placed(turned, 0, 0);
      return teeth.with(wheel.teeth().internal() ? Region.disc(outside * moduleMm) : hole(wheel));
    }

    private Region hole(PlacedWheel wheel) {
      if (wheel.hollow() > 0) {
        return Region.disc(wheel.hollow() * moduleMm);
      }
      return hole(wheel.id());
    }

    private Region hole(MemberId member) {
      return blank(member)
          .bore()
          .map(bore -> Bores.hole(bore, room, chord))
          .orElse(new Region(List.of(), List.of()));
    }

    /** A plate with a pin for each planet, at the bottom. */
    private void carrier(Planetary set) {
      PlacedCarrier placed =
          layout.carriers().stream()
              .filter(carrier -> carrier.id().equals(set.carrierId()))
              .findFirst()
              .orElseThrow();
      MemberId planet = set.planetIds().getFirst();
      double pin = blank(planet).bore().map(bore -> bore.size().inBase() / 2).orElse(moduleMm);
      double height = 0;
      for (int row = 0; row < set.rows().size(); row++) {
        height += blank(set.planetIds(row).getFirst()).widthMm();
        height += row > 0 ? Blank.ROW_GAP * moduleMm : 0;
      }
      Region plate = Region.disc(placed.bodyRadius() * moduleMm).with(stated(set.carrierId()));
      List<Round> pins = new ArrayList<>();
      for (Polar at : placed.pins()) {
        pins.add(round(at, moduleMm, pin));
      }
      all.add(
          new Piece(
              set.carrierId(),
              name(set.carrierId()),
              "",
              List.of(
                  new Slab("plate", 0, plate(), plate),
                  new Slab("pins", plate(), plate() + height, new Region(List.of(), pins))),
              List.of(new Stand(placed.x() * moduleMm, placed.y() * moduleMm, 0)),
              List.of()));
    }

    /** The hole of a member where a bore is stated for it. */
    private Region stated(MemberId member) {
      return train
          .size(member)
          .bore()
          .map(bore -> Bores.hole(bore, room, chord))
          .orElse(new Region(List.of(), List.of()));
    }

    private static Round round(Polar at, double scale, double radius) {
      return new Round(
          scale * at.radius() * Math.cos(at.angle()),
          scale * at.radius() * Math.sin(at.angle()),
          radius);
    }

    // Cycloidal drives.

    private void add(Cycloidal drive) {
      CycloidGeometry geometry = new CycloidGeometry(drive);
      Placed ring = plate(drive.ringId());
      double x = ring.x() * moduleMm;
      double y = ring.y() * moduleMm;
      double width = blank(drive.discId()).widthMm();
      int discs = drive.sizes().discs();
      eccentric(drive, geometry, new Stand(x, y, 0));
      for (int k = 0; k < discs; k++) {
        double off = geometry.eccentricity();
        double angle = geometry.discAngle(k);
        boolean several = discs > 1;
        all.add(
            new Piece(
                drive.discId(),
                name(drive.discId()) + (several ? " " + (k + 1) : ""),
                several ? "of " + discs + (k == 0 ? "" : ", lobes turned against its holes") : "",
                List.of(new Slab("", 0, width, disc(drive, geometry, k))),
                List.of(new Stand(x + off * Math.cos(angle), y + off * Math.sin(angle), 0)),
                List.of()));
      }
      output(drive, geometry, new Stand(x, y, 0));
      double outer = ring.bodyRadius() * moduleMm;
      all.add(
          new Piece(
              drive.ringId(),
              name(drive.ringId()),
              drive.pins() + " pins in one with it",
              List.of(new Slab("", 0, discs * width, pinRing(geometry, outer))),
              List.of(new Stand(x, y, 0)),
              List.of()));
    }

    private Placed plate(MemberId id) {
      return layout.plates().stream()
          .filter(placed -> placed.id().equals(id) && placed.copy() == 0)
          .findFirst()
          .orElseThrow();
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
          geometry
              .disc(points, blank(drive.discId()).flankMm())
              .placed(geometry.discPhase(k), 0, 0);
      List<Round> holes = new ArrayList<>();
      holes.add(new Round(0, 0, geometry.boreRadius() + room / 2));
      for (Polar pin : geometry.outputPins()) {
        holes.add(round(pin, 1, geometry.holeRadius() + room / 2));
      }
      return new Region(List.of(lobes), holes);
    }

    private Region pinRing(CycloidGeometry geometry, double outer) {
      Geometry body =
          Region.disc(outer)
              .area(chord)
              .difference(Region.disc(geometry.circleRadius()).area(chord));
      for (Polar pin : geometry.pins()) {
        Round round = round(pin, 1, geometry.pinRadius());
        body = body.union(Region.polygon(round.outline(chord)));
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
      all.add(
          new Piece(
              drive.eccentricId(),
              name(drive.eccentricId()),
              "",
              slabs,
              List.of(stand),
              List.of()));
    }

    /** The plate whose pins go through the discs. */
    private void output(Cycloidal drive, CycloidGeometry geometry, Stand stand) {
      double height = drive.sizes().discs() * blank(drive.discId()).widthMm();
      double radius = geometry.outputCircleRadius() + FLANGE_RIM * geometry.outputPinRadius();
      List<Round> pins = new ArrayList<>();
      for (Polar pin : geometry.outputPins()) {
        pins.add(round(pin, 1, geometry.outputPinRadius()));
      }
      all.add(
          new Piece(
              drive.discId(),
              name(drive.discId()) + " output",
              "its pins go through the holes",
              List.of(
                  new Slab("plate", 0, plate(), Region.disc(radius)),
                  new Slab("pins", plate(), plate() + height, new Region(List.of(), pins))),
              List.of(stand),
              List.of()));
    }

    // Strain wave drives.

    private void add(StrainWave drive) {
      StrainGeometry geometry = new StrainGeometry(drive);
      Placed ring = plate(drive.circularId());
      Stand stand = new Stand(ring.x() * moduleMm, ring.y() * moduleMm, 0);
      double width = blank(drive.circularId()).widthMm();
      double inside = Drives.generatorDepth(geometry, moduleMm);
      Outline cam = geometry.inside(Math.PI / 2, 1, inside, generatorPoints(geometry));
      Region generator = new Region(List.of(cam.scaled(moduleMm)), List.of());
      all.add(
          new Piece(
              drive.waveId(),
              name(drive.waveId()),
              "runs in the flexspline on a thin bearing",
              List.of(new Slab("", 0, width, generator.with(stated(drive.waveId())))),
              List.of(stand),
              List.of()));
      flexspline(drive, geometry, stand, width);
      Outline teeth = geometry.circularTeeth(thinning(drive.circularId())).scaled(moduleMm);
      Region body =
          new Region(List.of(teeth), List.of())
              .with(Region.disc(geometry.circularBody() * moduleMm));
      all.add(
          new Piece(
              drive.circularId(),
              name(drive.circularId()),
              "",
              List.of(new Slab("", 0, width, body)),
              List.of(stand),
              List.of()));
    }

    private int generatorPoints(StrainGeometry geometry) {
      return Math.max(180, Region.corners(geometry.circularRadius() * moduleMm, chord));
    }

    /**
     * Straight flanks lean by 30 degrees: what is taken off them shows more along the pitch line.
     */
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
              : Region.disc(bore + wall + plate()).with(Region.disc(bore));
      Region running =
          new Region(
              List.of(
                  geometry.flexTeeth(Math.PI / 2, 1, thinning).scaled(moduleMm),
                  geometry
                      .inside(Math.PI / 2, 1, depth, generatorPoints(geometry))
                      .scaled(moduleMm)),
              List.of());
      double floor = Math.max(wall, plate() / 2);
      all.add(
          new Piece(
              drive.flexId(),
              name(drive.flexId()),
              "as made, round; its wall of " + mm(wall) + " bends",
              List.of(
                  new Slab(cup ? "bottom" : "flange", 0, floor, closed),
                  new Slab(
                      "tube",
                      floor,
                      floor + tube,
                      Region.disc(bore + wall).with(Region.disc(bore))),
                  new Slab("teeth", floor + tube, floor + tube + width, teeth)),
              List.of(stand),
              List.of(running)));
    }

    private static String mm(double length) {
      return Figures.significant(length, 3) + " mm";
    }
  }
}
