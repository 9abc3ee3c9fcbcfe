package steadycog.format.file;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import steadycog.number.Figures;
import steadycog.piece.Arrangement;
import steadycog.piece.Piece;
import steadycog.piece.Plates;
import steadycog.piece.UnmakeableException;

/**
 * Pieces on plates of a given size, a file a plate: {@code box-plate-2.3mf}; of outlines, which are
 * cut from sheets, by thickness: {@code box-5mm.dxf}.
 *
 * @param all in the order in which they are filled
 * @param left names of pieces that are on none, since no sheet can be cut to them
 */
public record PlateFiles(List<One> all, List<String> left) {

  /** One of the files, with what lies on it. */
  public record One(Path file, Arrangement laid) {}

  public PlateFiles {
    all = List.copyOf(all);
    left = List.copyOf(left);
  }

  /**
   * Lays them out; nothing is written yet. Solids lie with the larger end down.
   *
   * @param target whose name the files take, each with its own addition
   * @param kind of the files, ending as {@code target} does
   * @param chord how far straight pieces of outlines may leave the true line, mm
   * @throws UnmakeableException naming a piece that is larger than a plate
   */
  public static PlateFiles of(
      List<Piece> pieces, Plates.Size size, Path target, PieceFile kind, double chord)
      throws UnmakeableException {
    String name = target.getFileName().toString();
    String stem = name.substring(0, name.length() - kind.ending().length());
    List<One> all = new ArrayList<>();
    List<String> left = List.of();
    if (kind.solid()) {
      List<Piece> bedded = pieces.stream().map(piece -> piece.bedded(chord)).toList();
      add(all, Plates.of(bedded, size), target, stem, kind.ending());
    } else {
      for (Map.Entry<Double, List<Piece>> sheet : Plates.byThickness(pieces).entrySet()) {
        String thick = stem + "-" + Figures.significant(sheet.getKey(), 6) + "mm";
        add(all, Plates.of(sheet.getValue(), size), target, thick, kind.ending());
      }
      left = pieces.stream().filter(piece -> !Plates.isFlat(piece)).map(Piece::name).toList();
    }
    return new PlateFiles(all, left);
  }

  private static void add(List<One> all, Plates plates, Path target, String stem, String ending) {
    for (int k = 0; k < plates.all().size(); k++) {
      String which = plates.all().size() == 1 ? "" : "-plate-" + (k + 1);
      all.add(new One(target.resolveSibling(stem + which + ending), plates.all().get(k)));
    }
  }

  /** {@code not cut from one sheet, so left out: shaft}; empty where all are there. */
  public String remark() {
    return left.isEmpty() ? "" : "not cut from one sheet, so left out: " + String.join(", ", left);
  }
}
