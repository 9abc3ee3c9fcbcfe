package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import steadycog.gearbox.Spindle.End;
import steadycog.gearbox.Spindle.Seat;
import steadycog.piece.Blank;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Orbit;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Pieces;
import steadycog.piece.Region;
import steadycog.piece.Slab;
import steadycog.shape.FaceLayout;
import steadycog.shape.PlacedCarrier;
import steadycog.train.BallBearing;
import steadycog.train.Bore;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * A planetary set with its ring held, or several one behind the other: the carrier of each goes
 * through a plate of the housing and is the shaft of the next sun.
 */
final class StackBox extends CentralBox {
  /** Beyond the next sun's shaft a journal is so much thicker, on which that sun rests, mm. */
  private static final double SHOULDER = 0.5;

  private final List<Planetary> sets;
  private final List<Stage> stages = new ArrayList<>();

  StackBox(Train train, FaceLayout layout, double chord, List<Planetary> sets) {
    super(train, layout, chord);
    this.sets = sets;
  }

  /** Sets of a train in the order of the flow of power; empty where they are none of these. */
  static Optional<List<Planetary>> chain(Train train) {
    List<Planetary> all = new ArrayList<>();
    for (Part part : train.parts()) {
      if (!(part instanceof Planetary set)
          || bodies(set, false).size() != 1
          || bodies(set, true).size() != 1) {
        return Optional.empty();
      }
      all.add(set);
    }
    List<Planetary> chain = new ArrayList<>();
    Optional<Planetary> next =
        all.stream().filter(set -> all.stream().noneMatch(b -> drives(train, b, set))).findFirst();
    while (next.isPresent() && !chain.contains(next.get())) {
      Planetary last = next.get();
      chain.add(last);
      next = all.stream().filter(set -> drives(train, last, set)).findFirst();
    }
    boolean whole = chain.size() == all.size() && train.joins().size() == all.size() - 1;
    List<MemberId> holds = train.rolesInForce().holds();
    boolean several = all.size() > 1;
    return whole && (several || holds.contains(bodies(all.getFirst(), true).getFirst()))
        ? Optional.of(chain)
        : Optional.empty();
  }

  private static boolean drives(Train train, Planetary one, Planetary other) {
    MemberId carrier = one.carrierId();
    MemberId sun = bodies(other, false).getFirst();
    return train.joins().stream().anyMatch(join -> join.touches(carrier) && join.touches(sun));
  }

  /** One set, its measures where it now stands. */
  private final class Stage {
    final Planetary set;
    final PlacedCarrier placed;
    final Ties ties;
    final Carriage carriage;
    final double plate;
    final double radius;
    final double root;
    final double widest;

    Stage(Planetary set) {
      this.set = set;
      placed = placed(set);
      ties = Ties.of(placed, wheels(set), module, last(set) - first(set));
      carriage = new Carriage(StackBox.this, set, placed, ties);
      plate = plateMm(set.carrierId());
      radius = Math.max(placed.bodyRadius() * module, ties.farthest());
      root = of(ring()).stream().mapToDouble(CentralBox::inner).max().orElseThrow();
      widest = Math.max(radius, reach(set));
    }

    MemberId sun() {
      return bodies(set, false).getFirst();
    }

    MemberId ring() {
      return bodies(set, true).getFirst();
    }

    Spindle spindle() {
      Bore bore = Blank.of(train, sun()).bore().orElseThrow();
      Stand turned = Stand.at(x, y, 0, of(sun()).getFirst().stands().getFirst().angle());
      return new Spindle(
          StackBox.this, sun(), turned, List.of(new Seat("sun", low(sun()), high(sun()), bore)));
    }

    double near() {
      return first(set) - PLAY;
    }

    double far() {
      return last(set) + PLAY;
    }

    double face() {
      return near() - plate - ties.head() - AIR;
    }

    Optional<BallBearing> pilot() {
      double most = Math.min(carriage.nearest(), ties.nearest() + LIP);
      return StackBox.this.pilot(spindle().thin(), most);
    }

    double thick() {
      return CentralBox.thick(plate, pilot());
    }

    double back() {
      return far() + thick();
    }

    double end() {
      return Math.max(back() + AIR, high(ring()));
    }

    End pilotEnd() {
      return CentralBox.far(far(), thick(), pilot(), set.carrierId());
    }
  }

  /** The bearing of a carrier that is the shaft of the next sun; empty where there is no room. */
  private static Optional<BallBearing> between(Stage next) {
    double shaft = 2 * (next.spindle().reach() + SHOULDER);
    double room = 2 * (Math.min(next.ties.free(), next.carriage.nearest()) - AIR);
    return BallBearing.usual().stream()
        .filter(one -> one.bore() >= shaft && one.bore() <= room)
        .findFirst();
  }

  @Override
  Optional<String> build() {
    for (Planetary set : sets) {
      MemberId ring = bodies(set, true).getFirst();
      if (!isHeld(ring)) {
        return Optional.of("of sets in a row it is made for held rings, and " + ring + " is free");
      } else if (isRim(ring)) {
        return Optional.of(CUT_ROUND);
      }
      Optional<String> unborne = unborne(set);
      if (unborne.isPresent()) {
        return unborne;
      }
    }
    MemberId in = bodies(sets.getFirst(), false).getFirst();
    MemberId out = sets.getLast().carrierId();
    if (!isTaken(in) || !isTaken(out)) {
      return Optional.of("where rings are held it is made from " + in + " to " + out);
    }
    List<BallBearing> bearings = new ArrayList<>();
    x = placed(sets.getFirst()).x() * module;
    y = placed(sets.getFirst()).y() * module;
    for (Planetary set : sets) {
      Stage stage = new Stage(set);
      if (!stages.isEmpty()) {
        Optional<BallBearing> bearing = between(stage);
        if (bearing.isEmpty()) {
          return Optional.of("the shaft of " + stage.sun() + " is too thick for its carrier");
        }
        bearings.add(bearing.get());
        move(set, stages.getLast().end() + rear(bearing.get()) - stage.face());
      }
      stages.add(stage);
    }
    put(bearings);
    return Optional.empty();
  }

  /** Moves a set onto the common axis, and along it. */
  private void move(Planetary set, double dz) {
    double dx = x - placed(set).x() * module;
    double dy = y - placed(set).y() * module;
    pieces =
        new Pieces(
            pieces.all().stream()
                .map(
                    piece ->
                        piece.member().part().equals(set.name())
                            ? piece.remade(
                                piece.name(),
                                piece.slabs(),
                                piece.stands().stream()
                                    .map(
                                        at ->
                                            new Stand(
                                                at.x() + dx,
                                                at.y() + dy,
                                                at.z() + dz,
                                                at.angle(),
                                                at.orbit()
                                                    .map(
                                                        o ->
                                                            new Orbit(
                                                                o.carrier(),
                                                                o.x() + dx,
                                                                o.y() + dy))))
                                    .toList())
                            : piece)
                .toList(),
            pieces.left());
  }

  private void put(List<BallBearing> bearings) {
    Stage first = stages.getFirst();
    Stage last = stages.getLast();
    Spindle spindle = first.spindle();
    double thin = spindle.thin();
    double widest = stages.stream().mapToDouble(one -> one.widest).max().orElseThrow();
    double root = stages.stream().mapToDouble(one -> one.root).max().orElseThrow();
    Shell shell =
        Shell.round(room(Math.max(widest + AIR, root)), 2 * Math.max(widest, root), train.sizes());
    double face = first.face();
    Optional<BallBearing> bearing =
        Spindle.bearing(this, List.of(first.sun()), thin, outside -> outside / 2 + LIP < widest);
    Block front = front(shell, bearing, thin, spindle.collar(), face, face);
    made(Piece.FRAME, "front plate", "", front.slabs(), Stand.at(0, 0, 0, 0));
    double foot = motor(shell, face - thickness(shell, bearing), x, y);
    Outgoing out = outgoing(last.set.carrierId(), last.spindle().thin(), 2 * last.root);
    for (int k = 0; k < stages.size(); k++) {
      Stage stage = stages.get(k);
      double hole = k == 0 ? spindle.collar() : bearings.get(k - 1).bore() / 2.0;
      body(stage, shell, hole + AIR / 2);
      List<Slab> behind =
          stage.equals(last)
              ? goOut(stage.set.carrierId(), out, shell, stage.back(), stage.end())
              : onwards(stage, stages.get(k + 1), bearings.get(k), shell);
      rearPlate(stage, behind);
      wall(shell, stage.carriage.named("rear wall"), high(stage.ring()), stage.end());
    }
    spindle.build(
        "shaft", new End(face, bearing, shell.wall(), Piece.FRAME), first.pilotEnd(), LIP, 0);
    clamp(shell, foot, last.end() + rear(out));
  }

  /**
   * Ring, wheels, pins and the plate before the planets of a set, and the walls beside its ring.
   */
  private void body(Stage stage, Shell shell, double hole) {
    Carriage carriage = stage.carriage;
    double near = stage.near();
    double from = near - stage.plate;
    wall(shell, carriage.named("front wall"), stage.face(), low(stage.ring()));
    layer(shell, stage.ring());
    Stream.concat(Stream.of(stage.sun()), Carriage.planets(stage.set).stream())
        .flatMap(body -> of(body).stream())
        .forEach(this::take);
    carriage.washers(stage.far());
    carriage.pins(from, stage.back());
    Block disc = new Block(from, near, Region.disc(stage.radius)).hole(0, 0, hole, from, near);
    carriage.frontPlate(List.of(), disc, 0, 0, from, near);
  }

  /** Through the housing's plate between two sets, and on as the shaft of the next sun. */
  private List<Slab> onwards(Stage stage, Stage next, BallBearing bearing, Shell shell) {
    Carriage carriage = stage.carriage;
    Plate middle =
        new Plate(Layer.INNER, carriage.named("middle plate"), carriage.named("carrier bearing"));
    List<Slab> slabs =
        goThrough(stage.set.carrierId(), bearing, shell, stage.back(), stage.end(), middle);
    double from = slabs.getLast().to();
    slabs.add(new Slab("shoulder", from, low(next.sun()), Region.disc(bearing.bore() / 2.0)));
    String name = next.carriage.named("sun");
    slabs.addAll(next.spindle().partOf(name, next.pilotEnd()));
    next.spindle().carryFar(name, next.pilotEnd());
    return slabs;
  }

  private void rearPlate(Stage stage, List<Slab> behind) {
    double far = stage.far();
    List<Slab> slabs = new ArrayList<>(stage.ties.posts(stage.near(), far, stage.plate));
    Block body =
        stage.carriage.rearPlate(far, stage.back(), stage.radius, stage.near(), stage.plate);
    double thin = stage.spindle().thin();
    slabs.addAll(piloted(body, stage.pilot(), thin, far, stage.back()).slabs());
    slabs.addAll(behind);
    made(
        stage.set.carrierId(),
        stage.carriage.named("carrier rear plate"),
        stage.ties.remark(),
        slabs,
        middle());
  }
}
