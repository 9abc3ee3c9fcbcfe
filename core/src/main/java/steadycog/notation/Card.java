package steadycog.notation;

import java.util.List;
import java.util.stream.Stream;
import steadycog.train.Edited;
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

  /** What cannot be read of a text; nothing where it is a card. */
  public static List<CardProblem> problemsOf(String text) {
    try {
      read(text);
      return List.of();
    } catch (CardException unreadable) {
      return unreadable.problems();
    }
  }

  /** The canonical card of a train. */
  public static Card of(Train train) {
    return new Card(CardPrinter.print(train), train);
  }

  /** This card changed to describe {@code changed}, its writer's lines and comments kept. */
  public Card revised(Train changed) {
    return revised(Edited.sameNames(changed));
  }

  /**
   * The same after a change that gave members other names: what is said of a member, and what is
   * noted beside it, follows that member.
   */
  public Card revised(Edited changed) {
    if (changed.train().equals(train)) {
      return this;
    }
    String revised = CardReviser.revise(text, changed);
    try {
      Train said = new CardReader().read(revised);
      if (!saysTheSame(said, changed.train())) {
        throw new IllegalStateException("the card says something else: " + revised);
      }
      return new Card(revised, said);
    } catch (CardException unreadable) {
      throw new IllegalStateException("the card cannot say this: " + revised, unreadable);
    }
  }

  /** Whether two trains differ at most in the order in which things are said of them. */
  private static boolean saysTheSame(Train one, Train other) {
    return one.equals(other)
        || Stream.of(one, other)
                .map(train -> Item.of(train).stream().map(Item::print).sorted().toList())
                .distinct()
                .count()
            == 1;
  }
}
