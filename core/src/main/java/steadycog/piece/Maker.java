package steadycog.piece;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.number.Quantity;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region.Round;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.shape.Placed;
import steadycog.shape.PlanetGeometry.Polar;
import steadycog.train.Clearance.Gap;
import steadycog.train.MemberId;
import steadycog.train.Train;

/** What makes pieces: the train, how finely, and what they share. */
abstract sealed class Maker permits WheelMaker, CycloidMaker, StrainMaker {
  /** Thickness of plates in modules, at least {@value #LEAST_PLATE} mm. */
  private static final double PLATE = 4;

  private static final double LEAST_PLATE = 2;

  final Train train;
  final FaceLayout layout;
  final double chord;
  final double moduleMm;

  /** Added to the diameter of holes, mm. */
  final double room;

  final List<Piece> all = new ArrayList<>();

  Maker(Train train, FaceLayout layout, double chord) {
    this.train = train;
    this.layout = layout;
    this.chord = chord;
    this.moduleMm = Drives.moduleMm(train);
    this.room = train.sizes().clearance().mm(Gap.BORE);
  }

  final Blank blank(MemberId id) {
    return Blank.of(train, id);
  }

  /** Thickness of a member's plate, mm: its stated width, or in proportion. */
  final double plate(MemberId member) {
    return train
        .sizes()
        .own(member)
        .width()
        .map(Quantity::inBase)
        .orElse(Math.max(LEAST_PLATE, PLATE * moduleMm));
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
    all.add(new Piece(member, name, remark, slabs, List.of(stand), obstacle, List.of()));
  }

  /** The hole of a member where a bore is stated for it. */
  final Region stated(MemberId member) {
    return train
        .size(member)
        .bore()
        .map(bore -> Bores.hole(bore, room, chord))
        .orElse(new Region(List.of(), List.of()));
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
