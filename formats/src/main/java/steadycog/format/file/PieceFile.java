package steadycog.format.file;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.stream.Collectors;
import steadycog.format.dxf.Dxf;
import steadycog.format.solid.Solids;
import steadycog.format.solid.Stl;
import steadycog.format.solid.ThreeMf;
import steadycog.format.svg.Svg;
import steadycog.piece.Arrangement;
import steadycog.piece.Piece;
import steadycog.piece.UnmakeableException;

/** Files that go to the cutter, the printer or CAD. */
public enum PieceFile {
  /** Closed polylines and circles, mm. */
  DXF("Drawing for CAD and cutters", false),
  /** A picture at true size. */
  SVG("Picture at true size", false),
  /** Triangles, mm. */
  STL("Solids for printing", true),
  /** Named solids, mm. */
  THREE_MF("Named solids for printing", true);

  private final String says;
  private final boolean solid;

  PieceFile(String says, boolean solid) {
    this.says = says;
    this.solid = solid;
  }

  /** What it is for, in words. */
  public String says() {
    return says;
  }

  /** Whether it holds bodies, which are always laid out apart; else outlines. */
  public boolean solid() {
    return solid;
  }

  /** The ending of its files, with the dot. */
  public String ending() {
    return this == THREE_MF ? ".3mf" : "." + name().toLowerCase(Locale.ROOT);
  }

  public static Optional<PieceFile> of(Path file) {
    String name = file.toString().toLowerCase(Locale.ROOT);
    return Arrays.stream(values()).filter(kind -> name.endsWith(kind.ending())).findFirst();
  }

  /** {@code .dxf, .svg, .stl, .3mf}. */
  public static String endings() {
    return Arrays.stream(values()).map(PieceFile::ending).collect(Collectors.joining(", "));
  }

  /**
   * The file's bytes.
   *
   * @param together outlines as they stand in the train, else side by side
   * @param chord how far straight pieces may leave circles, mm
   * @param progress told the share that is done, 0 to 1
   * @throws CancellationException as soon as {@code cancelled} says so
   * @throws UnmakeableException where one of the pieces cannot be made
   */
  public byte[] write(
      List<Piece> pieces,
      boolean together,
      double chord,
      String title,
      BooleanSupplier cancelled,
      DoubleConsumer progress)
      throws UnmakeableException {
    Arrangement laid =
        solid
            ? Arrangement.solids(pieces)
            : together ? Arrangement.together(pieces) : Arrangement.apart(pieces);
    return write(laid, chord, title, cancelled, progress);
  }

  /** The same of pieces that have been laid out. */
  public byte[] write(
      Arrangement laid,
      double chord,
      String title,
      BooleanSupplier cancelled,
      DoubleConsumer progress)
      throws UnmakeableException {
    List<Piece> pieces = laid.laid().stream().map(Arrangement.Laid::piece).distinct().toList();
    UnmakeableException.check(pieces, chord);
    if (solid) {
      UnmakeableException.checkSolids(pieces, chord);
    }
    return switch (this) {
      case DXF -> Dxf.write(laid).getBytes(StandardCharsets.US_ASCII);
      case SVG -> Svg.write(laid, title).getBytes(StandardCharsets.UTF_8);
      case STL -> Stl.write(Solids.of(laid, chord, cancelled, progress), title);
      case THREE_MF -> ThreeMf.write(Solids.of(laid, chord, cancelled, progress), title);
    };
  }
}
