package steadycog.format.solid;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import steadycog.piece.Arrangement;
import steadycog.piece.Arrangement.Laid;
import steadycog.piece.Piece;
import steadycog.piece.Solid;

/**
 * Pieces laid out with their surfaces, each piece worked out once however often it is made.
 *
 * @param all in the order in which they are laid
 */
public record Solids(List<Standing> all) {

  /** A surface and where it lies. */
  public record Standing(Laid laid, Solid solid) {}

  /**
   * Works the surfaces out. Cost: points of all outlines times their logarithm.
   *
   * @param chord how far polygons may leave circles, mm
   * @param progress told the share that is done, 0 to 1
   * @throws CancellationException as soon as {@code cancelled} says so
   */
  public static Solids of(
      Arrangement pieces, double chord, BooleanSupplier cancelled, DoubleConsumer progress) {
    Map<Piece, Solid> known = new LinkedHashMap<>();
    List<Standing> all = new ArrayList<>();
    for (Laid laid : pieces.laid()) {
      if (cancelled.getAsBoolean()) {
        throw new CancellationException("stopped while making " + laid.piece().name());
      }
      all.add(
          new Standing(laid, known.computeIfAbsent(laid.piece(), piece -> Solid.of(piece, chord))));
      progress.accept((double) all.size() / pieces.laid().size());
    }
    return new Solids(List.copyOf(all));
  }

  /** The same without haste or stop. */
  public static Solids of(Arrangement pieces, double chord) {
    return of(pieces, chord, () -> false, done -> {});
  }

  int triangles() {
    return all.stream().mapToInt(one -> one.solid.triangles()).sum();
  }
}
