package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import steadycog.gearbox.Spindle.End;
import steadycog.gearbox.Spindle.Seat;
import steadycog.piece.Blank;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region;
import steadycog.piece.Slab;
import steadycog.shape.FaceLayout;
import steadycog.shape.PlacedCarrier;
import steadycog.shape.PlacedWheel;
import steadycog.shape.Polar;
import steadycog.shape.Rims;
import steadycog.train.BallBearing;
import steadycog.train.Bore;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * A planetary set: a carrier of two plates tied together round its planets. What is held, ring or
 * the carrier's front plate, is a layer of the housing.
 */
final class PlanetaryBox extends CentralBox {
  /** Pins go into the plates but for a floor of so much, mm. */
  private static final double FLOOR = 1;

  private final Planetary set;
  private final MemberId carrier;

  PlanetaryBox(Train train, FaceLayout layout, double chord, Planetary set) {
    super(train, layout, chord);
    this.set = set;
    carrier = set.carrierId();
  }

  private List<PlacedWheel> wheels() {
    return layout.wheels().stream().filter(one -> one.id().part().equals(set.name())).toList();
  }

  private List<Piece> of(MemberId member) {
    return pieces.all().stream().filter(piece -> piece.member().equals(member)).toList();
  }

  private List<MemberId> bodies(boolean internal) {
    return set.wheels().stream()
        .filter(wheel -> wheel.teeth().orElseThrow().internal() == internal)
        .map(Member::id)
        .filter(wheel -> !set.isPlanet(wheel))
        .map(set::body)
        .distinct()
        .toList();
  }

  @Override
  Optional<String> build() {
    List<MemberId> suns = bodies(false);
    List<MemberId> rings = bodies(true);
    List<MemberId> held = rings.stream().filter(this::isHeld).toList();
    List<MemberId> loose = rings.stream().filter(ring -> !isHeld(ring)).toList();
    boolean star = isHeld(carrier) && rings.size() == 1;
    Optional<MemberId> out =
        Stream.concat(loose.stream(), Stream.of(carrier)).filter(this::isTaken).findFirst();
    if (suns.size() != 1 || !isTaken(suns.getFirst())) {
      return Optional.of("it is made for one sun that drives or is driven");
    } else if ((held.size() != 1 && !star) || out.isEmpty() || isHeld(out.get())) {
      return Optional.of(
          "it is made for a held ring, and an output at the carrier or another ring; or for a held"
              + " carrier and one ring");
    } else if (loose.size() > 1 || (loose.size() == 1 && out.get().equals(carrier))) {
      return Optional.of(loose.getFirst() + " turns idly: leave it out");
    } else if (rings.stream().anyMatch(ring -> Rims.of(train).containsValue(ring))) {
      return Optional.of("a wheel is cut round its ring");
    } else if (!star && !loose.isEmpty() && low(loose.getFirst()) < low(held.getFirst())) {
      return Optional.of("the ring of the first row turns: hold it, and take off at the second");
    }
    return build(suns.getFirst(), held.stream().findFirst(), loose);
  }

  private PlacedCarrier placed() {
    return layout.carriers().stream()
        .filter(one -> one.id().equals(carrier))
        .findFirst()
        .orElseThrow();
  }

  /** Bodies of planets: of two rows one, of pairs two. */
  private List<MemberId> planets() {
    return set.paired() ? set.planetIds() : set.planetIds().subList(0, 1);
  }

  private double first() {
    return planets().stream().mapToDouble(this::low).min().orElseThrow();
  }

  private double last() {
    return planets().stream().mapToDouble(this::high).max().orElseThrow();
  }

  private double low(MemberId body) {
    return of(body).getFirst().stands().getFirst().z();
  }

  private double high(MemberId body) {
    Piece last = of(body).getLast();
    return last.stands().getFirst().z() + last.slabs().getLast().to();
  }

  private Optional<String> build(MemberId sun, Optional<MemberId> held, List<MemberId> loose) {
    PlacedCarrier placed = placed();
    x = placed.x() * module;
    y = placed.y() * module;
    Optional<Bore> bore = Blank.of(train, sun).bore();
    Optional<Ties> found = Ties.of(placed, wheels(), module, last() - first());
    if (bore.isEmpty()) {
      return Optional.of("the sun is too small for a shaft through it");
    } else if (planets().stream().anyMatch(p -> Blank.of(train, p).bore().isEmpty())) {
      return Optional.of("the planets are too small for pins");
    } else if (found.isEmpty()) {
      return Optional.of("there is no room for ties between the planets: fewer planets leave some");
    }
    put(sun, held, loose, placed, bore.get(), found.get());
    return Optional.empty();
  }

  private void put(
      MemberId sun,
      Optional<MemberId> held,
      List<MemberId> loose,
      PlacedCarrier placed,
      Bore bore,
      Ties ties) {
    double first = first();
    double last = last();
    double plate = plateMm(carrier);
    boolean free = !loose.isEmpty();
    double radius = Math.max(placed.bodyRadius() * module, ties.farthest());
    double near = first - PLAY;
    double far = last + PLAY;
    List<Seat> seats = new ArrayList<>(List.of(new Seat("sun", low(sun), high(sun), bore)));
    if (free) {
      seats.add(new Seat("carrier", far, far + plate, Spindle.bare(bore)));
    }
    Stand turned = Stand.at(x, y, 0, of(sun).getFirst().stands().getFirst().angle());
    Spindle spindle = new Spindle(this, sun, turned, seats);
    double thin = spindle.thin();
    double pins =
        placed.pins().stream().mapToDouble(Polar::radius).min().orElseThrow() * module
            - planets().stream().mapToDouble(this::pin).max().orElseThrow() / 2;
    // The bearing goes in between the posts, which stand before it.
    Optional<BallBearing> pilot = pilot(thin, Math.min(pins, ties.nearest() + LIP));
    double thick = thick(plate, pilot);
    MemberId out = free ? loose.getFirst() : carrier;
    Optional<Flange> flange =
        free ? Optional.of(flange(out, far + plate, radius)) : Optional.empty();
    double widest = Math.max(radius, flange.map(Flange::outer).orElse(0.0));
    double root =
        held.stream()
            .flatMap(ring -> of(ring).stream())
            .mapToDouble(PlanetaryBox::inner)
            .max()
            .orElse(0);
    Shell shell =
        Shell.round(room(Math.max(widest + AIR, root)), 2 * Math.max(widest, root), train.sizes());
    double face = near - plate - ties.screw().height() - AIR;
    Optional<BallBearing> bearing =
        Spindle.bearing(this, List.of(sun), thin, outside -> outside / 2 + LIP < widest);
    made(
        Piece.FRAME,
        "front plate",
        "",
        front(shell, bearing, thin, spindle.collar(), face, face).slabs(),
        Stand.at(0, 0, 0, 0));
    double foot = motor(shell, face - thickness(shell, bearing), x, y);
    wall(shell, "front wall", face, held.map(this::low).orElse(near - plate));
    held.ifPresent(ring -> layer(shell, ring));
    Stream.concat(Stream.of(sun), planets().stream())
        .flatMap(b -> of(b).stream())
        .forEach(this::take);
    pins(placed, near - plate + FLOOR, far + (free ? plate : thick) - FLOOR);
    if (held.isEmpty()) {
      Block layer = plate(shell, near - plate, near, Layer.INNER);
      frontPlate(ties, layer, x, y, near - plate, near, spindle.collar() + AIR / 2);
    } else {
      double hole = spindle.collar() + (free ? Math.max(room, 0.02) : AIR) / 2;
      Block disc = new Block(near - plate, near, Region.disc(radius));
      frontPlate(ties, disc, 0, 0, near - plate, near, hole);
      if (free) {
        bush(carrier, sun, near - plate, near, spindle.collar());
      }
    }
    Outgoing outgoing = outgoing(out, thin, held.isPresent() ? 2 * root : widest);
    double end;
    List<Slab> rear = new ArrayList<>();
    rear.addAll(ties.posts(near, far, plate));
    Block body =
        pinned(
            new Block(far, far + (free ? plate : thick), Region.disc(radius)),
            placed,
            free ? plate : thick,
            far,
            ties,
            near,
            plate);
    if (flange.isEmpty()) {
      end = far + thick + AIR;
      rear.addAll(piloted(body, pilot, thin, far, far + thick).slabs());
      rear.addAll(goOut(carrier, outgoing, shell, far + thick, end));
      made(carrier, "carrier rear plate", "its posts tie the plates", rear, middle());
    } else {
      rear.addAll(body.through(List.of(new double[] {0, 0}), spindle.reach() + room / 2).slabs());
      made(carrier, "carrier rear plate", "its posts tie the plates", rear, middle());
      if (held.isPresent()) {
        bush(carrier, sun, far, far + plate, spindle.reach());
      }
      Flange drum = flange.get();
      end = drum.face() + thick + drum.screw().height() + AIR;
      flange(drum, out, thick, pilot, thin, goOut(out, outgoing, shell, drum.face() + thick, end));
    }
    wall(shell, "rear wall", held.map(this::high).orElse(near), end);
    spindle.build(
        "shaft",
        new End(face, bearing, shell.wall(), Piece.FRAME),
        far(flange.map(Flange::face).orElse(far), thick, pilot, out),
        LIP,
        0);
    clamp(shell, foot, end + rear(outgoing));
  }

  private double pin(MemberId planet) {
    return Blank.of(train, planet).bore().orElseThrow().size().inBase();
  }

  /** Radius of the hole that a planet's pin is pressed into, mm. */
  private double hole(MemberId planet) {
    return (pin(planet) + fit) / 2;
  }

  private void bush(MemberId member, MemberId in, double from, double to, double radius) {
    supports.add(new Support(member, in, x, y, from, to, radius, Support.PLAIN));
  }

  /** The greatest radius of the lines inside a ring, mm. */
  private static double inner(Piece ring) {
    double most = 0;
    for (Slab slab : ring.slabs()) {
      double[] box = opened(slab.region()).bounds();
      most = Math.max(most, Math.max(box[2], box[3]));
    }
    return most;
  }

  private List<double[]> pinsOf(PlacedCarrier placed, MemberId planet) {
    List<double[]> at = new ArrayList<>();
    List<MemberId> planets = planets();
    for (int k = 0; k < placed.pins().size(); k++) {
      if (planets.get(set.paired() ? k % 2 : 0).equals(planet)) {
        Polar pin = placed.pins().get(k);
        double r = pin.radius() * module;
        at.add(new double[] {r * Math.cos(pin.angle()), r * Math.sin(pin.angle())});
      }
    }
    return at;
  }

  private void pins(PlacedCarrier placed, double from, double to) {
    for (MemberId planet : planets()) {
      double size = pin(planet);
      bought(
          carrier,
          set.paired() ? "pin of " + planet.name().replace('_', ' ') : "planet pin",
          mm(size) + " x " + mm(to - from),
          List.of(new Slab("", from, to, Region.disc(size / 2))),
          on(pinsOf(placed, planet), carrier, x, y),
          Optional.empty());
      double[] at = pinsOf(placed, planet).getFirst();
      supports.add(
          new Support(
              planet,
              carrier,
              x + at[0],
              y + at[1],
              low(planet),
              high(planet),
              size / 2,
              Support.PLAIN));
    }
  }

  private Block pinned(
      Block block,
      PlacedCarrier placed,
      double thick,
      double from,
      Ties ties,
      double near,
      double plate) {
    for (MemberId planet : planets()) {
      block.hole(pinsOf(placed, planet), hole(planet), from, from + thick - FLOOR);
    }
    return block.hole(
        ties.at(), ties.screw().core() / 2, from, Math.max(from, ties.end(near, plate)));
  }

  /**
   * The plate before the planets.
   *
   * @param block without holes but those of the housing, if it is a layer of that
   * @param dx where the axis is in it, mm
   * @param dy where the axis is in it, mm
   * @param hole radius of that for the shaft, mm
   */
  private void frontPlate(
      Ties ties, Block block, double dx, double dy, double from, double to, double hole) {
    PlacedCarrier placed = placed();
    block.through(moved(ties.at(), dx, dy), ties.screw().hole() / 2).hole(dx, dy, hole, from, to);
    for (MemberId planet : planets()) {
      block.hole(moved(pinsOf(placed, planet), dx, dy), hole(planet), from + FLOOR, to);
    }
    made(carrier, "carrier front plate", "", block.slabs(), Stand.at(x - dx, y - dy, 0, 0));
    screws(
        carrier,
        "tie screw",
        ties.screw(),
        from,
        true,
        to - from,
        ties.length(to - from),
        on(ties.at(), carrier, x, y),
        Optional.of(into("carrier rear plate")));
  }

  private static List<double[]> moved(List<double[]> places, double dx, double dy) {
    return places.stream().map(at -> new double[] {at[0] + dx, at[1] + dy}).toList();
  }

  private Flange flange(MemberId ring, double carrierEnd, double carrierRadius) {
    double root = of(ring).stream().mapToDouble(PlanetaryBox::inner).max().orElseThrow();
    return Flange.of(root, carrierRadius, carrierEnd + AIR);
  }

  private void flange(
      Flange flange,
      MemberId ring,
      double thick,
      Optional<BallBearing> pilot,
      double thin,
      List<Slab> shaft) {
    List<Piece> pieces = of(ring);
    for (Piece piece : pieces) {
      boolean last = piece.equals(pieces.getLast());
      take(piece.remade(piece.name(), flange.ring(piece, last, thick), piece.stands()));
    }
    double end = flange.face() + thick;
    Block body =
        new Block(flange.face(), end, Region.disc(flange.outer()))
            .through(flange.holes(0), flange.screw().hole() / 2);
    List<Slab> slabs = new ArrayList<>(piloted(body, pilot, thin, flange.face(), end).slabs());
    slabs.addAll(shaft);
    made(ring, "output flange", "", slabs, middle());
    screws(
        ring,
        "flange screw",
        flange.screw(),
        end,
        false,
        thick,
        flange.length(thick),
        on(flange.holes(0), ring, x, y),
        Optional.of(into(pieces.getLast().name())));
  }
}
