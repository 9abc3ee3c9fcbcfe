package steadycog.piece;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Pieces laid out in the plane, each as often as it is made.
 *
 * @param laid in the order of the pieces
 */
public record Arrangement(List<Laid> laid) {
  /** Room between pieces that are laid out apart, mm. */
  private static final double GAP = 4;

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
      boolean own = !together || piece.running().isEmpty();
      String part = own ? piece.slabs().get(region).name().replace(' ', '-') : "running";
      return piece.slug() + (part.isEmpty() ? "" : "-" + part);
    }
  }

  public Arrangement {
    laid = List.copyOf(laid);
  }

  /** As they stand in the train. */
  public static Arrangement together(List<Piece> pieces) {
    List<Laid> all = new ArrayList<>();
    for (Piece piece : pieces) {
      for (int copy = 0; copy < piece.stands().size(); copy++) {
        Piece.Stand at = piece.stands().get(copy);
        all.add(new Laid(piece, copy, at.x(), at.y(), at.angle(), true));
      }
    }
    return new Arrangement(all);
  }

  /** Side by side in rows that make about a square, large ones first, ready for a printer's bed. */
  public static Arrangement apart(List<Piece> pieces) {
    List<Piece> sorted = new ArrayList<>(pieces);
    sorted.sort(Comparator.comparingDouble(Arrangement::height).reversed());
    double area = 0;
    double widest = 0;
    for (Piece piece : sorted) {
      area += (width(piece) + GAP) * (height(piece) + GAP) * piece.stands().size();
      widest = Math.max(widest, width(piece));
    }
    double across = Math.max(widest, 1.1 * Math.sqrt(area));
    List<Laid> all = new ArrayList<>();
    double x = 0;
    double y = 0;
    double row = 0;
    for (Piece piece : sorted) {
      double[] box = piece.bounds();
      for (int copy = 0; copy < piece.stands().size(); copy++) {
        if (x > 0 && x + width(piece) > across) {
          x = 0;
          y -= row + GAP;
          row = 0;
        }
        all.add(new Laid(piece, copy, x - box[0], y - box[3], 0, false));
        x += width(piece) + GAP;
        row = Math.max(row, height(piece));
      }
    }
    all.sort(Comparator.comparingInt(one -> pieces.indexOf(one.piece)));
    return new Arrangement(all);
  }

  private static double width(Piece piece) {
    return piece.bounds()[2] - piece.bounds()[0];
  }

  private static double height(Piece piece) {
    return piece.bounds()[3] - piece.bounds()[1];
  }

  /** Least x, least y, greatest x, greatest y of all that is laid. */
  public double[] bounds() {
    return Region.around(laid.stream().flatMap(one -> one.regions().stream()).toList());
  }
}
