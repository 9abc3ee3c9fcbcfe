package steadycog.gearbox;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Geometry;
import steadycog.gearbox.Spindle.End;
import steadycog.gearbox.Spindle.Seat;
import steadycog.number.Known;
import steadycog.piece.Blank;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Slab;
import steadycog.shape.Axes;
import steadycog.shape.FaceLayout;
import steadycog.shape.PlacedWheel;
import steadycog.train.BallBearing;
import steadycog.train.Bore;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Parallel;
import steadycog.train.Roles;
import steadycog.train.Take;
import steadycog.train.Train;

/** Wheels on shafts between two plates, a wall round them. */
final class ParallelBox extends Box {
  /** How the names of its wheels begin. */
  static final String WHEEL = "wheel ";

  private final Parallel chain;
  private final Axes shafts;
  private final Map<MemberId, Piece> wheels = new HashMap<>();
  private final Map<MemberId, Double> turned = new HashMap<>();
  private final List<Integer> planes;
  private final Storeys storeys;

  ParallelBox(Train train, FaceLayout layout, double chord, Parallel chain) {
    super(train, layout, chord);
    this.chain = chain;
    shafts = Axes.ofShafts(train);
    pieces.all().forEach(piece -> wheels.put(piece.member(), piece));
    planes = layout.wheels().stream().map(PlacedWheel::plane).distinct().sorted().toList();
    storeys =
        new Storeys(
            planes.stream()
                .map(
                    plane ->
                        layout.wheels().stream()
                            .filter(wheel -> wheel.plane() == plane)
                            .mapToDouble(wheel -> Blank.widthMm(train, wheel.id()))
                            .max()
                            .orElseThrow())
                .toList(),
            Blank.ROW_GAP * module);
  }

  /** A shaft with its wheels. */
  private record Line(
      List<MemberId> wheels, double x, double y, double radius, double thin, double collar) {
    double apart(Line other) {
      return Math.hypot(other.x - x, other.y - y);
    }

    boolean isInLineWith(Line other) {
      return apart(other) < AIR;
    }
  }

  @Override
  Optional<String> build() {
    List<Line> lines = new ArrayList<>();
    for (int k = 0; k < shafts.count(); k++) {
      List<MemberId> on = shafts.on(k).stream().map(Member::id).toList();
      for (MemberId wheel : on) {
        if (train.member(wheel).teeth().orElseThrow().internal()) {
          return Optional.of("wheel " + wheel + " is internal, and needs a cup on its shaft");
        }
        if (Blank.of(train, wheel).bore().isEmpty()) {
          return Optional.of("wheel " + wheel + " is too small for a shaft through it");
        }
      }
      Stand stand = at(on.getFirst());
      double radius =
          on.stream().mapToDouble(w -> layout.wheel(w).bodyRadius() * module).max().orElseThrow();
      double thin = on.stream().mapToDouble(w -> bore(w).size().inBase()).min().orElseThrow();
      double collar = new Spindle(this, on.getFirst(), stand, seats(on)).collar();
      Line line = new Line(on, stand.x(), stand.y(), radius, thin, collar);
      for (Line other : lines) {
        if (line.isInLineWith(other) && last(other) >= first(line) && last(line) >= first(other)) {
          return Optional.of(
              "shafts of "
                  + other.wheels.getFirst()
                  + " and "
                  + on.getFirst()
                  + " lie in line, and neither begins where the other ends");
        }
      }
      lines.add(line);
    }
    clock(lines);
    return put(lines);
  }

  @Override
  boolean isClear(double x, double y, double radius, double from, double to) {
    return wheels.values().stream()
        .noneMatch(
            wheel -> {
              Stand at = wheel.stands().getFirst();
              double away = Math.hypot(at.x() - x, at.y() - y);
              double tip = layout.wheel(wheel.member()).bodyRadius() * module;
              double low = from(wheel.member());
              return away > AIR
                  && away < tip + radius + AIR / 2
                  && low < to
                  && low + wheel.slabs().getLast().to() > from;
            });
  }

  private Bore bore(MemberId wheel) {
    return Blank.of(train, wheel).bore().orElseThrow();
  }

  private Stand at(MemberId wheel) {
    return Known.in(wheels, wheel).stands().getFirst();
  }

  /** Turns all wheels so that those of one shaft stand alike, in mesh as before. */
  private void clock(List<Line> lines) {
    List<MemberId> open = new ArrayList<>();
    turn(lines, chain.members().getFirst().id(), 0, open);
    while (!open.isEmpty()) {
      MemberId wheel = open.removeFirst();
      for (Mesh mesh : train.meshes()) {
        boolean first = mesh.a().equals(wheel);
        if (first || mesh.b().equals(wheel)) {
          MemberId mate = first ? mesh.b() : mesh.a();
          double own = (first ? mesh.teethA() : mesh.teethB()).count();
          double its = (first ? mesh.teethB() : mesh.teethA()).count();
          if (!turned.containsKey(mate)) {
            turn(lines, mate, -Known.in(turned, wheel) * own / its, open);
          }
        }
      }
    }
  }

  private void turn(List<Line> lines, MemberId wheel, double by, List<MemberId> open) {
    double angle = at(wheel).angle() + by;
    Line line = lines.stream().filter(one -> one.wheels.contains(wheel)).findFirst().orElseThrow();
    for (MemberId other : line.wheels) {
      turned.put(other, angle - at(other).angle());
      open.add(other);
    }
  }

  private boolean isInput(Line line) {
    return train.rolesInForce().drives().stream().anyMatch(d -> line.wheels.contains(d.member()));
  }

  private boolean isOutput(Line line) {
    Roles roles = train.rolesInForce();
    return roles.take().map(Take::member).filter(line.wheels::contains).isPresent();
  }

  /** A shaft's bearings: their kind, and the plates in which they are. */
  private record Borne(Optional<BallBearing> bearing, int front, int rear) {
    /** Of an end in its plate, mm. */
    double length(Shell shell) {
      return bearing.map(one -> (double) one.width()).orElseGet(shell::wall);
    }
  }

  private Optional<String> put(List<Line> lines) {
    List<Geometry> discs = new ArrayList<>();
    double widest = 0;
    Map<Line, Borne> borne = new LinkedHashMap<>();
    for (Line line : lines) {
      Optional<BallBearing> bearing =
          Spindle.bearing(
              this, line.wheels, line.thin, outside -> isClear(line, outside, lines, borne));
      Borne ends = new Borne(bearing, front(line), rear(line));
      boolean shut =
          (isInput(line) && ends.front > 0) || (isOutput(line) && ends.rear < storeys.planes());
      if (shut) {
        return Optional.of(
            "the shaft of "
                + line.wheels.getFirst()
                + " cannot go out past the wheel beside it: more teeth between them make room");
      }
      borne.put(line, ends);
      double seat = bearing.map(one -> one.outside() / 2.0 + LIP).orElse(line.thin / 2 + LIP);
      discs.add(Shell.disc(line.x, line.y, Math.max(line.radius + AIR, seat)));
      widest = Math.max(widest, 2 * line.radius);
      if (isInput(line)) {
        discs.addAll(motorRoom(line.x, line.y));
      }
    }
    Shell shell = Shell.round(Shell.hull(discs), widest, train.sizes());
    borne.forEach(
        (line, ends) -> {
          for (int at : new int[] {ends.front, ends.rear}) {
            storeys.plate(at, thick(shell, ends, facing(line, at, borne)));
          }
        });
    double foot = storeys.low(0);
    for (Map.Entry<Line, Borne> one : borne.entrySet()) {
      if (isInput(one.getKey())) {
        foot = motor(shell, foot, one.getKey().x, one.getKey().y);
      }
      spindle(one.getKey(), one.getValue(), shell, borne);
    }
    plates(shell, borne);
    clamp(shell, foot, storeys.high(storeys.planes()));
    return Optional.empty();
  }

  private void plates(Shell shell, Map<Line, Borne> borne) {
    List<Integer> all = storeys.plates();
    for (int k = 0; k < all.size(); k++) {
      int at = all.get(k);
      boolean first = k == 0;
      boolean last = k + 1 == all.size();
      double low = storeys.low(at);
      double high = storeys.high(at);
      Block block = plate(shell, low, high, first ? front() : last ? Layer.REAR : Layer.INNER);
      borne.forEach(
          (line, ends) -> {
            if (ends.front == at || ends.rear == at) {
              double deep =
                  facing(line, at, borne).isPresent() ? ends.length(shell) + LIP : high - low;
              boolean drive = ends.front == at;
              bore(block, line, ends, drive ? high - deep : low, drive ? high : low + deep, drive);
            } else if (ends.front < at && at < ends.rear) {
              block.hole(line.x, line.y, line.collar + AIR, low, high);
            }
          });
      String name = first ? "front plate" : last ? "rear plate" : "middle plate";
      made(Piece.FRAME, numbered(name, k, all.size() > 3), "", block.slabs(), Stand.at(0, 0, 0, 0));
      if (!last) {
        made(
            Piece.FRAME,
            numbered("wall", k + 1, all.size() > 2),
            "",
            List.of(new Slab("", high, storeys.low(all.get(k + 1)), shell.ring(shell.room()))),
            Stand.at(0, 0, 0, 0));
      }
    }
  }

  /** Of the plate at a gap, for the end of a shaft and for one that ends there in line with it. */
  private static double thick(Shell shell, Borne ends, Optional<Borne> other) {
    double own = ends.length(shell);
    return other
        .map(its -> own + its.length(shell) + 2 * LIP)
        .orElse(Math.max(shell.wall(), ends.bearing.isEmpty() ? 0 : own + LIP));
  }

  /** What ends at a gap in line with another. */
  private static Optional<Borne> facing(Line line, int at, Map<Line, Borne> borne) {
    return borne.entrySet().stream()
        .filter(one -> !one.getKey().equals(line) && one.getKey().isInLineWith(line))
        .map(Map.Entry::getValue)
        .filter(its -> its.front == at || its.rear == at)
        .findFirst();
  }

  private static String numbered(String name, int number, boolean several) {
    return several && !name.equals("front plate") && !name.equals("rear plate")
        ? name + " " + number
        : name;
  }

  /** The gap in which a shaft's bearing at the drive end can be. */
  private int front(Line line) {
    int at = first(line);
    while (at > 0 && passes(line, at - 1)) {
      at--;
    }
    return at;
  }

  private int rear(Line line) {
    int at = last(line) + 1;
    while (at < storeys.planes() && passes(line, at)) {
      at++;
    }
    return at;
  }

  private int first(Line line) {
    return line.wheels.stream().mapToInt(this::plane).min().orElseThrow();
  }

  private int last(Line line) {
    return line.wheels.stream().mapToInt(this::plane).max().orElseThrow();
  }

  private int plane(MemberId wheel) {
    return planes.indexOf(layout.wheel(wheel).plane());
  }

  /** Whether a shaft, bare, can go past the wheels of a plane. */
  private boolean passes(Line line, int plane) {
    return wheels.keySet().stream()
        .filter(wheel -> plane(wheel) == plane && !line.wheels.contains(wheel))
        .allMatch(
            wheel ->
                Math.hypot(at(wheel).x() - line.x, at(wheel).y() - line.y)
                    > layout.wheel(wheel).bodyRadius() * module + line.thin / 2 + AIR / 2);
  }

  /** Whether seats of that diameter leave a wall to those of other shafts. */
  private static boolean isClear(
      Line line, double outside, List<Line> lines, Map<Line, Borne> borne) {
    for (Line other : lines) {
      if (!other.equals(line) && !other.isInLineWith(line)) {
        double its =
            borne.containsKey(other)
                ? Known.in(borne, other).bearing.map(BallBearing::outside).orElse(0)
                : other.thin;
        if ((outside + its) / 2 + LIP > line.apart(other)) {
          return false;
        }
      }
    }
    return true;
  }

  private void bore(Block plate, Line line, Borne ends, double low, double high, boolean drive) {
    if (ends.bearing.isEmpty()) {
      plate.hole(line.x, line.y, (line.thin + room) / 2, low, high);
      return;
    }
    BallBearing one = ends.bearing.get();
    double from = drive ? high - one.width() : low;
    plate
        .hole(line.x, line.y, Spindle.relief(one), low, high)
        .hole(line.x, line.y, seat(one), from, from + one.width());
  }

  private void spindle(Line line, Borne ends, Shell shell, Map<Line, Borne> borne) {
    double angle = 0;
    for (MemberId wheel : line.wheels) {
      Piece piece = Known.in(wheels, wheel);
      Stand stand = at(wheel);
      angle = stand.angle() + Known.in(turned, wheel);
      Stand there = new Stand(stand.x(), stand.y(), from(wheel), angle, Optional.empty());
      take(piece.remade(WHEEL + piece.name(), piece.slabs(), List.of(there)));
    }
    MemberId member = line.wheels.getFirst();
    Stand stand = Stand.at(line.x, line.y, 0, angle);
    double[] plain =
        IntStream.of(ends.front, ends.rear)
            .mapToDouble(
                at -> facing(line, at, borne).map(its -> ends.length(shell)).orElse(thick(at)))
            .toArray();
    new Spindle(this, member, stand, seats(line.wheels))
        .build(
            "shaft " + member.name(),
            new End(storeys.high(ends.front), ends.bearing, plain[0], Piece.FRAME),
            new End(storeys.low(ends.rear), ends.bearing, plain[1], Piece.FRAME),
            isInput(line) ? rest(0, ends) : 0,
            isOutput(line) ? rest(storeys.planes(), ends) : 0);
  }

  private double from(MemberId wheel) {
    return storeys.from(plane(wheel));
  }

  private List<Seat> seats(List<MemberId> on) {
    return on.stream()
        .map(
            wheel ->
                new Seat(
                    wheel.name(),
                    from(wheel),
                    from(wheel) + Known.in(wheels, wheel).slabs().getLast().to(),
                    bore(wheel)))
        .toList();
  }

  private double thick(int at) {
    return storeys.high(at) - storeys.low(at);
  }

  /** Of a plate, beyond the bearing in it. */
  private double rest(int at, Borne borne) {
    return Math.max(
        LIP, thick(at) - borne.bearing.map(one -> (double) one.width()).orElse(thick(at)));
  }
}
