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
import steadycog.shape.Rims;
import steadycog.train.BallBearing;
import steadycog.train.Bore;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * A planetary set: a carrier of two plates tied together round its planets. What is held, ring or
 * the carrier's front plate, is a layer of the housing; where nothing is, the carrier goes out at
 * the drive end round the sun's shaft.
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
    Optional<MemberId> out =
        Stream.concat(loose.stream(), Stream.of(carrier)).filter(this::isTaken).findFirst();
    if (suns.size() == 1 && isHeld(suns.getFirst())) {
      return Optional.of(
          "a held sun needs an arm outside: drive it at 0 rpm, and its shaft goes out to be held"
              + " there");
    } else if (suns.size() != 1 || !isTaken(suns.getFirst())) {
      return Optional.of("it is made for one sun that drives or is driven");
    } else if (hollow && !(isTaken(carrier) && isTaken(rings.getFirst()))) {
      return Optional.of(
          "nothing is held: it is made where sun, ring and carrier all drive or are driven");
    } else if ((held.size() != 1 && !star && !hollow) || out.isEmpty() || isHeld(out.get())) {
      return Optional.of(
          "it is made for a held ring, and an output at the carrier or another ring; or for one"
              + " ring and a carrier that is held, or goes out too");
    } else if (loose.size() > 1 || (loose.size() == 1 && out.get().equals(carrier))) {
      return Optional.of(loose.getFirst() + " turns idly: leave it out");
    } else if (rings.stream().anyMatch(ring -> Rims.of(train).containsValue(ring))) {
      return Optional.of("a wheel is cut round its ring");
    } else if (!held.isEmpty()
        && !loose.isEmpty()
        && low(loose.getFirst()) < low(held.getFirst())) {
      return Optional.of("the ring of the first row turns: hold it, and take off at the second");
    } else if (hollow && train.sizes().housing().motor().isPresent()) {
      return Optional.of("the carrier goes out where a motor's face would be: leave that out");
    }
    return build(suns.getFirst(), held.stream().findFirst(), loose);
  }

  private Optional<String> build(MemberId sun, Optional<MemberId> held, List<MemberId> loose) {
    PlacedCarrier placed = placed(set);
    x = placed.x() * module;
    y = placed.y() * module;
    Optional<Bore> bore = Blank.of(train, sun).bore();
    Ties ties = Ties.of(placed, wheels(set), module, last(set) - first(set));
    if (bore.isEmpty()) {
      return Optional.of("the sun is too small for a shaft through it");
    } else if (Carriage.planets(set).stream().anyMatch(p -> Blank.of(train, p).bore().isEmpty())) {
      return Optional.of("the planets are too small for pins");
    }
    return put(sun, held, loose, placed, bore.get(), ties);
  }

  private Optional<String> put(
      MemberId sun,
      Optional<MemberId> held,
      List<MemberId> loose,
      PlacedCarrier placed,
      Bore bore,
      Ties ties) {
    boolean free = !loose.isEmpty();
    double plate = plateMm(carrier);
    double before = hollow ? plate + COLLAR : plate;
    double radius = Math.max(placed.bodyRadius() * module, ties.farthest());
    double near = first(set) - PLAY;
    double far = last(set) + PLAY;
    List<Seat> seats = new ArrayList<>(List.of(new Seat("sun", low(sun), high(sun), bore)));
    boolean bushed = free && held.isPresent();
    if (bushed) {
      seats.add(new Seat("carrier", far, far + plate, Spindle.bare(bore)));
    }
    Stand turned = Stand.at(x, y, 0, of(sun).getFirst().stands().getFirst().angle());
    Spindle spindle = new Spindle(this, sun, turned, seats);
    double thin = spindle.thin();
    Carriage carriage = new Carriage(this, set, placed, ties);
    Optional<Hub> hub =
        hollow
            ? Hub.of(
                this,
                carrier,
                (thin + room) / 2,
                Math.min(ties.free() - BESIDE, carriage.nearest()))
            : Optional.empty();
    if (hollow && hub.isEmpty()) {
      return Optional.of(
          "the carrier has no room for a hub round the sun's shaft: a thinner bore of the sun makes"
              + " some");
    }
    // The bearing goes in between the posts, which stand before it.
    Optional<BallBearing> pilot = pilot(thin, Math.min(carriage.nearest(), ties.nearest() + LIP));
    double thick = thick(plate, pilot);
    MemberId out = free ? loose.getFirst() : carrier;
    Optional<Flange> flange =
        free ? Optional.of(flange(out, far + plate, radius)) : Optional.empty();
    double widest = Math.max(radius, flange.map(Flange::outer).orElse(0.0));
    double root =
        held.stream()
            .flatMap(ring -> of(ring).stream())
            .mapToDouble(CentralBox::inner)
            .max()
            .orElse(0);
    Shell shell =
        Shell.round(room(Math.max(widest + AIR, root)), 2 * Math.max(widest, root), train.sizes());
    double face = near - before - ties.head() - AIR;
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
    Stream.concat(Stream.of(sun), Carriage.planets(set).stream())
        .flatMap(b -> of(b).stream())
        .forEach(this::take);
    carriage.washers(far);
    carriage.pins(near - before, far + (free ? plate : thick));
    if (star) {
      Block layer = plate(shell, near - plate, near, Layer.INNER);
      layer.hole(x, y, spindle.collar() + AIR / 2, near - plate, near);
      carriage.frontPlate(List.of(), layer, x, y, near - plate, near);
    } else {
      carriage.frontPlate(
          hub.map(tube -> tube.build(this, carrier, face, near - before)).orElse(List.of()),
          frontDisc(hub, radius, near - before, near, spindle.collar(), free),
          0,
          0,
          near - before,
          near);
      if (bushed) {
        bush(carrier, sun, near - plate, near, spindle.collar());
      }
    }
    Outgoing outgoing = outgoing(out, thin, held.isPresent() ? 2 * root : widest);
    double end;
    List<Slab> rear = new ArrayList<>();
    rear.addAll(ties.posts(near, far, before));
    Block body = carriage.rearPlate(far, far + (free ? plate : thick), radius, near, before);
    if (flange.isEmpty()) {
      end = Math.max(far + thick + AIR, held.map(this::high).orElse(-Double.MAX_VALUE));
      rear.addAll(piloted(body, pilot, thin, far, far + thick).slabs());
      rear.addAll(goOut(carrier, outgoing, shell, far + thick, end));
      made(carrier, carriage.named("carrier rear plate"), ties.remark(), rear, middle());
    } else {
      double hole = bushed ? spindle.reach() + room / 2 : spindle.collar() + AIR;
      rear.addAll(body.hole(0, 0, hole, far, far + plate).slabs());
      made(carrier, carriage.named("carrier rear plate"), ties.remark(), rear, middle());
      if (bushed) {
        bush(carrier, sun, far, far + plate, spindle.reach());
      }
      Flange drum = flange.get();
      end = drum.face() + thick + drum.screw().height() + AIR;
      flange(drum, out, thick, pilot, thin, goOut(out, outgoing, shell, drum.face() + thick, end));
    }
    wall(
        shell,
        hollow ? "wall" : "rear wall",
        held.map(this::high).orElse(hollow ? face : near),
        end);
    End drive =
        hub.map(h -> new End(near - COLLAR, bearing, near - COLLAR - h.end(face), carrier))
            .orElseGet(() -> new End(face, bearing, shell.wall(), Piece.FRAME));
    spindle.build(
        "shaft", drive, far(flange.map(Flange::face).orElse(far), thick, pilot, out), LIP, 0);
    clamp(shell, foot, end + rear(outgoing));
    return Optional.empty();
  }

  /** The plate before the planets where it turns, with the hole for the shaft. */
  private Block frontDisc(
      Optional<Hub> hub, double radius, double from, double to, double collar, boolean free) {
    Block disc = new Block(from, to, Region.disc(radius));
    return hub.map(
            tube ->
                disc.hole(0, 0, tube.hole(), from, to)
                    .hole(0, 0, collar + AIR / 2, to - COLLAR, to))
        .orElseGet(
            () -> disc.hole(0, 0, collar + (free ? Math.max(room, 0.02) : AIR) / 2, from, to));
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
