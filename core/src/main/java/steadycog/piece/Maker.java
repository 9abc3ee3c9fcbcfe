package steadycog.piece;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region.Round;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.shape.Placed;
import steadycog.shape.PlacedWheel;
import steadycog.shape.Polar;
import steadycog.shape.Rims;
import steadycog.train.Clearance.Gap;
import steadycog.train.Helices;
import steadycog.train.Helix;
import steadycog.train.MemberId;
import steadycog.train.Train;

/** What makes pieces: the train, how finely, and what they share. */
abstract sealed class Maker permits WheelMaker, CycloidMaker, StrainMaker, BevelMaker {
  /** A groove goes deeper than the roots by so many modules. */
  static final double GROOVE = 0.1;

  final Train train;
  final FaceLayout layout;
  final Levels levels;
  final double chord;
  final double moduleMm;

  /** Added to the diameter of holes, mm. */
  final double room;

  final List<Piece> all = new ArrayList<>();

  private final List<String> broken = new ArrayList<>();

  Maker(Train train, FaceLayout layout, Levels levels, double chord) {
    this.train = train;
    this.layout = layout;
    this.levels = levels;
    this.chord = chord;
    this.moduleMm = Drives.moduleMm(train);
    this.room = train.sizes().clearance().mm(Gap.BORE);
  }

  final Blank blank(MemberId id) {
    return Blank.of(train, id);
  }

  final double plate(MemberId member) {
    return Blank.plateMm(train, member);
  }

  final double width(MemberId member) {
    return Blank.widthMm(train, member);
  }

  /** A body with a hole for a shaft; where that breaks out, the next piece added cannot be made. */
  final Region bored(Region body, Region hole) {
    Region left = body.minus(hole, chord);
    if (!left.holds(hole)) {
      broken.add("its bore breaks out of it");
    }
    return left;
  }

  static String name(MemberId member) {
    return member.toString().replace('_', ' ');
  }

  /** One body that stands in one place. */
  final void add(MemberId member, String name, String remark, List<Slab> slabs, Stand stand) {
    add(member, name, remark, slabs, stand, Optional.empty());
  }

  /** The same, with why it cannot be made, if so. */
  final void add(
      MemberId member,
      String name,
      String remark,
      List<Slab> slabs,
      Stand stand,
      Optional<String> obstacle) {
    add(
        new Piece(
            member, name, remark, slabs, List.of(stand), obstacle, List.of(), Optional.empty()));
  }

  /** One more piece; of broken bores it is told that it cannot be made. */
  final void add(Piece piece) {
    Optional<String> obstacle = piece.obstacle().or(() -> broken.stream().findFirst());
    broken.clear();
    all.add(
        new Piece(
            piece.member(),
            piece.name(),
            piece.remark(),
            piece.slabs(),
            piece.stands(),
            obstacle,
            piece.running(),
            piece.bevel()));
  }

  /** The hole of a member where a bore is stated for it. */
  final Region stated(MemberId member) {
    Shafts.Hole hole = Shafts.hole(train, member);
    return hole.bore()
        .filter(bore -> hole.stated())
        .map(bore -> Bores.hole(bore, room, chord))
        .orElse(Region.none());
  }

  /** The wheel that is cut round a ring; empty for a ring that is round outside. */
  final Optional<PlacedWheel> rimOf(MemberId ring) {
    return Rims.of(train).entrySet().stream()
        .filter(rim -> rim.getValue().equals(ring))
        .flatMap(rim -> layout.wheels().stream().filter(wheel -> wheel.id().equals(rim.getKey())))
        .findFirst();
  }

  /** A ring's name, and what is cut round it. */
  final String ringName(MemberId ring) {
    return name(ring) + rimOf(ring).map(rim -> " with " + name(rim.id())).orElse("");
  }

  /**
   * The slabs of a ring, with the wheel that is cut round it where there is one.
   *
   * @param inside what its teeth or pins leave open
   * @param open radius outside all that is inside
   * @param outer radius of its outside where nothing is cut round it
   * @param turned angle at which the ring stands
   */
  final List<Slab> ring(
      MemberId ring,
      String row,
      Region inside,
      double open,
      double outer,
      double turned,
      double from,
      double width) {
    Optional<PlacedWheel> rim = rimOf(ring);
    if (rim.isEmpty()) {
      Region body = Region.disc(outer);
      return grooved(
          ring,
          new Slab(row, from, from + width, inside.within(body), winding(ring, inside, from)),
          Region.disc(open + GROOVE * moduleMm).within(body));
    }
    PlacedWheel wheel = rim.get();
    Region teeth =
        new Region(List.of(Pieces.teeth(train, wheel, chord)), List.of())
            .placed(wheel.phase() - turned, 0, 0);
    double wide = width(wheel.id());
    double both = from + Math.min(width, wide);
    List<Slab> slabs = new ArrayList<>();
    List<Slab.Winding> own = winding(ring, inside, from);
    List<Slab.Winding> round = winding(wheel.id(), teeth, from);
    List<Slab.Winding> all = Stream.concat(own.stream(), round.stream()).toList();
    slabs.add(new Slab(row, from, both, inside.within(teeth), all));
    if (width > wide) {
      Region plain = Region.disc(wheel.rootRadius() * moduleMm);
      slabs.add(new Slab("beyond the rim", both, from + width, inside.within(plain), own));
    } else if (wide > width) {
      slabs.add(new Slab("rim", both, from + wide, Region.disc(open).within(teeth), round));
    }
    return slabs;
  }

  /**
   * How the toothed lines of a wheel wind, as they lie in the middle of the narrowest of all that
   * mesh, where halves of herringbones meet: rows of one body are clocked in those planes.
   *
   * @param from where all that mesh begin
   */
  final List<Slab.Winding> winding(MemberId wheel, Region teeth, double from) {
    Helix helix = Helices.of(train, wheel);
    if (helix.isStraight() || !train.partOf(wheel).involute()) {
      return List.of();
    }
    double radius = Pieces.count(train, wheel) * train.moduleMm(wheel) / 2;
    double turn = helix.sign() * Math.tan(helix.radians()) / radius;
    double plane = from + middle(wheel);
    return teeth.lines().stream()
        .map(line -> new Slab.Winding(line, plane, turn, helix.isDouble()))
        .toList();
  }

  /**
   * A slab of teeth, parted by the groove of a herringbone where it has one.
   *
   * @param plain what is left where teeth are taken away
   */
  final List<Slab> grooved(MemberId wheel, Slab teeth, Region plain) {
    Helix helix = Helices.of(train, wheel);
    double half = helix.grooveMm() / 2;
    if (!helix.isDouble() || half == 0) {
      return List.of(teeth);
    }
    double plane = teeth.from() + middle(wheel);
    if (helix.groovesAway(2 * middle(wheel))) {
      broken.add("its groove leaves no teeth");
      return List.of(teeth);
    }
    return List.of(
        teeth.cut(teeth.from(), plane - half),
        new Slab("groove", plane - half, plane + half, plain),
        teeth.cut(plane + half, teeth.to()));
  }

  /** Of the narrowest of all faces that mesh, from where they begin, mm. */
  final double middle(MemberId wheel) {
    return train.meshing(wheel).stream().mapToDouble(this::width).min().orElseThrow() / 2;
  }

  static Round round(Polar at, double scale, double radius) {
    return new Round(
        scale * at.radius() * Math.cos(at.angle()),
        scale * at.radius() * Math.sin(at.angle()),
        radius);
  }

  final Placed placed(MemberId id) {
    return layout.plates().stream()
        .filter(placed -> placed.id().equals(id) && placed.copy() == 0)
        .findFirst()
        .orElseThrow();
  }
}
