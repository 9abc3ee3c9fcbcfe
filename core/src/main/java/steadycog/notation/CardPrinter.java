package steadycog.notation;

import java.util.stream.Collectors;
import steadycog.train.State;
import steadycog.train.Train;

/** Prints a train as a canonical card, one statement a line. */
public final class CardPrinter {
  private CardPrinter() {}

  /** The statement of one state, without a line end. */
  public static String print(State state) {
    return new Item.OfState(state).print();
  }

  /** The card, each line closed by a line feed. */
  public static String print(Train train) {
    return Item.of(train).stream().map(item -> item.print() + "\n").collect(Collectors.joining());
  }
}
