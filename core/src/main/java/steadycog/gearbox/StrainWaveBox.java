package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.gearbox.Spindle.End;
import steadycog.gearbox.Spindle.Seat;
import steadycog.piece.Blank;
import steadycog.piece.Bores;
import steadycog.piece.FlexTube;
import steadycog.piece.Flexing;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region;
import steadycog.piece.Region.Round;
import steadycog.piece.Shafts;
import steadycog.piece.Slab;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.shape.StrainGeometry;
import steadycog.train.BallBearing;
import steadycog.train.Bore;
import steadycog.train.Screw;
import steadycog.train.StrainWave;
import steadycog.train.StrainWave.Mount;
import steadycog.train.Train;

/**
 * A generator on a shaft in a flexspline whose back is screwed to the output. The flexspline stands
 * with its open end towards the drive, so that shaft and generator go in from there.
 */
final class StrainWaveBox extends CentralBox {
  /** The shaft's collar between the front bearing and the generator, mm. */
  private static final double COLLAR = 2;

  /** The shaft as a share of the flexspline's bore, where nothing is said. */
  private static final double SHAFT_SHARE = 0.15;

  private static final int SCREWS = 6;

  /** Of the flexspline's bore, how thick its screws are at least, by judgement. */
  private static final double SCREW_SHARE = 0.08;

  /** Between a screw's head and what is round it, mm. */
  private static final double BESIDE = 0.5;

  /** Behind the tip of a screw in the output, mm. */
  private static final double BEHIND = 0.5;

  private final StrainWave drive;
  private final StrainGeometry geometry;
  private final FlexTube tube;
  private final double m;

  StrainWaveBox(Train train, FaceLayout layout, double chord, StrainWave drive) {
    super(train, layout, chord);
    this.drive = drive;
    geometry = new StrainGeometry(drive);
    tube = FlexTube.of(train, drive);
    m = train.moduleMm(drive.flexId());
  }

  /** Where the flexspline's back is screwed on. */
  private record Circle(Screw screw, double radius, List<double[]> places) {
    static Circle of(Screw screw, double radius) {
      return new Circle(screw, radius, Box.circle(radius, SCREWS, 0, 0));
    }

    Region holes(double diameter) {
      return new Region(
          List.of(), places.stream().map(at -> new Round(at[0], at[1], diameter / 2)).toList());
    }
  }

  /** How far a head with its room reaches to each side, mm. */
  private static double beside(Screw screw) {
    return screw.head() / 2 + BESIDE;
  }

  private boolean isCup() {
    return drive.sizes().mount() == Mount.CUP;
  }

  /**
   * In the bottom of a cup, in the flange of a hat: past the teeth as they are bent, so that the
   * screws can be put in beside them.
   */
  private Circle circle() {
    Screw screw =
        Screw.usual().stream()
            .filter(one -> one.diameter() >= SCREW_SHARE * tube.bore())
            .findFirst()
            .orElse(Screw.usual().getLast());
    double beside = beside(screw);
    return Circle.of(
        screw,
        isCup()
            ? tube.bore() - geometry.deflection() * m - beside
            : geometry.circularRoot() * m + beside);
  }

  @Override
  Optional<String> build() {
    if (!isHeld(drive.circularId())) {
      return Optional.of("its circular spline is not held: hold circular, and take off at flex");
    }
    Piece ring = find(drive.circularId());
    Piece flex = find(drive.flexId());
    Stand stand = ring.stands().getFirst();
    x = stand.x();
    y = stand.y();
    double from = stand.z();
    double to = from + ring.slabs().getLast().to();
    Circle circle = circle();
    Bore bore = bore();
    Spindle spindle =
        new Spindle(this, drive.waveId(), middle(), List.of(new Seat("generator", from, to, bore)));
    double thin = spindle.thin();
    double open = isCup() ? circle.radius - beside(circle.screw) : tube.bore();
    if (open < spindle.collar() + BESIDE) {
      return Optional.of(
          "the bottom of its flexspline has no room for screws round the shaft: a larger module, or"
              + " hat");
    }
    Optional<BallBearing> pilot = pilot(thin, open);
    int length = Screw.lengthFrom(tube.floor() + thread(circle.screw));
    double plate = Math.max(thick(plateMm(drive.flexId()), pilot), length - tube.floor() + BEHIND);
    double back =
        isCup() ? tube.bore() + tube.wall() : circle.radius + beside(circle.screw) + BESIDE;
    double teeth = geometry.circularRoot() * m;
    double radius = Math.max(teeth, back) + AIR;
    Shell shell = Shell.round(room(radius), 2 * teeth, train.sizes());
    Optional<BallBearing> bearing =
        Spindle.bearing(this, List.of(drive.waveId()), thin, outside -> outside / 2 + LIP < radius);
    End near = new End(from - COLLAR, bearing, shell.wall(), Piece.FRAME);
    double foot = front(shell, near, spindle, from, teeth);
    layer(shell, drive.circularId());
    generator(bore, stand);
    double hole = Math.max(pilot.map(this::seat).orElse(0.0), spindle.collar() + (room + AIR) / 2);
    flexspline(flex, stand, to - from, circle, back, hole);
    double far = to + tube.below();
    screws(
        drive.flexId(),
        "flexspline screw",
        circle.screw,
        to + tube.tube(),
        true,
        tube.floor(),
        length,
        on(circle.places, drive.flexId(), x, y),
        Optional.of(into("output")));
    Block body =
        new Block(far, far + plate, Region.disc(back))
            .through(circle.places, circle.screw.core() / 2);
    double face = far + plate + AIR;
    wall(shell, "rear wall", to, face);
    Outgoing out = outgoing(drive.flexId(), thin, 2 * tube.bore());
    List<Slab> output = new ArrayList<>(piloted(body, pilot, thin, far, far + plate).slabs());
    output.addAll(goOut(drive.flexId(), out, shell, far + plate, face));
    made(drive.flexId(), "output", "screwed to the flexspline", output, middle());
    spindle.build("shaft", near, far(far, plate, pilot, drive.flexId()), LIP, 0);
    clamp(shell, foot, face + rear(out.bearing()));
    return Optional.empty();
  }

  /**
   * The front plate, open before the teeth, and what a motor needs before it.
   *
   * @param from where the teeth begin
   * @return where the frontmost layer begins
   */
  private double front(Shell shell, End near, Spindle spindle, double from, double teeth) {
    Block front =
        front(shell, near.bearing(), spindle.thin(), spindle.collar(), near.face(), from)
            .hole(x, y, teeth, from - PLAY, from);
    made(Piece.FRAME, "front plate", "", front.slabs(), Stand.at(0, 0, 0, 0));
    return motor(shell, near.face() - thickness(shell, near.bearing()), x, y);
  }

  /** Where nothing is said a share of the flexspline's, and no more than a motor's face lets by. */
  private Bore bore() {
    double share = SHAFT_SHARE * 2 * tube.bore();
    double least =
        train.sizes().housing().motor().map(face -> face.pilot() - 4 * AIR).orElse(share);
    return stated(drive.waveId())
        .orElseGet(() -> new Bore.Round(Shafts.usualFrom(Math.min(share, least)).getFirst()));
  }

  /** The cam, and the ring on it that slides in the flexspline. */
  private void generator(Bore bore, Stand stand) {
    double width = Blank.widthMm(train, drive.circularId());
    double depth = geometry.boreDepth(m);
    Flexing flexing = Flexing.of(train, drive.flexId());
    Region cam = flexing.inside(Drives.generatorDepth(geometry, depth), chord);
    made(
        drive.waveId(),
        "generator",
        "",
        List.of(new Slab("", 0, width, cam.minus(Bores.hole(bore, room, chord), chord))),
        stand);
    Region outside = flexing.inside(depth + room / 2 / m, chord);
    all.add(
        new Component(
            piece(
                drive.waveId(),
                "slide ring",
                "pressed on the generator, slides in the flexspline",
                List.of(new Slab("", 0, width, cam.within(outside))),
                List.of(stand)),
            Optional.empty(),
            Optional.of(into("generator"))));
  }

  /** Turned over, its teeth in front, with the holes in its back. */
  private void flexspline(
      Piece flex, Stand stand, double width, Circle circle, double back, double hole) {
    Region open = Region.disc(isCup() ? hole : tube.bore());
    Slab teeth = flex.slabs().getLast();
    Slab wall = flex.slabs().get(1);
    double near = width + tube.tube();
    take(
        flex.remade(
            flex.name(),
            List.of(
                new Slab(teeth.name(), 0, width, teeth.region()),
                new Slab(wall.name(), width, near, wall.region()),
                new Slab(
                    flex.slabs().getFirst().name(),
                    near,
                    near + tube.floor(),
                    open.within(circle.holes(circle.screw.hole())).within(Region.disc(back)))),
            List.of(stand)));
  }
}
