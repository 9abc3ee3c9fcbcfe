package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region;
import steadycog.piece.Region.Round;
import steadycog.piece.Slab;
import steadycog.train.Screw;

/**
 * The flange of a ring that turns: a drum on the ring reaches past the carrier, and the flange is
 * screwed to it.
 *
 * @param face where drum and flange meet, mm
 * @param inner radius of the drum, mm
 * @param outer radius of drum and flange, mm
 * @param circle radius of that of its screws, mm
 */
record Flange(double face, double inner, double outer, double circle, Screw screw) {
  private static final int SCREWS = 6;

  /** Material round the threads, mm. */
  private static final double SKIN = 1.2;

  /** Rings up to such radii take M2 and M3, mm. */
  private static final double SMALL = 15;

  private static final double MIDDLING = 40;

  /**
   * @param root the greatest radius of the ring's teeth, mm
   * @param carrier radius of the carrier that turns inside the drum, mm
   */
  static Flange of(double root, double carrier, double face) {
    double inner = Math.max(carrier + Box.AIR, root);
    Screw screw = Screw.of(inner < SMALL ? "M2" : inner < MIDDLING ? "M3" : "M4").orElseThrow();
    double circle = inner + SKIN + screw.diameter() / 2;
    return new Flange(face, inner, circle + screw.diameter() / 2 + SKIN, circle, screw);
  }

  /** Where its screws stand about the axis, the whole turned by an angle. */
  List<double[]> holes(double turned) {
    return Box.circle(circle, SCREWS, 0.5, turned);
  }

  /** Of its screws through a flange so thick. */
  int length(double thick) {
    return Screw.lengthFrom(thick + Box.thread(screw));
  }

  private double deep(double thick) {
    return length(thick) - thick + Ties.THREAD_ROOM;
  }

  /**
   * A piece of the ring made as wide as the flange, with threads, and the drum on the last of them.
   *
   * @param thick of the flange, mm
   */
  List<Slab> ring(Piece piece, boolean last, double thick) {
    Stand at = piece.stands().getFirst();
    List<Slab> slabs = new ArrayList<>();
    double top = face - at.z();
    double deepest = top - deep(thick);
    List<double[]> holes = holes(-at.angle());
    Region threads =
        new Region(
            List.of(),
            holes.stream().map(one -> new Round(one[0], one[1], screw.core() / 2)).toList());
    for (Slab slab : piece.slabs()) {
      Region body = CentralBox.opened(slab.region()).within(Region.disc(outer));
      double cut = Math.clamp(deepest, slab.from(), slab.to());
      if (cut > slab.from()) {
        slabs.add(slab.cut(slab.from(), cut).over(body));
      }
      if (cut < slab.to()) {
        slabs.add(slab.cut(cut, slab.to()).over(body.within(threads)));
      }
    }
    if (last) {
      slabs.addAll(
          new Block(slabs.getLast().to(), top, Box.annulus(inner, outer))
              .hole(holes, screw.core() / 2, deepest, top)
              .slabs());
    }
    return slabs;
  }
}
