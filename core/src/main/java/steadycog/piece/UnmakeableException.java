package steadycog.piece;

import java.util.List;
import java.util.Optional;

/** Pieces that cannot be made or put together: their file would be of no use to anybody. */
public final class UnmakeableException extends Exception {
  private static final long serialVersionUID = 1;

  /** Says why, in words that end a sentence without its stop. */
  public UnmakeableException(String message) {
    super(message);
  }

  /**
   * Lets pass what can be made.
   *
   * @param chord how far polygons may leave circles, mm
   * @throws UnmakeableException naming the first piece that cannot, and why
   */
  public static void check(List<Piece> pieces, double chord) throws UnmakeableException {
    for (Piece piece : pieces) {
      Optional<String> flaw = piece.flaw(chord);
      if (flaw.isPresent()) {
        throw new UnmakeableException(
            piece.title() + " cannot be made: " + flaw.get() + ". The findings say what to change");
      }
    }
  }

  /**
   * Lets pass what closed surfaces can be made of; outlines are asked for by {@link #check} before.
   *
   * @throws UnmakeableException naming the first piece of which none can be, and why
   */
  public static void checkSolids(List<Piece> pieces, double chord) throws UnmakeableException {
    for (Piece piece : pieces) {
      Optional<String> flaw = piece.isWound() ? WoundSolid.flaw(piece, chord) : Optional.empty();
      if (flaw.isPresent()) {
        throw new UnmakeableException(piece.title() + " cannot be made as a solid: " + flaw.get());
      }
    }
  }
}
