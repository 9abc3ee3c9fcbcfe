package steadycog.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import steadycog.format.file.JobFiles;
import steadycog.format.file.PieceFile;
import steadycog.number.Figures;
import steadycog.piece.Piece;
import steadycog.piece.Plates;
import steadycog.piece.UnmakeableException;

/**
 * Pieces on plates of a given size, a file a plate: {@code box-plate-2.3mf}; of outlines, which are
 * cut from sheets, by thickness: {@code box-5mm.dxf}.
 *
 * @param size as it was given, {@code 220x220}, mm
 */
record PlateFiles(String size, Path target, PieceFile kind, double chord) {
  private static final Pattern SIZE =
      Pattern.compile("(\\d{1,4}(?:\\.\\d+)?)\\s*[x\u00d7]\\s*(\\d{1,4}(?:\\.\\d+)?)");

  int write(List<Piece> pieces, String title, CardInput input)
      throws IOException, UnmakeableException {
    Matcher given = SIZE.matcher(size.strip());
    if (!given.matches()) {
      return input.refuse(
          target + ":1:1: --plate '" + size + "': expected width and depth in mm, as 220x220");
    }
    double width = Double.parseDouble(given.group(1));
    double depth = Double.parseDouble(given.group(2));
    if (kind.solid()) {
      List<Piece> bedded = pieces.stream().map(piece -> piece.bedded(chord)).toList();
      write(Plates.of(bedded, width, depth), "", title, input);
      return Exit.DONE;
    }
    for (Map.Entry<Double, List<Piece>> sheet : Plates.byThickness(pieces).entrySet()) {
      String thick = "-" + Figures.significant(sheet.getKey(), 6) + "mm";
      write(Plates.of(sheet.getValue(), width, depth), thick, title, input);
    }
    String left =
        pieces.stream()
            .filter(piece -> !Plates.isFlat(piece))
            .map(Piece::name)
            .collect(Collectors.joining(", "));
    if (!left.isEmpty()) {
      input.remark("not cut from one sheet, so left out: " + left);
    }
    return Exit.DONE;
  }

  private void write(Plates plates, String what, String title, CardInput input)
      throws IOException, UnmakeableException {
    String name = target.getFileName().toString();
    String stem = name.substring(0, name.length() - kind.ending().length());
    for (int k = 0; k < plates.all().size(); k++) {
      String which = plates.all().size() == 1 ? "" : "-plate-" + (k + 1);
      Path file = target.resolveSibling(stem + what + which + kind.ending());
      JobFiles.write(file, kind.write(plates.all().get(k), chord, title, () -> false, done -> {}));
      input.remark(file + ": " + plates.all().get(k).laid().size() + " pieces");
    }
  }
}
