package steadycog.piece;

import java.util.List;

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
      String flaw = piece.flaw(chord).orElse("");
      if (!flaw.isEmpty()) {
        throw new UnmakeableException(
            piece.title() + " cannot be made: " + flaw + ". The findings say what to change");
      }
    }
  }
}
