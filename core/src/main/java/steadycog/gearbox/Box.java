package steadycog.gearbox;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Geometry;
import steadycog.gearbox.Component.Fastening;
import steadycog.number.Figures;
import steadycog.piece.Bores;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Pieces;
import steadycog.piece.Region;
import steadycog.piece.Region.Round;
import steadycog.piece.Slab;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.train.BallBearing;
import steadycog.train.Clearance.Gap;
import steadycog.train.Housing;
import steadycog.train.MemberId;
import steadycog.train.MotorFace;
import steadycog.train.Screw;
import steadycog.train.Screw.Nut;
import steadycog.train.Train;

/** What all gearboxes share: layers of a housing on bolts, a motor before them, and the bill. */
abstract sealed class Box permits ParallelBox, CentralBox {
  /** Air between what turns and what does not, mm. */
  static final double AIR = 1;

  /** Material below a bearing that holds it, mm. */
  static final double LIP = 1.5;

  /** Play along the axes between faces that slide on each other, mm. */
  static final double PLAY = 0.2;

  /** Dowel pins end so far inside the outer plates, mm. */
  private static final double BLIND = 1;

  /** Room for a coupling between motor and input, as a share of the motor's square. */
  private static final double COUPLING = 0.6;

  private static final double FAR = Double.MAX_VALUE;

  final Train train;
  final FaceLayout layout;
  Pieces pieces;
  final double chord;
  final double module;

  /** Added to the diameter of holes in which something turns or is pushed, mm. */
  final double room;

  /** Added to the diameter of holes that something is pressed into, mm. */
  final double fit;

  final List<Component> all = new ArrayList<>();
  final List<Support> supports = new ArrayList<>();
  Housing housing = Housing.NONE;

  /** Names of pieces of which dots show which tooth goes where. */
  final List<String> dotted = new ArrayList<>();

  /** Dynamic load ratings that the bearings of some members need, N. */
  private Map<MemberId, Double> ratings = Map.of();

  Box(Train train, FaceLayout layout, double chord) {
    this.train = train;
    this.layout = layout;
    this.chord = chord;
    module = Drives.moduleMm(train);
    room = train.sizes().clearance().mm(Gap.BORE);
    fit = train.sizes().clearance().mm(Gap.SEAT);
    pieces = Pieces.of(train, layout, chord);
  }

  /** The same with bearings that bear so much, where nothing is stated and such fit. */
  final Box bearing(Map<MemberId, Double> needed) {
    ratings = Map.copyOf(needed);
    return this;
  }

  /** What the bearings of a member need, N. */
  final double rating(MemberId member) {
    return ratings.getOrDefault(member, 0.0);
  }

  /** Builds it; empty, or why it cannot be built. */
  abstract Optional<String> build();

  /** A piece from slabs at their true heights. */
  static Piece piece(
      MemberId member, String name, String remark, List<Slab> slabs, List<Stand> at) {
    double foot = slabs.getFirst().from();
    return new Piece(
        member,
        name,
        remark,
        slabs.stream().map(slab -> slab.lowered(foot)).toList(),
        at.stream().map(stand -> stand.raised(foot)).toList(),
        Optional.empty(),
        List.of(),
        Optional.empty());
  }

  final void made(MemberId member, String name, String remark, List<Slab> slabs, Stand at) {
    all.add(Component.made(piece(member, name, remark, slabs, List.of(at))));
  }

  final void bought(
      MemberId member,
      String name,
      String size,
      List<Slab> slabs,
      List<Stand> at,
      Optional<Fastening> fastening) {
    all.add(new Component(piece(member, name, "", slabs, at), Optional.of(size), fastening));
  }

  /** A piece of the train as it is. */
  final void take(Piece piece) {
    all.add(Component.made(piece));
  }

  /** Stands at places on one level, carried round with a member that turns about x, y. */
  static List<Stand> on(List<double[]> places, MemberId member, double x, double y) {
    return places.stream()
        .map(
            at ->
                new Stand(
                    x + at[0],
                    y + at[1],
                    0,
                    0,
                    member.equals(Piece.FRAME)
                        ? Optional.empty()
                        : Optional.of(new Piece.Orbit(member, x, y))))
        .toList();
  }

  /**
   * Places evenly round an axis.
   *
   * @param first where the first stands, as a share of the step
   * @param turned the whole, radians
   */
  static List<double[]> circle(double radius, int count, double first, double turned) {
    return IntStream.range(0, count)
        .mapToObj(k -> 2 * Math.PI * (k + first) / count + turned)
        .map(angle -> new double[] {radius * Math.cos(angle), radius * Math.sin(angle)})
        .toList();
  }

  static Region annulus(double inner, double outer) {
    return new Region(List.of(), List.of(new Round(0, 0, outer), new Round(0, 0, inner)));
  }

  static String mm(double length) {
    return Figures.significant(length, 3);
  }

  /** A screw with its head at {@code head}, pointing up the axis where {@code up}, else down. */
  final void screws(
      MemberId member,
      String name,
      Screw screw,
      double head,
      boolean up,
      double plain,
      int length,
      List<Stand> at,
      Optional<Fastening> into) {
    List<Slab> slabs = new ArrayList<>();
    double sign = up ? 1 : -1;
    slabs.add(between("head", head - sign * screw.height(), head, screw.head() / 2));
    slabs.add(between("shank", head, head + sign * plain, screw.diameter() / 2));
    if (length > plain) {
      slabs.add(between("thread", head + sign * plain, head + sign * length, screw.core() / 2));
    }
    if (!up) {
      Collections.reverse(slabs);
    }
    bought(member, name, screw.name() + " x " + length, slabs, at, into);
  }

  private static Slab between(String name, double a, double b, double radius) {
    return new Slab(name, Math.min(a, b), Math.max(a, b), Region.disc(radius));
  }

  /** The bolts, nuts and dowel pins that hold all layers from {@code low} to {@code high}. */
  final void clamp(Shell shell, double low, double high) {
    housing = shell.housing(train.sizes().housing());
    Screw screw = shell.bolts().screw();
    List<Stand> at = on(shell.boltsAt(), Piece.FRAME, 0, 0);
    Optional<Nut> nut = screw.nut();
    double grip = high - low;
    int length = Screw.lengthFrom(grip + nut.map(Nut::height).orElse(0.0));
    screws(
        Piece.FRAME,
        "bolt",
        screw,
        low,
        true,
        nut.isPresent() ? length : grip - thread(screw),
        length,
        at,
        nut.isPresent() ? Optional.empty() : Optional.of(into("rear plate")));
    nut.ifPresent(
        hex ->
            bought(
                Piece.FRAME,
                "nut",
                screw.name(),
                List.of(
                    new Slab(
                        "",
                        high,
                        high + hex.height(),
                        Bores.hexagon(hex.across() / 2)
                            .minus(Region.disc(screw.diameter() / 2), chord))),
                at,
                Optional.of(into("bolt"))));
    bought(
        Piece.FRAME,
        "dowel pin",
        mm(shell.dowel()) + " x " + mm(Math.floor(grip - 2 * BLIND)),
        List.of(
            new Slab(
                "",
                low + BLIND,
                low + BLIND + Math.floor(grip - 2 * BLIND),
                Region.disc(shell.dowel() / 2))),
        on(shell.dowelsAt(), Piece.FRAME, 0, 0),
        Optional.empty());
  }

  static Fastening into(String name) {
    return new Fastening(List.of(name), true);
  }

  /** Radius of the hole that a bearing is pressed into, mm. */
  final double seat(BallBearing one) {
    return (one.outside() + fit) / 2;
  }

  /** How far a screw should go into a thread, mm. */
  static double thread(Screw screw) {
    return 1.5 * screw.diameter();
  }

  /** Where in the stack of layers a plate stands. */
  enum Layer {
    /** The frontmost, with feet. */
    FRONT,
    INNER,
    REAR
  }

  /** A plate with the holes of bolts, dowels and feet; dowels end inside the outer ones. */
  final Block plate(Shell shell, double low, double high, Layer layer) {
    Screw screw = shell.bolts().screw();
    boolean tapped = layer == Layer.REAR && screw.nut().isEmpty();
    double thread = tapped ? Math.max(low, high - thread(screw)) : high;
    Block block =
        new Block(low, high, shell.plate(layer == Layer.FRONT))
            .hole(shell.boltsAt(), screw.hole() / 2, low, thread)
            .hole(shell.boltsAt(), screw.core() / 2, thread, high)
            .hole(
                shell.dowelsAt(),
                shell.dowelHole(),
                layer == Layer.FRONT ? low + BLIND : low,
                layer == Layer.REAR ? high - BLIND : high);
    return layer == Layer.FRONT ? block.through(shell.feetAt(), screw.hole() / 2) : block;
  }

  /**
   * How far a shaft may stick out at the drive end, mm: with a motor, half of the coupling's room.
   */
  final double outside() {
    return train.sizes().housing().motor().map(face -> COUPLING * face.size() / 2).orElse(FAR);
  }

  /** What a motor's face needs of the room, seen along the axes, at the input's axis. */
  final List<Geometry> motorRoom(double x, double y) {
    return train.sizes().housing().motor().stream()
        .map(face -> Shell.disc(x, y, face.bolts() / Math.sqrt(2) + face.screw().head() / 2 + AIR))
        .toList();
  }

  /** Whether something of that radius about an axis is clear of all that turns about others. */
  boolean isClear(double x, double y, double radius, double from, double to) {
    return true;
  }

  /** What the plate with the input's bearing is: the frontmost where no motor stands before it. */
  final Layer front() {
    return train.sizes().housing().motor().isPresent() ? Layer.INNER : Layer.FRONT;
  }

  /**
   * The room for a coupling and the plate that a motor is screwed to, before the front plate.
   *
   * @param top outer face of the front plate
   * @return where the frontmost layer begins
   */
  final double motor(Shell shell, double top, double x, double y) {
    Optional<MotorFace> face = train.sizes().housing().motor();
    if (face.isEmpty()) {
      return top;
    }
    MotorFace motor = face.get();
    double low = top - COUPLING * motor.size();
    double plate = Math.max(shell.wall(), LIP + 2);
    made(
        Piece.FRAME,
        "motor spacer",
        "round the coupling",
        List.of(new Slab("", low, top, shell.ring(shell.room()))),
        Stand.at(0, 0, 0, 0));
    double half = motor.bolts() / 2;
    List<double[]> threads =
        List.of(
            new double[] {x + half, y + half},
            new double[] {x - half, y + half},
            new double[] {x - half, y - half},
            new double[] {x + half, y - half});
    Block block =
        plate(shell, low - plate, low, Layer.FRONT)
            .hole(x, y, motor.pilot() / 2, low - plate, low)
            .through(threads, motor.screw().hole() / 2);
    made(
        Piece.FRAME, "motor plate", motor.size() + " mm face", block.slabs(), Stand.at(0, 0, 0, 0));
    screws(
        Piece.FRAME,
        "motor screw",
        motor.screw(),
        low,
        false,
        plate,
        Screw.lengthFrom(plate + thread(motor.screw())),
        on(threads, Piece.FRAME, 0, 0),
        Optional.of(new Fastening(List.of("motor plate"), false)));
    return low - plate;
  }
}
