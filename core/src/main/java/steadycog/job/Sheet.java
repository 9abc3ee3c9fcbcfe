package steadycog.job;

import java.util.Optional;
import steadycog.bench.BenchBook;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.search.Wanted;

/**
 * One train of a job.
 *
 * @param name what people call it, never blank
 * @param card the last card that could be read; empty until there has been one
 * @param draft what stands in the train line while it cannot be read
 * @param notes whatever its designer wants to remember; may be empty
 * @param book what was built and tested of it
 * @param wanted what teeth are looked for in its place
 */
public record Sheet(
    String name,
    Optional<Card> card,
    Optional<String> draft,
    String notes,
    BenchBook book,
    Wanted wanted) {

  public Sheet {
    if (name.isBlank()) {
      throw new IllegalArgumentException("a train needs a name");
    }
  }

  /** A train of which nothing has been built yet. */
  public Sheet(String name, Optional<Card> card, Optional<String> draft, String notes) {
    this(name, card, draft, notes, BenchBook.EMPTY, Wanted.NOTHING);
  }

  public static Sheet of(String name, Card card) {
    return new Sheet(name, Optional.of(card), Optional.empty(), "");
  }

  /** A sheet with nothing on it yet. */
  public static Sheet empty(String name) {
    return new Sheet(name, Optional.empty(), Optional.empty(), "");
  }

  /** What the train line shows. */
  public String text() {
    return draft.orElseGet(() -> card.map(Card::text).orElse(""));
  }

  /** This sheet after {@code text} has been typed: a new card if it can be read, else a draft. */
  public Sheet typed(String text) {
    if (text.isBlank() && card.isEmpty()) {
      return new Sheet(name, Optional.empty(), Optional.empty(), notes, book, wanted);
    }
    try {
      return with(Card.read(text));
    } catch (CardException unreadable) {
      return new Sheet(name, card, Optional.of(text), notes, book, wanted);
    }
  }

  /** This sheet with its card changed from the drawing; a draft gives way to it. */
  public Sheet with(Card changed) {
    return new Sheet(name, Optional.of(changed), Optional.empty(), notes, book, wanted);
  }

  public Sheet named(String changed) {
    return new Sheet(changed, card, draft, notes, book, wanted);
  }

  public Sheet noting(String changed) {
    return new Sheet(name, card, draft, changed, book, wanted);
  }

  /** This sheet with something else in its bench book. */
  public Sheet booking(BenchBook changed) {
    return new Sheet(name, card, draft, notes, changed, wanted);
  }

  /** This sheet looking for something else. */
  public Sheet wanting(Wanted changed) {
    return new Sheet(name, card, draft, notes, book, changed);
  }
}
