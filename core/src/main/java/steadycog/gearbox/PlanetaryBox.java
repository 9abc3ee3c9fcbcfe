package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.gearbox.Spindle.End;
import steadycog.gearbox.Spindle.Seat;
import steadycog.piece.Blank;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region;
import steadycog.piece.Slab;
import steadycog.shape.FaceLayout;
import steadycog.shape.PlacedCarrier;
import steadycog.train.BallBearing;
import steadycog.train.Bore;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * A planetary set with a ring that turns, which goes out at the far end: the second of two rows, or
 * of one row with the carrier's front plate as a layer of the housing; where nothing is held, the
 * carrier goes out at the drive end round the sun's shaft.
 */
final class PlanetaryBox extends CentralBox {
  /** The shaft's collar inside a carrier that goes out round the shaft, mm. */
  private static final double COLLAR = 2;

  /** Between the heads of tie screws and what they pass, mm. */
  private static final double BESIDE = 0.5;

  private final Planetary set;
  private final MemberId carrier;

  /** Whether nothing is held, so that the carrier goes out round the sun's shaft. */
  private boolean hollow;

  PlanetaryBox(Train train, FaceLayout layout, double chord, Planetary set) {
    super(train, layout, chord);
    this.set = set;
    carrier = set.carrierId();
  }

  @Override
  Optional<String> build() {
    List<MemberId> suns = bodies(set, false);
    List<MemberId> rings = bodies(set, true);
    List<MemberId> held = rings.stream().filter(this::isHeld).toList();
    List<MemberId> loose = rings.stream().filter(ring -> !isHeld(ring)).toList();
    boolean star = isHeld(carrier) && rings.size() == 1;
    hollow = held.isEmpty() && !star && rings.size() == 1;
    if (suns.size() == 1 && isHeld(suns.getFirst())) {
      return Optional.of(
          "a held sun needs an arm outside: drive it at 0 rpm, and its shaft goes out to be held"
              + " there");
    } else if (suns.size() != 1 || !isTaken(suns.getFirst())) {
      return Optional.of("it is made for one sun that drives or is driven");
    } else if (hollow && !(isTaken(carrier) && isTaken(rings.getFirst()))) {
      return Optional.of(
          "nothing is held: it is made where sun, ring and carrier all drive or are driven");
    } else if ((held.size() != 1 && !star && !hollow)
        || loose.isEmpty()
        || !(isTaken(carrier) || loose.stream().anyMatch(this::isTaken))) {
      return Optional.of(
          "it is made for a held ring, and an output at the carrier or another ring; or for one"
              + " ring and a carrier that is held, or goes out too");
    } else if (loose.size() > 1 || !isTaken(loose.getFirst())) {
      return Optional.of(loose.getFirst() + " turns idly: leave it out");
    } else if (rings.stream().anyMatch(this::isRim)) {
      return Optional.of(CUT_ROUND);
    } else if (!held.isEmpty() && low(loose.getFirst()) < low(held.getFirst())) {
      return Optional.of("the ring of the first row turns: hold it, and take off at the second");
    } else if (hollow && train.sizes().housing().motor().isPresent()) {
      return Optional.of("the carrier goes out where a motor's face would be: leave that out");
    }
    return unborne(set).or(() -> put(suns.getFirst(), held.stream().findFirst(), loose.getFirst()));
  }

  private Optional<String> put(MemberId sun, Optional<MemberId> held, MemberId out) {
    PlacedCarrier placed = placed(set);
    x = placed.x() * module;
    y = placed.y() * module;
    Bore bore = Blank.of(train, sun).bore().orElseThrow();
    Carriage carriage = new Carriage(this, set);
    double plate = plateMm(carrier);
    double before = hollow ? plate + COLLAR : plate;
    double radius = carriage.radius();
    double near = carriage.near();
    double far = carriage.far();
    List<Seat> seats = new ArrayList<>(List.of(new Seat("sun", low(sun), high(sun), bore)));
    if (held.isPresent()) {
      seats.add(new Seat("carrier", far, far + plate, Spindle.bare(bore)));
    }
    Spindle spindle = new Spindle(this, sun, shaft(sun), seats);
    double thin = spindle.thin();
    Optional<Hub> hub =
        hollow ? Hub.of(this, carrier, (thin + room) / 2, carriage.free(BESIDE)) : Optional.empty();
    if (hollow && hub.isEmpty()) {
      return Optional.of(
          "the carrier has no room for a hub round the sun's shaft: a thinner bore of the sun makes"
              + " some");
    }
    Optional<BallBearing> pilot = carriage.pilot(thin);
    double thick = thick(plate, pilot);
    Flange flange = flange(out, far + plate, radius);
    double widest = Math.max(Math.max(radius, flange.outer()), carriage.reach());
    double root =
        held.stream()
            .flatMap(ring -> of(ring).stream())
            .mapToDouble(CentralBox::inner)
            .max()
            .orElse(0);
    Shell shell =
        Shell.round(room(Math.max(widest + AIR, root)), 2 * Math.max(widest, root), train.sizes());
    double face = near - before - carriage.head() - AIR;
    Optional<BallBearing> bearing =
        hollow
            ? Optional.empty()
            : Spindle.bearing(this, List.of(sun), thin, outside -> outside / 2 + LIP < widest);
    double low = face - hub.map(Hub::plate).orElseGet(() -> thickness(shell, bearing));
    Block front =
        hub.map(tube -> tube.around(plate(shell, low, face, Layer.FRONT), this, face))
            .orElseGet(() -> front(shell, bearing, thin, spindle.collar(), face, face));
    made(Piece.FRAME, "front plate", "", front.slabs(), Stand.at(0, 0, 0, 0));
    double foot = motor(shell, low, x, y);
    boolean star = held.isEmpty() && !hollow;
    if (!hollow) {
      wall(shell, "front wall", face, held.map(this::low).orElse(near - plate));
    }
    held.ifPresent(ring -> layer(shell, ring));
    takeInside(set);
    carriage.washers();
    carriage.pins(near - before, far + plate);
    if (star) {
      Block layer = plate(shell, near - plate, near, Layer.INNER);
      layer.hole(x, y, spindle.collar() + AIR / 2, near - plate, near);
      carriage.frontPlate(List.of(), layer, x, y, near - plate, near);
    } else {
      carriage.frontPlate(
          hub.map(tube -> tube.build(this, carrier, face, near - before)).orElse(List.of()),
          frontDisc(hub, radius, near - before, near, spindle.collar()),
          0,
          0,
          near - before,
          near);
    }
    if (held.isPresent()) {
      bush(carrier, sun, near - plate, near, spindle.collar());
    }
    Outgoing outgoing = outgoing(out, thin, held.isPresent() ? 2 * root : widest);
    double hole = held.isPresent() ? spindle.reach() + room / 2 : spindle.collar() + AIR;
    Block body = carriage.behind(far + plate, before).hole(0, 0, hole, far, far + plate);
    carriage.rearPlate(body, before, List.of());
    if (held.isPresent()) {
      bush(carrier, sun, far, far + plate, spindle.reach());
    }
    double end = flange.face() + thick + flange.screw().height() + AIR;
    List<Slab> shaft = goOut(out, outgoing, shell, flange.face() + thick, end);
    flange(flange, out, thick, pilot, thin, shaft);
    wall(
        shell,
        hollow ? "wall" : "rear wall",
        held.map(this::high).orElse(hollow ? face : near),
        end);
    End drive =
        hub.map(h -> new End(near - COLLAR, bearing, near - COLLAR - h.end(face), carrier))
            .orElseGet(() -> new End(face, bearing, shell.wall(), Piece.FRAME));
    spindle.build("shaft", drive, far(flange.face(), thick, pilot, out), LIP, 0);
    clamp(shell, foot, end + rear(outgoing.bearing()));
    Marks.on(this, set);
    return Optional.empty();
  }

  /** The plate before the planets where it turns, with the hole for the shaft. */
  private Block frontDisc(Optional<Hub> hub, double radius, double from, double to, double collar) {
    Block disc = new Block(from, to, Region.disc(radius));
    return hub.map(
            tube ->
                disc.hole(0, 0, tube.hole(), from, to)
                    .hole(0, 0, collar + AIR / 2, to - COLLAR, to))
        .orElseGet(() -> disc.hole(0, 0, collar + Math.max(room, 0.02) / 2, from, to));
  }

  private void bush(MemberId member, MemberId in, double from, double to, double radius) {
    supports.add(new Support(member, in, x, y, from, to, radius, Support.PLAIN));
  }

  private Flange flange(MemberId ring, double carrierEnd, double carrierRadius) {
    double root = of(ring).stream().mapToDouble(CentralBox::inner).max().orElseThrow();
    return Flange.of(root, carrierRadius, Math.max(carrierEnd + AIR, high(ring)));
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
    made(ring, side(ring) + " flange", "", slabs, middle());
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
