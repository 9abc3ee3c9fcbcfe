package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.gearbox.Spindle.End;
import steadycog.gearbox.Spindle.Seat;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region;
import steadycog.piece.Region.Round;
import steadycog.piece.Shafts;
import steadycog.piece.Slab;
import steadycog.shape.CycloidGeometry;
import steadycog.shape.FaceLayout;
import steadycog.shape.Polar;
import steadycog.train.BallBearing;
import steadycog.train.Bore;
import steadycog.train.Cycloidal;
import steadycog.train.MemberId;
import steadycog.train.Train;

/** Discs on an eccentric in a ring of pins, the output's pins through their holes. */
final class CycloidalBox extends CentralBox {
  /** The shaft's collar between the front bearing and the eccentric, mm. */
  private static final double COLLAR = 2;

  private final Cycloidal drive;

  CycloidalBox(Train train, FaceLayout layout, double chord, Cycloidal drive) {
    super(train, layout, chord);
    this.drive = drive;
  }

  @Override
  Optional<String> build() {
    if (!isHeld(drive.ringId())) {
      return Optional.of("its ring is not held: hold ring, and take off at the disc");
    }
    CycloidGeometry geometry = new CycloidGeometry(drive);
    Piece ring = find(drive.ringId());
    Stand stand = ring.stands().getFirst();
    x = stand.x();
    y = stand.y();
    double from = stand.z();
    double to = from + ring.slabs().getLast().to();
    Bore bore =
        Optional.of(Shafts.hole(train, drive.eccentricId()))
            .flatMap(Shafts.Hole::bore)
            .orElseGet(
                () ->
                    new Bore.Round(
                        Quantity.of(Figures.significant(geometry.usualShaft(), 6), Unit.MM)));
    Spindle spindle =
        new Spindle(
            this, drive.eccentricId(), middle(), List.of(new Seat("eccentric", from, to, bore)));
    double thin = spindle.thin();
    double open = geometry.outputCircleRadius() - geometry.outputPinRadius();
    Optional<BallBearing> pilot = pilot(thin, open);
    double plate = thick(plateMm(drive.ringId()), pilot);
    double radius = Math.max(geometry.outputPlateRadius(), geometry.wallRadius()) + AIR;
    Shell shell = Shell.round(room(radius), 2 * geometry.ringRadius(), train.sizes());
    Optional<BallBearing> bearing =
        Spindle.bearing(
            this, List.of(drive.eccentricId()), thin, outside -> outside / 2 + LIP < radius);
    double seat = from - COLLAR;
    Block front = front(shell, bearing, thin, spindle.collar(), seat, from);
    double low = seat - thickness(shell, bearing);
    double swept = geometry.sweptRadius() + AIR / 2;
    made(
        Piece.FRAME,
        "front plate",
        "",
        front.hole(x, y, Math.min(swept, radius), from - PLAY, from).slabs(),
        Stand.at(0, 0, 0, 0));
    double foot = motor(shell, low, x, y);
    layer(shell, drive.ringId());
    pieces.all().stream()
        .filter(
            piece ->
                piece.member().equals(drive.eccentricId())
                    || (piece.member().equals(drive.discId())
                        && piece.stands().getFirst().orbit().isPresent()))
        .forEach(this::take);
    MemberId disc = drive.discId();
    double near = to + PLAY;
    double face = near + plate + AIR;
    Outgoing out = outgoing(disc, thin, 2 * geometry.circleRadius());
    wall(shell, "rear wall", to, face);
    List<Slab> output = new ArrayList<>();
    List<Round> pins = new ArrayList<>();
    for (Polar pin : geometry.outputPins()) {
      pins.add(
          new Round(
              pin.radius() * Math.cos(pin.angle()),
              pin.radius() * Math.sin(pin.angle()),
              geometry.outputPinRadius()));
    }
    output.add(new Slab("pins", from, near, new Region(List.of(), pins)));
    Block body = new Block(near, near + plate, Region.disc(geometry.outputPlateRadius()));
    output.addAll(piloted(body, pilot, thin, near, near + plate).slabs());
    output.addAll(goOut(disc, out, shell, near + plate, face));
    made(disc, "output", "its pins go through the discs", output, middle());
    spindle.build(
        "shaft",
        new End(seat, bearing, shell.wall(), Piece.FRAME),
        far(near, plate, pilot, disc),
        LIP,
        0);
    clamp(shell, foot, face + rear(out.bearing()));
    Marks.on(this, drive);
    return Optional.empty();
  }
}
