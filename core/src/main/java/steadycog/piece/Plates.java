package steadycog.piece;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import steadycog.number.Figures;
import steadycog.piece.Arrangement.Laid;

/**
 * Pieces laid out on plates of one size, with room between them and round the edge.
 *
 * @param all in the order in which they are filled; every piece lies wholly on one
 */
public record Plates(List<Arrangement> all) {
  /** Room between pieces and at the edge, mm. */
  public static final double ROOM = Arrangement.GAP;

  private static final double LEVEL = 1e-3;

  /** Of a plate or sheet, mm. */
  public record Size(double width, double depth) {
    private static final Pattern TEXT =
        Pattern.compile("(\\d{1,4}(?:\\.\\d+)?)\\s*[x\u00d7]\\s*(\\d{1,4}(?:\\.\\d+)?)(?:\\s*mm)?");

    /** What a person writes for one: {@code 220x220}, {@code 220 × 180 mm}. */
    public static Optional<Size> read(String text) {
      Matcher given = TEXT.matcher(text.strip());
      return given.matches()
          ? Optional.of(
              new Size(Double.parseDouble(given.group(1)), Double.parseDouble(given.group(2))))
          : Optional.empty();
    }

    /** {@code 220 × 180 mm}. */
    @Override
    public String toString() {
      return mm(width) + " \u00d7 " + mm(depth) + " mm";
    }
  }

  public Plates {
    all = List.copyOf(all);
  }

  /** A row of pieces on a plate. */
  private static final class Shelf {
    private final List<Laid> plate;
    private final double foot;
    private final double high;
    private double reach = ROOM;

    Shelf(List<Laid> plate, double foot, double high) {
      this.plate = plate;
      this.foot = foot;
      this.high = high;
    }
  }

  /**
   * Lays out every copy of every piece, the deepest first, each in the first row where there is
   * room (first fit, decreasing; Coffman, Garey, Johnson and Tarjan 1980).
   *
   * @throws UnmakeableException naming a piece that is larger than a plate
   */
  public static Plates of(List<Piece> pieces, Size size) throws UnmakeableException {
    List<Piece> sorted = new ArrayList<>(pieces);
    sorted.sort(Comparator.comparingDouble(Plates::high).reversed());
    List<List<Laid>> plates = new ArrayList<>();
    List<Shelf> shelves = new ArrayList<>();
    for (Piece piece : sorted) {
      double[] box = piece.solidBounds();
      double wide = box[2] - box[0];
      if (wide + 2 * ROOM > size.width || high(piece) + 2 * ROOM > size.depth) {
        throw new UnmakeableException(
            piece.name()
                + " is "
                + mm(wide)
                + " \u00d7 "
                + mm(high(piece))
                + " mm: with "
                + mm(ROOM)
                + " mm of room round it too large for a plate of "
                + size);
      }
      for (int copy = 0; copy < piece.stands().size(); copy++) {
        Shelf shelf =
            shelves.stream()
                .filter(one -> one.reach + wide + ROOM <= size.width && high(piece) <= one.high)
                .findFirst()
                .orElseGet(() -> open(shelves, plates, high(piece), size.depth));
        shelf.plate.add(new Laid(piece, copy, shelf.reach - box[0], shelf.foot - box[1], 0, false));
        shelf.reach += wide + ROOM;
      }
    }
    return new Plates(plates.stream().map(Arrangement::new).toList());
  }

  /** A row behind the last one of the first plate that has room for it, else on a new one. */
  private static Shelf open(
      List<Shelf> shelves, List<List<Laid>> plates, double high, double depth) {
    for (List<Laid> plate : plates) {
      double foot =
          shelves.stream()
              .filter(one -> one.plate == plate)
              .mapToDouble(one -> one.foot + one.high + ROOM)
              .max()
              .orElse(ROOM);
      if (foot + high + ROOM <= depth) {
        shelves.add(new Shelf(plate, foot, high));
        return shelves.getLast();
      }
    }
    plates.add(new ArrayList<>());
    shelves.add(new Shelf(plates.getLast(), ROOM, high));
    return shelves.getLast();
  }

  private static double high(Piece piece) {
    double[] box = piece.solidBounds();
    return box[3] - box[1];
  }

  private static String mm(double length) {
    return Figures.significant(length, 4);
  }

  /** What can be cut from a sheet, by its thickness, mm: pieces of one slab with straight walls. */
  public static SortedMap<Double, List<Piece>> byThickness(List<Piece> pieces) {
    SortedMap<Double, List<Piece>> sheets = new TreeMap<>();
    for (Piece piece : pieces) {
      if (isFlat(piece)) {
        double thick = Math.round(piece.slabs().getFirst().to() / LEVEL) * LEVEL;
        sheets.computeIfAbsent(thick, any -> new ArrayList<>()).add(piece);
      }
    }
    return sheets;
  }

  /** Whether a piece can be cut from a sheet. */
  public static boolean isFlat(Piece piece) {
    return piece.slabs().size() == 1 && piece.bevel().isEmpty() && !piece.isWound();
  }
}
