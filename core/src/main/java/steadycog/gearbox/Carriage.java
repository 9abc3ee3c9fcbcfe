package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import steadycog.gearbox.Component.Fastening;
import steadycog.piece.Blank;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region;
import steadycog.piece.Slab;
import steadycog.shape.PlacedCarrier;
import steadycog.shape.Polar;
import steadycog.train.BallBearing;
import steadycog.train.MemberId;
import steadycog.train.Planetary;

/**
 * The carrier of a planetary box: two plates tied together, pins in both for the planets. Where
 * these leave no room for ties, the plates are pressed onto the pins.
 */
final class Carriage {
  /** Pins go into the plates but for a floor of so much, mm. */
  private static final double FLOOR = 1;

  /** How thick rings behind planets are across, mm. */
  private static final double WASHER = 1;

  private static final double LEAST_WASHER = 0.4;

  private final CentralBox box;
  private final Planetary set;
  private final PlacedCarrier placed;
  private final Ties ties;

  Carriage(CentralBox box, Planetary set) {
    this.box = box;
    this.set = set;
    placed = box.placed(set);
    ties = Ties.of(placed, box.wheels(set), box.module, box.last(set) - box.first(set));
  }

  /** Inner face of the plate before the planets, mm. */
  double near() {
    return box.first(set) - Box.PLAY;
  }

  /** Inner face of that behind them, mm. */
  double far() {
    return box.last(set) + Box.PLAY;
  }

  /** Of its plates, mm. */
  double radius() {
    return Math.max(placed.bodyRadius() * box.module, ties.farthest());
  }

  /** How far planets that turn in no ring reach from the axis, mm; 0 where all turn in one. */
  double reach() {
    return box.wheels(set).stream()
            .filter(wheel -> set.isPlanet(wheel.id()) && !isInRing(wheel.id()))
            .mapToDouble(
                wheel ->
                    Math.hypot(wheel.x() - placed.x(), wheel.y() - placed.y()) + wheel.bodyRadius())
            .max()
            .orElse(0)
        * box.module;
  }

  private boolean isInRing(MemberId planet) {
    return box.train.meshes().stream()
        .anyMatch(
            mesh ->
                (mesh.a().equals(planet) && mesh.teethB().internal())
                    || (mesh.b().equals(planet) && mesh.teethA().internal()));
  }

  /** How far screws stand out before it, mm. */
  double head() {
    return ties.head();
  }

  /**
   * How far from the axis screws and pins leave free, mm.
   *
   * @param beside air to the heads of the screws
   */
  double free(double beside) {
    return Math.min(ties.free() - beside, nearest());
  }

  /** The bearing in its plate behind the planets: it goes in between the posts, before that. */
  Optional<BallBearing> pilot(double thin) {
    return box.pilot(thin, Math.min(nearest(), ties.nearest() + Box.LIP));
  }

  /** Bodies of a set's planets: of two rows one, of pairs two. */
  static List<MemberId> planets(Planetary set) {
    return set.paired() ? set.planetIds() : set.planetIds().subList(0, 1);
  }

  /** How deep the teeth of each row of a body go, from its axis, mm. */
  static DoubleStream roots(CentralBox box, Planetary set, MemberId body) {
    return box.wheels(set).stream()
        .filter(wheel -> set.body(wheel.id()).equals(body))
        .mapToDouble(wheel -> wheel.rootRadius() * box.module);
  }

  private MemberId member() {
    return set.carrierId();
  }

  /** Rings behind planets narrower than their sun, so that these keep their place. */
  void washers() {
    for (MemberId planet : planets(set)) {
      double from = box.high(planet) + Box.PLAY;
      double to = far() - Box.PLAY;
      if (to - from >= LEAST_WASHER) {
        double inner = (pin(planet) + Math.max(box.room, 0.1)) / 2;
        Slab ring = new Slab("", from, to, Box.annulus(inner, inner + WASHER));
        List<Stand> at = Box.on(pinsOf(planet), member(), box.x, box.y);
        String name = named(planet, "ring behind", "planet ring");
        Piece piece = Box.piece(member(), name, "on the pin", List.of(ring), at);
        box.all.add(Component.made(piece));
      }
    }
  }

  /** What a piece is called, by its set where there are several. */
  String named(String piece) {
    return box.train.parts().size() == 1 ? piece : set.name() + " " + piece;
  }

  /** The same, by its planet too where planets come in pairs. */
  private String named(MemberId planet, String of, String only) {
    return named(set.paired() ? of + " " + planet.name().replace('_', ' ') : only);
  }

  private double pin(MemberId planet) {
    return PlanetBearing.of(box, set, planet)
        .map(PlanetBearing::pin)
        .orElseGet(() -> Blank.of(box.train, planet).bore().orElseThrow().size().inBase());
  }

  /** The nearest that pins come to the axis, mm. */
  private double nearest() {
    return placed.pins().stream().mapToDouble(Polar::radius).min().orElseThrow() * box.module
        - planets(set).stream().mapToDouble(this::pin).max().orElseThrow() / 2;
  }

  private List<double[]> pinsOf(MemberId planet) {
    List<double[]> at = new ArrayList<>();
    List<MemberId> planets = planets(set);
    for (int k = 0; k < placed.pins().size(); k++) {
      if (planets.get(set.paired() ? k % 2 : 0).equals(planet)) {
        Polar pin = placed.pins().get(k);
        double r = pin.radius() * box.module;
        at.add(new double[] {r * Math.cos(pin.angle()), r * Math.sin(pin.angle())});
      }
    }
    return at;
  }

  /**
   * The pins between two plates.
   *
   * @param from outer face of the plate before the planets, mm
   * @param to outer face of that behind them, mm
   */
  void pins(double from, double to) {
    double low = from + FLOOR;
    double high = to - FLOOR;
    for (MemberId planet : planets(set)) {
      double size = pin(planet);
      box.bought(
          member(),
          named(planet, "pin of", "planet pin"),
          Box.mm(size) + " x " + Box.mm(high - low),
          List.of(new Slab("", low, high, Region.disc(size / 2))),
          Box.on(pinsOf(planet), member(), box.x, box.y),
          ties.isNone()
              ? Optional.of(
                  new Fastening(
                      List.of(named("carrier front plate"), named("carrier rear plate")), false))
              : Optional.empty());
      PlanetBearing.of(box, set, planet)
          .ifPresentOrElse(
              bearing ->
                  bearing.build(
                      named(planet, "bearing of", "planet bearing"), member(), pinsOf(planet)),
              () -> plain(planet));
    }
  }

  /** A planet on its pin. */
  private void plain(MemberId planet) {
    double[] at = pinsOf(planet).getFirst();
    box.supports.add(
        new Support(
            planet,
            member(),
            box.x + at[0],
            box.y + at[1],
            box.low(planet),
            box.high(planet),
            pin(planet) / 2,
            Support.PLAIN));
  }

  /**
   * The plate behind the planets up to a height, with holes for pins and threads for the ties.
   *
   * @param plate thickness of that before the planets, mm
   */
  Block behind(double to, double plate) {
    double from = far();
    Block block = new Block(from, to, Region.disc(radius()));
    for (MemberId planet : planets(set)) {
      block.hole(pinsOf(planet), hole(planet), from, to - FLOOR);
    }
    return block.hole(
        ties.at(), ties.screw().core() / 2, from, Math.max(from, ties.end(near(), plate)));
  }

  /**
   * That plate with the posts before it.
   *
   * @param body with all its holes
   * @param plate thickness of that before the planets, mm
   * @param behind what is in one with it towards the far end
   */
  void rearPlate(Block body, double plate, List<Slab> behind) {
    List<Slab> slabs = new ArrayList<>(ties.posts(near(), far(), plate));
    slabs.addAll(body.slabs());
    slabs.addAll(behind);
    box.made(member(), named("carrier rear plate"), ties.remark(), slabs, box.middle());
  }

  /** Radius of the hole that a planet's pin is pressed into, mm. */
  private double hole(MemberId planet) {
    return (pin(planet) + box.fit) / 2;
  }

  /**
   * The plate before the planets, and the screws through it.
   *
   * @param before what is in one with it towards the drive end
   * @param block without holes but those of the housing, if it is a layer of that
   * @param dx where the axis is in it, mm
   * @param dy where the axis is in it, mm
   */
  void frontPlate(List<Slab> before, Block block, double dx, double dy, double from, double to) {
    block.through(moved(ties.at(), dx, dy), ties.screw().hole() / 2);
    for (MemberId planet : planets(set)) {
      block.hole(moved(pinsOf(planet), dx, dy), hole(planet), from + FLOOR, to);
    }
    List<Slab> slabs = new ArrayList<>(before);
    slabs.addAll(block.slabs());
    box.made(
        member(), named("carrier front plate"), "", slabs, Stand.at(box.x - dx, box.y - dy, 0, 0));
    if (ties.isNone()) {
      return;
    }
    box.screws(
        member(),
        named("tie screw"),
        ties.screw(),
        from,
        true,
        to - from,
        ties.length(to - from),
        Box.on(ties.at(), member(), box.x, box.y),
        Optional.of(Box.into(named("carrier rear plate"))));
  }

  private static List<double[]> moved(List<double[]> places, double dx, double dy) {
    return places.stream().map(at -> new double[] {at[0] + dx, at[1] + dy}).toList();
  }
}
