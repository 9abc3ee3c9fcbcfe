package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.gearbox.Spindle.End;
import steadycog.gearbox.Spindle.Seat;
import steadycog.piece.Blank;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Pieces;
import steadycog.piece.Region;
import steadycog.piece.Slab;
import steadycog.shape.FaceLayout;
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
    return whole && (several || holds.contains(ring(all.getFirst())))
        ? Optional.of(chain)
        : Optional.empty();
  }

  private static boolean drives(Train train, Planetary one, Planetary other) {
    MemberId carrier = one.carrierId();
    MemberId sun = sun(other);
    return train.joins().stream().anyMatch(join -> join.touches(carrier) && join.touches(sun));
  }

  /** One set, its measures where it now stands. */
  private final class Stage {
    final Planetary set;
    final Carriage carriage;
    final double plate;
    final double root;
    final double widest;

    Stage(Planetary set) {
      this.set = set;
      carriage = new Carriage(StackBox.this, set);
      plate = plateMm(set.carrierId());
      root = of(ring()).stream().mapToDouble(CentralBox::inner).max().orElseThrow();
      widest = Math.max(carriage.radius(), carriage.reach());
    }

    MemberId sun() {
      return CentralBox.sun(set);
    }

    MemberId ring() {
      return CentralBox.ring(set);
    }

    Spindle spindle() {
      Bore bore = Blank.of(train, sun()).bore().orElseThrow();
      return new Spindle(
          StackBox.this,
          sun(),
          shaft(sun()),
          List.of(new Seat("sun", low(sun()), high(sun()), bore)));
    }

    double face() {
      return carriage.near() - plate - carriage.head() - AIR;
    }

    Optional<BallBearing> pilot() {
      return carriage.pilot(spindle().thin());
    }

    double thick() {
      return CentralBox.thick(plate, pilot());
    }

    double back() {
      return carriage.far() + thick();
    }

    double end() {
      return Math.max(back() + AIR, high(ring()));
    }

    End pilotEnd() {
      return CentralBox.far(carriage.far(), thick(), pilot(), set.carrierId());
    }
  }

  /** The bearing of a carrier that is the shaft of the next sun; empty where there is no room. */
  private static Optional<BallBearing> between(Stage next) {
    double shaft = 2 * (next.spindle().reach() + SHOULDER);
    double room = 2 * (next.carriage.free(0) - AIR);
    return BallBearing.usual().stream()
        .filter(one -> one.bore() >= shaft && one.bore() <= room)
        .findFirst();
  }

  @Override
  Optional<String> build() {
    for (Planetary set : sets) {
      MemberId ring = ring(set);
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
    MemberId in = sun(sets.getFirst());
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
    List<Piece> all =
        pieces.all().stream()
            .map(one -> one.member().part().equals(set.name()) ? moved(one, dx, dy, dz) : one)
            .toList();
    pieces = new Pieces(all, pieces.left());
  }

  private static Piece moved(Piece piece, double dx, double dy, double dz) {
    List<Stand> at = piece.stands().stream().map(one -> one.moved(dx, dy, dz)).toList();
    return piece.remade(piece.name(), piece.slabs(), at);
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
    clamp(shell, foot, last.end() + rear(out.bearing()));
    sets.forEach(set -> Marks.on(this, set));
  }

  /**
   * Ring, wheels, pins and the plate before the planets of a set, and the walls beside its ring.
   */
  private void body(Stage stage, Shell shell, double hole) {
    Carriage carriage = stage.carriage;
    double near = carriage.near();
    double from = near - stage.plate;
    wall(shell, carriage.named("front wall"), stage.face(), low(stage.ring()));
    layer(shell, stage.ring());
    takeInside(stage.set);
    carriage.washers();
    carriage.pins(from, stage.back());
    Block disc = new Block(from, near, Region.disc(carriage.radius())).hole(0, 0, hole, from, near);
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
    return slabs;
  }

  private void rearPlate(Stage stage, List<Slab> behind) {
    Carriage carriage = stage.carriage;
    Block body = carriage.behind(stage.back(), stage.plate);
    double thin = stage.spindle().thin();
    piloted(body, stage.pilot(), thin, carriage.far(), stage.back());
    carriage.rearPlate(body, stage.plate, behind);
  }
}
