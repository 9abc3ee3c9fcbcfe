package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.piece.Bores;
import steadycog.piece.Region;
import steadycog.piece.Slab;
import steadycog.train.BallBearing;
import steadycog.train.Bore;
import steadycog.train.MemberId;
import steadycog.train.Screw;

/**
 * A tube round the shaft that goes in, by which a member goes out at the drive end: on two bearings
 * in the front plate, with threads in its end unless the card states a section.
 *
 * @param bearing each of the two
 * @param hole radius of that in which the shaft turns, mm
 * @param stated outside where it sticks out
 */
record Hub(BallBearing bearing, double hole, Optional<Bore> stated) {
  private static final Screw USUAL = Screw.of("M3").orElseThrow();
  private static final int SCREWS = 3;

  /** Material beside threads, mm. */
  private static final double SKIN = 1;

  /** The thinnest wall, mm. */
  private static final double LEAST = 1.2;

  private static final double LEAST_LENGTH = 8;

  private static final double FINE = 0.01;

  /**
   * As the card states for {@code member}, else the smallest that leaves a wall for usual threads,
   * or the largest that leaves any wall at all; empty where there is no room.
   *
   * @param hole radius of that for the shaft, mm
   * @param most how far its shoulder may reach from the axis, mm
   */
  static Optional<Hub> of(CentralBox box, MemberId member, double hole, double most) {
    Optional<Bore> stated = box.stated(member);
    double least = Math.max(hole + LEAST, stated.map(Bores::reach).orElse(0.0));
    double good = hole + USUAL.core() + 2 * SKIN;
    List<BallBearing> fit =
        BallBearing.usual().stream()
            .filter(one -> one.bore() / 2.0 >= least && one.bore() / 2.0 + CentralBox.HUB <= most)
            .toList();
    return box.train
        .size(member)
        .bearing()
        .flatMap(size -> size.bearing())
        .or(() -> fit.stream().filter(one -> one.bore() / 2.0 >= good).findFirst())
        .or(() -> fit.stream().reduce((small, large) -> large))
        .filter(
            one -> one.bore() / 2.0 >= hole + LEAST && one.bore() / 2.0 + CentralBox.HUB <= most)
        .filter(one -> stated.filter(bore -> thinnest(bore) < hole + LEAST).isEmpty())
        .map(one -> new Hub(one, hole, stated));
  }

  /** The nearest that a section comes to its axis, mm. */
  private static double thinnest(Bore bore) {
    return Bores.hole(bore, 0, FINE).area(FINE).getBoundary().distance(Shell.disc(0, 0, FINE));
  }

  /** How thick the front plate is. */
  double plate() {
    return CentralBox.rear(bearing);
  }

  private double radius() {
    return bearing.bore() / 2.0;
  }

  /** Where it ends, before the front plate's inner face. */
  double end(double face) {
    return face - plate() - Math.max(LEAST_LENGTH, bearing.bore());
  }

  /** The front plate round its two bearings. */
  Block around(Block front, CentralBox box, double face) {
    return front
        .hole(box.x, box.y, Spindle.relief(bearing), face - plate(), face)
        .hole(box.x, box.y, box.seat(bearing), face - 2 * bearing.width(), face);
  }

  /**
   * Its slabs up to the plate that it is in one with, and its bearings.
   *
   * @param face inner face of the front plate, mm
   * @param to where that plate begins, mm
   */
  List<Slab> build(CentralBox box, MemberId member, double face, double to) {
    double end = end(face);
    double out = face - plate();
    List<Slab> slabs = new ArrayList<>();
    Region tube = Box.annulus(hole, radius());
    if (stated.isPresent()) {
      Region section = Bores.hole(stated.get(), 0, box.chord);
      slabs.add(new Slab("hub", end, out, Region.disc(hole).within(section)));
    } else {
      slabs.addAll(threads(new Block(end, out, tube), end).slabs());
    }
    slabs.add(new Slab("journal", out, face + Box.PLAY, tube));
    slabs.add(
        new Slab("shoulder", face + Box.PLAY, to, Box.annulus(hole, radius() + CentralBox.HUB)));
    box.pair(member, bearing, "hub bearing", face - 2 * bearing.width());
    return slabs;
  }

  /** Threads in its end, of the largest screw that its wall bears; none where it bears none. */
  private Block threads(Block tube, double end) {
    double wall = radius() - hole;
    Optional<Screw> screw =
        Screw.usual().stream()
            .filter(one -> one.core() + 2 * SKIN <= wall)
            .reduce((small, large) -> large);
    List<double[]> places = Box.circle(hole + wall / 2, SCREWS, 0, 0);
    screw.ifPresent(
        one -> tube.hole(places, one.core() / 2, end, end + Box.thread(one) + Ties.THREAD_ROOM));
    return tube;
  }
}
