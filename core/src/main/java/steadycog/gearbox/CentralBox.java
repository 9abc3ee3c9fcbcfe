package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Geometry;
import steadycog.piece.Blank;
import steadycog.piece.Bores;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region;
import steadycog.piece.Region.Round;
import steadycog.piece.Shafts;
import steadycog.piece.Slab;
import steadycog.shape.FaceLayout;
import steadycog.shape.PlacedCarrier;
import steadycog.shape.PlacedWheel;
import steadycog.shape.Rims;
import steadycog.train.BallBearing;
import steadycog.train.Bore;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Screw;
import steadycog.train.Take;
import steadycog.train.Train;

/**
 * A drive whose members turn about one line: a shaft from the drive end runs into the body that
 * goes out at the far end, which turns on two bearings in the rear plate. What is held is a layer
 * of the housing.
 */
abstract sealed class CentralBox extends Box
    permits PlanetaryBox, StackBox, CycloidalBox, StrainWaveBox {
  /** Between the pilot bearing's pocket and the far side of its plate, mm. */
  private static final double FLOOR = 1;

  /** An output shaft is so many times as thick as the input at least, where nothing is said. */
  private static final double THICKER = 1.3;

  /** The same as a share of the ring, by judgement. */
  private static final double SHARE = 0.2;

  /** Beyond a bearing's bore a hub rests on its inner ring, mm. */
  static final double HUB = 1;

  static final String CUT_ROUND = "a wheel is cut round its ring";

  double x;
  double y;

  CentralBox(Train train, FaceLayout layout, double chord) {
    super(train, layout, chord);
  }

  final Stand middle() {
    return Stand.at(x, y, 0, 0);
  }

  /** The room in which all turns, and what a motor before it needs. */
  final Geometry room(double radius) {
    List<Geometry> discs = new ArrayList<>(List.of(Shell.disc(x, y, radius)));
    discs.addAll(motorRoom(x, y));
    return Shell.hull(discs);
  }

  /** {@code input} of what drives, else {@code output}. */
  final String side(MemberId member) {
    return isDrive(member) ? "input" : "output";
  }

  private boolean isDrive(MemberId member) {
    return train.rolesInForce().drives().stream().anyMatch(one -> one.member().equals(member));
  }

  final boolean isTaken(MemberId member) {
    return train.rolesInForce().take().map(Take::member).filter(member::equals).isPresent()
        || isDrive(member);
  }

  /** The train's first piece of a member; throws where there is none. */
  final Piece find(MemberId member) {
    return pieces.all().stream()
        .filter(piece -> piece.member().equals(member))
        .findFirst()
        .orElseThrow();
  }

  final List<Piece> of(MemberId member) {
    return pieces.all().stream().filter(piece -> piece.member().equals(member)).toList();
  }

  /** Where the first piece of a body begins, mm. */
  final double low(MemberId body) {
    return of(body).getFirst().stands().getFirst().z();
  }

  /** Where its last piece ends, mm. */
  final double high(MemberId body) {
    Piece last = of(body).getLast();
    return last.stands().getFirst().z() + last.slabs().getLast().to();
  }

  /** Where what turns between the plates of a carrier begins, mm. */
  final double first(Planetary set) {
    return inside(set).mapToDouble(this::low).min().orElseThrow();
  }

  /** Where it ends, mm. */
  final double last(Planetary set) {
    return inside(set).mapToDouble(this::high).max().orElseThrow();
  }

  private static Stream<MemberId> inside(Planetary set) {
    return Stream.concat(bodies(set, false).stream(), Carriage.planets(set).stream());
  }

  /** Sun and planets as they are, but for seats of bearings. */
  final void takeInside(Planetary set) {
    inside(set)
        .flatMap(body -> of(body).stream())
        .map(
            piece ->
                PlanetBearing.of(this, set, piece.member())
                    .map(bearing -> bearing.seated(piece))
                    .orElse(piece))
        .forEach(this::take);
  }

  final List<PlacedWheel> wheels(Planetary set) {
    return layout.wheels().stream().filter(one -> one.id().part().equals(set.name())).toList();
  }

  final PlacedCarrier placed(Planetary set) {
    return layout.carriers().stream()
        .filter(one -> one.id().equals(set.carrierId()))
        .findFirst()
        .orElseThrow();
  }

  /** The suns of a set, or its rings. */
  static List<MemberId> bodies(Planetary set, boolean internal) {
    return set.wheels().stream()
        .filter(wheel -> wheel.teeth().orElseThrow().internal() == internal)
        .map(Member::id)
        .filter(wheel -> !set.isPlanet(wheel))
        .map(set::body)
        .distinct()
        .toList();
  }

  static MemberId sun(Planetary set) {
    return bodies(set, false).getFirst();
  }

  static MemberId ring(Planetary set) {
    return bodies(set, true).getFirst();
  }

  /** Where the shaft of a member stands, so that it fits the bore. */
  final Stand shaft(MemberId member) {
    return Stand.at(x, y, 0, of(member).getFirst().stands().getFirst().angle());
  }

  /** Whether a wheel is cut round a ring. */
  final boolean isRim(MemberId ring) {
    return Rims.of(train).containsValue(ring);
  }

  /** What of a set is too small for a shaft or pins through it, in words. */
  final Optional<String> unborne(Planetary set) {
    if (Blank.of(train, sun(set)).bore().isEmpty()) {
      return Optional.of("the sun is too small for a shaft through it");
    }
    if (Carriage.planets(set).stream().anyMatch(p -> Blank.of(train, p).bore().isEmpty())) {
      return Optional.of("the planets are too small for pins");
    }
    return Carriage.planets(set).stream()
        .flatMap(planet -> PlanetBearing.of(this, set, planet).stream())
        .flatMap(bearing -> bearing.unfit().stream())
        .findFirst();
  }

  /** The greatest radius of the lines inside a ring, mm. */
  static double inner(Piece ring) {
    double most = 0;
    for (Slab slab : ring.slabs()) {
      double[] box = opened(slab.region()).bounds();
      most = Math.max(most, Math.max(box[2], box[3]));
    }
    return most;
  }

  /** The bore that the card states for a member or its shaft. */
  final Optional<Bore> stated(MemberId member) {
    return Optional.of(Shafts.hole(train, member))
        .filter(Shafts.Hole::stated)
        .flatMap(Shafts.Hole::bore);
  }

  final boolean isHeld(MemberId member) {
    return train.rolesInForce().holds().contains(member);
  }

  /**
   * The end of the shaft inside the body that goes out.
   *
   * @param most how far its bearing may reach from the axis, mm
   */
  final Optional<BallBearing> pilot(double thin, double most) {
    return Spindle.bearing(this, List.of(), thin, outside -> outside / 2 + LIP <= most);
  }

  /** How thick a plate must be that holds the pilot bearing. */
  static double thick(double plate, Optional<BallBearing> pilot) {
    return Math.max(plate, pilot.map(one -> one.width() + FLOOR).orElse(plate));
  }

  /** The pocket of the pilot bearing, or the hole that the shaft's end turns in. */
  final Block piloted(
      Block plate, Optional<BallBearing> pilot, double thin, double from, double to) {
    return pilot
        .map(one -> plate.hole(0, 0, seat(one), from, from + one.width()))
        .orElseGet(() -> plate.hole(0, 0, (thin + room) / 2, from, to - FLOOR));
  }

  /** Where the far end of the shaft is carried. */
  static Spindle.End far(double face, double plate, Optional<BallBearing> pilot, MemberId in) {
    return new Spindle.End(face, pilot, plate - FLOOR, in);
  }

  /** What goes out: the section that its card states, and a bearing that can be put over it. */
  record Outgoing(BallBearing bearing, Region profile) {}

  /**
   * The shaft that goes out.
   *
   * @param input diameter of the shaft that goes in, mm
   * @param ring diameter of what is held, mm
   */
  final Outgoing outgoing(MemberId member, double input, double ring) {
    Optional<Bore> said = stated(member);
    double wanted =
        said.map(one -> 2 * Bores.reach(one)).orElse(Math.max(THICKER * input, SHARE * ring));
    BallBearing bearing =
        train
            .size(member)
            .bearing()
            .flatMap(size -> size.bearing())
            .or(() -> BallBearing.usual().stream().filter(one -> one.bore() >= wanted).findFirst())
            .orElse(BallBearing.usual().getLast());
    Region profile =
        said.map(one -> Bores.hole(one, 0, chord)).orElse(Region.disc(bearing.bore() / 2.0));
    return new Outgoing(bearing, profile);
  }

  /**
   * The slabs of a hub and shaft behind a plate, and the rear plate with its two bearings.
   *
   * @param from where the plate ends
   * @param face inner face of the rear plate
   */
  final List<Slab> goOut(MemberId member, Outgoing out, Shell shell, double from, double face) {
    Plate rear = new Plate(Layer.REAR, "rear plate", side(member) + " bearing");
    List<Slab> slabs = goThrough(member, out.bearing, shell, from, face, rear);
    double outer = slabs.getLast().to();
    double length = Math.max(8, 1.5 * out.bearing.bore());
    slabs.add(new Slab("output shaft", outer, outer + length, out.profile));
    return slabs;
  }

  /** A plate of the housing with two bearings in which something goes through it. */
  record Plate(Layer layer, String name, String bearing) {}

  /** The slabs of a hub and journal behind a plate, and the plate of the housing round them. */
  final List<Slab> goThrough(
      MemberId member, BallBearing one, Shell shell, double from, double face, Plate through) {
    double seat = face + 2 * one.width();
    double outer = seat + LIP;
    List<Slab> slabs = new ArrayList<>();
    if (face - PLAY > from) {
      slabs.add(new Slab("hub", from, face - PLAY, Region.disc(one.bore() / 2.0 + HUB)));
    }
    slabs.add(
        new Slab("journal", Math.max(from, face - PLAY), outer, Region.disc(one.bore() / 2.0)));
    Block rear =
        plate(shell, face, outer, through.layer)
            .hole(x, y, Spindle.relief(one), face, outer)
            .hole(x, y, seat(one), face, seat);
    made(Piece.FRAME, through.name, "", rear.slabs(), Stand.at(0, 0, 0, 0));
    pair(member, one, through.bearing, face);
    return slabs;
  }

  /** Two bearings side by side in the housing, from {@code low} up. */
  final void pair(MemberId member, BallBearing one, String name, double low) {
    bought(
        Piece.FRAME,
        name,
        one.says(),
        List.of(new Slab("", 0, one.width(), annulus(one.bore() / 2.0, one.outside() / 2.0))),
        List.of(Stand.at(x, y, low, 0), Stand.at(x, y, low + one.width(), 0)),
        Optional.empty());
    for (int k = 0; k < 2; k++) {
      double from = low + k * one.width();
      supports.add(
          new Support(
              member, Piece.FRAME, x, y, from, from + one.width(), one.bore() / 2.0, one.name()));
    }
  }

  /** How thick a plate is that holds two of a bearing. */
  static double rear(BallBearing bearing) {
    return 2 * bearing.width() + LIP;
  }

  /** A wall between two layers, where there is room for one. */
  final void wall(Shell shell, String name, double from, double to) {
    if (to - from > 1e-6) {
      made(
          Piece.FRAME,
          name,
          "",
          List.of(new Slab("", from, to, shell.ring(shell.room()))),
          Stand.at(0, 0, 0, 0));
    }
  }

  /** The pieces of what is held as a layer: its round outside becomes that of the housing. */
  final void layer(Shell shell, MemberId held) {
    for (Piece piece : pieces.all()) {
      if (piece.member().equals(held)) {
        double angle = piece.stands().getFirst().angle();
        Region around = shell.ring(Region.none()).placed(0, -x, -y).placed(-angle, 0, 0);
        take(
            piece.remade(
                piece.name(),
                piece.slabs().stream()
                    .map(slab -> slab.over(opened(slab.region()).within(around)))
                    .toList(),
                piece.stands()));
      }
    }
  }

  /** A region without its outer circle. */
  static Region opened(Region region) {
    double widest = region.circles().stream().mapToDouble(Round::radius).max().orElse(0);
    return new Region(
        region.lines(),
        region.circles().stream().filter(round -> round.radius() < widest).toList());
  }

  /**
   * The front plate with the input's bearing.
   *
   * @param face its inner face
   * @param seat where the bearing ends, at the face or before it
   * @return outer face
   */
  final Block front(
      Shell shell,
      Optional<BallBearing> bearing,
      double thin,
      double collar,
      double seat,
      double face) {
    double low = seat - thickness(shell, bearing);
    Block plate = plate(shell, low, face, front());
    if (bearing.isEmpty()) {
      plate.hole(x, y, (thin + room) / 2, low, seat);
    } else {
      BallBearing one = bearing.get();
      plate
          .hole(x, y, Spindle.relief(one), low, seat)
          .hole(x, y, seat(one), seat - one.width(), face);
    }
    return face > seat
        ? plate.hole(
            x, y, Math.max(collar + AIR / 2, bearing.map(this::seat).orElse(0.0)), seat, face)
        : plate;
  }

  static double thickness(Shell shell, Optional<BallBearing> bearing) {
    return Math.max(shell.wall(), bearing.map(one -> one.width() + LIP).orElse(0.0));
  }

  /** The thickest screw that a post of that radius and height bears. */
  static Optional<Screw> screwIn(double radius, double height) {
    return Screw.usual().stream()
        .filter(one -> one.core() / 2 + 0.8 <= radius && one.diameter() <= 1.2 * radius)
        .filter(one -> one.nut().isPresent() ? one.diameter() < height / 2 : one.diameter() < 3)
        .reduce((thin, thick) -> thick);
  }

  final double plateMm(MemberId member) {
    return Math.max(2.5, Blank.plateMm(train, member));
  }
}
