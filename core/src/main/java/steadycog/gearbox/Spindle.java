package steadycog.gearbox;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoublePredicate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import steadycog.gearbox.Component.Fastening;
import steadycog.piece.Bores;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region;
import steadycog.piece.Slab;
import steadycog.shape.Outline;
import steadycog.train.BallBearing;
import steadycog.train.Bore;
import steadycog.train.MemberId;

/**
 * A shaft with what sits on it: a collar in one with it rests on the inner ring of the bearing at
 * the drive end, then come wheels and spacers up to the bearing at the far end, so that nothing on
 * it can move along.
 */
final class Spindle {
  private static final double LEAST_COLLAR = 1;
  private static final double COLLAR_SHARE = 0.12;

  /** Shafts that go on outside stick out by two diameters, thick ones by one and so much, mm. */
  private static final double OUTSIDE = 10;

  private static final double LEAST_GAP = 0.01;

  /** How thick rings and collars are that stand in the gap beside a plane, mm. */
  private static final double RING = 1;

  /** Ends of shafts stay so far inside their bearings, mm. */
  private static final double SHORT = 0.3;

  /** Above the flank of a key there is so much air, mm. */
  private static final double KEY_AIR = 0.1;

  private final Box box;
  private final MemberId member;
  private final Stand stand;
  private final List<Seat> seats;
  private final double thin;
  private final double reach;

  /** What sits on the shaft, or is passed by it, in the order of z. */
  record Seat(String of, double from, double to, Bore bore) {}

  /** What carries an end. */
  record End(double face, Optional<BallBearing> bearing, double plainLength, MemberId in) {
    double length() {
      return bearing.map(one -> (double) one.width()).orElse(plainLength);
    }
  }

  /**
   * @param seats at least one, none overlapping
   */
  Spindle(Box box, MemberId member, Stand stand, List<Seat> seats) {
    this.box = box;
    this.member = member;
    this.stand = stand;
    this.seats = seats.stream().sorted(Comparator.comparingDouble(Seat::from)).toList();
    thin = seats.stream().mapToDouble(seat -> seat.bore.size().inBase()).min().orElseThrow();
    reach = seats.stream().mapToDouble(seat -> Bores.reach(bare(seat.bore))).max().orElseThrow();
  }

  /** The shaft in a bore, without a key. */
  static Bore bare(Bore bore) {
    return bore instanceof Bore.Keyed keyed ? new Bore.Round(keyed.size()) : bore;
  }

  /** Diameter of its thinnest seat, mm. */
  double thin() {
    return thin;
  }

  /** The furthest that a section of it reaches from its axis, mm. */
  double reach() {
    return reach;
  }

  /** Radius of the collar, mm. */
  double collar() {
    return reach + Math.max(LEAST_COLLAR, COLLAR_SHARE * thin);
  }

  /**
   * As the card states for any of {@code members}, else the largest that fits and bears what they
   * need, or where none does what bears most.
   */
  static Optional<BallBearing> bearing(
      Box box, List<MemberId> members, double thin, DoublePredicate fits) {
    Optional<BallBearing> stated =
        members.stream()
            .flatMap(one -> box.train.size(one).bearing().stream())
            .flatMap(size -> size.bearing().stream())
            .findFirst();
    double need = members.stream().mapToDouble(box::rating).max().orElse(0);
    List<BallBearing> fitting =
        BallBearing.usual().stream()
            .filter(one -> one.bore() <= thin && fits.test(one.outside()))
            .toList();
    return stated
        .or(
            () ->
                fitting.stream()
                    .filter(one -> one.estimatedRating() >= need)
                    .max(
                        Comparator.comparingInt(BallBearing::bore)
                            .thenComparingInt(one -> -one.outside())))
        .or(() -> fitting.stream().max(Comparator.comparingDouble(BallBearing::estimatedRating)));
  }

  /**
   * Makes shaft, spacers, keys and bearings.
   *
   * @param drive the end at which the collar is; its face is where its bearing ends
   * @param far its face is where its bearing begins
   * @param outDrive how much of its plate lies beyond the bearing where it goes on outside at the
   *     drive end, mm; 0 where it ends in the bearing
   * @param outFar the same at the far end
   */
  void build(String name, End drive, End far, double outDrive, double outFar) {
    List<Slab> shaft = new ArrayList<>();
    double journal = drive.bearing.map(one -> one.bore() / 2.0).orElse(thin / 2);
    double begin = drive.face - drive.length();
    shaft.add(
        new Slab(
            "journal",
            outDrive > 0
                ? begin - outDrive - Math.min(outside(journal), box.outside())
                : begin + SHORT,
            drive.face,
            Region.disc(journal)));
    collars(name, shaft, drive.face);
    shaft.addAll(beyond(name, far, outFar));
    box.made(member, name, "", shaft, stand);
    carry("front bearing of " + name, drive, journal, begin);
    carryFar(name, far);
  }

  /** From the first seat on, about the axis of what that is one with; with its bearing. */
  List<Slab> partOf(String name, End far) {
    List<Slab> slabs =
        beyond(name, far, 0).stream()
            .map(this::grooved)
            .map(slab -> slab.over(slab.region().placed(stand.angle(), 0, 0)))
            .toList();
    carryFar(name, far);
    return slabs;
  }

  /** A slab behind keys with their grooves, so that it can be pushed in past them. */
  private Slab grooved(Slab slab) {
    Region region = slab.region();
    for (Seat seat : seats) {
      if (seat.bore instanceof Bore.Keyed keyed && slab.from() >= seat.to) {
        region = region.minus(key(keyed, false), box.chord);
      }
    }
    return slab.over(region);
  }

  private void carryFar(String name, End far) {
    carry("rear bearing of " + name, far, tail(far), far.face);
  }

  private double tail(End far) {
    return far.bearing.map(one -> one.bore() / 2.0).orElse(thin / 2);
  }

  /** Seats with spacers and keys, and the journal at the far end. */
  private List<Slab> beyond(String name, End far, double outFar) {
    List<Slab> shaft = new ArrayList<>();
    for (int k = 0; k < seats.size(); k++) {
      Seat seat = seats.get(k);
      boolean last = k + 1 == seats.size();
      double end = last ? far.face : seats.get(k + 1).from;
      Region section = section(seat.bore);
      double at = seat.from;
      if (seat.bore instanceof Bore.Keyed keyed) {
        shaft.add(new Slab("keyway", at, seat.to, section.minus(key(keyed, false), box.chord)));
        key(seat, keyed);
        at = seat.to;
      }
      if (end > at) {
        shaft.add(new Slab("", at, end, section));
      }
      spacer(name, k, seat.to, last ? end - Box.PLAY : end);
    }
    double tail = tail(far);
    double last = far.face + far.length();
    shaft.add(
        new Slab(
            "journal",
            far.face,
            outFar > 0 ? last + outFar + outside(tail) : last - SHORT,
            within(section(seats.getLast().bore), tail)));
    return shaft;
  }

  /** A section turned down to a radius, which whatever goes on the section can pass. */
  private Region within(Region section, double radius) {
    Geometry both =
        OverlayNGRobust.overlay(
            section.area(box.chord), Region.disc(radius).area(box.chord), OverlayNG.INTERSECTION);
    return section.lines().isEmpty() ? Region.disc(radius) : Region.of(both);
  }

  private static double outside(double radius) {
    return 2 * radius + Math.min(2 * radius, OUTSIDE);
  }

  private Region section(Bore bore) {
    return Bores.hole(bare(bore), 0, box.chord);
  }

  /**
   * The collar up to the first seat; where that runs into wheels beside it a collar at the bearing,
   * and a ring before the seat that friction holds.
   */
  private void collars(String name, List<Slab> shaft, double face) {
    double first = seats.getFirst().from;
    Region round = Region.disc(collar());
    double thick = Math.min(RING, (first - face) / 2);
    if (isClear(face, first)) {
      shaft.add(new Slab("collar", face, first, round));
    } else {
      shaft.add(new Slab("collar", face, face + thick, round));
      shaft.add(new Slab("", face + thick, first, section(seats.getFirst().bore)));
      tube(name + " ring", first - thick, first, Optional.of(Box.into(name)));
    }
  }

  private boolean isClear(double from, double to) {
    return box.isClear(stand.x(), stand.y(), collar() + Box.AIR, from, to);
  }

  /** A tube, or where that runs into wheels beside it a ring at each end that friction holds. */
  private void spacer(String name, int which, double from, double to) {
    if (to - from < LEAST_GAP) {
      return;
    }
    String called = name + " spacer" + (seats.size() > 1 ? " " + (which + 1) : "");
    double thick = Math.min(RING, (to - from) / 2);
    if (isClear(from, to)) {
      tube(called, from, to, Optional.empty());
    } else {
      String ring = called.replace("spacer", "ring");
      tube(ring + " near", from, from + thick, Optional.of(Box.into(name)));
      tube(ring + " far", to - thick, to, Optional.of(Box.into(name)));
    }
  }

  private void tube(String called, double from, double to, Optional<Fastening> held) {
    double inner = reach + Math.max(box.room, 0.1) / 2;
    double outer = inner + Math.max(LEAST_COLLAR, COLLAR_SHARE * thin);
    box.all.add(
        new Component(
            Box.piece(
                member,
                called,
                held.isPresent() ? "pressed or glued on" : "",
                List.of(new Slab("", from, to, Box.annulus(inner, outer))),
                List.of(stand)),
            Optional.empty(),
            held));
  }

  /** A key's section: from the floor of its groove to just below the top of the keyway. */
  private static Region key(Bore.Keyed bore, boolean itself) {
    double width = Bores.keyWidth(bore);
    double radius = bore.size().inBase() / 2;
    double depth = Bores.keyDepth(bore);
    double foot = radius - Math.min(0.6 * width, radius / 2);
    double top = itself ? radius + depth - KEY_AIR : radius + width;
    return new Region(
        List.of(
            new Outline(
                new double[] {-width / 2, width / 2, width / 2, -width / 2},
                new double[] {foot, foot, top, top})),
        List.of());
  }

  private void key(Seat seat, Bore.Keyed bore) {
    String wide = Box.mm(Bores.keyWidth(bore));
    box.bought(
        member,
        "key of " + seat.of,
        wide + " wide x " + Box.mm(seat.to - seat.from),
        List.of(new Slab("", seat.from, seat.to, key(bore, true))),
        List.of(stand),
        Optional.empty());
  }

  private void carry(String name, End end, double radius, double from) {
    double to = from + end.length();
    box.supports.add(
        new Support(
            member,
            end.in,
            stand.x(),
            stand.y(),
            from,
            to,
            radius,
            end.bearing.map(BallBearing::name).orElse(Support.PLAIN)));
    end.bearing.ifPresent(one -> ball(box, end.in, one, from, stand, name));
  }

  /** A bearing as one ring. */
  static void ball(Box box, MemberId in, BallBearing one, double from, Stand stand, String name) {
    Stand here = Stand.at(stand.x(), stand.y(), 0, 0);
    box.bought(
        in,
        name,
        one.says(),
        List.of(
            new Slab(
                "", from, from + one.width(), Box.annulus(one.bore() / 2.0, one.outside() / 2.0))),
        List.of(here),
        Optional.empty());
  }

  /** What the hole beside a bearing leaves free, so that its inner ring rubs on nothing. */
  static double relief(BallBearing one) {
    return (one.bore() + one.outside()) / 4.0;
  }
}
