package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.linearref.LengthIndexedLine;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.piece.Region;
import steadycog.piece.Region.Round;
import steadycog.shape.Outline;
import steadycog.train.Clearance.Gap;
import steadycog.train.Housing;
import steadycog.train.Housing.Bolts;
import steadycog.train.Screw;
import steadycog.train.Sizes;

/**
 * The outline that all layers of a housing share: a wall round the room in which things turn, with
 * a lug for every bolt and for two dowel pins that centre the layers. The frontmost layer has a
 * foot more beyond every second lug, by which the whole is bolted down.
 */
final class Shell {
  /** A bolt is as thick as such a share of the room is wide, where nothing is said. */
  private static final double BOLT_SHARE = 0.05;

  /** The same for a wall. */
  private static final double WALL_SHARE = 0.05;

  private static final double LEAST_WALL = 2.5;
  private static final double STEP = 0.5;
  private static final int USUAL_BOLTS = 4;

  /** Bolts stand no further apart than so many of their diameters, by judgement. */
  private static final double APART = 22;

  /** Material between the room and a hole, mm. */
  private static final double LEAST_SKIN = 1.2;

  private static final int QUADRANT = 24;
  private static final GeometryFactory FACTORY = new GeometryFactory();

  private final Geometry room;
  private final double wall;
  private final Bolts bolts;
  private final List<double[]> boltsAt = new ArrayList<>();
  private final List<double[]> dowelsAt = new ArrayList<>();
  private final List<double[]> feetAt = new ArrayList<>();
  private final Outline outline;
  private final Outline footed;
  private final double fit;

  private Shell(Geometry room, double wall, Bolts bolts, double fit) {
    this.fit = fit;
    this.room = room;
    this.wall = wall;
    this.bolts = bolts;
    Screw screw = bolts.screw();
    double lug = Math.max(screw.head() / 2 + 0.5, screw.hole() / 2 + wall);
    double off = screw.hole() / 2 + Math.max(LEAST_SKIN, wall / 2);
    int places = 2 * bolts.count();
    List<double[]> near = around(off, places);
    List<double[]> far = around(off + lug + screw.head() / 2 + 1, places);
    Geometry body = room.buffer(wall, QUADRANT);
    Geometry feet = FACTORY.createPolygon();
    for (int k = 0; k < places; k++) {
      double[] at = near.get(k);
      if (k % 2 == 0) {
        boltsAt.add(at);
        body = body.union(disc(at, lug));
      } else {
        boolean dowel = k == 1 || k == 1 + 2 * (bolts.count() / 2);
        if (dowel) {
          dowelsAt.add(at);
          body = body.union(disc(at, lug));
        }
        feetAt.add(far.get(k));
        Coordinate[] arm = {new Coordinate(at[0], at[1]), point(far.get(k))};
        feet = feet.union(FACTORY.createLineString(arm).buffer(lug, QUADRANT));
      }
    }
    outline = outline(body);
    footed = outline(OverlayNGRobust.overlay(body, feet, 2));
  }

  /**
   * Round a room that holds what turns.
   *
   * @param widest across what turns, mm
   */
  static Shell round(Geometry room, double widest, Sizes sizes) {
    Housing wishes = sizes.housing();
    double wall =
        wishes
            .wall()
            .map(Quantity::inBase)
            .orElseGet(() -> Math.max(LEAST_WALL, Math.round(WALL_SHARE * widest / STEP) * STEP));
    Screw screw =
        Screw.usual().stream()
            .filter(one -> one.nut().isPresent() && one.diameter() >= BOLT_SHARE * widest)
            .findFirst()
            .orElse(Screw.of("M5").orElseThrow());
    double length = room.getLength();
    int count = Math.max(USUAL_BOLTS, (int) Math.ceil(length / (APART * screw.diameter())));
    return new Shell(
        room,
        wall,
        wishes.bolts().orElseGet(() -> new Bolts(Math.min(24, count), screw)),
        sizes.clearance().mm(Gap.SEAT));
  }

  private List<double[]> around(double off, int places) {
    Geometry line = ((Polygon) room.buffer(off, QUADRANT)).getExteriorRing();
    LengthIndexedLine along = new LengthIndexedLine(line);
    // The first bolt stands to the upper right, so that the outline lies even.
    double begin = along.project(new Coordinate(1e6, 1e6));
    return IntStream.range(0, places)
        .mapToObj(
            k -> {
              double at = (begin + k * line.getLength() / places) % line.getLength();
              Coordinate point = along.extractPoint(at);
              return new double[] {point.x, point.y};
            })
        .toList();
  }

  private static Coordinate point(double[] at) {
    return new Coordinate(at[0], at[1]);
  }

  private static Geometry disc(double[] at, double radius) {
    return FACTORY.createPoint(point(at)).buffer(radius, QUADRANT);
  }

  private static Outline outline(Geometry body) {
    return Region.of(body).lines().getFirst();
  }

  /** Wishes with what follows by proportion. */
  Housing housing(Housing wishes) {
    return new Housing(
        Optional.of(Quantity.of(Figures.significant(wall, 3), Unit.MM)),
        Optional.of(bolts),
        wishes.motor(),
        wishes.leftOut());
  }

  Bolts bolts() {
    return bolts;
  }

  double wall() {
    return wall;
  }

  List<double[]> boltsAt() {
    return boltsAt;
  }

  List<double[]> dowelsAt() {
    return dowelsAt;
  }

  List<double[]> feetAt() {
    return feetAt;
  }

  /** Diameter of the dowel pins, mm: as of the bolts' threads. */
  double dowel() {
    return bolts.screw().diameter();
  }

  /** A plate without holes. */
  Region plate(boolean feet) {
    return new Region(List.of(feet ? footed : outline), List.of());
  }

  /** Radius of their holes, mm. */
  double dowelHole() {
    return (dowel() + fit) / 2;
  }

  /** A wall round the room, with the holes of bolts and dowels. */
  Region ring(Region inside) {
    List<Round> holes = new ArrayList<>(inside.circles());
    boltsAt.forEach(at -> holes.add(new Round(at[0], at[1], bolts.screw().hole() / 2)));
    dowelsAt.forEach(at -> holes.add(new Round(at[0], at[1], dowelHole())));
    List<Outline> lines = new ArrayList<>(inside.lines());
    lines.add(outline);
    return new Region(lines, holes);
  }

  /** The room itself. */
  Region room() {
    return Region.of(room);
  }

  static Geometry disc(double x, double y, double radius) {
    return disc(new double[] {x, y}, radius);
  }

  /** The least sum of two areas without dents. */
  static Geometry hull(List<Geometry> parts) {
    return FACTORY.createGeometryCollection(parts.toArray(Geometry[]::new)).convexHull();
  }
}
