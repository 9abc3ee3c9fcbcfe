package steadycog.job;

import java.util.Optional;
import steadycog.notation.Card;
import steadycog.notation.CardException;

/**
 * One train of a job.
 *
 * @param name what people call it, never blank
 * @param card the last card that could be read
 * @param draft what stands in the train line while it cannot be read
 */
public record Sheet(String name, Card card, Optional<String> draft) {

  public Sheet {
    if (name.isBlank()) {
      throw new IllegalArgumentException("a train needs a name");
    }
  }

  /** What the train line shows. */
  public String text() {
    return draft.orElse(card.text());
  }

  /** This sheet after {@code text} has been typed: a new card if it can be read, else a draft. */
  public Sheet typed(String text) {
    try {
      return new Sheet(name, Card.read(text), Optional.empty());
    } catch (CardException unreadable) {
      return new Sheet(name, card, Optional.of(text));
    }
  }

  /** This sheet with its card changed from the drawing; a draft gives way to it. */
  public Sheet with(Card changed) {
    return new Sheet(name, changed, Optional.empty());
  }
}
