package steadycog.notation;

import steadycog.train.Train;

/**
 * A job card that could be read: its text, as its writer left it, and the train that it describes.
 *
 * @param text the card with comments and layout
 * @param train what {@code text} says
 */
public record Card(String text, Train train) {

  /** Reads a card. Linear in its length. */
  public static Card read(String text) throws CardException {
    return new Card(text, new CardReader().read(text));
  }

  /** The canonical card of a train. */
  public static Card of(Train train) {
    return new Card(CardPrinter.print(train), train);
  }

  /** This card changed to describe {@code changed}, its writer's lines and comments kept. */
  public Card revised(Train changed) {
    return changed.equals(train) ? this : new Card(CardReviser.revise(text, changed), changed);
  }
}
