package steadycog.piece;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import steadycog.number.Known;

/**
 * Pieces laid out in the plane, each as often as it is made.
 *
 * @param laid in the order of the pieces
 */
public record Arrangement(List<Laid> laid) {
  /** Room between pieces that are laid out apart, mm. */
  static final double GAP = 4;

  /**
   * One piece where it lies.
   *
   * @param copy which of several alike, from 0
   * @param together whether it stands in the train, else it lies by itself as it is made
   */
  public record Laid(Piece piece, int copy, double x, double y, double angle, boolean together) {

    /** The regions of its slabs, or how it runs in the train. */
    public List<Region> regions() {
      return together
          ? piece.inTrain().stream().map(region -> region.placed(angle, x, y)).toList()
          : piece.slabs().stream().map(slab -> slab.region().placed(angle, x, y)).toList();
    }

    /** What the region of that index is, for a layer: {@code planet-row-2}. */
    public String layer(int region) {
      boolean own = !together || !piece.isFlexible();
      String part = own ? piece.slabs().get(region).name().replace(' ', '-') : "running";
      return piece.slug() + (part.isEmpty() ? "" : "-" + part);
    }
  }

  public Arrangement {
    laid = List.copyOf(laid);
  }

  /** As they stand in the train; what is flat in no view of it lies beneath. */
  public static Arrangement together(List<Piece> pieces) {
    List<Laid> all = new ArrayList<>();
    for (Piece piece : pieces) {
      for (int copy = 0; copy < piece.stands().size(); copy++) {
        Piece.Stand at = piece.stands().get(copy);
        if (piece.bevel().isEmpty()) {
          all.add(new Laid(piece, copy, at.x(), at.y(), at.angle(), true));
        }
      }
    }
    Arrangement beneath = apart(pieces.stream().filter(p -> p.bevel().isPresent()).toList());
    double[] box = all.isEmpty() ? new double[4] : new Arrangement(all).bounds();
    for (Laid one : beneath.laid) {
      double[] own = beneath.bounds();
      double x = one.x + box[0] - own[0];
      double y = one.y + box[1] - GAP - own[3];
      all.add(new Laid(one.piece, one.copy, x, y, 0, false));
    }
    all.sort(Comparator.comparingInt(one -> pieces.indexOf(one.piece)));
    return new Arrangement(all);
  }

  /** Side by side in rows that make about a square, large ones first, ready for a printer's bed. */
  public static Arrangement apart(List<Piece> pieces) {
    return apart(pieces, Piece::bounds);
  }

  /** The same by the room that their solids take. */
  public static Arrangement solids(List<Piece> pieces) {
    return apart(pieces, Piece::solidBounds);
  }

  private static Arrangement apart(List<Piece> pieces, Function<Piece, double[]> bounds) {
    IdentityHashMap<Piece, double[]> boxes = new IdentityHashMap<>();
    pieces.forEach(piece -> boxes.put(piece, bounds.apply(piece)));
    ToDoubleFunction<Piece> width = piece -> Known.in(boxes, piece)[2] - Known.in(boxes, piece)[0];
    ToDoubleFunction<Piece> height = piece -> Known.in(boxes, piece)[3] - Known.in(boxes, piece)[1];
    List<Piece> sorted = new ArrayList<>(pieces);
    sorted.sort(Comparator.comparingDouble(height).reversed());
    double area = 0;
    double widest = 0;
    for (Piece piece : sorted) {
      double across = width.applyAsDouble(piece);
      area += (across + GAP) * (height.applyAsDouble(piece) + GAP) * piece.stands().size();
      widest = Math.max(widest, across);
    }
    double bed = Math.max(widest, 1.1 * Math.sqrt(area));
    List<Laid> all = new ArrayList<>();
    double x = 0;
    double y = 0;
    double row = 0;
    for (Piece piece : sorted) {
      double[] box = Known.in(boxes, piece);
      double wide = width.applyAsDouble(piece);
      for (int copy = 0; copy < piece.stands().size(); copy++) {
        if (x > 0 && x + wide > bed) {
          x = 0;
          y -= row + GAP;
          row = 0;
        }
        all.add(new Laid(piece, copy, x - box[0], y - box[3], 0, false));
        x += wide + GAP;
        row = Math.max(row, height.applyAsDouble(piece));
      }
    }
    all.sort(Comparator.comparingInt(one -> pieces.indexOf(one.piece)));
    return new Arrangement(all);
  }

  /** Least x, least y, greatest x, greatest y of all that is laid. */
  public double[] bounds() {
    return Region.around(laid.stream().flatMap(one -> one.regions().stream()).toList());
  }
}
